import type { Piscina } from 'piscina';
import { threadFor } from '../thread.ts';
import type { Paper } from './paper.ts';
import type { Sheets } from './sheets.ts';
import type { PrintTask } from './worker.ts';

let pool: Piscina | undefined;

/** Ends the thread that prints, if there is one. */
export async function endPrinting(): Promise<void> {
  const ending = pool;
  pool = undefined;
  await ending?.destroy();
}

/**
 * A sheet as PDF. Drawing and setting it takes seconds for many trees: it is done beside everything else.
 *
 * @example
 * await printed('a4', 'cards', profiles, 'a4', options); // the bytes of a PDF
 */
export async function printed<S extends keyof Sheets>(
  paper: Paper,
  sheet: S,
  ...takes: Parameters<Sheets[S]>
): Promise<Buffer> {
  const task: PrintTask = { paper, sheet, takes };
  const bytes = (await (pool ??= threadFor('printWorker', './prints/worker.ts')).run(task)) as Uint8Array;
  return Buffer.from(bytes);
}
