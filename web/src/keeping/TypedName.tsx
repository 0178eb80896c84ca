import { Trans } from '@lingui/react/macro';
import { Button } from 'antd';
import { useState } from 'react';
import { isTyped } from './keeping.ts';
import field from '../app/field.module.css';
import styles from './keeping.module.css';
import ui from '../app/parts.module.css';
import { useSaving } from '../app/useSaving.ts';

/** Something that cannot be taken back: it is done when its name is typed. */
export function TypedName({
  name,
  does,
  onDo,
  onLeave,
}: {
  /** What has to be typed. */
  name: string;
  /** What the button does, in its words. */
  does: string;
  onDo(typed: string): Promise<void>;
  onLeave(): void;
}) {
  const [typed, setTyped] = useState('');
  const { save, saving, problem } = useSaving();
  return (
    <p className={styles['typed']}>
      <label>
        <Trans>
          To do so, type <strong>{name}</strong>:
        </Trans>{' '}
        <input
          className={field['field']}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          autoComplete="off"
        />
      </label>{' '}
      <Button
        danger
        disabled={!isTyped(typed, name)}
        loading={saving}
        onClick={() => void save(() => onDo(typed))}
      >
        {does}
      </Button>{' '}
      <Button onClick={onLeave} disabled={saving}>
        <Trans>Leave it</Trans>
      </Button>
      {problem && (
        <span className={ui['problem']} role="alert">
          {' '}
          {problem}
        </span>
      )}
    </p>
  );
}
