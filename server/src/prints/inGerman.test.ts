import { QUIZ_PAPERS } from '@hurrow/contract/limits';
import { USUAL_ROUNDS } from '@hurrow/contract/rounds';
import type { Course } from '@hurrow/contract/courses';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { careOnTheWay, HAZARDS, newTree, planWalk, WHO_DECIDES } from '@hurrow/core/grounds';
import { buildKey } from '@hurrow/core/key';
import { timetable } from '@hurrow/core/rotation';
import { parseScore, type AdoptedScore } from '@hurrow/core/score';
import { fixQuestion, type Question } from '@hurrow/core/station';
import { MEDIUM_VIEWS } from '@hurrow/core/view';
import { BUILT_IN, type Vocabulary } from '@hurrow/core/vocabulary';
import { spokenIn } from '../language/spokenIn.ts';
import { SHEETS } from './sheets.ts';

/** A made-up tree, its names in a language that is neither. */
const tree = (genus: string, common: string, scores: Record<string, string>): ProfiledTaxon => ({
  taxon: {
    id: genus.toLowerCase(),
    rank: 'species',
    genus,
    epithet: 'ficta',
    family: `${genus}aceae`,
    commonNames: [common, `${common}u`],
    synonyms: [],
    calendar: { leaves: [{ from: 125, to: 290 }], flowers: [{ from: 124, to: 138 }] },
    cautions: [{ kind: 'thorns', part: 'Xa', effect: 'Xe.', care: 'Xi.' }],
  },
  scores: Object.entries(scores).map(([characterId, text]): AdoptedScore => {
    const value = parseScore(text, BUILT_IN.get(characterId)!);
    if (!value.ok) throw new Error(`${characterId}: ${value.problem}`);
    return { characterId, qualifiers: {}, value: value.value, from: ['s'], statements: [], disagree: false };
  }),
});
const list = [
  tree('Uxa', 'Uxi', {
    'foliage.kind': 'broad blade',
    'twig.arrangement': 'opposite',
    'bud.scales': 'two, valvate',
  }),
  tree('Oxa', 'Oxi', {
    'foliage.kind': 'broad blade',
    'twig.arrangement': 'alternate',
    'bud.scales': 'one cap',
  }),
];
const view = {
  ...MEDIUM_VIEWS.cutting,
  organs: ['twig', 'bud'] as ['twig', 'bud'],
  day: 288,
  qualifiers: {},
};
const question = (asked: Question) => {
  const marking = {
    policy: 'binomialFamily' as const,
    points: { name: 2, genus: 1, epithet: 1, family: 1 },
    deduction: 0.25,
  };
  const made = fixQuestion(
    asked,
    { truth: list[0]!, view, traits: null, seed: 1 },
    { list, vocabulary: BUILT_IN, marking, units: 'metric' },
  );
  if (!made.ok) throw new Error(made.problem);
  return made.value;
};
const site = { latitude: 47, longitude: 11, elevation: 500 };
const students = ['Wq', 'Wz'].map((name) => ({
  id: name,
  name,
  code: name.toUpperCase(),
  nameless: false,
  needs: [],
}));
const rounds = { ...USUAL_ROUNDS, rests: 1 };

/** What is on paper in a course that calls its trees in a language. */
function papers(namesIn: string | null): Record<string, string[]> {
  const course: Course = {
    ...{ id: 'c', name: 'Kx', code: 'KXQ', audience: 'technical', units: 'metric', namesIn, ...site },
    marking: { policy: 'binomialFamily' },
  } as never;
  const vocabulary = spokenIn(BUILT_IN, namesIn);
  const station = (position: number, asked?: Question) => ({
    ...{
      position,
      taxonId: 'uxa',
      medium: 'livingTree' as const,
      view,
      choices: position === 1 ? ['uxa', 'oxa'] : [],
    },
    ...{ asks: asked ? [] : ['bud.scales'], asked: asked && question(asked) },
  });
  const taken = {
    ...{ at: 'http://h.example', course, quiz: { id: 'q', title: 'Qx', heldOn: '2026-10-15' } as never },
    stations: [
      station(1),
      station(2),
      station(3, { kind: 'state', characterId: 'twig.arrangement' }),
      station(4, { kind: 'family' }),
    ],
    ...{ list, vocabulary, reference: site, students, rounds, contest: null },
    rotation: timetable(
      rounds,
      students.map(({ id }) => id),
      4,
    ),
  };
  const options = {
    ...{ language: namesIn, audience: 'technical' as const, units: 'metric' as const, black: true },
    ...{ vocabulary, day: 230, sources: [], reference: site, site },
  };
  const rows = [{ taxonId: 'uxa', marks: [], notSettled: ['oxa'] }];
  return {
    ...Object.fromEntries(QUIZ_PAPERS.map((what) => [what, wordsIn(SHEETS.quiz(what, taken, 'a4'))])),
    slips: wordsIn(SHEETS.slips(course, students, 'http://h.example', 'a4')),
    cards: wordsIn(SHEETS.cards(list, 'a4', options)),
    profile: wordsIn(SHEETS.profile(list[0]!, undefined, [], options)),
    contrast: wordsIn(SHEETS.contrast(list, list, view, 'Xo.', options)),
    marks: wordsIn(SHEETS.marks('Mx', rows, list, namesIn)),
    leads: wordsIn(SHEETS.key('Sx', buildKey(list, vocabulary, view, options), list, 'bracketed', options)),
    mini: wordsIn(
      SHEETS.miniLesson({ list, a: 'uxa', b: 'oxa', course: 'Kx', language: namesIn }, view, {
        ...options,
        list,
      }),
    ),
    report: wordsIn(SHEETS.courseReport(reported(course, vocabulary))),
    walk: wordsIn(SHEETS.walk(walked(namesIn), 'a4')),
    labels: wordsIn(
      SHEETS.pieceLabels(
        [{ code: 'x', big: '1', cutOn: '2026-10-15', goodUntil: '2026-10-20' }],
        'Lx',
        namesIn,
      ),
    ),
  };
}

