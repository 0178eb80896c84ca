import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { ConfusionData } from '@hurrow/contract/confusions';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import type { SinceTaught } from '@hurrow/core/confusion';
import { call } from '../app/api.ts';
import { useMayChange } from '../app/mayChange.ts';
import { sessionQuery } from '../app/session.ts';
import { cautionOf, VERDICT_WORDS } from './reteaching.ts';
import { percent } from './useNames.ts';
import { useSince } from './useSince.ts';
import styles from './confusions.module.css';
import { LinkButton, Problem } from '../app/parts.tsx';
import { STALE, useSaving } from '../app/useSaving.ts';

interface ReteachProps {
  courseId: string;
  data: ConfusionData;
  a: string;
  b: string;
}

/** Notes when a pair was taught again, and says what became of it since. */
export function Reteach({ courseId, data, a, b }: ReteachProps) {
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
  const mayChange = useMayChange();
  const since = useSince(courseId, data, a, b);
  return (
    <div className={styles['reteach']}>
      <h2>
        <Trans>Taught again</Trans>
      </h2>
      <p>
        <Link className={styles['door']} to={`/c/${courseId}/confusions/${a}/${b}/lesson`}>
          <Trans>Make a mini-lesson</Trans>
        </Link>
      </p>
      {since && <Since since={since} />}
      {!since && held.length > 0 && (
        <p className="quiet" role="status">
          <Trans>What became of it is said once the report on the class is worked out.</Trans>
        </p>
      )}
      <ul>
        {held.map(({ taughtOn, students }) => (
          <li key={taughtOn}>
            {taughtOn}, {students ? t`${students.length} students` : t`the class`}{' '}
            {mayChange && (
              <LinkButton onClick={() => void takeBack(taughtOn)}>
                <Trans>Take back</Trans>
              </LinkButton>
            )}
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
          <span className="visually-hidden">
            <Trans>Day it was taught again</Trans>
          </span>
          <input type="date" value={date} onChange={(event) => setDate(event.target.value)} required />
        </label>{' '}
        <Button htmlType="submit" loading={saving}>
          <Trans>Note it</Trans>
        </Button>
      </form>
      {problem && <Problem>{problem}</Problem>}
    </div>
  );
}

/** What became of it: a verdict, the shares with the interval of what was gained, and what has to be borne in mind. */
function Since({ since }: { since: SinceTaught }) {
  const { verdict, taughtOn, counted, difference } = since;
  const caution = cautionOf(since);
  const asked = counted.before.asked > 0 && counted.after.asked > 0;
  return (
    <>
      <p>
        <Trans>
          <strong>{VERDICT_WORDS[verdict]}</strong> since {taughtOn}: mixed up in {share(counted.before)}{' '}
          before, {share(counted.after)} after.
        </Trans>
        {asked && (
          <>
            {' '}
            <Trans>At specimens like the later ones {points(difference)} fewer (90 % interval).</Trans>
          </>
        )}
      </p>
      {caution && <p className="quiet">{caution}</p>}
    </>
  );
}

const points = ([low, high]: [number, number]): string =>
  t`${Math.round(100 * low)} to ${Math.round(100 * high)} in a hundred`;

const share = ({ mixed, asked }: { mixed: number; asked: number }) =>
  asked === 0 ? t`no answers` : t`${mixed} of ${asked} answers (${percent(mixed / asked)})`;
