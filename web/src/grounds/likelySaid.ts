import { t } from '@lingui/core/macro';
import type { Likely } from '@hurrow/core/grounds';

/**
 * How likely a part is there, as it is said outdoors; whole tenths, and no figure where it is all but certain.
 *
 * @example
 * likelySaid({ share: 0.7, by: 'seen', ruledOut: false }); // 'likely, 7 in 10, by what was seen on it'
 */
export function likelySaid({ share, by, ruledOut }: Likely): string {
  if (ruledOut) return t`was looked for and is not there`;
  if (by === 'unknown') return t`not known: look before you rely on it`;
  const tenths = Math.round(10 * share);
  const said =
    tenths >= 10
      ? t({ message: 'there', context: 'a part of a tree' })
      : tenths <= 0
        ? t`not there`
        : tenths >= 5
          ? t`likely, ${tenths} in 10`
          : t`unlikely, ${tenths} in 10`;
  return by === 'seen'
    ? t`${said}, by what was seen on it`
    : by === 'corrected'
      ? t`${said}, by what was seen here`
      : said;
}
