import { profiled, viewOf } from '../testing/taxa.ts';
import { BUILT_IN } from '../vocabulary/index.ts';
import { askable, seeingQuestion, statesToSee } from './index.ts';

const SUMMER = 190;
const tree = profiled('Ficta', 'visa', {
  'foliage.kind': 'broad',
  'leaf.shape': 'ovate; sometimes elliptic',
  'leaf.length': '4–8 cm',
  'twig.zigzag': 'yes',
  'bark.surface': 'only smooth',
});
const leafy = viewOf(['leaf', 'twig'], SUMMER);
const individual = {
  seed: 1,
  values: { 'leaf.shape': 'elliptic', 'twig.zigzag': true },
  leafy: true,
  buds: true,
  autumn: false,
  flowers: false,
  fruit: false,
};

test('only what has states, a score, and is to be seen can be asked', () => {
  const can = askable(tree, BUILT_IN, leafy);
  expect(can).toEqual(expect.arrayContaining(['leaf.shape', 'twig.zigzag']));
  for (const id of ['leaf.length', 'leaf.apex', 'bark.surface', 'foliage.present'])
    expect(can).not.toContain(id);
  expect(askable(tree, BUILT_IN, viewOf(['bark'], SUMMER))).toEqual(['bark.surface']);
});

test('of a living tree every state of its species is right, of a drawn individual its own', () => {
  const of = (id: string, traits: typeof individual | null) =>
    seeingQuestion(id, tree, BUILT_IN, leafy, traits)?.right;
  expect(of('leaf.shape', null)!.sort()).toEqual(['elliptic', 'ovate']);
  expect(of('leaf.shape', individual)).toEqual(['elliptic']);
  expect(of('twig.zigzag', null)).toEqual(['yes']);
  expect(of('twig.zigzag', individual)).toEqual(['yes']);
  expect(of('leaf.length', individual)).toBeUndefined();
});

test('where states occur together, only a score that names them all can be asked for', () => {
  const bark = viewOf(['bark'], SUMMER);
  const open = profiled('Ficta', 'aperta', { 'bark.surface': 'smooth', 'bark.color': 'only grey' });
  expect(askable(open, BUILT_IN, bark)).toEqual(['bark.color']);
});

test('what is right goes by the scores of the age that is shown', () => {
  const aging = profiled('Ficta', 'senex', { 'bark.ridges': 'parallel' });
  const young = { ...aging.scores[0]!, qualifiers: { plantAge: 'young' as const } };
  const old = {
    ...young,
    qualifiers: { plantAge: 'mature' as const },
    value: { kind: 'states' as const, states: [{ state: 'plates', frequency: 'always' as const }] },
  };
  const of = (plantAge: string) =>
    seeingQuestion(
      'bark.ridges',
      { ...aging, scores: [young, old] },
      BUILT_IN,
      { ...viewOf(['bark'], SUMMER), qualifiers: { plantAge } },
      null,
    )?.right;
  expect(of('young')).toEqual(['parallel']);
  expect(of('mature')).toEqual(['plates']);
});

test('a flag is answered by yes or no, a measure not at all', () => {
  expect(statesToSee(BUILT_IN.get('twig.zigzag')!)).toEqual(['yes', 'no']);
  expect(statesToSee(BUILT_IN.get('leaf.length')!)).toEqual([]);
});
