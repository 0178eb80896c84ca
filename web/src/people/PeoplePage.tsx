import { App, Button } from 'antd';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { get, messageOf, post, put, remove } from '../app/api.ts';
import type { Session } from '../app/session.ts';
import { NamesKept } from '../keeping/NamesKept.tsx';
import { Backups } from './Backups.tsx';
import field from '../app/field.module.css';
import styles from './people.module.css';

interface Account {
  id: string;
  email: string;
  name: string;
  role: 'owner' | 'instructor' | 'assistant';
  left: boolean;
}

const MAY = {
  owner: 'everything',
  instructor: 'library, courses, quizzes and marks',
  assistant: 'looks at everything, enters papers, renews codes; changes no species, plan or mark',
};

/** The own password; and for the owner everyone who teaches here. */
export default function PeoplePage({ session }: { session: Session }) {
  return (
    <section className="page">
      <h1>People</h1>
      {session.who?.role === 'owner' && <Teachers />}
      <OwnPassword />
      {session.who?.role === 'owner' && (
        <>
          <section className={styles['add']}>
            <h2>How long names are kept</h2>
            <NamesKept />
          </section>
          <Backups />
        </>
      )}
    </section>
  );
}

const fieldsOf = (form: HTMLFormElement) => Object.fromEntries(new FormData(form)) as Record<string, string>;

/** Everyone who teaches here, with what the owner can do for them. */
function Teachers() {
  const queries = useQueryClient();
  const held = useQuery({ queryKey: ['accounts'], queryFn: () => get<Account[]>('/api/accounts') });
  const [problem, setProblem] = useState<string>();
  /** A first password is shown once, until the page is left. */
  const [first, setFirst] = useState<{ name: string; password: string }>();
  const run = async (work: () => Promise<{ password?: string }>, name: string) => {
    setProblem(undefined);
    try {
      const { password } = await work();
      if (password) setFirst({ name, password });
      await queries.invalidateQueries({ queryKey: ['accounts'] });
    } catch (error) {
      setProblem(messageOf(error));
    }
  };
  const add = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = event.currentTarget;
    const fields = fieldsOf(form);
    void run(async () => {
      const added = await post<{ password: string }>('/api/accounts', fields);
      form.reset();
      return added;
    }, fields['name']!);
  };
  return (
    <>
      <table className={styles['people']}>
        <thead>
          <tr>
            <th scope="col">Name</th>
            <th scope="col">E-mail</th>
            <th scope="col">May</th>
            <th scope="col" />
          </tr>
        </thead>
        <tbody>
          {(held.data ?? []).map((account) => (
            <Teacher key={account.id} account={account} run={run} />
          ))}
        </tbody>
      </table>
      {first && (
        <p className="notice" role="status">
          The first password of {first.name} is <strong className="code">{first.password}</strong>. Note it
          now: it is shown only here. It is changed under People after signing in.
        </p>
      )}
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
      <form className={styles['add']} onSubmit={add}>
        <h2>Add someone who teaches</h2>
        <label>
          Name <input className={field['field']} name="name" required maxLength={120} />
        </label>{' '}
        <label>
          E-mail <input className={field['field']} name="email" type="email" required maxLength={200} />
        </label>{' '}
        <label>
          as{' '}
          <select className={field['field']} name="role">
            <option value="instructor">instructor</option>
            <option value="assistant">assistant</option>
          </select>
        </label>{' '}
        <Button htmlType="submit" type="primary">
          Add
        </Button>
      </form>
    </>
  );
}

function Teacher({
  account,
  run,
}: {
  account: Account;
  run(work: () => Promise<{ password?: string }>, name: string): Promise<void>;
}) {
  const { id, name, email, role, left } = account;
  const change = (next: { role: string; left: boolean }) =>
    void run(() => put(`/api/accounts/${id}`, next), name);
  return (
    <tr className={left ? 'quiet' : ''}>
      <th scope="row">{name}</th>
      <td>{email}</td>
      <td>
        {role === 'owner' ? (
          'owner: everything'
        ) : (
          <>
            <select
              className={field['field']}
              aria-label={`Role of ${name}`}
              value={role}
              onChange={(event) => change({ role: event.target.value, left })}
            >
              <option>instructor</option>
              <option>assistant</option>
            </select>{' '}
            <span className="quiet">{left ? 'has left' : MAY[role]}</span>
          </>
        )}
      </td>
      <td>
        {role !== 'owner' && (
          <>
            <Button size="small" onClick={() => void run(() => post(`/api/accounts/${id}/password`), name)}>
              New password
            </Button>{' '}
            <Button size="small" onClick={() => change({ role, left: !left })}>
              {left ? 'Take back' : 'Has left'}
            </Button>
          </>
        )}
      </td>
    </tr>
  );
}

function OwnPassword() {
  const { message } = App.useApp();
  const [problem, setProblem] = useState<string>();
  const change = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = event.currentTarget;
    const { now, next } = fieldsOf(form);
    setProblem(undefined);
    put('/api/session/password', { now, next })
      .then(() => {
        form.reset();
        void message.success('Your password is changed. You are signed out everywhere else.');
      })
      .catch((error: unknown) => setProblem(messageOf(error)));
  };
  return (
    <form className={styles['add']} onSubmit={change}>
      <h2>Your password</h2>
      <label>
        now{' '}
        <input
          className={field['field']}
          name="now"
          type="password"
          autoComplete="current-password"
          required
        />
      </label>{' '}
      <label>
        new, ten characters or more{' '}
        <input
          className={field['field']}
          name="next"
          type="password"
          autoComplete="new-password"
          required
          minLength={10}
        />
      </label>{' '}
      <Button htmlType="submit">Change it</Button>{' '}
      <Button
        onClick={() =>
          void remove('/api/session/others')
            .then(() => message.success('You are signed out everywhere else.'))
            .catch((error: unknown) => setProblem(messageOf(error)))
        }
      >
        Sign out everywhere else
      </Button>
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
    </form>
  );
}
