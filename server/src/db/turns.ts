import { setImmediate as breathe } from 'node:timers/promises';

/** Milliseconds of the store's work after which everything else has its turn. */
const AT_A_STRETCH = 6;

/**
 * Runs pieces of work one after another, and lets the process do other things between them. PGlite by itself works through all that is
 * asked in one stretch, during which nothing that has come from the disk or the network is taken up.
 *
 * @example
 * const inTurn = turns();
 * await inTurn(() => pglite.query('select 1'));
 */
export function turns(): <T>(work: () => Promise<T>) => Promise<T> {
  const waiting: (() => Promise<void>)[] = [];
  let running = false;
  const run = async () => {
    running = true;
    let since = performance.now();
    for (let work = waiting.shift(); work; work = waiting.shift()) {
      await work();
      if (performance.now() - since < AT_A_STRETCH) continue;
      await breathe();
      since = performance.now();
    }
    running = false;
  };
  return (work) =>
    new Promise((resolve, reject) => {
      waiting.push(() => work().then(resolve, reject));
      if (!running) void run();
    });
}
