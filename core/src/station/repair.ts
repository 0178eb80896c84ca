import { isDeciduous, type ProfiledTaxon, type ReadingOptions } from '../evidence/index.ts';
import { hopkinsDelay, partPresent, shiftCalendar } from '../season/index.ts';
import type { Aid, View } from '../view/index.ts';
import type { ShownOrgan, Vocabulary } from '../vocabulary/index.ts';
import { FAIR_AT, stationFairness } from './fairness.ts';

/** What is added to a station so that it can be told. */
export type Repair =
  { adds: 'organs'; organs: ShownOrgan[]; right: number } | { adds: 'aid'; aid: Aid; right: number };

/** What can be added, the cheapest first: a lens is laid beside it, a fruit has to be found. */
const AIDS: readonly Aid[] = ['touch', 'lens', 'smell'];
const ORGANS: readonly (readonly ShownOrgan[])[] = [['twig', 'bud'], ['leaf'], ['fruit'], ['bark']];
const DRAWS = 600;
/** It is worth adding where it gains so much. */
const GAINS = 0.03;

/**
 * The cheapest thing to add to a station that makes it fair for its tree; where none does, the one that helps most. Undefined where it is fair, or nothing that is
 * there on the day helps.
 *
 * @param senses that those who sit it cannot use, such as smell
 * @example
 * repairOf(list, 'salix-scouleriana', BUILT_IN, leafAlone); // { adds: 'organs', organs: ['twig', 'bud'], right: 0.93 }
 */
export function repairOf(
  list: readonly ProfiledTaxon[],
  taxonId: string,
  vocabulary: Vocabulary,
  view: View,
  { without = [], ...options }: ReadingOptions & { without?: readonly Aid[] } = {},
): Repair | undefined {
  const profiled = list.find(({ taxon }) => taxon.id === taxonId);
  if (!profiled) return undefined;
  const rightOf = (changed: View) =>
    stationFairness(list, taxonId, vocabulary, changed, { ...options, draws: DRAWS }).right;
  const now = rightOf(view);
  if (now >= FAIR_AT) return undefined;
  const { reference, site } = options;
  const calendar = shiftCalendar(
    profiled.taxon.calendar,
    reference && site ? hopkinsDelay(reference, site) : 0,
  );
  const bears = (organ: ShownOrgan) =>
    organ === 'leaf' || organ === 'fruit'
      ? partPresent(organ === 'leaf' ? 'leaves' : 'fruit', calendar, isDeciduous(profiled), view.day)
      : true;
  const tried: Repair[] = [];
  for (const aid of AIDS.filter((each) => !view.aids.includes(each) && !without.includes(each))) {
    const right = rightOf({ ...view, aids: [...view.aids, aid] });
    if (right >= FAIR_AT) return { adds: 'aid', aid, right };
    tried.push({ adds: 'aid', aid, right });
  }
  for (const more of ORGANS) {
    // Buds stand on a twig: what is there of the two already needs only the other.
    const organs = more.filter((each) => !view.organs.includes(each));
    if (organs.length === 0 || !organs.every(bears)) continue;
    const right = rightOf({ ...view, organs: [...view.organs, ...organs] });
    if (right >= FAIR_AT) return { adds: 'organs', organs, right };
    tried.push({ adds: 'organs', organs, right });
  }
  const [best] = tried.sort((x, y) => y.right - x.right);
  return best && best.right - now >= GAINS ? best : undefined;
}

/** A view with what repairs it. */
export const repaired = (view: View, repair: Repair): View =>
  repair.adds === 'aid'
    ? { ...view, aids: [...view.aids, repair.aid] }
    : { ...view, organs: [...view.organs, ...repair.organs] };
