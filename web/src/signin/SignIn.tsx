import type { Session } from '@hurrow/contract/session';
import { useState, type FormEvent, type ReactNode } from 'react';
import type { Credentials, StudentCodes } from '@hurrow/contract/session';
import { call } from '../app/api.ts';
import { decoded } from '../app/decoded.ts';
import { PlaceFields } from '../app/PlaceFields.tsx';
import { readPlace } from '../app/writtenPlace.ts';
import styles from './signin.module.css';
import { Problem } from '../app/parts.tsx';
import { useSaving } from '../app/useSaving.ts';
import ui from '../app/parts.module.css';

/** The first page: sign-in for those who teach and for students, the demo's people, or the set-up of a new installation. */
export function SignIn({ session }: { session: Session }) {
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
        ) : (
          <>
            {session.demo && <DemoDoor />}
            <StudentDoor />
            <AccountDoor />
          </>
        )}
      </main>
    </div>
  );
}

/** The beginning of every key: who is signed in decides what one sees. */
const EVERYTHING: readonly unknown[] = [];

/** A form that posts its fields and then reloads who is signed in; what was typed stays when it fails. */
function SentForm<Name extends string>({
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

/** The codes of a slip: its QR code opens the address with both behind the #, which is sent to nobody. */
const codesOfSlip = (): { course: string; personal: string } => {
  const [course = '', personal = ''] = decoded(window.location.hash.slice(1)).split('/');
  return { course, personal };
};

function StudentDoor() {
  const [slip] = useState(codesOfSlip);
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

function AccountDoor() {
  return (
    <section aria-labelledby="account-door">
      <h2 id="account-door">Instructors</h2>
      <p className="quiet">Species, courses, quizzes and what to teach next.</p>
      <SentForm<keyof Credentials>
        send={(body) => call('POST /api/session/account', { body })}
        button="Sign in"
        chief
      >
        <Field label="E-mail" name="email" type="email" autoComplete="username" required />
        <Field label="Password" name="password" type="password" autoComplete="current-password" required />
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
        <Field
          label="Password, ten characters or more"
          name="password"
          type="password"
          autoComplete="new-password"
          minLength={10}
          required
        />
        <Field label="Name of the library" name="libraryName" placeholder="Trees of our county" required />
        <p className="quiet">
          Where you note flowering and leaf fall; months are shifted from there to each course’s site.
        </p>
        <PlaceFields place={place} onChange={setPlace} />
      </SentForm>
    </section>
  );
}
