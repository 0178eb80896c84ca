import type { WholeCourse } from '@hurrow/contract/courses';
import type { LibraryAnswer } from '@hurrow/contract/library';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { asOpen, type ProfiledTaxon, type ReadingOptions } from '@hurrow/core/evidence';
import type { View } from '@hurrow/core/view';
import type { Level, Vocabulary } from '@hurrow/core/vocabulary';
import { courseQuery, useLibrary } from '../app/data.ts';
import type { Asked } from '../workers/lookalikes.worker.ts';

export const LEVELS: readonly Level[] = ['beginner', 'intermediate', 'advanced'];

/** What a screen computes on: a list, the characters that are allowed, and what is shown. */
interface Setting {
  list: ProfiledTaxon[];
  vocabulary: Vocabulary;
  view: View;
  options: ReadingOptions;
}

/** Everything that a screen of Lookalikes computes from. */
export interface Ground {
  library: LibraryAnswer;
  course: WholeCourse | undefined;
  profiles: ProfiledTaxon[];
  vocabulary: Vocabulary;
  setting: Setting;
  /** The same by name, for a worker. */
  asked: Asked;
  /** What names the setting in a query key: nothing that a result depends on is left out. */
  inputs: readonly unknown[];
}

/**
 * The taught list of a course, or the whole library where there is none, in a view at the site of the course; characters above
 * the level are left out. `only` names the taxa to be kept to, with commas. Undefined while the library is loading.
 */
export function useGround(
  courseId: string,
  chosen: View,
  level: Level,
  extra: readonly string[] = [],
  only = '',
): Ground | undefined {
  const { library, profiles, vocabulary } = useLibrary();
  const course = useQuery(courseQuery(courseId)).data;
  const also = extra.join();
  return useMemo(() => {
    if (!library) return undefined;
    const taught = course?.sets.flatMap((set) => set.taxa) ?? [];
    const wanted = new Set([...taught, ...also.split(',')]);
    const few = only.split(',').filter(Boolean);
    const list = few.length
      ? profiles.filter(({ taxon }) => few.includes(taxon.id))
      : taught.length
        ? profiles.filter(({ taxon }) => wanted.has(taxon.id))
        : profiles;
    const allowed = LEVELS.slice(0, LEVELS.indexOf(level) + 1);
    const site = course && {
      latitude: course.latitude,
      longitude: course.longitude,
      elevation: course.elevation,
    };
    const usable = new Map([...vocabulary].filter(([, character]) => allowed.includes(character.level)));
    const options = { reference: library.reference, ...(site ? { site } : {}) };
    const view = asOpen(list, chosen, options);
    return {
      library,
      course,
      profiles,
      vocabulary,
      setting: { list, vocabulary: usable, view, options },
      asked: {
        revision: library.revision,
        tag: library.tag,
        taxa: list.map(({ taxon }) => taxon.id),
        levels: allowed,
        view,
        options,
      },
      inputs: [
        library.id,
        library.revision,
        library.tag,
        list.map(({ taxon }) => taxon.id),
        view,
        level,
        site,
      ],
    };
  }, [library, course, profiles, vocabulary, chosen, level, also, only]);
}

/** The whole library with characters of every level, in a view: a kept key may ask for what is above the level chosen. */
export const askedWhole = (ground: Ground, view: View): Asked => ({
  ...ground.asked,
  taxa: ground.profiles.map(({ taxon }) => taxon.id),
  levels: LEVELS,
  view,
});
