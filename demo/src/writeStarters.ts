import { mkdirSync, writeFileSync } from 'node:fs';
import { writeBundle } from '@hurrow/core/bundle';
import { starters } from './starters.ts';

// The starter libraries as files that the page offers to an empty Hurrow: made with every build of the pages.
const folder = new URL('../../web/public/starters/', import.meta.url);
mkdirSync(folder, { recursive: true });
for (const { id, library, ranges } of starters())
  writeFileSync(new URL(`${id}.json`, folder), writeBundle(library, ranges));
