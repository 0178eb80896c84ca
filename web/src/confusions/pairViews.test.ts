import type { ConfusionData } from '@hurrow/contract/confusions';
import type { NamedAnswer } from '@hurrow/core/confusion';
import { MEDIUM_VIEWS } from '@hurrow/core/view';
import { viewsOf } from './pairViews.ts';

const view = (medium: 'cutting' | 'barkPiece', day: number) => ({
  ...MEDIUM_VIEWS[medium],
  day,
  qualifiers: {},
});
const station = (id: string, truth: string, of: object, more: object = {}) =>
  ({ id, truth, view: of, voided: false, leftOut: false, ...more }) as ConfusionData['stations'][number];
const given = (stationId: string, truth: string, named: string, times: number) =>
  Array.from(
    { length: times },
    (_, i) => ({ answerId: `${stationId}${named}${i}`, stationId, truth, named }) as NamedAnswer,
  );

const twig = view('cutting', 288);
const bark = view('barkPiece', 288);
const data = {
  stations: [
    station('1', 'fir', twig),
    station('2', 'spruce', twig),
    station('3', 'fir', bark),
    station('4', 'elm', twig),
    station('5', 'fir', bark, { voided: true }),
  ],
} as unknown as ConfusionData;
const answers = [
  ...given('1', 'fir', 'spruce', 2),
  ...given('1', 'fir', 'fir', 1),
  ...given('2', 'spruce', 'fir', 1),
  ...given('3', 'fir', 'spruce', 3),
  ...given('4', 'elm', 'fir', 9),
  ...given('5', 'fir', 'spruce', 9),
];

test('stations of a pair stand by what they show, the view with most answers first', () => {
  const views = viewsOf(data, answers, 'fir', 'spruce');
  expect(views.map(({ stations, given: n, mixed }) => [stations.map(({ id }) => id), n, mixed])).toEqual([
    [['1', '2'], 4, 3],
    [['3'], 3, 3],
  ]);
});
test('which of the two is named first makes no difference, and without answers there is nothing', () => {
  expect(viewsOf(data, answers, 'spruce', 'fir')).toEqual(viewsOf(data, answers, 'fir', 'spruce'));
  expect(viewsOf(undefined, [], 'fir', 'spruce')).toEqual([]);
});
