import type { Db } from '../db/index.ts';
import * as queries from './queries.ts';

/** Quizzes whose stations are kept in memory: those that a class sits, and those that are looked at. */
const KEPT = 60;
const held = new Map<string, queries.StationRow[]>();

/**
 * What opening fixed of a quiz, lists, drawings and photographs: it never changes again and is read once. Whether a station counts is as it
 * was then. Not to be altered by the caller.
 */
export async function frozenStations(db: Db, quizId: string): Promise<queries.StationRow[]> {
  const kept = held.get(quizId);
  if (kept) {
    // Behind the others: the one looked at longest ago goes first.
    held.delete(quizId);
    held.set(quizId, kept);
    return kept;
  }
  const stations = await queries.stations(db, quizId);
  if (stations.length > 0 && stations.every(({ frozen }) => frozen)) held.set(quizId, stations);
  for (const oldest of held.keys()) if (held.size > KEPT) held.delete(oldest);
  return stations;
}

/** The stations of a quiz, with what opening fixed and whether they count now. */
export async function fixedStations(db: Db, quizId: string): Promise<queries.StationRow[]> {
  const stations = await frozenStations(db, quizId);
  if (!held.has(quizId)) return stations;
  const counting = new Map((await queries.countingOf(db, quizId)).map((row) => [row.id, row]));
  return stations.map((station) => ({ ...station, ...counting.get(station.id) }));
}

/** Forgets what was read, after another store was put in the place of this one. */
export const forgetStations = (): void => held.clear();
