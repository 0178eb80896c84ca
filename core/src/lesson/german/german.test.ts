import { profiled } from '../../testing/taxa.ts';
import { BUILT_IN, saidIn } from '../../vocabulary/index.ts';
import {
  drawingOfAges,
  drawingOfStop,
  ENGLISH_TELLING,
  lessonOf,
  NO_EDITS,
  saidOfCharacter,
  type LessonSetting,
} from '../index.ts';
import { GERMAN_TOLD } from './index.ts';

const larch = profiled('Larix', 'occidentalis', {
  'foliage.kind': 'tufts',
  'needle.perSpur': '(12) 15–30',
  'needle.tip': 'soft; sometimes blunt',
  'cone.attitude': 'erect',
  'fruit.type': 'seedCone',
  'bark.surface': 'only jigsaw; deepFurrows',
  'bark.color': 'cinnamon',
  'habit.height': '30–55 m',
});
const ash = profiled('Fraxinus', 'latifolia', {
  'foliage.kind': 'broad',
  'twig.arrangement': 'opposite; sometimes whorled',
  'leaf.composition': 'odd',
  'leaf.leaflets': '5–9, odd',
  'leaf.shape': 'ovate',
  'leaf.odor': 'spicy; sometimes none',
  'bark.surface': 'shallowFissures',
  'bark.color': 'grey',
});
const vocabulary = saidIn(GERMAN_TOLD, BUILT_IN);
const { phrases } = GERMAN_TOLD.saying.tells!;
const setting = (audience: 'technical' | 'plain'): LessonSetting => ({
  list: [larch, ash],
  vocabulary,
  audience,
  units: 'metric',
  startsWith: 'leaf',
  reading: {},
});
const said = (tree: typeof larch, id: string, audience: 'technical' | 'plain' = 'plain') =>
  saidOfCharacter(tree, vocabulary.get(id)!, { audience, units: 'metric' });

test('every phrase of the English table is there, silent where that is, and with its value where that has one', () => {
  // One that has the place of its value in another phrase, for the sake of grammar.
  const own = [
    'leaf.apex=notched',
    'leaf.toothTip=forward',
    'twig.bundleScars=one',
    'twig.bundleScars=curve',
  ];
  own.push('wood.rays=lens', 'wood.rays=eye');
  expect(
    Object.keys(phrases)
      .filter((key) => !own.includes(key))
      .sort(),
  ).toEqual(Object.keys(ENGLISH_TELLING.phrases).sort());
  for (const [key, english] of Object.entries(ENGLISH_TELLING.phrases))
    for (const audience of ['technical', 'plain'] as const) {
      const marksOf = (text: string) => [text.startsWith('~'), text === '-', text.includes('{}')];
      expect([key, audience, ...marksOf(phrases[key]![audience])]).toEqual([
        key,
        audience,
        ...marksOf(english[audience]),
      ]);
    }
});

test('what is usual is said behind the verb, and what holds always without a mark of it', () => {
  expect(said(larch, 'needle.tip')).toBe('Die Nadeln sind meist spitz, aber weich');
  expect(said(larch, 'needle.tip', 'technical')).toBe('spitz, doch weich (manchmal stumpf)');
  expect(said(ash, 'leaf.odor')).toBe('Zerreiben Sie ein Blatt: es riecht meist würzig');
  expect(said(larch, 'needle.perSpur')).toBe('Jeder Pinsel hat 15–30 Nadeln');
});

test('two sentences of one thing become one; of a leaf of leaflets the leaflet is said; a count is odd', () => {
  expect(said(larch, 'bark.surface')).toBe(
    'Die Rinde fällt in Platten wie Puzzleteile ab und hat tiefe Furchen',
  );
  expect(said(ash, 'leaf.shape')).toBe('Das Blättchen ist geformt wie ein Ei, dickes Ende am Stiel');
  expect(said(ash, 'leaf.leaflets')).toBe('Zählen Sie die Blättchen: 5–9, immer ungerade');
});

test('a whole lesson has no word of the English one', () => {
  const asked = { before: [], mixedUp: [], rules: [], day: 196, edits: NO_EDITS };
  const set = [larch.taxon.id, ash.taxon.id];
  for (const audience of ['technical', 'plain'] as const) {
    const stops = lessonOf(setting(audience), { ...asked, set });
    expect(stops.map(({ title }) => title)).toEqual(expect.arrayContaining(['Blatt', 'Rinde', 'Name']));
    const text = stops.map(({ title, words, ask, look }) => [title, words, ask, look].join(' ')).join(' ');
    expect(text).not.toMatch(/\b(the|leaf|bark|with|usually|which|remember|and|or|apart)\b/i);
    expect(text).not.toMatch(/[{}#*]/);
  }
});

test('of a twig in winter the buds are said; a name that needs its part has it', () => {
  const asked = { set: [ash.taxon.id, larch.taxon.id], before: [], mixedUp: [], rules: [], day: 196 };
  const wordsAt = (audience: 'technical' | 'plain', key: string) =>
    lessonOf(setting(audience), { ...asked, edits: NO_EDITS }).find((stop) => stop.key === key)?.words;
  expect(wordsAt('plain', 'fraxinus-latifolia/twig')).toMatch(
    /^Die Knospen sitzen meist paarweise einander gegenüber\./,
  );
  expect(wordsAt('technical', 'fraxinus-latifolia/twig')).toMatch(
    /^Knospen gegenständig \(manchmal quirlständig\)/,
  );
  expect(wordsAt('technical', 'fraxinus-latifolia/leaf')).toMatch(/^Blätter gegenständig/);
});

test('a label on a drawing is written as a German noun is, and ages are said', () => {
  const stops = lessonOf(setting('technical'), {
    set: [larch.taxon.id],
    before: [],
    mixedUp: [],
    rules: [],
    day: 196,
    edits: NO_EDITS,
  });
  const stop = stops.find(({ key }) => key === 'larix-occidentalis/bark')!;
  const site = { latitude: 47, longitude: 11, elevation: 600 };
  const frame = {
    vocabulary,
    units: 'metric' as const,
    site,
    reference: site,
    day: 196,
    width: 600,
    height: 400,
  };
  const labels = drawingOfStop(stop, [larch], frame, 'technical')!.labels.map(({ text }) => text);
  expect(labels.join()).toMatch(/^\p{Lu}/u);
  const young = profiled('Larix', 'occidentalis', { 'foliage.kind': 'tufts', 'bark.surface': 'jigsaw' });
  const both = drawingOfAges(young, ['bark'], frame);
  expect(both?.labels.map(({ text }) => text)).toEqual(['jung', 'ausgewachsen']);
});
