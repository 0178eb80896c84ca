import { plural, t } from '@lingui/core/macro';
import type { KeptTree, WholeGrounds } from '@hurrow/contract/grounds';
import type { Collecting } from '@hurrow/contract/outings';
import type { Waiting } from './fieldBox.ts';

/** Grounds as they will be once what waits on this phone has been sent. */
export function withNoted(whole: WholeGrounds, waiting: readonly Waiting[], by: string): WholeGrounds {
  return waiting.reduce((so, { noted }): WholeGrounds => {
    if (noted.what === 'observation' && noted.groundsId === whole.id) {
      const { id, body } = noted;
      return {
        ...so,
        observations: [{ ...body, id, by }, ...so.observations.filter((each) => each.id !== id)],
      };
    }
    if (noted.what === 'measurement' && noted.groundsId === whole.id) {
      const { id, body } = noted;
      if (so.measurements.some((each) => each.id === id)) return so;
      const { toProfile: _toProfile, ...kept } = body;
      return {
        ...so,
        measurements: [{ ...kept, id, by }, ...so.measurements],
        trees: so.trees.map((tree) =>
          tree.id === body.treeId ? measuredTree(tree, kept, so.measurements) : tree,
        ),
      };
    }
    return so;
  }, whole);
}

type Kept = WholeGrounds['measurements'][number];
function measuredTree(
  tree: KeptTree,
  { kind, value, parts, day }: Omit<Kept, 'id' | 'by'>,
  before: readonly Kept[],
): KeptTree {
  if (before.some((each) => each.treeId === tree.id && each.kind === kind && each.day > day)) return tree;
  if (kind === 'girth') return { ...tree, girths: parts.length > 0 ? parts : [value] };
  return kind === 'height' || kind === 'spread' ? { ...tree, [kind]: value } : tree;
}

/** A collecting list as it will be once what waits has been sent. */
export function withItems(list: Collecting, waiting: readonly Waiting[]): Collecting {
  return waiting.reduce((so, { noted }): Collecting => {
    if ((noted.what !== 'item' && noted.what !== 'noItem') || noted.listId !== list.id) return so;
    const held = so.items.find(({ id }) => id === noted.id);
    const others = so.items.filter(({ id }) => id !== noted.id);
    return {
      ...so,
      items:
        noted.what === 'noItem'
          ? others
          : [...others, { ...noted.body, id: noted.id, trace: held?.trace ?? [] }],
    };
  }, list);
}

/** “3 things noted wait for a signal.” */
export function waitingInWords(waiting: number, offline: boolean, signedOut = false): string {
  if (waiting === 0)
    return offline ? t`No signal; everything noted has arrived.` : t`Everything noted has arrived.`;
  const things = plural(waiting, { one: 'One thing noted waits', other: '# things noted wait' });
  if (signedOut)
    return t`${things} on this phone, which is signed out: sign in at the desk, and they are sent.`;
  return offline ? t`${things} on this phone for a signal.` : t`${things} to be sent.`;
}
