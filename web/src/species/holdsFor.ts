import { t } from '@lingui/core/macro';
import { qualifierKey, type Qualifiers } from '@hurrow/core/score';
import { qualifiersInWords } from '../language/qualifiersInWords.ts';

/** What a score may be said to hold for, as it is chosen in the editor. */
const QUALIFIERS: [string, Qualifiers][] = [
  [t`in general`, {}],
  [t`young`, { plantAge: 'young' }],
  [t`mature`, { plantAge: 'mature' }],
  [t`old`, { plantAge: 'old' }],
  [t`sun leaves`, { light: 'sun' }],
  [t`shade leaves`, { light: 'shade' }],
  [t`male`, { sex: 'male' }],
  [t`female`, { sex: 'female' }],
  [t`sprouts`, { shoot: 'sprout' }],
  [t`spur shoots`, { shoot: 'spur' }],
  [t`open-grown`, { setting: 'open' }],
  [t`forest-grown`, { setting: 'forest' }],
];

/** A choice of what a row holds for: its words, and its qualifiers as one key. */
export type Option = readonly [label: string, key: string];

/** The usual choices, and behind them what is scored here for anything else. */
export function holdsFor(entries: readonly { qualifiers: Qualifiers }[]): Option[] {
  const usual = QUALIFIERS.map(([label, qualifiers]): Option => [label, qualifierKey(qualifiers)]);
  const known = new Set(usual.map(([, key]) => key));
  const others = entries
    .map(({ qualifiers }): Option => [qualifiersInWords(qualifiers), qualifierKey(qualifiers)])
    .filter(([, key]) => !known.has(key));
  return [...usual, ...others];
}

/** The key of the choice after or before one, round and round. */
export function besideOption(options: readonly Option[], key: string, back: boolean): string {
  const at = options.findIndex(([, each]) => each === key);
  return options[(at + (back ? options.length - 1 : 1)) % options.length]![1];
}
