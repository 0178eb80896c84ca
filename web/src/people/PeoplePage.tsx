import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { Account, NewAccount, PasswordChange } from '@hurrow/contract/accounts';
import type { Role } from '@hurrow/contract/endpoint';
import type { Session } from '@hurrow/contract/session';
import { App, Button } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { call, messageOf } from '../app/api.ts';
import { NamesKept } from '../keeping/NamesKept.tsx';
import { invitationAddress } from '../signin/arriving.ts';
import { Backups } from './Backups.tsx';
import { SecondFactor } from './SecondFactor.tsx';
import field from '../app/field.module.css';
import styles from './people.module.css';
import { Notice, Problem } from '../app/parts.tsx';
import { LanguageChoice } from '../language/LanguageChoice.tsx';
import ui from '../app/parts.module.css';
import { STALE, useSaving } from '../app/useSaving.ts';

const MAY: Record<Role, string> = {
  student: '',
  owner: t`everything`,
  instructor: t`library, courses, quizzes and marks`,
  assistant: t`looks at everything, enters papers, renews codes; changes no species, plan or mark`,
};

/** The own password; and for the owner everyone who teaches here. */
export default function PeoplePage({ session }: { session: Session }) {
  return (
    <section className={ui['page']}>
      <h1>
        <Trans>People</Trans>
      </h1>
      <p>
        <label>
          <Trans>These pages are spoken in</Trans> <LanguageChoice className={field['field']} />
        </label>
      </p>
      {session.who?.role === 'owner' && <Teachers />}
      <OwnPassword />
      <SecondFactor />
      {session.who?.role === 'owner' && (
        <>
          <section className={styles['add']}>
            <h2>
              <Trans>How long names are kept</Trans>
            </h2>
            <NamesKept />
          </section>
          <Backups />
        </>
      )}
    </section>
  );
}

const fieldsOf = <Fields,>(form: HTMLFormElement) => Object.fromEntries(new FormData(form)) as Fields;

/** Everyone who teaches here, with what the owner can do for them. */
function Teachers() {
  const { save, problem } = useSaving();
  const held = useQuery({ queryKey: STALE.accounts, queryFn: () => call('GET /api/accounts') });
  /** A link is shown once, until the page is left. */
  const [invited, setInvited] = useState<{ name: string; address: string }>();
  const run = async (work: () => Promise<object>, name: string) => {
    await save(work, {
      done: (answer) =>
        'invitation' in answer &&
        setInvited({ name, address: invitationAddress(window.location.origin, String(answer.invitation)) }),
      stale: [STALE.accounts],
    });
  };
  const add = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = event.currentTarget;
    const fields = fieldsOf<NewAccount>(form);
    void run(async () => {
      const added = await call('POST /api/accounts', { body: fields });
      form.reset();
      return added;
    }, fields.name);
  };
  return (
    <>
      <table className={styles['people']}>
        <thead>
          <tr>
            <th scope="col">
              <Trans>Name</Trans>
            </th>
            <th scope="col">
              <Trans>E-mail</Trans>
            </th>
            <th scope="col">
              <Trans>May</Trans>
            </th>
            <td />
          </tr>
        </thead>
        <tbody>
          {(held.data ?? []).map((account) => (
            <Teacher key={account.id} account={account} run={run} />
          ))}
        </tbody>
      </table>
      {invited && <Invited {...invited} />}
      {held.error && <Problem>{messageOf(held.error)}</Problem>}
      {problem && <Problem>{problem}</Problem>}
      <form className={styles['add']} onSubmit={add}>
        <h2>
          <Trans>Add someone who teaches</Trans>
        </h2>
        <label>
          <Trans>Name</Trans> <input className={field['field']} name="name" required maxLength={120} />
        </label>{' '}
        <label>
          <Trans>E-mail</Trans>{' '}
          <input className={field['field']} name="email" type="email" required maxLength={200} />
        </label>{' '}
        <label>
          <Trans>as</Trans>{' '}
          <select className={field['field']} name="role">
            <option value="instructor">
              <Trans>instructor</Trans>
            </option>
            <option value="assistant">
              <Trans>assistant</Trans>
            </option>
          </select>
        </label>{' '}
        <Button htmlType="submit" type="primary">
          <Trans>Add</Trans>
        </Button>
      </form>
    </>
  );
}

