import { readLibrary } from '@hurrow/core/library';
import type { Outcome } from '@hurrow/core/outcome';
import type { Range } from '@hurrow/core/range';
import type { LibraryAtRevision } from '../library/store.ts';
import type { ExportFormat, LibraryImportReport } from '@hurrow/contract/exchange';
import { written } from './export.ts';
import { readIncoming } from './incoming.ts';
import { planImport, type Ground, type ImportWrites } from './plan.ts';

/** What can be asked of a library at one state. */
export type Task =
  | { do: 'plan'; text: string; sourceId: string | undefined }
  | { do: 'write'; format: ExportFormat; sourceId: string | undefined; at: string };

/** What each task is answered with. */
export interface Answers {
  plan: Outcome<{ report: LibraryImportReport; writes: ImportWrites }>;
  write: string;
}

/** A library as it is handed to a thread. */
export interface Held {
  library: LibraryAtRevision;
  ranges: [taxonId: string, Range][];
}

export const groundOf = ({ library, ranges }: Held): Ground => ({
  read: readLibrary(library),
  ranges: new Map(ranges),
});

/** Does a task, from plain data. */
export const work = <T extends Task>(task: T, ground: Ground): Answers[T['do']] =>
  (task.do === 'plan' ? plan(task, ground) : written(task, ground)) as Answers[T['do']];

function plan({ text, sourceId }: Extract<Task, { do: 'plan' }>, ground: Ground): Answers['plan'] {
  const { library } = ground.read;
  const incoming = readIncoming(text, library, sourceId ?? library.sources[0]!.id);
  return incoming.ok ? { ok: true, value: planImport(incoming.value, ground) } : incoming;
}
