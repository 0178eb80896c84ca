import { fileURLToPath } from 'node:url';
import { Piscina } from 'piscina';

// Built, the code of a thread lies beside the server; from source it is TypeScript, which Node is taught to read.
const BUILT = !import.meta.url.endsWith('.ts');

/**
 * A thread that starts with its first task and ends after ten idle seconds.
 *
 * @param name of the built file, as in build.mjs
 * @param source its file as seen from here
 * @example
 * await threadFor('confusionWorker', './confusions/worker.ts').run(task);
 */
export const threadFor = (name: string, source: string): Piscina =>
  new Piscina({
    filename: fileURLToPath(new URL(BUILT ? `./${name}.js` : source, import.meta.url)),
    maxThreads: 1,
    minThreads: 0,
    idleTimeout: 10_000,
    ...(BUILT ? {} : { execArgv: ['--import', 'tsx'] }),
  });
