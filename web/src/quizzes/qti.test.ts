import type { Plan } from './planned.ts';
import type { NamedTaxon } from '@hurrow/core/names';
import type { FrozenQuestion } from '@hurrow/core/station';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import { askedAsQti, chosenAsQti, nameFields, planOfQti } from './qti.ts';

const taxon = (genus: string, epithet: string, common: string): NamedTaxon => ({
  id: `${genus}-${epithet}`.toLowerCase(),
  rank: 'species',
  genus,
  epithet,
  family: 'Sapindaceae',
  olderFamilies: ['Aceraceae'],
  commonNames: [common],
  synonyms: ['Acer douglasii'],
});
const maple = taxon('Acer', 'glabrum', 'Rocky Mountain maple');
const marking = {
  policy: 'binomialFamily' as const,
  points: { name: 2, genus: 1, epithet: 1, family: 1 },
  deduction: 0.25,
};
const course = { marking, audience: 'technical' as const };

test('a name is worth what it is worth here: whole, the genus alone, and the family by either name', () => {
  const [name, family] = nameFields(maple, marking);
  expect(name!.accepted).toEqual([
    { text: 'Acer glabrum', points: 2 },
    { text: 'Acer douglasii', points: 2 },
    { text: 'Acer', points: 1 },
  ]);
  expect(family!.accepted.map(({ text }) => text)).toEqual(['Sapindaceae', 'Aceraceae']);
  expect(nameFields(maple, { ...marking, policy: 'genus' })).toEqual([
    { label: 'Genus', accepted: [{ text: 'Acer', points: 1 }] },
  ]);
  const [common] = nameFields(maple, { ...marking, policy: 'common' });
  expect(common!.accepted[0]).toEqual({ text: 'Rocky Mountain maple', points: 2 });
});

test('other questions keep what is right, in the words and units in which they are asked', () => {
  const question: FrozenQuestion = {
    kind: 'state',
    about: 'twig.arrangement',
    asked: { term: 'Arrangement: which is it here?', plain: 'Leaves on the twig: which is it here?' },
    offered: [
      { id: 'opposite', term: 'opposite', plain: 'in pairs' },
      { id: 'alternate', term: 'alternate', plain: 'by turns' },
    ],
    right: ['opposite'],
  };
  expect(askedAsQti(question, maple, { ...course, audience: 'plain' })).toEqual({
    asks: 'choose',
    prompt: 'Leaves on the twig: which is it here?',
    choices: [
      { id: 'opposite', text: 'in pairs' },
      { id: 'alternate', text: 'by turns' },
    ],
    right: ['opposite'],
    points: 3,
  });
  const bare = { ...question, offered: [], right: [] };
  const number = { character: BUILT_IN.get('leaf.length')!, units: 'metric' as const, from: 0.03, to: 0.1 };
  expect(askedAsQti({ ...bare, kind: 'number', number }, maple, course)).toMatchObject({
    asks: 'number',
    from: expect.closeTo(3),
    to: expect.closeTo(10),
  });
  const kind = askedAsQti({ ...bare, kind: 'genus' }, maple, {
    ...course,
    marking: { ...marking, policy: 'common' },
  });
  expect(kind).toMatchObject({ fields: [{ accepted: [{ text: 'Acer' }, { text: 'maple', points: 2 }] }] });
});

test('ours comes back as it was, without trees that the list lacks, under a title that is free', () => {
  const stations = [{ taxonId: 'acer-glabrum' }, { taxonId: 'abies-alba' }] as Plan['stations'];
  const plan = { title: 'Quiz 1', heldOn: '2026-10-01', stations };
  const { plan: made, left } = planOfQti({ plan }, [maple], [{ title: 'Quiz 1' }], '2026-11-01');
  expect(made).toEqual({ title: 'Quiz 2', heldOn: '2026-10-01', stations: [stations[0]] });
  expect(left).toEqual(['1 station of trees that are not on this list']);
  expect(planOfQti({ plan }, [maple], [], '2026-11-01').plan.title).toBe('Quiz 1');
  expect(planOfQti({ plan: 'nonsense' }, [maple], [], '2026-11-01').plan.stations).toEqual([]);
});

test('of another’s a station is made of each tree of the list, and what is none is told', () => {
  const answers = [
    { title: 'Item 1', right: 'acer glabrum' },
    { title: 'Item 2', right: 'Paris' },
  ];
  const { plan, left } = planOfQti({ answers }, [maple], [], '2026-10-15');
  expect(plan).toMatchObject({
    heldOn: '2026-10-15',
    stations: [{ taxonId: 'acer-glabrum', medium: 'cutting' }],
  });
  expect(left).toEqual(['“Item 2”, whose answer “Paris” is no tree of this list']);
});

test('of names to choose the tree’s own alone is right, whatever else reads as it', () => {
  const names = ['Acer glabrum', 'Acer ignotum'].map((name) => ({ name, latin: true, answer: {} }));
  expect(chosenAsQti(names, maple, marking)).toMatchObject({
    choices: [{ text: 'Acer glabrum' }, { text: 'Acer ignotum' }],
    right: ['Acer glabrum'],
    points: 3,
  });
});
