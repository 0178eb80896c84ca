import { BUILT_IN, saidIn } from '../vocabulary/index.ts';
import { GERMAN } from '../vocabulary/german/index.ts';
import { pointsOfPath } from '../testing/paths.ts';
import { profiled } from '../testing/taxa.ts';
import {
  dayToDraw,
  drawingOfAges,
  drawingOfStop,
  drawingOfTree,
  bothWords,
  edited,
  ENGLISH_TELLING,
  glossaryOf,
  howToLook,
  lessonOf,
  LOOKED_AT,
  minutesOf,
  movedEdits,
  NO_EDITS,
  pointsOf,
  saidOfCharacter,
  topicsInOrder,
  type LessonSetting,
} from './index.ts';

const larch = profiled('Larix', 'occidentalis', {
  'foliage.kind': 'tufts',
  'needle.perSpur': '(12) 15–30',
  'needle.tip': 'soft; sometimes blunt',
  'cone.attitude': 'erect',
  'fruit.type': 'seedCone',
  'bark.surface': 'only jigsaw; deepFurrows',
  'twig.armature': 'none',
  'habit.height': '30–55 m',
  'site.elevation': '600–1700 m',
});
const maple = profiled('Acer', 'glabrum', {
  'foliage.kind': 'broad',
  'twig.arrangement': 'opposite',
  'leaf.composition': 'simple; sometimes trifoliate',
  'leaf.leaflets': '3',
  'leaf.lobing': 'palmate',
  'bud.scales': 'two',
  'bud.stalked': 'no',
  'fruit.type': 'pairedSamara',
  'fruit.samaraAngle': '30–80',
});
const alder = profiled('Alnus', 'incana', {
  'foliage.kind': 'broad',
  'twig.arrangement': 'alternate',
  'leaf.composition': 'simple',
  'leaf.lobing': 'none',
  'bud.scales': 'two',
  'bud.stalked': 'yes',
});
const list = [larch, maple, alder];
const setting = (more: Partial<LessonSetting> = {}): LessonSetting => ({
  list,
  vocabulary: BUILT_IN,
  audience: 'technical',
  units: 'metric',
  startsWith: 'leaf',
  reading: {},
  ...more,
});
const said = (tree: (typeof list)[number], id: string, more: Partial<LessonSetting> = {}) =>
  saidOfCharacter(tree, BUILT_IN.get(id)!, { ...setting(), ...more });

const PHRASE_KEYS = Object.keys(ENGLISH_TELLING.phrases);

describe('phrases', () => {
  test('each stands for a built-in character or one of its states', () => {
    for (const key of PHRASE_KEYS) {
      const [id, state] = key.split('=');
      const character = BUILT_IN.get(id!);
      expect({ key, known: character !== undefined }).toEqual({ key, known: true });
      if (state && character!.kind !== 'flag')
        expect(character!.states.map((each) => each.id)).toContain(state);
    }
    for (const id of LOOKED_AT) expect(BUILT_IN.has(id)).toBe(true);
    expect(howToLook(BUILT_IN.get('needle.scar')!)).toContain('flush, or on a peg?');
    const german = saidIn(GERMAN, BUILT_IN);
    for (const id of LOOKED_AT) expect(howToLook(german.get(id)!)).not.toBe(howToLook(BUILT_IN.get(id)!));
  });
  test('every character of a tree that a lesson may say has one', () => {
    const covered = new Set(PHRASE_KEYS.map((key) => key.split('=')[0]));
    const missing = [...BUILT_IN.values()].filter(
      ({ id, organ, derived, kind }) => organ !== 'site' && !derived && kind !== 'months' && !covered.has(id),
    );
    expect(missing.map(({ id }) => id)).toEqual([]);
  });
});

