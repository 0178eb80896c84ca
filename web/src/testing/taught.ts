import type { WholeCourse } from '@hurrow/contract/courses';
import type { LibraryAnswer } from '@hurrow/contract/library';
import { parseScore, type Score } from '@hurrow/core/score';
import type { Taxon } from '@hurrow/core/taxon';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import type { Answers } from './server.ts';

export const taxonOf = (genus: string, epithet: string, common: string, family: string): Taxon => ({
  id: `${genus}-${epithet}`.toLowerCase(),
  rank: 'species',
  genus,
  epithet,
  family,
  commonNames: [common],
  synonyms: [],
  calendar: { leaves: [{ from: 120, to: 290 }] },
  cautions: [],
});

/** A score as one types it. */
export const scoreOf = (characterId: string, text: string, sourceId = 'manual'): Score => {
  const read = parseScore(text, BUILT_IN.get(characterId)!);
  if (!read.ok) throw new Error(read.problem);
  return { characterId, sourceId, qualifiers: {}, value: read.value };
};

const broad = (lobing: string, arrangement: string) => [
  scoreOf('foliage.kind', 'broad'),
  scoreOf('twig.arrangement', arrangement),
  scoreOf('leaf.lobing', lobing),
];

/** A library of two maples, a birch and a pine, of two sources. */
export const library = (): LibraryAnswer => ({
  id: 'library',
  name: 'Our library',
  revision: 7,
  reference: { latitude: 47.6, longitude: -116.4, elevation: 780 },
  sources: [
    { id: 'manual', label: 'Manual' },
    { id: 'notes', label: 'Notes' },
  ],
  reconciliation: { rule: 'preferred', order: ['manual', 'notes'] },
  characters: [],
  taxa: [
    {
      taxon: taxonOf('Acer', 'rubrum', 'red maple', 'Sapindaceae'),
      scores: [...broad('palmate', 'opposite'), scoreOf('bud.length', '3–6 mm')],
    },
    {
      taxon: taxonOf('Acer', 'saccharum', 'sugar maple', 'Sapindaceae'),
      scores: [...broad('palmate', 'opposite'), scoreOf('bud.length', '5–9 mm')],
    },
    { taxon: taxonOf('Betula', 'lenta', 'sweet birch', 'Betulaceae'), scores: broad('unlobed', 'alternate') },
    {
      taxon: taxonOf('Pinus', 'strobus', 'white pine', 'Pinaceae'),
      scores: [scoreOf('foliage.kind', 'bundled'), scoreOf('needle.perBundle', '5')],
    },
  ],
});

/** A course that teaches two maples in its first week and the birch in its third. */
export const course = (more: Partial<WholeCourse> = {}): WholeCourse => ({
  id: 'course',
  role: 'owner',
  code: 'LEAF',
  name: 'Trees in autumn',
  startsOn: '2026-09-07',
  weeks: 6,
  audience: 'technical',
  units: 'metric',
  marking: { policy: 'binomial', points: { name: 2, genus: 1, epithet: 1, family: 1 }, deduction: 0.25 },
  latitude: 47.6,
  longitude: -116.4,
  elevation: 780,
  startsWith: 'twig',
  opens: [],
  closedWeeks: [],
  seesSlips: true,
  asksInPractice: true,
  namesIn: null,
  sets: [
    { id: 'maples', title: 'Maples', week: 1, taxa: ['acer-rubrum', 'acer-saccharum'] },
    { id: 'birch', title: 'Birch', week: 3, taxa: ['betula-lenta'] },
  ],
  students: [],
  quizzes: [],
  ...more,
});

/** What every page of the workbench asks: who is there, and the library. */
export const USUAL: Answers = {
  'GET /api/session': {
    setupNeeded: false,
    demo: false,
    today: '2026-10-15',
    who: { id: 'ines', name: 'Ines', role: 'owner' },
    institution: null,
  },
  'GET /api/library/state': { revision: 7, tag: 'a' },
  'GET /api/library': library(),
};
