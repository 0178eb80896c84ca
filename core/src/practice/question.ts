import { contrast, type Contrast, type ProfiledTaxon, type ReadingOptions } from '../evidence/index.ts';
import { randomFrom, seedOf } from '../random/index.ts';
import type { Audience, UnitSystem } from '../score/index.ts';
import {
  alikeBut,
  drawingToSvg,
  drawPlate,
  sampleSpecimen,
  traitsInWords,
  type Drawing,
  type Trait,
  type Traits,
} from '../specimen/index.ts';
import { byLot, seeingQuestion, settlersOf, type SeeingQuestion } from '../station/index.ts';
import type { Vocabulary } from '../vocabulary/index.ts';
import type { View } from '../view/index.ts';
import { mixedUp, type MixUp, type PracticeCard } from './kinds.ts';

/** Ways of practicing, as a student chooses them; the bark, the bare twig and the like are ways of naming. */
export const WAYS = ['name', 'glance', 'features', 'which', 'differs', 'settles', 'sort'] as const;
export type Way = (typeof WAYS)[number];

export const WAY_WORDS: Record<Way, { title: string; what: string }> = {
  name: { title: 'Name it', what: 'One specimen, and you write its name.' },
  glance: { title: 'At a glance', what: 'Three seconds to look, then choose its name.' },
  features: { title: 'Feature by feature', what: 'Say first what you see, then the name.' },
  which: { title: 'Which of two', what: 'Two trees that are mixed up: which is it?' },
  differs: { title: 'Spot what differs', what: 'Two specimens, alike but for what decides: press it.' },
  settles: { title: 'What settles it', what: 'Two names: say what tells them apart.' },
  sort: { title: 'Sort these', what: 'Six specimens of two trees: sort them.' },
};

/** Seconds for which a specimen is seen at a glance. */
export const GLANCE = 3;
/** Names to choose from. */
const CHOICES = 4;
/** Features that are asked before the name. */
const FEATURES = 2;
/** Rivals that are tried, the likeliest first. */
const TRIED = 4;
/** Specimens to sort. */
const TO_SORT = 6;
/** Places that are no difference and may be pressed all the same. */
const ALIKE = 4;

/** What questions are made from: the trees taught, and how the course says things. */
export interface PracticeGround extends ReadingOptions {
  list: readonly ProfiledTaxon[];
  vocabulary: Vocabulary;
  audience: Audience;
  units: UnitSystem;
}

/** A drawn specimen: the picture, and in words what it shows. Neither names it. */
export interface Shown {
  svg: string;
  words: string;
}

interface OfOne {
  card: PracticeCard;
  traits: Traits;
  shown: Shown;
}

export type Question =
  /** With a checklist of what could be gone by, where that is asked too. */
  | ({ way: 'name'; offered?: string[] } & OfOne)
  | ({ way: 'glance'; choices: string[] } & OfOne)
  | ({ way: 'features'; asks: SeeingQuestion[] } & OfOne)
  | ({ way: 'which'; choices: [string, string] } & OfOne)
  | ({ way: 'differs'; pair: [string, string]; pictures: [Shown, Shown] } & Spots & { card: PracticeCard })
  | {
      way: 'settles';
      card: PracticeCard;
      pair: [string, string];
      /** Characters to choose from, in an order by lot, and those that settle it. */
      characters: string[];
      right: string[];
    }
  | { way: 'sort'; card: PracticeCard; pair: [string, string]; pieces: { taxonId: string; shown: Shown }[] };

/** Where the pictures of two trees differ: by character the places on each, in the pixels of a picture. */
export interface Spots {
  /** Characters in which the two differ, and all that could be meant, in an order by lot. */
  right: string[];
  characters: string[];
  spots: { characterId: string; at: [readonly [number, number], readonly [number, number]] }[];
}

/** Frame of a picture, pixels. */
export const PICTURE = { width: 360, height: 300 };
/** Frame of one of two beside each other: larger than it is shown, so that a twig fills it. */
export const HALF_PICTURE = { width: 270, height: 225 };

/**
 * A question about a card in a way, with a new individual each time. Ways that need a rival take the heaviest mix-up of the tree, else what
 * beginners take it for; where there is none to tell it from, or nothing to ask, it is named instead.
 *
 * @param seed of the individual; the same seed asks the same question
 * @example
 * questionOf('which', card, 7, ground, mixUps); // { way: 'which', choices: ['abies-grandis', 'abies-lasiocarpa'], … }
 */
