import { calledOf, type Answer } from '@hurrow/core/names';
import { GUESS, statesToSee, WHOLE_LOOK } from '@hurrow/core/station';
import { badInput } from '../api/problem.ts';
import { say } from '../api/say.ts';
import type { Db } from '../db/index.ts';
import { committedLibrary } from '../library/committed.ts';
import type { StationRow } from './queries.ts';

/** Throws where an answer says of a character what its station did not ask for, or names no state of it. */
export async function checkSeen(db: Db, station: StationRow, answer: Answer): Promise<void> {
  checkWentBy(station, answer);
  checkSaid(station, answer);
  const { position, frozen } = station;
  const said = Object.entries(answer.seen ?? {}).filter(([, state]) => state);
  if (said.length === 0) return;
  const { vocabulary } = await committedLibrary(db, frozen?.revision);
  for (const [characterId, state] of said) {
    const character = vocabulary.get(characterId);
    const asked = frozen?.asks?.some((question) => question.characterId === characterId);
    if (!asked || !character)
      throw badInput(say`Station ${position} does not ask for “${characterId}”. Leave it out of the answer.`);
    if (!statesToSee(character).includes(state))
      throw badInput(say`“${state}” is no state of ${character.term}. Choose one of those offered.`);
  }
}

/** Throws where what was gone by is told though nobody asked, or is nothing that was offered. */
function checkWentBy({ position, frozen }: StationRow, { wentBy = [], wentByUnread = [] }: Answer): void {
  const offered = frozen?.wentBy ?? [];
  const stray = wentBy.find((id) => id !== WHOLE_LOOK && id !== GUESS && !offered.includes(id));
  if (wentBy.length + wentByUnread.length > 0 && offered.length === 0)
    throw badInput(
      say`Station ${position} does not ask what the tree was named by. Leave it out of the answer.`,
    );
  if (stray !== undefined)
    throw badInput(
      say`“${stray}” is not among what station ${position} offers to go by. Choose one of those offered.`,
    );
}

/** Throws where something is said that nobody asked, or chosen that was not offered. */
function checkSaid({ position, frozen }: StationRow, { said }: Answer): void {
  if (!said) return;
  const question = frozen?.question;
  if (!question || question.kind === 'family' || question.kind === 'genus')
    throw badInput(say`Station ${position} asks for a name. Write it in the field of the name.`);
  const named = question.items ? calledOf(said, question.items.length).flatMap((id) => id ?? []) : [said];
  const isOffered = (id: string) => question.offered.some((each) => each.id === id);
  if (question.offered.length > 0 && !named.every(isOffered))
    throw badInput(say`“${said}” is not among what station ${position} offers. Choose one of those offered.`);
}

/** Does an answer tell more than names, so that it has to be held against its station? */
export const tellsMore = ({ seen, wentBy = [], wentByUnread = [], said }: Answer): boolean =>
  Object.values(seen ?? {}).some(Boolean) || wentBy.length + wentByUnread.length > 0 || Boolean(said);
