import { expose } from 'comlink';
import { agnes } from 'ml-hclust';
import {
  contrast,
  dissimilarity,
  gapsOf,
  pairErrors,
  readingsOfTrees,
  SETTLED_AT,
  singlesOut,
  type ProfiledTaxon,
  type ReadingOptions,
} from '@hurrow/core/evidence';
import { appraise, buildKey, questionsAt, replaceCouplet, type Key, type KeyOptions } from '@hurrow/core/key';
import type { Condition } from '@hurrow/core/condition';
import {
  choiceFairness,
  easierQuestion,
  withoutSenses,
  type Need,
  judgedAt,
  questionFairness,
  repairOf,
  stationFairness,
  type Question,
} from '@hurrow/core/station';
import { recapOf } from '@hurrow/core/recap';
import { mineRules } from '@hurrow/core/rule';
import { midMonth } from '@hurrow/core/season';
import { readLibrary } from '@hurrow/core/library';
import { onDay, type View } from '@hurrow/core/view';
import type { Level, Vocabulary } from '@hurrow/core/vocabulary';
import { call } from '../app/api.ts';
import { KeptLibrary, type Named } from './keptLibrary.ts';

/**
 * What a computation starts from, named and not sent: the worker reads the library itself, since a large one handed over would hold up
 * the page.
 */
export interface Asked extends Named {
  /** Taxa of the list, in order. */
  taxa: string[];
  levels: readonly Level[];
  view: View;
  options: ReadingOptions;
}

/** What every computation on a list works on. */
interface Setting {
  list: ProfiledTaxon[];
  vocabulary: Vocabulary;
  view: View;
  options: ReadingOptions;
}

const kept = new KeptLibrary((revision) =>
  call('GET /api/library', { query: { revision } }).then(readLibrary),
);

async function settingOf({ taxa, levels, view, options, ...named }: Asked): Promise<Setting> {
  const read = await kept.of(named);
  return {
    list: read.profilesOf(taxa),
    vocabulary: new Map([...read.vocabulary].filter(([, character]) => levels.includes(character.level))),
    view,
    options,
  };
}

type Progress = (share: number) => void;

/** Places of a list in an order in which likes stand together: the leaves of an average-linkage tree. */
function likesTogether({ list, vocabulary, view, options }: Setting): number[] {
  if (list.length < 3) return [...list.keys()];
  const readings = readingsOfTrees(list, vocabulary, view, options);
  const distance = list.map((_, a) => list.map((_other, b) => (a === b ? 0 : dissimilarity(readings, a, b))));
  return agnes(distance, { method: 'average', isDistanceMatrix: true }).indices();
}

/** The heavy work of Lookalikes. */
/** What is asked of one station. */
export interface StationAsked {
  taxonId: string;
  /** What is asked in place of the name. */
  question: Question | null;
  /** Are four names to choose from? */
  choose: boolean;
  /** What is done otherwise in the class. */
  needs: readonly Need[];
}

