import { fileURLToPath } from 'node:url';
import { Piscina } from 'piscina';

// Built, the code of a thread lies beside the server; from source it is TypeScript, which Node is taught to read.
const BUILT = !import.meta.url.endsWith('.ts');

/** Threads that were asked for something, by the name of their file. */
const pools = new Map<string, Piscina>();

/** Where the code of each thread lies: as it is built (see build.mjs), and its source. */
const THREADS = {
  backupWorker: './backups/worker.ts',
  confusionWorker: './confusions/worker.ts',
  printWorker: './prints/worker.ts',
  teachingWorker: './lessons/worker.ts',
  slidesWorker: './lessons/slidesWorker.ts',
  libraryWorker: './exchange/worker.ts',
};

/**
 * Runs a task beside everything else, in a thread that starts with its first task and ends after ten idle seconds.
 *
 * @param options of Piscina: a signal that stops the task, what is handed over and not copied
 * @example
 * await inThread('printWorker', { paper: 'a4', sheet: 'cards', takes: […] });
 */
export function inThread<Result>(
  name: keyof typeof THREADS,
  task: unknown,
  options?: Parameters<Piscina['run']>[1],
): Promise<Result> {
  let pool = pools.get(name);
  if (!pool) {
    pool = new Piscina({
      filename: fileURLToPath(new URL(BUILT ? `./${name}.js` : THREADS[name], import.meta.url)),
      maxThreads: 1,
      minThreads: 0,
      // What a thread has worked out is asked of again while a plan is made.
      idleTimeout: 60_000,
      ...(BUILT ? {} : { execArgv: ['--import', 'tsx'] }),
    });
    pools.set(name, pool);
  }
  return pool.run(task, options) as Promise<Result>;
}

/** Ends all threads; what is asked next starts another. */
export async function endThreads(): Promise<void> {
  const ending = [...pools.values()];
  pools.clear();
  await Promise.all(ending.map((pool) => pool.destroy()));
}
