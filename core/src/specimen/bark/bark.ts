import { randomFrom, seedOf } from '../../random/index.ts';
import { boundsOf, clipLine, clipOutline, type Bounds, type Point } from '../geometry.ts';
import { blend, NATURAL, tinted } from '../palette.ts';
import { anchor, emptyScene, filled, type Role, type Scene, type Shape } from '../scene.ts';
import { TraitReader, type Traits } from '../traits.ts';
import { BARK_SIZE, type Mark } from './mark.ts';
import { fluted, furrows, plates, scales, strips } from './relief.ts';
import { blisters, fineLines, lenticels, mottling, paper, patches, warts } from './surface.ts';

/**
 * A field of bark, the trunk's long way upright: its color, then furrows, plates, scales, strips, lenticels, blisters, patches or
 * warts as scored. Several surfaces that occur together are drawn one over the other.
 */
export function barkField(traits: Traits): Scene | undefined {
  const reader = new TraitReader(traits);
  const surfaces = reader.states('bark.surface');
  const colors = reader.states('bark.color');
  if (surfaces.length === 0 && colors.length === 0) return undefined;
  const random = randomFrom(seedOf(traits.seed, 'bark'));
  const base = NATURAL[colors[0] ?? 'grey'] ?? NATURAL['grey']!;
  const second = NATURAL[colors[1] ?? ''] ?? tinted(base, 0.16);
  const scene = emptyScene();
  scene.field = true;
  const box: Bounds = { left: 0, top: 0, right: BARK_SIZE, bottom: BARK_SIZE };
  scene.shapes.push(
    filled(
      'bark',
      [
        [0, 0],
        [BARK_SIZE, 0],
        [BARK_SIZE, BARK_SIZE],
        [0, BARK_SIZE],
      ],
      base,
    ),
  );
  const mark: Mark = (role, points, closed, fill) => {
    const own = boundsOf([points]);
    // What crosses an edge comes in again at the other.
    for (const dx of turns(own.left, own.right))
      for (const dy of turns(own.top, own.bottom)) {
        const moved = dx || dy ? points.map((p): Point => [p[0] + dx, p[1] + dy]) : points;
        const inside =
          own.left + dx >= 0 &&
          own.right + dx <= BARK_SIZE &&
          own.top + dy >= 0 &&
          own.bottom + dy <= BARK_SIZE;
        if (inside) scene.shapes.push(shape(role, moved, closed, fill));
        else if (closed) {
          const part = clipOutline(moved, box);
          if (part.length > 2) scene.shapes.push(shape(role, part, true, fill));
        } else for (const part of clipLine(moved, box)) scene.shapes.push(shape(role, part, false, fill));
      }
  };
  const has = (state: string) => surfaces.includes(state);
  if (has('exfoliating')) patches(mark, random, second, 16);
  else if (colors.length > 1) mottling(mark, random, blend(base, second));
  if (has('fluted')) fluted(mark, base);
  if (has('jigsaw')) plates(mark, random, base, second, 46, 82, true);
  else if (has('squareBlocks')) plates(mark, random, base, second, 34, 36, false);
  else if (has('deepFurrows') || has('shallowFissures'))
    furrows(mark, random, reader, base, has('deepFurrows'));
  if (has('thinScales')) scales(mark, random, base);
  if (has('fibrousStrips')) strips(mark, random, base, second);
  if (has('papery'))
    paper(mark, random, base, NATURAL[reader.state('bark.innerColor', 'cinnamon')] ?? NATURAL['cinnamon']!);
  if (has('banded')) lenticels(mark, random, has('papery'));
  if (has('resinBlistered')) blisters(mark, random, base);
  if (has('wartyRidges')) warts(mark, random, base);
  if (has('smooth') && surfaces.length === 1) fineLines(mark, random);
  anchor(
    scene,
    [BARK_SIZE * 0.5, BARK_SIZE * 0.5],
    'bark.surface',
    'bark.color',
    'bark.furrowDepth',
    'bark.ridges',
    'bark.odor',
    'bark.innerColor',
  );
  return scene;
}

const shape = (role: Role, points: readonly Point[], closed: boolean, fill?: string): Shape => ({
  role,
  points,
  closed,
  ...(fill ? { fill } : {}),
});

/** Shifts by the size of the field that bring an extent into it. */
const turns = (from: number, to: number): number[] =>
  [-BARK_SIZE, 0, BARK_SIZE].filter((by) => to + by > 0 && from + by < BARK_SIZE);
