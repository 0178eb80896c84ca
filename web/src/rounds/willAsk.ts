import type { WholeCourse } from '@hurrow/contract/courses';
import type { Quiz } from '@hurrow/contract/quizzes';
import { readLibrary, type Library } from '@hurrow/core/library';
import {
  asStudentsRead,
  choicesOf,
  namesToChoose,
  questionAt,
  type AskedOf,
  type NameToChoose,
} from '@hurrow/core/station';
import type { Vocabulary } from '@hurrow/core/vocabulary';

/**
 * What a station asks, as students will read it: what opening has fixed, or what it would fix now. Both are empty where a name is to be written.
 *
 * @example
 * willAsk({ question: { kind: 'family' }, … }, course, setting).question; // { kind: 'family', asked: 'To which family does it belong?', offered: [] }
 */
export function willAsk(
  station: Quiz['stations'][number],
  { sets, marking, units, audience, ...site }: WholeCourse,
  { library, vocabulary }: { library: Library; vocabulary: Vocabulary },
): { question: AskedOf | null; choices: NameToChoose[] } {
  const list = readLibrary(library).profilesOf(sets.flatMap(({ taxa }) => taxa));
  const { taxonId, seed, view, choose } = station;
  const ground = { list, vocabulary, marking, units, reference: library.reference, site };
  const now = questionAt(station, seed, ground);
  const asked = station.asking ?? (now?.ok ? now.value : undefined);
  if (asked) return { question: asStudentsRead(asked, audience), choices: [] };
  if (!choose || !list.some(({ taxon }) => taxon.id === taxonId)) return { question: null, choices: [] };
  const chosen = choicesOf(taxonId, list, vocabulary, view, { ...ground, seed });
  return {
    question: null,
    choices: namesToChoose(
      chosen,
      list.map(({ taxon }) => taxon),
      marking.policy,
    ),
  };
}
