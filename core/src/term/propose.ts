import { ProgramDraft, type Solution, type Solve, type Term } from '../program/index.ts';
import { bundlesOf } from './bundles.ts';
import { improved } from './improve.ts';
import {
  breaksOf,
  isBroken,
  isGoodWeek,
  judgeTerm,
  lossOf,
  measurer,
  mostLost,
  sharesOf,
  WEIGHTS,
  type PlanMeasure,
  type TermPlan,
  type TermRemark,
} from './judge.ts';
import type { Prospects } from './prospects.ts';
import { openWeeks, usedWeeks, type TermWishes } from './wishes.ts';

export interface TermProposal {
  plan: TermPlan;
  measure: PlanMeasure;
  remarks: TermRemark[];
  /** What could not be had: rules that had to be broken, the fewest that would do. Empty where all of them hold. */
  broken: TermRemark[];
  /** No plan that keeps the rules measures less than this; equal to the measure's total where that is proved. */
  bound: number;
}

/** A rule broken costs more than all that a plan can gain by it. */
const BROKEN_RULE = 5;
/** Share of the time that is left for finding what to break, where no plan keeps all rules. */
const FOR_BREAKING = 0.5;
/** Shares of the time for the weeks without bundles, for packing bundles, and for laying each of two packings on the weeks. */
const SHARES = { weeks: 0.4, bundles: 0.25, laying: 0.2 };
/** Rounds through all species in which single ones are moved. */
const ROUNDS = 6;

/**
 * Sets for a term: each species in a week, in the sense of `judgeTerm` as good as can be. Kept are the weeks that are open, the pins, the
 * sizes of the sets; that a species is taught when its marks can be seen, and a lookalike not before its commoner twin. Where not all of
 * that can be had, as few as possible of the last three are broken and named.
 *
 * @param solve finds the optimum of a mixed-integer program
 * @param seconds for it; with less than the optimum takes, the best plan found so far is given, and the bound tells how far it may be off
 * @throws where no week is open, or a pin names a week outside the term or a species that is not planned
 * @example
 * proposeTerm(prospects, { ...USUAL_WISHES, to: 14 }, solve).plan; // { 'pinus-ponderosa': 1, … }
 */
export function proposeTerm(
  prospects: Prospects,
  wishes: TermWishes,
  solve: Solve,
  seconds = 1,
): TermProposal {
  const open = openWeeks(wishes);
  if (open.length === 0)
    throw new Error('No week is open for a set. Open a week, or let the term be longer.');
  for (const { taxonId, week } of wishes.pins) {
    if (!prospects.taxa.includes(taxonId)) throw new Error(`“${taxonId}” is pinned but not planned.`);
    if (!open.includes(week)) throw new Error(`Week ${week} is pinned but not open for a set.`);
  }
  const weeks = usedWeeks(prospects.taxa.length, wishes);
  const { plan, bound } =
    wishes.lookalikes === 'together'
      ? bundled(prospects, wishes, weeks, solve, seconds)
      : solved(prospects, wishes, weeks, solve, seconds);
  const { measure, remarks } = judgeTerm(prospects, wishes, plan);
  return {
    plan,
    measure,
    remarks,
    broken: remarks.filter(isBroken),
    bound: Math.min(measure.total, Math.max(0, bound)),
  };
}

interface Found {
  plan: TermPlan;
  bound: number;
  /** Whether all rules are kept. */
  strict: boolean;
}

/** The plan of least cost with these bundles; where none keeps the rules, one that breaks few. */
function solved(
  prospects: Prospects,
  wishes: TermWishes,
  weeks: readonly number[],
  solve: Solve,
  seconds: number,
  bundles?: readonly (readonly number[])[],
): Found {
  for (const elastic of [false, true]) {
    const program = new TermProgram(prospects, wishes, weeks, elastic, bundles);
    const solution = solve(program.program, elastic ? seconds * FOR_BREAKING : seconds);
    if (solution) return { plan: program.planOf(solution), bound: solution.bound, strict: !elastic };
  }
  // A slow machine, and not a moment's time: dealt out and moved about, without a bound.
  const breaks = breaksOf(prospects, wishes);
  const measure = measurer(prospects, wishes);
  const costOf = (plan: TermPlan) => measure(plan).total + BROKEN_RULE * breaks(plan);
  const pinned = new Set(wishes.pins.map(({ taxonId }) => taxonId));
  const plan = improved(dealt(prospects, wishes, weeks), costOf, weeks, pinned, ROUNDS);
  return { plan, bound: 0, strict: breaks(plan) === 0 };
}

