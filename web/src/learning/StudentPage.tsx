import { plural, t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import type { StudentLearning } from '@hurrow/contract/learning';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { ofStudent, type OfStudent } from '@hurrow/core/finding';
import { miniLesson } from '@hurrow/core/lesson';
import { pairView } from '@hurrow/core/practice';
import { drawingToSvg } from '@hurrow/core/specimen';
import { MEDIUM_TITLES } from '@hurrow/core/view';
import { call, messageOf } from '../app/api.ts';
import { useFieldDate } from '../app/fieldDate.tsx';
import { Opening, PageHead, Problem } from '../app/parts.tsx';
import { useSaving } from '../app/useSaving.ts';
import { useKept } from '../drafts/useKept.ts';
import { percent, useNames, type Names } from '../confusions/useNames.ts';
import { practiceQuery, studentQuery } from './learningQueries.ts';
import { practiceSlips, timesSaid } from './standings.ts';
import { recordOf, standingSaid } from './studentRecord.ts';
import { useGroundOf } from './useGroundOf.ts';
import ui from '../app/parts.module.css';
import styles from './learning.module.css';
import { inTongue } from '../language/inTongue.ts';
import { listInWords } from '../language/inWords.ts';

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
        <Link to={`${base}/students`}>
          <Trans>Back to the students</Trans>
        </Link>
      </section>
    );
  if (!learned || !found)
    return (
      <Opening>
        <Trans>Reading the answers…</Trans>
      </Opening>
    );
  return (
    <section className={`${ui['page']} ${styles['student']}`}>
      <PageHead title={learned.name}>
        <span className={styles['doors']}>
          <Button onClick={() => window.print()}>
            <Trans>Print</Trans>
          </Button>
          <Link to={`${base}/students`}>
            <Trans>All students</Trans>
          </Link>
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
          <>
            <Trans>Knows {listInWords(knows.map(names.taxon))}: right each time, twice at least.</Trans>
          </>
        )}
      </p>
      {notNamed.length > 0 && (
        <p>
          <Trans>
            Never named {listInWords(notNamed.map(({ taxonId }) => names.taxon(taxonId)))}, nor took them for
            any one tree.
          </Trans>
        </p>
      )}
      {goesBy.length > 0 && (
        <p>
          <Trans>
            Goes by{' '}
            {listInWords(
              goesBy
                .slice(0, 5)
                .map(
                  ({ characterId, told, offered }) =>
                    t`${names.character(characterId)} (${told} of ${offered})`,
                ),
            )}
            .
          </Trans>
        </p>
      )}
      {passesOver.map(({ characterId, offered, classShare }) => (
        <p key={characterId}>
          <Trans>
            <strong>Never says to go by {names.character(characterId)}</strong>, at {offered} stations where
            it could tell; the class does in {percent(classShare)}.
          </Trans>
        </p>
      ))}
      {misreads.map(({ characterId, wrong, asked }) => (
        <p key={characterId}>
          <Trans>
            Misreads <strong>{names.character(characterId)}</strong>: {wrong} of {asked} when asked to look.
          </Trans>
        </p>
      ))}
      {learned.wentBy.length > 0 && passesOver.length === 0 && misreads.length === 0 && (
        <p className="quiet">
          <Trans>Of what is looked at and what is passed over one student’s answers say no more.</Trans>
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
      {takes.length > 0 && (
        <h2>
          <Trans>Takes again and again</Trans>
        </h2>
      )}
      {takes.map(({ truth, named, times, asked }) => (
        <section key={`${truth} ${named}`} className={styles['taken']}>
          <p>
            <Trans>
              <Link to={`${base}/${truth}/${named}`}>
                {names.taxon(truth)} for {names.taxon(named)}
              </Link>
              : {timesSaid(times)} of <Plural value={asked} one="# time" other="# times" />.{' '}
              <Link to={`${base}/${truth}/${named}/lesson?to=${learned.id}`}>Make a lesson of it</Link>
            </Trans>
          </p>
          <BothDrawn courseId={courseId} a={truth} b={named} names={names} />
          <Pictures learned={learned} truth={truth} named={named} names={names} />
        </section>
      ))}
      {once.length > 0 && (
        <h2>
          <Trans>Once</Trans>
        </h2>
      )}
      <ul className={styles['once']}>
        {once.map(({ truth, named }) => (
          <li key={`${truth} ${named}`}>
            <Link to={`${base}/${truth}/${named}`}>
              <Trans>
                {names.taxon(truth)} for {names.taxon(named)}
              </Trans>
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
      alt={t`${names.taxon(a)} to the left, ${names.taxon(b)} to the right`}
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
                alt={t`${names.taxon(truth)} as it was shown`}
              />
            )}
            <figcaption className="quiet">
              <Trans>
                {quizzes.get(quizId)}, station {position}
                {pictured ? '' : `, ${inTongue(MEDIUM_TITLES[medium])}`}: “{written}”
              </Trans>
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
      <h2>
        <Trans>Quizzes</Trans>
      </h2>
      <table className={ui['plain-table']}>
        <thead>
          <tr>
            <th>
              <Trans>Quiz</Trans>
            </th>
            <th className={ui['num']}>
              <Trans>Right</Trans>
            </th>
            <th className={ui['num']}>
              <Trans>Class</Trans>
            </th>
          </tr>
        </thead>
        <tbody>
          {found.trend.map(({ quizId, asked, right, classShare }) => (
            <tr key={quizId}>
              <td>{quizzes.get(quizId)?.title}</td>
              <td className={ui['num']}>
                <Trans>
                  {right} of {asked}
                </Trans>
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
      <h2>
        <Trans>Practice</Trans>
      </h2>
      <p>
        {practice.answers === 0
          ? t`Has not practiced on the phone.`
          : t`${plural(practice.answers, { one: '# card', other: '# cards' })} on ${plural(practice.days, { one: '# day', other: '# days' })}, the last on ${practice.lastOn ?? ''}. Knows ${practice.known} of ${practice.cards} cards; ${practice.due} due.`}
      </p>
      {slips.length > 0 && (
        <p>
          <Trans>
            In practice took{' '}
            {listInWords(
              slips
                .slice(0, 4)
                .map(
                  ({ truth, named, times }) =>
                    t`${names.taxon(truth)} for ${names.taxon(named)} (${timesSaid(times)})`,
                ),
            )}
            .
          </Trans>
        </p>
      )}
      {miniLessons.map(({ id, a, b, sentOn, students }) => (
        <p key={id}>
          <Trans>
            Was sent {names.taxon(a)} or {names.taxon(b)} on {sentOn};{' '}
            {students.find((student) => student.id === learned.id)?.opened
              ? t`opened it`
              : t`has not opened it yet`}
            .
          </Trans>
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
      <h2>
        <Trans>For the talk</Trans>
      </h2>
      <label className={styles['line']}>
        <span className="quiet">
          <Trans>Students do not see it; it goes with what is handed out of a student.</Trans>
        </span>
        <textarea
          value={note.value}
          rows={4}
          maxLength={4000}
          onChange={(event) => note.set(event.target.value)}
        />
      </label>
      <Button loading={saving} disabled={note.value.trim() === learned.note} onClick={() => void keep()}>
        <Trans>Keep the note</Trans>
      </Button>
      {problem && <Problem>{problem}</Problem>}
    </>
  );
}
