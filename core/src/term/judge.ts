import type { Lookalikes, Prospects } from './prospects.ts';
import { openWeeks, type TermWishes } from './wishes.ts';

/** The week of each species, by id; a species that stands in no set is left out. */
export type TermPlan = Readonly<Record<string, number>>;

/** How well a plan does what sets are made for: each part 0–1, the less the better. */
export interface PlanMeasure {
  /** What of the trees' marks is not seen in their weeks: from none, each in its best open week, to 1, each in its worst. */
  season: number;
  /** How early species come together that no easy split parts. */
  easy: number;
  /** Lookalikes that do not stand as they are wanted, together or apart, the harder ones counting more. */
  lookalikes: number;
  /** All of it, weighed. */
  total: number;
}

/** What keeps a plan from being as it was wanted, or what it costs; by id and week, to be said by whoever knows the names. */
export type TermRemark =
  | { kind: 'closed'; week: number; taxa: string[] }
  | { kind: 'outside'; taxonId: string; week: number }
  | { kind: 'few' | 'many'; week: number; size: number }
  /** Taught when bare, or when little else of it is seen either; `share` of what the best open week shows. */
  | { kind: 'bare' | 'unseen'; taxonId: string; week: number; unseen: string[]; share: number }
  | { kind: 'apart'; a: string; b: string; weeks: [number, number] }
  | { kind: 'together'; a: string; b: string; week: number }
  | { kind: 'before'; rarer: string; commoner: string; weeks: [number, number] }
  | { kind: 'unpinned'; taxonId: string; week: number; wanted: number }
  | { kind: 'nowhere'; taxonId: string };

export const WEIGHTS = { season: 0.4, easy: 0.25, lookalikes: 0.35 } as const;

/** A week that shows less than this share of what the best open week shows of a tree is no week for it. */
export const LEAST_SEEN = 0.6;

/** What stands against the rules, rather than being a matter of more or less. */
const BROKEN: readonly TermRemark['kind'][] = [
  'closed',
  'outside',
  'few',
  'many',
  'before',
  'unpinned',
  'nowhere',
];
export const isBroken = (remark: TermRemark): boolean =>
  BROKEN.includes(remark.kind) || ('share' in remark && remark.share < LEAST_SEEN);

/** How much of a species the best of the weeks that are open shows, 0–1. */
export function bestSeen(prospects: Prospects, taxon: number, weeks: readonly number[]): number {
  let best = 0;
  for (const week of weeks) best = Math.max(best, seenIn(prospects, taxon, week));
  return best;
}

/** How much of a species a week shows, 0–1; 0 for a week that is none of the term. */
const seenIn = ({ weeks, seen }: Prospects, taxon: number, week: number): number =>
  seen[taxon]![weeks.indexOf(week)] ?? 0;

/** Whether a week shows enough of a species, as against the best of the open ones. */
export const isGoodWeek = (
  prospects: Prospects,
  open: readonly number[],
  taxon: number,
  week: number,
): boolean =>
  bestSeen(prospects, taxon, open) === 0 ||
  seenIn(prospects, taxon, week) / bestSeen(prospects, taxon, open) >= LEAST_SEEN;

/** How dear each pair of lookalikes is, by how hard it is to tell: all of them make 1. */
export function sharesOf(lookalikes: readonly Lookalikes[]): number[] {
  const all = lookalikes.reduce((sum, pair) => sum + pair.error, 0);
  return lookalikes.map(({ error }) => error / all);
}

/**
 * Counts the rules that a plan with every species breaks, quickly: sizes, pins, weeks that show too little of a species, lookalikes before
 * their commoner twin. Zero just where `judgeTerm` has no broken remark; weeks outside the open ones count with each species in them.
 *
 * @example
 * breaksOf(prospects, wishes)(plan); // 0
 */
