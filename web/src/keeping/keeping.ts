import { t } from '@lingui/core/macro';
import type { HistoryLine } from '@hurrow/contract/keeping';

/** Was the name typed as it stands? Spaces at its ends do not count. */
export const isTyped = (typed: string, name: string): boolean => typed.trim() === name.trim();

/** How long names are kept, as it is chosen; months, or null for good. */
export const TIMES: [months: number | null, words: string][] = [
  [null, t`for good`],
  [6, t`half a year`],
  [12, t`one year`],
  [24, t`two years`],
  [60, t`five years`],
];

/** A time that was set elsewhere is offered as well. */
export const timesWith = (months: number | null): [number | null, string][] =>
  TIMES.some(([held]) => held === months) ? TIMES : [...TIMES, [months, t`${months ?? 0} months`]];

/** Changes by the day on which they were made, in their order. */
export function byDay(lines: readonly HistoryLine[]): { day: string; lines: HistoryLine[] }[] {
  const days: { day: string; lines: HistoryLine[] }[] = [];
  for (const line of lines) {
    const day = line.at.slice(0, 10);
    const last = days.at(-1);
    if (last?.day === day) last.lines.push(line);
    else days.push({ day, lines: [line] });
  }
  return days;
}
