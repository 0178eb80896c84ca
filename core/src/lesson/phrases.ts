import type { Phrase, Telling } from '../vocabulary/index.ts';

/**
 * Reads how what is scored is said as a dendrologist says it, by `character` or `character=state`. One a line: `key | technical | plain`. A
 * dash is never said; what begins with `~` (no thorns, a single trunk) is no news of a tree alone, and is said only beside one that it tells
 * it from.
 *
 * @throws on a line with other columns: the phrases ship with the product and must be whole
 * @example
 * readPhrases(['bud.stalked=yes | buds stalked | The buds stand on little stalks'])['bud.stalked=yes']!.technical; // 'buds stalked'
 */
export const readPhrases = (tables: readonly string[]): Readonly<Record<string, Phrase>> =>
  Object.fromEntries(
    tables
      .join('\n')
      .split('\n')
      .filter((line) => line.trim())
      .map((line): [string, Phrase] => {
        const [key, technical, plain, more] = line.split('|').map((cell) => cell.trim());
        if (!key || !technical || !plain || more) throw new Error(`A phrase needs 3 columns: "${line}"`);
        return [key, { technical, plain }];
      }),
  );

/** The phrase of a character, or of one of its states where it has one of its own. */
export const phraseOf = ({ phrases }: Telling, characterId: string, state?: string): Phrase | undefined =>
  (state === undefined ? undefined : phrases[`${characterId}=${state}`]) ?? phrases[characterId];
