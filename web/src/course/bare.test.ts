import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { dayOfYear } from '@hurrow/core/season';
import { bareInWords, bareOn } from './bare.ts';

const tree = (name: string, persistence: string, leaves?: { from: number; to: number }) =>
  ({
    taxon: {
      id: name,
      genus: 'Ficta',
      epithet: name,
      commonNames: [name],
      calendar: leaves ? { leaves: [leaves] } : {},
    },
    scores: [
      {
        characterId: 'habit.persistence',
        qualifiers: {},
        value: { kind: 'states', states: [{ state: persistence, frequency: 'always' }] },
      },
    ],
  }) as unknown as ProfiledTaxon;
const leafy = { from: dayOfYear('2026-05-10'), to: dayOfYear('2026-10-15') };
const [aspen, fir] = [tree('aspen', 'deciduous', leafy), tree('fir', 'evergreen')];
const low = { latitude: 47, longitude: -116, elevation: 700 };
const high = { ...low, elevation: 2200 };
const bare = (date: string, site = low) =>
  bareOn([aspen!, fir!], dayOfYear(date), low, site).map(({ taxon }) => taxon.id);

test('what sheds is bare in winter, what is evergreen never', () => {
  expect(bare('2026-07-01')).toEqual([]);
  expect(bare('2026-12-01')).toEqual(['aspen']);
});
test('up the mountain leaves come later and fall sooner', () => {
  expect(bare('2026-05-20', low)).toEqual([]);
  expect(bare('2026-05-20', high)).toEqual(['aspen']);
  expect(bare('2026-10-05', high)).toEqual(['aspen']);
});
test('a few are named, of many three and how many more', () => {
  const some = (n: number) => Array.from({ length: n }, (_, i) => tree(`tree${i + 1}`, 'deciduous', leafy));
  expect(bareInWords(some(1))).toBe('tree1 has');
  expect(bareInWords(some(2))).toBe('tree1 and tree2 have');
  expect(bareInWords(some(9))).toBe('tree1, tree2, tree3 and 6 more of the list have');
});
