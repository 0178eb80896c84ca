import { asTyped, sizesOf, valueInWords, type MeasureSettings, type ScoreValue } from '@hurrow/core/score';
import type { Character } from '@hurrow/core/vocabulary';

/**
 * How a typed range is read, where that is not plain from what was typed: a unit that was not written, feet and inches, a second figure.
 *
 * @example
 * readAs('4–7', value, leafLength, 'imperial'); // '4–7 in'
 */
export function readAs(
  text: string,
  value: ScoreValue | null,
  character: Character,
  units: MeasureSettings['units'],
): string {
  if (value?.kind !== 'range' || character.kind !== 'measure' || !text.trim()) return '';
  const plain = (written: string) => written.replace(/[–—−]/g, '-').replace(/\s+/g, '').toLowerCase();
  const [own, words] = [asTyped(value, character), valueInWords(value, character, 'technical', units)];
  return [own, words].some((written) => plain(written) === plain(text)) ? '' : words;
}

/** The unit that a bare number is taken in. */
export function bareUnit(character: Character, units: MeasureSettings['units']): string {
  if (units !== 'imperial') return character.unit ?? '';
  if (character.unit === 'm') return 'ft';
  if (character.unit === 'cm' || character.unit === 'mm') return 'in';
  return character.unit === 'kg/m³' ? 'lb/ft³' : (character.unit ?? '');
}

/** Length by width as it was typed, apart: what is for this row, and what for the other. */
export function twoSizes(
  text: string,
  character: Character,
): { here: string; there: { characterId: string; text: string } } | undefined {
  const sizes = sizesOf(text, character);
  const here = sizes.find(({ characterId }) => characterId === character.id);
  const there = sizes.find(({ characterId }) => characterId !== character.id);
  return here && there ? { here: here.text, there } : undefined;
}
