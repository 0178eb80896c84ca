import { App, Button } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { counted } from '@hurrow/core/words';
import { call } from '../app/api.ts';
import field from '../app/field.module.css';
import { Notice, Problem } from '../app/parts.tsx';
import ui from '../app/parts.module.css';
import { STALE, useSaving } from '../app/useSaving.ts';
import styles from './people.module.css';

/** What is shown while it is turned on: the secret for the telephone, then the recovery codes. */
type Step =
  { at: 'telephone'; secret: string; address: string; picture: string } | { at: 'recovery'; codes: string[] };

const fieldOf = (event: FormEvent<HTMLFormElement>, name: string): string => {
  event.preventDefault();
  return String(new FormData(event.currentTarget).get(name));
};

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
      done: (begun) => setStep({ at: 'telephone', ...begun }),
    });
  const end = (password: string) =>
    save(() => call('POST /api/session/second/off', { body: { password } }), {
      done: () => void message.success('Your password alone signs you in again.'),
      stale: [STALE.second],
    });
  const confirm = (code: string) =>
    save(() => call('PUT /api/session/second', { body: { code } }), {
      done: ({ recovery: codes }) => setStep({ at: 'recovery', codes }),
      stale: [STALE.second],
    });
  return (
    <section className={styles['add']} aria-labelledby="second-factor">
      <h2 id="second-factor">Second factor</h2>
      {step === undefined && (
        <form
          key={String(on)}
          onSubmit={(event) => {
            const password = fieldOf(event, 'password');
            void (on ? end(password) : begin(password));
          }}
        >
          <p className={styles['says']}>
            {on
              ? `On: signing in asks for a code of your telephone, too. ${counted(recovery, 'recovery code')} left.`
              : 'Off. A code of your telephone, beside the password, keeps marks closed to whoever learns the password. Any authenticator application will do.'}
          </p>
          <label>
            Your password{' '}
            <input
              className={field['field']}
              name="password"
              type="password"
              autoComplete="current-password"
              required
            />
          </label>{' '}
          <Button htmlType="submit" loading={saving}>
            {on ? 'Turn it off' : 'Turn it on'}
          </Button>
        </form>
      )}
      {step?.at === 'telephone' && (
        <form onSubmit={(event) => void confirm(fieldOf(event, 'code'))} className={styles['telephone']}>
          <img
            src={`data:image/svg+xml;utf8,${encodeURIComponent(step.picture)}`}
            alt="QR code of the secret below"
            width={180}
            height={180}
          />
          <div>
            <p className={styles['says']}>
              Let the authenticator on your telephone read the square, or type this into it:{' '}
              <span className={ui['code']}>{step.secret.replace(/(.{4})/g, '$1 ')}</span>
            </p>
            <label>
              The six digits that it shows{' '}
              <input
                className={field['field']}
                name="code"
                inputMode="numeric"
                autoComplete="one-time-code"
                required
              />
            </label>{' '}
            <Button htmlType="submit" type="primary" loading={saving}>
              Turn it on
            </Button>{' '}
            <Button onClick={() => setStep(undefined)}>Leave it off</Button>
          </div>
        </form>
      )}
      {step?.at === 'recovery' && (
        <Notice>
          <p className={styles['says']}>
            It is on. Should you lose the telephone, each of these opens once in place of a code. Print or
            copy them now, and keep them apart from it: they are not shown again.
          </p>
          <ul className={styles['recovery']}>
            {step.codes.map((code) => (
              <li key={code} className={ui['code']}>
                {code}
              </li>
            ))}
          </ul>
          <Button onClick={() => setStep(undefined)}>I have them</Button>
        </Notice>
      )}
      {problem && <Problem>{problem}</Problem>}
    </section>
  );
}
