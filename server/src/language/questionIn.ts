import { characterName, type Audience } from '@hurrow/core/score';
import { unitInWords, lettersOf, type BothWays, type FrozenQuestion } from '@hurrow/core/station';
import { stateOf, type Vocabulary } from '@hurrow/core/vocabulary';
import { upperFirst } from '@hurrow/core/words';
import type { Tongue } from './tongue.ts';

const both = (words: (audience: Audience) => string): BothWays => ({
  term: words('technical'),
  plain: words('plain'),
});

/**
 * A question in place of the name, in the language of a paper. In English, and where it was fixed before it was kept what it asks of, as it stands.
 *
 * @param vocabulary in that language
 * @example
 * questionIn(tongueOf('de'), scales, spokenIn(vocabulary, 'de')).asked.term; // 'Knospenschuppen: Was trifft hier zu?'
 */
export function questionIn(tongue: Tongue, question: FrozenQuestion, vocabulary: Vocabulary): FrozenQuestion {
  // Whatever the words of the library are by now.
  if (tongue.isEnglish) return question;
  const character = vocabulary.get(question.about);
  return {
    ...question,
    asked: askedIn(tongue, question, vocabulary),
    offered: question.offered.map((each) => {
      const offered = question.pair ? vocabulary.get(each.id) : undefined;
      const state = character && stateOf(character, each.id);
      if (offered) return { ...each, ...both((audience) => characterName(offered, audience)) };
      return state ? { ...each, term: state.term, plain: state.plain, definition: state.definition } : each;
    }),
    ...(question.number && character ? { number: { ...question.number, character } } : {}),
  };
}

function askedIn(
  { say, word }: Tongue,
  { kind, about, asked, named, pair, number, items = [] }: FrozenQuestion,
  vocabulary: Vocabulary,
): BothWays {
  if (pair) {
    const words = say`It is ${pair[0]} or ${pair[1]}. Which of these tells you which, here?`;
    return { term: words, plain: words };
  }
  const character = vocabulary.get(about);
  if (!named || !character) return both((audience) => word(asked[audience === 'plain' ? 'plain' : 'term']));
  return both((audience) => {
    const name = characterName(character, audience);
    if (kind === 'state') return say`${upperFirst(name)}: which is it here?`;
    if (kind === 'sort') {
      const letters = lettersOf(items.length);
      return say`Sort ${letters[0] ?? ''} to ${letters.at(-1) ?? ''} by ${name}: which is it at each?`;
    }
    if (!number || number.character.kind === 'count') return say`How many ${name}?`;
    return say`Measure the ${name}, in ${word(unitInWords(number.character, number.units))}.`;
  });
}
