import { t } from '@lingui/core/macro';
import type { FormEvent, ReactNode } from 'react';
import { Problem } from '../app/parts.tsx';
import { useSaving } from '../app/useSaving.ts';
import ui from '../app/parts.module.css';

/** The beginning of every key: who is signed in decides what one sees. */
const EVERYTHING: readonly unknown[] = [];

/** A form that posts its fields and then reloads who is signed in; what was typed stays when it fails. */
export function SentForm<Name extends string>({
  send,
  button,
  chief,
  children,
}: {
  send(fields: Record<Name, string>): Promise<unknown>;
  button: string;
  chief?: boolean;
  children: ReactNode;
}) {
  const { save, saving, problem } = useSaving();
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const fields = Object.fromEntries(new FormData(event.currentTarget)) as Record<Name, string>;
    void save(() => send(fields), { stale: [EVERYTHING] });
  };
  return (
    <form onSubmit={submit}>
      {children}
      {problem && <Problem>{problem}</Problem>}
      <button className={chief ? `${ui['press']} ${ui['chief']}` : ui['press']} disabled={saving}>
        {button}
      </button>
    </form>
  );
}

export function Field({
  label,
  name,
  ...input
}: { label: string; name: string } & React.InputHTMLAttributes<HTMLInputElement>) {
  return (
    <label className={ui['field']}>
      <span>{label}</span>
      <input name={name} {...input} />
    </label>
  );
}

/** A password that is chosen. */
export const NewPassword = () => (
  <Field
    label={t`Password, twelve characters or more`}
    name="password"
    type="password"
    autoComplete="new-password"
    minLength={12}
    required
  />
);
