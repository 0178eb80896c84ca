import { kindOf, type StationKind } from '../assembly/index.ts';
import { isDeciduous, type ProfiledTaxon } from '../evidence/index.ts';
import { dayAfter, hopkinsDelay, shiftCalendar, type Place } from '../season/index.ts';
import { commonName, type Caution } from '../taxon/index.ts';
import type { ShownOrgan } from '../vocabulary/index.ts';
import type { Sentence } from '../words/index.ts';
import { amountOf, keepingOf, type Keeping } from './keeping.ts';
import { likelyThere, type Likely } from './likely.ts';
import type { GroundTree, Reach, ReachedOrgan, TreeObservation } from './tree.ts';

/** Something that is to be shown: a kind of station of a taxon, and what it is for. */
export interface Need {
  id: string;
  taxonId: string;
  /** Id of a kind of station. */
  kind: string;
  /** “station 4”. */
  serves: string;
}

/** Why nothing is taken from a tree. */
export const REFUSALS = [
  'protected',
  'pest host',
  'no leave',
  'ask first',
  'leave over',
  'too small',
  'living bark',
  'out of reach',
  'not there',
  'bare',
  'not fallen',
  'in leaf',
] as const;
export type Refusal = (typeof REFUSALS)[number];

export const REFUSAL_WORDS: Record<Refusal, string> = {
  protected: 'it is protected and may not be cut',
  'pest host': 'its branches may carry a regulated pest and are not moved',
  'no leave': 'nothing may be cut from it',
  'ask first': 'nobody has given leave to cut from it yet: ask first',
  'leave over': 'the leave to cut from it has run out',
  'too small': 'it is too small to lose a branch',
  'living bark': 'bark is not taken from a living stem',
  'out of reach': 'what is needed is out of reach',
  'not there': 'it does not carry it on that day',
  bare: 'its leaves are down, or not out yet, on that day',
  'not fallen': 'its leaves are out of reach, and have not fallen by that day',
  'in leaf': 'it is not bare on that day',
};

/** What can be shown where nothing may be cut. */
export interface Instead {
  kind: 'fallen' | 'livingTree' | 'otherPart' | 'photo' | 'drawing';
  /** Of the tree to go to, where it is one. */
  treeId?: string;
  /** Id of the kind of station, where it is another part. */
  station?: string;
  words: Sentence;
}

/** One tree from which a need can be met. */
export interface Source {
  treeId: string;
  likely: Likely;
  /** The hardest of the organs that are needed. */
  reach: Reach;
}

export interface CollectingLine {
  need: Need;
  /** Whence it is cut; undefined where nothing is. */
  source: Source | undefined;
  /** Other trees that would do, the best first. */
  others: Source[];
  /** Trees of the taxon from which nothing is taken, with why. */
  refused: { treeId: string; why: Refusal }[];
  /** Where nothing is cut: why, and what can be shown instead, the nearest to it first. */
  why: Sentence | undefined;
  instead: Instead[];
  /** Fixed sentences. */
  amount: string;
  how: string[];
  keeping: Keeping;
  /** ISO date of the last day on which it can be shown. */
  goodUntil: string;
  cautions: Pick<Caution, 'kind' | 'effect' | 'care'>[];
}

export interface CollectingAsked {
  needs: readonly Need[];
  trees: readonly GroundTree[];
  list: readonly ProfiledTaxon[];
  observations: readonly TreeObservation[];
  /** ISO date on which it is gathered. */
  day: string;
  reference: Place;
  /** Of the grounds; a tree's own elevation goes before. */
  site: Place;
  /** The land manager has said that branches of pest hosts may be taken here. */
  pestHosts?: boolean;
}

/** Likelier than not, or it is not offered. */
const OFFERED = 0.5;
/** Under this height nothing is cut, metres. */
const SMALLEST = 1.5;
const REACH_WORTH: Record<Reach, number> = { hand: 1, pole: 0.8, sprouts: 0.6, fallen: 0.7, glass: 0 };
const HARDEST: readonly Reach[] = ['hand', 'pole', 'sprouts', 'fallen', 'glass'];
/** From a tree that nobody has confirmed one does not examine where another would do. */
const UNCONFIRMED = 0.7;

