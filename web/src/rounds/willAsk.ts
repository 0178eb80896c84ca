import type { WholeCourse } from '@hurrow/contract/courses';
import type { Quiz } from '@hurrow/contract/quizzes';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { readLibrary, type Library } from '@hurrow/core/library';
import {
  asStudentsRead,
  choicesOf,
  namesToChoose,
  questionAt,
  type AskedOf,
  type FrozenQuestion,
  type NameToChoose,
} from '@hurrow/core/station';
import type { Vocabulary } from '@hurrow/core/vocabulary';

export interface AskSetting {
  library: Library;
  vocabulary: Vocabulary;
}

/** What a station asks, with what is right: what opening has fixed, or what it would fix now. Where both are empty a name is to be written. */
export interface AsksAt {
  asked: FrozenQuestion | undefined;
  choices: NameToChoose[];
  /** The list as it is taught. */
  list: readonly ProfiledTaxon[];
}

export function asksAt(
  station: Quiz['stations'][number],
  { sets, marking, units, ...site }: WholeCourse,
  { library, vocabulary }: AskSetting,
): AsksAt {
  const list = readLibrary(library).profilesOf(sets.flatMap(({ taxa }) => taxa));
  const { taxonId, seed, view, choose } = station;
  const ground = { list, vocabulary, marking, units, reference: library.reference, site };
  const now = questionAt(station, seed, ground);
  const asked = station.asking ?? (now?.ok ? now.value : undefined);
  const isChosen = choose && !asked && list.some(({ taxon }) => taxon.id === taxonId);
  const chosen = isChosen ? choicesOf(taxonId, list, vocabulary, view, { ...ground, seed }) : [];
  const taxa = list.map(({ taxon }) => taxon);
  return { asked, choices: namesToChoose(chosen, taxa, marking.policy), list };
}

/**
 * The same as students will read it.
 *
 * @example
 * willAsk({ question: { kind: 'family' }, … }, course, setting).question; // { kind: 'family', asked: 'To which family does it belong?', offered: [] }
 */
export function willAsk(
  station: Quiz['stations'][number],
  course: WholeCourse,
  setting: AskSetting,
): { question: AskedOf | null; choices: NameToChoose[] } {
  const { asked, choices } = asksAt(station, course, setting);
  return { question: asked ? asStudentsRead(asked, course.audience) : null, choices };
}