export function breaksOf(prospects: Prospects, wishes: TermWishes): (plan: TermPlan) => number {
  const { taxa, lookalikes } = prospects;
  const open = openWeeks(wishes);
  const good = taxa.map((_, t) => new Set(open.filter((week) => isGoodWeek(prospects, open, t, week))));
  const pinned = new Map(wishes.pins.map(({ taxonId, week }) => [taxonId, week]));
  const twins = lookalikes.flatMap(({ a, b, commoner }) =>
    commoner === undefined ? [] : [{ commoner, rarer: commoner === a ? b : a }],
  );
  const least = Math.min(wishes.least, taxa.length);
  return (plan) => {
    const weeks = taxa.map((id) => plan[id]!);
    const sizes = new Map<number, number>();
    for (const week of weeks) sizes.set(week, (sizes.get(week) ?? 0) + 1);
    let broken = 0;
    for (const size of sizes.values()) if (size > wishes.most || size < least) broken += 1;
    weeks.forEach((week, t) => {
      if (!good[t]!.has(week)) broken += 1;
      const wanted = pinned.get(taxa[t]!);
      if (wanted !== undefined && wanted !== week) broken += 1;
    });
    for (const { commoner, rarer } of twins) if (weeks[rarer]! < weeks[commoner]!) broken += 1;
    return broken;
  };
}

/**
 * A plan measured, and what there is to say against it.
 *
 * @param plan may leave species out: they are remarked on, and count as seen not at all
 * @example
 * judgeTerm(prospects, wishes, { 'larix-occidentalis': 12 }).remarks; // [{ kind: 'bare', taxonId: 'larix-occidentalis', week: 12, share: 0.6, … }]
 */
export function judgeTerm(
  prospects: Prospects,
  wishes: TermWishes,
  plan: TermPlan,
): { measure: PlanMeasure; remarks: TermRemark[] } {
  return {
    measure: measurer(prospects, wishes)(plan),
    remarks: [
      ...ofWeeks(prospects, wishes, plan),
      ...ofPins(wishes, plan),
      ...ofSeason(prospects, wishes, plan),
      ...ofLookalikes(prospects, wishes, plan),
    ],
  };
}

/**
 * What measures the plans of one term: made once, asked often.
 *
 * @example
 * measurer(prospects, wishes)(plan).season; // 0.05
 */
export function measurer(prospects: Prospects, wishes: TermWishes): (plan: TermPlan) => PlanMeasure {
  const { taxa, lookalikes } = prospects;
  const open = openWeeks(wishes);
  const losses = taxa.map((_, t) => {
    const best = bestSeen(prospects, t, open);
    return new Map(prospects.weeks.map((week) => [week, Math.max(0, best - seenIn(prospects, t, week))]));
  });
  const unseen = taxa.map((_, t) => bestSeen(prospects, t, open));
  const most = mostLost(prospects, open);
  const shares = sharesOf(lookalikes);
  const wantedTogether = wishes.lookalikes === 'together';
  const early = earliness(prospects);
  return (plan) => {
    const weeks = taxa.map((id) => plan[id]);
    const lost = weeks.reduce<number>(
      (sum, week, t) => sum + ((week && losses[t]!.get(week)) ?? unseen[t]!),
      0,
    );
    const season = most > 0 ? lost / most : 0;
    const misplaced = lookalikes.reduce((sum, { a, b }, i) => {
      const together = weeks[a] !== undefined && weeks[a] === weeks[b];
      return sum + (together === wantedTogether ? 0 : shares[i]!);
    }, 0);
    const parts = { season, easy: early(weeks), lookalikes: misplaced };
    return {
      ...parts,
      total: WEIGHTS.season * season + WEIGHTS.easy * parts.easy + WEIGHTS.lookalikes * misplaced,
    };
  };
}

/** What is lost when each species is taught in the worst of the open weeks, the sum over the species; 0 where the weeks show the same. */
export const mostLost = (prospects: Prospects, open: readonly number[]): number =>
  prospects.taxa.reduce((sum, _, t) => {
    const seen = open.map((week) => seenIn(prospects, t, week));
    return seen.length === 0 ? sum : sum + Math.max(...seen) - Math.min(...seen);
  }, 0);

/** What a week does not show of a species, as against the best of the open ones, 0–1. */
export function lossOf(
  prospects: Prospects,
  open: readonly number[],
  taxon: number,
  week: number | undefined,
): number {
  const best = bestSeen(prospects, taxon, open);
  if (week === undefined) return best;
  return Math.max(0, best - seenIn(prospects, taxon, week));
}

/**
 * How early pairs of one kind come together: for each week that has a set, the pairs of one kind that have been taught by then, as a share
 * of all pairs of one kind; the mean over the weeks but the last, in which all are taught. 0 where each kind has one species.
 */
