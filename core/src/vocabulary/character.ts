/**
 * A character is an observable feature of one organ. This file holds its type and the small builders with
 * which the built-in vocabulary is written; the vocabulary itself is data, one file an organ.
 */

import type { Saying } from './saying.ts';

export type Organ =
  | 'habit'
  | 'bark'
  | 'twig'
  | 'bud'
  | 'foliage'
  | 'leaf'
  | 'needle'
  | 'flower'
  | 'pollenCone'
  | 'fruit'
  | 'cone'
  | 'acorn'
  | 'wood'
  | 'site';

/** What a view can show. Foliage, blades and needles come together; so do fruits, cones and acorns. */
export type ShownOrgan = 'habit' | 'bark' | 'twig' | 'bud' | 'leaf' | 'flower' | 'fruit' | 'wood' | 'site';

export const SHOWN_BY: Record<Organ, ShownOrgan> = {
  habit: 'habit',
  bark: 'bark',
  twig: 'twig',
  bud: 'bud',
  foliage: 'leaf',
  leaf: 'leaf',
  needle: 'leaf',
  flower: 'flower',
  pollenCone: 'flower',
  fruit: 'fruit',
  cone: 'fruit',
  acorn: 'fruit',
  wood: 'wood',
  site: 'site',
};

export type CharacterKind = 'categorical' | 'ordinal' | 'measure' | 'count' | 'months' | 'flag';

/** The part that must be on the tree for the character to be seen; the calendar of the taxon says when. */
export type Part =
  | 'always'
  | 'leaves'
  | 'autumnLeaves'
  | 'buds'
  | 'flowers'
  | 'winterCatkins'
  | 'fruit'
  | 'ripeFruit'
  | 'winter';

/**
 * How good a teacher a character is: a *mark* is what manuals key by and instructors say first; a *second* one confirms; a *supporting*
 * one (colors, absolute sizes, growth, numbers on overlapping ranges) is said only where nothing better serves.
 */
export const STANDINGS = ['mark', 'second', 'supporting'] as const;
export type Standing = (typeof STANDINGS)[number];

/** How near one must come, from far to near; `lens` and `cut` need that aid as well. */
export type Distance = 'afar' | 'binoculars' | 'arm' | 'hand' | 'lens' | 'cut';
export type Sense = 'eye' | 'touch' | 'smell';
export type Level = 'beginner' | 'intermediate' | 'advanced';

/** Display units. Lengths are stored in metres, densities in kg/m³, the others as they are written. */
export type Unit = 'm' | 'cm' | 'mm' | 'years' | '°' | '%' | 'kg/m³' | 'pH' | '1/cm' | '1';

export interface State {
  id: string;
  /** Technical term, for a third-year course. */
  term: string;
  /** Plain words, for a beginner. */
  plain: string;
  definition: string;
  /** Nobody takes it for another state, nor another for it: a blade for needles. */
  apart?: boolean;
}

export interface Requirement {
  character: string;
  /** States under which the dependent character applies; for a flag `yes` or `no`. */
  states: string[];
}

/** Share of readings that name a wrong state: an expert taking care, and a beginner. */
export interface Misread {
  careful: number;
  novice: number;
}

export const QUALIFIER_NAMES = ['plantAge', 'partAge', 'shoot', 'light', 'sex', 'setting'] as const;
export type QualifierName = (typeof QUALIFIER_NAMES)[number];

export interface Character {
  id: string;
  organ: Organ;
  term: string;
  plain: string;
  kind: CharacterKind;
  /** States may occur together ("papery and banded"); each is then a yes/no of its own. */
  anyOf: boolean;
  states: State[];
  unit?: Unit;
  requires: readonly Requirement[];
  part: Part;
  distance: Distance;
  sense: Sense;
  level: Level;
  misread: Misread;
  /** Characters of one group say nearly the same thing; only one of them takes part in evidence. */
  group?: string;
  /** How good a teacher it is; second if not given (`standingOf`). */
  standing?: Standing;
  /** Genera between whose species it stands one step higher. */
  raisedWithin?: readonly string[];
  /** Worked out by Hurrow (from the calendar), never scored by hand. */
  derived?: boolean;
  /** What is said between its words; in English if not given (`saidIn`). */
  saying?: Saying;
}

