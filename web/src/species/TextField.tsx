import { Input, type InputRef } from 'antd';
import { useEffect, useRef, useState } from 'react';
import styles from './species.module.css';

interface TextProps {
  label: string;
  value: string;
  onChange(text: string): void;
  wide?: boolean;
  /** Keeps what is typed until the field is left, for lists with commas. */
  raw?: boolean;
  /** Takes the focus when the form opens. */
  first?: boolean;
}

/** A labelled field. */
export function Text({ label, value, onChange, wide, raw, first }: TextProps) {
  const [typed, setTyped] = useState<string>();
  const field = useRef<InputRef>(null);
  useEffect(() => {
    if (first) field.current?.focus();
  }, [first]);
  return (
    <label className={wide ? styles['wide'] : ''}>
      <span>{label}</span>
      <Input
        value={raw ? (typed ?? value) : value}
        ref={field}
        onChange={(event) => {
          if (raw) setTyped(event.target.value);
          onChange(event.target.value);
        }}
        onBlur={() => setTyped(undefined)}
      />
    </label>
  );
}
