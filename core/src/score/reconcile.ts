import type { Vocabulary } from '../vocabulary/index.ts';
import {
  qualifierKey,
  type AdoptedScore,
  type Frequency,
  type RangeValue,
  type Score,
  type ScoreValue,
  type StatesValue,
} from './score.ts';

/** How a library settles what its sources say; `preferred` takes the first source in order that speaks. */
export type ReconciliationRule = 'preferred' | 'envelope';

export interface HandPick {
  sourceId: string;
  reason: string;
}

export interface Reconciliation {
  rule: ReconciliationRule;
  /** Source ids, most trusted first. */
  order: string[];
  /** Picks by hand, by character id. */
  picks?: Record<string, HandPick>;
}

/** The adopted scores of one taxon from all its statements. Unknown characters are kept out. */
export function reconcile(
  scores: readonly Score[],
  vocabulary: Vocabulary,
  by: Reconciliation,
): AdoptedScore[] {
  const groups = new Map<string, Score[]>();
  for (const score of scores) {
    if (!vocabulary.has(score.characterId)) continue;
    const key = `${score.characterId}|${qualifierKey(score.qualifiers)}`;
    groups.set(key, [...(groups.get(key) ?? []), score]);
  }
  const order = (score: Score) => {
    const place = by.order.indexOf(score.sourceId);
    return place < 0 ? by.order.length : place;
  };
  return [...groups.values()].map((group) => {
    const statements = [...group].sort((a, b) => order(a) - order(b));
    const first = statements[0]!;
    const pick = by.picks?.[first.characterId];
    const picked = pick && statements.find((score) => score.sourceId === pick.sourceId);
    const disagree = statements.some((a, i) =>
      statements.slice(i + 1).some((b) => valuesDisagree(a.value, b.value)),
    );
    const whole = !picked && by.rule === 'envelope';
    return {
      characterId: first.characterId,
      qualifiers: first.qualifiers,
      value: whole ? statements.map((score) => score.value).reduce(envelope) : (picked ?? first).value,
      from: whole ? statements.map((score) => score.sourceId) : [(picked ?? first).sourceId],
      statements,
      disagree,
    };
  });
}

/** Sets that do not meet, ranges that overlap by less than half of the shorter one, or yes against no. */
export function valuesDisagree(a: ScoreValue, b: ScoreValue): boolean {
  if (a.kind === 'states' && b.kind === 'states') {
    const seen = (value: StatesValue) =>
      value.states.filter((s) => s.frequency !== 'never').map((s) => s.state);
    const mine = seen(a);
    const theirs = new Set(seen(b));
    return mine.length > 0 && theirs.size > 0 && !mine.some((state) => theirs.has(state));
  }
  if (a.kind === 'range' && b.kind === 'range') {
    const [aLow, aHigh] = ends(a);
    const [bLow, bHigh] = ends(b);
    const shorter = Math.min(aHigh - aLow, bHigh - bLow);
    const overlap = Math.min(aHigh, bHigh) - Math.max(aLow, bLow);
    return shorter > 0 ? overlap < shorter / 2 : overlap < 0;
  }
  if (a.kind === 'flag' && b.kind === 'flag') {
    const leans = (frequency: Frequency) => frequency === 'always' || frequency === 'usually';
    return leans(a.frequency) !== leans(b.frequency);
  }
  return false;
}

function ends(range: RangeValue): [number, number] {
  const low = range.low ?? range.min ?? range.typical ?? range.high ?? range.max ?? 0;
  const high = range.high ?? range.max ?? range.typical ?? low;
  return [Math.min(low, high), Math.max(low, high)];
}

const RANK: Frequency[] = ['never', 'rarely', 'sometimes', 'usually', 'always'];

/** The smallest value that holds both. States that only one source names count as "sometimes". */
function envelope(a: ScoreValue, b: ScoreValue): ScoreValue {
  if (a.kind === 'states' && b.kind === 'states') {
    const names = [...new Set([...a.states, ...b.states].map((entry) => entry.state))];
    const of = (value: StatesValue, state: string) =>
      value.states.find((entry) => entry.state === state)?.frequency;
    const states = names.map((state) => {
      const [mine, theirs] = [of(a, state), of(b, state)];
      if (!mine || !theirs) return { state, frequency: 'sometimes' as const };
      return { state, frequency: RANK[Math.min(RANK.indexOf(mine), RANK.indexOf(theirs))]! };
    });
    return { kind: 'states', states, ...(a.exhaustive && b.exhaustive ? { exhaustive: true } : {}) };
  }
  if (a.kind === 'range' && b.kind === 'range') {
    const least = (x?: number, y?: number) => (x === undefined ? y : y === undefined ? x : Math.min(x, y));
    const most = (x?: number, y?: number) => (x === undefined ? y : y === undefined ? x : Math.max(x, y));
    return dropUndefined({
      kind: 'range',
      min: least(a.min, b.min),
      low: least(a.low, b.low),
      high: most(a.high, b.high),
      max: most(a.max, b.max),
      step: a.step === b.step ? a.step : undefined,
      open: a.open || b.open || undefined,
    });
  }
  if (a.kind === 'flag' && b.kind === 'flag')
    return a.frequency === b.frequency ? a : { kind: 'flag', frequency: 'sometimes' };
  if (a.kind === 'months' && b.kind === 'months') return { kind: 'months', arcs: [...a.arcs, ...b.arcs] };
  return a;
}

function dropUndefined(range: RangeValue): RangeValue {
  return Object.fromEntries(
    Object.entries(range).filter(([, value]) => value !== undefined),
  ) as unknown as RangeValue;
}
