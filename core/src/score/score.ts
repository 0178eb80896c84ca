import type { Arc } from '../season/index.ts';
import { QUALIFIER_NAMES, type Character, type QualifierName } from '../vocabulary/index.ts';

export const FREQUENCIES = ['always', 'usually', 'sometimes', 'rarely', 'never'] as const;
export type Frequency = (typeof FREQUENCIES)[number];

export interface StateFrequency {
  state: string;
  frequency: Frequency;
}

/** Measures are in metres, kg/m³ or as their unit says; low–high is the central 90 %, min and max are extremes seen. */
export interface RangeValue {
  kind: 'range';
  min?: number;
  low?: number;
  high?: number;
  max?: number;
  typical?: number;
  /** Counts only: 2 for "9–13, odd". */
  step?: number;
  /** Counts only: no upper end ("many"). */
  open?: boolean;
  /** Own measurements only: how many were taken. */
  n?: number;
}
export interface StatesValue {
  kind: 'states';
  states: StateFrequency[];
  /** Any-of characters: states not listed are absent, not unknown. */
  exhaustive?: boolean;
}
export interface FlagValue {
  kind: 'flag';
  frequency: Frequency;
}
export interface MonthsValue {
  kind: 'months';
  arcs: Arc[];
}
export type ScoreValue = StatesValue | FlagValue | RangeValue | MonthsValue;

/** What a score is limited to; no entry means any. */
export type Qualifiers = Partial<Record<QualifierName, string>>;

/** What one source says of one taxon for one character. */
export interface Score {
  characterId: string;
  sourceId: string;
  qualifiers: Qualifiers;
  value: ScoreValue;
  note?: string;
}

/** Do two scores say something of the same character under the same qualifiers, from the same source? Their values may differ. */
export const sameStatement = (a: Score, b: Score): boolean =>
  a.characterId === b.characterId &&
  a.sourceId === b.sourceId &&
  qualifierKey(a.qualifiers) === qualifierKey(b.qualifiers);

/** What the library uses after reconciling its sources; computed, never typed over. */
export interface AdoptedScore {
  characterId: string;
  qualifiers: Qualifiers;
  value: ScoreValue;
  /** Sources that the value was taken from. */
  from: string[];
  /** The statements of all sources, in the library's order. */
  statements: Score[];
  disagree: boolean;
}

/** Qualifiers as one string, for grouping: `{plantAge:'young'}` → "plantAge=young". */
export const qualifierKey = (qualifiers: Qualifiers): string =>
  Object.entries(qualifiers)
    .filter(([, value]) => value)
    .sort(([a], [b]) => a.localeCompare(b))
    .map(([name, value]) => `${name}=${value}`)
    .join(';');

/** What `qualifierKey` wrote; names and values that are none are left out. */
export function readQualifierKey(key: string): Qualifiers {
  const read: Qualifiers = {};
  for (const part of key.split(';')) {
    const [name, value] = part.split('=');
    const known = QUALIFIER_NAMES.find((each) => each === name);
    if (known && value) read[known] = value;
  }
  return read;
}

/** Weights 1, or 8 : 3 : 0.4 among several, so that “rarely” is some 5 % as for yes and no, normalised to sum 1. States "never" seen weigh nothing. */
export function stateWeights(value: StatesValue): Map<string, number> {
  const raw: Record<Frequency, number> = { always: 8, usually: 8, sometimes: 3, rarely: 0.4, never: 0 };
  const total = value.states.reduce((sum, { frequency }) => sum + raw[frequency], 0);
  return new Map(value.states.map(({ state, frequency }) => [state, total ? raw[frequency] / total : 0]));
}

/** Share of individuals in which a yes/no holds. */
export const YES_SHARE: Record<Frequency, number> = {
  always: 1,
  usually: 0.8,
  sometimes: 0.3,
  rarely: 0.05,
  never: 0,
};

/**
 * Can this value show the given state at all? Used for applicability: `leaf.leaflets` applies while compound leaves are
 * more than "never".
 */
export function admits(value: ScoreValue, state: string): boolean {
  if (value.kind === 'flag') {
    const share = YES_SHARE[value.frequency];
    return state === 'yes' ? share > 0 : share < 1;
  }
  if (value.kind === 'states')
    return value.states.some((entry) => entry.state === state && entry.frequency !== 'never');
  return true;
}

/** Number in the stored unit of one display unit: 0.01 for cm. */
export function unitFactor(character: Character): number {
  switch (character.unit) {
    case 'cm':
      return 0.01;
    case 'mm':
      return 0.001;
    default:
      return 1;
  }
}
