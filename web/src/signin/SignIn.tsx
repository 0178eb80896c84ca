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
import styles from './signin.module.css';

/** The first page: sign-in for those who teach and for students, the demo's people, or the set-up of a new installation. */
export function SignIn({ session }: { session: Session }) {
  const [here] = useState(() => arriving(window.location.hash));
  return (
    <div className={styles['door']}>
      <header className={styles['door-head']}>
        <h1>Hurrow</h1>
        <p>
          For people who teach others to know trees: profiles, field quizzes, and which characters a class
          overlooks.
        </p>
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
      <h2 id="student-door">Students</h2>
      <p className="quiet">Both codes are on the card your instructor gave you.</p>
      <SentForm<keyof StudentCodes>
        send={(body) => call('POST /api/session/student', { body })}
        button="Start"
        chief
      >
        <Field
          label="Course code"
          name="courseCode"
          defaultValue={slip.course}
          autoComplete="off"
          autoCapitalize="characters"
          required
        />
        <Field
          label="Personal code"
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
        <h2 id="demo-door">The demo</h2>
        Made-up people at a made-up college, real trees. Come in as either of them:
      </div>
      <SentForm
        send={() => call('POST /api/session/demo', { body: { as: 'instructor' } })}
        button="Enter as the instructor"
        chief
      >
        {null}
      </SentForm>
      <SentForm
        send={() => call('POST /api/session/demo', { body: { as: 'student' } })}
        button="Enter as a student"
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
      <h2 id="setup-door">Set up this Hurrow</h2>
      <p className="quiet">
        You become its owner. The library is empty; the next page lets you enter or import species.
      </p>
      <SentForm<'name' | 'email' | 'password' | 'libraryName'>
        send={async (fields) => {
          const read = readPlace(place);
          if ('problem' in read) throw new Error(read.problem);
          return call('POST /api/setup', { body: { ...fields, ...read } });
        }}
        button="Create owner and library"
        chief
      >
        <Field label="Your name" name="name" autoComplete="name" required />
        <Field label="E-mail" name="email" type="email" autoComplete="username" required />
        <NewPassword />
        <Field label="Name of the library" name="libraryName" placeholder="Trees of our county" required />
        <p className="quiet">
          Where you note flowering and leaf fall; months are shifted from there to each course’s site.
        </p>
        <PlaceFields place={place} onChange={setPlace} />
      </SentForm>
    </section>
  );
}
