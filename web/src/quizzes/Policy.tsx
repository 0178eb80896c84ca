import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { Marks, Quiz } from '@hurrow/contract/quizzes';
import { Button } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import type { QuizMarking } from '@hurrow/contract/marking';
import type { StudentChange } from '@hurrow/core/marks';
import { PARTS_ASKED, POLICY_TITLES, type MarkingPolicy, type NamingPolicy } from '@hurrow/core/names';
import { call } from '../app/api.ts';
import { LinkButton, Problem } from '../app/parts.tsx';
import { useMayChange } from '../app/mayChange.ts';
import { STALE, useSaving } from '../app/useSaving.ts';
import ui from '../app/parts.module.css';
import { changeInWords, changesInWords, policiesWithin, policyOf, typedOf } from './policyForm.ts';
import styles from './marking.module.css';
import { inTongue } from '../language/inTongue.ts';

/** Other points, or those it was opened with, and what they would change. */
interface Shown {
  marking: MarkingPolicy | null;
  changes: StudentChange[];
}

interface PolicyProps {
  marks: Marks;
  quiz: Quiz;
}

const keyOf = (quizId: string) => ['marks', 'policy', quizId];

/** What a quiz is marked by, and the way to other points: what changes for whom is shown before it is done, and can be taken back. */
export function Policy({ marks, quiz }: PolicyProps) {
  const [open, setOpen] = useState(false);
  const query = useQuery({
    queryKey: keyOf(quiz.id),
    queryFn: () => call('GET /api/quizzes/{quizId}/marking', { params: { quizId: quiz.id } }),
  });
  const mayChange = useMayChange();
  if (!query.data) return null;
  const { now, opened } = query.data;
  const changed = JSON.stringify(now) !== JSON.stringify(opened);
  return (
    <section className={styles['policy']}>
      <p>
        {policyInWords(now)}
        {changed ? t` It was changed after the quiz was opened.` : ''}{' '}
        {mayChange && (
          <LinkButton onClick={() => setOpen(!open)}>{open ? t`Close` : t`Give other points`}</LinkButton>
        )}
      </p>
      {open && <PolicyForm key={JSON.stringify(now)} marks={marks} quiz={quiz} marking={query.data} />}
    </section>
  );
}

const policyInWords = (marking: MarkingPolicy): string =>
  t`Marked by ${inTongue(POLICY_TITLES[marking.policy])}: ${PARTS_ASKED[marking.policy]
    .map((part) => `${part} ${marking.points[part]}`)
    .join(', ')}; ${marking.deduction} off for a misspelled part.`;

function PolicyForm({ marks, quiz, marking: { now, opened } }: PolicyProps & { marking: QuizMarking }) {
  const [typed, setTyped] = useState(() => typedOf(now));
  const [wrong, setWrong] = useState('');
  const [shown, setShown] = useState<Shown>();
  const { save, saving, problem } = useSaving();
  const send = (marking: MarkingPolicy | null, dryRun: boolean) =>
    save(
      () =>
        call('PUT /api/quizzes/{quizId}/marking', {
          params: { quizId: quiz.id },
          body: { marking, dryRun },
        }),
      {
        done: ({ changes }) => setShown(dryRun ? { marking, changes } : undefined),
        stale: dryRun ? [] : [STALE.marks, STALE.confusions, keyOf(quiz.id), ['term']],
      },
    );
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const read = policyOf(typed);
    if ('problem' in read) return setWrong(read.problem);
    setWrong('');
    void send(read.policy, true);
  };
  const change = (part: Partial<typeof typed>) => {
    setTyped({ ...typed, ...part });
    setShown(undefined);
  };
  return (
    <form onSubmit={submit} className={styles['overrule']}>
      <p>
        <Trans>Mark by</Trans>{' '}
        <select
          aria-label={t`What bears points`}
          value={typed.policy}
          onChange={(event) => change({ policy: event.target.value as NamingPolicy })}
        >
          {policiesWithin(opened.policy).map((policy) => (
            <option key={policy} value={policy}>
              {inTongue(POLICY_TITLES[policy])}
            </option>
          ))}
        </select>
        {PARTS_ASKED[typed.policy].map((part) => (
          <label key={part}>
            {' '}
            {part}{' '}
            <input
              inputMode="decimal"
              value={typed.points[part]}
              onChange={(event) => change({ points: { ...typed.points, [part]: event.target.value } })}
            />
          </label>
        ))}{' '}
        <label>
          <Trans>off for a misspelling</Trans>{' '}
          <input
            inputMode="decimal"
            value={typed.deduction}
            onChange={(event) => change({ deduction: event.target.value })}
          />
        </label>{' '}
        <Button htmlType="submit" size="small" disabled={saving}>
          <Trans>Show what changes</Trans>
        </Button>{' '}
        {JSON.stringify(now) !== JSON.stringify(opened) && (
          <Button size="small" disabled={saving} onClick={() => void send(null, true)}>
            <Trans>As it was opened</Trans>
          </Button>
        )}
      </p>
      {(wrong || problem) && <Problem>{wrong || problem}</Problem>}
      {shown && (
        <Changes shown={shown} marks={marks} saving={saving} onMark={() => void send(shown.marking, false)} />
      )}
    </form>
  );
}

/** What other points would change for whom, before they are given. */
function Changes({
  shown: { marking, changes },
  marks,
  saving,
  onMark,
}: {
  shown: Shown;
  marks: Marks;
  saving: boolean;
  onMark(): void;
}) {
  return (
    <>
      <p>
        <strong>{changesInWords(changes)}</strong>{' '}
        <Button type="primary" size="small" disabled={saving} onClick={onMark}>
          {marking ? t`Mark by these` : t`Mark as it was opened`}
        </Button>
      </p>
      <table className={`${ui['plain-table']} ${styles['changes']}`} aria-label={t`What changes`}>
        <tbody>
          {changes.map((each) => (
            <tr key={each.studentId}>
              <td>{marks.students.find(({ id }) => id === each.studentId)?.name}</td>
              <td>{changeInWords(each)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
