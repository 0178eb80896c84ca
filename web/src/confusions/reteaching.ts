import { plural, t } from '@lingui/core/macro';
import type { ClassReport, ConfusionData } from '@hurrow/contract/confusions';
import { sinceTaught, type AfterReteaching, type HeldClass, type SinceTaught } from '@hurrow/core/confusion';
import { SHOWN_TITLES } from '@hurrow/core/view';
import type { ShownOrgan } from '@hurrow/core/vocabulary';
import { inTongue } from '../language/inTongue.ts';
import { listInWords } from '../language/inWords.ts';

/** What a class has answered, without the stations that do not count. */
export function heldClass(data: ConfusionData, report: ClassReport | undefined): HeldClass {
  const takenAt = new Map((report?.fairness ?? []).map(({ stationId, taken }) => [stationId, taken]));
  return {
    stations: data.stations
      .filter(({ voided, leftOut }) => !voided && !leftOut)
      .map(({ id, quizId, truth, view }) => ({
        id,
        quizId,
        truth,
        organs: view.organs,
        taken: takenAt.get(id) ?? [],
      })),
    answers: data.answers,
    heldOn: new Map(data.quizzes.map(({ id, heldOn }) => [id, heldOn])),
  };
}

/** What became of a pair since it was last taught again; undefined where it was not. Quizzes of that very day count as after. */
export function reteachingOf(
  data: ConfusionData,
  report: ClassReport | undefined,
  a: string,
  b: string,
): SinceTaught | undefined {
  const last = data.reteachings
    .filter((row) => [row.a, row.b].includes(a) && [row.a, row.b].includes(b))
    .at(-1);
  if (!last) return undefined;
  return sinceTaught(heldClass(data, report), a, b, last.taughtOn, last.students ?? undefined);
}

export const VERDICT_WORDS: Record<AfterReteaching, string> = {
  resolved: t`Resolved`,
  improving: t`Improving`,
  'still mixed up': t`Still mixed up, may have improved`,
  'as before': t`Still mixed up as before`,
  'too few to say': t`Too few answers to say`,
};

/** What has to be borne in mind with a verdict: later specimens that were easier, harder, or showed something else. */
export function cautionOf({ specimens, otherOrgans }: SinceTaught): string {
  const parts = otherOrgans.map((organ) => inTongue(SHOWN_TITLES[organ as ShownOrgan]));
  return [
    specimens === 'as hard'
      ? ''
      : t`The later specimens were ${inTongue(specimens)} to tell by the evidence; that is taken out of the verdict, as far as it can be known.`,
    parts.length
      ? t`Before and after were not shown alike: ${listInWords(parts)} ${plural(parts.length, { one: 'was', other: 'were' })} seen only once.`
      : '',
  ]
    .filter(Boolean)
    .join(' ');
}
