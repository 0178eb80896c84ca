import { t } from '@lingui/core/macro';
import type { ConfusionData } from '@hurrow/contract/confusions';
import { surenessOf, type SureLevel, type SurenessFound } from '@hurrow/core/confusion';
import { SURENESS_WORDS } from '@hurrow/core/names';
import { inTongue } from '../language/inTongue.ts';

/** What was said of how sure one is, at the stations that count. */
export function surenessIn(data: Pick<ConfusionData, 'stations' | 'answers'>): SurenessFound {
  const truths = new Map(
    data.stations.filter(({ voided, leftOut }) => !voided && !leftOut).map(({ id, truth }) => [id, truth]),
  );
  return surenessOf(
    data.answers.flatMap(({ studentId, stationId, named, sure, how }) => {
      const truth = truths.get(stationId);
      return truth === undefined || how === 'blank' ? [] : [{ studentId, truth, named, sure }];
    }),
  );
}

/** Answers under which nothing is said of how sure a class is. */
const FEWEST = 10;

/**
 * How often those were right who were sure, half sure, guessing; empty where too few said.
 *
 * @example
 * levelsInWords(found.levels); // 'Of those who were sure 82 of 100 were right (74–88), of those half sure 61 (50–71), of those who guessed 24 (14–38).'
 */
export function levelsInWords(levels: readonly SureLevel[]): string {
  if (levels.reduce((sum, { answers }) => sum + answers, 0) < FEWEST) return '';
  const whole = (share: number) => Math.round(100 * share);
  const who = {
    sure: t`of those who were sure`,
    half: t`of those ${inTongue(SURENESS_WORDS.half)}`,
    guess: t`of those who guessed`,
  };
  const each = levels.map(
    ({ sure, share, interval }, i) =>
      `${who[sure]} ${whole(share)}${i === 0 ? t` of 100 were right` : ''} (${whole(interval[0])}–${whole(interval[1])})`,
  );
  const line = each.join(', ');
  return `${line.charAt(0).toUpperCase()}${line.slice(1)}.`;
}

/** Whether they know what they know: those who are sure are right clearly more often than those who guess. */
export function knowsItself(levels: readonly SureLevel[]): string {
  const [sure, guess] = ['sure', 'guess'].map((which) => levels.find((level) => level.sure === which));
  if (!sure || !guess || sure.answers + guess.answers < 2 * FEWEST) return '';
  return sure.interval[0] > guess.interval[1]
    ? t`They know what they know.`
    : t`How sure they are says little about whether they are right.`;
}
