import { lessonOf, type LessonAsked, type LessonSetting, type LessonStop } from '@hurrow/core/lesson';
import { highs } from '@hurrow/core/program';
import {
  prospectsOf,
  proposeTerm,
  USUAL_WISHES,
  type ProspectOptions,
  type Prospects,
  type TermProposal,
  type TermWishes,
} from '@hurrow/core/term';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import type { Range } from '@hurrow/core/range';
import type { Vocabulary } from '@hurrow/core/vocabulary';

/** What is worked out for teaching: plain data, which travels to a thread. */
export type TeachingTask =
  | { kind: 'lesson'; setting: SentSetting; asked: LessonAsked }
  | { kind: 'prospects'; ground: TermGround }
  | { kind: 'proposal'; ground: TermGround; wishes: TermWishes };

export interface SentSetting extends Omit<LessonSetting, 'rangeOf'> {
  ranges: Record<string, Range>;
}

export interface TermGround {
  /** The same for the same list at the same revision, site and weeks. */
  key: string;
  list: readonly ProfiledTaxon[];
  vocabulary: Vocabulary;
  options: ProspectOptions;
}

/** Seconds. */
const WARMING_UP = 0.3;

/** What a term offers is asked for first, and planned from next. */
let held: { key: string; prospects: Prospects } | undefined;

function remembered(key: string, work: () => Prospects): Prospects {
  if (held?.key !== key) held = { key, prospects: work() };
  return held.prospects;
}

/** Runs in a thread of its own, which never opens the store. */
export default async function work(task: TeachingTask): Promise<LessonStop[] | Prospects | TermProposal> {
  if (task.kind === 'lesson') {
    const { ranges, ...setting } = task.setting;
    return lessonOf({ ...setting, rangeOf: (id) => ranges[id] }, task.asked);
  }
  const { list, vocabulary, options } = task.ground;
  const prospects = remembered(task.ground.key, () => prospectsOf(list, vocabulary, options));
  const solve = await highs();
  if (task.kind === 'proposal') return proposeTerm(prospects, task.wishes, solve);
  // Whoever looks at what a term offers asks for a proposal next: the solver is fastest the second time.
  proposeTerm(prospects, { ...USUAL_WISHES, to: prospects.weeks.length }, solve, WARMING_UP);
  return prospects;
}