/** A link to be sent to someone, who chooses a password by it. */
function Invited({ name, address }: { name: string; address: string }) {
  const { message } = App.useApp();
  return (
    <Notice>
      <Trans>
        Send {name} this link; it is shown only here, opens once, and is good for a week. By it {name} chooses
        a password.
      </Trans>
      <input
        className={`${field['field']} ${styles['link']}`}
        aria-label={t`Link for ${name}`}
        value={address}
        readOnly
        onFocus={(event) => event.target.select()}
      />
      {/* Over plain http browsers copy nothing for a page; the field is selected when it is pressed. */}
      {window.isSecureContext && (
        <Button
          onClick={() =>
            void navigator.clipboard.writeText(address).then(() => message.success(t`The link is copied.`))
          }
        >
          <Trans>Copy it</Trans>
        </Button>
      )}
    </Notice>
  );
}

function Teacher({
  account,
  run,
}: {
  account: Account;
  run(work: () => Promise<object>, name: string): Promise<void>;
}) {
  const { id, name, email, role, left } = account;
  const change = (next: { role: Role; left: boolean }) =>
    void run(() => call('PUT /api/accounts/{accountId}', { params: { accountId: id }, body: next }), name);
  return (
    <tr className={left ? 'quiet' : ''}>
      <th scope="row">{name}</th>
      <td>{email}</td>
      <td>
        {role === 'owner' ? (
          t`owner: everything`
        ) : (
          <>
            <select
              className={field['field']}
              aria-label={t`Role of ${name}`}
              value={role}
              onChange={(event) => change({ role: event.target.value as Role, left })}
            >
              <option>
                <Trans>instructor</Trans>
              </option>
              <option>
                <Trans>assistant</Trans>
              </option>
            </select>{' '}
            <span className="quiet">{left ? t`has left` : MAY[role]}</span>
          </>
        )}
      </td>
      <td>
        {role !== 'owner' && (
          <>
            <Button
              size="small"
              onClick={() =>
                void run(
                  () => call('POST /api/accounts/{accountId}/invitation', { params: { accountId: id } }),
                  name,
                )
              }
            >
              <Trans>New link</Trans>
            </Button>{' '}
            <Button size="small" onClick={() => change({ role, left: !left })}>
              {left ? t`Take back` : t`Has left`}
            </Button>
          </>
        )}
      </td>
    </tr>
  );
}

function OwnPassword() {
  const { message } = App.useApp();
  const { save, saving, problem } = useSaving();
  const change = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = event.currentTarget;
    const { now, next } = fieldsOf<PasswordChange>(form);
    void save(() => call('PUT /api/session/password', { body: { now, next } }), {
      done: () => {
        form.reset();
        void message.success(t`Your password is changed. You are signed out everywhere else.`);
      },
    });
  };
  const leaveOthers = () =>
    save(() => call('DELETE /api/session/others'), {
      done: () => void message.success(t`You are signed out everywhere else.`),
    });
  return (
    <form className={styles['add']} onSubmit={change}>
      <h2>
        <Trans>Your password</Trans>
      </h2>
      <label>
        <Trans>now</Trans>{' '}
        <input
          className={field['field']}
          name="now"
          type="password"
          autoComplete="current-password"
          required
        />
      </label>{' '}
      <label>
        <Trans>new, twelve characters or more</Trans>{' '}
        <input
          className={field['field']}
          name="next"
          type="password"
          autoComplete="new-password"
          required
          minLength={12}
        />
      </label>{' '}
      <Button htmlType="submit" loading={saving}>
        <Trans>Change it</Trans>
      </Button>{' '}
      <Button onClick={() => void leaveOthers()}>
        <Trans>Sign out everywhere else</Trans>
      </Button>
      {problem && <Problem>{problem}</Problem>}
    </form>
  );
}
