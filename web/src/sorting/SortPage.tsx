import type { WholeCourse } from '@hurrow/contract/courses';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { readLibrary } from '@hurrow/core/library';
import { useLibrary } from '../app/data.ts';
import { useFieldDate } from '../app/fieldDate.tsx';
import { Opening } from '../app/parts.tsx';
import styles from './sorting.module.css';
import { SortTable } from './SortTable.tsx';

/** A table to sort on, of the whole list or of one set; before a class, or to try what a bag of twigs will give. */
export default function SortPage({ course }: { course: WholeCourse }) {
  const { library, vocabulary } = useLibrary();
  const { day } = useFieldDate();
  const [search, setSearch] = useSearchParams();
  const chosen = search.get('set') ?? '';
  const list = useMemo(() => {
    const taxa = course.sets.filter(({ id }) => chosen === '' || id === chosen).flatMap((set) => set.taxa);
    return library ? readLibrary(library).profilesOf(taxa) : [];
  }, [course.sets, chosen, library]);
  if (!library) return <Opening />;
  return (
    <>
      <p className={styles['of']}>
        Twelve twigs of{' '}
        <select
          aria-label="Specimens of"
          value={chosen}
          onChange={(event) =>
            setSearch(event.target.value ? { set: event.target.value } : {}, { replace: true })
          }
        >
          <option value="">the whole list</option>
          {course.sets.map(({ id, title }) => (
            <option key={id} value={id}>
              {title}
            </option>
          ))}
        </select>
        , each drawn anew. Students find the same table on their phones where the course opens lessons.
      </p>
      {list.length > 1 ? (
        <SortTable key={chosen} course={course} list={list} vocabulary={vocabulary} day={day} />
      ) : (
        <p>Put two species or more on the list first.</p>
      )}
    </>
  );
}
