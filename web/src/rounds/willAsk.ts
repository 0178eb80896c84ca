import type { WholeCourse } from '@hurrow/contract/courses';
import type { Quiz } from '@hurrow/contract/quizzes';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { readLibrary, type Library } from '@hurrow/core/library';
import {
  asStudentsRead,
  choicesOf,
  individualOf,
  namesToChoose,
  pictureOf,
  questionAt,
  type AskedOf,
  type FrozenQuestion,
  type NameToChoose,
  type QuestionContext,
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

const groundOf = (
  { sets, marking, units, ...site }: WholeCourse,
  { library, vocabulary }: AskSetting,
): QuestionContext => ({
  list: readLibrary(library).profilesOf(sets.flatMap(({ taxa }) => taxa)),
  vocabulary,
  marking,
  units,
  reference: library.reference,
  site,
});

export function asksAt(station: Quiz['stations'][number], course: WholeCourse, setting: AskSetting): AsksAt {
  const ground = groundOf(course, setting);
  const { list, vocabulary, marking } = ground;
  const { taxonId, seed, view, choose } = station;
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

/** What students will look at where it is drawn, as SVG: the individual, or the sheet of those that are sorted; null where nothing is. */
export function picturedAt(
  station: Quiz['stations'][number],
  course: WholeCourse,
  setting: AskSetting,
): string | null {
  const { asked, list } = asksAt(station, course, setting);
  const truth = list.find(({ taxon }) => taxon.id === station.taxonId);
  if (station.medium !== 'drawing' || !truth) return null;
  const ground = groundOf(course, setting);
  return pictureOf(individualOf(truth, station, station.seed, ground), asked, station.view, ground);
}
