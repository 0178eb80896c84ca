import { arcsAsText } from '../season/index.ts';
import type { Character } from '../vocabulary/index.ts';
import { unitFactor, type RangeValue, type ScoreValue } from './score.ts';

/**
 * A score as it would be typed, in the character's own unit; `parseScore` reads it back equal. States go by id with their
 * frequency, a range in its botanical form.
 */
export function asTyped(value: ScoreValue, character: Character): string {
  switch (value.kind) {
    case 'range':
      return rangeAsTyped(value, character);
    case 'flag':
      return { always: 'yes', usually: 'usually', sometimes: 'sometimes', rarely: 'rarely', never: 'no' }[
        value.frequency
      ];
    case 'months':
      return arcsAsText(value.arcs);
    case 'states':
      return (
        (value.exhaustive ? 'only ' : '') +
        value.states.map(({ state, frequency }) => `${frequency} ${state}`).join('; ')
      );
  }
}

function rangeAsTyped(value: RangeValue, character: Character): string {
  const factor = unitFactor(character);
  const n = (x: number | undefined) => (x === undefined ? '' : String(Number((x / factor).toPrecision(8))));
  const unit = character.unit && !['1', '1/cm', 'pH'].includes(character.unit) ? ` ${character.unit}` : '';
  const step = value.step === 2 ? ((value.low ?? 1) % 2 ? ', odd' : ', even') : '';
  if (value.typical !== undefined && value.low === undefined) return `about ${n(value.typical)}${unit}`;
  if (value.open && value.high === undefined && value.low !== undefined && character.kind === 'measure')
    return `over ${n(value.low)}${unit}`;
  if (value.low === undefined) return `to ${n(value.high ?? value.max)}${unit}`;
  const core =
    value.open && value.high === undefined
      ? `${n(value.low)}–many`
      : value.high === undefined || value.high === value.low
        ? n(value.low)
        : `${n(value.low)}–${n(value.high)}`;
  const min = value.min === undefined ? '' : `(${n(value.min)})`;
  const max = value.max === undefined ? '' : `(${n(value.max)})`;
  const usual = value.typical === undefined ? '' : `, usually ${n(value.typical)}${unit}`;
  return `${min}${core}${max}${step ? step : unit}${usual}`;
}
