import { isDeciduous, leafyShare, scoresInView, type ProfiledTaxon } from '../evidence/index.ts';
import { admits, stateWeights, type AdoptedScore, type ScoreValue } from '../score/index.ts';
import { partPresent, type Calendar } from '../season/index.ts';
import type { View } from '../view/index.ts';
import {
  applies,
  type CharacterId,
  SHOWN_BY,
  type ShownOrgan,
  type Vocabulary,
} from '../vocabulary/index.ts';
import { DRAWN } from './unshown.ts';

/**
 * The characters without which a drawing of an organ is a guess: what an illustrator would ask for before taking up the pen. Those of
 * twig and bud beyond the arrangement count on a bare twig only, where they are all there is.
 */
const ASKED_FOR: Record<ShownOrgan, readonly CharacterId[]> = {
  leaf: [
    'foliage.kind',
    'leaf.composition',
    'leaf.leaflets',
    'leaf.shape',
    'leaf.length',
    'leaf.lobing',
    'leaf.lobes',
    'leaf.teeth',
    'needle.length',
    'needle.perBundle',
    'needle.perSpur',
    'needle.lie',
    'needle.scaleSpray',
  ],
  twig: ['twig.arrangement'],
  bud: ['bud.shape', 'bud.scales', 'bud.length'],
  flower: ['flower.type'],
  fruit: ['fruit.type', 'fruit.length', 'fruit.samaraWing', 'acorn.cupCover'],
  bark: ['bark.surface', 'bark.color'],
  habit: ['habit.height', 'habit.crownForm'],
  wood: ['wood.pores'],
  site: [],
};

/** Share of what foliage and buds are drawn from that must be scored, besides what is asked for first; of other parts anything. */
const LEAST_SHARE = 0.3;

/** Is enough scored of a taxon to draw an organ, so that whoever knows the tree would know the drawing? */
export interface EnoughToDraw {
  organ: ShownOrgan;
  enough: boolean;
  /** Share of the characters that the drawing is made from and that apply which is scored, 0 to 1. */
  share: number;
  /** What is asked for first and not scored: ids. */
  missing: string[];
}

/**
 * Measures for each organ whether its drawing would rest on scores or on guesses. The place is never drawn and always enough.
 *
 * @param view its organs, day and qualifiers: a bare twig needs its buds, a leafy one does not
 * @param calendar the calendar of the taxon at the site
 * @returns one entry an organ, in the order of the view
 * @example
 * enoughToDraw(hickory, { ...view, organs: ['leaf'] }, BUILT_IN)[0]; // { organ: 'leaf', enough: false, share: 0.3, missing: ['leaf.leaflets'] }
 */
export function enoughToDraw(
  profiled: ProfiledTaxon,
  view: Pick<View, 'organs' | 'day' | 'qualifiers' | 'leaves'>,
  vocabulary: Vocabulary,
  calendar: Calendar = profiled.taxon.calendar,
): EnoughToDraw[] {
  const deciduous = isDeciduous(profiled);
  const leafy =
    view.leaves === undefined
      ? partPresent('leaves', calendar, deciduous, view.day)
      : leafyShare(calendar, deciduous, view) > 0.5;
  const here = { ...profiled, scores: inView(profiled.scores, view) };
  const scored = new Set(here.scores.map((score) => score.characterId));
  return view.organs.map((organ) => {
    const inSight = organ === 'leaf' ? leafy : organ === 'bud' ? !leafy : organ !== 'site';
    const asked = ASKED_FOR[organ].filter((id) => usuallyApplies(id, here, vocabulary));
    const missing = inSight ? asked.filter((id) => !scored.has(id)) : [];
    const drawn = DRAWN.filter(
      (id) => SHOWN_BY[vocabulary.get(id)!.organ] === organ && usuallyApplies(id, here, vocabulary),
    );
    const share = drawn.length === 0 ? 0 : drawn.filter((id) => scored.has(id)).length / drawn.length;
    const least = organ === 'leaf' || organ === 'bud' ? LEAST_SHARE : 0;
    const fits = drawn.length === 0 || share > least;
    return { organ, enough: !inSight || (missing.length === 0 && fits), share, missing };
  });
}

/** The scores that hold in a view, of each character those with the qualifiers that fit best. */
function inView(
  scores: readonly AdoptedScore[],
  view: Pick<View, 'organs' | 'day' | 'qualifiers'>,
): AdoptedScore[] {
  const byCharacter = new Map<string, AdoptedScore[]>();
  for (const score of scores)
    byCharacter.set(score.characterId, [...(byCharacter.get(score.characterId) ?? []), score]);
  return [...byCharacter.values()].flatMap((group) => scoresInView(group, view));
}

/** Does a character apply to most individuals of a taxon? Where its governing character is not scored nobody can tell. */
function usuallyApplies(id: string, { scores }: ProfiledTaxon, vocabulary: Vocabulary): boolean {
  // How leaves stand shows on a twig with blades; needles stand as their own characters say.
  const requires =
    id === 'twig.arrangement'
      ? [{ character: 'foliage.kind', states: ['broad'] }]
      : (vocabulary.get(id)?.requires ?? []);
  const mostShow = (governor: string, states: readonly string[]) =>
    scores.some((score) => score.characterId === governor && shareOf(score.value, states) > 0.5);
  return applies({ requires }, mostShow, false);
}

/** Share of individuals that show one of these states. */
function shareOf(value: ScoreValue, states: readonly string[]): number {
  if (value.kind !== 'states') return states.some((state) => admits(value, state)) ? 1 : 0;
  const weights = stateWeights(value);
  return states.reduce((sum, state) => sum + (weights.get(state) ?? 0), 0);
}