const computations = {
  /** Every pair's error, the taxa in an order in which likes stand together, why the hard pairs are hard, and what to score next. */
  pairMap({ list, vocabulary, view, options }: Setting, progress: Progress) {
    const pairs = pairErrors(list, vocabulary, view, options);
    progress(0.5);
    const order = likesTogether({ list, vocabulary, view, options });
    const hard = pairs.filter(({ error }) => error > SETTLED_AT).sort((x, y) => y.error - x.error);
    const why = hard.slice(0, 60).map((pair) => {
      const found = contrast(list, list[pair.a]!.taxon.id, list[pair.b]!.taxon.id, vocabulary, view, options);
      return {
        ...pair,
        best: found.said,
        gaps: found.gaps.map(({ characterId }) => characterId),
      };
    });
    progress(0.8);
    const gaps = gapsOf(list, vocabulary, view, options)
      .filter((gap) => gap.wouldSettle.length > 0)
      .slice(0, 8)
      .map(({ character, taxa, wouldSettle }) => ({
        characterId: character.id,
        taxa,
        pairs: wouldSettle.length,
      }));
    progress(1);
    return { pairs, order, hard: why, hardCount: hard.length, gaps };
  },

  /** The taxa by id, likes together. */
  likenessOrder: (setting: Setting): string[] => likesTogether(setting).map((i) => setting.list[i]!.taxon.id),

  /** How many pairs are settled, doubtful and not settled in the middle of each month. */
  overYear({ list, vocabulary, view, options }: Setting, progress: Progress) {
    return Array.from({ length: 12 }, (_, month) => {
      const pairs = pairErrors(list, vocabulary, onDay(view, midMonth(month)), options);
      progress((month + 1) / 12);
      const doubtful = pairs.filter(({ error }) => error > SETTLED_AT && error <= 0.1).length;
      const open = pairs.filter(({ error }) => error > 0.1).length;
      return { settled: pairs.length - doubtful - open, doubtful, open };
    });
  },

  marks({ list, vocabulary, view, options }: Setting, taxa: string[], progress: Progress) {
    return singlesOut(list, vocabulary, view, { ...options, taxa, progress });
  },

  recap({ list, vocabulary, view, options }: Setting, taxa: string[]) {
    return recapOf(list, taxa, vocabulary, view, options);
  },

  key({ list, vocabulary, view, options }: Setting, wanted: KeyOptions, progress: Progress) {
    const key = buildKey(list, vocabulary, view, {
      ...options,
      ...wanted,
      progress: (share) => progress(share * 0.6),
    });
    const appraisal = appraise(key, list, vocabulary, options);
    progress(1);
    return { key, appraisal };
  },

  appraise({ list, vocabulary, options }: Setting, key: Key) {
    return appraise(key, list, vocabulary, options);
  },

  questions({ list, vocabulary, options }: Setting, key: Key, path: number[], wanted: KeyOptions) {
    return questionsAt(key, path, list, vocabulary, { ...options, ...wanted });
  },

  replace(
    { list, vocabulary, options }: Setting,
    key: Key,
    path: number[],
    leads: Condition[],
    wanted: KeyOptions,
  ) {
    const replaced = replaceCouplet(key, path, leads, list, vocabulary, { ...options, ...wanted });
    return replaced.ok
      ? { ...replaced, appraisal: appraise(replaced.value, list, vocabulary, options) }
      : replaced;
  },

  /** How fair what a station asks is in its view, for those who do without a sense as well, and what would repair it. */
  station({ list, vocabulary, view, options }: Setting, { taxonId, question, choose, needs }: StationAsked) {
    if (question) {
      const of = (reader: 'careful' | 'novice') =>
        questionFairness(question, list, taxonId, vocabulary, view, { ...options, reader });
      const right = of('careful');
      const judged = { right, judgement: judgedAt(right), beginner: of('novice') };
      return { ...judged, rivals: [], repair: undefined, easier: undefined, without: [] };
    }
    const fairnessAs = choose ? choiceFairness : stationFairness;
    const fairness = fairnessAs(list, taxonId, vocabulary, view, options);
    const { right, judgement } = fairness;
    const { right: beginner } = fairnessAs(list, taxonId, vocabulary, view, {
      ...options,
      reader: 'novice',
      draws: 600,
    });
    const without = withoutSenses(needs, list, taxonId, vocabulary, view, right, options);
    const isFair = judgement === 'fair';
    const repair = isFair ? undefined : repairOf(list, taxonId, vocabulary, view, options);
    const easier = isFair ? undefined : easierQuestion(list, taxonId, vocabulary, view, options);
    return { ...fairness, beginner, repair, easier, without };
  },

  rules({ list, vocabulary, view, options }: Setting, progress: Progress) {
    return mineRules(list, vocabulary, view, { ...options, progress });
  },
};

type Computations = typeof computations;
/** The same away from the page, from what is asked instead of what it is worked out on. A call that is no longer wanted is ended with its worker. */
export type LookalikesWork = {
  [Name in keyof Computations]: Computations[Name] extends (
    setting: Setting,
    ...rest: infer Rest
  ) => infer Result
    ? (asked: Asked, ...rest: Rest) => Promise<Result>
    : never;
};

type Computation = (setting: Setting, ...rest: unknown[]) => unknown;
expose(
  Object.fromEntries(
    Object.entries(computations).map(([name, compute]) => [
      name,
      async (asked: Asked, ...rest: unknown[]) => (compute as Computation)(await settingOf(asked), ...rest),
    ]),
  ),
);
