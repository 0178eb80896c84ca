import { profiled, viewOf } from '../testing/taxa.ts';
import { BUILT_IN } from '../vocabulary/index.ts';
import { couldShow, readingsOf, type ProfiledTaxon } from './index.ts';

test('in a view of mature trees a character of the young ones is no gap, and none that they could show', () => {
  const juniper = profiled('Juniperus', 'scopulorum', { 'foliage.kind': 'scales' });
  const young: ProfiledTaxon = {
    ...juniper,
    scores: [
      { ...juniper.scores[0]!, qualifiers: { plantAge: 'mature' } },
      {
        ...profiled('Juniperus', 'scopulorum', { 'foliage.kind': 'awls' }).scores[0]!,
        qualifiers: { plantAge: 'young' },
      },
    ],
  };
  const lie = BUILT_IN.get('needle.lie')!;
  const of = (plantAge: 'mature' | 'young') => ({ ...viewOf(['leaf', 'twig']), qualifiers: { plantAge } });
  expect(couldShow(lie, young, of('mature'))).toBe(false);
  expect(couldShow(lie, young, of('young'))).toBe(true);
  expect(couldShow(lie, young)).toBe(true);
  expect(readingsOf([young], BUILT_IN, of('mature')).gaps[0]).not.toContain('needle.lie');
});

test('what applies to few specimens is not read of a taxon, and of what applies to some the share is known', () => {
  const tree = (composition: string, lobing: string) =>
    profiled('Acer', 'glabrum', {
      'foliage.kind': 'broad blade',
      'leaf.composition': composition,
      'leaf.leaflets': '3',
      'leaf.lobing': lobing,
      'leaf.lobeTips': 'pointed',
    });
  const read = (composition: string, lobing: string) =>
    readingsOf([tree(composition, lobing)], BUILT_IN, viewOf(['leaf'])).channels;
  const sometimes = read(
    'usually simple; sometimes three leaflets',
    'usually palmately lobed; sometimes unlobed',
  );
  expect(sometimes.has('leaf.leaflets')).toBe(false);
  expect(sometimes.get('leaf.lobeTips')![0]!.applying![0]).toBeCloseTo(8 / 11);
  const always = read('three leaflets', 'palmately lobed');
  expect(always.has('leaf.leaflets')).toBe(true);
  expect(always.get('leaf.lobeTips')![0]!).not.toHaveProperty('applying');
});
