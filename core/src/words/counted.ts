/**
 * A number with its noun in the right number: nobody reads “1 scores”.
 *
 * @param n how many
 * @param one the noun in the singular
 * @param many its plural, where it is not made with an s
 * @example
 * counted(1, 'score'); // '1 score'
 * counted(3, 'taxon', 'taxa'); // '3 taxa'
 */
export const counted = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;
