import { MessageChannel } from 'node:worker_threads';
import { MODEL_VERSION } from '@hurrow/core/confusion';
import type { ClassReport, Progress, Scores } from '@hurrow/contract/confusions';
import { courseOf } from '../courses/course.ts';
import type { Db } from '../db/index.ts';
import type { Doing } from '../jobs/jobs.ts';
import { stateOf } from '../library/committed.ts';
import { inThread } from '../thread.ts';
import { keyOf } from '../workedOut/key.ts';
import { keepWorkedOut, workedOut } from '../workedOut/queries.ts';
import type { ClassInput, StationFairness } from './classReport.ts';
import { gather } from './gather.ts';
import * as queries from './queries.ts';
import type { Task } from './worker.ts';

/** Reports of a course that are kept: enough to undo a few changes without computing again. */
const KEPT_REPORTS = 12;

/**
 * Computes the report on a course as it stands and keeps it, where it is not kept already.
 *
 * @returns the key under which it is kept: that of what it was asked for, or of what came in between
 */
export async function keepReportOf(
  { courseId, scores, earlier, at }: { courseId: string; scores: Scores; earlier: boolean; at: string },
  { db, signal, progress }: Doing,
): Promise<{ key: string }> {
  const { key, input } = await gather(db, await courseOf(db, courseId), scores, earlier);
  if (await queries.report(db, courseId, key)) return { key };
  const keys = await fairnessKeys(db, input);
  const kept = await workedOut<StationFairness>(db, [...keys.values()]);
  const known = Object.fromEntries(
    [...keys].flatMap(([id, of]) => (kept.has(of) ? [[id, kept.get(of)!]] : [])),
  );
  const report = await computed({ ...input, known }, signal, progress);
  const fresh = report.fairness.filter(({ stationId }) => !(stationId in known));
  await keepWorkedOut(
    db,
    new Map(fresh.map(({ stationId, ...fairness }) => [keys.get(stationId)!, fairness])),
  );
  await queries.keepReport(db, courseId, key, report, new Date(at));
  await queries.dropOldReports(db, courseId, KEPT_REPORTS);
  return { key };
}

/** By station, a key of all that its fairness follows from: the library as it stood, what was shown, and among which names. */
async function fairnessKeys(db: Db, { stations, libraries, site }: ClassInput): Promise<Map<string, string>> {
  const states = new Map<string, string>();
  for (const { key } of libraries) states.set(key, (await stateOf(db, Number(key))).key);
  return new Map(
    stations.map(({ id, libraryKey, truth, view, options }) => [
      id,
      keyOf('fairness', MODEL_VERSION, states.get(libraryKey), truth, view, options, site),
    ]),
  );
}

/** Computes a report in a thread. Rejects when it is stopped. */
async function computed(
  input: ClassInput,
  signal: AbortSignal,
  progress: (now: Progress) => void,
): Promise<ClassReport> {
  const { port1, port2 } = new MessageChannel();
  port1.on('message', progress);
  const task: Task = { input, progress: port2 };
  try {
    return await inThread<ClassReport>('confusionWorker', task, { signal, transferList: [port2] });
  } finally {
    port1.close();
  }
}
