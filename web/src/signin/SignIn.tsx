import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { Session } from '@hurrow/contract/session';
import { useState } from 'react';
import type { StudentCodes } from '@hurrow/contract/session';
import { call } from '../app/api.ts';
import { PlaceFields } from '../app/PlaceFields.tsx';
import { readPlace } from '../app/writtenPlace.ts';
import { AccountDoor } from './AccountDoor.tsx';
import { arriving } from './arriving.ts';
import { Invitation } from './Invitation.tsx';
import { Field, NewPassword, SentForm } from './SentForm.tsx';
import { LanguageChoice } from '../language/LanguageChoice.tsx';
import styles from './signin.module.css';

/** The first page: sign-in for those who teach and for students, the demo's people, or the set-up of a new installation. */
export function SignIn({ session }: { session: Session }) {
  const [here] = useState(() => arriving(window.location.hash));
  return (
    <div className={styles['door']}>
      <header className={styles['door-head']}>
        <h1>
          <Trans>Hurrow</Trans>
        </h1>
        <p>
          <Trans>
            For people who teach others to know trees: profiles, field quizzes, and which characters a class
            overlooks.
          </Trans>
        </p>
        <LanguageChoice className={styles['language']} />
      </header>
      <main className={styles['door-body']}>
        {session.setupNeeded ? (
          <Setup />
        ) : here.kind === 'invitation' ? (
          <Invitation token={here.token} />
        ) : (
          <>
            {session.demo && <DemoDoor />}
            <StudentDoor slip={here.kind === 'slip' ? here : NO_SLIP} />
            <AccountDoor
              institution={session.institution}
              turnedAway={here.kind === 'turnedAway' ? here.message : undefined}
            />
          </>
        )}
      </main>
    </div>
  );
}

const NO_SLIP = { course: '', personal: '' };

function StudentDoor({ slip }: { slip: { course: string; personal: string } }) {
  return (
    <section aria-labelledby="student-door">
      <h2 id="student-door">
        <Trans>Students</Trans>
      </h2>
      <p className="quiet">
        <Trans>Both codes are on the card your instructor gave you.</Trans>
      </p>
      <SentForm<keyof StudentCodes>
        send={(body) => call('POST /api/session/student', { body })}
        button={t`Start`}
        chief
      >
        <Field
          label={t`Course code`}
          name="courseCode"
          defaultValue={slip.course}
          autoComplete="off"
          autoCapitalize="characters"
          required
        />
        <Field
          label={t`Personal code`}
          name="personalCode"
          defaultValue={slip.personal}
          autoComplete="off"
          autoCapitalize="characters"
          required
        />
      </SentForm>
    </section>
  );
}

function DemoDoor() {
  return (
    <section className={styles['demo']} aria-labelledby="demo-door">
      <div>
        <h2 id="demo-door">
          <Trans>The demo</Trans>
        </h2>
        <Trans>Made-up people at a made-up college, real trees. Come in as either of them:</Trans>
      </div>
      <SentForm
        send={() => call('POST /api/session/demo', { body: { as: 'instructor' } })}
        button={t`Enter as the instructor`}
        chief
      >
        {null}
      </SentForm>
      <SentForm
        send={() => call('POST /api/session/demo', { body: { as: 'student' } })}
        button={t`Enter as a student`}
      >
        {null}
      </SentForm>
    </section>
  );
}

function Setup() {
  const [place, setPlace] = useState({ latitude: '', longitude: '', elevation: '' });
  return (
    <section aria-labelledby="setup-door">
      <h2 id="setup-door">
        <Trans>Set up this Hurrow</Trans>
      </h2>
      <p className="quiet">
        <Trans>
          You become its owner. The library is empty; the next page lets you enter or import species.
        </Trans>
      </p>
      <SentForm<'name' | 'email' | 'password' | 'libraryName'>
        send={async (fields) => {
          const read = readPlace(place);
          if ('problem' in read) throw new Error(read.problem);
          return call('POST /api/setup', { body: { ...fields, ...read } });
        }}
        button={t`Create owner and library`}
        chief
      >
        <Field label={t`Your name`} name="name" autoComplete="name" required />
        <Field label={t`E-mail`} name="email" type="email" autoComplete="username" required />
        <NewPassword />
        <Field
          label={t`Name of the library`}
          name="libraryName"
          placeholder={t`Trees of our county`}
          required
        />
        <p className="quiet">
          <Trans>
            Where you note flowering and leaf fall; months are shifted from there to each course’s site.
          </Trans>
        </p>
        <PlaceFields place={place} onChange={setPlace} />
      </SentForm>
    </section>
  );
}
