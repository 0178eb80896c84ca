import type { ClassReport, ConfusionData } from '@hurrow/contract/confusions';
import { afterReteaching, type AfterReteaching } from '@hurrow/core/confusion';

export interface Reteaching {
  taughtOn: string;
  status: AfterReteaching;
  before: { mixed: number; asked: number };
  after: { mixed: number; asked: number };
}

/** What became of a pair since it was last taught again; undefined where it was not. Quizzes of that very day count as after. */
export function reteachingOf(
  data: ConfusionData,
  report: ClassReport | undefined,
  a: string,
  b: string,
): Reteaching | undefined {
  const last = data.reteachings
    .filter((row) => [row.a, row.b].includes(a) && [row.a, row.b].includes(b))
    .at(-1);
  if (!last) return undefined;
  const heldOn = new Map(data.quizzes.map((quiz) => [quiz.id, quiz.heldOn]));
  const stations = new Map(
    data.stations
      .filter(({ truth, voided, leftOut }) => !voided && !leftOut && (truth === a || truth === b))
      .map((station) => [station.id, station]),
  );
  const counts = { before: { mixed: 0, asked: 0 }, after: { mixed: 0, asked: 0 } };
  for (const { stationId, quizId, named } of data.answers) {
    const station = stations.get(stationId);
    if (!station) continue;
    const side = counts[heldOn.get(quizId)! < last.taughtOn ? 'before' : 'after'];
    side.asked += 1;
    if (named === (station.truth === a ? b : a)) side.mixed += 1;
  }
  const expected =
    report?.pairs.filter(({ truth, answer }) => [a, b].includes(truth) && [a, b].includes(answer)) ?? [];
  const expectedRate = expected.length
    ? expected.reduce((sum, pair) => sum + pair.expectedRate, 0) / expected.length
    : 0;
  return {
    taughtOn: last.taughtOn,
    status: afterReteaching(counts.before, counts.after, expectedRate),
    ...counts,
  };
}
