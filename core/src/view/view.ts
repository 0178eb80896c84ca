import type { Qualifiers } from '../score/index.ts';
import type { Character, ShownOrgan } from '../vocabulary/index.ts';
import { SHOWN_BY } from '../vocabulary/index.ts';

export const AIDS = ['eye', 'touch', 'smell', 'lens', 'rule', 'binoculars', 'cut'] as const;
export type Aid = (typeof AIDS)[number];

/** How near the viewer comes: from afar, at arm's length, or with the piece in hand. */
export type Nearness = 'afar' | 'arm' | 'hand';

/** What can be perceived: organs shown, on which day of the year, from how near, with what aids. */
export interface View {
  organs: ShownOrgan[];
  /** Day of the year, 1–365. */
  day: number;
  nearness: Nearness;
  aids: Aid[];
  qualifiers: Qualifiers;
  /** The condition of the specimen where a date leaves it open: still in leaf, or already bare. Evergreens are in leaf in either. */
  leaves?: LeafCondition;
}

export const LEAF_CONDITIONS = ['on', 'off'] as const;
export type LeafCondition = (typeof LEAF_CONDITIONS)[number];

export const MEDIA = ['cutting', 'livingTree', 'barkPiece', 'fruit', 'pressed', 'photo', 'drawing'] as const;
export type Medium = (typeof MEDIA)[number];

export const MEDIUM_TITLES: Record<Medium, string> = {
  cutting: 'fresh cutting',
  livingTree: 'living tree',
  barkPiece: 'bark piece',
  fruit: 'fruit or cone',
  pressed: 'pressed specimen',
  photo: 'photo',
  drawing: 'drawing',
};

/** What a medium lets a student do, and the organs it usually shows. */
export const MEDIUM_VIEWS: Record<Medium, { nearness: Nearness; aids: Aid[]; organs: ShownOrgan[] }> = {
  cutting: { nearness: 'hand', aids: ['eye', 'touch', 'smell', 'lens'], organs: ['twig', 'bud', 'leaf'] },
  livingTree: {
    nearness: 'hand',
    aids: ['eye', 'touch', 'smell', 'lens', 'binoculars'],
    organs: ['habit', 'bark', 'twig', 'bud', 'leaf', 'flower', 'fruit', 'site'],
  },
  barkPiece: { nearness: 'hand', aids: ['eye', 'touch', 'smell'], organs: ['bark'] },
  fruit: { nearness: 'hand', aids: ['eye', 'touch', 'smell', 'lens'], organs: ['fruit'] },
  pressed: { nearness: 'hand', aids: ['eye', 'lens'], organs: ['twig', 'bud', 'leaf'] },
  photo: { nearness: 'hand', aids: ['eye'], organs: ['leaf'] },
  drawing: { nearness: 'hand', aids: ['eye', 'lens'], organs: ['twig', 'bud', 'leaf'] },
};

const NEAR: Record<Nearness, number> = { afar: 0, arm: 1, hand: 2 };

/** Can this character be perceived in the view, as far as organ, distance and aids go? The season is not asked. */
export function perceivable(character: Character, view: View): boolean {
  if (!view.organs.includes(SHOWN_BY[character.organ])) return false;
  // Whether a twig carries leaves is no finding when only a leaf is shown.
  if (
    character.id === 'foliage.present' &&
    !view.organs.some((organ) => organ === 'twig' || organ === 'habit')
  )
    return false;
  if (character.sense !== 'eye' && !view.aids.includes(character.sense)) return false;
  switch (character.distance) {
    case 'afar':
      return true;
    case 'binoculars':
      return NEAR[view.nearness] >= NEAR.arm || view.aids.includes('binoculars');
    case 'arm':
      return NEAR[view.nearness] >= NEAR.arm;
    case 'hand':
      return view.nearness === 'hand';
    case 'lens':
      return view.nearness === 'hand' && view.aids.includes('lens');
    case 'cut':
      return view.nearness === 'hand' && view.aids.includes('cut');
  }
}

/** A view as one string, the same for views that show the same: used to group stations. The day is left out. */
export const viewKey = (view: View): string =>
  [
    [...view.organs].sort().join('+'),
    view.nearness,
    [...view.aids].sort().join('+'),
    Object.entries(view.qualifiers).flat().join('='),
  ].join('|');

/** The view on another day: what was said of the leaves was said of its own. `onDay({ ...view, leaves: 'on' }, 15).leaves` is undefined. */
export function onDay(view: View, day: number): View {
  const { leaves: _, ...unfixed } = view;
  return { ...unfixed, day };
}
