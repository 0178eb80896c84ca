import { setImmediate as breathe } from 'node:timers/promises';
import { profilesOf, vocabularyOfLibrary } from '@hurrow/core/library';
import { freezeStation, tooLittleInWords, tooLittleToDraw, type FrozenStation } from '@hurrow/core/quiz';
import { badInput } from '../api/problem.ts';
import { courseOf } from '../courses/routes.ts';
import { sets } from '../courses/queries.ts';
import type { Db } from '../db/index.ts';
import { photoFor } from '../photos/photoFor.ts';
import { newestRevision, sources, theLibrary } from '../species/queries.ts';
import type { LibraryAtRevision } from '../species/store.ts';
import * as queries from './queries.ts';

/** What the stations of a quiz are fixed from, but for the library itself, and a text that changes with any of it. */
export async function groundOf(db: Db, quiz: queries.QuizRow) {
  const stations = await queries.stations(db, quiz.id);
  const course = await courseOf(db, quiz.course_id);
  const taught = (await sets(db, course.id)).flatMap((set) => set.taxa);
  const library = (await theLibrary(db))!;
  const { marking, units, latitude, longitude, elevation } = course;
  const by = JSON.stringify([
    stations,
    { marking, units, latitude, longitude, elevation },
    taught,
    // A revision never changes; name, place and sources have none of their own.
    library,
    await newestRevision(db, library.id),
    await sources(db, library.id),
  ]);
  return { stations, course, taught, by };
}

/**
 * Fixes every station of a quiz: list, names, view, specimen and drawing as they are now. Nothing is stored. Others have their turn between
 * stations. Throws (422) where a station can not be shown.
 *
 * @param libraryOf reads the library as it stands: one that is shared, or inside a transaction its own
 * @returns what was fixed by station, and the ground that it holds for (`groundOf`)
 */
export async function freezeAll(
  db: Db,
  quiz: queries.QuizRow,
  libraryOf: (db: Db) => Promise<LibraryAtRevision>,
): Promise<{ by: string; stations: [string, FrozenStation][] }> {
  const { stations, course, taught, by } = await groundOf(db, quiz);
  const library = await libraryOf(db);
  if (stations.length === 0) throw badInput('The quiz has no stations yet. Add at least one, then open it.');
  const vocabulary = vocabularyOfLibrary(library);
  const profiles = profilesOf(library, vocabulary);
  const list = taught.flatMap((id) => profiles.find(({ taxon }) => taxon.id === id) ?? []);
  const ground = { list, vocabulary, reference: library.reference, site: course };
  const fixed: [string, FrozenStation][] = [];
  for (const station of stations) {
    await breathe();
    if (!taught.includes(station.taxon_id))
      throw badInput(
        `Station ${station.position} shows a species that is no longer on the list. Change the station or the list.`,
      );
    const { taxon_id: taxonId, medium, view, asks } = station;
    const planned = { taxonId, medium, view, asks };
    const lacking = tooLittleToDraw(planned, ground);
    if (lacking.length > 0)
      throw badInput(
        `Station ${station.position}: ${tooLittleInWords(lacking, vocabulary)}. Score them, or choose another medium.`,
      );
    const drawn = freezeStation(planned, station.seed, {
      ...ground,
      revision: library.revision,
      marking: course.marking,
      units: course.units,
    });
    const picture = medium === 'photo' ? await photoFor(db, library, taxonId, view) : undefined;
    fixed.push([station.id, picture ? { ...drawn, traits: null, drawing: picture } : drawn]);
  }
  return { by, stations: fixed };
}
