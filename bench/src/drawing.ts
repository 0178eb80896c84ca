import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { readLibrary } from '@hurrow/core/library';
import { fairnessOf, Reader } from '@hurrow/core/station';
import { randomFrom } from '@hurrow/core/random';
import { characterStrip, drawingToSvg, drawPlate, drawSpecimen, sampleSpecimen } from '@hurrow/core/specimen';
import type { ShownOrgan } from '@hurrow/core/vocabulary';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import { MEDIUM_VIEWS, type View } from '@hurrow/core/view';
import { demoLibrary } from '../../demo/src/library.ts';
import { milliseconds, median, type Row } from './row.ts';

const view: View = { ...MEDIUM_VIEWS.cutting, day: 253, qualifiers: { plantAge: 'mature' } };
const LEAF: ShownOrgan[] = ['leaf'];
const PLATE: ShownOrgan[] = ['twig', 'bud', 'leaf', 'fruit', 'bark'];

/** Drawings of the demo taxa, medians over 20 seeds each; strips; and how often the drawn individual is named. */
export async function drawing(): Promise<Row[]> {
  const profiles = readLibrary(demoLibrary()).profiles;
  const simple = profiles.filter(({ scores }) =>
    scores.some(
      ({ characterId, value }) =>
        characterId === 'leaf.composition' && value.kind === 'states' && value.states[0]?.state === 'simple',
    ),
  );
  const times = (
    taxa: typeof profiles,
    organs: ShownOrgan[],
    draw: (traits: ReturnType<typeof sampleSpecimen>) => void,
  ) => {
    const taken: number[] = [];
    for (let seed = 0; seed < 25; seed += 1)
      for (const profiled of taxa) {
        const traits = sampleSpecimen(profiled, BUILT_IN, { ...view, organs }, seed);
        const start = performance.now();
        draw(traits);
        if (seed >= 5) taken.push(performance.now() - start);
      }
    return median(taken);
  };
  const strips: number[] = [];
  for (let turn = 0; turn < 6; turn += 1)
    for (const profiled of profiles) {
      const start = performance.now();
      characterStrip(profiled, BUILT_IN);
      strips.push(performance.now() - start);
    }
  return [
    {
      what: 'drawing a leaf, both faces, from traits to outlines',
      value: milliseconds(times(simple, LEAF, (traits) => drawSpecimen(traits, LEAF))),
      wanted: '< 2 ms',
    },
    {
      what: 'drawing a plate (twig, buds, leaves, fruit, bark), from traits to paths of 800 × 500',
      value: milliseconds(
        times(profiles, PLATE, (traits) => drawPlate(traits, PLATE, { width: 800, height: 500 })),
      ),
      wanted: '< 15 ms',
    },
    {
      what: 'the same to SVG markup',
      value: milliseconds(
        times(profiles, PLATE, (traits) =>
          drawingToSvg(drawPlate(traits, PLATE, { width: 800, height: 500 })!, ''),
        ),
      ),
    },
    {
      what: 'one character strip, median; 200 of them are drawn in slices of 8 ms',
      value: milliseconds(median(strips)),
    },
    ...blindCheck(profiles, ['twig', 'bud', 'leaf'], 'a cutting'),
    ...blindCheck(profiles, ['leaf'], 'a leaf alone'),
    ...blindCheck(profiles, ['bark'], 'bark alone'),
  ];
}

/** How often the careful reader names the drawn individual among the 42, beside the fairness of the scores. */
function blindCheck(profiles: readonly ProfiledTaxon[], organs: ShownOrgan[], shown: string): Row[] {
  const seen: View = { ...view, organs };
  const reader = new Reader(profiles, BUILT_IN, seen);
  const random = randomFrom(2026);
  let [fair, blind] = [0, 0];
  profiles.forEach((profiled, t) => {
    fair += fairnessOf(reader, t, 4000).right / profiles.length;
    for (let i = 1; i <= 200; i += 1)
      blind +=
        reader.judge(t, reader.readIndividual(sampleSpecimen(profiled, BUILT_IN, seen, i), random)).right /
        (200 * profiles.length);
  });
  return [
    {
      what: `blind check, ${shown}: individuals named, against the fairness of the scores`,
      value: `${(blind * 100).toFixed(1)} / ${(fair * 100).toFixed(1)} %`,
      wanted: 'within 3 %',
    },
  ];
}
