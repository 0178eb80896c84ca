/**
 * A fixed sentence with what stands for each `#` of it, in their order: names and figures as they are, or sentences that stand in it. Pages that
 * speak another language know its words by themselves.
 */
export interface Sentence {
  words: string;
  put?: readonly (string | number | Sentence)[];
}

/**
 * A sentence in English, or in the language in which `say` finds its words.
 *
 * @example
 * inFull({ words: 'From #: a #.', put: ['Q-01', { words: 'bare twig' }] }); // 'From Q-01: a bare twig.'
 */
export function inFull(
  { words, put = [] }: Sentence,
  say: (words: string) => string = (each) => each,
): string {
  const [first = '', ...parts] = say(words).split('#');
  return parts.reduce((text, part, i) => {
    const filled = put[i] ?? '';
    return text + (typeof filled === 'object' ? inFull(filled, say) : String(filled)) + part;
  }, first);
}
