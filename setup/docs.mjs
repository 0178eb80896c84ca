import { readFileSync, writeFileSync } from 'node:fs';
import { BUNDLE_SCHEMA } from '../core/src/bundle/index.ts';
import { charactersInMarkdown } from '../core/src/formats/index.ts';
import { BUILT_IN } from '../core/src/vocabulary/index.ts';

// What the documentation takes from the code: a test says when it has fallen behind.
const formats = new URL('../docs/formats.md', import.meta.url);
const [before] = readFileSync(formats, 'utf8').split('<!-- the characters, written by npm run docs -->');
writeFileSync(
  formats,
  `${before}<!-- the characters, written by npm run docs -->\n\n${charactersInMarkdown(BUILT_IN)}`,
);
writeFileSync(
  new URL('../docs/library.schema.json', import.meta.url),
  `${JSON.stringify(BUNDLE_SCHEMA, null, 2)}\n`,
);
