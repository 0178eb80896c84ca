import { characterName, valueInWords, type Audience, type UnitSystem } from '../score/index.ts';
import { putIn, sayingOf, stateOf, type Character, type Vocabulary } from '../vocabulary/index.ts';
import { listedBy } from '../words/index.ts';
import type { Condition } from './condition.ts';

/** A condition in the words of the audience: "bud scales: two valvate or naked", "zigzag: no", "blade length: 6 cm or more". */
export function conditionInWords(
  condition: Condition,
  vocabulary: Vocabulary,
  audience: Audience,
  units: UnitSystem,
): string {
  const character = vocabulary.get(condition.characterId);
  if (!character) return condition.characterId;
  return `${characterName(character, audience)}: ${saidOf(condition, character, audience, units)}`;
}

/** What a condition says of its character, without naming it: "two, valvate or naked", "no", "6 cm or more". */
export function saidOf(
  condition: Condition,
  character: Character,
  audience: Audience,
  units: UnitSystem,
): string {
  const { states, present = true, from, below } = condition;
  const saying = sayingOf(character);
  if (character.anyOf) {
    const word = stateWord(character, states?.[0] ?? '', audience);
    return present ? word : putIn(saying.not, word);
  }
  if (character.kind === 'flag' || character.kind === 'months')
    return saying.flag[present ? 'always' : 'never'];
  if (states)
    return orList(
      states.map((state) => stateWord(character, state, audience)),
      saying.or,
    );
  if (character.kind === 'count') {
    const [least, most] = [from ?? 0, below === undefined ? undefined : Math.ceil(below) - 1];
    if (most === undefined) return putIn(saying.orMore, `${Math.ceil(least)}`);
    if (from === undefined || least <= 0) return most === 0 ? saying.none : putIn(saying.orFewer, `${most}`);
    return least === most
      ? `${least}`
      : putIn(saying.between, { from: `${Math.ceil(least)}`, to: `${most}` });
  }
  const size = (value: number) =>
    valueInWords({ kind: 'range', low: value, high: value }, character, audience, units);
  if (below === undefined) return putIn(saying.orMore, size(from ?? 0));
  return from === undefined
    ? putIn(saying.lessThan, size(below))
    : putIn(saying.between, { from: size(from), to: size(below) });
}

function stateWord(character: Character, id: string, audience: Audience): string {
  const state = stateOf(character, id);
  return state ? (audience === 'plain' ? state.plain : state.term) : id;
}

/** "a, b or c". A word that holds a comma of its own loses it beside others: "ovoid blunt, ovoid pointed or globose". */
const orList = (words: readonly string[], or: string): string =>
  words.length < 2
    ? words.join('')
    : listedBy(
        words.map((word) => word.replaceAll(',', '')),
        or,
      );
