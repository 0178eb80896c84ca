import { formatter } from '@lingui/format-po';

/** Where the words of the interface are found, and where their other languages stand. */
export default {
  rootDir: import.meta.dirname,
  sourceLocale: 'en',
  locales: ['de'],
  catalogs: [{ path: 'web/src/language/{locale}', include: ['web/src'], exclude: ['**/*.test.*'] }],
  orderBy: 'origin',
  format: formatter({ lineNumbers: false }),
  runtimeConfigModule: { i18n: ['#i18n', 'i18n'], Trans: ['#trans', 'Trans'] },
};
