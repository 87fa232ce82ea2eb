const { createCjsPreset } = require('jest-preset-angular/presets/index.js');

/** @type {import('jest').Config} */
module.exports = {
  ...createCjsPreset({ tsconfig: '<rootDir>/tsconfig.spec.json' }),
  displayName: 'web',
  rootDir: __dirname,
  testMatch: ['**/*.spec.ts'],
  setupFilesAfterEnv: ['<rootDir>/src/testing/setup-jest.ts'],
  moduleNameMapper: {
    '^@iunctus/core/edges$': '<rootDir>/../../packages/core/src/edges.ts',
    '^@iunctus/core/learned$': '<rootDir>/../../packages/core/src/matching/learned/index.ts',
    'findings-worker\\.factory$': '<rootDir>/src/testing/findings-worker.stub.ts',
    'statement-worker\\.factory$': '<rootDir>/src/testing/statement-worker.stub.ts',
    '^@iunctus/core$': '<rootDir>/../../packages/core/src/index.ts',
    '^@iunctus/core/testing$': '<rootDir>/../../packages/core/src/testing/index.ts',
    '^@iunctus/exchange/reading$': '<rootDir>/../../packages/exchange/src/reading/index.ts',
    '^@iunctus/contract$': '<rootDir>/../../packages/contract/src/index.ts',
  },
};
