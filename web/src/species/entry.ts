import { qualifierKey, unitFactor, type Qualifiers, type Score, type ScoreValue } from '@hurrow/core/score';
import { BUILT_IN, type Character } from '@hurrow/core/vocabulary';

/** What the editor holds of one score: its value as typed or picked, with what is wrong in it. */
export interface Entry {
  characterId: string;
  qualifiers: Qualifiers;
  value: ScoreValue | null;
  /** As typed, for numbers; kept even when it cannot be read. */
  text: string;
}

/** Names a score within its source. */
export const entryKey = (characterId: string, qualifiers: Qualifiers) =>
  `${characterId}|${qualifierKey(qualifiers)}`;

/** What one source says, as entries of the form. */
export function entriesOf(scores: readonly Score[], sourceId: string): Map<string, Entry> {
  return new Map(
    scores
      .filter((score) => score.sourceId === sourceId)
      .map((score) => {
        const { characterId, qualifiers, value } = score;
        return [
          entryKey(characterId, qualifiers),
          { characterId, qualifiers, value, text: asTyped(value, BUILT_IN.get(characterId)!) },
        ];
      }),
  );
}

/** A number as it would be typed, in the character's own unit, so that saving it again changes nothing. */
export function asTyped(value: ScoreValue, character: Character): string {
  if (value.kind !== 'range') return '';
  const factor = unitFactor(character);
  const n = (x: number | undefined) => (x === undefined ? '' : String(Number((x / factor).toPrecision(8))));
  const unit = character.unit && !['1', '1/cm', 'pH'].includes(character.unit) ? ` ${character.unit}` : '';
  const step = value.step === 2 ? ((value.low ?? 1) % 2 ? ', odd' : ', even') : '';
  if (value.typical !== undefined && value.low === undefined) return `about ${n(value.typical)}${unit}`;
  if (value.low === undefined) return `to ${n(value.high ?? value.max)}${unit}`;
  const core =
    value.open && value.high === undefined
      ? `${n(value.low)}–many`
      : value.high === undefined || value.high === value.low
        ? n(value.low)
        : `${n(value.low)}–${n(value.high)}`;
  return `${value.min === undefined ? '' : `(${n(value.min)})`}${core}${value.max === undefined ? '' : `(${n(value.max)})`}${step ? step : unit}`;
}
