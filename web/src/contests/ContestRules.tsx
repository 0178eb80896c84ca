import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { Contest } from '@hurrow/contract/contests';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { Quiz } from '@hurrow/contract/quizzes';
import { readEntries } from '@hurrow/core/contest';
import { Button } from 'antd';
import { useState, type FormEvent } from 'react';
import { call } from '../app/api.ts';
import { LinkButton, Problem } from '../app/parts.tsx';
import { textOfFile } from '../app/textOfFile.ts';
import { useSaving } from '../app/useSaving.ts';
import { BroughtBack } from '../drafts/BroughtBack.tsx';
import { useKept } from '../drafts/useKept.ts';
import { contestTyped, typedContest, type ContestTyped } from './contest.ts';
import { Entries } from './Entries.tsx';
import styles from './contests.module.css';

interface RulesProps {
  course: WholeCourse;
  quiz: Quiz;
  contest: Contest | null;
  /** What is asked for anew once it is saved. */
  stale: readonly unknown[];
}

/** What a contest goes by: list, aids, teams and ties; and who competes for whom. */
export function ContestRules({ course, quiz, contest, stale }: RulesProps) {
  const kept = useKept<ContestTyped>(
    `contest/${quiz.id}`,
    `Contest ${quiz.title}, ${course.name}`,
    typedContest(contest),
  );
  const { value, set } = kept;
  const { save, saving, problem, say } = useSaving();
  const send = (next: Contest | null) =>
    save(
      () =>
        call('PUT /api/quizzes/{quizId}/contest', {
          params: { quizId: quiz.id },
          body: { contest: next, before: contest },
        }),
      { done: () => kept.settle(value), stale: [stale] },
    );
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const read = contestTyped(value, quiz.stations.length);
    if ('problem' in read) return say(read.problem);
    void send(read.contest);
  };
  const field = (part: 'edition' | 'aids' | 'best' | 'tieBreaks', label: string, className = '') => (
    <input
      className={className}
      aria-label={label}
      placeholder={part === 'edition' ? t`this year’s list` : undefined}
      readOnly={part === 'tieBreaks' && quiz.state !== 'planned'}
      value={value[part]}
      onChange={(event) => set((before) => ({ ...before, [part]: event.target.value }))}
    />
  );
  return (
    <form className={styles['rules']} onSubmit={submit}>
      <BroughtBack at={kept.broughtBack} onGiveUp={kept.forget} />
      <p className={styles['sentence']}>
        <Trans>
          A contest on {field('edition', t`Edition of the list`, styles['word'])}, with{' '}
          {field('aids', t`Allowed aids`, styles['words'])}. A team has the points of its best{' '}
          {field('best', t`Best of a team`, styles['figure'])}, or there are none (0). Ties go to the points
          at stations {field('tieBreaks', t`Stations that part ties`, styles['figures'])}, then to who
          answered more of them whole.
        </Trans>
      </p>
      <p className="quiet">
        {quiz.state === 'planned'
          ? t`Declare the stations that part ties before the contest is opened: the first that differs decides.`
          : t`The stations that part ties were declared before it was opened and stand.`}
      </p>
      <Entries students={course.students.filter(({ nameless }) => !nameless)} typed={value} onType={set} />
      <EntriesFile course={course} onRead={(entries) => set((before) => ({ ...before, entries }))} />
      {problem && <Problem>{problem}</Problem>}
      <p>
        <Button type="primary" htmlType="submit" loading={saving}>
          {contest ? t`Save the contest` : t`Make it a contest`}
        </Button>{' '}
        {contest && quiz.state === 'planned' && (
          <LinkButton onClick={() => void send(null)}>
            <Trans>Make it a plain quiz again</Trans>
          </LinkButton>
        )}
      </p>
    </form>
  );
}

/** Teams and divisions out of a file, in the place of what is typed: nothing is stored before it is saved. */
function EntriesFile({
  course,
  onRead,
}: {
  course: WholeCourse;
  onRead(entries: ContestTyped['entries']): void;
}) {
  const [said, setSaid] = useState<string[]>([]);
  const choose = async (file: File | undefined) => {
    if (!file) return;
    const read = readEntries(await textOfFile(file), course.students);
    if (!read.ok) return setSaid([read.problem]);
    onRead(read.value.entries);
    setSaid(read.value.problems.map(({ line, message }) => t`Line ${line}: ${message}`));
  };
  return (
    <>
      <p className="quiet">
        <label>
          <Trans>Or take teams and divisions from a table (CSV with name, team, division):</Trans>{' '}
          <input
            type="file"
            accept=".csv,.tsv,.txt,text/csv"
            onChange={(event) => void choose(event.target.files?.[0])}
          />
        </label>
      </p>
      {said.map((line) => (
        <Problem key={line}>{line}</Problem>
      ))}
    </>
  );
}