/** Every species in the week that has the fewest so far, pins where they belong. */
function dealt({ taxa }: Prospects, { pins }: TermWishes, weeks: readonly number[]): TermPlan {
  const plan: Record<string, number> = Object.fromEntries(pins.map(({ taxonId, week }) => [taxonId, week]));
  const held = (week: number) => Object.values(plan).filter((each) => each === week).length;
  for (const id of taxa)
    plan[id] ??= weeks.reduce((least, week) => (held(week) < held(least) ? week : least), weeks[0]!);
  return plan;
}

/**
 * Lookalikes together: a program that is slow to solve whole. The bundles are packed first and laid on the weeks then, and single
 * species moved where that helps. What the packing leaves and what the weeks cost without any bundle bound it from below.
 */
function bundled(
  prospects: Prospects,
  wishes: TermWishes,
  weeks: readonly number[],
  solve: Solve,
  seconds: number,
): Found {
  const free = solved(
    prospects,
    { ...wishes, lookalikes: 'apart' },
    weeks,
    solve,
    seconds * SHARES.weeks,
    [],
  );
  const { bundles, left } = bundlesOf(prospects, wishes.most, solve, seconds * SHARES.bundles);
  const pinned = new Set(wishes.pins.map(({ taxonId }) => prospects.taxa.indexOf(taxonId)));
  const loose = bundles.flatMap((bundle) =>
    bundle.some((t) => pinned.has(t)) ? bundle.map((t) => [t]) : [bundle],
  );
  const tried = [loose, loose.flatMap((bundle) => halved(bundle))].map((each) =>
    solved(prospects, wishes, weeks, solve, seconds * SHARES.laying, each),
  );
  const measure = measurer(prospects, wishes);
  const breaks = breaksOf(prospects, wishes);
  const costOf = (plan: TermPlan) => measure(plan).total + BROKEN_RULE * breaks(plan);
  const [best] = [...tried, free]
    .map((found) => ({ ...found, cost: costOf(found.plan) }))
    .sort((x, y) => x.cost - y.cost);
  const kept = new Set(wishes.pins.map(({ taxonId }) => taxonId));
  const plan = improved(best!.plan, costOf, weeks, kept, ROUNDS);
  return { plan, bound: free.bound + WEIGHTS.lookalikes * left, strict: best!.strict };
}

const halved = (bundle: readonly number[]): number[][] =>
  bundle.length < 4 ? [[...bundle]] : [bundle.slice(0, 2), bundle.slice(2)].map((each) => [...each]);

/** The program of a term (docs/method.md, Sets of a term): one yes-or-no a bundle and week, and what hangs on them. */
class TermProgram {
  private readonly draft = new ProgramDraft();
  /** By bundle and week used. */
  private readonly at: number[][];
  private readonly bundles: readonly (readonly number[])[];
  /** The bundle of each species. */
  private readonly bundleOf: number[];
  /** What is lost at worst by the season. */
  private readonly most: number;

  constructor(
    private readonly prospects: Prospects,
    private readonly wishes: TermWishes,
    private readonly weeks: readonly number[],
    /** Whether rules may be broken, at a price. */
    private readonly elastic: boolean,
    /** Species that are taught together; where bundles are given, lookalikes cost nothing more. */
    bundles?: readonly (readonly number[])[],
  ) {
    const single = prospects.taxa.map((_, t) => [t]);
    this.bundles = bundles && bundles.length > 0 ? bundles : single;
    this.bundleOf = prospects.taxa.map((_, t) => this.bundles.findIndex((bundle) => bundle.includes(t)));
    this.most = mostLost(prospects, openWeeks(wishes));
    this.at = this.bundles.map((bundle) => weeks.map((week) => this.taughtIn(bundle, week)));
    for (const row of this.at)
      this.draft.row(
        row.map((variable) => [variable, 1]),
        1,
        1,
      );
    this.keepPins();
    this.keepSizes();
    this.keepTwins();
    this.easyFirst();
    if (!bundles) this.partLookalikes();
  }

  get program() {
    return this.draft.program;
  }

  planOf({ values }: Solution): TermPlan {
    return Object.fromEntries(
      this.prospects.taxa.map((id, t) => {
        const row = this.rowOf(t).map((variable) => values[variable]!);
        return [id, this.weeks[row.indexOf(Math.max(...row))]!];
      }),
    );
  }

  /** The variables of a species, one a week. */
  private rowOf(t: number): number[] {
    return this.at[this.bundleOf[t]!]!;
  }

