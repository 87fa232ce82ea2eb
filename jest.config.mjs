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
  transformIgnorePatterns: ['/node_modules/(?!(d3-hierarchy)/)'],
  ...more,
});

export default {
  projects: [
    node('core', 'packages/core'),
    node('contract', 'packages/contract'),
    node('server', 'apps/server'),
    node('demo', 'demo'),
    '<rootDir>/apps/web',
  ],
};
