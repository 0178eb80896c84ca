const shared = {
  testEnvironment: 'node',
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: {
    '^.+\\.tsx?$': [
      '@swc/jest',
      { jsc: { target: 'es2022', parser: { syntax: 'typescript', tsx: true } }, module: { type: 'es6' } },
    ],
  },
};

export default {
  // Starting a store takes seconds on a busy machine.
  testTimeout: 60_000,
  // A server left open by a failed hook must not hold up the run.
  forceExit: true,
  projects: [
    {
      ...shared,
      displayName: 'core',
      testMatch: ['core', 'demo', 'web'].map((room) => `<rootDir>/${room}/**/*.test.ts`),
    },
    { ...shared, displayName: 'server', testMatch: ['<rootDir>/server/**/*.test.ts'] },
  ],
};