/**
 * Whence each thing is cut that a quiz, lesson or sort needs: the tree on which it is likeliest there, within reach, with leave; where
 * there is none, why, and what can be shown instead. Nothing is offered that the calendar or an observation rules out, nothing that is
 * protected, and nothing without leave.
 *
 * @returns a line for each need, in their order
 * @throws RangeError for a need whose taxon or kind of station is not known
 */
export function collectingList(asked: CollectingAsked): CollectingLine[] {
  return asked.needs.map((need) => lineOf(need, asked));
}

function lineOf(need: Need, asked: CollectingAsked): CollectingLine {
  const profiled = asked.list.find(({ taxon }) => taxon.id === need.taxonId);
  const kind = kindOf(need.kind);
  if (!profiled || !kind)
    throw new RangeError(`“${need.taxonId} ${need.kind}” is nothing that can be gathered.`);
  const { taxon } = profiled;
  const own = asked.trees.filter((tree) => tree.taxonId === taxon.id);
  const judged = own.map((tree) => ({ tree, ...judge(tree, profiled, kind, asked) }));
  const sources = judged
    .flatMap(({ tree, source }) => (source ? [{ tree, source }] : []))
    .sort((a, b) => worth(b) - worth(a))
    .map(({ source }) => source);
  const refused = judged.flatMap(({ tree, why }) => (why ? [{ treeId: tree.id, why }] : []));
  const [source, ...others] = sources;
  const keeping = keepingOf(taxon, kind);
  return {
    need,
    source,
    others,
    refused,
    why: source ? undefined : whyNone(profiled, refused, own.length),
    instead: source ? [] : insteadOf(kind, profiled, own, refused, asked),
    amount: amountOf(kind),
    how: source ? howTo(source.reach, kind) : [],
    keeping,
    goodUntil: dayAfter(asked.day, keeping.days),
    cautions: taxon.cautions.filter((caution) => touches(caution, kind) && caution.kind !== 'protected'),
  };
}

const worth = ({ tree, source }: { tree: GroundTree; source: Source }): number =>
  source.likely.share * REACH_WORTH[source.reach] * (tree.confirmedBy ? 1 : UNCONFIRMED);

/** Whether something can be taken from a tree for a kind of station, or why not. */
export function judge(
  tree: GroundTree,
  profiled: ProfiledTaxon,
  kind: StationKind,
  asked: Omit<CollectingAsked, 'needs' | 'list'>,
): { source?: Source; why?: Refusal } {
  const refusal = refusalOf(tree, profiled, kind, asked);
  if (refusal) return { why: refusal };
  const likely = likelyOf(tree, profiled, kind, asked);
  const failing = likely.find(({ ruledOut, share }) => ruledOut || share < OFFERED);
  if (failing) return { why: failing.why };
  const share = likely.reduce((product, each) => product * each.share, 1);
  if (share < OFFERED) return { why: 'not there' };
  const weakest = likely.toSorted((a, b) => a.share - b.share)[0];
  return {
    source: {
      treeId: tree.id,
      likely: { share, by: weakest?.by ?? 'calendar', ruledOut: false },
      reach: reachOf(tree, kind) ?? 'hand',
    },
  };
}

function refusalOf(
  tree: GroundTree,
  { taxon }: ProfiledTaxon,
  kind: StationKind,
  { day, pestHosts = false }: Pick<CollectingAsked, 'day' | 'pestHosts'>,
): Refusal | undefined {
  if (!kind.cut) return undefined;
  const reach = reachOf(tree, kind);
  // What is protected is so whole, whatever part its caution names.
  if (taxon.cautions.some((each) => each.kind === 'protected')) return 'protected';
  if (!pestHosts && taxon.cautions.some((each) => each.kind === 'regulated pest host' && touches(each, kind)))
    return 'pest host';
  if (tree.cutting === 'no') return 'no leave';
  if (tree.cutting === 'ask') return 'ask first';
  if (tree.until !== null && tree.until < day) return 'leave over';
  if (kind.medium === 'barkPiece' && reach !== 'fallen') return 'living bark';
  if (tree.stage === 'seedling' || (tree.height !== null && tree.height < SMALLEST)) return 'too small';
  // A pole among wires is for nobody, and what has fallen shows no attachment.
  if (reach === 'glass' || (reach === 'pole' && tree.hazards.includes('wires'))) return 'out of reach';
  if (reach === 'fallen' && kind.organs.includes('twig')) return 'out of reach';
  return undefined;
}

