import { t } from '@lingui/core/macro';
import { calledOf, UNCALLED, type Answer, type NamingPolicy } from '@hurrow/core/names';
import type { QuestionKind } from '@hurrow/core/station';

/** The part of an answer that a written question fills, and what its field is called. */
export function fieldOf(
  kind: QuestionKind,
  policy: NamingPolicy,
): { part: 'family' | 'genus' | 'said'; label: string } {
  if (kind === 'family') return { part: 'family', label: t`Family` };
  if (kind === 'genus') return { part: 'genus', label: policy === 'common' ? t`Kind of tree` : t`Genus` };
  return { part: 'said', label: t`Your answer, with its unit if it has one` };
}

/**
 * An answer after a tap on one of those offered: with it, or without where it was chosen before.
 *
 * @example
 * answeredWith({ said: 'opposite' }, 'opposite'); // { said: '' }
 */
export const answeredWith = (answer: Answer, id: string): Answer => ({
  ...answer,
  said: answer.said === id ? '' : id,
});

/** An answer with what is typed in a part of it. */
export const typedIn = (answer: Answer, part: 'family' | 'genus' | 'said', text: string): Answer => ({
  ...answer,
  [part]: text,
});

/**
 * An answer after one of several specimens was called something, by a tap that another takes back.
 *
 * @example
 * calledWith({ said: 'opposite - -' }, 3, 1, 'alternate'); // { said: 'opposite alternate -' }
 */
export function calledWith(answer: Answer, count: number, at: number, id: string): Answer {
  const called = calledOf(answer.said ?? '', count).map((was, i) =>
    i !== at ? was : was === id ? undefined : id,
  );
  const none = called.every((each) => each === undefined);
  return { ...answer, said: none ? '' : called.map((each) => each ?? UNCALLED).join(' ') };
}
