import fc from 'fast-check';
import { escapeText } from '../words/index.ts';
import { pointsOfPath } from '../testing/paths.ts';
import { BUILT_IN } from '../vocabulary/index.ts';
import { bladeOf, bladeSize } from './leaf/blade.ts';
import { boundsOf, lengthOf, resample, type Point } from './geometry.ts';
import {
  drawingToSvg,
  drawSpecimen,
  layOut,
  STATE_FRAME,
  statePicture,
  type Role,
  type Scene,
  type Trait,
  type Traits,
} from './index.ts';
import { anIndividual } from './testing/anIndividual.ts';

const statesOf = (id: string) => BUILT_IN.get(id)!.states.map((state) => state.id);
const ofRole = (scene: Scene, ...roles: Role[]) => scene.shapes.filter((shape) => roles.includes(shape.role));
const span = (points: readonly Point[], axis: 0 | 1) =>
  Math.max(...points.map((p) => p[axis])) - Math.min(...points.map((p) => p[axis]));

/** Do two segments cross in their inside? */
function crosses([ax, ay]: Point, [bx, by]: Point, [cx, cy]: Point, [dx, dy]: Point): boolean {
  const side = (px: number, py: number, qx: number, qy: number, rx: number, ry: number) =>
    (qx - px) * (ry - py) - (qy - py) * (rx - px);
  const [s1, s2] = [side(ax, ay, bx, by, cx, cy), side(ax, ay, bx, by, dx, dy)];
  const [s3, s4] = [side(cx, cy, dx, dy, ax, ay), side(cx, cy, dx, dy, bx, by)];
  return s1 * s2 < -1e-9 && s3 * s4 < -1e-9;
}

function crossings(outline: readonly Point[]): number {
  const n = outline.length;
  let found = 0;
  for (let i = 0; i < n - 1; i += 1)
    for (let j = i + 2; j < n - 1; j += 1)
      if (crosses(outline[i]!, outline[i + 1]!, outline[j]!, outline[j + 1]!)) found += 1;
  return found;
}

/** Local maxima of the distance from the joint, going round the outline: the tips of palmate lobes. */
function lobeTips(outline: readonly Point[]): number {
  const line = outline
    .filter(([x, y]) => Math.hypot(x, y) > 1e-6)
    .sort((p, q) => Math.atan2(p[1], p[0]) - Math.atan2(q[1], q[0]));
  const r = line.map(([x, y]) => Math.hypot(x, y));
  const largest = Math.max(...r);
  let tips = 0;
  for (let i = 2; i < r.length - 2; i += 1)
    if (
      r[i]! > 0.3 * largest &&
      r[i]! > r[i - 1]! &&
      r[i]! >= r[i + 1]! &&
      r[i]! > r[i - 2]! &&
      r[i]! >= r[i + 2]!
    )
      tips += 1;
  return tips;
}

const bladeTraits = fc.record({
  seed: fc.integer({ min: 1, max: 100_000 }),
  shape: fc.constantFrom(...statesOf('leaf.shape')),
  apex: fc.constantFrom(...statesOf('leaf.apex')),
  base: fc.constantFrom('wedge', 'rounded', 'straight', 'heart'),
  length: fc.double({ min: 0.02, max: 0.2, noNaN: true }),
  ratio: fc.double({ min: 0.8, max: 6, noNaN: true }),
});