/** The hardest reach of the organs that are needed; undefined where none was looked for. */
function reachOf(tree: GroundTree, kind: StationKind): Reach | undefined {
  const needed = kind.organs.map((organ): ShownOrgan => (organ === 'bud' ? 'twig' : organ));
  const reaches = needed.flatMap((organ) => tree.reach[organ as ReachedOrgan] ?? []);
  return reaches.sort((a, b) => HARDEST.indexOf(b) - HARDEST.indexOf(a))[0];
}

/** How likely each part is there of one tree on the day. */
export function partsOf(
  tree: GroundTree,
  profiled: ProfiledTaxon,
  { trees, observations, day, reference, site }: Omit<CollectingAsked, 'needs' | 'list'>,
): (part: TreeObservation['part']) => Likely {
  const stands = {
    latitude: tree.latitude,
    longitude: tree.longitude,
    elevation: tree.elevation ?? site.elevation,
  };
  const calendar = shiftCalendar(profiled.taxon.calendar, hopkinsDelay(reference, stands));
  const own = observations.filter((each) => each.treeId === tree.id);
  const alike = new Set(trees.filter((each) => each.taxonId === tree.taxonId).map(({ id }) => id));
  const others = observations.filter((each) => each.treeId !== tree.id && alike.has(each.treeId));
  const deciduous = isDeciduous(profiled);
  return (part) => likelyThere({ part, calendar, deciduous, day, own, others });
}

function likelyOf(
  tree: GroundTree,
  profiled: ProfiledTaxon,
  kind: StationKind,
  asked: Omit<CollectingAsked, 'needs' | 'list'>,
): (Likely & { why: Refusal })[] {
  const of = partsOf(tree, profiled, asked);
  const all: (Likely & { why: Refusal })[] = [];
  // What is had from the ground only is there once it has fallen.
  if (kind.leaves === 'on' && tree.reach.leaf === 'fallen')
    all.push({ ...of('fallenLeaves'), why: 'not fallen' });
  else if (kind.leaves === 'on') all.push({ ...of('leaves'), why: 'bare' });
  if (kind.leaves === 'off')
    all.push({ ...(isDeciduous(profiled) ? bareBy(of('leaves')) : NEVER_BARE), why: 'in leaf' });
  if (kind.organs.includes('fruit') && kind.medium !== 'livingTree')
    all.push({ ...of(reachOf(tree, kind) === 'fallen' ? 'fallen' : 'fruit'), why: 'not there' });
  return all;
}

const NEVER_BARE: Likely = { share: 0, by: 'calendar', ruledOut: false };
const bareBy = ({ share, by, ruledOut }: Likely): Likely => ({
  share: ruledOut ? 1 : 1 - share,
  by,
  // Seen in leaf within ten days it may still be bare by then: its share says so.
  ruledOut: false,
});

/** Whether a caution is about what a kind of station needs. */
function touches({ part }: Caution, kind: StationKind): boolean {
  const words = part.toLowerCase();
  if (words === '' || /\b(whole|all|any|every|plant|tree)\b/.test(words)) return true;
  // A leaf comes off a branch: only fruit and cones are no part of it.
  if (/branch|wood|twig|shoot/.test(words) && kind.organs.some((organ) => organ !== 'fruit')) return true;
  return kind.organs.some((organ) => PART_WORDS[organ]?.test(words));
}

const PART_WORDS: Partial<Record<ShownOrgan, RegExp>> = {
  leaf: /lea[fv]|foliage|needle/,
  twig: /twig|thorn|spine|sap|stem|bark/,
  bud: /bud/,
  bark: /bark|sap/,
  flower: /flower|pollen/,
  fruit: /fruit|berr|seed|cone|drupe|acorn|nut/,
};