describe('what is said of a character', () => {
  test('in terms a piece of a line, with what it shows sometimes', () => {
    expect(said(larch, 'needle.perSpur')).toBe('(12) 15–30 to a spur');
    expect(said(larch, 'needle.tip')).toBe('pointed but soft (sometimes blunt)');
    expect(said(larch, 'bark.surface')).toBe('in plates like jigsaw pieces and deeply furrowed');
    expect(said(maple, 'fruit.samaraAngle')).toBe('wings at 30–80° to each other');
  });
  test('in plain words a sentence, without extremes, feet in two figures', () => {
    expect(said(larch, 'needle.perSpur', { audience: 'plain' })).toBe('Each brush has 15–30 needles');
    expect(said(larch, 'needle.tip', { audience: 'plain' })).toBe('Usually the needles are pointed but soft');
    expect(said(larch, 'bark.surface', { audience: 'plain' })).toBe(
      'The bark flakes off in puzzle pieces and has deep grooves',
    );
    expect(said(larch, 'site.elevation', { audience: 'plain', units: 'imperial' })).toBe(
      'You find it at 2000–5600 ft',
    );
  });
  test('what is sometimes missing is said in full, two usual states in one sentence, and of a twig the buds', () => {
    const cherry = profiled('Prunus', 'emarginata', {
      'foliage.kind': 'broad',
      'twig.odor': 'almond; sometimes none',
      'twig.arrangement': 'alternate; sometimes subopposite',
      'habit.stature': 'small; shrub',
      'leaf.glands': 'bladeBase; sometimes petiole',
    });
    expect(said(cherry, 'twig.odor')).toContain('(sometimes no odor when scratched)');
    expect(said(cherry, 'habit.stature', { audience: 'plain' })).toBe('It is a small tree or bush');
    expect(said(cherry, 'leaf.glands', { audience: 'plain' })).toBe(
      'Look for small bumps at the base of the leaf',
    );
    const twig = pointsOf(setting({ list: [cherry, maple], audience: 'plain' }), 'prunus-emarginata');
    expect(twig.find(({ topic }) => topic === 'twig')!.words).toMatch(/^Usually the buds sit one at a time/);
  });
  test('what is no news of a tree alone is said only beside another', () => {
    expect(said(larch, 'twig.armature')).toBeUndefined();
    expect(saidOfCharacter(maple, BUILT_IN.get('bud.stalked')!, { ...setting(), beside: true })).toBe(
      'buds not stalked',
    );
  });
});

describe('points', () => {
  test('stand in the course’s order, and only where something is known', () => {
    expect(topicsInOrder('twig')[1]).toBe('twig');
    expect(topicsInOrder('site').slice(0, 3)).toEqual(['name', 'place', 'form']);
    const topics = pointsOf(setting(), 'larix-occidentalis').map(({ topic }) => topic);
    expect(topics).toEqual(['name', 'form', 'place', 'leaf', 'fruit', 'bark']);
  });
  test('a leaflet count is said of compound leaves alone, arrangement of no needles', () => {
    const leafOf = (id: string) => pointsOf(setting(), id).find(({ topic }) => topic === 'leaf')!.words;
    expect(leafOf('acer-glabrum')).toBe(
      'Leaves opposite, simple (sometimes with three leaflets), palmately lobed.',
    );
    expect(leafOf('larix-occidentalis')).toMatch(/^Needles in tufts on spurs/);
  });
});

describe('a lesson', () => {
  const asked = {
    set: ['alnus-incana', 'acer-glabrum'],
    before: [],
    mixedUp: [],
    rules: [],
    day: 245,
    edits: NO_EDITS,
  };
  test('puts a pair that the class mixes up side by side as soon as both are known, and ends with the recap', () => {
    const stops = lessonOf(setting(), { ...asked, mixedUp: [{ a: 'alnus-incana', b: 'acer-glabrum' }] });
    expect(stops.at(-1)).toMatchObject({ kind: 'recap', taxa: asked.set });
    const contrast = stops.findIndex(({ kind }) => kind === 'contrast');
    expect(stops[contrast - 1]!.taxa).toEqual(['acer-glabrum']);
    expect(stops[contrast]!.words).toMatch(/alternate.*opposite|opposite.*alternate/);
    expect(lessonOf(setting(), asked).every(({ kind }) => kind !== 'contrast')).toBe(true);
  });
  test('takes time by what is shown', () => {
    const stops = lessonOf(setting(), asked);
    expect(minutesOf(stops)).toBeGreaterThan(2);
    expect(minutesOf(stops.map((stop) => ({ ...stop, hidden: true })))).toBe(0);
  });
  test('what was changed of a tree goes with it into another set', () => {
    const edits = {
      ...NO_EDITS,
      hidden: ['acer-glabrum/leaf', 'recap'],
      notes: { 'acer-glabrum/bark': 'hold it up' },
    };
    const { left, moved } = movedEdits(edits, NO_EDITS, 'acer-glabrum');
    expect(left.hidden).toEqual(['recap']);
    expect(moved).toMatchObject({
      hidden: ['acer-glabrum/leaf'],
      notes: { 'acer-glabrum/bark': 'hold it up' },
    });
  });
  test('a new point comes in its place under an order that does not know it', () => {
    const points = pointsOf(setting(), 'larix-occidentalis');
    const order = points
      .map(({ key }) => key)
      .filter((key) => !key.endsWith('/leaf'))
      .reverse();
    const keys = edited(points, { ...NO_EDITS, order }).map(({ topic }) => topic);
    expect(keys).toEqual(['bark', 'fruit', 'place', 'leaf', 'form', 'name']);
  });
});

