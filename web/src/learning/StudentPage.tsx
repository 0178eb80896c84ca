import type { StudentLearning } from '@hurrow/contract/learning';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { ofStudent, type OfStudent } from '@hurrow/core/finding';
import { miniLesson } from '@hurrow/core/lesson';
import { pairView } from '@hurrow/core/practice';
import { drawingToSvg } from '@hurrow/core/specimen';
import { listInWords, MEDIUM_TITLES } from '@hurrow/core/view';
import { call, messageOf } from '../app/api.ts';
import { useFieldDate } from '../app/fieldDate.tsx';
import { Opening, PageHead, Problem } from '../app/parts.tsx';
import { useSaving } from '../app/useSaving.ts';
import { useKept } from '../drafts/useKept.ts';
import { counted, percent, useNames, type Names } from '../confusions/useNames.ts';
import { practiceQuery, studentQuery } from './learningQueries.ts';
import { practiceSlips, timesSaid } from './standings.ts';
import { recordOf, standingSaid } from './studentRecord.ts';
import { useGroundOf } from './useGroundOf.ts';
import ui from '../app/parts.module.css';
import styles from './learning.module.css';

/** One student in sentences and drawings: what is known, taken for what, gone by; practice; a note for an advising talk. */
export function StudentPage({ courseId }: { courseId: string }) {
  const { studentId = '' } = useParams();
  const query = useQuery(studentQuery(courseId, studentId));
  const names = useNames(courseId);
  const learned = query.data;
  const found = useMemo(() => learned && ofStudent(recordOf(learned)), [learned]);
  const base = `/c/${courseId}/confusions`;
  if (query.isError)
    return (
      <section className={ui['page']}>
        <Problem>{messageOf(query.error)}</Problem>
        <Link to={`${base}/students`}>Back to the students</Link>
      </section>
    );
  if (!learned || !found) return <Opening>Reading the answers…</Opening>;
  return (
    <section className={`${ui['page']} ${styles['student']}`}>
      <PageHead title={learned.name}>
        <span className={styles['doors']}>
          <Button onClick={() => window.print()}>Print</Button>
          <Link to={`${base}/students`}>All students</Link>
        </span>
      </PageHead>
      <div className={styles['mini']}>
        <div>
          <Sentences found={found} learned={learned} names={names} base={base} />
          <Mixed courseId={courseId} found={found} learned={learned} names={names} base={base} />
        </div>
        <aside>
          <Quizzes found={found} learned={learned} />
          <Practiced courseId={courseId} learned={learned} names={names} />
          <AdvisingNote courseId={courseId} learned={learned} />
        </aside>
      </div>
    </section>
  );
}

interface PartProps {
  found: OfStudent;
  learned: StudentLearning;
  names: Names;
  base: string;
}

/** What is known, gone by and passed over, as far as one student's answers carry it. */
function Sentences({ found, learned, names }: PartProps) {
  const { knows, goesBy, passesOver, misreads, notNamed } = found;
  return (
    <>
      <p>
        {standingSaid(found.standing, learned.answers.length)}{' '}
        {knows.length > 0 && (
          <>Knows {listInWords(knows.map(names.taxon))}: right each time, twice at least.</>
        )}
      </p>
      {notNamed.length > 0 && (
        <p>
          Never named {listInWords(notNamed.map(({ taxonId }) => names.taxon(taxonId)))}, nor took them for
          any one tree.
        </p>
      )}
      {goesBy.length > 0 && (
        <p>
          Goes by{' '}
          {listInWords(
            goesBy
              .slice(0, 5)
              .map(
                ({ characterId, told, offered }) => `${names.character(characterId)} (${told} of ${offered})`,
              ),
          )}
          .
        </p>
      )}
      {passesOver.map(({ characterId, offered, classShare }) => (
        <p key={characterId}>
          <strong>Never says to go by {names.character(characterId)}</strong>, at {offered} stations where it
          could tell; the class does in {percent(classShare)}.
        </p>
      ))}
      {misreads.map(({ characterId, wrong, asked }) => (
        <p key={characterId}>
          Misreads <strong>{names.character(characterId)}</strong>: {wrong} of {asked} when asked to look.
        </p>
      ))}
      {learned.wentBy.length > 0 && passesOver.length === 0 && misreads.length === 0 && (
        <p className="quiet">
          Of what is looked at and what is passed over one student’s answers say no more.
        </p>
      )}
    </>
  );
}

/** What was taken for what, with the specimens that were shown. */
function Mixed({ courseId, found, learned, names, base }: PartProps & { courseId: string }) {
  const { takes, once } = found;
  return (
    <>
      {takes.length > 0 && <h2>Takes again and again</h2>}
      {takes.map(({ truth, named, times, asked }) => (
        <section key={`${truth} ${named}`} className={styles['taken']}>
          <p>
            <Link to={`${base}/${truth}/${named}`}>
              {names.taxon(truth)} for {names.taxon(named)}
            </Link>
            : {timesSaid(times)} of {counted(asked, 'time')}.{' '}
            <Link to={`${base}/${truth}/${named}/lesson?to=${learned.id}`}>Make a lesson of it</Link>
          </p>
          <BothDrawn courseId={courseId} a={truth} b={named} names={names} />
          <Pictures learned={learned} truth={truth} named={named} names={names} />
        </section>
      ))}
      {once.length > 0 && <h2>Once</h2>}
      <ul className={styles['once']}>
        {once.map(({ truth, named }) => (
          <li key={`${truth} ${named}`}>
            <Link to={`${base}/${truth}/${named}`}>
              {names.taxon(truth)} for {names.taxon(named)}
            </Link>
            <Pictures learned={learned} truth={truth} named={named} names={names} />
          </li>
        ))}
      </ul>
    </>
  );
}

