import { plural, t } from '@lingui/core/macro';
import type { OpenQuiz } from '@hurrow/contract/sitting';
import type { Answer } from '@hurrow/core/names';

/** Does an answer say nothing at all? */
export const isEmpty = ({
  seen = {},
  wentBy = [],
  wentByUnread = [],
  sure: _sure,
  ...names
}: Answer): boolean =>
  wentBy.length + wentByUnread.length === 0 &&
  [...Object.values(names), ...Object.values(seen)].every((text) => !text?.trim());

/** Does it name nothing? What was seen and gone by is no name. */
export const isBlank = ({ seen: _seen, wentBy: _wentBy, wentByUnread: _unread, ...names }: Answer): boolean =>
  isEmpty(names);

/** How a station stands: nothing written, named, only partly answered; and what the student wants to come back to. */
export interface StationStanding {
  id: string;
  position: number;
  state: 'open' | 'begun' | 'answered';
  again: boolean;
}

/**
 * How each station of a quiz stands.
 *
 * @param written the newest answer of a station, on the phone or from the server
 * @param again ids of stations to come back to
 */
export function standingOf(
  quiz: Pick<OpenQuiz, 'stations'>,
  written: (stationId: string) => Answer | undefined,
  again: readonly string[],
): StationStanding[] {
  return quiz.stations.map(({ id, position, answer }) => {
    const now = written(id) ?? answer ?? {};
    const state = isEmpty(now) ? 'open' : isBlank(now) ? 'begun' : 'answered';
    return { id, position, state, again: again.includes(id) };
  });
}

/**
 * What is left, in a sentence.
 *
 * @example
 * leftInWords(standings); // '12 of 20 answered, 2 to come back to.'
 */
export function leftInWords(standings: readonly StationStanding[]): string {
  const answered = standings.filter(({ state }) => state === 'answered').length;
  const again = standings.filter((each) => each.again).length;
  const back = again > 0 ? t`, ${again} to come back to` : '';
  if (answered === standings.length) return t`Every station has an answer${back}.`;
  return t`${answered} of ${standings.length} answered${back}.`;
}

/**
 * Where answers are, in plain words.
 *
 * @example
 * whereInWords({ written: 12, received: 9 }); // '12 answers on this phone, 9 received'
 */
export const whereInWords = ({ written, received }: { written: number; received: number }): string =>
  written === 0
    ? ''
    : t`${plural(written, { one: '# answer', other: '# answers' })} on this phone, ${received === written ? plural(written, { one: 'received', other: 'all received' }) : t`${received} received`}`;

/**
 * The station that a card's code, or a number typed in its place, leads to; else what is wrong with it.
 *
 * @example
 * stationOfCode('https://trees.example/quiz/4f1c/7', { id: '4f1c', stations }); // { position: 7 }
 * stationOfCode('23', { id: '4f1c', stations }); // { problem: 'This quiz has stations 1 to 20.' }
 */
export function stationOfCode(
  text: string,
  quiz: { id: string; stations: readonly unknown[] },
): { position: number } | { problem: string } {
  const typed = /^\s*(\d{1,3})\s*$/.exec(text)?.[1];
  const [, quizId, number] = /\/quiz\/([\w-]+)\/(\d{1,3})\/?(?:[?#].*)?$/.exec(text.trim()) ?? [];
  if (!typed && !number) return { problem: t`This is not the code of a station. Type the station’s number.` };
  if (!typed && quizId !== quiz.id)
    return { problem: t`This card belongs to another quiz. Type the station’s number, or ask.` };
  const position = Number(typed ?? number);
  return position >= 1 && position <= quiz.stations.length
    ? { position }
    : { problem: t`This quiz has stations 1 to ${quiz.stations.length}.` };
}

/**
 * Which stations are to be come back to after one was marked or unmarked.
 *
 * @example
 * marked(['a'], 'b'); // ['a', 'b']
 * marked(['a'], 'a'); // []
 */
export const marked = (again: readonly string[], id: string): string[] =>
  again.includes(id) ? again.filter((each) => each !== id) : [...again, id];
