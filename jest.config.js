const shared = {
  testEnvironment: 'node',
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  moduleNameMapper: { '\\.css$': '<rootDir>/setup/classNames.mjs' },
  transform: {
    '^.+\\.tsx?$': [
      '<rootDir>/setup/jestTransform.mjs',
      {
        jsc: {
          target: 'es2022',
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
        },
        module: { type: 'es6' },
      },
    ],
  },
};

export default {
  // Starting a store, and five hundred drawings measured, take their time on a busy machine.
  testTimeout: 600_000,
  projects: [
    {
      ...shared,
      displayName: 'core',
      testMatch: ['core', 'contract', 'demo', 'web'].map((room) => `<rootDir>/${room}/**/*.test.{ts,tsx}`),
    },
    {
      ...shared,
      displayName: 'server',
      testMatch: ['<rootDir>/server/**/*.test.ts'],
      globalSetup: '<rootDir>/server/src/testing/packedStore.mjs',
      globalTeardown: '<rootDir>/server/src/testing/dropStore.mjs',
    },
  ],
};