/** A report on a class with a pair that was taught again, and of which too little was answered to say more. */
function reported(course: Course, vocabulary: Vocabulary): Parameters<typeof SHEETS.courseReport>[0] {
  const quiz = { title: 'Qx', heldOn: '2026-10-15', asked: 12, right: 7 };
  const pair = {
    truth: 'uxa',
    answer: 'oxa',
    count: 3,
    asked: 9,
    rate: 0.3,
    interval: [0.1, 0.5],
    standsOut: false,
  };
  const counted = { before: { asked: 9, mixed: 5 }, after: { asked: 9, mixed: 1 } };
  const since = {
    a: 'uxa',
    b: 'oxa',
    students: 4,
    taughtOn: '2026-10-01',
    verdict: 'improving',
    specimens: 'easier',
    counted,
  };
  return {
    ...{ course, vocabulary, on: '2026-10-20', names: { uxa: 'Uxi', oxa: 'Oxi' } },
    sets: [{ id: 's', title: 'Sx', week: 1, taxa: ['uxa'] }],
    ...{ counts: { quizzes: [quiz] }, pairs: [pair], since: [since], practice: [] },
    report: {
      state: 'tooFew',
      students: 2,
      answers: 12,
      errors: 5,
      reports: { all: 4, practice: 1, sorting: 2 },
    },
  } as never;
}

/** A walk over steps after dark, past all that has to be minded, to a tree that nobody has named. */
function walked(language: string | null): Parameters<typeof SHEETS.walk>[0] {
  const trees = ['T1', 'T2'].map((tag, i) => ({
    ...newTree(tag, 47 + i / 1000, 11),
    ...{ id: tag, taxonId: i ? null : 'uxa', hazards: [...HAZARDS] },
  }));
  const place = { latitude: 47.002, longitude: 11 };
  const walk = {
    ...{
      groundsId: 'g',
      name: 'Gx',
      day: '2026-10-15',
      begins: '20:00',
      beginsAt: Date.UTC(2026, 9, 15, 18),
    },
    ...{
      treeIds: ['T1', 'T2'],
      minutes: 4,
      stepFree: false,
      unlike: false,
      start: place,
      end: place,
      checklists: [],
    },
  };
  const features = { type: 'FeatureCollection' as const, features: [] };
  const startsAt = new Date(walk.beginsAt);
  const planned = planWalk(trees, features, [], { ...walk, asGiven: true, startsAt });
  return {
    ...{ course: 'Kx', language, grounds: 'Gx', features, walk, planned, whoDecides: WHO_DECIDES },
    stops: planned.stops.map((stop, i) => ({
      ...stop,
      ...{ tree: trees[i]!, name: i ? undefined : 'Uxi', family: '', toShow: ['Xo'] },
      cautions: [{ kind: 'thorns', care: 'Xi.' }],
    })),
    care: careOnTheWay(planned.stops),
    units: 'metric',
    roll: ['Wq'],
  };
}

/** Every text of a sheet, also that of its foot; pictures aside. */
function wordsIn(sheet: unknown): string[] {
  if (typeof sheet === 'string') return [sheet];
  if (typeof sheet === 'function' && sheet.length === 2)
    return wordsIn((sheet as (a: number, b: number) => unknown)(1, 2));
  if (typeof sheet !== 'object' || sheet === null) return [];
  return Object.entries(sheet).flatMap(([key, value]) =>
    /^(text|title|info|content|stack|columns|body|table|ul|ol|footer|header|\d+)$/.test(key)
      ? wordsIn(value)
      : [],
  );
}

/** The names of the test, figures, and what both languages say alike. */
const ALIKE =
  /^([UO]x\w+|ficta|Wq|Wz|WQ|WZ|Xa|Xe|Xi|Xo|Kx|KXQ|Qx|Lx|Mx|Sx|Gx|T1|T2|http\S*|Name|Synonym|Signatur|\d\S*|ab|am|an|in|was|m|min|s|A|B)$/;

test('no paper is left in English where a course calls its trees in German', () => {
  const [english, german] = [papers(null), papers('de')];
  for (const [paper, words] of Object.entries(german)) {
    const before = new Set(english[paper]!.flatMap((text) => text.split(/[^\p{L}\p{N}:/.]+/u)));
    const left = words.flatMap((text) => text.split(/[^\p{L}\p{N}:/.]+/u)).filter((word) => before.has(word));
    expect([
      paper,
      [...new Set(left.map((word) => word.replace(/[.:]+$/, '')))].filter(
        (word) => word && !ALIKE.test(word),
      ),
    ]).toEqual([paper, []]);
  }
});

test('what is asked, what hurts and what settles it are said in German', () => {
  const german = papers('de');
  expect(german['answers']).toContain('Epitheton');
  const cards = german['stations']!.join('\n');
  expect(cards).toMatch(/Dornen: am Etikett anfassen\./);
  expect(cards).toMatch(/Was trifft hier zu\?/);
  expect(cards).toMatch(/wechselständig {2}·.* {2}gegenständig/);
  expect(german['key']!.join('\n')).toMatch(/nicht Oxi: /);
  expect(german['contrast']!.join('\n')).toMatch(/^Entschieden am 15\. Okt; zu sehen: Zweig/m);
});
