import type { Answer } from '@hurrow/core/names';

/** Longest text of one part of an answer that the server takes. */
export const LONGEST = 200;

/** A text as it can be sent and stored: no zero bytes, no halves of signs, not longer than the server takes. */
const cleanedText = (text: string): string =>
  [...text.replaceAll('\u0000', '')]
    .map((sign) => (/\p{Surrogate}/u.test(sign) ? '\uFFFD' : sign))
    .join('')
    .slice(0, LONGEST);

/**
 * An answer that the server can store, whatever was typed or pasted. Words that a paper says it was named by stay with the paper: a phone ticks, and the server
 * takes no others from it.
 *
 * @example
 * cleaned({ genus: 'Ac\u0000er' }); // { genus: 'Acer' }
 */
export const cleaned = ({ wentByUnread: _onPaper, ...answer }: Answer): Answer =>
  Object.fromEntries(
    Object.entries(answer).map(([part, value]) => [
      part,
      typeof value === 'string' ? cleanedText(value) : value,
    ]),
  );
