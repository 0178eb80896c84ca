import { App } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { counted } from '@hurrow/core/words';
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
      done: ({ taken }) => void message.success(taken > 0 ? `${counted(taken, 'name')} taken away.` : 'Set.'),
      stale: [STALE.keeping],
    });
  return (
    <p>
      Names of students are kept{' '}
      <select
        className={field['field']}
        aria-label="How long names of students are kept"
        value={months ?? ''}
        onChange={(event) => void set(event.target.value)}
      >
        {timesWith(months).map(([value, words]) => (
          <option key={words} value={value ?? ''}>
            {words}
          </option>
        ))}
      </select>{' '}
      {months !== null && 'after the end of their course; then the answers stay without a name. '}
      <span className="quiet">What your institution asks for decides.</span>
      {problem && (
        <span className="rust" role="alert">
          {' '}
          {problem}
        </span>
      )}
    </p>
  );
}
