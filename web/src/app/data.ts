import { unpackAnswers } from '@hurrow/contract/packedAnswers';
import type { Course } from '@hurrow/contract/courses';
import { queryOptions, useQuery } from '@tanstack/react-query';
import { useCallback, useMemo } from 'react';
import { useParams } from 'react-router';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { namedIn, readLibrary, vocabularyOfLibrary, type Library } from '@hurrow/core/library';
import { hopkinsDelay, shiftCalendar, type Calendar } from '@hurrow/core/season';
import { BUILT_IN, type Vocabulary } from '@hurrow/core/vocabulary';
import { spokenVocabulary } from '../language/vocabulary.ts';
import { call } from './api.ts';

/**
 * A library at a revision, which is fetched once: nothing of it changes. The tag tells it from that of another store, as one brought back
 * from a copy, whose revisions have the same numbers.
 */
const revisionQuery = (revision: number, tag = '') =>
  queryOptions({
    queryKey: ['revision', revision, tag],
    queryFn: async () => ({ ...(await call('GET /api/library', { query: { revision } })), tag }),
    staleTime: Infinity,
    structuralSharing: false,
  });

/** The library as it is now, or at a revision. Asked again, it is the same object until it has changed. */
export const libraryQuery = (revision?: number) =>
  queryOptions({
    queryKey: ['library', revision ?? 'now'],
    queryFn: async ({ client }) => {
      if (revision !== undefined) return client.fetchQuery(revisionQuery(revision));
      const now = await call('GET /api/library/state');
      return client.fetchQuery(revisionQuery(now.revision, now.tag));
    },
    structuralSharing: false,
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
    queryFn: async () => {
      const sent = await call('GET /api/courses/{courseId}/confusions', { params: { courseId: id } });
      return { ...sent, answers: unpackAnswers(sent.answers) };
    },
    enabled: id !== '-',
  });

/** The language in which the course of this page says common names; null for that of the library, and where there is no course. */
export const useNamesIn = (): string | null =>
  useQuery(courseQuery(useParams()['courseId'] ?? '-')).data?.namesIn ?? null;

/**
 * The library with its adopted scores, each worked out once for all who ask, its trees called as the course of the page calls them; retired
 * taxa are left out of `profiles` and kept in `every`. `profileOf` finds a taxon by its id.
 */
export function useLibrary(revision?: number) {
  const namesIn = useNamesIn();
  return useLibraryIn(namesIn, revision);
}

/** The library as it is written, whatever a course calls its trees: what is edited. */
export const useLibraryAsWritten = () => useLibraryIn(null);

function useLibraryIn(namesIn: string | null, revision?: number) {
  const query = useQuery(libraryQuery(revision));
  const library = query.data && namedIn(query.data, namesIn);
  const read = library && readLibrary(library);
  const every = read?.profiles ?? NONE;
  const profiles = useMemo(() => every.filter(({ taxon }) => !taxon.retired), [every]);
  // The same function as long as it is the same library: lists of a thousand are worked out by it.
  const profileOf = useCallback((id: string): ProfiledTaxon | undefined => read?.profileOf(id), [read]);
  const vocabulary = spokenVocabulary(read?.vocabulary ?? BUILT_IN);
  return { query, library, vocabulary, every, profiles, profileOf };
}

const NONE: readonly ProfiledTaxon[] = [];

/** The characters of the library in the language of the page: the built-in ones with its own words, states and additions. */
export const useVocabulary = (): Vocabulary => spokenVocabulary(useVocabularyAsWritten());

/** The characters of the library as they are written: what is edited, and what tables are read by. */
export function useVocabularyAsWritten(): Vocabulary {
  const library = useQuery(libraryQuery()).data;
  return library ? vocabularyOfLibrary(library) : BUILT_IN;
}

/** A calendar of the library as it runs at the course's site. */
export const calendarAtSite = (calendar: Calendar, library: Library, site: Course | undefined): Calendar =>
  site ? shiftCalendar(calendar, hopkinsDelay(library.reference, site)) : calendar;
