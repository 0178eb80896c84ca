import { syllable } from 'syllable';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { pointsOf, tellingOfList, type LessonSetting } from '@hurrow/core/lesson';
import { readLibrary } from '@hurrow/core/library';
import { highs } from '@hurrow/core/program';
import { randomFrom } from '@hurrow/core/random';
import {
  commonnessAt,
  judgeTerm,
  prospectsOf,
  proposeTerm,
  USUAL_WISHES,
  type TermWishes,
} from '@hurrow/core/term';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import { demoLibrary } from '../../demo/src/library.ts';
import { demoRanges } from '../../demo/src/ranges.ts';
import { secondFlora } from '../../demo/src/starters.ts';
import { median, milliseconds, type Row } from './row.ts';

/** The demo's course: fourteen weeks from 31 August at 780 m. */
const PLACE = { latitude: 47.6, longitude: -116.4, elevation: 780 };
const WEEKS = Array.from({ length: 14 }, (_, i) => i + 1);
const DAYS = WEEKS.map((week) => 243 + 7 * (week - 1) + 3);
const RUNS = 5;
const RANDOM_ORDERS = 200;

/** Sets of a term against other orders, by their own measure and the clock; how readable lessons in plain words are. */
export async function teaching(): Promise<Row[]> {
  return [...(await terms()), ...readability()];
}

async function terms(): Promise<Row[]> {
  const library = demoLibrary();
  const list = readLibrary(library).profiles;
  const ranges = demoRanges();
  const solve = await highs();
  const common = { weeks: WEEKS, days: DAYS, reference: library.reference, site: PLACE };
  const prospects = prospectsOf(list, BUILT_IN, {
    ...common,
    commonness: commonnessAt(list, PLACE, (id) => ranges[id]),
  });
  const rows = (['together', 'apart'] as const).flatMap((lookalikes): Row[] => {
    const wishes: TermWishes = { ...USUAL_WISHES, to: 14, lookalikes };
    const found = proposeTerm(prospects, wishes, solve);
    const sets = new Set(Object.values(found.plan)).size;
    const inOrder = (order: readonly ProfiledTaxon[]) => {
      const plan = Object.fromEntries(
        order.map(({ taxon }, i) => [taxon.id, Math.floor((i * sets) / order.length) + 1]),
      );
      return judgeTerm(prospects, wishes, plan).measure.total;
    };
    const named = (key: (each: ProfiledTaxon) => string) =>
      inOrder([...list].sort((x, y) => key(x).localeCompare(key(y))));
    const random = randomFrom(11);
    const shuffled = Array.from({ length: RANDOM_ORDERS }, () =>
      inOrder(
        [...list]
          .map((each) => ({ each, at: random.uniform() }))
          .sort((x, y) => x.at - y.at)
          .map(({ each }) => each),
      ),
    );
    const others = [
      named(({ taxon }) => taxon.id),
      named(({ taxon }) => `${taxon.family} ${taxon.id}`),
      Math.min(...shuffled),
    ];
    return [
      {
        what: `sets of the demo list, lookalikes ${lookalikes}: measure; proved no less than; rules broken`,
        value: `${found.measure.total.toFixed(3)}; ${found.bound.toFixed(3)}; ${found.broken.length}`,
        wanted: '0 broken',
      },
      {
        what: 'the same alphabetical; by family; best of 200 random orders',
        value: others.map((each) => each.toFixed(3)).join('; '),
        wanted: 'more',
      },
    ];
  });
  return [...rows, await sixtyTaxa(solve)];
}

/** The demo's trees with those of the second flora: 60 species in fourteen weeks, from the scores to the plan. */
async function sixtyTaxa(solve: Awaited<ReturnType<typeof highs>>): Promise<Row> {
  const ours = readLibrary(demoLibrary()).profiles;
  const ids = new Set(ours.map(({ taxon }) => taxon.id));
  const others = readLibrary(secondFlora()).profiles.filter(({ taxon }) => !ids.has(taxon.id));
  const list = [...ours, ...others].slice(0, 60);
  const { reference } = demoLibrary();
  const times = { together: [] as number[], apart: [] as number[] };
  for (let run = 0; run < RUNS; run += 1)
    for (const lookalikes of ['together', 'apart'] as const) {
      const start = performance.now();
      const prospects = prospectsOf(list, BUILT_IN, { weeks: WEEKS, days: DAYS, reference, site: PLACE });
      proposeTerm(prospects, { ...USUAL_WISHES, to: 14, lookalikes }, solve);
      times[lookalikes].push(performance.now() - start);
    }
  return {
    what: 'sets for 60 taxa × 14 weeks, from the scores on: lookalikes together; apart',
    value: `${milliseconds(median(times.together))}; ${milliseconds(median(times.apart))}`,
    wanted: '≤ 2 s',
  };
}

/**
 * Grade of Flesch and Kincaid (J. P. Kincaid et al. 1975): 0.39 · words a sentence + 11.8 · syllables a word − 15.59. Age 12 is grade 6.
 * Botanical names and numbers stand apart: they are not read as words.
 */
function gradeOf(text: string): number {
  const sentences = text.split(/[.!?:]+\s/).filter(Boolean);
  const words = text.split(/\s+/).filter((word) => /^[A-Za-z’'-]+[.,:;]?$/.test(word));
  const syllables = words.reduce((sum, word) => sum + Math.max(1, syllable(word)), 0);
  return (0.39 * words.length) / sentences.length + (11.8 * syllables) / words.length - 15.59;
}

function readability(): Row[] {
  const library = demoLibrary();
  const list = readLibrary(library).profiles;
  const grades = (audience: LessonSetting['audience']) => {
    const setting: LessonSetting = {
      list,
      vocabulary: BUILT_IN,
      audience,
      units: 'imperial',
      startsWith: 'leaf',
      reading: { reference: library.reference, site: PLACE },
    };
    const telling = tellingOfList(setting);
    return list.map(({ taxon }) =>
      gradeOf(
        pointsOf(setting, taxon.id, telling)
          .filter(({ topic }) => topic !== 'name' && topic !== 'caution')
          .map(({ words }) => words)
          .join(' '),
      ),
    );
  };
  const plain = grades('plain');
  return [
    {
      what: 'lessons of the 42 demo trees in plain words: Flesch–Kincaid grade, median; hardest tree',
      value: `${median(plain).toFixed(1)}; ${Math.max(...plain).toFixed(1)}`,
      wanted: '≤ 6 (age 12)',
    },
  ];
}
