import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { Quiz } from '@hurrow/contract/quizzes';
import { ATTENDANCES } from '@hurrow/contract/limits';
import type { Attendance, Running } from '@hurrow/contract/running';
import { call } from '../app/api.ts';
import { LinkButton, Notice } from '../app/parts.tsx';
import { useMayChange } from '../app/mayChange.ts';
import { inTongue } from '../language/inTongue.ts';
import ui from '../app/parts.module.css';
import { howFar, type Live } from './live.ts';
import { phonesInWords } from './running.ts';
import type { Act } from './useActing.ts';
import styles from './quizzes.module.css';

interface AttendancesProps {
  course: WholeCourse;
  quiz: Quiz;
  act: Act;
  live: Live;
  running: Running | undefined;
}

/** Who is there and how far: absent and excused students, a quiz that is open still for one, a result that one sees before the others. */
export function Attendances({ course, quiz, act, live, running }: AttendancesProps) {
  const said = new Map(running?.students.map((student) => [student.studentId, student]));
  const nameOf = (id: string) => course.students.find((student) => student.id === id)?.name ?? t`Somebody`;
  const all = course.students.map(({ id }) => ({ id, was: said.get(id)?.was }));
  return (
    <section>
      <h2>
        <Trans>Who has answered</Trans>
      </h2>
      {/* Read out only when something is wrong: each answer would be too much. */}
      <p
        className={live.line === 'open' ? 'quiet' : ui['notice']}
        role={live.line === 'open' ? undefined : 'status'}
      >
        {howFar(live, all, quiz)}
      </p>
      {running && phonesInWords(running, nameOf).map((line) => <Notice key={line}>{line}</Notice>)}
      <table className={ui['plain-table']}>
        <tbody>
          {course.students.map(({ id, name }) => (
            <tr key={id}>
              <td>{name}</td>
              <td className={ui['num']}>
                <Trans>
                  {live.counts?.students[id] ?? 0} of {quiz.stations.length}
                </Trans>
              </td>
              <td className={styles['attendance']}>
                <OneStudent quiz={quiz} act={act} id={id} name={name} said={said.get(id)} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function OneStudent({
  quiz,
  act,
  id,
  name,
  said,
}: {
  quiz: Quiz;
  act: Act;
  id: string;
  name: string;
  said: Running['students'][number] | undefined;
}) {
  const mayChange = useMayChange();
  const { was = 'there', reopened = false } = said ?? {};
  if (!mayChange) return was === 'there' ? null : was;
  const tell = (body: { was: Attendance; reopened: boolean }, done: string) =>
    void act(
      () =>
        call('PUT /api/quizzes/{quizId}/students/{studentId}', {
          params: { quizId: quiz.id, studentId: id },
          body,
        }),
      done,
    );
  const sees = quiz.releasedTo.includes(id);
  return (
    <>
      <select
        aria-label={t`${name} was`}
        value={was}
        onChange={(event) =>
          tell(
            { was: event.target.value as Attendance, reopened },
            `${name}: ${inTongue(event.target.value)}.`,
          )
        }
      >
        {ATTENDANCES.map((each) => (
          <option key={each} value={each}>
            {inTongue(each)}
          </option>
        ))}
      </select>
      {quiz.state === 'closed' && (
        <LinkButton
          aria-label={reopened ? t`Close it for ${name}` : t`Open it for ${name} alone`}
          onClick={() =>
            tell(
              { was, reopened: !reopened },
              reopened ? t`It is closed for ${name}.` : t`${name} may answer now.`,
            )
          }
        >
          {reopened ? t`open still: close` : t`open for them`}
        </LinkButton>
      )}
      {quiz.state === 'closed' && !quiz.released && (
        <LinkButton
          aria-label={sees ? t`Hide the result from ${name}` : t`Show ${name} the result`}
          onClick={() =>
            void act(
              () =>
                call('POST /api/quizzes/{quizId}/release', {
                  params: { quizId: quiz.id },
                  body: { released: !sees, studentId: id },
                }),
              sees ? t`The result is hidden from ${name}.` : t`${name} sees the own result now.`,
            )
          }
        >
          {sees ? t`sees it: hide` : t`show result`}
        </LinkButton>
      )}
    </>
  );
}