type Reading = 'plain' | 'ordinary' | 'subjective';

const MISREAD: Record<Reading, Misread> = {
  plain: { careful: 0.005, novice: 0.04 },
  ordinary: { careful: 0.015, novice: 0.1 },
  subjective: { careful: 0.05, novice: 0.2 },
};

export interface CharacterOptions {
  plain?: string;
  part?: Part;
  distance?: Distance;
  sense?: Sense;
  level?: Level;
  reading?: Reading;
  novice?: number;
  group?: string;
  requires?: readonly Requirement[];
  derived?: boolean;
}

/** States of which some stand apart from all others. */
export const apart = (states: State[], ...ids: string[]): State[] =>
  states.map((state) => (ids.includes(state.id) ? { ...state, apart: true } : state));

/** `when('leaf.composition', 'odd', 'even')`: applies only under one of these states. */
export const when = (character: string, ...states: string[]): Requirement => ({ character, states });

/** A built-in character, whose id the compiler knows. */
export type BuiltIn<Id extends string> = Character & { readonly id: Id };

function build<Id extends string>(
  id: Id,
  term: string,
  kind: CharacterKind,
  states: State[],
  options: CharacterOptions,
  extra: Partial<Character> = {},
): BuiltIn<Id> {
  const organ = id.split('.')[0] as Organ;
  const misread = MISREAD[options.reading ?? 'ordinary'];
  return {
    organ,
    term,
    plain: options.plain ?? term,
    kind,
    anyOf: false,
    states,
    requires: options.requires ?? [],
    part: options.part ?? 'always',
    distance: options.distance ?? 'hand',
    sense: options.sense ?? 'eye',
    level: options.level ?? 'intermediate',
    misread: options.novice === undefined ? misread : { ...misread, novice: options.novice },
    ...(options.group ? { group: options.group } : {}),
    ...(options.derived ? { derived: true } : {}),
    ...extra,
    id,
  };
}

export const oneOf = <const Id extends string>(
  id: Id,
  term: string,
  states: State[],
  options: CharacterOptions = {},
) => build(id, term, 'categorical', states, options);
export const anyOf = <const Id extends string>(
  id: Id,
  term: string,
  states: State[],
  options: CharacterOptions = {},
) => build(id, term, 'categorical', states, options, { anyOf: true });
export const ordinal = <const Id extends string>(
  id: Id,
  term: string,
  states: State[],
  options: CharacterOptions = {},
) => build(id, term, 'ordinal', states, options);
export const measure = <const Id extends string>(
  id: Id,
  term: string,
  unit: Unit,
  options: CharacterOptions = {},
) => build(id, term, 'measure', [], options, { unit });
export const count = <const Id extends string>(id: Id, term: string, options: CharacterOptions = {}) =>
  build(id, term, 'count', [], options);
export const flag = <const Id extends string>(id: Id, term: string, options: CharacterOptions = {}) =>
  build(id, term, 'flag', [], options);

/**
 * Reads a table of states, one a line: `id | technical term | plain words | definition`.
 * Throws on a line without four columns: the vocabulary ships with the product and must be whole.
 */
export function table(text: string): State[] {
  return text
    .trim()
    .split('\n')
    .map((line) => {
      const [id, term, plain, definition, ...rest] = line.split('|').map((cell) => cell.trim());
      if (!id || !term || !plain || !definition || rest.length > 0)
        throw new Error(`Vocabulary line needs id | term | plain | definition: "${line.trim()}"`);
      return { id, term, plain, definition };
    });
}
