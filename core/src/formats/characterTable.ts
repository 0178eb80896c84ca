import { ORGANS, organTitle, stateOf, type Character, type Vocabulary } from '../vocabulary/index.ts';
import { writeTable } from './table.ts';

const KINDS: Record<Character['kind'], string> = {
  categorical: 'one state',
  ordinal: 'one state, in order',
  measure: 'measure',
  count: 'count',
  months: 'months',
  flag: 'yes or no',
};

const kindOf = ({ kind, anyOf }: Character): string => (anyOf ? 'any of the states' : KINDS[kind]);

/** “leaf.composition: odd or even”: what must hold of other characters. */
const requiresInWords = ({ requires }: Character, vocabulary: Vocabulary): string =>
  requires
    .map(({ character, states }) => {
      const governor = vocabulary.get(character);
      const words = states.map((id) => (governor && stateOf(governor, id)?.term) ?? id);
      return `${character}: ${words.join(' or ')}`;
    })
    .join('; ');

/** The characters that are scored, in the order of a profile. */
const scored = (vocabulary: Vocabulary): Character[] =>
  ORGANS.flatMap(({ organ }) =>
    [...vocabulary.values()].filter((character) => character.organ === organ && !character.derived),
  );

/**
 * The list of characters as CSV: what may head a column of a table of taxa, and what may stand in its cells.
 *
 * @example
 * writeCharacterTable(BUILT_IN).split('\n')[0]; // 'id,organ,term,plain words,what it is,unit,states,applies where,level'
 */
export const writeCharacterTable = (vocabulary: Vocabulary): string =>
  writeTable(
    ['id', 'organ', 'term', 'plain words', 'what it is', 'unit', 'states', 'applies where', 'level'],
    scored(vocabulary).map((character) => [
      character.id,
      organTitle(character.organ),
      character.term,
      character.plain,
      kindOf(character),
      character.unit === '1' ? '' : (character.unit ?? ''),
      character.states.map(({ id, term }) => (id === term ? id : `${id} = ${term}`)).join('; '),
      requiresInWords(character, vocabulary),
      character.level,
    ]),
  );

/** The same list for the documentation, in Markdown. */
export const charactersInMarkdown = (vocabulary: Vocabulary): string =>
  ORGANS.map(({ organ, title }) => {
    const lines = scored(vocabulary)
      .filter((character) => character.organ === organ)
      .map((character) => {
        const unit = character.unit && character.unit !== '1' ? `, ${character.unit}` : '';
        const states = character.states.map(({ id }) => `\`${id}\``).join(' ');
        return `- \`${character.id}\` ${character.term}: ${kindOf(character)}${unit}${states && `: ${states}`}`;
      });
    return `### ${title}\n\n${lines.join('\n')}\n`;
  }).join('\n');
