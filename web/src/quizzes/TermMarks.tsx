import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { TermMarks as Marks } from '@hurrow/contract/marking';
import { Button } from 'antd';
import { useQuery } from '@tanstack/react-query';
import type { FormEvent } from 'react';
import { Link } from 'react-router';
import { call, messageOf } from '../app/api.ts';
import { Opening, PageHead, Problem } from '../app/parts.tsx';
import { useMayChange } from '../app/mayChange.ts';
import { useSaving } from '../app/useSaving.ts';
import { BroughtBack } from '../drafts/BroughtBack.tsx';
import { useKept, type Kept } from '../drafts/useKept.ts';
import ui from '../app/parts.module.css';
import { percentInWords, resultInWords, schemeOf, typedScheme, type SchemeTyped } from './termMarks.ts';
import styles from './marking.module.css';

const keyOf = (courseId: string) => ['term', courseId];

/** Files in which the marks go out. */
const FILES = [
  ['table.csv', t`Table (CSV)`],
  ['one-roster.zip', t`For a learning-management system (OneRoster)`],
] as const;

/** The marks of a course: student by student, quiz by quiz, and what they come to. */
export function TermMarks({ course }: { course: WholeCourse }) {
  const query = useQuery({
    queryKey: keyOf(course.id),
    queryFn: () => call('GET /api/courses/{courseId}/marks', { params: { courseId: course.id } }),
  });
  if (query.isError) return <Problem>{messageOf(query.error)}</Problem>;
  return (
    <section className={ui['page']}>
      <PageHead title={t`Marks of the term`}>
        <Link to={`/c/${course.id}/quizzes`}>
          <Trans>All quizzes</Trans>
        </Link>
        <span>
          {FILES.map(([file, title]) => (
            <a
              key={file}
              className={styles['file']}
              href={`/api/courses/${course.id}/marks/${file}`}
              download
            >
              {title}
            </a>
          ))}
        </span>
      </PageHead>
      {!query.data ? (
        <Opening>
          <Trans>Putting the marks together…</Trans>
        </Opening>
      ) : query.data.quizzes.length === 0 ? (
        <p>
          <Trans>No quiz has been closed yet. When one is, its marks stand here.</Trans>
        </p>
      ) : (
        <Table key={JSON.stringify(query.data.scheme)} course={course} marks={query.data} />
      )}
    </section>
  );
}

/** What quizzes weigh, what is dropped and given on top, as it is typed and stored. */
function useScheme(course: WholeCourse, marks: Marks) {
  const kept = useKept<SchemeTyped>(
    `term/${course.id}`,
    `What quizzes weigh in ${course.name}`,
    typedScheme(marks.scheme, marks.quizzes),
  );
  const { save, saving, problem, say } = useSaving();
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const read = schemeOf(kept.value);
    if ('problem' in read) return say(read.problem);
    void save(
      () =>
        call('PUT /api/courses/{courseId}/marks/scheme', {
          params: { courseId: course.id },
          body: read.scheme,
        }),
      { done: () => kept.settle(kept.value), stale: [keyOf(course.id)] },
    );
  };
  return { kept, saving, problem, submit };
}

function Table({ course, marks }: { course: WholeCourse; marks: Marks }) {
  const { kept, saving, problem, submit } = useScheme(course, marks);
  const mayChange = useMayChange();
  return (
    <form onSubmit={submit} className={styles['term']}>
      <BroughtBack at={kept.broughtBack} onGiveUp={kept.forget} />
      {mayChange && (
        <p>
          <label>
            <Trans>
              Of each student{' '}
              <Small
                label={t`Lowest quizzes dropped`}
                text={kept.value.drop}
                onType={(drop) => kept.set((before) => ({ ...before, drop }))}
              />{' '}
              of the lowest quizzes are dropped.
            </Trans>
          </label>{' '}
          <Button type="primary" htmlType="submit" disabled={saving}>
            <Trans>Save</Trans>
          </Button>
        </p>
      )}
      <table className={ui['plain-table']} aria-label={t({ message: 'Marks', context: 'of students' })}>
        <Heads course={course} marks={marks} kept={kept} />
        <tbody>
          {marks.students.map((student) => (
            <StudentMarks key={student.id} student={student} kept={kept} />
          ))}
        </tbody>
      </table>
      {problem && <Problem>{problem}</Problem>}
      <p className="quiet">
        <Trans>
          Absent counts as nothing reached; excused counts nowhere (said under Run of each quiz). What is
          dropped is struck through.
        </Trans>
      </p>
    </form>
  );
}

/** The quizzes, and what each weighs. */
function Heads({ course, marks, kept }: { course: WholeCourse; marks: Marks; kept: Kept<SchemeTyped> }) {
  return (
    <thead>
      <tr>
        <th scope="col">
          <Trans>Student</Trans>
        </th>
        {marks.quizzes.map(({ id, title }) => (
          <th key={id} scope="col" className={ui['num']}>
            <Link to={`/c/${course.id}/quizzes/${id}/mark`}>{title}</Link>
          </th>
        ))}
        <th scope="col" className={ui['num']}>
          <Trans>On top</Trans>
        </th>
        <th scope="col" className={ui['num']}>
          <Trans>Term</Trans>
        </th>
      </tr>
      <tr>
        <th scope="row">
          <Trans>weighs</Trans>
        </th>
        {marks.quizzes.map(({ id, title }) => (
          <td key={id} className={ui['num']}>
            <Small
              label={t`Weight of ${title}`}
              text={kept.value.weights[id] ?? '1'}
              onType={(text) =>
                kept.set((before) => ({ ...before, weights: { ...before.weights, [id]: text } }))
              }
            />
          </td>
        ))}
        <td />
        <td />
      </tr>
    </thead>
  );
}

function StudentMarks({
  student: { id, name, results, percent, dropped },
  kept,
}: {
  student: Marks['students'][number];
  kept: Kept<SchemeTyped>;
}) {
  return (
    <tr>
      <th scope="row">{name}</th>
      {results.map((result) => (
        <td key={result.quizId} className={ui['num']}>
          <span className={dropped.includes(result.quizId) ? styles['dropped'] : ''}>
            {resultInWords(result)}
          </span>
        </td>
      ))}
      <td className={ui['num']}>
        <Small
          label={t`Points on top for ${name}, percent`}
          text={kept.value.bonus[id] ?? ''}
          onType={(text) => kept.set((before) => ({ ...before, bonus: { ...before.bonus, [id]: text } }))}
        />
      </td>
      <td className={ui['num']}>
        <strong>{percentInWords(percent)}</strong>
      </td>
    </tr>
  );
}

/** A figure to type; to be read alone by who may not change it. */
function Small({ label, text, onType }: { label: string; text: string; onType(text: string): void }) {
  const mayChange = useMayChange();
  return (
    <input
      className={styles['small']}
      aria-label={label}
      inputMode="decimal"
      readOnly={!mayChange}
      value={text}
      onChange={(event) => onType(event.target.value)}
    />
  );
}
