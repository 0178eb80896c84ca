import { t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { call } from '../app/api.ts';
import { confusionsQuery, courseQuery } from '../app/data.ts';
import { newId } from '../app/newId.ts';
import { LinkButton, Problem } from '../app/parts.tsx';
import { STALE, useSaving } from '../app/useSaving.ts';
import { useKept } from '../drafts/useKept.ts';
import { concernedBy } from './concerned.ts';
import { timesSaid } from './standings.ts';
import { miniLessonsQuery } from './learningQueries.ts';
import styles from './learning.module.css';

interface SendProps {
  courseId: string;
  a: string;
  b: string;
  characterId: string | null;
  today: string;
  /** Ids of students chosen elsewhere, as a group that should practice together. */
  only: readonly string[] | undefined;
}

/** Sends the lesson to those whom it concerns, and says who has opened it. */
export function SendLesson({ courseId, a, b, characterId, today, only }: SendProps) {
  const course = useQuery(courseQuery(courseId)).data;
  const data = useQuery(confusionsQuery(courseId)).data;
  const queries = useQueryClient();
  const { save, saving, problem } = useSaving();
  const students = (course?.students ?? []).filter(({ nameless }) => !nameless);
  const concerned = data ? concernedBy(data, students, a, b) : [];
  const usual = only ?? concerned.filter(({ times }) => times > 0).map(({ id }) => id);
  const [chosen, setChosen] = useState<string[]>();
  const note = useKept(`miniLesson/${courseId}/${a}/${b}`, 'A line to students, with a mini-lesson', '');
  const [id, setId] = useState(newId);
  const to: readonly string[] = chosen ?? usual;
  const send = () =>
    save(
      () =>
        call('POST /api/courses/{courseId}/mini-lessons', {
          params: { courseId },
          body: { id, a, b, characterId, note: note.value, sentOn: today, to: [...to] },
        }),
      {
        done: async () => {
          setId(newId());
          note.settle(note.value, { next: () => '' });
          await queries.invalidateQueries({ queryKey: ['miniLessons', courseId] });
          await queries.invalidateQueries({ queryKey: STALE.confusionsOf(courseId), exact: true });
        },
      },
    );
  const toggle = (studentId: string) =>
    setChosen(to.includes(studentId) ? to.filter((held) => held !== studentId) : [...to, studentId]);
  const opens = course?.opens.includes('practice') ?? true;
  return (
    <>
      <h2>
        <Trans>Send it</Trans>
      </h2>
      {!opens && (
        <p>
          <Trans>
            Students see it under Practice, which this course does not open yet: see its settings.
          </Trans>
        </p>
      )}
      <p className="quiet">
        <Trans>
          To <Plural value={to.length} one="# student" other="# students" />; those who mixed the two up are
          ticked. It is noted as taught again today.
        </Trans>
      </p>
      <p>
        <LinkButton onClick={() => setChosen(students.map((student) => student.id))}>
          <Trans>All</Trans>
        </LinkButton>{' '}
        <LinkButton onClick={() => setChosen([...usual])}>
          <Trans>Those concerned</Trans>
        </LinkButton>{' '}
        <LinkButton onClick={() => setChosen([])}>
          <Trans>None</Trans>
        </LinkButton>
      </p>
      <ul className={styles['to']}>
        {concerned.map(({ id: studentId, name, times }) => (
          <li key={studentId}>
            <label>
              <input type="checkbox" checked={to.includes(studentId)} onChange={() => toggle(studentId)} />{' '}
              {name} {times > 0 && <span className="quiet">{timesSaid(times)}</span>}
            </label>
          </li>
        ))}
      </ul>
      <label className={styles['line']}>
        <Trans>Your line to them</Trans>
        <textarea
          value={note.value}
          maxLength={600}
          rows={2}
          onChange={(event) => note.set(event.target.value)}
        />
      </label>
      <Button type="primary" loading={saving} disabled={to.length === 0} onClick={() => void send()}>
        <Trans>Send</Trans>
      </Button>
      {problem && <Problem>{problem}</Problem>}
      <SentSoFar courseId={courseId} a={a} b={b} />
    </>
  );
}

/** When it was sent, and how many have opened it; it can be taken back. */
function SentSoFar({ courseId, a, b }: { courseId: string; a: string; b: string }) {
  const all = useQuery(miniLessonsQuery(courseId)).data?.miniLessons ?? [];
  const queries = useQueryClient();
  const { save } = useSaving();
  const sent = all.filter((lesson) => [lesson.a, lesson.b].includes(a) && [lesson.a, lesson.b].includes(b));
  const takeBack = (id: string) =>
    save(() => call('DELETE /api/courses/{courseId}/mini-lessons/{id}', { params: { courseId, id } }), {
      done: async () => {
        await queries.invalidateQueries({ queryKey: ['miniLessons', courseId] });
        await queries.invalidateQueries({ queryKey: STALE.confusionsOf(courseId), exact: true });
      },
    });
  return (
    <ul className={styles['to']} aria-label={t`Sent`}>
      {sent.map(({ id, sentOn, students }) => (
        <li key={id}>
          <Trans>
            Sent {sentOn} to <Plural value={students.length} one="# student" other="# students" />, opened by{' '}
            {students.filter(({ opened }) => opened).length}.
          </Trans>{' '}
          <LinkButton onClick={() => void takeBack(id)}>
            <Trans>Take back</Trans>
          </LinkButton>
        </li>
      ))}
    </ul>
  );
}
