import { ProgramDraft, type Solve, type Term } from '../program/index.ts';
import { askedKindOf } from './asked.ts';
import type { Candidate } from './candidates.ts';
import { expectedRight } from './expected.ts';
import type { ClassSoFar, Count, QuizWishes } from './wishes.ts';

/** A quiz that was put together, and what could not be had. */
export interface QuizProposal {
  /** Ids of the chosen candidates. */
  stations: string[];
  /** Wishes that had to be given up, with the least that would have to give; empty where all were met. */
  relaxed: Relaxation[];
  /** What it is worth by its own measure, and what no quiz could be worth more than. */
  worth: number;
  bound: number;
}

/** A wish that cannot be had beside the others. */
export interface Relaxation {
  wish: 'stations' | 'kind' | 'asked' | 'set' | 'again' | 'mixedUp' | 'expected' | 'pin' | 'tree';
  /** Of a kind, a set or a pin, which one. */
  of?: string;
  side: 'least' | 'most';
  /** How many stations it is off, or for what is expected by how much. */
  by: number;
}

/** A whole station short costs more than any worth that a quiz could gain by it. */
const GIVING_UP = 100;
/** Of what students are expected to have right, a hundredth counts as much as half a station. */
const OFF_BAND = 50;
/** Forms are expected to be as hard within this share of right answers, with room for rounding. */
const ALIKE = 0.025;
/** A kind of station is wanted so much less than the one named before it. */
const LATER_KIND = 0.03;
/** What a station is worth more where what it asks suits just it. */
const SUITS = 0.3;
/** Stations that could tell the use of a character: the first tells most. */
const TOLD_BY = 5;

/** Worth of a station, 0 to 1, for a fair mark: not yet examined before examined, mixed up before known, fair before strained. */
function fairWorth(candidate: Candidate, so: ClassSoFar): number {
  const { answers, right } = so.answered[candidate.taxonId] ?? { answers: 0, right: 0 };
  const wrong = answers > 0 ? 1 - right / answers : 0;
  const isNew = answers === 0 ? 1 : 0;
  const mixed = isOfPair(candidate, so) ? 1 : 0;
  return 0.4 * candidate.right + 0.3 * isNew + 0.15 * mixed + 0.15 * wrong + SUITS * (candidate.suits ?? 0);
}

/** Does a station show a tree of a pair that the class mixes up? */
const isOfPair = ({ taxonId }: Candidate, { mixedUp }: ClassSoFar): boolean =>
  mixedUp.some(({ a, b }) => a === taxonId || b === taxonId);

/**
 * Puts a quiz together as a mixed-integer program (van der Linden 2005): the stations that are worth most under all wishes. A wish that cannot be
 * had beside the others is given up by as little as possible, and named.
 *
 * @param seconds that the solver may take
 * @returns undefined where there is nothing to choose from
 * @example
 * proposeQuiz(table.candidates, usualWishes(10, sets), so, solve)!.stations.length; // 10
 */
export const proposeQuiz = (
  candidates: readonly Candidate[],
  wishes: QuizWishes,
  so: ClassSoFar,
  solve: Solve,
  seconds = 1.5,
): QuizProposal | undefined => proposeForms(candidates, wishes, so, solve, 1, seconds)?.[0];

/**
 * Forms of one quiz for those who sit it at another time, put together at once: no station twice, the same number of each kind and of each set, and
 * expected to be as hard within three in a hundred. What is pinned is in the first.
 *
 * @returns a proposal for each form; what had to be given up stands with the first. Undefined where there is nothing to choose from
 */
export function proposeForms(
  candidates: readonly Candidate[],
  wishes: QuizWishes,
  so: ClassSoFar,
  solve: Solve,
  count: number,
  seconds = 2.5,
): QuizProposal[] | undefined {
  const setOf = new Map(so.sets.flatMap(({ id, taxa }) => taxa.map((taxon) => [taxon, id] as const)));
  const usable = usableOf(candidates, wishes, setOf);
  if (usable.length === 0) return undefined;
  const draft = new Draft(usable, wishes, so, setOf);
  const forms = Array.from({ length: count }, (_, form) => draft.form(form === 0));
  forms.slice(1).forEach((form) => draft.alike(forms[0]!, form));
  if (count > 1) draft.apart(forms);
  const found = solve(draft.program.program, seconds);
  if (!found) return undefined;
  const { relaxed, cost } = draft.givenUp(found.values);
  return forms.map((chosen, form) => ({
    stations: usable.filter((_, i) => found.values[chosen[i]!]! > 0.5).map(({ id }) => id),
    relaxed: form === 0 ? relaxed : [],
    worth: cost - found.cost,
    bound: cost - found.bound,
  }));
}

