import { qualifierKey, qualifiersInWords, type Qualifiers } from '@hurrow/core/score';

/** What a score may be said to hold for, as it is chosen in the editor. */
const QUALIFIERS: [string, Qualifiers][] = [
  ['in general', {}],
  ['young', { plantAge: 'young' }],
  ['mature', { plantAge: 'mature' }],
  ['old', { plantAge: 'old' }],
  ['sun leaves', { light: 'sun' }],
  ['shade leaves', { light: 'shade' }],
  ['male', { sex: 'male' }],
  ['female', { sex: 'female' }],
  ['sprouts', { shoot: 'sprout' }],
  ['spur shoots', { shoot: 'spur' }],
  ['open-grown', { setting: 'open' }],
  ['forest-grown', { setting: 'forest' }],
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
