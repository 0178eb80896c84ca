import { queryOptions, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { profilesOf, vocabularyOfLibrary, type Library } from '@hurrow/core/library';
import type { MarkingPolicy } from '@hurrow/core/names';
import { hopkinsDelay, shiftCalendar, type Calendar } from '@hurrow/core/season';
import type { Medium, View } from '@hurrow/core/view';
import { BUILT_IN, type TeachingStart, type Vocabulary } from '@hurrow/core/vocabulary';
import { get } from './api.ts';

export interface LibraryAnswer extends Library {
  id: string;
  name: string;
  revision: number;
}

export type OpenToStudents = 'profiles' | 'contrasts' | 'keys' | 'recap';

export interface CourseSummary {
  id: string;
  name: string;
  code: string;
  startsOn: string;
  weeks: number;
  audience: 'technical' | 'plain';
  units: 'metric' | 'imperial';
  marking: MarkingPolicy;
  latitude: number;
  longitude: number;
  elevation: number;
  /** The organs that a profile begins with. */
  startsWith: TeachingStart;
  /** What its students may open beside their quizzes. */
  opens: OpenToStudents[];
}

export interface CourseSet {
  id: string;
  title: string;
  week: number | null;
  taxa: string[];
}

export interface QuizSummary {
  id: string;
  title: string;
  held_on: string;
  state: 'planned' | 'open' | 'closed';
  released: boolean;
  stations: number;
  students: number;
}

export interface Course extends CourseSummary {
  sets: CourseSet[];
  students: { id: string; name: string; code: string; nameless: boolean }[];
  quizzes: QuizSummary[];
}

export interface ConfusionData {
  quizzes: { id: string; title: string; heldOn: string; state: string }[];
  stations: {
    id: string;
    quizId: string;
    position: number;
    truth: string;
    view: View;
    medium: Medium;
    revision: number;
    voided: boolean;
    /** Left out of the analyses; its marks stay. */
    leftOut: boolean;
  }[];
  answers: {
    studentId: string;
    student: string;
    stationId: string;
    quizId: string;
    written: string;
    how: string;
    named: string | null;
  }[];
  /** Pairs that were taught again, a before b in the alphabet. */
  reteachings: { a: string; b: string; taughtOn: string }[];
}

export const libraryQuery = (revision?: number) =>
  queryOptions({
    queryKey: ['library', revision ?? 'now'],
    queryFn: () => get<LibraryAnswer>(`/api/library${revision === undefined ? '' : `?revision=${revision}`}`),
  });

export const coursesQuery = queryOptions({
  queryKey: ['courses'],
  queryFn: () => get<CourseSummary[]>('/api/courses'),
});

export const courseQuery = (id: string) =>
  queryOptions({
    queryKey: ['course', id],
    queryFn: () => get<Course>(`/api/courses/${id}`),
    enabled: id !== '-',
  });

export const confusionsQuery = (id: string) =>
  queryOptions({
    queryKey: ['confusions', id],
    queryFn: () => get<ConfusionData>(`/api/courses/${id}/confusions`),
    enabled: id !== '-',
  });

/** The library with its adopted scores; retired taxa are left out of `profiles` and kept in `every`. */
export function useLibrary(revision?: number) {
  const query = useQuery(libraryQuery(revision));
  const library = query.data;
  const vocabulary = library ? vocabularyOfLibrary(library) : BUILT_IN;
  const every = useMemo(() => (library ? profilesOf(library, vocabulary) : []), [library, vocabulary]);
  const profiles = useMemo(() => every.filter(({ taxon }) => !taxon.retired), [every]);
  return { query, library, vocabulary, every, profiles };
}

/** The characters of the library: the built-in ones with its own words, states and additions. */
export function useVocabulary(): Vocabulary {
  const library = useQuery(libraryQuery()).data;
  return library ? vocabularyOfLibrary(library) : BUILT_IN;
}

/** A calendar of the library as it runs at the course's site. */
export const calendarAtSite = (
  calendar: Calendar,
  library: Library,
  site: CourseSummary | undefined,
): Calendar => (site ? shiftCalendar(calendar, hopkinsDelay(library.reference, site)) : calendar);
