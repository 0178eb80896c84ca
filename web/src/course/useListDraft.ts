import type { WholeCourse } from '@hurrow/contract/courses';
import { useSearchParams } from 'react-router';
import { useKept } from '../drafts/useKept.ts';
import { withGathered, type Draft } from './gathered.ts';

/**
 * The taught list of a course while it is changed, on the weeks or as a list: one draft for both. What was gathered in the vasculum comes with
 * the address.
 */
export function useListDraft(course: WholeCourse) {
  const [search, setSearch] = useSearchParams();
  const stored: Draft[] = course.sets.map(({ id, title, week, taxa }) => ({ id, title, week, taxa }));
  const kept = useKept(`list/${course.id}`, `List of ${course.name}`, stored);
  const gathered = (search.get('add') ?? '').split(',').filter(Boolean);
  // What is stored has ids of its own, which a saved draft does not know: from the saving on the course is what stands.
  const now = () => withGathered(kept.changed ? kept.latest() : stored, gathered);
  return {
    sets: withGathered(kept.changed ? kept.value : stored, gathered),
    changed: kept.changed || gathered.length > 0,
    broughtBack: kept.broughtBack,
    giveUp: kept.forget,
    set: (sets: Draft[]) => kept.set(sets),
    change: (next: (sets: Draft[]) => Draft[]) => kept.set(next(now())),
    /** The list stands as it is in the store. */
    saved: () => {
      kept.settle(kept.value);
      setSearch({}, { replace: true });
    },
  };
}
