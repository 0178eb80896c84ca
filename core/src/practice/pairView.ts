import { contrast, type ProfiledTaxon } from '../evidence/index.ts';
import { viewOfKind } from '../assembly/index.ts';
import { enoughToDraw } from '../specimen/index.ts';
import { shiftCalendar, hopkinsDelay } from '../season/index.ts';
import type { View } from '../view/index.ts';
import { PRACTICE_KINDS } from './kinds.ts';
import type { PracticeGround } from './question.ts';
import { inSeason } from './season.ts';

/**
 * What to show of two trees to teach what tells them apart: of what both can be drawn by, first what can be met with on the day, then what settles the
 * two, then the usual order of twig, leaf, fruit and bark. Undefined where nothing of either is drawn.
 *
 * @example
 * pairView(ground, 'larix-lyallii', 'larix-occidentalis', 15)?.organs; // ['twig', 'bud']
 */
export function pairView(ground: PracticeGround, aId: string, bId: string, day: number): View | undefined {
  const pair = [aId, bId].flatMap((id) => ground.list.find(({ taxon }) => taxon.id === id) ?? []);
  if (pair.length < 2) return undefined;
  const delay = ground.reference && ground.site ? hopkinsDelay(ground.reference, ground.site) : 0;
  const calendarOf = ({ taxon }: ProfiledTaxon) => shiftCalendar(taxon.calendar, delay);
  const kinds = PRACTICE_KINDS.flatMap((kind, place) => {
    const view = viewOfKind(kind, day);
    const drawn = pair.every((each) =>
      enoughToDraw(each, view, ground.vocabulary, calendarOf(each)).every(({ enough }) => enough),
    );
    if (!drawn) return [];
    const met = pair.every((each) => inSeason(each, kind.id, calendarOf(each), day));
    const { verdict } = contrast(ground.list, aId, bId, ground.vocabulary, view, ground);
    return [{ view, met, settled: verdict === 'settled', place }];
  });
  return kinds.sort(
    (x, y) => Number(y.met) - Number(x.met) || Number(y.settled) - Number(x.settled) || x.place - y.place,
  )[0]?.view;
}
