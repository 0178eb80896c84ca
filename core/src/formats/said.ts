import type { Answer } from '../names/index.ts';
import { done, refused, type Outcome } from '../outcome/index.ts';
import type { FrozenQuestion } from '../station/index.ts';

/**
 * Reads what a paper answers where a station asks for something else than a name: what was chosen by its words or id, and what is written as it is.
 *
 * @returns the answer; refused where it is none of what there was to choose from
 * @example
 * readSaid('in pairs', arrangement); // { ok: true, value: { said: 'opposite' } }
 * readSaid('Pinaceae', family); // { ok: true, value: { family: 'Pinaceae' } }
 */
export function readSaid(text: string, { kind, offered }: FrozenQuestion): Outcome<Answer> {
  const written = text.trim();
  if (kind === 'family' || kind === 'genus') return done({ [kind]: written });
  if (!written || offered.length === 0) return done({ said: written });
  const plain = (word: string) => word.toLowerCase().replace(/\s+/g, ' ').trim();
  const found = offered.filter(({ id, term, plain: words }) =>
    [id, term, words].some((word) => plain(word) === plain(written)),
  );
  if (found.length === 1) return done({ said: found[0]!.id });
  return refused(
    `“${written}” is none of what this station offers. Write one of ${offered.map(({ term }) => term).join(', ')}.`,
  );
}
