import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { App } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { call } from '../app/api.ts';
import field from '../app/field.module.css';
import { timesWith } from './keeping.ts';
import { STALE, useSaving } from '../app/useSaving.ts';

/** How long names of students are kept after the end of their course. */
export function NamesKept() {
  const { save, problem } = useSaving();
  const { message } = App.useApp();
  const held = useQuery({ queryKey: STALE.keeping, queryFn: () => call('GET /api/keeping') });
  if (!held.data) return null;
  const { months } = held.data;
  const set = (text: string) =>
    save(() => call('PUT /api/keeping', { body: { months: text ? Number(text) : null } }), {
      done: ({ taken }) =>
        void message.success(
          taken > 0 ? t`${plural(taken, { one: '# name', other: '# names' })} taken away.` : t`Set.`,
        ),
      stale: [STALE.keeping],
    });
  return (
    <p>
      <Trans>Names of students are kept</Trans>{' '}
      <select
        className={field['field']}
        aria-label={t`How long names of students are kept`}
        value={months ?? ''}
        onChange={(event) => void set(event.target.value)}
      >
        {timesWith(months).map(([value, words]) => (
          <option key={words} value={value ?? ''}>
            {words}
          </option>
        ))}
      </select>{' '}
      {months !== null && t`after the end of their course; then the answers stay without a name. `}
      <span className="quiet">
        <Trans>What your institution asks for decides.</Trans>
      </span>
      {problem && (
        <span className="rust" role="alert">
          {' '}
          {problem}
        </span>
      )}
    </p>
  );
}
