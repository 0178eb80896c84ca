import type { WholeGrounds } from '@hurrow/contract/grounds';
import type { Collecting, ItemBody } from '@hurrow/contract/outings';
import { newTree, NO_FEATURES } from '@hurrow/core/grounds';
import type { Noted, Waiting } from './fieldBox.ts';
import { waitingInWords, withItems, withNoted } from './pending.ts';

const whole: WholeGrounds = {
  id: 'g',
  name: 'Loop',
  latitude: 47.6,
  longitude: -116.4,
  elevation: 780,
  features: NO_FEATURES,
  version: 1,
  trees: [{ ...newTree('T-1', 47.6, -116.4), id: 't', version: 1, height: 9 }],
  observations: [],
  measurements: [],
  pictures: [],
};
const waits = (...noted: Noted[]): Waiting[] => noted.map((each) => ({ noted: each, version: 1 }));
const measurement = (
  id: string,
  day: string,
  value: number,
  kind: 'height' | 'girth' = 'height',
  parts: number[] = [],
): Noted => ({
  what: 'measurement',
  groundsId: 'g',
  id,
  body: { treeId: 't', day, kind, value, error: 0.3, parts, working: [], toProfile: false },
});

test('what waits is seen as if it had arrived: the newest measurement stands with the tree', () => {
  const so = withNoted(
    whole,
    waits(
      measurement('m1', '2026-10-15', 12),
      measurement('m2', '2026-01-01', 8),
      measurement('m3', '2026-10-15', 1, 'girth', [0.6, 0.8]),
      {
        what: 'observation',
        groundsId: 'g',
        id: 'o',
        body: { treeId: 't', day: '2026-10-15', part: 'leaves', there: true, note: '' },
      },
    ),
    'Ines',
  );
  expect(so.trees[0]).toMatchObject({ height: 12, girths: [0.6, 0.8] });
  expect(so.measurements.map(({ id, by }) => [id, by])).toEqual([
    ['m3', 'Ines'],
    ['m2', 'Ines'],
    ['m1', 'Ines'],
  ]);
  expect(so.observations).toMatchObject([{ id: 'o', by: 'Ines' }]);
});

test('what has arrived already, or belongs to other grounds, changes nothing', () => {
  const once = withNoted(whole, waits(measurement('m1', '2026-10-15', 12)), 'Ines');
  expect(withNoted(once, waits(measurement('m1', '2026-10-15', 99)), 'Ines')).toEqual(once);
  const other = { ...measurement('m9', '2026-10-15', 12), groundsId: 'elsewhere' } as Noted;
  expect(withNoted(whole, waits(other), 'Ines')).toEqual(whole);
});

test('pieces are added, changed and taken back; their trace is kept', () => {
  const body: ItemBody = {
    needId: 'n',
    treeId: 't',
    cutAt: '2026-10-15T16:00:00Z',
    cutter: 'Ines',
    stored: '',
    goodUntil: '2026-10-18',
    spares: 1,
    confirmedBy: '',
    state: 'kept',
    note: '',
  };
  const list: Collecting = {
    id: 'l',
    version: 1,
    groundsId: 'g',
    name: 'Quiz 4',
    day: '2026-10-16',
    quizId: null,
    needs: [],
    chosen: {},
    pestHosts: false,
    items: [{ ...body, id: 'i', trace: [{ at: '2026-10-15T16:00:00Z', by: 'Ines', what: 'cut' }] }],
  };
  const item = (id: string, more: Partial<ItemBody> = {}): Noted => ({
    what: 'item',
    courseId: 'c',
    listId: 'l',
    id,
    body: { ...body, ...more },
  });
  const so = withItems(list, waits(item('i', { spares: 3 }), item('j')));
  expect(so.items.map(({ id, spares, trace }) => [id, spares, trace.length])).toEqual([
    ['i', 3, 1],
    ['j', 1, 0],
  ]);
  expect(withItems(list, waits({ what: 'noItem', courseId: 'c', listId: 'l', id: 'i' })).items).toEqual([]);
});

test('how it stands is said', () => {
  expect(waitingInWords(0, false)).toMatch(/arrived/);
  expect(waitingInWords(1, true)).toBe('One thing noted waits on this phone for a signal.');
  expect(waitingInWords(2, false, true)).toMatch(/signed out: sign in/);
  expect(waitingInWords(3, false)).toBe('3 things noted wait to be sent.');
});
