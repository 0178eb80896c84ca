import type { Condition } from '../condition/index.ts';
import {
  couldShow,
  isBorne,
  lookingCost,
  readingsOf,
  type Channel,
  type ProfiledTaxon,
  type Readings,
  type ReadingOptions,
} from '../evidence/index.ts';
import type { View } from '../view/index.ts';
import { standingOf, type Vocabulary } from '../vocabulary/index.ts';

/** What to remember of one tree of a set. */
export interface Remembered {
  taxonId: string;
  /** One thing, or two where one leaves others of the set; what is to be looked for, not what is missing, wherever there is such a thing. */
  marks: Condition[];
  /** Others of the set that show all of it too, by id. */
  sharedInSet: string[];
  /** Others of the whole list that do, those of the set left out. */
  sharedInList: string[];
}

/** A taxon shows what is said of it in this share of its specimens at least. */
const SHOWS = 0.8;
/** The numbers that are said of a count make up this share of its specimens. */
const NUMBERS = 0.9;
/** What a rival shows in no more of its specimens than this tells it apart. */
const HARDLY = 0.12;
/**
 * What telling all of the set is worth, and all of the list; and what is taken off: for cost, misreading, two states, what is missing, what is no mark,
 * what only trees in flower or fruit show, and for a second thing to remember; and what is added for what manuals separate a genus by.
 */
const WORTH = {
  set: 5,
  list: 2,
  cost: 0.5,
  misread: 3,
  twoStates: 0.5,
  negative: 0.9,
  noMark: 0.5,
  within: 0.5,
  borne: 0.3,
  second: 0.3,
};
/**
 * One thing that tells all of the set is enough, unless it is as dear as this, or as common on the rest of the list: two plain ones may then
 * serve better.
 */
const DEAR = 0.8;
/** A state of `none` is nothing to look for, but for naked buds, which are. */
const NAKED = 'bud.scales';
/** How many of the best are paired. */
const PAIRED = 40;

/** What may be said of a taxon: what nearly all of its specimens show. */
export interface Saying {
  condition: Condition;
  channel: Channel;
  cost: number;
  /** Whether manuals say it first, between the species of the genus if there is one. */
  isMark: boolean;
  /** Whether manuals separate the species of that genus by it. */
  isOfGenus: boolean;
  /** It says what is missing. */
  negative: boolean;
  /** Whether a state or number, by its place, is what is said. */
  met: (s: number) => boolean;
}

interface Candidate extends Saying {
  /** Whether each taxon of the list is told apart by it. */
  tells: boolean[];
}

/**
 * What singles each tree of a set out, as an instructor says it at the end of a session: one thing to remember for each, two where needed,
 * marks before other characters, told within the set first and within the whole list second. The set is given by ids, all of the list.
 * recapOf(all, ['pinus-ponderosa', 'pinus-contorta'], BUILT_IN, view)[0].marks; // [{ characterId: 'needle.perBundle', from: 3, below: 4 }]
 */
export function recapOf(
  list: readonly ProfiledTaxon[],
  set: readonly string[],
  vocabulary: Vocabulary,
  view: View,
  options: ReadingOptions = {},
): Remembered[] {
  const readings = readingsOf(list, vocabulary, view, { ...options, reader: 'exact' });
  const channels = [...readings.channels.values()].flat().filter(({ character }) => !character.derived);
  const inSet = list.map(({ taxon }) => set.includes(taxon.id));
  return list.flatMap(({ taxon }, t) => {
    if (!inSet[t]) return [];
    const relatives = list.some((other, r) => r !== t && inSet[r] && other.taxon.genus === taxon.genus);
    const candidates = channels.flatMap((channel) =>
      candidatesOf(channel, t, relatives ? taxon.genus : undefined, readings),
    );
    const marks = chosenOf(candidates, t, inSet);
    const open = list.map((_, r) => r !== t && !marks.some(({ tells }) => tells[r]));
    const left = (within: boolean) =>
      list.flatMap((other, r) => (open[r] && inSet[r] === within ? [other.taxon.id] : []));
    return [
      {
        taxonId: taxon.id,
        marks: marks.map(({ condition }) => condition),
        sharedInSet: left(true),
        sharedInList: left(false),
      },
    ];
  });
}

