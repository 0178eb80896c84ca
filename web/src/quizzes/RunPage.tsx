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
import { PaperEntry } from './PaperEntry.tsx';
import { howFar } from './live.ts';
import { marksQuery } from './quizData.ts';
import { useLive } from './useLive.ts';
import { LinkButton, Problem } from '../app/parts.tsx';
import ui from '../app/parts.module.css';
import styles from './quizzes.module.css';
import { useSaving } from '../app/useSaving.ts';

/** Opens and closes a quiz, shows who has answered, and takes answers from paper. */
export function RunPage({ course, quiz }: { course: WholeCourse; quiz: Quiz }) {
  const live = useLive(quiz.id, quiz.state !== 'planned');
  const { profileOf } = useLibrary();
  const queries = useQueryClient();
  const { message } = App.useApp();
  const [search, setSearch] = useSearchParams();
  const mode = search.get('enter');
  const marks = useQuery({ ...marksQuery(quiz.id), enabled: mode === 'paper' });
  const { save, problem } = useSaving();
  const refresh = async () => {
    const stale = {
      predicate: ({ queryKey }: Query) =>
        ['quiz', 'marks', 'course', 'confusions'].includes(String(queryKey[0])),
    };
    // What was asked before the change may be answered without it; a first answer that is awaited is not asked for again by itself.
    await queries.cancelQueries(stale);
    await queries.invalidateQueries(stale);
  };
  const at = { params: { quizId: quiz.id } };
  const [working, setWorking] = useState<string>();
  const act = async (work: () => Promise<unknown>, said: string, meanwhile = 'Working…') => {
    setWorking(meanwhile);
    await save(work, {
      done: async () => {
        await refresh();
        void message.success(said);
      },
    });
    setWorking(undefined);
  };
  const taxonName = (id: string) => {
    const found = profileOf(id);
    return found ? scientificName(found.taxon) : id;
  };
  return (
    <>
      <p>
        {quiz.state === 'planned' && (
          <>
            Opening fixes every station: the list, the accepted names and the specimen drawn.{' '}
            <Button
              type="primary"
              disabled={working !== undefined}
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
          </>
        )}
        {quiz.state === 'open' && (
          <>
            Students sign in with course code <strong className={ui['code']}>{course.code}</strong>.{' '}
            <Button
              type="primary"
              onClick={() =>
                void act(() => call('POST /api/quizzes/{quizId}/close', at), 'The quiz is closed.')
              }
            >
              Close the quiz
            </Button>
          </>
        )}
        {quiz.state === 'closed' && (
          <>
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
          </>
        )}
      </p>
      {working && (
        <p role="status">
          <progress aria-label={working} /> {working}
        </p>
      )}
      {problem && <Problem>{problem}</Problem>}
      {quiz.state !== 'planned' && (
        <div className={styles['run']}>
          <section>
            <h2>Answers from paper</h2>
            <p>
              <Button onClick={() => setSearch({ enter: 'paper' })}>Enter papers</Button>{' '}
              <Button onClick={() => setSearch({ enter: 'file' })}>Import a response file</Button>
            </p>
            {mode === 'paper' && (
              <PaperEntry course={course} quiz={quiz} marks={marks.data} onStored={refresh} />
            )}
            {mode === 'file' && (
              <ImportFile
                send={(body) =>
                  call('POST /api/quizzes/{quizId}/responses/import', { params: { quizId: quiz.id }, body })
                }
                example={
                  course.marking.policy === 'common'
                    ? 'student,station,answer\nRowan Achterberg,1,paper birch'
                    : 'student,station,genus,epithet,family\nRowan Achterberg,1,Betula,papyrifera,Betulaceae'
                }
                asksToReplace={(count) =>
                  `Replace ${count === 1 ? 'this stored answer' : `these ${count} stored answers`}; both stay in the history`
                }
                onDone={(_report, here) => {
                  void message.success('The answers are imported.');
                  if (here) setSearch({});
                  void refresh();
                }}
              />
            )}
            <h2>Stations</h2>
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
                              params: { ...at.params, stationId: station.id },
                              body: { voided: !station.voided },
                            }),
                          station.voided
                            ? 'The station counts again.'
                            : 'The station is left out of all marks.',
                        )
                      }
                    >
                      {station.voided ? 'Left out. Count it again' : 'Leave out of all marks'}
                    </LinkButton>
                  </span>
                </li>
              ))}
            </ol>
          </section>
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
        </div>
      )}
    </>
  );
}
