import { done, refused, type Outcome } from '../outcome/index.ts';
import { MONTHS, YEAR_ROUND, dateOfDay, dayOfYear, wrapDay, type Arc } from './arc.ts';

const MONTH_LENGTHS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];
const FULL = [
  'january',
  'february',
  'march',
  'april',
  'may',
  'june',
  'july',
  'august',
  'september',
  'october',
  'november',
  'december',
];
const ROMAN = ['i', 'ii', 'iii', 'iv', 'v', 'vi', 'vii', 'viii', 'ix', 'x', 'xi', 'xii'];
/** First months of the seasons north of the equator, as meteorologists count them. */
const SEASONS: Record<string, number> = { spring: 2, summer: 5, autumn: 8, fall: 8, winter: 11 };

export interface ArcSettings {
  /** South of the equator spring is in September. Degrees; north where it is not given. */
  latitude?: number;
}

/**
 * Reads arcs of the year: `10 May – 15 Oct`, `Apr–May`, `IV–V`, `4–5`, `late Jun to Aug`, `first half of June`, `from mid-May through June`,
 * `early spring`, `Nov–Feb`, `year-round`; several are parted by semicolons or commas. A month alone means the whole month at either end.
 *
 * @param settings where the seasons are meant
 * @returns arcs of days 1–365; none for an empty text; or what could not be read and how to write it
 * @example
 * parseArcs('mid-IV to V'); // { ok: true, value: [{ from: 101, to: 151 }] }
 */
export function parseArcs(text: string, settings: ArcSettings = {}): Outcome<Arc[]> {
  const plain = plainTimes(text);
  if (
    /^from [^-]+$/.test(
      text
        .trim()
        .toLowerCase()
        .replace(/\s+(?:to|through|until|till)\s+|[–—-](?!\w*-)/g, '-'),
    )
  )
    return refused(`“${text.trim()}” says when it begins, not when it ends. Write both, like Apr–May.`);
  if (!plain) return done([]);
  if (YEAR_LONG.test(plain)) return done([YEAR_ROUND]);
  const withLeaves =
    /\b(?:before|with|after|at|during)\b.*\b(?:leaves|leaf|leafing|leaf-?out|foliage|bloom|flower(?:s|ing)?)\b/.exec(
      plain,
    );
  if (withLeaves)
    return refused(
      `“${text.trim()}” says when beside the leaves, not in which months. That is the character flowering time; here write months, like Apr–May.`,
    );
  const arcs: Arc[] = [];
  // What a semicolon parts stays apart; “May and June”, “June, July” are one stretch.
  for (const group of plain.split(';')) {
    const stretch: Arc[] = [];
    for (const piece of group
      .split(/,| and (?!(?:early|mid|late)\b)|\/(?=\s*[a-z])/)
      .map((each) => each.trim())) {
      if (!piece) continue;
      const arc = arcOf(piece, settings);
      if (!arc)
        return refused(
          `“${piece}” could not be read as a time of year. Write it like 10 May – 15 Oct, or Apr–May.`,
        );
      const last = stretch.at(-1);
      if (last && wrapDay(last.to + 1) === arc.from) last.to = arc.to;
      else stretch.push(arc);
    }
    arcs.push(...stretch);
  }
  return done(arcs);
}

const YEAR_LONG =
  /^(?:all[- ]?year(?:[- ]?round)?|year[- ]?round|throughout the year|the year|the whole year|whole year|evergreen|always|jan(?:uary)?\s*-\s*dec(?:ember)?|i\s*-\s*xii|1\s*-\s*12|perennial(?:ly)?)$/;

function plainTimes(text: string): string {
  return (
    text
      .trim()
      .toLowerCase()
      .replace(/[‐‑‒–—―−→]|->|\.{2,}|…/g, '-')
      // What stands in brackets happens now and then.
      .replace(/\([^)]*\)/g, ' ')
      .replace(
        /^(?:flowers?|flowering|blooms?|fruits?|fruiting|ripens?|ripe|leafs out|leaves)\s+(?=in\b|from\b|during\b|between\b)/,
        '',
      )
      .replace(/\s*&\s*/g, ' and ')
      .replace(/\bmid(summer|winter|spring|autumn)\b/g, 'mid $1')
      .replace(/(?<=[a-z])\./g, '')
      .replace(/\bsept\b/g, 'sep')
      .replace(
        /\b(early|mid|middle|late)(?:\s*-\s*|\s+to\s+|\s+-?\s*)(early|mid|middle|late)[\s-]+/g,
        '$1~$2 ',
      )
      .replace(/\b(early|mid|middle|late)\b\s*-?\s*(?=[a-z]|\d)/g, '$1 ')
      .replace(/\bmiddle (?:of )?/g, 'mid ')
      .replace(/\b(?:the )?(?:beginning|start|first (?:third|week|part|days)) (?:of |in )/g, 'early ')
      .replace(/\b(?:the )?(?:end|last (?:third|week|part|days)) (?:of |in )/g, 'late ')
      .replace(/\b(?:the )?(?:first|1st) half (?:of )?/g, 'firsthalf ')
      .replace(/\b(?:the )?(?:second|2nd|last) half (?:of )?/g, 'secondhalf ')
      .replace(/^(?:from|in|during|between|about|around|usually|mostly|ca|throughout|all)\s+(?!year)/, '')
      .replace(/\s+(?:to|through|thru|until|till|into|or)\s+|\s*-\s*/g, '-')
      .replace(/(\d)(?:st|nd|rd|th)\b/g, '$1')
      .replace(/\s+of\s+/g, ' ')
      .replace(/\.$/, '')
      .replace(/\s+/g, ' ')
      .trim()
  );
}

