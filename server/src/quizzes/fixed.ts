import type { Db } from '../db/index.ts';
import * as queries from './queries.ts';

/** Quizzes whose stations are kept in memory: those that a class sits, and those that are looked at. */
const KEPT = 24;
const held = new Map<string, queries.StationRow[]>();

/**
 * The stations of a quiz. What opening fixed, lists, drawings and photographs, never changes again and is read once; whether a station
 * counts is read each time. Not to be altered by the caller.
 */
export async function fixedStations(db: Db, quizId: string): Promise<queries.StationRow[]> {
  const kept = held.get(quizId);
  if (!kept) {
    const stations = await queries.stations(db, quizId);
    if (stations.length > 0 && stations.every(({ frozen }) => frozen)) held.set(quizId, stations);
    for (const oldest of held.keys()) if (held.size > KEPT) held.delete(oldest);
    return stations;
  }
  held.delete(quizId);
  held.set(quizId, kept);
  const counting = new Map((await queries.countingOf(db, quizId)).map((row) => [row.id, row]));
  return kept.map((station) => ({ ...station, ...counting.get(station.id) }));
}

/** Forgets what was read, after another store was put in the place of this one. */
export const forgetStations = (): void => held.clear();
