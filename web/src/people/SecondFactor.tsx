import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { App, Button } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { call } from '../app/api.ts';
import field from '../app/field.module.css';
import { Notice, Problem } from '../app/parts.tsx';
import ui from '../app/parts.module.css';
import { STALE, useSaving } from '../app/useSaving.ts';
import styles from './people.module.css';

/** What is shown while it is turned on: the secret for the telephone, then the recovery codes. */
type Step = { at: 'telephone'; secret: string; picture: string } | { at: 'recovery'; codes: string[] };

/** The own second factor: a code of the telephone that is asked for beside the password. */
export function SecondFactor() {
  const { message } = App.useApp();
  const { save, saving, problem } = useSaving();
  const [step, setStep] = useState<Step>();
  const held = useQuery({ queryKey: STALE.second, queryFn: () => call('GET /api/session/second') });
  if (!held.data) return null;
  const { on, recovery } = held.data;
  const begin = (password: string) =>
    save(() => call('POST /api/session/second', { body: { password } }), {
      done: ({ secret, picture }) => setStep({ at: 'telephone', secret, picture }),
    });
  const end = (password: string) =>
    save(() => call('POST /api/session/second/off', { body: { password } }), {
      done: () => void message.success(t`Your password alone signs you in again.`),
      stale: [STALE.second],
    });
  const confirm = (code: string) =>
    save(() => call('PUT /api/session/second', { body: { code } }), {
      done: ({ recovery: codes }) => setStep({ at: 'recovery', codes }),
      stale: [STALE.second],
    });
  return (
    <section className={styles['add']} aria-labelledby="second-factor">
      <h2 id="second-factor">
        <Trans>Second factor</Trans>
      </h2>
      {step === undefined && (
        <OneField
          key={String(on)}
          label={t`Your password`}
          input={{ type: 'password', autoComplete: 'current-password' }}
          send={on ? end : begin}
          button={on ? t`Turn it off` : t`Turn it on`}
          saving={saving}
          says={
            on
              ? t`On: signing in asks for a code of your telephone, too. ${plural(recovery, { one: '# recovery code', other: '# recovery codes' })} left.`
              : t`Off. A code of your telephone, beside the password, keeps marks closed to whoever learns the password. Any authenticator application will do.`
          }
        />
      )}
      {step?.at === 'telephone' && (
        <div className={styles['telephone']}>
          <img
            src={`data:image/svg+xml;utf8,${encodeURIComponent(step.picture)}`}
            alt={t`QR code of the secret beside it`}
            width={180}
            height={180}
          />
          <OneField
            label={t`The six digits that it shows`}
            input={{ inputMode: 'numeric', autoComplete: 'one-time-code' }}
            send={confirm}
            button={t`Turn it on`}
            saving={saving}
            says={
              <>
                <Trans>
                  Let the authenticator on your telephone read the square, or type this into it:{' '}
                  <span className={ui['code']}>{step.secret.replace(/(.{4})/g, '$1 ')}</span>
                </Trans>
              </>
            }
            leave={
              <Button onClick={() => setStep(undefined)}>
                <Trans>Leave it off</Trans>
              </Button>
            }
          />
        </div>
      )}
      {step?.at === 'recovery' && <Recovery codes={step.codes} onDone={() => setStep(undefined)} />}
      {problem && <Problem>{problem}</Problem>}
    </section>
  );
}

/** A form of one field and what it is for. */
function OneField({
  label,
  input,
  send,
  button,
  saving,
  says,
  leave,
}: {
  label: string;
  input: React.InputHTMLAttributes<HTMLInputElement>;
  send(value: string): Promise<unknown>;
  button: string;
  saving: boolean;
  says: React.ReactNode;
  leave?: React.ReactNode;
}) {
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    void send(String(new FormData(event.currentTarget).get('value')));
  };
  return (
    <form onSubmit={submit}>
      <p className={styles['says']}>{says}</p>
      <label>
        {label} <input className={field['field']} name="value" required {...input} />
      </label>{' '}
      <Button htmlType="submit" loading={saving} type={leave ? 'primary' : 'default'}>
        {button}
      </Button>{' '}
      {leave}
    </form>
  );
}

/** Codes for the day that the telephone is lost, shown this once. */
const Recovery = ({ codes, onDone }: { codes: readonly string[]; onDone(): void }) => (
  <Notice>
    <p className={styles['says']}>
      <Trans>
        It is on. Should you lose the telephone, each of these opens once in place of a code. Print or copy
        them now, and keep them apart from it: they are not shown again.
      </Trans>
    </p>
    <ul className={styles['recovery']}>
      {codes.map((code) => (
        <li key={code} className={ui['code']}>
          {code}
        </li>
      ))}
    </ul>
    <Button onClick={onDone}>
      <Trans>I have them</Trans>
    </Button>
  </Notice>
);