/** Both trees beside each other, alike but for what decides, as one would show them in the talk. */
function BothDrawn({ courseId, a, b, names }: { courseId: string; a: string; b: string; names: Names }) {
  const ground = useGroundOf(courseId, [a, b]);
  const { day } = useFieldDate();
  const svg = useMemo(() => {
    const view = ground && pairView(ground, a, b, day);
    if (!view) return undefined;
    const { plate } = miniLesson(ground.list, a, b, null, { ...ground, view }, 1);
    return drawingToSvg(plate, '');
  }, [ground, a, b, day]);
  if (!svg) return null;
  return (
    <img
      src={`data:image/svg+xml;utf8,${encodeURIComponent(svg)}`}
      alt={`${names.taxon(a)} to the left, ${names.taxon(b)} to the right`}
    />
  );
}

/** The specimens of these answers: as drawn, or what lay there. */
function Pictures({
  learned,
  truth,
  named,
  names,
}: {
  learned: StudentLearning;
  truth: string;
  named: string;
  names: Names;
}) {
  const quizzes = new Map(learned.quizzes.map(({ id, title }) => [id, title]));
  return (
    <div className={styles['pictures']}>
      {learned.answers
        .filter((answer) => answer.truth === truth && answer.named === named)
        .map(({ quizId, stationId, position, medium, pictured, written }) => (
          <figure key={stationId}>
            {pictured && (
              <img
                src={`/api/quizzes/${quizId}/stations/${stationId}/drawing.svg`}
                alt={`${names.taxon(truth)} as it was shown`}
              />
            )}
            <figcaption className="quiet">
              {quizzes.get(quizId)}, station {position}
              {pictured ? '' : `, ${MEDIUM_TITLES[medium]}`}: “{written}”
            </figcaption>
          </figure>
        ))}
    </div>
  );
}

function Quizzes({ found, learned }: Pick<PartProps, 'found' | 'learned'>) {
  const quizzes = new Map(learned.quizzes.map((quiz) => [quiz.id, quiz]));
  return (
    <>
      <h2>Quizzes</h2>
      <table className={ui['plain-table']}>
        <thead>
          <tr>
            <th>Quiz</th>
            <th className={ui['num']}>Right</th>
            <th className={ui['num']}>Class</th>
          </tr>
        </thead>
        <tbody>
          {found.trend.map(({ quizId, asked, right, classShare }) => (
            <tr key={quizId}>
              <td>{quizzes.get(quizId)?.title}</td>
              <td className={ui['num']}>
                {right} of {asked}
              </td>
              <td className={ui['num']}>{percent(classShare)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

function Practiced({
  courseId,
  learned,
  names,
}: Pick<PartProps, 'learned' | 'names'> & { courseId: string }) {
  const { practice, miniLessons } = learned;
  const slips = practiceSlips(useQuery(practiceQuery(courseId)).data?.slips ?? [], learned.id);
  return (
    <>
      <h2>Practice</h2>
      <p>
        {practice.answers === 0
          ? 'Has not practiced on the phone.'
          : `${counted(practice.answers, 'card')} on ${counted(practice.days, 'day')}, the last on ${practice.lastOn}. Knows ${practice.known} of ${practice.cards} cards; ${practice.due} due.`}
      </p>
      {slips.length > 0 && (
        <p>
          In practice took{' '}
          {listInWords(
            slips
              .slice(0, 4)
              .map(
                ({ truth, named, times }) =>
                  `${names.taxon(truth)} for ${names.taxon(named)} (${timesSaid(times)})`,
              ),
          )}
          .
        </p>
      )}
      {miniLessons.map(({ id, a, b, sentOn, students }) => (
        <p key={id}>
          Was sent {names.taxon(a)} or {names.taxon(b)} on {sentOn};{' '}
          {students.find((student) => student.id === learned.id)?.opened
            ? 'opened it'
            : 'has not opened it yet'}
          .
        </p>
      ))}
    </>
  );
}

/** A note that students do not see. */
function AdvisingNote({ courseId, learned }: { courseId: string; learned: StudentLearning }) {
  const note = useKept(`advising/${learned.id}`, `Note on ${learned.name}`, learned.note);
  const queries = useQueryClient();
  const { save, saving, problem } = useSaving();
  const keep = () =>
    save(
      () =>
        call('PUT /api/courses/{courseId}/students/{studentId}/note', {
          params: { courseId, studentId: learned.id },
          body: { note: note.value },
        }),
      {
        done: () => {
          note.settle(note.value);
          return queries.invalidateQueries({ queryKey: ['learning', courseId, learned.id] });
        },
      },
    );
  return (
    <>
      <h2>For the talk</h2>
      <label className={styles['line']}>
        <span className="quiet">Students do not see it; it goes with what is handed out of a student.</span>
        <textarea
          value={note.value}
          rows={4}
          maxLength={4000}
          onChange={(event) => note.set(event.target.value)}
        />
      </label>
      <Button loading={saving} disabled={note.value.trim() === learned.note} onClick={() => void keep()}>
        Keep the note
      </Button>
      {problem && <Problem>{problem}</Problem>}
    </>
  );
}
