import { plural, t } from '@lingui/core/macro';
import type { ConfusionReport } from '@hurrow/core/confusion';
import {
  arcLabel as saidArc,
  dayLabel as englishDay,
  MONTHS as ENGLISH_MONTHS,
  type Arc,
} from '@hurrow/core/season';
import { listInWords as englishList, viewInWords as englishView, type Looked } from '@hurrow/core/view';
import { i18n } from './i18n.ts';
import { inTongue } from './inTongue.ts';

const isEnglish = (): boolean => i18n.locale === 'en';

/** The tag by which numbers, days and times are written: that of the language, or for English the one that a page asks for. */
export const writtenAs = (english: 'en-US' | 'en-GB'): string => (isEnglish() ? english : i18n.locale);

const dated = (format: Intl.DateTimeFormatOptions, day: number): string =>
  new Intl.DateTimeFormat(i18n.locale, { ...format, timeZone: 'UTC' })
    .format(Date.UTC(2023, 0, day))
    // A month cut short has no full stop of its own: sentences end with it.
    .replace(/\.$/, '');

/** A day of the year, 1–365: “15 Oct” for 288, in German “15. Okt”. */
export const dayLabel = (day: number): string =>
  isEnglish() ? englishDay(day) : dated({ day: 'numeric', month: 'short' }, day);

/** The months, short, as a page is spoken when it opens. */
export const MONTHS: string[] = isEnglish()
  ? ENGLISH_MONTHS
  : ENGLISH_MONTHS.map((_, month) => dated({ month: 'short' }, 15 + Math.round(month * 30.4)));

/** A time of the year by thirds of months: “late May–mid Oct”. */
export const arcLabel = (arc: Arc): string =>
  saidArc(arc, {
    allYear: t`all year`,
    third: (part, at) => {
      const month = MONTHS[at - 1]!;
      if (part === 'mid') return t`mid ${month}`;
      return part === 'early' ? t`early ${month}` : t`late ${month}`;
    },
  });

/** “a, b and c”, or with “or”. */
export const listInWords = (words: readonly string[], joined: 'and' | 'or' = 'and'): string =>
  isEnglish()
    ? englishList(words, joined)
    : new Intl.ListFormat(i18n.locale, { type: joined === 'and' ? 'conjunction' : 'disjunction' }).format(
        words,
      );

/** What is seen, from how near, and by what aids. */
export const viewInWords = (view: Looked): string => englishView(view, { say: inTongue, list: listInWords });

/** A title as it stands within a sentence: English writes it small there, German as it is. */
export const withinSentence = (title: string): string => (isEnglish() ? title.toLowerCase() : title);

/**
 * A number with so many places behind the point, or behind what the language has for one.
 *
 * @example
 * decimal(1.25, 1); // '1.3', in German '1,3'
 */
export const decimal = (value: number, places: number): string =>
  isEnglish()
    ? value.toFixed(places)
    : new Intl.NumberFormat(i18n.locale, {
        minimumFractionDigits: places,
        maximumFractionDigits: places,
      }).format(value);

/**
 * A number with so many places at most, without needless zeros.
 *
 * @example
 * shortly(1.5, 2); // '1.5', in German '1,5'
 */
export const shortly = (value: number, places: number): string =>
  new Intl.NumberFormat(isEnglish() ? 'en-US' : i18n.locale, {
    maximumFractionDigits: places,
    useGrouping: false,
  }).format(value);

/** How many answers to “What did you go by?” there are, and where they were given. */
export function reportsInWords({ all, practice, sorting }: ConfusionReport['reports']): string {
  const asked = t`${plural(all, { one: '# answer', other: '# answers' })} to “What did you go by?”`;
  if (practice > 0 && sorting > 0)
    return t`${asked}, ${practice} of them in practice and ${sorting} by what was sorted`;
  if (practice > 0) return t`${asked}, ${practice} of them in practice`;
  return sorting > 0 ? t`${asked}, ${sorting} of them by what was sorted` : asked;
}
