import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { MarkedAnswer, Marks, Quiz } from '@hurrow/contract/quizzes';
import { Button } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { call, messageOf } from '../app/api.ts';
import { readKept, writeKept } from '../app/keptText.ts';
import { MarkSheet } from './MarkSheet.tsx';
import { OpenedAnswer } from './OpenedAnswer.tsx';
import { withoutNames, writtenAs } from './marking.ts';
import { marksQuery, useMarking } from './quizData.ts';
import { Policy } from './Policy.tsx';
import { Regrades } from './Regrades.tsx';
import { Rulings } from './Rulings.tsx';
import { WordsToRule } from './WordsToRule.tsx';
import { Seconds } from './Seconds.tsx';
import styles from './marking.module.css';
import ui from '../app/parts.module.css';
import { Problem } from '../app/parts.tsx';

/** Under this a browser keeps that its user marks without names. */
const BLIND = 'hurrow.mark.blind';

/** Marks: answers to rule on first, then the papers and the stations. Marks follow from rules and rulings; any can be overruled. */
export function MarkPage({ course, quiz }: { course: WholeCourse; quiz: Quiz }) {
  const query = useQuery({ ...marksQuery(quiz.id), enabled: quiz.state !== 'planned' });
  const [openId, setOpenId] = useState<string>();
  const [blind, setBlind] = useState(() => readKept(BLIND) === 'yes');
  if (quiz.state === 'planned')
    return (
      <p>
        <Trans>Nothing to mark yet: the quiz has not been opened.</Trans>
      </p>
    );
  if (!query.data) return <p>{query.isError ? messageOf(query.error) : t`Working out the marks…`}</p>;
  const marks = blind ? withoutNames(query.data) : query.data;
  if (marks.answers.length === 0)
    return (
      <p>
        <Trans>No answers yet. Students answer on their phones, or you enter their papers under Run.</Trans>
      </p>
    );
  const open = marks.answers.find(({ responseId }) => responseId === openId);
  return (
    <>
      <Conflicts marks={marks} quiz={quiz} />
      <Regrades marks={marks} quiz={quiz} onOpen={setOpenId} />
      <Rulings marks={marks} quiz={quiz} course={course} />
      <WordsToRule marks={marks} quiz={quiz} />
      <Seconds marks={marks} base={`/c/${course.id}/quizzes/${quiz.id}`} onOpen={setOpenId} />
      <Policy marks={marks} quiz={quiz} />
      <label className={styles['choice']}>
        <input
          type="checkbox"
          checked={blind}
          onChange={() => {
            writeKept(BLIND, blind ? '' : 'yes');
            setBlind(!blind);
          }}
        />{' '}
        <Trans>mark without names: papers by number</Trans>
      </label>
      <MarkSheet marks={marks} open={openId} onOpen={(answer) => setOpenId(answer.responseId)} />
      {open && (
        <OpenedAnswer
          key={open.responseId}
          answer={open}
          marks={marks}
          quiz={quiz}
          onClose={() => setOpenId(undefined)}
        />
      )}
    </>
  );
}

/** Answers of one student at one station from two devices that differ. */
function Conflicts({ marks, quiz }: { marks: Marks; quiz: Quiz }) {
  const { mark, problem } = useMarking();
  const found = marks.answers.filter((answer) => answer.conflicting.length > 0);
  if (found.length === 0) return null;
  const asking = ({ stationId }: MarkedAnswer) =>
    marks.stations.find(({ id }) => id === stationId)?.asking ?? null;
  const decide = (answer: MarkedAnswer, written: MarkedAnswer['written']) =>
    mark(() =>
      call('POST /api/quizzes/{quizId}/paper', {
        params: { quizId: quiz.id },
        body: {
          studentId: answer.studentId,
          stationId: answer.stationId,
          answer: written,
          decide: true,
        },
      }),
    );
  return (
    <section className={ui['notice']}>
      <h2>
        <Trans>Two devices say different things</Trans>
      </h2>
      {problem && <Problem>{problem}</Problem>}
      {found.map((answer) => (
        <p key={answer.responseId}>
          <Trans>
            {marks.students.find((student) => student.id === answer.studentId)?.name}, station{' '}
            {marks.stations.find((station) => station.id === answer.stationId)?.position}:
          </Trans>{' '}
          {[answer.written, ...answer.conflicting.map((other) => other.written)].map((written, i) => (
            <span key={i}>
              <Button size="small" onClick={() => void decide(answer, written)}>
                <Trans>count “{writtenAs(written, asking(answer)) || t`blank`}”</Trans>
              </Button>{' '}
            </span>
          ))}
        </p>
      ))}
    </section>
  );
}
