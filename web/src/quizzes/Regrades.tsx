import { t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import type { Regrade } from '@hurrow/contract/marking';
import type { Marks, Quiz } from '@hurrow/contract/quizzes';
import { Button } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { call } from '../app/api.ts';
import { LinkButton, Problem } from '../app/parts.tsx';
import { useMayChange } from '../app/mayChange.ts';
import { useSaving } from '../app/useSaving.ts';
import ui from '../app/parts.module.css';
import styles from './marking.module.css';

const keyOf = (quizId: string) => ['marks', 'regrades', quizId];

interface RegradesProps {
  marks: Marks;
  quiz: Quiz;
  /** Opens the answer that is asked about. */
  onOpen(responseId: string): void;
}

/** Marks that students ask to be looked at again: those that wait, each answered in place. */
export function Regrades({ marks, quiz, onOpen }: RegradesProps) {
  const query = useQuery({
    queryKey: keyOf(quiz.id),
    queryFn: () => call('GET /api/quizzes/{quizId}/regrades', { params: { quizId: quiz.id } }),
  });
  const waiting = query.data?.regrades.filter(({ answer }) => answer === null) ?? [];
  if (waiting.length === 0) return null;
  return (
    <section className={ui['notice']} aria-label={t`Asked about a mark`}>
      <h2>
        <Trans>
          <Plural value={waiting.length} one="# student" other="# students" /> asked about a mark
        </Trans>
      </h2>
      {waiting.map((regrade) => {
        const { studentId, stationId } = regrade;
        const answer = marks.answers.find(
          (each) => each.studentId === studentId && each.stationId === stationId,
        );
        return (
          <div key={regrade.id} className={styles['regrade']}>
            <p>
              <Trans>
                {marks.students.find(({ id }) => id === studentId)?.name}, station{' '}
                {marks.stations.find(({ id }) => id === stationId)?.position}: “{regrade.note}”
              </Trans>{' '}
              {answer && (
                <LinkButton onClick={() => onOpen(answer.responseId)}>
                  <Trans>Look at “{answer.text || t`blank`}”</Trans>
                </LinkButton>
              )}
            </p>
            <AnswerForm regrade={regrade} quizId={quiz.id} />
          </div>
        );
      })}
    </section>
  );
}

function AnswerForm({ regrade, quizId }: { regrade: Regrade; quizId: string }) {
  const [text, setText] = useState('');
  const { save, saving, problem } = useSaving();
  if (!useMayChange()) return null;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    void save(
      () =>
        call('POST /api/quizzes/{quizId}/regrades/{regradeId}', {
          params: { quizId, regradeId: regrade.id },
          body: { answer: text },
        }),
      { stale: [keyOf(quizId)] },
    );
  };
  return (
    <form onSubmit={submit} className={styles['overrule']}>
      <input
        className={styles['reason']}
        aria-label={t`Answer to the student`}
        placeholder={t`what you found; the student reads it`}
        required
        maxLength={600}
        value={text}
        onChange={(event) => setText(event.target.value)}
      />{' '}
      <Button htmlType="submit" size="small" disabled={saving}>
        <Trans>Answer</Trans>
      </Button>
      {problem && <Problem>{problem}</Problem>}
    </form>
  );
}