  /** One bundle in one week, at the cost of what is not seen of it then. */
  private taughtIn(bundle: readonly number[], week: number): number {
    const open = openWeeks(this.wishes);
    const { taxa } = this.prospects;
    const lost = bundle.reduce((sum, t) => sum + lossOf(this.prospects, open, t, week), 0);
    const cost = this.most > 0 ? lost / this.most : 0;
    const poor = bundle.filter(
      (t) =>
        !isGoodWeek(this.prospects, open, t, week) &&
        !this.wishes.pins.some((pin) => pin.taxonId === taxa[t]),
    ).length;
    const variable = this.draft.yesOrNo(WEIGHTS.season * cost + (this.elastic ? BROKEN_RULE * poor : 0));
    if (poor > 0 && !this.elastic) this.draft.fix(variable, 0);
    return variable;
  }

  private keepPins(): void {
    for (const { taxonId, week } of this.wishes.pins)
      this.draft.fix(this.rowOf(this.prospects.taxa.indexOf(taxonId))[this.weeks.indexOf(week)]!, 1);
  }

  private keepSizes(): void {
    const { least, most } = this.wishes;
    // A list that is too short for sets of the least size makes them as even as it can.
    const from = Math.min(least, Math.floor(this.prospects.taxa.length / this.weeks.length));
    for (const k of this.weeks.keys()) {
      const terms: Term[] = this.at.map((row, u) => [row[k]!, this.bundles[u]!.length]);
      if (this.elastic)
        terms.push([this.draft.variable(BROKEN_RULE), 1], [this.draft.variable(BROKEN_RULE), -1]);
      this.draft.row(terms, from, most);
    }
  }

  /** By every week, of a rarer lookalike no more has been taught than of its commoner twin. */
  private keepTwins(): void {
    for (const { a, b, commoner } of this.prospects.lookalikes) {
      if (commoner === undefined || this.bundleOf[a] === this.bundleOf[b]) continue;
      const rarer = commoner === a ? b : a;
      const slack: Term[] = this.elastic ? [[this.draft.variable(BROKEN_RULE, 0, 1), -1]] : [];
      for (const k of this.weeks.keys()) {
        const upTo = (t: number, by: number): Term[] =>
          this.rowOf(t)
            .slice(0, k + 1)
            .map((variable) => [variable, by]);
        this.draft.row([...upTo(rarer, 1), ...upTo(commoner, -1), ...slack], -Infinity, 0);
      }
    }
  }

  /** Pairs of one kind by each week but the last: n(n−1)/2 is convex, so that its chords from whole number to whole number hold it up. */
  private easyFirst(): void {
    const kinds = [...new Set(this.prospects.kind)].map((kind) =>
      this.prospects.kind.flatMap((of, t) => (of === kind ? [t] : [])),
    );
    const all = kinds.reduce((sum, { length: n }) => sum + (n * (n - 1)) / 2, 0);
    if (all === 0 || this.weeks.length < 2) return;
    const cost = WEIGHTS.easy / (all * (this.weeks.length - 1));
    for (const members of kinds) {
      if (members.length < 2) continue;
      let before: number | undefined;
      for (const k of this.weeks.slice(0, -1).keys()) {
        const now = this.bundles.flatMap((bundle, u): Term[] => {
          const held = bundle.filter((t) => members.includes(t)).length;
          return held === 0 ? [] : [[this.at[u]![k]!, held]];
        });
        // How many of the kind have been taught by this week, from how many by the one before.
        const taught = this.draft.variable(0);
        this.draft.row([...now, ...(before === undefined ? [] : [[before, 1] as Term]), [taught, -1]], 0, 0);
        before = taught;
        const pairs = this.draft.variable(cost);
        for (let n = 1; n < members.length; n += 1)
          this.draft.row(
            [
              [pairs, 1],
              [taught, -n],
            ],
            (-n * (n + 1)) / 2,
            Infinity,
          );
      }
    }
  }

  /** What two lookalikes in one set cost, where they are wanted apart. */
  private partLookalikes(): void {
    const { lookalikes } = this.prospects;
    const shares = sharesOf(lookalikes);
    for (const [i, pair] of lookalikes.entries()) {
      const shared = this.draft.variable(WEIGHTS.lookalikes * shares[i]!, 0, 1);
      for (const k of this.weeks.keys())
        this.draft.row(
          [
            [this.rowOf(pair.a)[k]!, 1],
            [this.rowOf(pair.b)[k]!, 1],
            [shared, -1],
          ],
          -Infinity,
          1,
        );
    }
  }
}
