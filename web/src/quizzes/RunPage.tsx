import type { WholeCourse } from '@hurrow/contract/courses';
import type { Quiz } from '@hurrow/contract/quizzes';
import { App, Button } from 'antd';
import { useQuery, useQueryClient, type Query } from '@tanstack/react-query';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { scientificName } from '@hurrow/core/taxon';
import { MEDIUM_TITLES } from '@hurrow/core/view';
import { call } from '../app/api.ts';
import { useLibrary } from '../app/data.ts';
import { ImportFile } from '../app/ImportFile.tsx';
import { LinkButton, Problem } from '../app/parts.tsx';
import ui from '../app/parts.module.css';
import { useSaving } from '../app/useSaving.ts';
import { howFar, responseExample, toReplace } from './live.ts';
import { PaperEntry } from './PaperEntry.tsx';
import { marksQuery } from './quizData.ts';
import styles from './quizzes.module.css';
import { useLive } from './useLive.ts';

/** Does something, says that it is done, and meanwhile says what is under way. */
type Act = (work: () => Promise<unknown>, said: string, meanwhile?: string) => Promise<void>;

interface Props {
  course: WholeCourse;
  quiz: Quiz;
}

/** Opens and closes a quiz, shows who has answered, and takes answers from paper. */
export function RunPage({ course, quiz }: Props) {
  const { act, working, problem, refresh } = useActing();
  return (
    <>
      <State course={course} quiz={quiz} act={act} busy={working !== undefined} />
      {working && (
        <p role="status">
          <progress aria-label={working} /> {working}
        </p>
      )}
      {problem && <Problem>{problem}</Problem>}
      {quiz.state !== 'planned' && (
        <div className={styles['run']}>
          <section>
            <FromPaper course={course} quiz={quiz} refresh={refresh} />
            <h2>Stations</h2>
            <Stations quiz={quiz} act={act} />
          </section>
          <Answered course={course} quiz={quiz} />
        </div>
      )}
    </>
  );
}

function useActing() {
  const queries = useQueryClient();
  const { message } = App.useApp();
  const { save, problem } = useSaving();
  const [working, setWorking] = useState<string>();
  const refresh = async () => {
    const stale = {
      predicate: ({ queryKey }: Query) =>
        ['quiz', 'marks', 'course', 'confusions'].includes(String(queryKey[0])),
    };
    // What was asked before the change may be answered without it; a first answer that is awaited is not asked for again by itself.
    await queries.cancelQueries(stale);
    await queries.invalidateQueries(stale);
  };
  const act: Act = async (work, said, meanwhile = 'Working…') => {
    setWorking(meanwhile);
    await save(work, {
      done: async () => {
        await refresh();
        void message.success(said);
      },
    });
    setWorking(undefined);
  };
  return { act, working, problem, refresh };
}

/** What the quiz is now, and the way to what it can become. */
function State({ course, quiz, act, busy }: Props & { act: Act; busy: boolean }) {
  const at = { params: { quizId: quiz.id } };
  switch (quiz.state) {
    case 'planned':
      return (
        <p>
          Opening fixes every station: the list, the accepted names and the specimen drawn.{' '}
          <Button
            type="primary"
            disabled={busy}
            onClick={() =>
              void act(
                () => call('POST /api/quizzes/{quizId}/open', at),
                'The quiz is open.',
                `Fixing ${quiz.stations.length} stations with their names and drawings…`,
              )
            }
          >
            Open to students
          </Button>
        </p>
      );
    case 'open':
      return (
        <p>
          Students sign in with course code <strong className={ui['code']}>{course.code}</strong>.{' '}
          <Button
            type="primary"
            onClick={() =>
              void act(() => call('POST /api/quizzes/{quizId}/close', at), 'The quiz is closed.')
            }
          >
            Close the quiz
          </Button>
        </p>
      );
    case 'closed':
      return (
        <p>
          <Button
            onClick={() =>
              void act(() => call('POST /api/quizzes/{quizId}/open', at), 'The quiz is open again.')
            }
          >
            Open again
          </Button>{' '}
          <Button
            type={quiz.released ? 'default' : 'primary'}
            onClick={() =>
              void act(
                () =>
                  call('POST /api/quizzes/{quizId}/release', { ...at, body: { released: !quiz.released } }),
                quiz.released ? 'Results are hidden.' : 'Students see their own result now.',
              )
            }
          >
            {quiz.released ? 'Hide the results' : 'Release the results'}
          </Button>
        </p>
      );
  }
}

