import { randomFrom, seedOf } from '../../random/index.ts';
import { add, along, band, curve, direction, place, scaleBy } from '../geometry.ts';
import { anchor, emptyScene, filled, stroke, type Scene } from '../scene.ts';
import type { TraitReader } from '../traits.ts';
import { budShapes, moveShapes } from '../twig/buds.ts';
import { twigColor } from '../twig/twig.ts';
import { addTipBuds, greens, needleAnchors, needleBody } from './needles.ts';

const SPURS = 9;

/** Needles in tufts on short spurs, or the bare spurs in winter; wool on the twig where it is scored. */
export function spurShoot(reader: TraitReader): Scene {
  const random = randomFrom(seedOf(reader.traits.seed, 'spurs'));
  const length = reader.mm('needle.length', 32);
  const width = reader.mm('needle.width', 0.8);
  const leafy = reader.traits.leafy;
  const color = greens(reader);
  const axis = curve([0, 0], [60, random.between(-5, 5)], [125, random.between(-6, 6)], 24);
  const scene = emptyScene();
  const thickness = reader.mm('twig.thickness', 3.2);
  const per = Math.round(reader.number('needle.perSpur', 22));
  const places = Array.from({ length: SPURS }, (_, i) => {
    const { point, angle } = along(axis, 0.06 + (0.86 * i) / (SPURS - 1));
    const heading = angle + (i % 2 ? 1 : -1) * random.between(1.1, 1.5);
    return { base: add(point, scaleBy(direction(heading), thickness * 0.3)), heading };
  });
  const fill = twigColor(reader, 'brown');
  const body = (s: number) => (Math.max(2, thickness) / 2) * (1.2 - 0.5 * s);
  scene.shapes.push(filled('twig', band(axis, body), fill));
  const hairs = { sparse: 20, dense: 80, woolly: 150 }[reader.state('twig.hair', 'none')] ?? 0;
  for (let i = 0; i < hairs; i += 1) {
    const { point, angle } = along(axis, random.between(0.3, 0.99));
    const side = i % 2 ? 1 : -1;
    const foot = add(point, scaleBy(direction(angle + (side * Math.PI) / 2), thickness * 0.4));
    scene.shapes.push(
      stroke('hair', [
        foot,
        add(foot, scaleBy(direction(angle + side * random.between(0.7, 1.9)), thickness * 0.35)),
      ]),
    );
  }
  for (const { base, heading } of places) {
    const top = add(base, scaleBy(direction(heading), 4.2));
    if (leafy)
      for (let k = 0; k < per; k += 1) {
        const off = ((k + 0.5) / per - 0.5) * 2.5 + random.between(-0.06, 0.06);
        const far = k % 2 === 0;
        const grown = length * random.between(0.84, 1.03) * (1 - 0.1 * Math.abs(off));
        scene.shapes.push(
          filled(
            far ? 'needleFar' : 'needle',
            place(needleBody(grown, { width, tip: 'soft' }, off * 0.05), top, heading + off),
            far ? color.far : color.near,
          ),
        );
      }
    scene.shapes.push(
      filled(
        'twig',
        band([base, top], (s) => 1.9 + 0.5 * s),
        fill,
      ),
    );
    for (const s of [0.3, 0.55, 0.8]) {
      const ring = add(base, scaleBy(direction(heading), 4.2 * s));
      const across = scaleBy(direction(heading + Math.PI / 2), 2);
      scene.shapes.push(stroke('mark', [add(ring, across), add(ring, scaleBy(across, -1))]));
    }
    if (!leafy)
      scene.shapes.push(
        ...moveShapes(budShapes(reader, Math.min(3.4, reader.mm('bud.length', 3))), top, heading),
      );
  }
  addTipBuds(scene, reader, axis);
  const third = places[3]!;
  const shown = add(third.base, scaleBy(direction(third.heading), leafy ? length * 0.7 : 4));
  needleAnchors(scene, shown);
  anchor(scene, shown, 'needle.perSpur', 'needle.bands');
  anchor(scene, add(third.base, scaleBy(direction(third.heading), 3)), 'twig.spurs');
  anchor(scene, along(axis, 0.5).point, 'twig.color', 'twig.hair', 'twig.thickness', 'twig.coating');
  return scene;
}
