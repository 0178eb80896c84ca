import { t } from '@lingui/core/macro';
import type { ConfusionReport, PromptFinding } from '@hurrow/core/confusion';

/**
 * What being told to look did, in hundredths of the answers; only where the interval leaves out nothing is it said to help or to harm.
 *
 * @example
 * effectSaid({ effect: 0.2, interval: [0.08, 0.32] }); // '20 in 100 more (8 to 32): looking helps'
 */
export function effectSaid({
  effect,
  interval: [low, high],
}: Pick<PromptFinding, 'effect' | 'interval'>): string {
  const said = t`${inHundred(effect)} in 100 ${effect < 0 ? t`fewer` : t`more`} (${signed(low)} to ${signed(high)})`;
  if (low > 0) return t`${said}: looking helps`;
  return high < 0 ? t`${said}: looking misleads` : t`${said}: can’t tell yet`;
}

/** Whether hints of earlier classes are counted in: it was tried at more stations than those of this class. */
export const isPooled = ({ looking, prompts }: Pick<ConfusionReport, 'looking' | 'prompts'>): boolean =>
  stationsOf(looking) > stationsOf(prompts);

const stationsOf = (found: readonly PromptFinding[]): number =>
  found.reduce((sum, { stations }) => sum + stations, 0);

const inHundred = (share: number): number => Math.abs(Math.round(100 * share));
const signed = (share: number): string => `${share < -0.005 ? '−' : ''}${inHundred(share)}`;
