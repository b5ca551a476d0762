const { createCjsPreset } = require('jest-preset-angular/presets');

const preset = createCjsPreset({ tsconfig: '<rootDir>/tsconfig.spec.json' });

module.exports = {
  ...preset,
  transform: { ...preset.transform, '\\.md$': '<rootDir>/jest.text.cjs' },
  testTimeout: 60_000,
  testEnvironment: '<rootDir>/jest.env.cjs',
  setupFilesAfterEnv: ['<rootDir>/jest.setup.ts'],
  testMatch: ['<rootDir>/src/**/*.spec.ts'],
  moduleNameMapper: {
    '^@enumeron/core/file/(.*)$': '<rootDir>/../core/src/$1.ts',
    '^@enumeron/core/(.*)$': '<rootDir>/../core/src/$1/index.ts',
  },
  transformIgnorePatterns: ['node_modules/(?!(.*\\.mjs$|d3-|internmap/|@noble/|nanoid/))'],
};
