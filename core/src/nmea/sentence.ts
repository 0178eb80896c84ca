import { done, refused, type Outcome } from '../outcome/index.ts';

/** One sentence as an instrument speaks it, its checksum found right. */
export interface Sentence {
  /** Who speaks, such as GP (satellites) or YX (a transducer). */
  talker: string;
  /** What is said, such as GGA or XDR. */
  kind: string;
  fields: string[];
}

/** Longest sentence of the standard, its ends among it; some instruments say a little more. */
export const LONGEST = 120;

/** XOR of all characters between $ and *, as two hexadecimal digits: `checksum('GPGGA,')` is “7A”. */
export const checksum = (text: string): string =>
  [...text]
    .reduce((sum, char) => sum ^ char.charCodeAt(0), 0)
    .toString(16)
    .toUpperCase()
    .padStart(2, '0');

/** A sentence with its checksum: `written('YXXDR', ['D', '21.4', 'M', 'SLOPE'])` is “$YXXDR,D,21.4,M,SLOPE*3E”. */
export function written(address: string, fields: readonly string[]): string {
  const text = [address, ...fields].join(',');
  return `$${text}*${checksum(text)}`;
}

/**
 * Reads one line of an instrument by NMEA 0183.
 *
 * @param line without its line end
 * @returns the sentence, or why it is not taken; nothing is taken without a right checksum
 * @example
 * readSentence('$YXXDR,D,21.4,M,SLOPE*00'); // { ok: false, problem: 'A sentence came garbled (checksum 3E, 00 was said).' }
 */
export function readSentence(line: string): Outcome<Sentence> {
  const found = /^\$([A-Z]{2})([A-Z]{3}),([\x20-\x7e]*)\*([0-9A-Fa-f]{2})$/.exec(line);
  if (!found || line.length > LONGEST)
    return refused('A sentence came cut off or garbled, and was left out.');
  const [, talker = '', kind = '', rest = '', said = ''] = found;
  const sum = checksum(`${talker}${kind},${rest}`);
  if (sum !== said.toUpperCase())
    return refused(`A sentence came garbled (checksum ${sum}, ${said.toUpperCase()} was said).`);
  return done({ talker, kind, fields: rest.split(',') });
}