const NAME_ALONE: NonNullable<QuizWishes['asked']> = { name: { least: 0, most: Infinity } };

const usableOf = (
  candidates: readonly Candidate[],
  { pins, fair, kinds, sets, bans, asked = NAME_ALONE }: QuizWishes,
  setOf: ReadonlyMap<string, string>,
): Candidate[] =>
  candidates.filter(
    (each) =>
      pins.includes(each.id) ||
      (each.right >= fair &&
        kinds[each.kind] !== undefined &&
        asked[askedKindOf(each)] !== undefined &&
        sets[setOf.get(each.taxonId) ?? ''] !== undefined &&
        !bans.includes(each.id) &&
        !bans.includes(each.taxonId)),
  );

type Limit = Omit<Relaxation, 'by'> & { slack: number; unit: number };

/** The program of a quiz while it is written. */
class Draft {
  readonly program = new ProgramDraft();
  private readonly limits: Limit[] = [];

  constructor(
    private readonly usable: readonly Candidate[],
    private readonly wishes: QuizWishes,
    private readonly so: ClassSoFar,
    private readonly setOf: ReadonlyMap<string, string>,
  ) {}

  /** The choices of one form under all wishes: a variable for each candidate. */
  form(isFirst: boolean): number[] {
    const { wishes, so, usable } = this;
    const order = Object.keys(wishes.kinds);
    // What is worth most is the first; the others are to be like it, of whatever is left.
    const chosen = usable.map((each) =>
      this.program.yesOrNo(
        isFirst
          ? LATER_KIND * Math.max(0, order.indexOf(each.kind)) - (1 - wishes.toLearn) * fairWorth(each, so)
          : 0,
      ),
    );
    const these = (is: (each: Candidate) => boolean) => this.those(chosen, is);
    const all = { least: wishes.stations, most: wishes.stations };
    this.limit(
      { wish: 'stations' },
      these(() => true),
      all,
      2 * GIVING_UP,
    );
    for (const [kind, count] of Object.entries(wishes.kinds))
      this.limit(
        { wish: 'kind', of: kind },
        these((each) => each.kind === kind),
        count,
      );
    for (const [kind, count] of Object.entries(wishes.asked ?? {}))
      this.limit(
        { wish: 'asked', of: kind },
        these((each) => askedKindOf(each) === kind),
        count,
      );
    for (const [set, count] of Object.entries(wishes.sets))
      this.limit(
        { wish: 'set', of: set },
        these((each) => this.setOf.get(each.taxonId) === set),
        count,
      );
    this.limit(
      { wish: 'again' },
      these(({ taxonId }) => (so.answered[taxonId]?.answers ?? 0) > 0),
      wishes.again,
    );
    this.limit(
      { wish: 'mixedUp' },
      these((each) => isOfPair(each, so)),
      { least: wishes.mixedUp, most: Infinity },
    );
    this.band(chosen);
    for (const taxonId of new Set(usable.map((each) => each.taxonId))) {
      const settled = usable.filter(
        (each) => each.taxonId === taxonId && wishes.pins.includes(each.id),
      ).length;
      this.program.row(
        these((each) => each.taxonId === taxonId),
        0,
        Math.max(wishes.perTree, settled),
      );
    }
    usable.forEach((each, i) => {
      if (isFirst && wishes.pins.includes(each.id)) this.program.fix(chosen[i]!, 1);
    });
    if (isFirst && wishes.toLearn > 0) toldBy(this.program, usable, chosen, wishes, so);
    return chosen;
  }

  /** Two forms with as many of each kind and of each set, and as hard. */
  alike(first: readonly number[], second: readonly number[]): void {
    const same = (is: (each: Candidate) => boolean) => [
      ...this.those(first, is),
      ...this.those(second, is, () => -1),
    ];
    for (const kind of new Set(this.usable.map((each) => each.kind)))
      this.limit(
        { wish: 'kind', of: kind },
        same((each) => each.kind === kind),
        { least: -1e-9, most: 1e-9 },
      );
    for (const kind of new Set(this.usable.map(askedKindOf)))
      this.limit(
        { wish: 'asked', of: kind },
        same((each) => askedKindOf(each) === kind),
        { least: -1e-9, most: 1e-9 },
      );
    for (const set of new Set(this.setOf.values()))
      this.limit(
        { wish: 'set', of: set },
        same((each) => this.setOf.get(each.taxonId) === set),
        { least: -1e-9, most: 1e-9 },
      );
    const hard = [...this.expected(first, 1), ...this.expected(second, -1)];
    const within = ALIKE * this.wishes.stations;
    this.limit(
      { wish: 'expected', of: 'forms' },
      hard,
      { least: -within, most: within },
      OFF_BAND,
      this.wishes.stations || 1,
    );
  }

