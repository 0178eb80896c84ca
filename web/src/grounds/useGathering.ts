import { t } from '@lingui/core/macro';
import type { Collecting, CollectingBody, ItemBody } from '@hurrow/contract/outings';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { collectingList } from '@hurrow/core/grounds';
import { call, messageOf } from '../app/api.ts';
import { useLibrary } from '../app/data.ts';
import { newId } from '../app/newId.ts';
import { useSaving } from '../app/useSaving.ts';
import { sessionQuery } from '../app/session.ts';
import { asAWalk, bodyOf, newItem, type GatherLine } from './gathering.ts';
import { nowOn } from './days.ts';
import { collectingKey, collectingQuery, groundsQuery } from './groundsData.ts';
import { withItems, withNoted } from './pending.ts';
import { useField } from './useField.ts';
import { usualStart } from './walking.ts';

/** A collecting list with its lines as they are walked to, and what can be done with them, with or without a signal. */
export function useGathering(courseId: string, listId: string) {
  const field = useField();
  const today = useQuery(sessionQuery).data?.today ?? '';
  const { arrived, waiting, who } = field;
  const lists = useQuery(collectingQuery(courseId));
  const { library, every } = useLibrary();
  const held = lists.data?.lists.find(({ id }) => id === listId);
  const ground = useQuery({ ...groundsQuery(held?.groundsId ?? ''), enabled: held !== undefined });
  const noted = useMemo(() => [...arrived, ...waiting], [arrived, waiting]);
  const list = useMemo(() => held && withItems(held, noted), [held, noted]);
  const whole = useMemo(() => ground.data && withNoted(ground.data, noted, who), [ground.data, noted, who]);
  const lines = useMemo(() => {
    // Who cuts a piece is written on its label: nothing is cut before that is known.
    if (!list || !whole || !library || !who) return undefined;
    const { trees, observations, features } = whole;
    const known = list.needs.filter(({ taxonId }) => every.some(({ taxon }) => taxon.id === taxonId));
    const found = collectingList({
      needs: known,
      trees,
      list: every,
      observations,
      day: list.day,
      reference: library.reference,
      site: whole,
      pestHosts: list.pestHosts,
    });
    return asAWalk(found, { list, trees, features, start: usualStart(whole) });
  }, [list, whole, library, every, who]);
  const { save, saving, problem: refused } = useSaving();
  const change = (part: Partial<CollectingBody>, done?: () => void) => {
    if (!held) return;
    const { id: _id, items: _items, version, ...body } = held;
    const params = { courseId, listId };
    void save(
      () =>
        call('PUT /api/courses/{courseId}/collecting/{listId}', {
          params,
          body: { ...body, ...part, baseVersion: version },
        }),
      { stale: [collectingKey(courseId)], ...(done ? { done } : {}) },
    );
  };
  const write = (id: string, body: ItemBody) => field.note({ what: 'item', courseId, listId, id, body });
  const missing =
    lists.data && !held ? t`There is no such list any more. It may have been given up.` : undefined;
  const failed =
    !held && lists.error
      ? messageOf(lists.error)
      : !whole && ground.error
        ? messageOf(ground.error)
        : undefined;
  return {
    list,
    whole,
    lines,
    field,
    problem: missing ?? failed,
    /** The list is changed by a call of its own, for which there has to be a signal. */
    changeList: change,
    saving,
    refused,
    choose: (needId: string, treeId: string) => change({ chosen: { ...held?.chosen, [needId]: treeId } }),
    takeOff: (needId: string) => change({ needs: held?.needs.filter(({ id }) => id !== needId) ?? [] }),
    /** A piece was cut. */
    cut: (line: GatherLine) => write(newId(), newItem(line, who, nowOn(today, new Date()))),
    changeItem: (item: Collecting['items'][number], part: Partial<ItemBody>) =>
      write(item.id, { ...bodyOf(item), ...part }),
    takeBack: (id: string) => field.note({ what: 'noItem', courseId, listId, id }),
  };
}

export type Gathering = ReturnType<typeof useGathering>;
