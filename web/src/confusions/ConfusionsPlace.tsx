import { plural, t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import type { ClassReport, ConfusionData, Scores } from '@hurrow/contract/confusions';
import { Button, Progress } from 'antd';
import { useState, type ReactNode } from 'react';
import { NavLink, Route, Routes } from 'react-router';
import { messageOf } from '../app/api.ts';
import { MiniLesson } from '../learning/MiniLesson.tsx';
import { Report } from '../learning/Report.tsx';
import { StudentPage } from '../learning/StudentPage.tsx';
import { Students } from '../learning/Students.tsx';
import { Trends } from '../learning/Trends.tsx';
import { Characters } from './Characters.tsx';
import { PairPage } from './PairPage.tsx';
import { Pairs } from './Pairs.tsx';
import { Stations } from './Stations.tsx';
import { TeachNext } from './TeachNext.tsx';
import { useConfusions } from './useConfusions.ts';
import { firstInWords } from './firstLook.ts';
import { useNames, type Names } from './useNames.ts';
import { useReport } from './useReport.ts';
import { Opening, Problem } from '../app/parts.tsx';
import ui from '../app/parts.module.css';
import styles from './confusions.module.css';
import { listInWords } from '../language/inWords.ts';

/** What a class mixes up and which characters it overlooks: what to teach next, and all that lies behind it. */
export default function ConfusionsPlace({ courseId }: { courseId: string }) {
  return (
    <Routes>
      <Route path="students/:studentId" element={<StudentPage courseId={courseId} />} />
      <Route path=":aId/:bId/lesson" element={<MiniLesson courseId={courseId} />} />
      <Route path=":aId/:bId" element={<PairPage courseId={courseId} />} />
      <Route path="*" element={<Parts courseId={courseId} />} />
    </Routes>
  );
}

function Parts({ courseId }: { courseId: string }) {
  const { query, data, answers, directed, pairs } = useConfusions(courseId);
  const [scores, setScores] = useState<Scores>('now');
  const [earlier, setEarlier] = useState<'with' | 'without'>('with');
  const work = useReport(courseId, scores, earlier);
  const names = useNames(courseId);
  if (courseId === '-')
    return (
      <Nothing text={t`Make a course and hold a quiz; the confusions of its students then stand here.`} />
    );
  if (query.isPending)
    return (
      <Opening>
        <Trans>Counting the answers…</Trans>
      </Opening>
    );
  if (query.isError && !data) return <Problem>{messageOf(query.error)}</Problem>;
  if (answers.length === 0)
    return (
      <Nothing
        text={t`No answers yet. Open a quiz and let students answer, or enter their papers; the confusions then stand here.`}
      />
    );
  const withReport = (show: (report: ClassReport) => ReactNode) =>
    work.report ? show(work.report) : <Waiting work={work} names={names} />;
  return (
    <div className={styles['confusions']}>
      <aside>
        <PartsNav base={`/c/${courseId}/confusions`} />
        <Facts data={data!} answers={answers} />
        <Choices
          scores={scores}
          onScores={setScores}
          earlier={earlier}
          onEarlier={setEarlier}
          classes={work.report?.earlier ?? []}
        />
      </aside>
      <section className={ui['page']}>
        <Routes>
          <Route
            path=""
            element={withReport((report) => (
              <TeachNext courseId={courseId} data={data!} report={report} names={names} />
            ))}
          />
          <Route
            path="pairs"
            element={
              <Pairs
                courseId={courseId}
                data={data!}
                report={work.report}
                names={names}
                answers={answers}
                directed={directed}
                pairs={pairs}
              />
            }
          />
          <Route
            path="characters"
            element={withReport((report) => (
              <Characters courseId={courseId} data={data!} report={report} names={names} />
            ))}
          />
          <Route path="students" element={<Students courseId={courseId} data={data!} names={names} />} />
          <Route path="trends" element={<Trends courseId={courseId} names={names} />} />
          <Route path="report" element={<Report courseId={courseId} />} />
          <Route
            path="stations"
            element={withReport((report) => (
              <Stations courseId={courseId} data={data!} report={report} names={names} />
            ))}
          />
        </Routes>
      </section>
    </div>
  );
}

/** The parts of the place. */
const PartsNav = ({ base }: { base: string }) => (
  <nav aria-label={t`Parts of Confusions`}>
    <NavLink to={base} end>
      <Trans>What to teach next</Trans>
    </NavLink>
    <NavLink to={`${base}/pairs`}>
      <Trans>Pairs</Trans>
    </NavLink>
    <NavLink to={`${base}/characters`}>
      <Trans>Characters</Trans>
    </NavLink>
    <NavLink to={`${base}/stations`}>
      <Trans>Stations</Trans>
    </NavLink>
    <NavLink to={`${base}/students`}>
      <Trans>Students</Trans>
    </NavLink>
    <NavLink to={`${base}/trends`}>
      <Trans>Over the quizzes</Trans>
    </NavLink>
    <NavLink to={`${base}/report`}>
      <Trans>For a colleague</Trans>
    </NavLink>
  </nav>
);

/** What the figures rest on, as far as it can be chosen. */
function Choices({
  scores,
  onScores,
  earlier,
  onEarlier,
  classes,
}: {
  scores: Scores;
  onScores(scores: Scores): void;
  earlier: 'with' | 'without';
  onEarlier(earlier: 'with' | 'without'): void;
  /** Names of the earlier classes that are taken in. */
  classes: readonly string[];
}) {
  return (
    <>
      <label className={styles['scores-choice']}>
        <Trans>Scores</Trans>{' '}
        <select value={scores} onChange={(event) => onScores(event.target.value as Scores)}>
          <option value="now">
            <Trans>as they are now</Trans>
          </option>
          <option value="then">
            <Trans>as they were then</Trans>
          </option>
        </select>
      </label>
      {(earlier === 'without' || classes.length > 0) && (
        <label className={styles['scores-choice']}>
          <Trans>What earlier classes overlooked</Trans>{' '}
          <select
            value={earlier}
            title={listInWords(classes)}
            onChange={(event) => onEarlier(event.target.value as 'with' | 'without')}
          >
            <option value="with">
              <Trans>taken in</Trans>
            </option>
            <option value="without">
              <Trans>left out</Trans>
            </option>
          </select>
        </label>
      )}
    </>
  );
}

/** What the figures are counted from. */
function Facts({
  data,
  answers,
}: {
  data: ConfusionData;
  answers: ReturnType<typeof useConfusions>['answers'];
}) {
  const wrong = answers.filter((answer) => answer.named !== answer.truth).length;
  const asked = new Set(answers.map(({ quizId }) => quizId));
  const left = data.stations.filter(({ leftOut, voided }) => leftOut || voided).length;
  return (
    <ul className={styles['facts']}>
      {data.quizzes
        .filter(({ id }) => asked.has(id))
        .map(({ id, title }) => (
          <li key={id}>{title}</li>
        ))}
      <li>
        {plural(new Set(answers.map(({ studentId }) => studentId)).size, {
          one: '# student',
          other: '# students',
        })}
      </li>
      <li>{plural(answers.length, { one: '# answer', other: '# answers' })}</li>
      <li>
        <Trans>{wrong} wrong</Trans>
      </li>
      {left > 0 && (
        <li>
          <Trans>
            <Plural value={left} one="# station" other="# stations" /> left out
          </Trans>
        </li>
      )}
    </ul>
  );
}

/** While the report is being worked out; it can be stopped, and begun again. */
function Waiting({ work, names }: { work: ReturnType<typeof useReport>; names: Names }) {
  if (work.error)
    return (
      <>
        <Problem>{messageOf(work.error)}</Problem>
        <Button onClick={work.again}>
          <Trans>Try again</Trans>
        </Button>
      </>
    );
  if (!work.working)
    return (
      <>
        <p>
          <Trans>Stopped. The pairs are counted all the same.</Trans>
        </p>
        <Button type="primary" onClick={work.again}>
          <Trans>Work it out</Trans>
        </Button>
      </>
    );
  const { share = 0, doing = t`looking for an earlier result`, first } = work.progress ?? {};
  return (
    <div className={styles['working-out']} role="status">
      <h1>
        <Trans>Working it out</Trans>
      </h1>
      <Progress
        aria-label={t`How far the report is`}
        percent={Math.round(share * 100)}
        strokeColor="var(--action)"
      />
      <p className="quiet">
        <Trans>Now {doing}.</Trans>
      </p>
      {first && <p>{firstInWords(first, names)}</p>}
      <Button onClick={work.stop}>
        <Trans>Stop</Trans>
      </Button>
    </div>
  );
}

function Nothing({ text }: { text: string }) {
  return (
    <section className={ui['page']}>
      <h1>
        <Trans>What to teach next</Trans>
      </h1>
      <p>{text}</p>
    </section>
  );
}
