/** A word as it is compared: what it ends in for its number, its time or its likeness is taken off. */
export function stemOf(word: string): string {
  const folded = word.toLowerCase().replace(/[’']/g, "'");
  const irregular = IRREGULAR[folded];
  if (irregular) return irregular;
  let stem = folded.replace(/'s$/, '').replace(/'/g, '');
  if (stem.length > 3) stem = stem.replace(/ies$/, 'y').replace(/([^su])s$/, '$1');
  if (stem.length > 5) stem = stem.replace(/(ing|ed)$/, '');
  if (stem.length > 3) stem = stem.replace(/[ey]$/, '');
  return stem.length > 3 ? stem.replace(/([^aeiouls])\1$/, '$1').replace(/ll$/, 'l') : stem;
}

const IRREGULAR: Readonly<Record<string, string>> = {
  leaves: 'leaf',
  teeth: 'tooth',
  toothed: 'tooth',
  toothy: 'tooth',
  gray: 'grey',
  grayish: 'greyish',
  colored: 'color',
  coloured: 'color',
  colour: 'color',
  smells: 'smell',
  smelly: 'smell',
  odour: 'odor',
  furry: 'fuzz',
  fuzzy: 'fuzz',
  fuzz: 'fuzz',
};

/** A word of a text with its place in it: from a sign to the one after its last. */
export interface Word {
  stem: string;
  from: number;
  to: number;
  /** Carries no meaning of its own. */
  filler: boolean;
  /** May stand between the words of a phrase. */
  skipped: boolean;
  /** Counts up at each full stop, and at each comma. */
  sentence: number;
  clause: number;
}

const FILLERS = new Set(
  'a an and the of it its is are was were be with has have had like look looks looked looking feel feels felt at on in to each this that these that those them they i we my our so about also seem seems or kind sort'.split(
    ' ',
  ),
);
/** What may stand between the words of a phrase besides, though a phrase that has it means it. */
const SKIPPED = new Set(
  'very really quite pretty just little bit some there going goes go run runs running all more'.split(' '),
);
/** The words of a text. */
export function wordsOf(text: string): Word[] {
  let sentence = 0;
  let clause = 0;
  let end = 0;
  return [...text.matchAll(/\d+(?:\.\d+)?|[\p{L}\p{N}]+(?:['’][\p{L}]+)?/gu)].map((match) => {
    const between = text.slice(end, match.index);
    if (/[.!?\n]/.test(between)) sentence += 1;
    if (/[.!?\n,;:–—(]/.test(between)) clause += 1;
    if (/^(but|though|although)$/i.test(match[0])) clause += 1;
    end = match.index + match[0].length;
    const word = match[0].toLowerCase();
    return {
      stem: stemOf(match[0]),
      from: match.index,
      to: end,
      filler: FILLERS.has(word),
      skipped: FILLERS.has(word) || SKIPPED.has(word),
      sentence,
      clause,
    };
  });
}

const VAGUE = new Set([
  'top',
  'leaf',
  'fal',
  'sid',
  'tip',
  'end',
  'bottom',
  'edg',
  'line',
  'tre',
  'one',
  'two',
  'three',
]);

/** The stems of a phrase that carry meaning; all of them where none does. */
export function stemsOf(phrase: string): string[] {
  const words = wordsOf(phrase);
  const telling = words.filter(({ filler }) => !filler);
  const [first] = telling;
  // “on top” is not said by “top” alone, nor “with the leaves” by “leaves”.
  const vague = telling.length === 0 || (telling.length === 1 && words.length > 1 && VAGUE.has(first!.stem));
  return (vague ? words : telling).map(({ stem }) => stem);
}
