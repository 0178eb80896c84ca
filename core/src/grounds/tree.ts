import type { ShownOrgan } from '../vocabulary/index.ts';

/** How an organ of one tree can be had. */
export const REACHES = ['hand', 'pole', 'sprouts', 'fallen', 'glass'] as const;
export type Reach = (typeof REACHES)[number];

export const REACH_TITLES: Record<Reach, string> = {
  hand: 'at hand',
  pole: 'by pole pruner',
  sprouts: 'on sprouts only',
  fallen: 'fallen only',
  glass: 'by binoculars only',
};

export const STAGES = ['seedling', 'young', 'mature', 'old'] as const;
export type Stage = (typeof STAGES)[number];

/** What its flowers are, as far as it has been seen. */
export const SEXES = ['unknown', 'female', 'male', 'both'] as const;
export type Sex = (typeof SEXES)[number];

/** Whether something may be cut: by leave, only once it was asked, or never. */
export const CUTTINGS = ['yes', 'ask', 'no'] as const;
export type Cutting = (typeof CUTTINGS)[number];

/** Organs whose reach is noted. */
export const REACHED_ORGANS = [
  'leaf',
  'twig',
  'flower',
  'fruit',
  'bark',
] as const satisfies readonly ShownOrgan[];
export type ReachedOrgan = (typeof REACHED_ORGANS)[number];

export const HAZARDS = [
  'road',
  'water',
  'steep ground',
  'dead limbs',
  'heavy cones',
  'poison-ivy',
  'ticks',
  'thorns',
  'stinging insects',
  'wires',
] as const;
export type Hazard = (typeof HAZARDS)[number];

/** The usual care. What is allowed is for local rules, the land manager and licensed people to decide. */
export const HAZARD_CARE: Record<Hazard, string> = {
  road: 'Stay off the road and on one side of it; somebody watches the traffic.',
  water: 'Stay back from the edge, children within reach of an adult.',
  'steep ground': 'One behind another, and nobody below loose stones.',
  'dead limbs': 'Do not stand under it; leave when wind rises.',
  'heavy cones': 'Do not linger beneath it, least of all in wind.',
  'poison-ivy': 'Leaves of three on vine or shrub: touch nothing there, long sleeves, wash skin and tools.',
  ticks: 'Long trousers, stay on the path, look each other over afterwards.',
  thorns: 'Eye protection and gloves; hold branches for whoever comes behind.',
  'stinging insects': 'Keep clear of nests; know who carries medicine against stings.',
  wires: 'No pole, ladder or raised tool near wires: leave that tree alone.',
};

/** What is known of one living plant with a tag and a place. Metres and degrees. */
export interface TreeFacts {
  tag: string;
  /** Null where nobody has named it yet. */
  taxonId: string | null;
  /** Who confirmed the name; empty where nobody has. */
  confirmedBy: string;
  latitude: number;
  longitude: number;
  elevation: number | null;
  stage: Stage;
  sex: Sex;
  /** Girth of each stem at breast height; none where it was not measured. */
  girths: number[];
  height: number | null;
  spread: number | null;
  /** Organs that were looked for; the others are not known. */
  reach: Partial<Record<ReachedOrgan, Reach>>;
  /** It can be reached without a step and on firm ground. */
  stepFree: boolean;
  access: string;
  cutting: Cutting;
  /** Who gave leave, or who is to be asked. */
  permission: string;
  /** Last day on which the leave holds; null where it has no end. */
  until: string | null;
  hazards: Hazard[];
  note: string;
}

export interface GroundTree extends TreeFacts {
  id: string;
}

/** A tree of which nothing is known but its tag and where it stands. */
export const newTree = (tag: string, latitude: number, longitude: number): TreeFacts => ({
  tag,
  taxonId: null,
  confirmedBy: '',
  latitude,
  longitude,
  elevation: null,
  stage: 'mature',
  sex: 'unknown',
  girths: [],
  height: null,
  spread: null,
  reach: {},
  stepFree: false,
  access: '',
  cutting: 'ask',
  permission: '',
  until: null,
  hazards: [],
  note: '',
});

/** Parts whose presence on a tree is written down on a day. */
export const OBSERVED_PARTS = [
  'leaves',
  'autumnColor',
  'fallenLeaves',
  'flowers',
  'fruit',
  'ripeFruit',
  'fallen',
] as const;
export type ObservedPart = (typeof OBSERVED_PARTS)[number];

export const OBSERVED_TITLES: Record<ObservedPart, { there: string; gone: string }> = {
  leaves: { there: 'in leaf', gone: 'bare' },
  autumnColor: { there: 'in autumn color', gone: 'not in autumn color' },
  fallenLeaves: { there: 'leaves under it', gone: 'no leaves under it' },
  flowers: { there: 'in flower', gone: 'no flowers' },
  fruit: { there: 'fruit or cones on it', gone: 'no fruit or cones' },
  ripeFruit: { there: 'fruit ripe', gone: 'nothing ripe' },
  fallen: { there: 'fruit or cones under it', gone: 'nothing under it' },
};

/** What somebody saw of a tree on a day. */
export interface TreeObservation {
  treeId: string;
  /** ISO date. */
  day: string;
  part: ObservedPart;
  there: boolean;
}
