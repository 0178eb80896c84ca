import type { Sheet } from '@hurrow/contract/measurements';
import { sheetAsScore } from '@hurrow/core/measurement';
import { qualifierKey, type ScoreValue } from '@hurrow/core/score';
import { badInput } from '../api/problem.ts';
import { say } from '../api/say.ts';
import type { Db } from '../db/index.ts';
import { beginChange, nameOfTaxon } from '../library/change.ts';
import { committedLibrary } from '../library/committed.ts';
import * as queries from '../library/queries.ts';
import { addRecord, recordNow } from '../library/records.ts';
import { ofTaxon, writeScores } from '../library/store.ts';

/** The source that own measurements speak as. */
export const MEASURED = { id: 'measured', label: 'Own measurements' };

export const sheetKey = (sheet: Omit<Sheet, 'values'>): string =>
  `${sheet.taxonId}|${sheet.characterId}|${qualifierKey(sheet.qualifiers)}`;

/** Writes a sheet as a revision of its own, with the score that it comes to. Run inside a transaction. */
export async function writeSheet(
  db: Db,
  accountId: string,
  now: Date,
  sheet: Sheet,
): Promise<{ revision: number; value: ScoreValue | null }> {
  const name = await nameOfTaxon(db, sheet.taxonId);
  const { library, vocabulary } = await committedLibrary(db);
  const character = vocabulary.get(sheet.characterId);
  if (!character || (character.kind !== 'measure' && character.kind !== 'count'))
    throw badInput(say`“${sheet.characterId}” is nothing that is measured or counted.`);
  if (character.kind === 'count' && sheet.values.some(({ value }) => !Number.isInteger(value)))
    throw badInput(say`${character.term} are counted: write whole numbers.`);
  const { libraryId, revision } = await beginChange(
    db,
    accountId,
    now,
    `Measured ${character.term} of ${name}`,
  );
  if (!library.sources.some(({ id }) => id === MEASURED.id)) {
    const { id, label } = MEASURED;
    await queries.addSource(db, libraryId, id, label, library.sources.length);
  }
  await addRecord(db, libraryId, 'sheet', sheetKey(sheet), revision, sheet);
  const values = sheet.values.map(({ value }) => value);
  const value = sheetAsScore(values, character) ?? null;
  await writeScores(
    db,
    revision,
    ofTaxon(sheet.taxonId, [
      { characterId: character.id, qualifiers: sheet.qualifiers, sourceId: MEASURED.id, value },
    ]),
  );
  return { revision, value };
}

/** Adds one value, in stored units, to the sheet of a character of a taxon. Run inside a transaction. */
export async function addToSheet(
  db: Db,
  accountId: string,
  now: Date,
  {
    taxonId,
    characterId,
    value,
    note,
  }: { taxonId: string; characterId: string; value: number; note: string },
): Promise<void> {
  const { id } = (await queries.theLibrary(db))!;
  await queries.lockLibrary(db, id);
  const sheet: Sheet = { taxonId, characterId, qualifiers: {}, values: [] };
  const held = await recordNow<Sheet>(db, id, 'sheet', sheetKey(sheet));
  await writeSheet(db, accountId, now, {
    ...sheet,
    values: [...(held?.record?.values ?? []), { value, note }],
  });
}
