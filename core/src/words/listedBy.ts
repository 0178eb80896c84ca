/**
 * “a, b or c”, by the word that joins them.
 *
 * @example
 * listedBy(['ash', 'elm', 'oak'], 'or'); // 'ash, elm or oak'
 */
export const listedBy = (words: readonly string[], by: string): string =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} ${by} ${words.at(-1)!}`;
