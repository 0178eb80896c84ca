import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { WholeGrounds } from '@hurrow/contract/grounds';
import { useQuery } from '@tanstack/react-query';
import { Button, Select } from 'antd';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { metresBetween } from '@hurrow/core/grounds';
import { commonName } from '@hurrow/core/taxon';
import { call, messageOf } from '../app/api.ts';
import { useLibrary } from '../app/data.ts';
import { newId } from '../app/newId.ts';
import { Opening, Problem } from '../app/parts.tsx';
import { useSaving } from '../app/useSaving.ts';
import { useConfusions } from '../confusions/useConfusions.ts';
import { quizQuery } from '../quizzes/quizData.ts';
import { allGroundsQuery, groundsQuery, walksKey, walksQuery } from './groundsData.ts';
import { useFieldDay } from './useFieldDay.ts';
import { newWalk, treesForSet, usualStart, walkAims, walksByDay } from './walking.ts';
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
        <h2>
          <Trans>Plan a walk</Trans>
        </h2>
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
        <h2>
          <Trans>Walks</Trans>
        </h2>
        {walks.data.walks.length === 0 && (
          <p>
            <Trans>
              None yet. A walk has its trees in the shortest order along the paths, its times, and what is to
              be minded on the way.
            </Trans>
          </p>
        )}
        <ul className={styles['outings']}>
          {walksByDay(walks.data.walks, today).map(({ id, name, day, begins, treeIds }) => (
            <li key={id}>
              <Link to={`/c/${course.id}/grounds/walks/${id}`}>{name}</Link>
              <span>
                <Trans>
                  {day}, {begins}, {treeIds.length} stops
                </Trans>
              </span>
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}

/** Of the pairs that are mixed up, so many are offered. */
const MOST_PAIRS = 3;

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
  const { profileOf } = useLibrary();
  const planned = course.quizzes.find(({ state }) => state === 'planned');
  const quiz = useQuery({ ...quizQuery(planned?.id ?? ''), enabled: planned !== undefined }).data;
  const { pairs } = useConfusions(course.id);
  const aims = walkAims(
    course.sets,
    quiz && { title: quiz.title, taxa: quiz.stations.map(({ taxonId }) => taxonId) },
    pairs.slice(0, MOST_PAIRS),
    (id) => {
      const taxon = profileOf(id)?.taxon;
      return taxon ? commonName(taxon) : id;
    },
  );
  const [aimId, setAimId] = useState(aims[0]?.id ?? '');
  const aim = aims.find(({ id }) => id === aimId);
  const start = usualStart(whole);
  const trees = aim ? treesForSet(aim, whole.trees, (tree) => metresBetween(tree, start)) : [];
  const missing = aim ? aim.taxa.length - trees.length : 0;
  const begin = () => {
    const id = newId();
    const body = newWalk(whole, aim ? t`Walk to ${aim.title}`.slice(0, 120) : t`A walk`, day, trees);
    void save(
      () =>
        call('PUT /api/courses/{courseId}/walks/{walkId}', {
          params: { courseId: course.id, walkId: id },
          body: { ...body, baseVersion: 0 },
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
        <Trans>
          On {day}, to the trees of{' '}
          <Select
            aria-label={t`What for`}
            popupMatchSelectWidth={false}
            value={aimId}
            options={[
              ...aims.map(({ id, title }) => ({ value: id, label: title })),
              { value: '', label: t`my own choice` },
            ]}
            onChange={setAimId}
          />{' '}
          on <Select aria-label={t`Which grounds`} value={whole.id} options={grounds} onChange={onGrounds} />.
        </Trans>
      </p>
      {aim && (
        <p className="quiet">
          <Trans>
            {trees.length} of {aim.taxa.length} species stand here
            {missing > 0 && t`; ${missing} do not`}.
          </Trans>
        </p>
      )}
      {problem && <Problem>{problem}</Problem>}
      <Button type="primary" loading={saving} onClick={begin}>
        <Trans>Plan the walk</Trans>
      </Button>
    </>
  );
}
