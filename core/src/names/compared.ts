import { normaliseName } from './fold.ts';

/**
 * The words of a common name as they are compared: singular, gray for grey, leaf for leaved, mountain for Mtn. Hyphens, spaces and one word are
 * equal once joined.
 *
 * @example
 * comparedWords('Rocky Mtn. maples'); // ['rocky', 'mountain', 'maple']
 */
export const comparedWords = (text: string): string[] =>
  normaliseName(text.replace(/(?<=[a-z])['’](?:s\b)?/gi, ''))
    .split(' ')
    .filter(Boolean)
    .map(comparedWord);

const WHOLE: Record<string, string> = {
  grey: 'gray',
  mt: 'mountain',
  mtn: 'mountain',
  mtns: 'mountain',
  mount: 'mountain',
  mountains: 'mountain',
  mntn: 'mountain',
  mountin: 'mountain',
  st: 'saint',
  doug: 'dougla',
  leaves: 'leaf',
  colour: 'color',
};

/** One normalised word as it is compared. */
export function comparedWord(word: string): string {
  const whole = WHOLE[word];
  if (whole) return whole;
  const stem = word
    .replace(/(leaf|bark|stem|tooth|flower|seed|need?le|twig)(?:ed|d|s)$/, '$1')
    .replace(/leaved$/, 'leaf');
  if (stem !== word) return stem;
  if (/(?:ch|sh|x|ss)es$/.test(word)) return word.slice(0, -2);
  if (/[a-z]{2}ies$/.test(word)) return `${word.slice(0, -3)}y`;
  return word.length > 3 && /[^su]s$/.test(word) ? word.slice(0, -1) : word;
}
