import { done, refused, type Outcome } from '../outcome/index.ts';
import { statesToSee } from '../station/index.ts';
import { stateOf, type Character } from '../vocabulary/index.ts';

/**
 * Reads what a paper says was seen at a station: states of the characters that were asked for, by their words or ids, parted by
 * semicolons or on lines of their own. Where two characters have a state of one name, the character stands before it: “white bands: none; teeth: none”.
 * @param asked the characters that the station asked for
 * @returns states by character id, or which word is none of them and what could stand there
 */
export function readSaw(text: string, asked: readonly Character[]): Outcome<Record<string, string>> {
  const seen: Record<string, string> = {};
  for (const part of text.split(/[;\n\r\u0085\u2028\u2029]/).map((piece) => piece.trim())) {
    if (!part) continue;
    const [, named, written] = /^(?:([^:]+):)?\s*(.*)$/s.exec(part)!;
    const among = named ? asked.filter((character) => isWord(named, wordsOf(character))) : asked;
    const found = among.flatMap((character) =>
      statesToSee(character)
        .filter((id) => isWord(written!, [id, ...wordsOf(stateOf(character, id)!)]))
        .map((id) => [character.id, id] as const),
    );
    if (found.length !== 1) return refused(found.length ? twofold(part, asked) : strange(part, asked));
    const [characterId, state] = found[0]!;
    seen[characterId] = state;
  }
  return done(seen);
}

const wordsOf = ({ id, term, plain }: { id: string; term: string; plain: string }): string[] => [
  id,
  term,
  plain,
];
const isWord = (written: string, words: readonly string[]): boolean =>
  words.some((word) => word.toLowerCase() === written.trim().toLowerCase());

const twofold = (part: string, asked: readonly Character[]): string =>
  `“${part}” could be said of ${asked.map(({ term }) => term).join(' or ')}. Write the character before it: “${asked[0]!.term}: ${part}”.`;

function strange(part: string, asked: readonly Character[]): string {
  if (asked.length === 0) return `“${part}” was seen, but this station asks for no character. Leave it out.`;
  const states = asked.map(
    (character) =>
      `${character.term}: ${statesToSee(character)
        .map((id) => stateOf(character, id)!.term)
        .join(', ')}`,
  );
  return `“${part}” is no state of what this station asks for. Write one of ${states.join('; ')}.`;
}
