import type { Saying } from './saying.ts';
import type { Character, State } from './character.ts';
import { BUILT_IN, type Vocabulary } from './vocabulary.ts';

type Words = Pick<Character, 'term' | 'plain'>;
type StateWords = Pick<State, 'term' | 'plain' | 'definition'>;

/** The words of the built-in characters in another language, and what is said between them. */
export interface Tongue {
  saying: Saying;
  /** By the id of the character. */
  characters: ReadonlyMap<string, Words>;
  /** By the id of the character and that of the state, a blank between them. */
  states: ReadonlyMap<string, StateWords>;
  /** States of several characters, by `id/English term`: a character whose states stand nowhere else has them from here. */
  shared: ReadonlyMap<string, StateWords>;
}

/**
 * Reads the words of another language: a line for a character, `id | term | plain words`, under it one for each of its states, set in,
 * `id | term | plain words | definition`.
 *
 * @param shared states of several characters, `id/English term | term | plain words | definition`
 * @throws on a line with other columns: the words ship with the product and must be whole
 * @example
 * readTongue('bud.scales | Knospenschuppen | Schuppen der Knospe\n  none | nackt | keine Schuppen | Ohne Schuppen.', '', GERMAN_SAYING)
 *   .states.get('bud.scales none')!.term; // 'nackt'
 */
export function readTongue(text: string, shared: string, saying: Saying): Tongue {
  const characters = new Map<string, Words>();
  const states = new Map<string, StateWords>();
  let of = '';
  for (const line of linesOf(text)) {
    const isState = /^\s/.test(line);
    const [id, ...words] = cellsOf(line, isState ? 4 : 3);
    const [term, plain, definition] = words as [string, string, string];
    if (isState) states.set(`${of} ${id}`, { term, plain, definition });
    else {
      of = id!;
      characters.set(of, { term, plain });
    }
  }
  return { saying, characters, states, shared: new Map(linesOf(shared).map(sharedState)) };
}

const linesOf = (text: string): string[] => text.split('\n').filter((line) => line.trim());

function sharedState(line: string): [string, StateWords] {
  const [id, term, plain, definition] = cellsOf(line, 4) as [string, string, string, string];
  return [id, { term, plain, definition }];
}

function cellsOf(line: string, columns: number): string[] {
  const cells = line.split('|').map((cell) => cell.trim());
  if (cells.length !== columns || cells.some((cell) => !cell))
    throw new Error(`Words of a language need ${columns} columns: "${line.trim()}"`);
  return cells;
}

/**
 * A vocabulary in another language. What a library has put in words of its own, and its own characters, stay as they are written.
 *
 * @example
 * saidIn(GERMAN, BUILT_IN).get('twig.arrangement')!.states[0]!.term; // 'wechselständig'
 */
export const saidIn = (tongue: Tongue, vocabulary: Vocabulary): Vocabulary =>
  new Map([...vocabulary].map(([id, character]) => [id, characterIn(tongue, character)]));

function characterIn(tongue: Tongue, character: Character): Character {
  const builtIn = BUILT_IN.get(character.id);
  if (!builtIn) return character;
  return {
    ...inWords(character, builtIn, tongue.characters.get(character.id)),
    saying: tongue.saying,
    states: character.states.map((state) => {
      const written = builtIn.states.find(({ id }) => id === state.id);
      return written ? inWords(state, written, stateWords(tongue, character.id, written)) : state;
    }),
  };
}

/**
 * A word for a character, or for one of its states, that was said in English, in another language; as it stands where it is a library's
 * own.
 *
 * @param stateId of the state that is spoken of; undefined where it is the character itself
 * @example
 * wordIn(GERMAN, 'scales on the bud', 'bud.scales'); // 'Schuppen der Knospe'
 * wordIn(GERMAN, 'naked', 'bud.scales', 'none'); // 'nackt'
 */
export function wordIn(tongue: Tongue, word: string, characterId: string, stateId?: string): string {
  const builtIn = BUILT_IN.get(characterId);
  const state = builtIn?.states.find(({ id }) => id === stateId);
  const [written, words]: [Partial<StateWords> | undefined, Partial<StateWords> | undefined] =
    stateId === undefined
      ? [builtIn, tongue.characters.get(characterId)]
      : [state, state && stateWords(tongue, characterId, state)];
  const field = FIELDS.find((each) => written?.[each] === word);
  return (field && words?.[field]) ?? word;
}

const FIELDS = ['term', 'plain', 'definition'] as const;

const stateWords = ({ states, shared }: Tongue, characterId: string, { id, term }: State) =>
  states.get(`${characterId} ${id}`) ?? shared.get(`${id}/${term}`);

/** Something with other words, where it still stands as it was built in. */
function inWords<T extends object>(held: T, builtIn: Partial<T>, words: Partial<T> | undefined): T {
  const changed = Object.entries(words ?? {}).filter(
    ([field]) => held[field as keyof T] === builtIn[field as keyof T],
  );
  return { ...held, ...Object.fromEntries(changed) };
}
