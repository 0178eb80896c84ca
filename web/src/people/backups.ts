import { plural, t } from '@lingui/core/macro';
import type { Backup } from '@hurrow/contract/backups';
import { decimal, writtenAs } from '../language/inWords.ts';

/** The size of a file as people say it: 4.9 MB. */
export const sizeInWords = (bytes: number): string =>
  bytes < 1e6 ? t`${Math.max(1, Math.round(bytes / 1e3))} kB` : t`${decimal(bytes / 1e6, 1)} MB`;

/** A moment on this machine's clock: Fri 27 Nov 2026, 14:05. */
export const momentInWords = (iso: string): string =>
  new Date(iso).toLocaleString(writtenAs('en-GB'), {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    hour: '2-digit',
    minute: '2-digit',
  });

/**
 * How the data are kept, in a sentence that says when to act.
 *
 * @example
 * stateOfBackups([], now); // { calm: false, words: 'There is no backup yet. …' }
 */
export function stateOfBackups(
  backups: readonly Pick<Backup, 'made'>[],
  now: Date,
): { calm: boolean; words: string } {
  const newest = backups[0];
  if (!newest)
    return {
      calm: false,
      words: t`There is no backup yet. Hurrow makes one each day while it runs; make the first now.`,
    };
  const days = Math.floor((now.getTime() - Date.parse(newest.made)) / 86_400_000);
  if (days < 2) return { calm: true, words: t`The newest backup is of ${momentInWords(newest.made)}.` };
  return {
    calm: false,
    words: t`The newest backup is ${plural(days, { one: '# day', other: '# days' })} old: Hurrow has not run long enough to make another. Make one now.`,
  };
}

/** What restoring a backup does, to be read before it is done. */
export function whatRestoringDoes({ made, newestAnswer }: Pick<Backup, 'made' | 'newestAnswer'>): string {
  const answers = newestAnswer
    ? t` Its newest answer is of ${momentInWords(newestAnswer)}; answers that came later are put back from the journal.`
    : t` Answers that came later are put back from the journal.`;
  return t`Everything becomes what it was on ${momentInWords(made)}: species, courses, marks, people and passwords.${answers} What is there now is kept beside it in the data folder. Everyone is signed out.`;
}