describe('blades, measured from their outline alone', () => {
  test('length over width is that of the traits within 5 %, and the outline does not cross itself', () => {
    fc.assert(
      fc.property(bladeTraits, ({ seed, shape, apex, base, length, ratio }) => {
        const one = anIndividual(
          {
            'leaf.shape': shape,
            'leaf.apex': apex,
            'leaf.base': base,
            'leaf.length': length,
            'leaf.width': length / ratio,
          },
          { seed },
        );
        const size = bladeSize(one);
        const { outline } = bladeOf(one, size.length, size.width);
        const heart = base === 'heart' ? 1.12 : 1.05;
        expect(span(outline, 1) / (size.width || 1)).toBeGreaterThan(0.95);
        expect(span(outline, 1) / size.width).toBeLessThan(1.05);
        expect(span(outline, 0) / size.length).toBeGreaterThan(0.95);
        expect(span(outline, 0) / size.length).toBeLessThan(Math.max(heart, 1 + 0.35 / ratio));
        expect(crossings(outline)).toBe(0);
      }),
      { numRuns: 150 },
    );
  });

  test.each(statesOf('leaf.shape'))('%s has its own proportion where no measure is given', (shape) => {
    const { length, width } = bladeSize(anIndividual({ 'leaf.shape': shape, 'leaf.length': 0.06 }));
    const ratio = length / width;
    if (shape === 'linear') expect(ratio).toBeGreaterThan(8);
    else if (shape === 'lanceolate' || shape === 'oblanceolate') expect(ratio).toBeGreaterThan(3);
    else if (shape === 'orbicular' || shape === 'fan') expect(Math.abs(ratio - 1)).toBeLessThan(0.1);
    else expect(ratio).toBeGreaterThan(1);
  });

  test('ovate is widest below the middle, obovate above, elliptic in it', () => {
    const widestAt = (shape: string) => {
      const { outline } = bladeOf(anIndividual({ 'leaf.shape': shape }), 100, 50);
      const upper = outline.reduce((best, point) => (point[1] < best[1] ? point : best));
      return upper[0] / 100;
    };
    expect(widestAt('ovate')).toBeLessThan(0.45);
    expect(widestAt('obovate')).toBeGreaterThan(0.55);
    expect(Math.abs(widestAt('elliptic') - 0.5)).toBeLessThan(0.06);
  });

  test('a long-drawn apex is narrower near its tip than an acute one, a rounded one wider', () => {
    const near = (apex: string) => {
      const { outline } = bladeOf(anIndividual({ 'leaf.shape': 'ovate', 'leaf.apex': apex }), 100, 60);
      return span(
        outline.filter(([x]) => x > 88 && x < 92),
        1,
      );
    };
    expect(near('acuminate')).toBeLessThan(near('acute'));
    expect(near('rounded')).toBeGreaterThan(near('acute'));
  });

  test.each([3, 5, 7])('%i palmate lobes have as many tips', (lobes) => {
    for (let seed = 1; seed <= 30; seed += 1) {
      const { outline } = bladeOf(
        anIndividual({ 'leaf.lobing': 'palmate', 'leaf.lobes': lobes, 'leaf.base': 'heart' }, { seed }),
        80,
        80,
      );
      expect(lobeTips(outline)).toBe(lobes);
      expect(crossings(outline)).toBe(0);
    }
  });

  test('deeper sinuses leave less blade', () => {
    const area = (depth: string) => {
      const { outline } = bladeOf(
        anIndividual({ 'leaf.lobing': 'palmate', 'leaf.lobes': 5, 'leaf.sinusDepth': depth }),
        80,
        80,
      );
      return (
        Math.abs(
          outline.reduce(
            (sum, [x, y], i) =>
              sum + x * outline[(i + 1) % outline.length]![1] - outline[(i + 1) % outline.length]![0] * y,
            0,
          ),
        ) / 2
      );
    };
    expect(area('shallow')).toBeGreaterThan(area('middle'));
    expect(area('middle')).toBeGreaterThan(area('deep'));
  });

  test('teeth lengthen the edge, and two sizes of teeth lengthen it more', () => {
    const edge = (teeth: string) =>
      lengthOf(
        bladeOf(anIndividual({ 'leaf.shape': 'ovate', 'leaf.teeth': teeth, 'leaf.teethPerCm': 2 }), 80, 50)
          .outline,
      );
    expect(edge('single')).toBeGreaterThan(edge('none') * 1.05);
    expect(edge('double')).toBeGreaterThan(edge('single') * 1.05);
  });

  test('teeth that stand at the tip only leave the lower half smooth', () => {
    const side = bladeOf(
      anIndividual({ 'leaf.shape': 'ovate', 'leaf.teeth': 'single', 'leaf.teethReach': 'tipOnly' }),
      80,
      50,
    ).sides[0];
    const smooth = bladeOf(anIndividual({ 'leaf.shape': 'ovate' }), 80, 50).sides[0];
    const lower = (line: readonly Point[]) => lengthOf(resample(line, 400).filter(([x]) => x < 40));
    expect(lower(side)).toBeCloseTo(lower(smooth), 0);
  });

  test.each([3, 5, 8])('%i pairs of veins are drawn as twice as many, inside the blade', (pairs) => {
    const { veins, outline } = bladeOf(
      anIndividual({ 'leaf.shape': 'elliptic', 'leaf.veins': 'straight', 'leaf.veinPairs': pairs }),
      80,
      50,
    );
    expect(veins.main).toHaveLength(2 * pairs);
    const box = boundsOf([outline]);
    for (const [x, y] of veins.main.flat())
      expect(x >= box.left && x <= box.right && y >= box.top && y <= box.bottom).toBe(true);
  });
});

