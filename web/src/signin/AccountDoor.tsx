import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { Credentials } from '@hurrow/contract/session';
import { useState } from 'react';
import { call, isProblem } from '../app/api.ts';
import { Problem } from '../app/parts.tsx';
import ui from '../app/parts.module.css';
import { Field, SentForm } from './SentForm.tsx';
import styles from './signin.module.css';

/** Sign-in of those who teach: through their institution, or by e-mail and password, with a second factor where they use one. */
export function AccountDoor({
  institution,
  turnedAway,
}: {
  institution: string | null;
  turnedAway: string | undefined;
}) {
  const [asksCode, setAsksCode] = useState(false);
  const send = ({ code, ...body }: Credentials) =>
    call('POST /api/session/account', { body: code ? { ...body, code } : body }).catch((error: unknown) => {
      if (isProblem(error, 'secondFactor')) setAsksCode(true);
      throw error;
    });
  return (
    <section aria-labelledby="account-door">
      <h2 id="account-door">
        <Trans>Instructors</Trans>
      </h2>
      <p className="quiet">
        <Trans>Species, courses, quizzes and what to teach next.</Trans>
      </p>
      {turnedAway && <Problem>{turnedAway}</Problem>}
      {institution && (
        <>
          <a
            className={`${ui['press']} ${ui['chief']} ${styles['institution']}`}
            href="/api/session/institution"
          >
            <Trans>Sign in through {institution}</Trans>
          </a>
          <p className="quiet">
            <Trans>or with a password of this Hurrow:</Trans>
          </p>
        </>
      )}
      <SentForm<keyof Credentials> send={send} button={t`Sign in`} chief={institution === null}>
        <Field label={t`E-mail`} name="email" type="email" autoComplete="username" required />
        <Field label={t`Password`} name="password" type="password" autoComplete="current-password" required />
        {asksCode && (
          <Field
            label={t`Code of your telephone, or a recovery code`}
            name="code"
            autoComplete="one-time-code"
            required
          />
        )}
      </SentForm>
    </section>
  );
}
