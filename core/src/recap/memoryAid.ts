import { scoresInView, type ProfiledTaxon } from '../evidence/index.ts';
import type { View } from '../view/index.ts';
import { standingOf, type Vocabulary } from '../vocabulary/index.ts';

/** Words of states that say too little to be found again in a sentence. */
const COMMON = new Set(
  'about above along apart around below between black brown center circle clear cover cross easily edges equal every field first fruit green hairs large later leaves likes lines lower middle needle often other parts place point points round scale seeds several shape shoot short sides single small smell stalk stands still straight their these three tight toward trees trunk under upper white whole winter yellow'.split(
    ' ',
  ),
);
const LONG_ENOUGH = 5;
const NUMBERS = ['none', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'];

const wordsOf = (text: string): string[] =>
  (text.toLowerCase().match(/[a-zà-ÿ]+/g) ?? []).map((word) => word.replace(/(?<=\w{4})s$/, ''));

/**
 * What of a memory aid the scores bear out: characters of which the aid names a state, or a number with the thing that is counted, that
 * the taxon usually shows. By id, in the order of the vocabulary; empty where the aid says nothing that is scored.
 * borneOut('Two twisted needles, a prickly cone.', lodgepole, BUILT_IN, view); // ['needle.perBundle', …]
 */
export function borneOut(
  aid: string,
  { scores }: ProfiledTaxon,
  vocabulary: Vocabulary,
  view: Pick<View, 'qualifiers'>,
): string[] {
  const said = wordsOf(aid);
  const names = (text: string) =>
    wordsOf(text).some((word) => word.length >= LONG_ENOUGH && !COMMON.has(word) && said.includes(word));
  const counts = (low: number, high: number, plain: string) =>
    said.some((word, i) => {
      const n = NUMBERS.indexOf(word);
      const next = said.slice(i + 1, i + 4);
      return n > 0 && n >= low && n <= high && wordsOf(plain).some((thing) => next.includes(thing));
    });
  return [...vocabulary.values()]
    .filter((character) => {
      if (standingOf(character) === 'supporting') return false;
      const own = scoresInView(
        scores.filter(({ characterId }) => characterId === character.id),
        view,
      );
      return own.some(({ value }) => {
        if (value.kind === 'states')
          return value.states.some(({ state, frequency }) => {
            const held = character.states.find(({ id }) => id === state);
            const usual = frequency === 'always' || frequency === 'usually';
            return usual && held !== undefined && names(`${held.term} ${held.plain}`);
          });
        if (value.kind === 'flag')
          return (value.frequency === 'always' || value.frequency === 'usually') && names(character.plain);
        return (
          value.kind === 'range' &&
          character.kind === 'count' &&
          counts(value.low ?? 0, value.high ?? Infinity, character.plain)
        );
      });
    })
    .map(({ id }) => id);
}