describe('leaves on their twig', () => {
  const broad = { 'foliage.kind': 'broad', 'leaf.length': 0.06, 'leaf.width': 0.04, 'bud.length': 0.006 };
  const blades = (values: Record<string, Trait>, seed = 3) =>
    ofRole(
      drawSpecimen(anIndividual({ ...broad, ...values }, { seed }), ['twig', 'bud', 'leaf'])!,
      'blade',
      'bladeLower',
    ).length;
  test('opposite leaves come in twos, alternate ones one by one', () => {
    expect(blades({ 'twig.arrangement': 'opposite' })).toBe(4);
    expect(blades({ 'twig.arrangement': 'alternate' })).toBe(5);
    const places = (arrangement: string) => {
      const scene = drawSpecimen(anIndividual({ ...broad, 'twig.arrangement': arrangement }), [
        'twig',
        'leaf',
      ])!;
      return new Set(
        ofRole(scene, 'petiole').map((shape) =>
          Math.round((shape.points[0]![0] + shape.points[shape.points.length - 1]![0]) / 2),
        ),
      ).size;
    };
    expect(places('opposite')).toBe(2);
    expect(places('alternate')).toBe(5);
  });
  test.each([
    ['odd', 5],
    ['odd', 9],
    ['trifoliate', 3],
    ['palmate', 5],
    ['even', 6],
  ])('a leaf that is %s with %i leaflets has as many blades', (composition, leaflets) => {
    const scene = drawSpecimen(
      anIndividual({ ...broad, 'leaf.composition': composition, 'leaf.leaflets': leaflets }),
      ['leaf'],
    )!;
    expect(ofRole(scene, 'blade')).toHaveLength(leaflets);
    expect(ofRole(scene, 'bladeLower')).toHaveLength(leaflets);
  });
  test('a leaf alone shows both faces, the lower in its color', () => {
    const scene = drawSpecimen(anIndividual({ ...broad, 'leaf.lowerColor': 'white' }), ['leaf'])!;
    expect(ofRole(scene, 'bladeLower')[0]!.fill).not.toBe(ofRole(scene, 'blade')[0]!.fill);
    expect(scene.anchors['leaf.lowerColor']![1]).toBeGreaterThan(scene.anchors['leaf.shape']![1]);
  });
  test('in autumn the blade takes the color of the season', () => {
    const fill = (autumn: boolean) =>
      ofRole(
        drawSpecimen(anIndividual({ ...broad, 'leaf.autumnColor': ['red'] }, { autumn }), ['leaf'])!,
        'blade',
      )[0]!.fill;
    expect(fill(true)).not.toBe(fill(false));
  });
  test('bare twigs have buds and scars and no blades; stalked and naked buds differ from scaled ones', () => {
    const bare = (values: Record<string, Trait>) =>
      drawSpecimen(
        anIndividual({ 'twig.arrangement': 'alternate', 'bud.length': 0.006, ...values }, { leafy: false }),
        ['twig', 'bud', 'leaf'],
      )!;
    const scene = bare({});
    expect(ofRole(scene, 'blade')).toEqual([]);
    expect(ofRole(scene, 'scar').length).toBeGreaterThan(4);
    expect(ofRole(scene, 'bud').length).toBe(7);
    expect(ofRole(bare({ 'bud.stalked': true }), 'stalk').length).toBe(7);
    expect(ofRole(bare({ 'bud.scales': 'one' }), 'budScale').length).toBeLessThan(
      ofRole(bare({ 'bud.scales': 'several' }), 'budScale').length,
    );
    expect(ofRole(bare({ 'bud.resin': true }), 'resin').length).toBe(7);
  });
  test('without leaves there is no leaf to draw, and bark that nobody scored is not drawn', () => {
    expect(drawSpecimen(anIndividual(broad, { leafy: false }), ['leaf'])).toBeUndefined();
    expect(drawSpecimen(anIndividual(broad), ['bark'])).toBeUndefined();
    expect(drawSpecimen(anIndividual({}), ['twig', 'leaf'])).toBeUndefined();
  });
});

