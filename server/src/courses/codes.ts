import { randomInt } from 'node:crypto';

/** Letters and digits that are not taken for one another when read from a card. */
const ALPHABET = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';

/** A code that is easily read aloud and typed on a phone. */
export const readableCode = (length: number): string =>
  Array.from({ length }, () => ALPHABET[randomInt(ALPHABET.length)]).join('');
