import { t } from '@lingui/core/macro';
import type { Workload } from '@hurrow/core/practice';

/**
 * What there is to do, in a line.
 *
 * @example
 * workInWords({ due: 7, fresh: 3, known: 40, minutes: 5 }); // '7 due and 3 new, about 5 minutes. You know 40.'
 */
export function workInWords({ due, fresh, known, minutes }: Workload): string {
  if (due === 0 && fresh === 0)
    return known > 0
      ? t`Nothing is due: you know it now. It comes back when it is about to fade.`
      : t`There is nothing to practice here yet.`;
  const parts = [due > 0 ? t`${due} due` : '', fresh > 0 ? t`${fresh} new` : ''].filter(Boolean);
  return t`${parts.join(t` and `)}, about ${minutes} minutes.${known > 0 ? t` You know ${known}.` : ''}`;
}
