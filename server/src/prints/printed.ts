import { inThread } from '../thread.ts';
import type { Paper } from '@hurrow/contract/prints';
import type { Sheets } from './sheets.ts';
import type { PrintTask } from './worker.ts';

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
  return Buffer.from(await inThread<Uint8Array>('printWorker', task));
}