export function questionOf(
  way: Way,
  card: PracticeCard,
  seed: number,
  ground: PracticeGround,
  mixUps: readonly MixUp[],
): Question | undefined {
  const truth = treeOf(card.taxonId, ground);
  if (!truth) return undefined;
  const random = randomFrom(seedOf(seed, way));
  const one = () => {
    const traits = sampleSpecimen(truth, ground.vocabulary, card.view, seed, ground);
    const shown = picture(traits, card.view, ground);
    return shown && { card, traits, shown };
  };
  const rivals = rivalsOf(card, ground, mixUps);
  const naming = (): Question | undefined => {
    const made = one();
    return made && { way: 'name', ...made };
  };
  switch (way) {
    case 'name':
      return naming();
    case 'glance': {
      const made = one();
      const choices = byLot([card.taxonId, ...rivals.slice(0, CHOICES - 1)], random.uniform);
      return made && choices.length > 1 ? { way, ...made, choices } : naming();
    }
    case 'features': {
      const made = one();
      const asks = made && featuresOf(truth, made.traits, card, rivals, ground);
      return made && asks?.length ? { way, ...made, asks, shown: without(asks, made, ground) } : naming();
    }
    case 'which': {
      const made = one();
      const choices = byLot([card.taxonId, ...rivals.slice(0, 1)], random.uniform);
      return made && choices.length === 2 ? { way, ...made, choices: choices as [string, string] } : naming();
    }
    case 'differs':
      return (
        firstOf(rivals.slice(0, TRIED), (rival) => differing(card, rival, seed, ground, random.uniform)) ??
        naming()
      );
    case 'settles':
      return (
        firstOf(rivals.slice(0, TRIED), (rival) => settling(card, rival, ground, random.uniform)) ?? naming()
      );
    case 'sort':
      return (
        firstOf(rivals.slice(0, TRIED), (rival) => sorting(card, rival, seed, ground, random.uniform)) ??
        naming()
      );
  }
}

const firstOf = <T, R>(many: readonly T[], of: (one: T) => R | undefined): R | undefined => {
  for (const one of many) {
    const made = of(one);
    if (made) return made;
  }
  return undefined;
};

const treeOf = (id: string, { list }: PracticeGround): ProfiledTaxon | undefined =>
  list.find(({ taxon }) => taxon.id === id);

/** What a tree may be taken for, the heaviest mix-up first, then what beginners take it for, then its relatives. */
export function rivalsOf(
  { taxonId, taken }: Pick<PracticeCard, 'taxonId' | 'taken'>,
  ground: PracticeGround,
  mixUps: readonly MixUp[],
): string[] {
  const truth = treeOf(taxonId, ground)?.taxon;
  const foliage = foliageOf(taxonId, ground);
  const share = new Map(taken.map((each) => [each.taxonId, each.share]));
  return ground.list
    .flatMap(({ taxon }) => {
      if (taxon.id === taxonId) return [];
      const kin = taxon.genus === truth?.genus ? 0.04 : taxon.family === truth?.family ? 0.02 : 0;
      const alike = foliageOf(taxon.id, ground) === foliage ? 1 : 0;
      const weight =
        2 * mixedUp(mixUps, taxonId, taxon.id) + (share.get(taxon.id) ?? 0) * alike + kin + 0.01 * alike;
      return [{ id: taxon.id, weight }];
    })
    .sort((a, b) => b.weight - a.weight)
    .map(({ id }) => id);
}

const foliageOf = (id: string, ground: PracticeGround): string | undefined => {
  const value = treeOf(id, ground)?.scores.find(({ characterId }) => characterId === 'foliage.kind')?.value;
  return value?.kind === 'states' ? value.states[0]?.state : undefined;
};

function picture(
  traits: Traits,
  view: View,
  { vocabulary, audience, units }: PracticeGround,
  hidden: readonly string[] = [],
  frame = PICTURE,
): Shown | undefined {
  const words = traitsInWords(traits, view.organs, vocabulary, audience, units, hidden);
  const plate = drawPlate(traits, view.organs, { ...frame, units });
  return plate && { svg: drawingToSvg(plate, words), words };
}

/** The picture with nothing said of what is asked: who listens finds it out as others see it. */
function without(
  asks: readonly SeeingQuestion[],
  { traits, shown, card }: OfOne,
  ground: PracticeGround,
): Shown {
  const hidden = asks.map(({ characterId }) => characterId);
  return picture(traits, card.view, ground, hidden) ?? shown;
}

/** What is asked of a specimen before its name: what tells it from what it is taken for, marks first. */
function featuresOf(
  truth: ProfiledTaxon,
  traits: Traits,
  card: PracticeCard,
  rivals: readonly string[],
  ground: PracticeGround,
): SeeingQuestion[] {
  const wanted = rivals.slice(0, 2).flatMap((rival) => found(card, rival, ground)?.said ?? []);
  return [...new Set(wanted)]
    .filter((id) => traits.values[id] !== undefined)
    .flatMap((id) => seeingQuestion(id, truth, ground.vocabulary, card.view, traits, ground) ?? [])
    .slice(0, FEATURES);
}

