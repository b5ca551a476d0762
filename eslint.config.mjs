import js from '@eslint/js';
import angular from 'angular-eslint';
import prettier from 'eslint-config-prettier';
import tseslint from 'typescript-eslint';

/** What core must never touch: it is computation only, and the same input gives the same output. */
const IMPURE = [
  ...['window', 'document', 'navigator', 'localStorage', 'indexedDB', 'fetch', 'console', 'process'],
  ...['setTimeout', 'setInterval', 'requestAnimationFrame', 'performance', 'Date', 'crypto'],
].map((name) => ({ name, message: 'core is pure: no DOM, no I/O, no clock, no unseeded randomness.' }));

/** core/learn stands on a published memory schedule, which is as pure as core. */
const CORE_ONLY = {
  regex: '^(?!ts-fsrs$)[^.]',
  message: 'core imports nothing but itself, and ts-fsrs.',
};

/** The folders of core, each over those before it: an import only goes to one that comes earlier. */
const LAYERS = [
  'deck',
  'job',
  'form',
  'moves',
  'formats',
  'odds',
  'procedure',
  'arrange',
  'reckon',
  'learn',
  'weave',
  'rehearse',
];

const coreLayers = LAYERS.map((layer, index) => ({
  files: [`core/src/${layer}/**/*.ts`],
  ignores: ['**/*.spec.ts'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          CORE_ONLY,
          ...LAYERS.slice(index + 1).map((above) => ({
            regex: `^(\\.\\./)+${above}/`,
            message: `${layer} stands below ${above}.`,
          })),
        ],
      },
    ],
  },
}));

const ROOMS = ['arrange', 'learn', 'reckon', 'weave', 'rehearse', 'perform', 'record', 'settings'];

/** Rooms do not import each other; what two need goes to pack/, data/ or shared/. */
const roomBoundaries = ROOMS.map((room) => ({
  files: [`app/src/app/${room}/**/*.ts`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          {
            group: [
              ...ROOMS.filter((other) => other !== room).map((other) => `**/${other}/**`),
              '!@enumeron/core/**',
            ],
            message: 'Rooms do not import each other.',
          },
        ],
      },
    ],
  },
}));

export default tseslint.config(
  { ignores: ['**/node_modules', '**/dist', '**/.angular', '**/coverage', 'e2e/results', 'e2e/report'] },
  js.configs.recommended,
  {
    files: ['**/*.ts'],
    extends: [...tseslint.configs.strictTypeChecked, ...tseslint.configs.stylisticTypeChecked],
    languageOptions: { parserOptions: { project: './tsconfig.lint.json', tsconfigRootDir: import.meta.dirname } },
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
  ...coreLayers,
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
    // At a plain http address these are missing; `shared/secure-only.ts` asks for them.
    files: ['app/src/**/*.ts'],
    ignores: ['app/src/app/shared/secure-only.ts', '**/*.spec.ts'],
    rules: {
      'no-restricted-properties': [
        'error',
        ...['clipboard', 'locks', 'storage', 'wakeLock', 'serviceWorker', 'mediaDevices', 'share'].map(
          (property) => ({
            ...{ object: 'navigator', property },
            message: 'Only secure pages have it: see shared/secure-only.ts.',
          }),
        ),
        ...['randomUUID', 'subtle'].map((property) => ({
          ...{ object: 'crypto', property },
          message: 'Only secure pages have it.',
        })),
      ],
    },
  },
  ...roomBoundaries,
  {
    files: ['app/src/app/{pack,data,shared}/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: [...[...ROOMS, 'frame'].map((folder) => `**/${folder}/**`), '!@enumeron/core/**'],
              message: 'Rooms and frame import this.',
            },
          ],
        },
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
