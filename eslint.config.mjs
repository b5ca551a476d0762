import js from '@eslint/js';
import angular from 'angular-eslint';
import prettier from 'eslint-config-prettier';
import tseslint from 'typescript-eslint';
import { CORE_ONLY, floors } from './eslint.floors.mjs';

/** What core must never touch: it is computation only, and the same input gives the same output. */
const IMPURE = [
  ...['window', 'document', 'navigator', 'localStorage', 'indexedDB', 'fetch', 'console', 'process'],
  ...['setTimeout', 'setInterval', 'requestAnimationFrame', 'performance', 'Date', 'crypto'],
].map((name) => ({ name, message: 'core is pure: no DOM, no I/O, no clock, no unseeded randomness.' }));

export default tseslint.config(
  { ignores: ['**/node_modules', '**/dist', '**/.angular', '**/coverage', 'e2e/results', 'e2e/report'] },
  js.configs.recommended,
  {
    files: ['**/*.ts'],
    extends: [...tseslint.configs.strictTypeChecked, ...tseslint.configs.stylisticTypeChecked],
    languageOptions: {
      parserOptions: { project: './tsconfig.lint.json', tsconfigRootDir: import.meta.dirname },
    },
    rules: {
      '@typescript-eslint/consistent-type-definitions': 'off',
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
      '@typescript-eslint/no-non-null-assertion': 'error',
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/non-nullable-type-assertion-style': 'off',
      '@typescript-eslint/no-extraneous-class': 'off',
      '@typescript-eslint/unbound-method': 'off',
      // Material's configurations are classes only so that they can have defaults.
      '@typescript-eslint/no-unsafe-class-instance-assignment': 'off',
      '@typescript-eslint/no-unnecessary-type-parameters': 'off',
      '@typescript-eslint/no-misused-spread': 'off',
      eqeqeq: 'error',
    },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.spec.ts'],
    rules: {
      'no-restricted-globals': ['error', ...IMPURE],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Randomness comes in as a seeded generator.' },
      ],
      'no-restricted-imports': ['error', { patterns: [CORE_ONLY] }],
    },
  },
  ...floors,
  {
    // A wait of a fixed length fails on a busy machine and wastes time on a free one.
    files: ['app/**/*.spec.ts', 'core/**/*.spec.ts', 'server/**/*.spec.ts', 'e2e/tests/*.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        ...[
          "CallExpression[callee.property.name='waitForTimeout']",
          "NewExpression[callee.name='Promise'] > ArrowFunctionExpression > CallExpression[callee.name='setTimeout'][arguments.length>1]",
        ].map((selector) => ({
          selector,
          message: 'Wait for what is to come: until or expect; pass or quiet where time itself is tested.',
        })),
      ],
    },
  },
  {
    files: ['app/**/*.ts'],
    extends: [...angular.configs.tsRecommended],
    processor: angular.processInlineTemplates,
    rules: {
      '@angular-eslint/component-selector': ['error', { type: 'element', prefix: 'en', style: 'kebab-case' }],
      '@angular-eslint/directive-selector': [
        'error',
        { type: 'attribute', prefix: 'en', style: 'camelCase' },
      ],
      '@angular-eslint/component-class-suffix': 'off',
      '@angular-eslint/prefer-on-push-component-change-detection': 'error',
    },
  },
  {
    // At a plain http address these are missing; `platform/secure-only.ts` asks for them.
    files: ['app/src/**/*.ts'],
    ignores: ['app/src/app/platform/secure-only.ts', '**/*.spec.ts'],
    rules: {
      'no-restricted-properties': [
        'error',
        ...['clipboard', 'locks', 'storage', 'wakeLock', 'serviceWorker', 'mediaDevices', 'share'].map(
          (property) => ({
            ...{ object: 'navigator', property },
            message: 'Only secure pages have it: see platform/secure-only.ts.',
          }),
        ),
        ...['randomUUID', 'subtle'].map((property) => ({
          ...{ object: 'crypto', property },
          message: 'Only secure pages have it.',
        })),
      ],
    },
  },
  {
    files: ['server/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: [{ regex: 'app/|enumeron', message: 'The server knows nothing of the application.' }] },
      ],
    },
  },
  {
    files: ['app/**/*.html'],
    extends: [...angular.configs.templateRecommended, ...angular.configs.templateAccessibility],
  },
  {
    files: ['**/*.mjs', '**/*.cjs'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        URL: 'readonly',
        module: 'writable',
        require: 'readonly',
        fetch: 'readonly',
        setTimeout: 'readonly',
        performance: 'readonly',
        Buffer: 'readonly',
      },
    },
  },
  prettier,
);
