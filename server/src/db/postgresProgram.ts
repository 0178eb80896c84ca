import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';

const { resolve } = createRequire(import.meta.url);

let made: Promise<WebAssembly.Module> | undefined;

/**
 * PGlite's PostgreSQL as a program of this processor, made once. Making it takes a fifth of a second, beside whatever is done meanwhile: who
 * will open a folder asks for it early.
 *
 * @example
 * await PGlite.create({ dataDir: 'data/store', pgliteWasmModule: await postgresProgram() });
 */
export const postgresProgram = (): Promise<WebAssembly.Module> =>
  // Read at once and not in turn: what is read in turn waits until everything else has been.
  (made ??= WebAssembly.compile(readFileSync(join(dirname(resolve('@electric-sql/pglite')), 'pglite.wasm'))));
