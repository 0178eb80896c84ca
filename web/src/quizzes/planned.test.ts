import {
  askingWentBy,
  copyOf,
  dayAsked,
  freeTitle,
  idsOf,
  planToBegin,
  stationOf,
  viewFor,
  withLeaves,
} from './planned.ts';

test('a new station looks like the one before it, and shows an individual of its own', () => {
  const first = stationOf('abies-grandis', 288);
  expect(first).toMatchObject({ taxonId: 'abies-grandis', medium: 'cutting', view: viewFor('cutting', 288) });
  const second = stationOf('acer-glabrum', 288, {
    ...first,
    medium: 'barkPiece',
    view: viewFor('barkPiece', 288),
    asks: ['bark.color'],
  });
  expect(second).toMatchObject({ medium: 'barkPiece', view: { organs: ['bark'] } });
  expect(second.asks).toBeUndefined();
  const seeds = Array.from({ length: 200 }, () => stationOf('x', 1).seed);
  expect(new Set(seeds).size).toBeGreaterThan(195);
  expect(seeds.every((seed) => Number.isInteger(seed) && seed >= 1 && seed < 2 ** 31)).toBe(true);
});
test('a title that another quiz has is not offered', () => {
  expect(freeTitle([])).toBe('Quiz 1');
  expect(freeTitle([{ title: 'Quiz 2' }])).toBe('Quiz 3');
  expect(freeTitle([{ title: 'Quiz 3' }, { title: 'Self-check' }])).toBe('Quiz 4');
});

test('a new plan is for today, with a station for each tree that was gathered', () => {
  const plan = planToBegin(undefined, [{ title: 'Quiz 1' }], '2026-10-15', 'abies-grandis,,acer-glabrum');
  expect(plan).toMatchObject({ title: 'Quiz 2', heldOn: '2026-10-15' });
  expect(plan.stations.map(({ taxonId, view }) => [taxonId, view.day])).toEqual([
    ['abies-grandis', 288],
    ['acer-glabrum', 288],
  ]);
  expect(planToBegin(undefined, [], '2026-10-15', '').stations).toEqual([]);
});
test('a saved plan begins as it is saved, and carries nothing else of its stations', () => {
  const station = { ...stationOf('abies-grandis', 288), asks: [], id: 's1', drawn: true, position: 1 };
  const plan = planToBegin(
    { title: 'Twigs', heldOn: '2026-10-20', stations: [station] } as unknown as Parameters<
      typeof planToBegin
    >[0],
    [],
    '2026-10-15',
    'acer-glabrum',
  );
  expect(plan).toMatchObject({ title: 'Twigs', heldOn: '2026-10-20' });
  expect(Object.keys(plan.stations[0]!).sort()).toEqual([
    'asks',
    'choose',
    'medium',
    'prompt',
    'question',
    'seed',
    'taxonId',
    'view',
    'wentBy',
  ]);
});

test('every third station asks what students went by, unless all are to or none', () => {
  const asked = (stations: readonly { wentBy?: boolean }[]) => stations.map(({ wentBy }) => wentBy);
  const four = ['a', 'b', 'c', 'd'].join();
  const { stations } = planToBegin(undefined, [], '2026-10-15', four);
  expect(asked(stations)).toEqual([false, true, false, false]);
  expect(asked(askingWentBy(stations, false))).toEqual([false, false, false, false]);
  expect(asked(planToBegin(undefined, [], '2026-10-15', four, true).stations)).toEqual([
    true,
    true,
    true,
    true,
  ]);
});

test('a station shows its specimen in leaf, bare, or as the date has it', () => {
  const view = viewFor('cutting', 250);
  expect(withLeaves(view, 'off')).toEqual({ ...view, leaves: 'off' });
  expect(withLeaves(withLeaves(view, 'off'), undefined)).toEqual(view);
});

test('a copy of a quiz has its stations with specimens of their own, today, under a free title', () => {
  const station = { ...stationOf('abies-grandis', 288), asks: [], wentBy: true, prompt: null, seed: 5 };
  const copy = copyOf({ stations: [station] }, [{ title: 'Quiz 1' }], '2026-10-15');
  expect(copy).toMatchObject({ title: 'Quiz 2', heldOn: '2026-10-15' });
  expect(copy.stations[0]).toMatchObject({ taxonId: 'abies-grandis', wentBy: true });
  expect(copy.stations[0]!.seed).not.toBe(5);
});

test('a station keeps its name wherever it is moved, and two of one individual have two', () => {
  expect(idsOf([{ seed: 4 }, { seed: 7 }, { seed: 4 }])).toEqual(['4-0', '7-0', '4-1']);
  expect(idsOf([{ seed: 7 }, { seed: 4 }])).toEqual(['7-0', '4-0']);
});

test('what was gathered for a list is shown as what it is', () => {
  const { stations, heldOn } = planToBegin(undefined, [], '2026-10-15', 'abies-grandis fruit,acer-glabrum');
  expect(heldOn).toBe('2026-10-15');
  expect(stations.map(({ medium }) => medium)).toEqual(['fruit', 'cutting']);
  expect(stations[0]!.view.organs).toEqual(['fruit']);
});

test('an address asks for a day of the calendar, or it is today', () => {
  const today = '2026-10-15';
  expect(dayAsked('2026-10-20', today)).toBe('2026-10-20');
  for (const stray of [null, '', 'soon', '2026-02-31', '2026-13-01', '20261020'])
    expect(dayAsked(stray, today)).toBe(today);
});
