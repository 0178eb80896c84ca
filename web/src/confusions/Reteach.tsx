import type { ClassReport, ConfusionData } from '@hurrow/contract/confusions';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { call } from '../app/api.ts';
import { sessionQuery } from '../app/session.ts';
import { reteachingOf } from './reteaching.ts';
import { percent } from './useNames.ts';
import styles from './confusions.module.css';
import { LinkButton, Problem } from '../app/parts.tsx';
import { STALE, useSaving } from '../app/useSaving.ts';

interface ReteachProps {
  courseId: string;
  data: ConfusionData;
  report: ClassReport | undefined;
  a: string;
  b: string;
}

/** Notes when a pair was taught again, and says what became of it since. */
export function Reteach({ courseId, data, report, a, b }: ReteachProps) {
  const today = useQuery(sessionQuery).data?.today ?? '';
  const [date, setDate] = useState(today);
  const queries = useQueryClient();
  const { save, saving, problem } = useSaving();
  const noted = (taughtOn: string) => ({ params: { courseId }, body: { a, b, taughtOn } });
  // The report does not rest on it: only the course's own data are asked for again.
  const done = () => queries.invalidateQueries({ queryKey: STALE.confusionsOf(courseId), exact: true });
  const note = () => save(() => call('POST /api/courses/{courseId}/reteachings', noted(date)), { done });
  const takeBack = (taughtOn: string) =>
    save(() => call('POST /api/courses/{courseId}/reteachings/remove', noted(taughtOn)), { done });
  const held = data.reteachings.filter((row) => [row.a, row.b].includes(a) && [row.a, row.b].includes(b));
  const since = reteachingOf(data, report, a, b);
  return (
    <div className={styles['reteach']}>
      <h2>Taught again</h2>
      {since && (
        <p>
          <strong>
            {since.status === 'too few to say' ? 'Too few answers to say' : WORDS[since.status]}
          </strong>{' '}
          since {since.taughtOn}: mixed up in {share(since.before)} before, {share(since.after)} after.
        </p>
      )}
      <ul>
        {held.map(({ taughtOn }) => (
          <li key={taughtOn}>
            {taughtOn} <LinkButton onClick={() => void takeBack(taughtOn)}>Take back</LinkButton>
          </li>
        ))}
      </ul>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void note();
        }}
      >
        <label>
          <span className="visually-hidden">Day it was taught again</span>
          <input type="date" value={date} onChange={(event) => setDate(event.target.value)} required />
        </label>{' '}
        <Button htmlType="submit" loading={saving}>
          Note it
        </Button>
      </form>
      {problem && <Problem>{problem}</Problem>}
    </div>
  );
}

const WORDS = {
  resolved: 'Resolved',
  improving: 'Improving',
  'still mixed up': 'Still mixed up, may have improved',
  persisting: 'Still mixed up as before',
} as const;

const share = ({ mixed, asked }: { mixed: number; asked: number }) =>
  asked === 0 ? 'no answers' : `${mixed} of ${asked} answers (${percent(mixed / asked)})`;
