import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { atlasOf, type Atlas } from '@hurrow/core/map';

const { resolve } = createRequire(import.meta.url);
const file = <T>(name: string): T => JSON.parse(readFileSync(resolve(name), 'utf8')) as T;

let held: Atlas | undefined;

/** Land and borders, read once in the thread that draws maps. */
export const atlas = (): Atlas =>
  (held ??= atlasOf(file('world-atlas/countries-50m.json'), file('us-atlas/counties-10m.json')));
