import { hopkinsDelay, leafShare, shiftCalendar, type Calendar } from '../season/index.ts';
import { stateWeights } from '../score/index.ts';
import { onDay, type View } from '../view/index.ts';
import { BEARING, bearingShare, isBearingId } from './bearing.ts';
import { isDeciduous, type ProfiledTaxon, type ReadingOptions } from './profiled.ts';

/** Characters that are worked out and never scored. */
export const LEAVES_PRESENT = 'foliage.present';
export const NEEDLE_SCARS = 'twig.needleScars';

/** What a share of trees in leaf this near to none or all is taken for. */
const HARDLY_ANY = 0.02;

/**
 * Share of a taxon's specimens that are in leaf in a view: as the view says, else by its calendar. A view that shows leaves and
 * neither twig nor crown is of a leaf: whoever may have one then shows one.
 */
export function leafyShare(
  calendar: Calendar,
  deciduous: boolean,
  { leaves, day, organs }: Pick<View, 'leaves' | 'day' | 'organs'>,
): number {
  if (leaves === 'on') return 1;
  const share = leafShare(calendar, deciduous, day);
  if (leaves === 'off') return isEvergreen(calendar, deciduous) ? 1 : 0;
  if (share < HARDLY_ANY) return 0;
  if (share > 1 - HARDLY_ANY) return 1;
  return organs.some((organ) => organ === 'twig' || organ === 'bud' || organ === 'habit') ? share : 1;
}

/** Between these shares a date leaves open whether a specimen is in leaf. */
const OPEN_BETWEEN: [number, number] = [0.05, 0.95];

/**
 * The taxa of a list of which the date of a view leaves open whether a specimen is in leaf, by id: near leaf-out and leaf fall. None where the
 * view says the condition itself.
 */
export const openInLeaf = (
  list: readonly ProfiledTaxon[],
  view: View,
  options: ReadingOptions = {},
): string[] =>
  leafyShares(list, view, options).flatMap((share, t) =>
    share > OPEN_BETWEEN[0] && share < OPEN_BETWEEN[1] ? [list[t]!.taxon.id] : [],
  );

/** The view as it holds for a list: what it says of the leaves counts only where its date leaves that open. */
export const asOpen = (list: readonly ProfiledTaxon[], view: View, options: ReadingOptions = {}): View => {
  const unfixed = onDay(view, view.day);
  return view.leaves && openInLeaf(list, unfixed, options).length > 0 ? view : unfixed;
};

/** The calendar of a taxon as it holds at the site. */
const calendarAt = ({ taxon }: ProfiledTaxon, { reference, site }: ReadingOptions): Calendar =>
  shiftCalendar(taxon.calendar, reference && site ? hopkinsDelay(reference, site) : 0);

const leafyShares = (list: readonly ProfiledTaxon[], view: View, options: ReadingOptions) =>
  list.map((profiled) => leafyShare(calendarAt(profiled, options), isDeciduous(profiled), view));

/** A view in one condition: as it says, else the one that most specimens are in of those that the date leaves open. */
export function inOneCondition(
  list: readonly ProfiledTaxon[],
  view: View,
  options: ReadingOptions = {},
): View {
  if (view.leaves) return view;
  const open = leafyShares(list, view, options).filter(
    (share) => share > OPEN_BETWEEN[0] && share < OPEN_BETWEEN[1],
  );
  if (open.length === 0) return view;
  const mean = open.reduce((sum, share) => sum + share, 0) / open.length;
  return { ...view, leaves: mean >= 0.5 ? 'on' : 'off' };
}

/** Is it in leaf in the midst of winter as in summer? */
const isEvergreen = (calendar: Calendar, deciduous: boolean): boolean =>
  [15, 196].every((day) => leafShare(calendar, deciduous, day) > 0.5);

/**
 * Share of a taxon's specimens that show a character that is worked out, 0–1; undefined for any other character, and where what it follows
 * from is not scored.
 * derivedShare(larch, 'twig.needleScars', { ...view, day: 15 }); // 1
 */
export function derivedShare(
  profiled: ProfiledTaxon,
  characterId: string,
  view: View,
  options: ReadingOptions = {},
): number | undefined {
  if (characterId === LEAVES_PRESENT) return leafyShares([profiled], view, options)[0];
  if (isBearingId(characterId))
    return bearingShare(BEARING[characterId], calendarAt(profiled, options), view);
  if (characterId !== NEEDLE_SCARS) return undefined;
  const kind = profiled.scores.find((score) => score.characterId === 'foliage.kind')?.value;
  return kind?.kind === 'states' ? 1 - (stateWeights(kind).get('broad') ?? 0) : undefined;
}
