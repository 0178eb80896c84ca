/** A piece of a sentence: words, words that matter, the name of a tree or character, or a pair that can be opened. */
export type Piece =
  | string
  | { strong: string }
  | { taxon: string }
  | { character: string }
  | { state: string; of: string }
  /** Where the tree is the sentence's subject, its name is left out. */
  | { pair: { truth: string; answer: string }; nameOnly?: boolean };

/** Names as a course says them. */
export interface Naming {
  taxon(id: string): string;
  character(id: string): string;
  state(characterId: string, stateId: string): string;
}

/** A piece of a sentence as plain words. */
export function inWords(piece: Piece, names: Naming): string {
  if (typeof piece === 'string') return piece;
  if ('strong' in piece) return piece.strong;
  if ('taxon' in piece) return names.taxon(piece.taxon);
  if ('character' in piece) return names.character(piece.character);
  if ('state' in piece) return names.state(piece.of, piece.state);
  const { truth, answer } = piece.pair;
  return piece.nameOnly ? names.taxon(answer) : `${names.taxon(truth)} → ${names.taxon(answer)}`;
}

/**
 * A headline or sentences as plain words, beginning with a capital.
 *
 * @example
 * asText(say(found, report).headline, names); // 'White bands: used too little'
 */
export function asText(pieces: readonly Piece[], names: Naming): string {
  const text = pieces.map((piece) => inWords(piece, names)).join('');
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** Where a piece stands in a sentence of any language: a sign that no text has. */
export const HERE = '\uE000';

/**
 * A sentence with pieces in their places: each language has its own order of words around them.
 *
 * @example
 * withPieces('Missed in \uE000 of 20.', [{ strong: '9' }]); // ['Missed in ', { strong: '9' }, ' of 20.']
 */
export function withPieces(sentence: string, ...pieces: readonly (readonly Piece[])[]): Piece[] {
  return sentence
    .split(HERE)
    .flatMap((words, i): Piece[] => [...(words ? [words] : []), ...(pieces[i] ?? [])]);
}
