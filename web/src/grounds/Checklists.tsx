import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WalkBody } from '@hurrow/contract/outings';
import { Button, Input } from 'antd';
import { useState } from 'react';
import { WHO_DECIDES } from '@hurrow/core/grounds';
import styles from './grounds.module.css';
import { inField } from '../language/inField.ts';

interface ChecklistsProps {
  checklists: WalkBody['checklists'];
  onChange(checklists: WalkBody['checklists']): void;
}

/** The lists that are gone through before and after: ticked, and changed to what holds where one is. */
export function Checklists({ checklists, onChange }: ChecklistsProps) {
  const change = (at: number, points: WalkBody['checklists'][number]['points']) =>
    onChange(checklists.map((list, i) => (i === at ? { ...list, points } : list)));
  return (
    <section className={styles['checklists']} aria-label={t`Checklists`}>
      {checklists.map(({ title, points }, at) => (
        <div key={title}>
          <h3>{title}</h3>
          <ul>
            {points.map((point, i) => (
              <li key={point.words}>
                <label>
                  <input
                    type="checkbox"
                    checked={point.done}
                    onChange={(event) => change(at, points.with(i, { ...point, done: event.target.checked }))}
                  />{' '}
                  {point.words}
                </label>
                <button
                  type="button"
                  aria-label={t`Take “${point.words}” off`}
                  onClick={() => change(at, points.toSpliced(i, 1))}
                >
                  ×
                </button>
              </li>
            ))}
          </ul>
          <AddPoint
            title={title}
            known={points.map(({ words }) => words)}
            onAdd={(words) => change(at, [...points, { words, done: false }])}
          />
        </div>
      ))}
      <p className="quiet">{inField(WHO_DECIDES)}</p>
    </section>
  );
}

function AddPoint({
  title,
  known,
  onAdd,
}: {
  title: string;
  known: readonly string[];
  onAdd(words: string): void;
}) {
  const [words, setWords] = useState('');
  const trimmed = words.trim();
  return (
    <form
      className={styles['add']}
      onSubmit={(event) => {
        event.preventDefault();
        if (trimmed === '' || known.includes(trimmed)) return;
        onAdd(trimmed);
        setWords('');
      }}
    >
      <Input
        size="small"
        aria-label={t`Add to ${title}`}
        placeholder={t`add a point`}
        maxLength={300}
        value={words}
        onChange={(event) => setWords(event.target.value)}
      />
      <Button size="small" htmlType="submit" disabled={trimmed === '' || known.includes(trimmed)}>
        <Trans>Add</Trans>
      </Button>
    </form>
  );
}