describe('needles', () => {
  const shoot = (values: Record<string, Trait>, more: Partial<Traits> = {}) =>
    drawSpecimen(anIndividual({ 'needle.length': 0.03, 'bud.length': 0.004, ...values }, more), [
      'twig',
      'bud',
      'leaf',
    ])!;
  const middle = (points: readonly Point[]): Point => [
    points.reduce((sum, p) => sum + p[0], 0) / points.length,
    points.reduce((sum, p) => sum + p[1], 0) / points.length,
  ];
  test.each([1, 2, 3, 5])(
    '%i to a bundle: the number of needles is a multiple, and the inset shows as many',
    (per) => {
      const scene = shoot({ 'foliage.kind': 'bundled', 'needle.perBundle': per });
      expect(ofRole(scene, 'needle', 'needleFar').length % per).toBe(0);
      // The needles near their base, and as many parts of the bundle's section.
      const { shapes } = scene.insets[0]!;
      expect(shapes.filter((shape) => shape.role === 'needle')).toHaveLength(per);
      expect(shapes.filter((shape) => shape.role === 'needleLower')).toHaveLength(per);
    },
  );
  test('a sheath that is shed is not drawn', () => {
    expect(
      ofRole(shoot({ 'foliage.kind': 'bundled', 'needle.sheath': 'kept' }), 'sheath').length,
    ).toBeGreaterThan(5);
    expect(ofRole(shoot({ 'foliage.kind': 'bundled', 'needle.sheath': 'shed' }), 'sheath')).toEqual([]);
  });
  test.each([12, 20, 35])('%i needles on each spur', (per) => {
    expect(
      ofRole(shoot({ 'foliage.kind': 'tufts', 'needle.perSpur': per }), 'needle', 'needleFar'),
    ).toHaveLength(9 * per);
  });
  test('two ranks lie on both sides of the twig, swept-up needles all above it', () => {
    const above = (lie: string) => {
      const needles = ofRole(
        shoot({ 'foliage.kind': 'single', 'needle.lie': lie }),
        'needle',
        'needleLower',
        'needleFar',
      );
      return needles.filter((needle) => middle(needle.points)[1] < 0).length / needles.length;
    };
    expect(Math.abs(above('twoRanked') - 0.5)).toBeLessThan(0.1);
    expect(above('sweptUp')).toBeGreaterThan(0.95);
  });
  test('bands show on the faces that have them: both faces more than the lower alone, none not at all', () => {
    const bands = (state: string) =>
      ofRole(shoot({ 'foliage.kind': 'single', 'needle.lie': 'allRound', 'needle.bands': state }), 'band')
        .length;
    expect(bands('none')).toBe(0);
    expect(bands('lower')).toBeGreaterThan(0);
    expect(bands('both')).toBeGreaterThan(2 * bands('lower'));
  });
  test('the enlarged inset tells the faces apart', () => {
    const bandsIn = (state: string) =>
      shoot({ 'foliage.kind': 'single', 'needle.bands': state }).insets[0]!.shapes.filter(
        (shape) => shape.role === 'band',
      ).length;
    expect([bandsIn('none'), bandsIn('lower'), bandsIn('upper'), bandsIn('both')]).toEqual([0, 2, 2, 4]);
  });
  test.each(statesOf('needle.scar').filter((state) => state !== 'jointed'))(
    'a scar that is %s has an inset of its own',
    (scar) => {
      const inset = shoot({ 'foliage.kind': 'single', 'needle.scar': scar }).insets.find(
        (each) => each.shows === 'needle.scar',
      )!;
      expect(inset.shapes.length).toBeGreaterThan(4);
    },
  );
  test('longest needles are as long as the score says', () => {
    const needles = ofRole(shoot({ 'foliage.kind': 'single', 'needle.lie': 'forward' }), 'needle');
    const longest = Math.max(
      ...needles.map((needle) =>
        Math.max(
          ...needle.points.map((p) => Math.hypot(p[0] - needle.points[0]![0], p[1] - needle.points[0]![1])),
        ),
      ),
    );
    expect(longest / 30).toBeGreaterThan(0.9);
    expect(longest / 30).toBeLessThan(1.1);
  });
  test('sprays of scales are flat or bushy and have no needles of length', () => {
    expect(
      ofRole(shoot({ 'foliage.kind': 'scales', 'needle.scaleSpray': 'flatStiff' }), 'scaleLeaf').length,
    ).toBeGreaterThan(30);
  });
});

