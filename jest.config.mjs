const swc = (target) => [
  '@swc/jest',
  {
    jsc: {
      parser: { syntax: 'typescript', decorators: true },
      target,
    },
    module: { type: 'commonjs' },
  },
];

const node = (name, folder, more = {}) => ({
  displayName: name,
  rootDir: folder,
  testEnvironment: 'node',
  testMatch: ['**/*.test.ts'],
  extensionsToTreatAsEsm: [],
  transform: { '^.+\\.[tj]sx?$': swc('es2022') },
  transformIgnorePatterns: ['/node_modules/'],
  ...more,
});

export default {
  // A machine that is busy otherwise makes a test wait that has nothing wrong.
  testTimeout: 30_000,
  projects: [
    node('core', 'packages/core', {
      moduleNameMapper: {
        '^d3-hierarchy$': '<rootDir>/../../node_modules/d3-hierarchy/dist/d3-hierarchy.js',
      },
    }),
    node('learning', 'learning'),
    node('contract', 'packages/contract'),
    node('exchange', 'packages/exchange'),
    node('check', 'apps/check-chart'),
    node('server', 'apps/server', {
      globalSetup: '<rootDir>/test/start-postgres.cjs',
      globalTeardown: '<rootDir>/test/stop-postgres.cjs',
      setupFilesAfterEnv: ['<rootDir>/test/patience.ts'],
    }),
    '<rootDir>/apps/web',
    node('e2e', 'e2e', {
      globalSetup: '<rootDir>/support/start-postgres.cjs',
      setupFilesAfterEnv: ['<rootDir>/support/patience.ts'],
    }),
  ],
};
