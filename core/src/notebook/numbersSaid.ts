import type { ShownOrgan } from '../vocabulary/index.ts';
import { stemOf, type Word } from './stems.ts';

/** A number that a text gives: a count as it is, a length in metres. */
export interface NumberSaid {
  characterId: string;
  value: number;
  /** The words of it, from the first to the last. */
  first: number;
  last: number;
}

const NUMBERS: Readonly<Record<string, number>> = {
  ...Object.fromEntries(
    'one two three four five six seven eight nine ten eleven twelve'.split(' ').flatMap((word, i) => [
      [stemOf(word), i + 1],
      [stemOf(`${word}s`), i + 1],
    ]),
  ),
  half: 0.5,
};

/** What is counted, by the word for it. */
const COUNTED: Readonly<Record<string, string>> = {
  leaflet: 'leaf.leaflets',
  lob: 'leaf.lobes',
  petal: 'flower.petals',
};
const BUNDLES = new Set(['bundl', 'bunch', 'cluster', 'group', 'fascicl', 'pack', 'packet']);

/** Metres. */
const UNITS: Readonly<Record<string, number>> = {
  inch: 0.0254,
  inche: 0.0254,
  in: 0.0254,
  cm: 0.01,
  centimeter: 0.01,
  centimetr: 0.01,
  mm: 0.001,
  millimeter: 0.001,
  millimetr: 0.001,
  foot: 0.3048,
  feet: 0.3048,
  ft: 0.3048,
  m: 1,
  meter: 1,
  metr: 1,
};

const LENGTHS: Readonly<Partial<Record<ShownOrgan, string>>> = {
  leaf: 'leaf.length',
  bud: 'bud.length',
  fruit: 'fruit.length',
};
const SIZED = new Set(['long', 'wide', 'tall', 'across', 'thick'].map(stemOf));
/** How many words may stand between a number and what it is of. */
const APART = 3;

/**
 * The counts and lengths that a text gives: “bundles of five”, “7 leaflets”, “3 inches long”.
 *
 * @param about the organ that each word is about
 */
export function numbersSaid(words: readonly Word[], about: readonly ShownOrgan[]): NumberSaid[] {
  return words.flatMap((word, i) => {
    const value = NUMBERS[word.stem] ?? (/^\d+(\.\d+)?$/.test(word.stem) ? Number(word.stem) : undefined);
    if (value === undefined) return [];
    return countAt(words, i, value) ?? lengthAt(words, i, value, about[i]!) ?? [];
  });
}

function countAt(words: readonly Word[], i: number, value: number): NumberSaid | undefined {
  if (!Number.isInteger(value)) return undefined;
  for (let j = i + 1; j <= i + APART && words[j]?.sentence === words[i]!.sentence; j += 1) {
    const characterId = COUNTED[words[j]!.stem];
    if (characterId) return { characterId, value, first: i, last: j };
    if (words[j]!.stem !== 'needl') continue;
    const bundled = words.slice(j, j + APART + 1).some(({ stem }) => BUNDLES.has(stem));
    if (bundled) return { characterId: 'needle.perBundle', value, first: i, last: i };
  }
  const before = words.slice(Math.max(0, i - APART), i);
  const ofNeedles = words.some(({ stem, sentence }) => stem === 'needl' && sentence === words[i]!.sentence);
  const ofBundles = before.some(({ stem }) => BUNDLES.has(stem));
  const inFives = ofNeedles && words[i - 1]?.stem === 'in' && value > 1;
  return ofBundles || inFives ? { characterId: 'needle.perBundle', value, first: i, last: i } : undefined;
}

function lengthAt(
  words: readonly Word[],
  i: number,
  value: number,
  about: ShownOrgan,
): NumberSaid | undefined {
  const unit = words.findIndex(
    ({ stem, clause }, j) =>
      j > i && j <= i + APART && clause === words[i]!.clause && UNITS[stem] !== undefined,
  );
  if (unit < 0) return undefined;
  const near = words.slice(Math.max(0, i - APART), unit + 1 + APART).map(({ stem }) => stem);
  const ofNeedles = words.some(({ stem, sentence }) => stem === 'needl' && sentence === words[i]!.sentence);
  const characterId = lengthOf(near, about, ofNeedles);
  if (!characterId) return undefined;
  const isSized = words[unit + 1]?.clause === words[i]!.clause && SIZED.has(words[unit + 1]!.stem);
  return { characterId, value: value * UNITS[words[unit]!.stem]!, first: i, last: isSized ? unit + 1 : unit };
}

function lengthOf(near: readonly string[], about: ShownOrgan, ofNeedles: boolean): string | undefined {
  const isWidth = near.includes(stemOf('wide')) || near.includes(stemOf('across'));
  if (about === 'habit') return near.includes(stemOf('tall')) ? 'habit.height' : undefined;
  if (about === 'leaf' && ofNeedles) return isWidth ? undefined : 'needle.length';
  if (about === 'leaf' && isWidth) return 'leaf.width';
  return isWidth ? undefined : LENGTHS[about];
}