function earliness({ kind }: Prospects): (weeks: readonly (number | undefined)[]) => number {
  const kinds = [...new Set(kind)];
  const ofKind = kind.map((each) => kinds.indexOf(each));
  const pairs = (count: number) => (count * (count - 1)) / 2;
  return (weeks) => {
    const used = [...new Set(weeks.filter((week) => week !== undefined))].sort((x, y) => x - y);
    const added = used.map(() => new Float64Array(kinds.length));
    weeks.forEach((week, t) => {
      if (week !== undefined) added[used.indexOf(week)]![ofKind[t]!]! += 1;
    });
    const taught = new Float64Array(kinds.length);
    const by = added.map((each) => {
      each.forEach((count, k) => (taught[k]! += count));
      return taught.reduce((sum, count) => sum + pairs(count), 0);
    });
    const all = by.at(-1) ?? 0;
    if (all === 0 || by.length < 2) return 0;
    return by.slice(0, -1).reduce((sum, each) => sum + each, 0) / (all * (by.length - 1));
  };
}

function ofWeeks({ taxa }: Prospects, wishes: TermWishes, plan: TermPlan): TermRemark[] {
  const open = openWeeks(wishes);
  const nowhere = taxa
    .filter((id) => plan[id] === undefined)
    .map((taxonId): TermRemark => ({ kind: 'nowhere', taxonId }));
  const weeks = [...new Set(Object.values(plan))].sort((x, y) => x - y);
  return [
    ...weeks.flatMap((week): TermRemark[] => {
      const held = taxa.filter((id) => plan[id] === week);
      if (wishes.closed.includes(week)) return [{ kind: 'closed', week, taxa: held }];
      if (!open.includes(week)) return held.map((taxonId) => ({ kind: 'outside', taxonId, week }));
      if (held.length > wishes.most) return [{ kind: 'many', week, size: held.length }];
      return held.length < wishes.least && taxa.length >= wishes.least
        ? [{ kind: 'few', week, size: held.length }]
        : [];
    }),
    ...nowhere,
  ];
}

const ofPins = ({ pins }: TermWishes, plan: TermPlan): TermRemark[] =>
  pins.flatMap(({ taxonId, week: wanted }) => {
    const week = plan[taxonId];
    return week === undefined || week === wanted ? [] : [{ kind: 'unpinned', taxonId, week, wanted }];
  });

function ofSeason(prospects: Prospects, wishes: TermWishes, plan: TermPlan): TermRemark[] {
  const open = openWeeks(wishes);
  return prospects.taxa.flatMap((taxonId, t): TermRemark[] => {
    const week = plan[taxonId];
    const at = week === undefined ? -1 : prospects.weeks.indexOf(week);
    if (week === undefined || at < 0) return [];
    const best = bestSeen(prospects, t, open);
    const share = best > 0 ? prospects.seen[t]![at]! / best : 1;
    const unseen = prospects.unseen[t]![at]!;
    if (prospects.bare[t]![at]!) return [{ kind: 'bare', taxonId, week, unseen, share }];
    return share < LEAST_SEEN ? [{ kind: 'unseen', taxonId, week, unseen, share }] : [];
  });
}

function ofLookalikes(prospects: Prospects, wishes: TermWishes, plan: TermPlan): TermRemark[] {
  return [...prospects.lookalikes]
    .sort((x, y) => y.error - x.error)
    .flatMap((pair): TermRemark[] => {
      const [a, b] = [prospects.taxa[pair.a]!, prospects.taxa[pair.b]!];
      const [ofA, ofB] = [plan[a], plan[b]];
      if (ofA === undefined || ofB === undefined) return [];
      const remarks: TermRemark[] = [];
      if (pair.commoner !== undefined) {
        const [commoner, rarer] = pair.commoner === pair.a ? [a, b] : [b, a];
        if (plan[rarer]! < plan[commoner]!)
          remarks.push({ kind: 'before', rarer, commoner, weeks: [plan[rarer]!, plan[commoner]!] });
      }
      if (wishes.lookalikes === 'together' && ofA !== ofB)
        remarks.push({ kind: 'apart', a, b, weeks: [ofA, ofB] });
      if (wishes.lookalikes === 'apart' && ofA === ofB) remarks.push({ kind: 'together', a, b, week: ofA });
      return remarks;
    });
}
