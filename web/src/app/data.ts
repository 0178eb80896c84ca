import type { Course } from '@hurrow/contract/courses';
import { queryOptions, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { profilesOf, vocabularyOfLibrary, type Library } from '@hurrow/core/library';
import { hopkinsDelay, shiftCalendar, type Calendar } from '@hurrow/core/season';
import { BUILT_IN, type Vocabulary } from '@hurrow/core/vocabulary';
import { call } from './api.ts';

export const libraryQuery = (revision?: number) =>
  queryOptions({
    queryKey: ['library', revision ?? 'now'],
    queryFn: () => call('GET /api/library', { query: { revision } }),
  });

export const coursesQuery = queryOptions({
  queryKey: ['courses'],
  queryFn: () => call('GET /api/courses'),
});

export const courseQuery = (id: string) =>
  queryOptions({
    queryKey: ['course', id],
    queryFn: () => call('GET /api/courses/{courseId}', { params: { courseId: id } }),
    enabled: id !== '-',
  });

export const confusionsQuery = (id: string) =>
  queryOptions({
    queryKey: ['confusions', id],
    queryFn: () => call('GET /api/courses/{courseId}/confusions', { params: { courseId: id } }),
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
export const calendarAtSite = (calendar: Calendar, library: Library, site: Course | undefined): Calendar =>
  site ? shiftCalendar(calendar, hopkinsDelay(library.reference, site)) : calendar;
