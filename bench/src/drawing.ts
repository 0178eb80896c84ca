import { profilesOf } from '@hurrow/core/library';
import { drawingToSvg, drawSpecimen, layOut, sampleSpecimen } from '@hurrow/core/specimen';
import type { ShownOrgan } from '@hurrow/core/vocabulary';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import { MEDIUM_VIEWS, type View } from '@hurrow/core/view';
import { demoLibrary } from '../../demo/src/library.ts';
import { milliseconds, median, type Row } from './row.ts';

const view: View = { ...MEDIUM_VIEWS.cutting, day: 253, qualifiers: { plantAge: 'mature' } };

/** One drawing from scores to SVG: sampling, geometry, layout, markup. Median over all demo taxa and 20 seeds. */
export async function drawing(): Promise<Row[]> {
  const profiles = profilesOf(demoLibrary(), BUILT_IN);
  const once = (organs: ShownOrgan[], kinds: typeof profiles) => {
    const times: number[] = [];
    for (let seed = 0; seed < 25; seed += 1)
      for (const profiled of kinds) {
        const start = performance.now();
        const scene = drawSpecimen(sampleSpecimen(profiled, BUILT_IN, view, seed), organs);
        if (scene) drawingToSvg(layOut(scene, { width: 360, height: 300 }), 'drawing');
        if (seed >= 5) times.push(performance.now() - start);
      }
    return median(times);
  };
  const broad = profiles.filter(({ scores }) => scores.some((score) => score.characterId === 'leaf.shape'));
  return [
    {
      what: 'one drawing, a leaf seen from both faces',
      value: milliseconds(once(['leaf'], broad)),
      wanted: '< 2 ms a leaf (issue 4)',
    },
    {
      what: 'one drawing, a twig or shoot with insets, all demo taxa',
      value: milliseconds(once(['twig', 'bud', 'leaf'], profiles)),
      wanted: '< 15 ms (issue 4)',
    },
  ];
}
