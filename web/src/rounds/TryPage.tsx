import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { Quiz } from '@hurrow/contract/quizzes';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { Try } from '@hurrow/contract/tries';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState, type FormEvent } from 'react';
import { Link, useParams } from 'react-router';
import type { Answer } from '@hurrow/core/names';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { MEDIUM_TITLES } from '@hurrow/core/view';
import { call, messageOf } from '../app/api.ts';
import { courseQuery, useLibrary } from '../app/data.ts';
import { Opening, Problem } from '../app/parts.tsx';
import { useSaving } from '../app/useSaving.ts';
import { BroughtBack } from '../drafts/BroughtBack.tsx';
import { useKept } from '../drafts/useKept.ts';
import { quizQuery } from '../quizzes/quizData.ts';
import { Asked } from '../student/Asked.tsx';
import { Choices } from '../student/Choices.tsx';
import { NameFields } from '../student/NameFields.tsx';
import { picturedAt, willAsk } from './willAsk.ts';
import styles from '../student/student.module.css';
import ui from '../app/parts.module.css';
import { inTongue } from '../language/inTongue.ts';
import { viewInWords } from '../language/inWords.ts';

/** A quiz as a colleague sits it blind before the day, on a phone: what is missed shows which station is not as it was meant. */
export default function TryPage() {
  const { courseId = '', quizId = '' } = useParams();
  const course = useQuery(courseQuery(courseId));
  const quiz = useQuery(quizQuery(quizId));
  const { library } = useLibrary();
  const error = course.error ?? quiz.error;
  if (error) return <Problem>{messageOf(error)}</Problem>;
  if (!course.data || !quiz.data || !library)
    return (
      <Opening>
        <Trans>Opening the quiz…</Trans>
      </Opening>
    );
  return <Sitting key={quizId} course={course.data} quiz={quiz.data} />;
}

interface Props {
  course: WholeCourse;
  quiz: Quiz;
}

function Sitting({ course, quiz }: Props) {
  const [at, setAt] = useState(0);
  const kept = useKept<Record<number, Answer>>(`try/${quiz.id}`, `Trying ${quiz.title}`, {});
  const answers = kept.value;
  const [done, setDone] = useState<Try>();
  const { save, saving, problem } = useSaving();
  const station = quiz.stations[at];
  const isLast = at === quiz.stations.length - 1;
  const next = async (event: FormEvent) => {
    event.preventDefault();
    if (!isLast) return setAt(at + 1);
    const body = {
      answers: quiz.stations.map(({ position }) => ({ position, answer: answers[position] ?? {} })),
    };
    const made = await save(
      () => call('POST /api/quizzes/{quizId}/tries', { params: { quizId: quiz.id }, body }),
      { done: () => kept.forget(), stale: [['tries', quiz.id]] },
    );
    if (made) setDone(made);
  };
  if (done) return <Missed course={course} quiz={quiz} done={done} />;
  if (!station)
    return (
      <Problem>
        <Trans>This quiz has no stations yet.</Trans>
      </Problem>
    );
  const answer = answers[station.position] ?? {};
  return (
    <div className={styles['phone']}>
      <header className={styles['phone-bar']}>
        <h1>
          <Trans>Station {station.position}</Trans>
        </h1>
        <span>
          <Trans>of {quiz.stations.length}</Trans>
        </span>
      </header>
      <main className={styles['pad']}>
        <Shown course={course} station={station} />
        <form onSubmit={(event) => void next(event)}>
          <Fields
            course={course}
            station={station}
            answer={answer}
            onAnswer={(next) => kept.set((all) => ({ ...all, [station.position]: next }))}
          />
          <BroughtBack at={kept.broughtBack} onGiveUp={kept.forget} />
          {problem && <p role="alert">{problem}</p>}
          <div className={styles['phone-go']}>
            <button
              type="button"
              className={ui['press']}
              disabled={at === 0}
              aria-label={t`Back one station`}
              onClick={() => setAt(at - 1)}
            >
              ‹
            </button>
            <button className={`${ui['press']} ${ui['chief']}`} disabled={saving}>
              {isLast ? t`Hand in` : t`Next station ›`}
            </button>
          </div>
        </form>
      </main>
    </div>
  );
}

/** What students will be asked: the name, one of four, or something else in place of it. */
function Fields({
  course,
  station,
  answer,
  onAnswer,
}: {
  course: WholeCourse;
  station: Quiz['stations'][number];
  answer: Answer;
  onAnswer(answer: Answer): void;
}) {
  const { library, vocabulary } = useLibrary();
  const { question, choices } = useMemo(
    () => (library ? willAsk(station, course, { library, vocabulary }) : { question: null, choices: [] }),
    [station, course, library, vocabulary],
  );
  const { policy } = course.marking;
  if (question) return <Asked question={question} policy={policy} answer={answer} onAnswer={onAnswer} />;
  if (choices.length > 0) return <Choices choices={choices} answer={answer} onAnswer={onAnswer} />;
  return <NameFields quiz={{ policy, names: [] }} answer={answer} onAnswer={onAnswer} />;
}

/** What students will see of it: the drawing, or where to look. */
function Shown({ course, station }: { course: WholeCourse; station: Quiz['stations'][number] }) {
  const { library, vocabulary } = useLibrary();
  const { medium, view, position } = station;
  const picture = useMemo(
    () => (library ? picturedAt(station, course, { library, vocabulary }) : null),
    [station, library, vocabulary, course],
  );
  return (
    <>
      {picture ? (
        <img
          className={`${styles['specimen']} ${station.question?.kind === 'sort' ? styles['sheet'] : ''}`}
          src={`data:image/svg+xml;utf8,${encodeURIComponent(picture)}`}
          alt={t`The drawing at station ${position}`}
        />
      ) : (
        <p className={styles['look-there']}>
          <Trans>
            Look at the {inTongue(MEDIUM_TITLES[medium])} at station {position}.
          </Trans>
        </p>
      )}
      <p className="quiet">
        {inTongue(MEDIUM_TITLES[medium])}: {viewInWords(view)}.
      </p>
    </>
  );
}

function Missed({ course, quiz, done: { answered, missed } }: Props & { done: Try }) {
  const { profileOf } = useLibrary();
  const back = `/c/${course.id}/quizzes/${quiz.id}/rounds`;
  return (
    <div className={styles['phone']}>
      <header className={styles['phone-bar']}>
        <h1>{quiz.title}</h1>
      </header>
      <main className={styles['pad']}>
        <h2>
          {missed.length === 0
            ? t`All ${answered} were answered rightly.`
            : t`${missed.length} of ${answered} were missed:`}
        </h2>
        <ul className={styles['result']}>
          {missed.map(({ position, taxonId, written }) => {
            const taxon = profileOf(taxonId)?.taxon;
            return (
              <li key={position}>
                <b>{position}</b>
                <span>
                  {taxon ? `${commonName(taxon)}, ${scientificName(taxon)}` : taxonId}
                  <br />
                  <span className="quiet">
                    <Trans>you wrote {written || t`nothing`}</Trans>
                  </span>
                </span>
              </li>
            );
          })}
        </ul>
        <p>
          <Trans>Whoever plans the quiz sees this list beside the rounds. It counts for nobody.</Trans>
        </p>
        <Link className={`${ui['press']} ${styles['wide-press']}`} to={back}>
          <Trans>Done</Trans>
        </Link>
      </main>
    </div>
  );
}
