import { UNCALLED, type Answer } from '../names/index.ts';
import { done, refused, type Outcome } from '../outcome/index.ts';
import { lettersOf, type FrozenQuestion } from '../station/index.ts';

/**
 * Reads what a paper answers where a station asks for something else than a name: what was chosen by its words or id, and what is written as it is.
 *
 * @returns the answer; refused where it is none of what there was to choose from
 * @example
 * readSaid('in pairs', arrangement); // { ok: true, value: { said: 'opposite' } }
 * readSaid('Pinaceae', family); // { ok: true, value: { family: 'Pinaceae' } }
 */
export function readSaid(text: string, question: FrozenQuestion): Outcome<Answer> {
  const { kind, offered, items } = question;
  const written = text.trim();
  if (kind === 'family' || kind === 'genus') return done({ [kind]: written });
  if (!written || offered.length === 0) return done({ said: written });
  if (items) return readSorted(written, items.length, offered);
  const found = chosenBy(written, offered);
  if (found !== undefined) return done({ said: found });
  return refused(
    `“${written}” is none of what this station offers. Write one of ${offered.map(({ term }) => term).join(', ')}.`,
  );
}

/** The id of what is meant by a word, in terms, in plain words or by its id; undefined where it is none or several. */
function chosenBy(written: string, offered: FrozenQuestion['offered']): string | undefined {
  const plain = (word: string) => word.toLowerCase().replace(/\s+/g, ' ').trim();
  const found = offered.filter(({ id, term, plain: words }) =>
    [id, term, words].some((word) => plain(word) === plain(written)),
  );
  return found.length === 1 ? found[0]!.id : undefined;
}

/** Reads what each of several specimens was called: “A opposite, B alternate”, or their states in order; a dash where nothing was written. */
function readSorted(written: string, count: number, offered: FrozenQuestion['offered']): Outcome<Answer> {
  const letters = lettersOf(count);
  const called = letters.map(() => UNCALLED);
  for (const [i, entry] of written.split(/[,;\n]/).entries()) {
    const [, letter, named] = /^\s*([A-Za-z])\s*[:=.)]?\s+(.*)$/.exec(entry) ?? [];
    const at = letter === undefined ? i : letters.indexOf(letter.toUpperCase());
    const word = (named ?? entry).trim();
    if (/^[-–—]?$/.test(word)) continue;
    const id = chosenBy(word, offered);
    if (at < 0 || at >= count || id === undefined)
      return refused(
        `“${entry.trim()}” cannot be read. Write what each is, as “${letters
          .slice(0, 2)
          .map((each, k) => `${each} ${offered[k % offered.length]!.term}`)
          .join(
            ', ',
          )} …”; there are ${letters[0]} to ${letters.at(-1)}, each ${offered.map(({ term }) => term).join(' or ')}.`,
      );
    called[at] = id;
  }
  return done({ said: called.every((id) => id === UNCALLED) ? '' : called.join(' ') });
}
