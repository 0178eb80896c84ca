import { t } from '@lingui/core/macro';
import { createContext, useContext, useState, type ReactNode } from 'react';
import styles from './editor.module.css';

const Look = createContext<(text: string) => void>(() => undefined);

/** Gives what shows a text in the line at the foot of the editor. */
export const useLook = () => useContext(Look);

export const READING_LINE = 'reading-line';

/**
 * The line at the foot of the editor that defines the state one is at. It has its place whether it says something or not: a definition
 * that opened and closed among the rows moved them away from under the pointer.
 */
export function ReadingLine({ children }: { children: ReactNode }) {
  const [text, look] = useState('');
  return (
    <Look value={look}>
      {children}
      <p className={styles['readingLine']} id={READING_LINE} aria-live="polite">
        {text || t`What a state means stands here while you are at it.`}
      </p>
    </Look>
  );
}