function found(card: PracticeCard, rival: string, ground: PracticeGround): Contrast | undefined {
  if (!treeOf(rival, ground)) return undefined;
  return contrast(ground.list, card.taxonId, rival, ground.vocabulary, card.view, ground);
}

/** Two specimens alike but for what decides, with the places where they differ. Undefined where nothing that can be seen decides. */
function differing(
  card: PracticeCard,
  rival: string,
  seed: number,
  ground: PracticeGround,
  random: () => number,
): Question | undefined {
  const [truth, other] = [treeOf(card.taxonId, ground)!, treeOf(rival, ground)!];
  const said = found(card, rival, ground)?.said ?? [];
  const alike = alikeBut([truth, other], ground.vocabulary, card.view, said, { ...ground, seed });
  // Whether it has turned already is the day's doing and tells no two trees apart.
  const autumn = alike.every((traits) => traits.autumn);
  const pair = alike.map((traits) => ({ ...traits, autumn }));
  const right = Object.keys(pair[0]!.values).filter(
    (id) => ground.vocabulary.has(id) && differ(pair[0]!.values[id], pair[1]!.values[id]),
  );
  const plates = pair.map((traits) =>
    drawPlate(traits, card.view.organs, { ...HALF_PICTURE, units: ground.units }),
  );
  const [left, beside] = plates;
  if (!left || !beside) return undefined;
  const place = (drawing: Drawing, id: string): readonly [number, number] | undefined => {
    const inset = drawing.insets.find(({ shows }) => shows === id);
    return drawing.anchors[id] ?? (inset && ([inset.cx, inset.cy] as const));
  };
  const spots = Object.keys({ ...left.anchors, ...beside.anchors }).flatMap((characterId) => {
    const at = [place(left, characterId), place(beside, characterId)];
    return at[0] && at[1] && ground.vocabulary.has(characterId)
      ? [{ characterId, at: [at[0], at[1]] as Spots['spots'][number]['at'] }]
      : [];
  });
  const pointed = right.filter((id) => spots.some(({ characterId }) => characterId === id));
  if (pointed.length === 0) return undefined;
  const same = byLot(
    spots.map(({ characterId }) => characterId).filter((id) => !right.includes(id)),
    random,
  );
  const flip = random() < 0.5;
  const pictures = pair.map((traits) => picture(traits, card.view, ground, [], HALF_PICTURE)!);
  const order = flip ? ([1, 0] as const) : ([0, 1] as const);
  return {
    way: 'differs',
    card,
    pair: order.map((i) => [card.taxonId, rival][i]!) as [string, string],
    pictures: order.map((i) => pictures[i]!) as [Shown, Shown],
    right: pointed,
    characters: byLot([...pointed, ...same.slice(0, ALIKE)], random),
    spots: spots.map(({ characterId, at }) => ({
      characterId,
      at: order.map((i) => at[i]!) as Spots['spots'][number]['at'],
    })),
  };
}

const differ = (a: Trait | undefined, b: Trait | undefined): boolean =>
  a !== undefined && b !== undefined && JSON.stringify(a) !== JSON.stringify(b) && !nearly(a, b);

/** Numbers that nobody tells apart by eye. */
const nearly = (a: Trait, b: Trait): boolean =>
  typeof a === 'number' && typeof b === 'number' && Math.max(a, b) < 1.4 * Math.min(a, b);

/** Two names: which character tells them apart, among such as do not. */
function settling(
  card: PracticeCard,
  rival: string,
  ground: PracticeGround,
  random: () => number,
): Question | undefined {
  const made = found(card, rival, ground);
  const settlers = made && settlersOf(made, ground.vocabulary, random);
  if (!settlers) return undefined;
  const pair = byLot([card.taxonId, rival], random) as [string, string];
  return { way: 'settles', card, pair, ...settlers };
}

function sorting(
  card: PracticeCard,
  rival: string,
  seed: number,
  ground: PracticeGround,
  random: () => number,
): Question | undefined {
  const made = found(card, rival, ground);
  if (!made || made.deciding.length === 0) return undefined;
  const pieces = Array.from({ length: TO_SORT }, (_, i) => {
    const taxonId = i % 2 === 0 ? card.taxonId : rival;
    const traits = sampleSpecimen(
      treeOf(taxonId, ground)!,
      ground.vocabulary,
      card.view,
      seed * 16 + i,
      ground,
    );
    const shown = picture(traits, card.view, ground, [], HALF_PICTURE);
    return shown && { taxonId, shown };
  });
  if (pieces.some((piece) => !piece)) return undefined;
  return {
    way: 'sort',
    card,
    pair: [card.taxonId, rival],
    pieces: byLot(
      pieces.map((piece) => piece!),
      random,
    ),
  };
}