  /** No station in two forms. */
  apart(forms: readonly (readonly number[])[]): void {
    this.usable.forEach((_, i) =>
      this.program.row(
        forms.map((chosen): Term => [chosen[i]!, 1]),
        0,
        1,
      ),
    );
  }

  /** What had to give, and what that costs in the solution. */
  givenUp(values: Float64Array): { relaxed: Relaxation[]; cost: number } {
    const relaxed = this.limits.flatMap(({ slack, unit, ...relaxation }): Relaxation[] => {
      const off = values[slack]!;
      return off > 1e-6 ? [{ ...relaxation, by: unit === 1 ? Math.round(off) : off / unit }] : [];
    });
    const { costs } = this.program.program;
    return { relaxed, cost: this.limits.reduce((sum, { slack }) => sum + values[slack]! * costs[slack]!, 0) };
  }

  /** Σ (p − low) ≥ 0 and Σ (high − p) ≥ 0: what is expected on average lies in the band, however many stations there are. */
  private band(chosen: readonly number[]): void {
    const [low, high] = this.wishes.expected;
    const unit = this.wishes.stations || 1;
    const over = { least: 1e-9, most: Infinity };
    const less = (terms: Term[], by: number) => terms.map(([variable, p]): Term => [variable, p + by]);
    if (low > 0)
      this.limit({ wish: 'expected', of: 'low' }, less(this.expected(chosen, 1), -low), over, OFF_BAND, unit);
    if (high < 1)
      this.limit(
        { wish: 'expected', of: 'high' },
        less(this.expected(chosen, -1), high),
        over,
        OFF_BAND,
        unit,
      );
  }

  private expected(chosen: readonly number[], sign: number): Term[] {
    return this.those(
      chosen,
      () => true,
      (each) => sign * expectedRight(each, this.so),
    );
  }

  private those(
    chosen: readonly number[],
    is: (each: Candidate) => boolean,
    by: (each: Candidate) => number = () => 1,
  ): Term[] {
    return this.usable.flatMap((each, i): Term[] => (is(each) ? [[chosen[i]!, by(each)]] : []));
  }

  private limit(
    relaxation: Omit<Relaxation, 'by' | 'side'>,
    terms: readonly Term[],
    { least, most }: Count,
    cost = GIVING_UP,
    unit = 1,
  ): void {
    const slackFor = (side: 'least' | 'most') => {
      const slack = this.program.variable(cost);
      this.limits.push({ ...relaxation, side, slack, unit });
      return slack;
    };
    const under = Number.isFinite(least) && least !== 0 ? [[slackFor('least'), 1] as const] : [];
    const over = Number.isFinite(most) ? [[slackFor('most'), -1] as const] : [];
    this.program.row([...terms, ...under, ...over], least, most);
  }
}

/**
 * What a quiz tells of the class: each character that is still in doubt, by how many stations could tell its use, each less than the one before.
 * That is the determinant of what is known of all of them, taken one by one (D-optimal on the diagonal).
 */
function toldBy(
  draft: ProgramDraft,
  usable: readonly Candidate[],
  chosen: readonly number[],
  { toLearn, stations }: QuizWishes,
  { doubtful }: ClassSoFar,
): void {
  const characters = new Set(usable.flatMap(({ tells }) => tells));
  // As much as a fair mark, where every character of a dozen is told once by a station.
  const scale = (toLearn * stations) / Math.max(1, characters.size);
  for (const id of characters) {
    const doubt = doubtful[id] ?? 1;
    if (doubt <= 0) continue;
    const terms = usable.flatMap(({ tells }, i): Term[] => (tells.includes(id) ? [[chosen[i]!, -1]] : []));
    const steps = Array.from({ length: TOLD_BY }, (_, k) => {
      const gain = doubt * scale * Math.log((2 + k) / (1 + k));
      return draft.variable(-gain, 0, 1);
    });
    draft.row([...steps.map((step): Term => [step, 1]), ...terms], -Infinity, 0);
  }
}
