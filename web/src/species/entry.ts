import { asTyped, qualifierKey, type Qualifiers, type Score, type ScoreValue } from '@hurrow/core/score';
import type { Vocabulary } from '@hurrow/core/vocabulary';

/** What the editor holds of one score: its value as typed or picked, with what is wrong in it. */
export interface Entry {
  characterId: string;
  qualifiers: Qualifiers;
  value: ScoreValue | null;
  /** As typed, for numbers; kept even when it cannot be read. */
  text: string;
  /** What the source adds in its own words. */
  note?: string;
}

/** Names a score within its source. */
export const entryKey = (characterId: string, qualifiers: Qualifiers) =>
  `${characterId}|${qualifierKey(qualifiers)}`;

/** What one source says (all of them without one), as entries of the form. */
export function entriesOf(
  scores: readonly Score[],
  sourceId: string | undefined,
  vocabulary: Vocabulary,
): Map<string, Entry> {
  return new Map(
    scores
      .filter(
        (score) =>
          (sourceId === undefined || score.sourceId === sourceId) && vocabulary.has(score.characterId),
      )
      .map((score) => {
        const { characterId, qualifiers, value, note } = score;
        return [
          entryKey(characterId, qualifiers),
          {
            characterId,
            qualifiers,
            value,
            text: value.kind === 'range' ? asTyped(value, vocabulary.get(characterId)!) : '',
            ...(note ? { note } : {}),
          },
        ];
      }),
  );
}
