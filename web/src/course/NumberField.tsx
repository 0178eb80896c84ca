import { useState } from 'react';
import { shortly } from '../language/inWords.ts';
import styles from './settings.module.css';

/** Decimals that a number in a sentence has at most. */
const DECIMALS = 4;

/** A number in a sentence, with a point or a comma. */
export function NumberField({
  label,
  value,
  onChange,
}: {
  label: string;
  value: number;
  onChange(value: number): void;
}) {
  const [text, setText] = useState(shortly(value, DECIMALS));
  const read = Number(text.replace(',', '.'));
  // A draft brought back or given up changes the number from outside; what is being typed stays.
  const shown =
    text.trim() !== '' && read === value ? text : text.trim() === '' ? text : shortly(value, DECIMALS);
  return (
    <input
      className={styles['number']}
      inputMode="decimal"
      aria-label={label}
      value={shown}
      onChange={(event) => {
        const typed = event.target.value;
        setText(typed);
        const next = Number(typed.replace(',', '.'));
        if (typed.trim() && Number.isFinite(next)) onChange(next);
      }}
    />
  );
}
