import type { Answer } from '@hurrow/core/names';
import { statesToSee } from '@hurrow/core/station';
import { badInput } from '../api/problem.ts';
import type { Db } from '../db/index.ts';
import { committedLibrary } from '../library/committed.ts';
import type { StationRow } from './queries.ts';

/** Throws where an answer says of a character what its station did not ask for, or names no state of it. */
export async function checkSeen(db: Db, { position, frozen }: StationRow, { seen }: Answer): Promise<void> {
  const said = Object.entries(seen ?? {}).filter(([, state]) => state);
  if (said.length === 0) return;
  const { vocabulary } = await committedLibrary(db, frozen?.revision);
  for (const [characterId, state] of said) {
    const character = vocabulary.get(characterId);
    const asked = frozen?.asks?.some((question) => question.characterId === characterId);
    if (!asked || !character)
      throw badInput(`Station ${position} does not ask for “${characterId}”. Leave it out of the answer.`);
    if (!statesToSee(character).includes(state))
      throw badInput(`“${state}” is no state of ${character.term}. Choose one of those offered.`);
  }
}