describe('laying out', () => {
  const scene = drawSpecimen(
    anIndividual({
      'foliage.kind': 'single',
      'needle.length': 0.03,
      'needle.scar': 'flush',
      'bud.length': 0.004,
    }),
    ['twig', 'bud', 'leaf'],
  )!;
  test('the scale bar is as long as it says', () => {
    const drawing = layOut(scene, { width: 360, height: 300, millimetresPerPixel: 0.5 });
    const millimetres = drawing.scaleBars[0]!.length * 0.5;
    expect(drawing.scaleBars[0]!.label).toBe(
      millimetres >= 10 ? `${millimetres / 10} cm` : `${millimetres} mm`,
    );
    expect(layOut(scene, { width: 360, height: 300, units: 'imperial' }).scaleBars[0]!.label).toMatch(
      /in|ft/,
    );
  });
  test('insets and anchors stay in the frame; without insets the specimen gets their room', () => {
    const drawing = layOut(scene, { width: 360, height: 300 });
    for (const inset of drawing.insets)
      expect(inset.cx + inset.r <= 360 && inset.cy - inset.r >= 0).toBe(true);
    for (const [x, y] of Object.values(drawing.anchors))
      expect(x >= 0 && x <= 360 && y >= 0 && y <= 300).toBe(true);
    const wide = (d: ReturnType<typeof layOut>) => {
      const xs = d.paths.flatMap((path) => pointsOfPath(path.d).map(([x]) => x));
      return Math.max(...xs) - Math.min(...xs);
    };
    expect(wide(layOut(scene, { width: 360, height: 300, insets: false }))).toBeGreaterThan(wide(drawing));
  });
  test('a leaf too small for its pen is drawn with a finer one, without short veins', () => {
    const leaf = drawSpecimen(anIndividual({ 'foliage.kind': 'broad', 'leaf.shape': 'ovate' }), ['leaf'])!;
    const strokes = (size: number) => {
      const { paths } = layOut(leaf, { width: size, height: size, insets: false });
      return { n: paths.length, widest: Math.max(...paths.map((path) => path.strokeWidth)) };
    };
    expect(strokes(60).n).toBeLessThan(strokes(400).n);
    expect(strokes(60).widest).toBeLessThan(strokes(400).widest);
  });
  test('the print version is black and white', () => {
    const colors = new Set(
      layOut(scene, { width: 360, height: 300, plain: true }).paths.flatMap((path) => [
        path.fill,
        path.stroke,
      ]),
    );
    for (const color of colors) expect(color).toMatch(/^(none|#000000|#777777|#ffffff|#cfcfcf)$/);
  });
  test('markup is closed, titled and safe', () => {
    const svg = drawingToSvg(layOut(scene, { width: 360, height: 300 }), 'a <b> & "c"');
    expect(svg).toContain('<title>a &lt;b&gt; &amp; &quot;c&quot;</title>');
    expect(svg.match(/<svg/g)).toHaveLength(1);
    expect(svg.endsWith('</svg>')).toBe(true);
    expect(escapeText("<'>")).toBe('&lt;&#39;&gt;');
  });
});

describe('habits that a dendrologist looks for', () => {
  const crown = (form: string, leafy: boolean) =>
    drawSpecimen(
      anIndividual({ 'habit.crownForm': form, 'habit.height': 14, 'habit.crownSpread': 11 }, { leafy }),
      ['habit'],
    )!;
  /** How near the ground the branches and leaves of a tree of 14 m come, in metres. */
  const lowest = (scene: Scene) =>
    Math.min(...ofRole(scene, 'crown', 'limb').flatMap(({ points }) => points.map(([, y]) => -y / 1000)));
  test.each([true, false])(
    'a weeping tree hangs almost to the ground, another does not (in leaf: %s)',
    (leafy) => {
      expect(lowest(crown('weeping', leafy))).toBeLessThan(1.6);
      expect(lowest(crown('weeping', leafy))).toBeGreaterThan(0);
      expect(lowest(crown('decurrent', leafy))).toBeGreaterThan(2);
    },
  );
  test('prickles stand anywhere along the twig, stipular spines in pairs at the nodes', () => {
    const bare = (armature: string) =>
      anIndividual({ 'twig.armature': armature, 'foliage.kind': 'broad' }, { leafy: false });
    /** Thorns that share the place of exactly one other, as seen along the twig. */
    const paired = (armature: string) => {
      const feet = ofRole(drawSpecimen(bare(armature), ['twig'])!, 'thorn').map(({ points }) => points[0]!);
      const beside = feet.map((foot) => feet.filter((other) => Math.abs(other[0] - foot[0]) < 3).length);
      return beside.filter((n) => n === 2).length / feet.length;
    };
    expect(paired('pairedSpines')).toBe(1);
    expect(paired('prickles')).toBeLessThan(0.7);
  });
  test.each([
    ['erectCatkin', -1],
    ['hangingCatkin', 1],
  ])('an %s points its way', (type, way) => {
    for (const { points } of ofRole(
      drawSpecimen(anIndividual({ 'flower.type': type }), ['flower'])!,
      'catkin',
    )) {
      const [rise, lean] = [span(points, 1), span(points, 0)];
      expect(rise).toBeGreaterThan(1.5 * lean);
      const far = points.reduce((most, p) => (Math.abs(p[1]) > Math.abs(most[1]) ? p : most));
      expect(Math.sign(far[1])).toBe(way);
    }
  });
});

test('a picture of a state stays in its frame, and no two states of one character look alike', () => {
  const ids =
    'leaf.shape leaf.lobing leaf.teeth leaf.apex leaf.base needle.lie foliage.kind twig.arrangement twig.armature bud.terminal bud.shape bud.scales bud.lie bark.surface bark.ridges habit.crownForm';
  for (const id of ids.split(' ')) {
    const pictures = BUILT_IN.get(id)!.states.map((state) => statePicture(id, state.id)!.paths);
    const [x, y, width, height] = STATE_FRAME;
    const outside = pictures
      .flat()
      .flatMap(({ d }) => pointsOfPath(d))
      .filter(([across, down]) => across < x || across > x + width || down < y || down > y + height);
    expect([id, outside]).toEqual([id, []]);
    expect([id, new Set(pictures.map((paths) => paths.map(({ d }) => d).join())).size]).toEqual([
      id,
      pictures.length,
    ]);
  }
  const colors = BUILT_IN.get('bark.color')!.states.map(
    ({ id }) => statePicture('bark.color', id)!.paths[0]!.fill,
  );
  expect(new Set(colors).size).toBe(colors.length);
  expect(statePicture('bark.odor', 'vanilla')).toBeUndefined();
});