/** Answers that were written on paper, line by line or as a file. */
function FromPaper({ course, quiz, refresh }: Props & { refresh: () => Promise<void> }) {
  const { message } = App.useApp();
  const [search, setSearch] = useSearchParams();
  const mode = search.get('enter');
  const marks = useQuery({ ...marksQuery(quiz.id), enabled: mode === 'paper' });
  return (
    <>
      <h2>Answers from paper</h2>
      <p>
        <Button onClick={() => setSearch({ enter: 'paper' })}>Enter papers</Button>{' '}
        <Button onClick={() => setSearch({ enter: 'file' })}>Import a response file</Button>
      </p>
      {mode === 'paper' && <PaperEntry course={course} quiz={quiz} marks={marks.data} onStored={refresh} />}
      {mode === 'file' && (
        <ImportFile
          send={(body) =>
            call('POST /api/quizzes/{quizId}/responses/import', { params: { quizId: quiz.id }, body })
          }
          example={responseExample(course.marking.policy)}
          asksToReplace={toReplace}
          onDone={(_report, here) => {
            void message.success('The answers are imported.');
            if (here) setSearch({});
            void refresh();
          }}
        />
      )}
    </>
  );
}

function Stations({ quiz, act }: { quiz: Quiz; act: Act }) {
  const { profileOf } = useLibrary();
  const taxonName = (id: string) => {
    const found = profileOf(id);
    return found ? scientificName(found.taxon) : id;
  };
  return (
    <ol className={styles['run-stations']}>
      {quiz.stations.map((station) => (
        <li key={station.id} className={station.voided ? styles['voided'] : ''}>
          {station.drawn ? (
            <img
              src={`/api/quizzes/${quiz.id}/stations/${station.id}/drawing.svg`}
              alt={`Station ${station.position}, as students see it`}
            />
          ) : (
            <span className={`${styles['no-picture']} quiet`}>not drawn</span>
          )}
          <span>
            <b>{station.position}</b> <span className="latin">{taxonName(station.taxonId)}</span>,{' '}
            {MEDIUM_TITLES[station.medium]}
            <br />
            <LinkButton
              onClick={() =>
                void act(
                  () =>
                    call('POST /api/quizzes/{quizId}/stations/{stationId}/void', {
                      params: { quizId: quiz.id, stationId: station.id },
                      body: { voided: !station.voided },
                    }),
                  station.voided ? 'The station counts again.' : 'The station is left out of all marks.',
                )
              }
            >
              {station.voided ? 'Left out. Count it again' : 'Leave out of all marks'}
            </LinkButton>
          </span>
        </li>
      ))}
    </ol>
  );
}

function Answered({ course, quiz }: Props) {
  const live = useLive(quiz.id, true);
  return (
    <section>
      <h2>Who has answered</h2>
      {/* Read out only when something is wrong: each answer would be too much. */}
      <p
        className={live.line === 'open' ? 'quiet' : ui['notice']}
        role={live.line === 'open' ? undefined : 'status'}
      >
        {howFar(live, course.students, quiz)}
      </p>
      <table className={ui['plain-table']}>
        <tbody>
          {course.students.map((student) => (
            <tr key={student.id}>
              <td>{student.name}</td>
              <td className={ui['num']}>
                {live.counts?.[student.id] ?? 0} of {quiz.stations.length}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
