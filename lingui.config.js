import extractor from '@lingui/cli/api/extractors/babel';
import { formatter } from '@lingui/format-po';
import { generateMessageId } from '@lingui/message-utils/generateMessageId';
import { saidIn } from './setup/saidWords.mjs';

/** What the server says when it refuses something is said again by the pages. */
const ofServer = {
  match: (file) => /server\/src\/.*\.ts$/.test(file),
  extract(file, code, found) {
    for (const { message, line, column } of saidIn(code, file))
      found({ id: generateMessageId(message), message, origin: [file, line, column] });
  },
};

/** Where the words of the interface are found, and where their other languages stand. */
export default {
  rootDir: import.meta.dirname,
  sourceLocale: 'en',
  locales: ['de'],
  catalogs: [
    { path: 'web/src/language/{locale}', include: ['web/src', 'server/src'], exclude: ['**/*.test.*'] },
  ],
  extractors: [ofServer, extractor],
  orderBy: 'origin',
  format: formatter({ lineNumbers: false }),
  runtimeConfigModule: { i18n: ['#i18n', 'i18n'], Trans: ['#trans', 'Trans'] },
};
