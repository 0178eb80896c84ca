import type { Course } from '@hurrow/contract/courses';
import { useState } from 'react';
import { USUAL_WISHES, type TermWishes } from '@hurrow/core/term';

export type Wishes = Omit<TermWishes, 'closed'>;

/** What is wanted of the sets of a course, kept in this browser: it is no part of the list, and nothing to save. */
export function useWishes(course: Pick<Course, 'id' | 'weeks'>): [Wishes, (wishes: Wishes) => void] {
  const key = `hurrow wishes ${course.id}`;
  const [wishes, set] = useState<Wishes>(() => readWishes(localStorage.getItem(key), course.weeks));
  return [
    wishes,
    (next) => {
      set(next);
      try {
        localStorage.setItem(key, JSON.stringify(next));
      } catch {
        // A browser without room keeps them until the page is left.
      }
    },
  ];
}

/** Wishes as they were kept, within the weeks that the course has now; the usual ones where nothing can be read. */
export function readWishes(text: string | null, weeks: number): Wishes {
  const usual = { ...USUAL_WISHES, to: weeks };
  if (!text) return usual;
  try {
    const held = { ...usual, ...(JSON.parse(text) as Partial<Wishes>) };
    const to = Math.min(held.to, weeks);
    return {
      ...held,
      to,
      from: Math.min(held.from, to),
      pins: held.pins.filter(({ week }) => week <= weeks),
    };
  } catch {
    return usual;
  }
}