describe('drawings', () => {
  const calendar = { flowers: [{ from: 120, to: 140 }], leaves: [{ from: 120, to: 290 }] };
  test.each([
    ['flower', 245, 130],
    ['leaf', 245, 245],
    ['leaf', 340, 196],
    ['twig', 245, 20],
    ['bark', 245, 245],
  ] as const)('%s, in a lesson of day %i, is drawn as on day %i', (organ, day, drawn) =>
    expect(dayToDraw([organ], calendar, true, day)).toBe(drawn),
  );
  const place = { latitude: 47, longitude: -116, elevation: 700 };
  const frame = {
    vocabulary: BUILT_IN,
    units: 'metric' as const,
    reference: place,
    site: place,
    day: 200,
    width: 600,
    height: 400,
  };
  test('what is named is pointed at', () => {
    const label = { characterId: 'foliage.kind', text: 'needles in tufts' };
    const drawing = drawingOfTree(larch, ['leaf'], frame, label);
    expect(drawing!.labels.at(-1)).toMatchObject({ text: 'needles in tufts' });
    expect(drawing!.labels.at(-1)!.to).toBeDefined();
  });
  const spruce = profiled('Picea', 'ficta', {
    'foliage.kind': 'single',
    'needle.section': 'fourAngled',
    'needle.scar': 'woodyPeg',
    'needle.bands': 'all',
    'needle.tip': 'pricking',
    'needle.length': '16–30 mm',
    'bud.scales': 'several',
    'fruit.type': 'seedCone',
    'cone.attitude': 'hanging',
    'fruit.seed': 'winged',
    'fruit.length': '3–6 cm',
  });
  test.each([
    [360, 'cone.attitude', ['fruit']],
    [300, 'needle.tip', ['leaf']],
    [600, 'bud.scales', ['leaf', 'twig']],
  ] as const)(
    '%i pixels wide, the name of %s lies neither on the drawing nor on a circle',
    (width, id, organs) => {
      const label = { characterId: id, text: 'what is pointed at here' };
      const drawing = drawingOfTree(spruce, organs, { ...frame, width, height: 0.74 * width }, label)!;
      const { x, y } = drawing.labels.at(-1)!;
      expect(drawing.insets).not.toEqual([]);
      // Letters are 7 pixels wide, 13 high.
      const [right, top] = [x + 7 * label.text.length, y - 11];
      expect(top).toBeGreaterThan(0);
      for (const { cx, cy, r } of drawing.insets) expect(right < cx - r || y < cy - r).toBe(true);
      for (const { d } of drawing.paths)
        for (const [px, py] of pointsOfPath(d)) expect(py > y + 3 || px < x || px > right).toBe(true);
    },
  );
});

test('a rule of thumb is a point where it speaks of a tree of the set, with those it misleads among the trees so far', () => {
  const rule = {
    id: 'r1',
    conditions: [{ characterId: 'twig.arrangement', states: ['opposite'] }],
    then: { kind: 'genus' as const, name: 'Acer' },
  };
  const dogwood = profiled('Cornus', 'sericea', { 'twig.arrangement': 'opposite' });
  const asked = { before: [], mixedUp: [], rules: [rule], day: 196, edits: NO_EDITS };
  const pointOf = (set: string[], before: string[] = []) =>
    lessonOf(setting({ list: [...list, dogwood] }), { ...asked, set, before }).find(
      ({ kind }) => kind === 'rule',
    );
  expect(pointOf(['acer-glabrum'])).toMatchObject({
    key: 'rule/r1',
    taxa: ['acer-glabrum'],
    shows: ['twig'],
  });
  expect(pointOf(['acer-glabrum'])!.words).toContain('No exception among the trees so far.');
  expect(pointOf(['acer-glabrum'], ['cornus-sericea'])!.words).toMatch(/Not so: .*sericea shows it too\.$/);
  expect(pointOf(['alnus-incana'])).toBeUndefined();
});

test('the words of a course are those in which its trees differ, each with trees that show it', () => {
  const { list, vocabulary } = setting();
  const parts = glossaryOf(list, vocabulary, 'plain', 'twig');
  expect(parts[0]!.title).toBe('Twigs');
  const all = parts.flatMap(({ entries }) => entries);
  expect(all.every(({ character }) => character.level !== 'advanced')).toBe(true);
  expect(all.every(({ states }) => states.length > 1 && states.every(({ trees }) => trees.length > 0))).toBe(
    true,
  );
  expect(bothWords({ term: 'entire', plain: 'smooth edge' }, 'plain')).toEqual({
    word: 'smooth edge',
    other: 'entire',
  });
  expect(bothWords({ term: 'flat', plain: 'flat' }, 'technical').other).toBeUndefined();
});

