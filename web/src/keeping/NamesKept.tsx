import { App } from 'antd';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { counted } from '@hurrow/core/words';
import { call, messageOf } from '../app/api.ts';
import field from '../app/field.module.css';
import { timesWith } from './keeping.ts';

const KEY = ['keeping'];

/** How long names of students are kept after the end of their course. */
export function NamesKept() {
  const queries = useQueryClient();
  const { message } = App.useApp();
  const held = useQuery({ queryKey: KEY, queryFn: () => call('GET /api/keeping') });
  if (!held.data) return null;
  const { months } = held.data;
  const set = async (text: string) => {
    try {
      const { taken } = await call('PUT /api/keeping', { body: { months: text ? Number(text) : null } });
      void message.success(taken > 0 ? `${counted(taken, 'name')} taken away.` : 'Set.');
    } catch (error) {
      void message.error(messageOf(error));
    }
    await queries.invalidateQueries({ queryKey: KEY });
  };
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
    </p>
  );
}
