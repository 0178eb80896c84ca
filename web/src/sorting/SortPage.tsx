import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Input } from 'antd';
import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { readLibrary, type Library } from '@hurrow/core/library';
import { call } from '../app/api.ts';
import { useLibrary } from '../app/data.ts';
import { useFieldDate } from '../app/fieldDate.tsx';
import { Opening } from '../app/parts.tsx';
import { useSaving } from '../app/useSaving.ts';
import { Bag } from './Bag.tsx';
import { bagProblem, treesOfBag } from './bag.ts';
import { bagQuery } from './bagQuery.ts';
import { sortDepth, sortSaid, type LaidFrom } from './kept.ts';
import styles from './sorting.module.css';
import { SortTable } from './SortTable.tsx';
import { useTable, type TableInUse } from './useTable.ts';
import { newId } from '../app/newId.ts';

/** What is sorted: drawn specimens of the list or of one set, or real twigs by their tags. */
const REAL = 'real';

/** A table to sort on; before a class, or to try what a bag of twigs will give. */
export default function SortPage({ course }: { course: WholeCourse }) {
  const { library } = useLibrary();
  const [search, setSearch] = useSearchParams();
  const chosen = search.get('set') ?? '';
  const taxa = useMemo(
    () => course.sets.filter(({ id }) => chosen === '' || id === chosen).flatMap((set) => set.taxa),
    [course.sets, chosen],
  );
  const bag = useQuery(bagQuery(course.id)).data?.twigs;
  if (!library) return <Opening />;
  const where = `${course.id}.${chosen}`;
  return (
    <>
      <p className={styles['of']}>
        {chosen === REAL ? t`On the table lie ` : t`Twelve twigs of `}
        <select
          aria-label={t`Specimens of`}
          value={chosen}
          onChange={(event) =>
            setSearch(event.target.value ? { set: event.target.value } : {}, { replace: true })
          }
        >
          <option value="">
            <Trans>the whole list</Trans>
          </option>
          {course.sets.map(({ id, title }) => (
            <option key={id} value={id}>
              {title}
            </option>
          ))}
          <option value={REAL}>
            <Trans>real twigs, by their tags</Trans>
          </option>
        </select>
        <Trans>
          {chosen === REAL ? '.' : t`, each drawn anew.`} Students find such a table on their phones where the
          course opens lessons.
        </Trans>
      </p>
      {chosen === REAL ? (
        <>
          <Bag course={course} library={library} />
          {bag && bagProblem(bag) === undefined && (
            <Sorting
              key={JSON.stringify(bag)}
              {...{ course, library, where }}
              from={{ taxa: treesOfBag(bag), real: bag }}
            />
          )}
        </>
      ) : taxa.length > 1 ? (
        <Sorting key={chosen} {...{ course, library, where }} from={{ taxa }} />
      ) : (
        <p>
          <Trans>Put two species or more on the list first.</Trans>
        </p>
      )}
    </>
  );
}

interface SortingProps {
  course: WholeCourse;
  library: Library;
  from: LaidFrom;
  where: string;
}

function Sorting({ course, library, from, where }: SortingProps) {
  const { vocabulary } = useLibrary();
  const { day } = useFieldDate();
  const inUse = useTable(where, from, day);
  const { state } = inUse;
  const list = useMemo(() => readLibrary(library).profilesOf(state.taxa), [library, state.taxa]);
  return (
    <>
      <SortTable course={course} list={list} vocabulary={vocabulary} inUse={inUse} />
      {state.piles.into && <Keep course={course} inUse={inUse} />}
      <KeptSorts course={course} inUse={inUse} />
    </>
  );
}

/** Keeps a sort that the class or a group has called out, or made with real twigs of the same numbers. */
function Keep({ course, inUse }: { course: WholeCourse; inUse: TableInUse }) {
  const [who, setWho] = useState('The class');
  const { save, saving, problem } = useSaving();
  const queries = useQueryClient();
  const keep = () =>
    save(async () => {
      const { id: sortId, ...body } = inUse.state;
      await call('PUT /api/courses/{courseId}/sorts/{sortId}', {
        params: { courseId: course.id, sortId },
        body: { ...body, who },
      });
      await queries.invalidateQueries({ queryKey: ['sorts', course.id] });
    });
  return (
    <p className={styles['keep']}>
      <label>
        <Trans>Sorted by</Trans>{' '}
        <Input value={who} maxLength={60} onChange={(event) => setWho(event.target.value)} />
      </label>
      <Button loading={saving} disabled={who.trim() === ''} onClick={() => void keep()}>
        <Trans>Keep this sort</Trans>
      </Button>
      {problem && <span role="alert">{problem}</span>}
    </p>
  );
}

/** The tables that students, groups and the class have sorted. */
function KeptSorts({ course, inUse }: { course: WholeCourse; inUse: TableInUse }) {
  const query = useQuery({
    queryKey: ['sorts', course.id],
    queryFn: () => call('GET /api/courses/{courseId}/sorts', { params: { courseId: course.id } }),
  });
  const [opened, setOpened] = useState('');
  const sorts = query.data?.sorts ?? [];
  if (sorts.length === 0) return null;
  return (
    <section className={styles['kept']} aria-label={t`Kept sorts`}>
      <h2>
        <Trans>How they have sorted</Trans>
      </h2>
      <ul>
        {sorts.map(({ who, at, revision: _revision, ...sort }) => (
          <li key={sort.id} aria-current={sort.id === opened}>
            <button
              type="button"
              onClick={() => {
                // What is changed of it from here on is another table: that of whoever sorted it stays as it is.
                inUse.open({ ...sort, id: newId() });
                setOpened(sort.id);
              }}
            >
              {who}, {at.slice(0, 10)}
            </button>{' '}
            <span className="quiet">{sortSaid(sortDepth(sort.piles))}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
