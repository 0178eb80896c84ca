import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { CollectingBody } from '@hurrow/contract/outings';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Select } from 'antd';
import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { STATION_KINDS } from '@hurrow/core/assembly';
import { call, messageOf } from '../app/api.ts';
import { newId } from '../app/newId.ts';
import { Opening, Problem } from '../app/parts.tsx';
import { useSaving } from '../app/useSaving.ts';
import { quizQuery } from '../quizzes/quizData.ts';
import { needsOfQuiz, needsOfSet } from './gathering.ts';
import { allGroundsQuery, collectingKey, collectingQuery } from './groundsData.ts';
import { useFieldDay } from './useFieldDay.ts';
import styles from './grounds.module.css';
import { inTongue } from '../language/inTongue.ts';

/** The collecting lists of a course, and the sentence by which another is made. */
export default function CollectingLists({ course }: { course: WholeCourse }) {
  const lists = useQuery(collectingQuery(course.id));
  const grounds = useQuery(allGroundsQuery);
  const error = lists.error ?? grounds.error;
  if (error) return <Problem>{messageOf(error)}</Problem>;
  if (!lists.data || !grounds.data) return <Opening />;
  return (
    <div className={styles['lists']}>
      <section>
        <h2>
          <Trans>Make a collecting list</Trans>
        </h2>
        <NewList
          course={course}
          grounds={grounds.data.grounds.map(({ id, name }) => ({ value: id, label: name }))}
        />
      </section>
      <section>
        <h2>
          <Trans>Collecting lists</Trans>
        </h2>
        {lists.data.lists.length === 0 && (
          <p>
            <Trans>
              None yet. A list says for each piece from which tree it comes, whether it is there on that day
              and in reach, how it is cut and kept, and what else can be shown where nothing may be cut.
            </Trans>
          </p>
        )}
        <ul className={styles['outings']}>
          {lists.data.lists.map(({ id, name, day, needs, items }) => (
            <li key={id}>
              <Link to={`/c/${course.id}/grounds/collecting/${id}`}>{name}</Link>
              <span>
                <Trans>
                  {day}, {needs.length} wanted, {items.filter(({ state }) => state === 'kept').length}{' '}
                  gathered
                </Trans>
              </span>
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}

const GATHERED = STATION_KINDS.filter(({ cut }) => cut);

function NewList({ course, grounds }: { course: WholeCourse; grounds: { value: string; label: string }[] }) {
  const fieldDay = useFieldDay();
  const queries = useQueryClient();
  const go = useNavigate();
  const { save, saving, problem } = useSaving();
  const planned = course.quizzes.filter(({ state }) => state === 'planned');
  const sets = course.sets.filter(({ taxa }) => taxa.length > 0);
  const whats = [
    ...planned.map(({ id, title }) => ({ value: t`quiz ${id}`, label: t`the quiz “${title}”` })),
    ...sets.map(({ id, title }) => ({ value: t`set ${id}`, label: t`the lesson “${title}”` })),
    { value: 'own', label: t`my own list` },
  ];
  const asked = `quiz ${useSearchParams()[0].get('quiz')}`;
  const [what, setWhat] = useState(whats.some(({ value }) => value === asked) ? asked : whats[0]!.value);
  const [kind, setKind] = useState('cutting');
  const [groundsId, setGroundsId] = useState(grounds[0]?.value);
  const quiz = planned.find(({ id }) => what === `quiz ${id}`);
  const set = sets.find(({ id }) => what === `set ${id}`);
  const [day, setDay] = useState<string>();
  const on = day ?? quiz?.heldOn ?? fieldDay;
  const begin = () => {
    const id = newId();
    void save(
      async () => {
        const needs = quiz
          ? needsOfQuiz((await queries.fetchQuery(quizQuery(quiz.id))).stations)
          : set
            ? needsOfSet(set.taxa, kind, set.title)
            : [];
        const body: CollectingBody = {
          groundsId: groundsId!,
          name: t`For ${quiz?.title ?? set?.title ?? on}`,
          day: on,
          quizId: quiz?.id ?? null,
          needs,
          chosen: {},
          pestHosts: false,
        };
        await call('PUT /api/courses/{courseId}/collecting/{listId}', {
          params: { courseId: course.id, listId: id },
          body: { ...body, baseVersion: 0 },
        });
      },
      { stale: [collectingKey(course.id)], done: () => void go(`/c/${course.id}/grounds/collecting/${id}`) },
    );
  };
  return (
    <>
      <p className={styles['sentence']}>
        <Trans>On</Trans>{' '}
        <input
          aria-label={t`Day`}
          type="date"
          value={on}
          onChange={(event) => event.target.value && setDay(event.target.value)}
        />{' '}
        <Trans>
          for <Select aria-label={t`What for`} value={what} options={whats} onChange={setWhat} />
          {set && (
            <>
              <Trans>, each as a</Trans>{' '}
              <Select
                aria-label={t`What is cut`}
                value={kind}
                options={GATHERED.map(({ id, title }) => ({ value: id, label: inTongue(title) }))}
                onChange={setKind}
              />
            </>
          )}{' '}
          from{' '}
          <Select aria-label={t`Which grounds`} value={groundsId} options={grounds} onChange={setGroundsId} />
          .
        </Trans>
      </p>
      {problem && <Problem>{problem}</Problem>}
      <Button type="primary" loading={saving} disabled={!groundsId} onClick={begin}>
        <Trans>Make the list</Trans>
      </Button>
    </>
  );
}
