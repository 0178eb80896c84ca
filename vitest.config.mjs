import { configDefaults, defineConfig } from 'vitest/config';
import { words } from './setup/words.mjs';

/** Tests of the server that have no store, or open each kind of it themselves: once is enough. */
const WITHOUT_STORE = ['backups', 'db', 'health', 'instruments', 'jobs', 'prints', 'workedOut'].map(
  (term) => `server/src/${term}/**`,
);
const onPostgres = process.env.HURROW_TEST_STORE === 'postgres';

export default defineConfig({
  plugins: [words()],
  test: {
    globals: true,
    // Starting a store, and five hundred drawings measured, take their time on a busy machine.
    testTimeout: 600_000,
    hookTimeout: 600_000,
    // Files of a process share the modules that they load: loading them anew took as long as the tests.
    isolate: false,
    maxWorkers: '100%',
    css: { modules: { classNameStrategy: 'non-scoped' } },
    projects: [
      {
        extends: true,
        test: {
          name: 'unit',
          include: ['core', 'contract', 'demo', 'web'].map((room) => `${room}/**/*.test.ts`),
        },
      },
      {
        extends: true,
        test: {
          name: 'pages',
          environment: 'jsdom',
          environmentOptions: { jsdom: { url: 'http://localhost/' } },
          include: ['web/**/*.test.tsx'],
          setupFiles: ['web/src/testing/browser.ts'],
        },
      },
      {
        extends: true,
        test: {
          name: 'server',
          include: ['server/**/*.test.ts'],
          exclude: [...configDefaults.exclude, ...(onPostgres ? WITHOUT_STORE : [])],
          globalSetup: 'server/src/testing/packedStore.mjs',
        },
      },
    ],
  },
});
