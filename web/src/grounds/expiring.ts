import type { Collecting, CollectingBody, Item } from '@hurrow/contract/outings';
import { dayAfter } from '@hurrow/core/season';

/** A piece that will be of no use, and when. */
export interface Expiring {
  list: Pick<CollectingBody, 'name' | 'day'> & { id: string };
  item: Item;
  /** What it is a piece of. */
  taxonId: string | undefined;
  /** Over already, or before the day for which it was cut. */
  over: boolean;
}

/** Pieces that are over, or will be before the day for which they were cut or by tomorrow. */
export const expiring = (lists: readonly Collecting[], today: string): Expiring[] =>
  lists.flatMap(({ items, needs, id, name, day }) =>
    day < today
      ? []
      : items
          .filter(
            ({ state, goodUntil }) => state === 'kept' && (goodUntil < day || goodUntil < dayAfter(today, 1)),
          )
          .map((item) => ({
            list: { id, name, day },
            item,
            taxonId: needs.find((need) => need.id === item.needId)?.taxonId,
            over: item.goodUntil < today,
          })),
  );
