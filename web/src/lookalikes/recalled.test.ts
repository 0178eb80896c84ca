import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import { againstAll, againstSet, printedRows, type Said } from './recalled.ts';

const tree = (id: string, name: string, memoryAid?: string): ProfiledTaxon => ({
  taxon: {
    id,
    rank: 'species',
    genus: 'Pinus',
    epithet: id,
    family: 'Pinaceae',
    commonNames: [name],
    synonyms: [],
    calendar: {},
    cautions: [],
    ...(memoryAid ? { memoryAid } : {}),
  },
  scores: [
    {
      characterId: 'needle.perBundle',
      qualifiers: {},
      value: { kind: 'range', low: 3, high: 3 },
      from: ['s'],
      statements: [],
      disagree: false,
    },
  ],
});
const ids = ['three', 'a', 'b', 'c', 'd', 'e'];
const said: Said = {
  profiles: ids.map((id) => tree(id, `${id} pine`, id === 'three' ? 'Three needles.' : undefined)),
  vocabulary: BUILT_IN,
  course: undefined,
  setting: { view: { organs: ['leaf'], day: 200, nearness: 'hand', aids: ['eye'], qualifiers: {} } },
};
const marks = [{ characterId: 'needle.perBundle', from: 3, below: 4 }];
const texts = (remarks: { text: string }[]) => remarks.map(({ text }) => text);

test('the aid stands first, with what the scores bear out of it', () => {
  const recalled = againstSet({ taxonId: 'three', marks, sharedInSet: [], sharedInList: [] }, said);
  expect(recalled.aid).toEqual({
    text: 'Three needles.',
    checked: 'The scores bear out needles per bundle.',
  });
  expect(recalled.marks).toEqual(['needles per bundle: 3']);
  expect(texts(recalled.remarks)).toEqual(['No other tree on the list shows it.']);
  expect(printedRows([recalled])).toEqual([
    { taxonId: 'three', marks: ['Three needles', 'needles per bundle: 3'], notSettled: [] },
  ]);
});

test('an aid of which nothing is scored is to be checked by eye', () => {
  const other = { ...said, profiles: [tree('three', 'three pine', 'My uncle’s tree.')] };
  expect(
    againstSet({ taxonId: 'three', marks, sharedInSet: [], sharedInList: [] }, other).aid!.checked,
  ).toMatch(/by eye/);
});

test('few others that share it are named, many are counted; those of the set speak against it', () => {
  const few = againstSet({ taxonId: 'a', marks, sharedInSet: ['b'], sharedInList: ['c', 'd'] }, said);
  expect(few.remarks).toEqual([
    { text: 'Of the set, not told from b pine in this view.', against: true },
    { text: 'On the whole list also c pine and d pine.', against: false },
  ]);
  expect(few.open).toEqual(['b']);
  const many = againstSet({ taxonId: 'three', marks, sharedInSet: [], sharedInList: ids.slice(1) }, said);
  expect(texts(many.remarks)).toEqual(['On the whole list also 5 other trees.']);
});

test('without a mark nothing is said of the list', () =>
  expect(againstSet({ taxonId: 'a', marks: [], sharedInSet: [], sharedInList: [] }, said).remarks).toEqual(
    [],
  ));

test('against the whole list: the marks as scored, and what they leave open', () =>
  expect(
    againstAll(
      { taxonId: 'three', characters: ['needle.perBundle'], cost: 1, notSettled: ['a'], proved: false },
      said,
    ),
  ).toMatchObject({
    marks: ['needles per bundle: 3'],
    remarks: [
      { text: 'Not told from a pine in this view.', against: true },
      { text: 'These suffice; whether fewer would is not proved.', against: false },
    ],
  }));