function whyNone({ taxon }: ProfiledTaxon, refused: readonly { why: Refusal }[], trees: number): Sentence {
  if (trees === 0) return { words: 'No # is on these grounds.', put: [commonName(taxon)] };
  // The reason that could be done away with is said first; what the law says, before all.
  const [first] = [...refused].sort((a, b) => REFUSALS.indexOf(a.why) - REFUSALS.indexOf(b.why));
  const same = refused.filter(({ why }) => why === first!.why).length;
  const why = { words: REFUSAL_WORDS[first!.why] };
  if (trees === 1) return { words: 'The only tree: #.', put: [why] };
  return same === trees
    ? { words: 'Each of # trees: #.', put: [trees, why] }
    : { words: '# of # trees: #.', put: [same, trees, why] };
}

function insteadOf(
  kind: StationKind,
  profiled: ProfiledTaxon,
  trees: readonly GroundTree[],
  refused: readonly { treeId: string; why: Refusal }[],
  asked: CollectingAsked,
): Instead[] {
  const found: Instead[] = [];
  const isProtected = refused.some(({ why }) => why === 'protected');
  const isPestHost = refused.some(({ why }) => why === 'pest host');
  if (!isProtected && !isPestHost) found.push(...fallenInstead(kind, profiled, trees, asked));
  if (!isProtected) found.push(...otherPart(kind, profiled, trees, asked));
  const [standing] = trees;
  if (standing)
    found.push({
      kind: 'livingTree',
      treeId: standing.id,
      words: { words: '# itself, looked at where it stands.', put: [standing.tag] },
    });
  found.push(
    { kind: 'photo', words: { words: 'A photograph of it.' } },
    { kind: 'drawing', words: { words: 'A drawing from its scores.' } },
  );
  return found;
}

/** What has fallen from a tree by that day and can be picked up: its fruit, or else its leaves. */
function fallenInstead(
  kind: StationKind,
  profiled: ProfiledTaxon,
  trees: readonly GroundTree[],
  asked: CollectingAsked,
): Instead[] {
  const organ = (['fruit', 'leaf'] as const).find((each) => kind.organs.includes(each));
  if (!organ) return [];
  const part = organ === 'fruit' ? 'fallen' : 'fallenLeaves';
  const tree = trees.find((each) => {
    if (each.reach[organ] !== 'fallen' || each.cutting === 'no') return false;
    const { share, ruledOut } = partsOf(each, profiled, asked)(part);
    return !ruledOut && share >= OFFERED;
  });
  const what = organ === 'fruit' ? 'fruit or cones' : 'leaves';
  return tree
    ? [
        {
          kind: 'fallen',
          treeId: tree.id,
          words: {
            words: 'What has fallen from #: #, picked up from the ground.',
            put: [tree.tag, { words: what }],
          },
        },
      ]
    : [];
}

/** The nearest other piece that may be cut. */
function otherPart(
  kind: StationKind,
  profiled: ProfiledTaxon,
  trees: readonly GroundTree[],
  asked: CollectingAsked,
): Instead[] {
  for (const station of ['bareTwig', 'cutting', 'leaf']) {
    const tree =
      station === kind.id
        ? undefined
        : trees.find((each) => judge(each, profiled, kindOf(station)!, asked).source);
    if (tree)
      return [
        {
          kind: 'otherPart',
          treeId: tree.id,
          station,
          words: { words: 'From #: a #.', put: [tree.tag, { words: kindOf(station)!.title }] },
        },
      ];
  }
  return [];
}

function howTo(reach: Reach, kind: StationKind): string[] {
  const clean = 'Wipe the blades with alcohol before the next tree.';
  switch (reach) {
    case 'hand':
      return kind.organs.includes('twig')
        ? ['Clean hand pruners, just above a bud or side twig.', clean]
        : ['Pick it by hand with its stalk.'];
    case 'pole':
      return ['Pole pruner: helmet and eye protection, nobody beneath, no wires near.', clean];
    case 'sprouts':
      return [
        'From sprouts at the foot; their leaves are larger than those of the crown: say so on the card.',
        clean,
      ];
    case 'fallen':
      return ['From the ground beneath it; look at it for damage first.'];
    case 'glass':
      return [];
  }
}
