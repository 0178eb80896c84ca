import { t } from '@lingui/core/macro';
import type { SatStation, SeenRow } from '@hurrow/contract/sitting';
import type { AskedOf, OfferedOrgan } from '@hurrow/core/station';
import { upperFirst } from '@hurrow/core/words';
import { inTongue } from './inTongue.ts';
import { wordOfTree } from './vocabulary.ts';

/**
 * A question in place of the name, in the language that is spoken; as it came where it was fixed before it was kept what it asks of.
 *
 * @example
 * questionSaid(question).asked; // 'Bud scales: which is it here?', in German 'Knospenschuppen: Was trifft hier zu?'
 */
export function questionSaid(question: AskedOf): AskedOf {
  const { of } = question;
  const characterId = of && 'characterId' in of ? of.characterId : undefined;
  return {
    ...question,
    asked: askedSaid(question),
    offered: question.offered.map((each) => {
      // Between two trees characters are offered, else states of the one that is asked for, where a list begins large.
      const said = (word: string) =>
        characterId === undefined ? wordOfTree(word, each.id) : stateSaid(word, characterId, each.id);
      return { ...each, word: said(each.word), definition: said(each.definition) };
    }),
  };
}

/** A word of a state, also where it begins large. */
function stateSaid(word: string, characterId: string, stateId: string): string {
  const small = word.charAt(0).toLowerCase() + word.slice(1);
  const said = wordOfTree(small, characterId, stateId);
  return said === small ? wordOfTree(word, characterId, stateId) : word === small ? said : upperFirst(said);
}

function askedSaid({ kind, asked, of, letters = [] }: AskedOf): string {
  if (!of) return inTongue(asked);
  if ('pair' in of) {
    const [one, two] = of.pair;
    return t`It is ${one} or ${two}. Which of these tells you which, here?`;
  }
  const word = wordOfTree(of.word, of.characterId);
  const [first = '', last = ''] = [letters[0], letters.at(-1)];
  switch (kind) {
    case 'state':
      return t`${upperFirst(word)}: which is it here?`;
    case 'sort':
      return t`Sort ${first} to ${last} by ${word}: which is it at each?`;
    default:
      return of.unit === undefined ? t`How many ${word}?` : t`Measure the ${word}, in ${inTongue(of.unit)}.`;
  }
}

/** What can be ticked as gone by, in the language that is spoken. */
export const checklistSaid = (offered: readonly OfferedOrgan[]): OfferedOrgan[] =>
  offered.map(({ organ, characters }) => ({
    organ: inTongue(organ),
    characters: characters.map(({ id, word }) => ({ id, word: wordOfTree(word, id) })),
  }));

/** What is asked to be seen, in the language that is spoken. */
export const seeingSaid = (asks: SatStation['asks']): SatStation['asks'] =>
  asks.map(({ characterId, question, states }) => ({
    characterId,
    question: wordOfTree(question, characterId),
    states: states.map(({ id, word, definition }) => ({
      id,
      word: wordOfTree(word, characterId, id),
      definition: wordOfTree(definition, characterId, id),
    })),
  }));

/** What was seen at a station, in the language that is spoken; as it came from a server that did not say of what. */
export function seenSaid(row: SeenRow): SeenRow {
  const { ids, question, said, right } = row;
  if (!ids) return row;
  return {
    ...row,
    question: wordOfTree(question, ids.character),
    said: said !== null && ids.said !== null ? wordOfTree(said, ids.character, ids.said) : said,
    right: right.map((word, i) => wordOfTree(word, ids.character, ids.right[i])),
  };
}
