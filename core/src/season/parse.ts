import { done, refused, type Outcome } from '../outcome/index.ts';
import { MONTHS, YEAR_ROUND, dateOfDay, dayOfYear, wrapDay, type Arc } from './arc.ts';

const MONTH_LENGTHS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

/**
 * Reads arcs of the year: `10 May – 15 Oct`, `Apr–May`, `late Jun to Aug`, `from mid-May through June`, `all year`; several
 * are parted by semicolons or commas. A month alone means the whole month at either end.
 */
export function parseArcs(text: string): Outcome<Arc[]> {
  const plain = text
    .trim()
    .toLowerCase()
    .replace(/\b(early|mid|late)\s*[-–—]\s*(?=[a-z])/g, '$1 ')
    .replace(/\b(?:beginning|start) of /g, 'early ')
    .replace(/\bend of /g, 'late ')
    .replace(/\bmiddle of /g, 'mid ')
    .replace(/^(?:from|in|during) /, '')
    .replace(/\s+(?:to|through|thru|until|till|into)\s+|[–—]/g, '-')
    .replace(/(\d)(?:st|nd|rd|th)\b/g, '$1');
  if (!plain) return done([]);
  if (/^(all[- ]year|year[- ]round|evergreen)$/.test(plain)) return done([YEAR_ROUND]);
  const arcs: Arc[] = [];
  for (const piece of plain.split(/[;,]|\band\b/)) {
    const [first, second, ...rest] = piece.split('-').map((end) => end.trim());
    const from = dayOf(first!, 'from');
    const to = dayOf(second ?? first!, 'to');
    if (rest.length > 0 || from === undefined || to === undefined)
      return refused(
        `“${piece.trim()}” could not be read as a time of year. Write it like 10 May – 15 Oct, or Apr–May.`,
      );
    arcs.push({ from, to });
  }
  return done(arcs);
}

function dayOf(text: string, end: 'from' | 'to'): number | undefined {
  const parts = /^(?:(\d{1,2})\s+|(early|mid|late)[\s-]+)?([a-z]{3,9})\.?(?:\s+(\d{1,2}))?$/.exec(text);
  if (!parts) return undefined;
  const month = MONTHS.findIndex((name) => parts[3]!.startsWith(name.toLowerCase()));
  if (month < 0) return undefined;
  const length = MONTH_LENGTHS[month]!;
  const thirds = { early: [1, 10], mid: [11, 20], late: [21, length] }[parts[2] ?? ''];
  const day = Number(parts[1] ?? parts[4] ?? (end === 'from' ? (thirds?.[0] ?? 1) : (thirds?.[1] ?? length)));
  if (day < 1 || day > length) return undefined;
  return dayOfYear(`2001-${String(month + 1).padStart(2, '0')}-${String(day).padStart(2, '0')}`);
}

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
