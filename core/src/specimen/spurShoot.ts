import { randomFrom, seedOf } from '../random/index.ts';
import { add, along, band, curve, direction, place, scaleBy } from './geometry.ts';
import { addTipBuds, greens, needleBody } from './needles.ts';
import { emptyScene, type Scene } from './scene.ts';
import type { TraitReader } from './traits.ts';
import { budShapes, moveShapes, twigColor } from './twig.ts';

/** Needles in tufts on short spurs, or the bare spurs in winter. */
export function spurShoot(reader: TraitReader): Scene {
  const random = randomFrom(seedOf(reader.traits.seed, 'spurs'));
  const length = reader.mm('needle.length', 32);
  const width = Math.max(0.55, reader.mm('needle.width', 0.8));
  const leafy = reader.traits.leafy;
  const color = greens(reader);
  const axis = curve([0, 0], [60, random.between(-5, 5)], [125, random.between(-6, 6)], 24);
  const scene = emptyScene();
  const thickness = Math.max(2.4, reader.mm('twig.thickness', 3.2));
  const spurs = 9;
  const per = Math.round(reader.number('needle.perSpur', 22));
  const stand = (i: number) => {
    const { point, angle } = along(axis, 0.06 + (0.86 * i) / (spurs - 1));
    const sign = i % 2 ? 1 : -1;
    const heading = angle + sign * random.between(1.1, 1.5);
    return { base: add(point, scaleBy(direction(heading), thickness * 0.3)), heading };
  };
  const places = Array.from({ length: spurs }, (_, i) => stand(i));
  scene.shapes.push({
    role: 'twig',
    points: band(axis, (s) => (thickness / 2) * (1.2 - 0.5 * s)),
    closed: true,
    fill: twigColor(reader, 'brown'),
  });
  for (const { base, heading } of places) {
    const top = add(base, scaleBy(direction(heading), 4.2));
    const spur = band([base, top], (s) => 2.1 + 0.5 * s);
    if (leafy) {
      for (let k = 0; k < per; k += 1) {
        const off = ((k + 0.5) / per - 0.5) * 2.5 + random.between(-0.06, 0.06);
        const far = k % 2 === 0;
        scene.shapes.push({
          role: far ? 'needleFar' : 'needle',
          points: place(
            needleBody(
              length * random.between(0.82, 1.04) * (1 - 0.12 * Math.abs(off)),
              width,
              off * 0.05,
              'soft',
            ),
            top,
            heading + off,
          ),
          closed: true,
          fill: far ? color.far : color.near,
        });
      }
    }
    scene.shapes.push({ role: 'twig', points: spur, closed: true, fill: twigColor(reader, 'brown') });
    for (const s of [0.3, 0.55, 0.8]) {
      const ring = add(base, scaleBy(direction(heading), 4.2 * s));
      const across = scaleBy(direction(heading + Math.PI / 2), 2.2);
      scene.shapes.push({
        role: 'mark',
        points: [add(ring, across), add(ring, scaleBy(across, -1))],
        closed: false,
      });
    }
    if (!leafy)
      scene.shapes.push(
        ...moveShapes(budShapes(reader, Math.min(3.4, reader.mm('bud.length', 3))), top, heading),
      );
  }
  addTipBuds(scene, reader, axis);
  const third = places[3]!;
  scene.anchors['foliage.kind'] = add(
    third.base,
    scaleBy(direction(third.heading), leafy ? length * 0.7 : 4),
  );
  scene.anchors['needle.perSpur'] = scene.anchors['foliage.kind']!;
  scene.anchors['twig.spurs'] = add(third.base, scaleBy(direction(third.heading), 3));
  return scene;
}
