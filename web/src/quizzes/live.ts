import { plural, t } from '@lingui/core/macro';
import type { Attendance } from '@hurrow/contract/running';

/** How a quiz stands: answered stations by student, answers by station, and those that name its tree. */
export interface Counts {
  students: Record<string, number>;
  answered: Record<string, number>;
  right: Record<string, number>;
}

/** What was heard, and whether the page hears of changes: `ended` where the server will tell no more. */
export interface Live {
  counts?: Counts;
  line: 'open' | 'lost' | 'ended';
}

export const NOTHING: Live = { line: 'open' };

/** Takes up what the server tells: everything at first, then what changes. A message that cannot be read changes nothing. */
export function told(before: Live, message: string): Live {
  try {
    const { students, answered, right } = JSON.parse(message) as Counts;
    const { counts } = before;
    return {
      counts: {
        students: { ...counts?.students, ...students },
        answered: { ...counts?.answered, ...answered },
        right: { ...counts?.right, ...right },
      },
      line: 'open',
    };
  } catch {
    return before;
  }
}

/**
 * How far a class is, in a sentence.
 *
 * @example
 * howFar(live, students, quiz); // '3 of 24 students have answered every station, 2 have not begun. Changes appear as they come.'
 */
export function howFar(
  { counts, line }: Live,
  all: readonly { id: string; was?: Attendance }[],
  { stations, state }: { stations: readonly unknown[]; state: string },
): string {
  if (line === 'ended')
    return t`The server tells no more: what stands here may be old. Reload the page; if you are signed out, sign in again.`;
  if (line === 'lost')
    return t`No connection to the server: what stands here may be old. It is taken up again by itself.`;
  if (!counts) return t`Asking for the answers so far…`;
  const students = all.filter(({ was = 'there' }) => was === 'there');
  const of = (id: string) => counts.students[id] ?? 0;
  const done = students.filter(({ id }) => of(id) >= stations.length).length;
  const none = students.filter(({ id }) => of(id) === 0).length;
  const said = t`${done} of ${plural(students.length, { one: '# student', other: '# students' })} ${plural(done, { one: 'has', other: 'have' })} answered every station, ${none} ${plural(none, { one: 'has', other: 'have' })} not begun.`;
  return state === 'open' ? t`${said} Changes appear as they come.` : said;
}

/** A table of responses as it may be imported: with the parts of a name that the marking asks for. */
export const responseExample = (policy: string): string =>
  policy === 'common'
    ? t`student,station,answer\nRowan Achterberg,1,paper birch`
    : t`student,station,genus,epithet,family\nRowan Achterberg,1,Betula,papyrifera,Betulaceae`;

/** The choice to replace answers that are stored already. */
export const toReplace = (count: number): string =>
  t`Replace ${plural(count, { one: 'this stored answer', other: 'these # stored answers' })}; both stay in the history`;
