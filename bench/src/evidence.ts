import { allPairs, contrast, readingsOf } from '@hurrow/core/evidence';
import { readLibrary } from '@hurrow/core/library';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import { MEDIUM_VIEWS, type View } from '@hurrow/core/view';
import { demoLibrary } from '../../demo/src/library.ts';
import { milliseconds, timed, type Row } from './row.ts';
import { syntheticLibrary } from './synthetic.ts';

const view: View = {
  ...MEDIUM_VIEWS.livingTree,
  aids: ['eye', 'touch', 'smell', 'lens', 'binoculars', 'cut'],
  day: 200,
  qualifiers: {},
};

/** Evidence of every pair of a large list, and one contrast of the demo. */
export async function evidence(): Promise<Row[]> {
  const { taxa, vocabulary } = syntheticLibrary(300, 100, 1);
  const all = timed(() => allPairs(readingsOf(taxa, vocabulary, view)), 5, 1);
  const demo = readLibrary(demoLibrary()).profiles;
  const cutting: View = { ...MEDIUM_VIEWS.cutting, day: 253, qualifiers: { plantAge: 'mature' } };
  const pairs = demo.flatMap((a, i) => demo.slice(i + 1).map((b) => [a.taxon.id, b.taxon.id] as const));
  const each =
    timed(() => pairs.forEach(([a, b]) => contrast(demo, a, b, BUILT_IN, cutting)), 3, 1) / pairs.length;
  return [
    {
      what: `evidence, all ${(300 * 299) / 2} pairs of 300 synthetic taxa × 100 characters`,
      value: milliseconds(all),
    },
    {
      what: 'contrast of two demo taxa with its deciding set, mean over all pairs',
      value: milliseconds(each),
      wanted: '< 20 ms',
    },
  ];
}