test('in plain words the blade of a compound leaf is a leaflet, and bark is not told twice', () => {
  const ash = profiled('Sorbus', 'scopulina', {
    'foliage.kind': 'broad',
    'leaf.composition': 'odd',
    'leaf.shape': 'lanceolate; sometimes oblong',
    'bark.surface': 'smooth; banded',
  });
  expect(said(ash, 'leaf.shape', { audience: 'plain' })).toBe(
    'Usually the leaflet is shaped like a lance head',
  );
  expect(said(ash, 'leaf.composition', { audience: 'plain' })).toMatch(/^Each leaf is like a feather/);
  expect(said(maple, 'leaf.lobing', { audience: 'plain' })).toMatch(/^The leaf /);
  const bark = ash.scores.find(({ characterId }) => characterId === 'bark.surface')!;
  const states = (...ids: string[]) => ({
    kind: 'states' as const,
    states: ids.map((state) => ({ state, frequency: 'usually' as const })),
  });
  const birch = {
    ...ash,
    scores: [
      ...ash.scores.filter((score) => score !== bark),
      { ...bark, value: states('banded', 'papery') },
      { ...bark, qualifiers: { plantAge: 'young' as const }, value: states('smooth', 'banded') },
    ],
  };
  const plain = setting({ list: [birch, maple], audience: 'plain' });
  const point = pointsOf(plain, birch.taxon.id, new Map([[birch.taxon.id, new Map()]])).find(
    ({ topic }) => topic === 'bark',
  )!;
  expect(point.words).toMatch(/On a young tree (usually )?the bark is smooth\.$/);
});

describe('young and mature', () => {
  const aspen = profiled('Populus', 'tremuloides', {
    'foliage.kind': 'broad',
    'bark.surface': 'deepFurrows',
    'habit.height': '15–25 m',
  });
  const bark = aspen.scores.find(({ characterId }) => characterId === 'bark.surface')!;
  const both = {
    ...aspen,
    scores: [
      ...aspen.scores,
      {
        ...bark,
        qualifiers: { plantAge: 'young' as const },
        value: { kind: 'states' as const, states: [{ state: 'smooth', frequency: 'usually' as const }] },
      },
    ],
  };
  const drawing = {
    vocabulary: BUILT_IN,
    units: 'metric' as const,
    reference: { latitude: 47, longitude: -116, elevation: 700 },
    site: { latitude: 47, longitude: -116, elevation: 700 },
    day: 200,
    width: 820,
    height: 560,
  };
  const barkOf = (tree: typeof aspen) =>
    pointsOf(
      { ...setting(), list: [tree, maple] },
      tree.taxon.id,
      new Map([[tree.taxon.id, new Map()]]),
    ).find(({ topic }) => topic === 'bark')!;

  test('a bark that changes with age is drawn twice, side by side, and said so', () => {
    const point = barkOf(both);
    expect(point.words).toContain('Young bark');
    expect(point.ages).toBe(true);
    const drawn = drawingOfStop(point, [both], drawing, 'technical')!;
    expect(drawn.labels.map(({ text }) => text)).toEqual(['young', 'mature']);
    const [first, second] = drawn.labels;
    expect(second!.x - first!.x).toBeCloseTo(410, 0);
    // Asked first, the drawing tells nothing of it.
    expect(drawingOfStop(point, [both], drawing, 'technical', true)!.labels).toEqual([]);
  });
  test('one that stays as it is is drawn once', () => {
    const point = barkOf(aspen);
    expect(point.ages).toBeUndefined();
    expect(drawingOfStop(point, [aspen], drawing, 'technical')!.labels.map(({ bold }) => bold)).toEqual([
      true,
    ]);
    expect(drawingOfAges(aspen, [], drawing)).toBeUndefined();
    expect(drawingOfStop({ ...point, shows: [] }, [aspen], drawing, 'technical')).toBeUndefined();
  });
});

test('photos stand with the point they were given, and go with the tree into another set', () => {
  const points = pointsOf(setting(), larch.taxon.id, new Map([[larch.taxon.id, new Map()]]));
  const { key } = points[0]!;
  const edits = { ...NO_EDITS, pictures: { [key]: ['p1'], 'contrast/a/b': ['p2'] } };
  expect(edited(points, edits)[0]!.photos).toEqual(['p1']);
  const { left, moved } = movedEdits(edits, NO_EDITS, larch.taxon.id);
  expect(left.pictures).toEqual({ 'contrast/a/b': ['p2'] });
  expect(moved.pictures).toEqual({ [key]: ['p1'] });
});
