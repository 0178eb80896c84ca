import type { WholeCourse } from '@hurrow/contract/courses';
import type { WholeGrounds } from '@hurrow/contract/grounds';
import { useQuery } from '@tanstack/react-query';
import { Button, Select } from 'antd';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { metresBetween } from '@hurrow/core/grounds';
import { call, messageOf } from '../app/api.ts';
import { newId } from '../app/newId.ts';
import { Opening, Problem } from '../app/parts.tsx';
import { useSaving } from '../app/useSaving.ts';
import { allGroundsQuery, groundsQuery, walksKey, walksQuery } from './groundsData.ts';
import { useFieldDay } from './useFieldDay.ts';
import { newWalk, treesForSet, usualStart, walksByDay } from './walking.ts';
import styles from './grounds.module.css';

/** The walks of a course, and the sentence by which another is planned. */
export default function WalksPage({ course }: { course: WholeCourse }) {
  const walks = useQuery(walksQuery(course.id));
  const { data: all } = useQuery(allGroundsQuery);
  const [groundsId, setGroundsId] = useState<string>();
  const chosen = groundsId ?? all?.grounds[0]?.id;
  const whole = useQuery({ ...groundsQuery(chosen ?? ''), enabled: chosen !== undefined });
  const today = useFieldDay();
  if (walks.isError) return <Problem>{messageOf(walks.error)}</Problem>;
  if (!walks.data || !all) return <Opening />;
  return (
    <div className={styles['lists']}>
      <section>
        <h2>Plan a walk</h2>
        {whole.data ? (
          <PlanAWalk
            course={course}
            whole={whole.data}
            grounds={all.grounds.map(({ id, name }) => ({ value: id, label: name }))}
            onGrounds={setGroundsId}
          />
        ) : (
          <Opening />
        )}
      </section>
      <section>
        <h2>Walks</h2>
        {walks.data.walks.length === 0 && (
          <p>
            None yet. A walk has its trees in the shortest order along the paths, its times, and what is to be
            minded on the way.
          </p>
        )}
        <ul className={styles['outings']}>
          {walksByDay(walks.data.walks, today).map(({ id, name, day, begins, treeIds }) => (
            <li key={id}>
              <Link to={`/c/${course.id}/grounds/walks/${id}`}>{name}</Link>
              <span>
                {day}, {begins}, {treeIds.length} stops
              </span>
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}

interface PlanAWalkProps {
  course: WholeCourse;
  whole: WholeGrounds;
  grounds: { value: string; label: string }[];
  onGrounds(id: string): void;
}

function PlanAWalk({ course, whole, grounds, onGrounds }: PlanAWalkProps) {
  const day = useFieldDay();
  const go = useNavigate();
  const { save, saving, problem } = useSaving();
  const sets = course.sets.filter(({ taxa }) => taxa.length > 0);
  const [setId, setSetId] = useState(sets[0]?.id);
  const set = sets.find(({ id }) => id === setId);
  const start = usualStart(whole);
  const trees = set ? treesForSet(set, whole.trees, (tree) => metresBetween(tree, start)) : [];
  const missing = set ? set.taxa.length - trees.length : 0;
  const begin = () => {
    const id = newId();
    const body = newWalk(whole, set ? `Walk to ${set.title}` : 'A walk', day, trees);
    void save(
      () =>
        call('PUT /api/courses/{courseId}/walks/{walkId}', {
          params: { courseId: course.id, walkId: id },
          body,
        }),
      {
        stale: [walksKey(course.id)],
        done: () => void go(`/c/${course.id}/grounds/walks/${id}`),
      },
    );
  };
  return (
    <>
      <p className={styles['sentence']}>
        On {day}, to the trees of{' '}
        <Select
          aria-label="Which set"
          value={setId}
          options={[
            ...sets.map(({ id, title }) => ({ value: id, label: title })),
            { value: '', label: 'my own choice' },
          ]}
          onChange={setSetId}
        />{' '}
        on <Select aria-label="Which grounds" value={whole.id} options={grounds} onChange={onGrounds} />.
      </p>
      {set && (
        <p className="quiet">
          {trees.length} of {set.taxa.length} species stand here
          {missing > 0 && `; ${missing} do not`}.
        </p>
      )}
      {problem && <Problem>{problem}</Problem>}
      <Button type="primary" loading={saving} onClick={begin}>
        Plan the walk
      </Button>
    </>
  );
}
