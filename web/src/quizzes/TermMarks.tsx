import type { WholeCourse } from '@hurrow/contract/courses';
import { MARK_FILES } from '@hurrow/contract/limits';
import type { MarkFile, TermMarks as Marks } from '@hurrow/contract/marking';
import { Button } from 'antd';
import { useQuery } from '@tanstack/react-query';
import type { FormEvent } from 'react';
import { Link } from 'react-router';
import { call, messageOf } from '../app/api.ts';
import { Opening, PageHead, Problem } from '../app/parts.tsx';
import { useMayChange } from '../app/session.ts';
import { useSaving } from '../app/useSaving.ts';
import { BroughtBack } from '../drafts/BroughtBack.tsx';
import { useKept } from '../drafts/useKept.ts';
import ui from '../app/parts.module.css';
import { percentInWords, resultInWords, schemeOf, typedScheme, type SchemeTyped } from './termMarks.ts';
import styles from './marking.module.css';

const keyOf = (courseId: string) => ['term', courseId];

const FILES: Record<MarkFile, string> = {
  table: 'Table (CSV)',
  results: 'Results (OneRoster CSV)',
  'line-items': 'Line items (OneRoster CSV)',
};

/** The marks of a course: student by student, quiz by quiz, and what they come to. */
export function TermMarks({ course }: { course: WholeCourse }) {
  const query = useQuery({
    queryKey: keyOf(course.id),
    queryFn: () => call('GET /api/courses/{courseId}/marks', { params: { courseId: course.id } }),
  });
  if (query.isError) return <Problem>{messageOf(query.error)}</Problem>;
  return (
    <section className={ui['page']}>
      <PageHead title="Marks of the term">
        <Link to={`/c/${course.id}/quizzes`}>All quizzes</Link>
        <span>
          {MARK_FILES.map((file) => (
            <a
              key={file}
              className={styles['file']}
              href={`/api/courses/${course.id}/marks/files/${file}`}
              download
            >
              {FILES[file]}
            </a>
          ))}
        </span>
      </PageHead>
      {!query.data ? (
        <Opening>Putting the marks together…</Opening>
      ) : query.data.quizzes.length === 0 ? (
        <p>No quiz has been closed yet. When one is, its marks stand here.</p>
      ) : (
        <Table key={JSON.stringify(query.data.scheme)} course={course} marks={query.data} />
      )}
    </section>
  );
}

function Table({ course, marks }: { course: WholeCourse; marks: Marks }) {
  const kept = useKept<SchemeTyped>(
    `term/${course.id}`,
    `What quizzes weigh in ${course.name}`,
    typedScheme(marks.scheme, marks.quizzes),
  );
  const mayChange = useMayChange();
  const { save, saving, problem, say } = useSaving();
  const { value, set } = kept;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const read = schemeOf(value);
    if ('problem' in read) return say(read.problem);
    void save(
      () =>
        call('PUT /api/courses/{courseId}/marks/scheme', {
          params: { courseId: course.id },
          body: read.scheme,
        }),
      { done: () => kept.settle(value), stale: [keyOf(course.id)] },
    );
  };
  const small = (label: string, text: string, type: (text: string) => void) => (
    <input
      className={styles['small']}
      aria-label={label}
      inputMode="decimal"
      readOnly={!mayChange}
      value={text}
      onChange={(event) => type(event.target.value)}
    />
  );
  return (
    <form onSubmit={submit} className={styles['term']}>
      <BroughtBack at={kept.broughtBack} onGiveUp={kept.forget} />
      {mayChange && (
        <p>
          <label>
            Of each student{' '}
            {small('Lowest quizzes dropped', value.drop, (text) =>
              set((before) => ({ ...before, drop: text })),
            )}{' '}
            of the lowest quizzes are dropped.
          </label>{' '}
          <Button type="primary" htmlType="submit" disabled={saving}>
            Save
          </Button>
        </p>
      )}
      <table className={ui['plain-table']} aria-label="Marks">
        <thead>
          <tr>
            <th scope="col">Student</th>
            {marks.quizzes.map(({ id, title }) => (
              <th key={id} scope="col" className={ui['num']}>
                <Link to={`/c/${course.id}/quizzes/${id}/mark`}>{title}</Link>
              </th>
            ))}
            <th scope="col" className={ui['num']}>
              On top
            </th>
            <th scope="col" className={ui['num']}>
              Term
            </th>
          </tr>
          <tr>
            <th scope="row">weighs</th>
            {marks.quizzes.map(({ id, title }) => (
              <td key={id} className={ui['num']}>
                {small(`Weight of ${title}`, value.weights[id] ?? '1', (text) =>
                  set((before) => ({ ...before, weights: { ...before.weights, [id]: text } })),
                )}
              </td>
            ))}
            <td />
            <td />
          </tr>
        </thead>
        <tbody>
          {marks.students.map(({ id, name, results, percent, dropped }) => (
            <tr key={id}>
              <th scope="row">{name}</th>
              {results.map((result) => (
                <td key={result.quizId} className={ui['num']}>
                  <span className={dropped.includes(result.quizId) ? styles['dropped'] : ''}>
                    {resultInWords(result)}
                  </span>
                </td>
              ))}
              <td className={ui['num']}>
                {small(`Points on top for ${name}, percent`, value.bonus[id] ?? '', (text) =>
                  set((before) => ({ ...before, bonus: { ...before.bonus, [id]: text } })),
                )}
              </td>
              <td className={ui['num']}>
                <strong>{percentInWords(percent)}</strong>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {problem && <Problem>{problem}</Problem>}
      <p className="quiet">
        Absent counts as nothing reached; excused counts nowhere (said under Run of each quiz). What is
        dropped is struck through.
      </p>
    </form>
  );
}
