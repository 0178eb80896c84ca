import { Button } from 'antd';
import { useState } from 'react';
import { messageOf } from '../app/api.ts';
import { isTyped } from './keeping.ts';
import field from '../app/field.module.css';
import styles from './keeping.module.css';
import ui from '../app/parts.module.css';

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
  const [working, setWorking] = useState(false);
  const [problem, setProblem] = useState<string>();
  const act = async () => {
    setWorking(true);
    setProblem(undefined);
    try {
      await onDo(typed);
    } catch (error) {
      setProblem(messageOf(error));
    }
    setWorking(false);
  };
  return (
    <p className={styles['typed']}>
      <label>
        To do so, type <strong>{name}</strong>:{' '}
        <input
          className={field['field']}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          autoComplete="off"
        />
      </label>{' '}
      <Button danger disabled={!isTyped(typed, name)} loading={working} onClick={() => void act()}>
        {does}
      </Button>{' '}
      <Button onClick={onLeave} disabled={working}>
        Leave it
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
