import { t } from '@lingui/core/macro';
import type { ConfusionData } from '@hurrow/contract/confusions';
import type { GroupSlip } from '@hurrow/core/finding';

/** One line of the list of students. */
export interface StandingLine {
  id: string;
  name: string;
  asked: number;
  right: number;
  /** What was taken for what twice at least, the most often first. */
  again: { truth: string; named: string; times: number }[];
}

type Counted = Pick<ConfusionData, 'stations' | 'answers'>;

const truths = ({ stations }: Counted): Map<string, string> =>
  new Map(stations.filter(({ voided, leftOut }) => !voided && !leftOut).map(({ id, truth }) => [id, truth]));

/** What students took for what, at stations that count. */
export function slipsOf(data: Counted): GroupSlip[] {
  const truthOf = truths(data);
  return data.answers.flatMap(({ studentId, stationId, named }) => {
    const truth = truthOf.get(stationId);
    return truth !== undefined && named && named !== truth ? [{ studentId, truth, named }] : [];
  });
}

/** Every student of a course with what was answered, by name. */
export function standings(data: Counted, students: readonly { id: string; name: string }[]): StandingLine[] {
  const truthOf = truths(data);
  const slips = slipsOf(data);
  return students
    .map(({ id, name }) => {
      const own = data.answers.filter(
        ({ studentId, stationId }) => studentId === id && truthOf.has(stationId),
      );
      const times = new Map<string, { truth: string; named: string; times: number }>();
      for (const { studentId, truth, named } of slips) {
        if (studentId !== id) continue;
        const held = times.get(`${truth} ${named}`) ?? { truth, named, times: 0 };
        held.times += 1;
        times.set(`${truth} ${named}`, held);
      }
      return {
        id,
        name,
        asked: own.length,
        right: own.filter(({ stationId, named }) => named === truthOf.get(stationId)).length,
        again: [...times.values()].filter((each) => each.times > 1).sort((x, y) => y.times - x.times),
      };
    })
    .sort((x, y) => x.name.localeCompare(y.name));
}

/** Twice, three times, 4 times. */
export const timesSaid = (times: number): string =>
  times === 1 ? t`once` : times === 2 ? t`twice` : times === 3 ? t`three times` : t`${times} times`;

/** What a student took for what in practice, the most often first; nothing where the course does not show single slips. */
export function practiceSlips(
  slips: readonly { studentId: string; cardId: string; named: string }[],
  studentId: string,
): { truth: string; named: string; times: number }[] {
  const times = new Map<string, { truth: string; named: string; times: number }>();
  for (const slip of slips) {
    if (slip.studentId !== studentId) continue;
    const truth = slip.cardId.split(' ')[0]!;
    const held = times.get(`${truth} ${slip.named}`) ?? { truth, named: slip.named, times: 0 };
    held.times += 1;
    times.set(`${truth} ${slip.named}`, held);
  }
  return [...times.values()].sort((x, y) => y.times - x.times);
}