function arcOf(piece: string, settings: ArcSettings): Arc | undefined {
  const ends = piece.split('-').map((end) => end.trim());
  if (ends.length > 2) return undefined;
  const [first, second] = ends.length === 2 ? ends : piece.split(/^between (.+) and /).slice(-2);
  const from = spanOf(first!, settings, second);
  const to = second === undefined ? from : spanOf(second, settings, first);
  return from && to ? { from: from.from, to: to.to } : undefined;
}

/** The days that one end of a range stands for: a day, a part of a month, a month, a part of a season. `other` is the other end. */
function spanOf(end: string, { latitude = 1 }: ArcSettings, other: string | undefined): Arc | undefined {
  const parts =
    /^(?:(firsthalf|secondhalf|(?:early|mid|late)(?:~(?:early|mid|late))?)\s+)?(?:(\d{1,2})\.?\s*)?([a-z]+)?(?:\s*(\d{1,2}))?(?:\.(\d{1,2})\.?)?$/.exec(
      end,
    );
  if (!parts) return undefined;
  const [, part, before, word, after] = parts;
  const dated = /^(\d{1,2})\.(\d{1,2})\.?$/.exec(end);
  if (dated) return oneDay(Number(dated[1]), Number(dated[2]) - 1);
  if (word && word in SEASONS) {
    if (before || after) return undefined;
    const start = latitude < 0 ? (SEASONS[word]! + 6) % 12 : SEASONS[word]!;
    const months = [start, (start + 1) % 12, (start + 2) % 12];
    if (part?.includes('half')) return undefined;
    const [a, b] = partsOf(part);
    return { from: monthSpan(months[a]!).from, to: monthSpan(months[b]!).to };
  }
  // “10 – 15 May”: a day of the month that the other end names.
  if (!word && !part && before && other && /^\d{1,2}\s+[a-z]{3,}$|^[a-z]{3,}\s+\d{1,2}$/.test(other)) {
    const month = monthOf(/[a-z]+/.exec(other)![0]);
    return month === undefined ? undefined : oneDay(Number(before), month);
  }
  const month = word ? monthOf(word) : before && !after ? numbered(before) : undefined;
  if (month === undefined) return undefined;
  const day = word ? (before ?? after) : undefined;
  if (day !== undefined) return part ? undefined : oneDay(Number(day), month);
  return partOfMonth(month, part);
}

const THIRDS = ['early', 'mid', 'late'];

/** Which thirds a part spans: “early~mid” the first two; none named, all. */
function partsOf(part: string | undefined): [first: number, last: number] {
  if (!part) return [0, 2];
  const [first = '', last = first] = part.split('~');
  return [THIRDS.indexOf(first), THIRDS.indexOf(last)];
}

function partOfMonth(month: number, part: string | undefined): Arc {
  const whole = monthSpan(month);
  if (part === 'firsthalf') return { from: whole.from, to: wrapDay(whole.from + 14) };
  if (part === 'secondhalf') return { from: wrapDay(whole.from + 15), to: whole.to };
  const [first, last] = partsOf(part);
  return {
    from: wrapDay(whole.from + first * 10),
    to: last === 2 ? whole.to : wrapDay(whole.from + last * 10 + 9),
  };
}

function monthSpan(month: number): Arc {
  const from = oneDay(1, month)!.from;
  return { from, to: from + MONTH_LENGTHS[month]! - 1 };
}

function oneDay(day: number, month: number): Arc | undefined {
  const length = MONTH_LENGTHS[month];
  if (length === undefined || day < 1 || day > length) return undefined;
  const at = dayOfYear(`2001-${String(month + 1).padStart(2, '0')}-${String(day).padStart(2, '0')}`);
  return { from: at, to: at };
}

/** A month by its name or the beginning of it, or by its Roman number. */
function monthOf(word: string): number | undefined {
  const roman = ROMAN.indexOf(word);
  if (roman >= 0) return roman;
  if (word.length < 3) return undefined;
  const named = FULL.findIndex((name) => name.startsWith(word));
  return named < 0 ? undefined : named;
}

const numbered = (text: string): number | undefined => {
  const month = Number(text) - 1;
  return month >= 0 && month < 12 ? month : undefined;
};

/** Arcs as they are typed: `10 May – 15 Oct; all year` is read back equal. */
export function arcsAsText(arcs: readonly Arc[]): string {
  return arcs
    .map((arc) => {
      if (arc.from === 1 && arc.to >= 365) return 'all year';
      const written = (day: number) => {
        const date = dateOfDay(wrapDay(day));
        return `${date.day} ${MONTHS[date.month - 1]}`;
      };
      return `${written(arc.from)} – ${written(arc.to)}`;
    })
    .join('; ');
}
