import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';

/** Fractions that the printed fonts have no glyph for, written out. Those with a glyph (½ ¼ ¾) stay. */
const FRACTIONS: Record<string, string> = {
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
};
const SIGNS: Record<string, string> = {
  '≤': 'up to ',
  '≥': 'from ',
  '≈': 'about ',
  '→': '->',
  '′': "'",
  '″': '"',
};

/** What the fonts of the house can set: their Latin subset, and letters with other accents in the extended one. */
const LATIN = /[\n\u0020-\u00ff\u0131\u0152\u0153\u02c6\u02da\u02dc\u2000-\u206f\u20ac\u2122\u2212]/;
const EXTENDED = /[\u0100-\u024f\u1e00-\u1eff]/;

/**
 * A text with what no font here can set written otherwise: a fraction after a whole number is parted from it, a sign is said in words, and any
 * other letter loses its accents or becomes a question mark.
 *
 * @example
 * legible('2⅛–3 in'); // '2 1/8–3 in'
 */
export function legible(text: string): string {
  const written = text
    .replace(/(\d)?([⅛⅜⅝⅞⅓⅔])/g, (_, whole: string | undefined, glyph: string) =>
      whole ? `${whole} ${FRACTIONS[glyph]!}` : FRACTIONS[glyph]!,
    )
    .replace(/([≤≥≈])\s*/g, (_, sign: string) => SIGNS[sign]!)
    .replace(/[→′″]/g, (sign) => SIGNS[sign]!);
  return [...written]
    .map((letter) => {
      if (LATIN.test(letter) || EXTENDED.test(letter)) return letter;
      const bare = letter.normalize('NFKD').replace(/\p{M}/gu, '');
      return LATIN.test(bare) ? bare : '?';
    })
    .join('');
}

/** A text parted into runs that one font can set: those with accents beyond Latin 1 in the extended subset. */
function runsOf(text: string, font: string): Content {
  const runs = text.match(/[\u0100-\u024f\u1e00-\u1eff]+|[^\u0100-\u024f\u1e00-\u1eff]+/g) ?? [];
  return runs.map((run) => ({
    text: run,
    font: EXTENDED.test(run) && !LATIN.test(run) ? `${font}Extended` : font,
  }));
}

/**
 * A document in which every text is legible in the fonts of the house. Pictures are left as they are; texts inside drawings are written
 * otherwise too, but not parted, since a drawing has one font.
 */
export function inFonts<T extends Omit<TDocumentDefinitions, 'pageSize'>>(definition: T): T {
  return walk(definition, 'Sans') as T;
}

function walk(node: unknown, font: string): unknown {
  if (typeof node === 'string') return legible(node);
  if (Array.isArray(node)) return node.map((part) => walk(part, font));
  if (node === null || typeof node !== 'object' || node instanceof Buffer) return node;
  const own = node as Record<string, unknown>;
  const inherited = typeof own['font'] === 'string' ? own['font'] : font;
  const made: Record<string, unknown> = {};
  for (const [key, value] of Object.entries(own)) {
    if (key === 'image' || key === 'font' || key === 'qr' || typeof value === 'function') made[key] = value;
    else if (key === 'text' && typeof value === 'string' && EXTENDED.test(value))
      made[key] = runsOf(legible(value), inherited);
    else made[key] = walk(value, inherited);
  }
  return made;
}