/** The thing, or the two, that tell the taxon from all others of its set for the most it is worth; else those that tell most of them. */
function chosenOf(candidates: readonly Candidate[], t: number, inSet: readonly boolean[]): Candidate[] {
  const rivals = (within: boolean) => inSet.flatMap((of, r) => (r !== t && of === within ? [r] : []));
  const [ofSet, ofList] = [rivals(true), rivals(false)];
  const share = (marks: readonly Candidate[], among: readonly number[]) =>
    among.length === 0 ? 1 : among.filter((r) => marks.some(({ tells }) => tells[r])).length / among.length;
  const valued = (marks: Candidate[]) => ({
    marks,
    all: share(marks, ofSet) === 1,
    worth:
      WORTH.set * share(marks, ofSet) +
      WORTH.list * share(marks, ofList) -
      marks.reduce((sum, each) => sum + priceOf(each), 0) -
      WORTH.second * (marks.length - 1),
  });
  type Valued = ReturnType<typeof valued>;
  const best = (many: readonly Valued[]) =>
    many.reduce<Valued | undefined>(
      (held, each) => (held && held.worth >= each.worth ? held : each),
      undefined,
    );
  const singles = candidates.map((each) => valued([each]));
  const one = best(singles.filter(({ all }) => all));
  if (one && priceOf(one.marks[0]!) + 1 - share(one.marks, ofList) < DEAR) return one.marks;
  const pool = [...singles].sort((x, y) => y.worth - x.worth).slice(0, PAIRED);
  const pairs = pool.flatMap((x, i) =>
    pool
      .slice(i + 1)
      .filter((y) => y.marks[0]!.channel.character.id !== x.marks[0]!.channel.character.id)
      .map((y) => valued([x.marks[0]!, y.marks[0]!])),
  );
  // A second thing is said only where it tells one more of the set.
  const gains = ({ marks }: Valued) =>
    marks.every(
      (each) =>
        share(marks, ofSet) >
        share(
          marks.filter((other) => other !== each),
          ofSet,
        ),
    );
  const telling = pairs.filter(gains);
  const found = best([...singles, ...telling].filter(({ all }) => all)) ?? best([...telling, ...singles]);
  return found ? found.marks : [];
}

/** What is taken off for saying it: the look, how easily it is misread, and what is no plain "look for this". */
export const priceOf = ({ cost, isMark, isOfGenus, negative, condition, channel }: Saying): number =>
  WORTH.cost * (cost - 1) +
  WORTH.misread * channel.character.misread.novice +
  (negative ? WORTH.negative : 0) +
  (isMark ? 0 : WORTH.noMark) -
  (isOfGenus ? WORTH.within : 0) +
  (isBorne(channel.character.part) ? WORTH.borne : 0) +
  ((condition.states?.length ?? 1) > 1 ? WORTH.twoStates : 0);

/** What can be said of one taxon from one channel: the states or numbers that nearly all of its specimens show. */
function candidatesOf(
  channel: Channel,
  t: number,
  genus: string | undefined,
  { taxa, view }: Pick<Readings, 'taxa' | 'view'>,
): Candidate[] {
  return sayingsOf(channel, t, genus).map((saying) => ({
    ...saying,
    tells: taxa.map((other, r) => tellsFrom(saying, r, other, view)),
  }));
}

/** Whether hardly a specimen of another taxon shows what is said. A tree to which the character does not apply cannot show it either. */
export function tellsFrom(
  { channel, met }: Saying,
  r: number,
  other: ProfiledTaxon,
  view: Pick<View, 'qualifiers'>,
): boolean {
  const row = channel.rows[r];
  return row ? shareMet(row, met) <= HARDLY : !couldShow(channel.character, other, view);
}

const shareMet = (row: Float64Array, met: Saying['met']): number =>
  row.reduce((sum, p, s) => (met(s) ? sum + p : sum), 0);

/**
 * What can be said of a taxon, by its place, from one channel; nothing of what only supports, but between the species of `genus`.
 *
 * @param shown share of its specimens that it must be true of, at least
 */
export function sayingsOf(channel: Channel, t: number, genus: string | undefined, shown = SHOWS): Saying[] {
  const { character, state, rows, grid } = channel;
  const own = rows[t];
  const standing = standingOf(character, genus);
  if (!own || standing === 'supporting') return [];
  const applies = channel.applying?.[t] ?? 1;
  const isMark = standing === 'mark';
  const isOfGenus = genus !== undefined && (character.raisedWithin?.includes(genus) ?? false);
  const cost = lookingCost(character, genus);
  const made = (condition: Condition, met: Saying['met'], negative: boolean): Saying[] =>
    shareMet(own, met) * applies < shown
      ? []
      : [{ condition, channel, cost, isMark, isOfGenus, negative, met }];
  const characterId = character.id;
  if (state !== undefined || character.kind === 'flag') {
    const named = state === undefined ? {} : { states: [state] };
    return [true, false].flatMap((present) =>
      made({ characterId, ...named, present }, (s) => s === (present ? 0 : 1), !present),
    );
  }
  if (grid) {
    if (character.kind !== 'count') return [];
    const [least, most] = shortest(own);
    return made(
      { characterId, from: grid.from + least, below: grid.from + most + 1 },
      (s) => s >= least && s <= most,
      false,
    );
  }
  const order = [...own.keys()].filter((s) => own[s]! > 0).sort((x, y) => own[y]! - own[x]!);
  return [1, 2].flatMap((count) => {
    const chosen = order.slice(0, count);
    if (chosen.length < count) return [];
    const states = chosen.map((s) => character.states[s]!.id);
    const absent = states.some((id) => id === 'none' && characterId !== NAKED);
    return made({ characterId, states }, (s) => chosen.includes(s), absent);
  });
}

/** The fewest neighbouring numbers that make up what a taxon shows. */
function shortest(row: Float64Array): [number, number] {
  for (let length = 1; length <= row.length; length += 1)
    for (let from = 0; from + length <= row.length; from += 1)
      if (row.slice(from, from + length).reduce((sum, p) => sum + p, 0) >= NUMBERS)
        return [from, from + length - 1];
  return [0, row.length - 1];
}
