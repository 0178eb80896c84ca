import { LEAF, profiled, viewOf } from '../testing/taxa.ts';
import { BUILT_IN, type ShownOrgan } from '../vocabulary/index.ts';
import type { Medium } from '../view/index.ts';
import { doubtsOf, freezeStation } from './index.ts';

const DECEMBER = 350;
const JULY = 200;
const alder = profiled('Alnus', 'ficta', LEAF);
const elm = profiled('Ulmus', 'ficta', { ...LEAF, 'twig.arrangement': 'opposite' });
const hickory = profiled('Carya', 'ficta', {
  'foliage.kind': 'broad blade',
  'leaf.composition': 'once pinnate, odd',
});
const context = { list: [alder, elm, hickory], vocabulary: BUILT_IN };
const station = (taxonId: string, medium: Medium, organs: ShownOrgan[], day = JULY) => ({
  taxonId,
  medium,
  view: viewOf(organs, day),
});
const doubts = (...args: Parameters<typeof station>) => doubtsOf(station(...args), context).join(' ');

test('leaves of a bare tree are doubted, alone and on a twig', () => {
  expect(doubts('alnus-ficta', 'pressed', ['leaf'], DECEMBER)).toContain('It has no leaves on that date.');
  expect(doubts('alnus-ficta', 'cutting', ['twig', 'bud', 'leaf'], DECEMBER)).toContain(
    'only twig and buds can be shown',
  );
  expect(doubts('alnus-ficta', 'cutting', ['twig', 'bud', 'leaf'])).toBe('');
});

test('a twig that may be bare or in leaf that day is doubted until it is said which', () => {
  const calendar = { leaves: [{ from: 130, to: 300 }], leafFall: [{ from: 270, to: 300 }] };
  const turning = { ...profiled('Alnus', 'ficta', { ...LEAF, 'habit.persistence': 'deciduous' }) };
  const list = [{ ...turning, taxon: { ...turning.taxon, calendar } }, elm];
  const planned = station('alnus-ficta', 'cutting', ['twig', 'bud', 'leaf'], 285);
  const said = (leaves?: 'on' | 'off') =>
    doubtsOf(
      { ...planned, view: { ...planned.view, ...(leaves ? { leaves } : {}) } },
      { ...context, list },
    ).join(' ');
  expect(said()).toContain('some are bare. Say which is shown');
  expect(said('on')).not.toContain('Say which');
});

test('a drawing that would be a guess is doubted; the same leaf on the table is not', () => {
  expect(doubts('carya-ficta', 'drawing', ['leaf'])).toMatch(
    /^Too little is scored to draw its leaves \(leaflets, leaf shape, blade length, .*\)\. Score them/,
  );
  expect(doubts('carya-ficta', 'cutting', ['leaf'])).not.toContain('draw');
});

test('a species that is not on the list is said to be so', () => {
  expect(doubts('quercus-ficta', 'cutting', ['leaf'])).toBe('This species is not on the course’s list.');
});

test('only drawing stations are drawn: what lies on the table is never replaced by a drawing of another', () => {
  const marking = {
    policy: 'common' as const,
    points: { name: 1, genus: 1, epithet: 1, family: 1 },
    deduction: 0,
  };
  const frozen = (medium: Medium) =>
    freezeStation(station('alnus-ficta', medium, ['twig', 'leaf']), 7, {
      ...context,
      marking,
      revision: 1,
      units: 'metric',
    });
  expect(frozen('drawing').drawing).toContain('<svg');
  for (const medium of ['cutting', 'livingTree', 'barkPiece', 'fruit', 'pressed', 'photo'] as const)
    expect(frozen(medium)).toMatchObject({ drawing: null, traits: null });
});

test('a common name that two trees of the list bear is a doubt where the common name is asked for', () => {
  const named = (made: typeof alder, ...commonNames: string[]) => ({
    ...made,
    taxon: { ...made.taxon, commonNames },
  });
  const list = [named(alder, 'made-up birch', 'ghostwood'), named(elm, 'other birch', 'ghostwood')];
  const planned = station('alnus-ficta', 'cutting', ['leaf', 'twig']);
  const with_ = (policy: 'common' | 'genus') => doubtsOf(planned, { ...context, list, policy });
  expect(with_('common')).toEqual(['“Ghostwood” is other birch as well: whoever writes it names either.']);
  expect(with_('genus')).toEqual([]);
  expect(
    doubtsOf({ ...planned, question: { kind: 'genus' } }, { ...context, list, policy: 'common' }),
  ).toEqual([]);
});
