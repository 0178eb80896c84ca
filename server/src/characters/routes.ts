import * as characters from '@hurrow/contract/characters';
import { BUILT_IN, type Character } from '@hurrow/core/vocabulary';
import { badInput, conflict, notFound } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { accountOf, serve } from '../api/route.ts';
import { beginChange, refuseStale } from '../library/change.ts';
import * as queries from '../library/queries.ts';
import { addRecord, recordNow, usesOfCharacter } from '../library/records.ts';

export const characterRoutes = [
  serve(characters.uses, async ({ db, params }) => {
    const library = (await queries.theLibrary(db))!;
    return usesOfCharacter(db, library.id, params.characterId);
  }),
  serve(characters.save, ({ db, body: { character, baseRevision }, params, who, now }) =>
    db.transaction(async (tx) => {
      if (character.id !== params.characterId) throw badInput(say`The id of a character cannot be changed.`);
      await refuseStale(tx, 'character', character.id, baseRevision, say`“${character.term}”`);
      const { libraryId, revision } = await beginChange(
        tx,
        accountOf(who),
        now,
        `Changed the character ${character.term}`,
      );
      const before =
        (await recordNow<Character>(tx, libraryId, 'character', character.id))?.record ??
        BUILT_IN.get(character.id);
      refuseOtherKind(character, before);
      const { taxa } = await usesOfCharacter(tx, libraryId, character.id);
      const lost = (before?.states ?? []).filter(
        (state) => !character.states.some((kept) => kept.id === state.id),
      );
      if (lost.length > 0 && taxa.length > 0)
        throw conflict(
          say`${lost.map((state) => `“${state.term}”`)} may be in use: ${taxa.length} taxa are scored for ${character.term}. Reword the state instead of taking it out.`,
        );
      await addRecord(tx, libraryId, 'character', character.id, revision, character);
      return { revision };
    }),
  ),
  serve(characters.remove, ({ db, params, who, now }) =>
    db.transaction(async (tx) => {
      const { libraryId, revision } = await beginChange(
        tx,
        accountOf(who),
        now,
        `Took the character ${params.characterId} away`,
      );
      const held = await recordNow<Character>(tx, libraryId, 'character', params.characterId);
      if (!held?.record) throw notFound('character of the library’s own');
      await addRecord(tx, libraryId, 'character', params.characterId, revision, null);
      return { revision };
    }),
  ),
];

const FIXED_PARTS = {
  kind: say`The kind`,
  unit: say`The unit`,
  organ: say`The organ`,
  anyOf: say`The choice of one or several states`,
};

/** The kind, unit and organ of a character that exists decide what its scores mean, and stay. */
function refuseOtherKind(wanted: Character, held: Character | undefined): void {
  if (!held) {
    if ((wanted.kind === 'categorical' || wanted.kind === 'ordinal') && wanted.states.length < 2)
      throw badInput(say`A character with states needs at least two of them.`);
    return;
  }
  for (const part of ['kind', 'unit', 'organ', 'anyOf'] as const)
    if (held[part] !== wanted[part])
      throw badInput(
        say`${FIXED_PARTS[part]} of ${held.term} cannot be changed, since its scores rest on it. Add a new character instead.`,
      );
}
