import { useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent, type ReactNode } from 'react';
import { messageOf, post } from '../app/api.ts';
import type { Session } from '../app/session.ts';
import './signin.css';

/** The first page: sign-in for those who teach and for students, the demo's people, or the set-up of a new installation. */
export function SignIn({ session }: { session: Session }) {
  return (
    <div className="door">
      <header className="door-head">
        <strong>Hurrow</strong>
        <p>
          For people who teach others to know trees: profiles, field quizzes, and which characters a class
          overlooks.
        </p>
      </header>
      <main className="door-body">
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

/** A form that posts its fields and then reloads who is signed in; what was typed stays when it fails. */
function PostForm({
  path,
  button,
  chief,
  shape,
  children,
}: {
  path: string;
  button: string;
  chief?: boolean;
  shape?: (fields: Record<string, string>) => unknown;
  children: ReactNode;
}) {
  const queries = useQueryClient();
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  const submit = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const fields = Object.fromEntries(new FormData(event.currentTarget)) as Record<string, string>;
    setBusy(true);
    setProblem(undefined);
    try {
      await post(path, shape ? shape(fields) : fields);
      await queries.invalidateQueries();
    } catch (error) {
      setProblem(messageOf(error));
    } finally {
      setBusy(false);
    }
  };
  return (
    <form onSubmit={(event) => void submit(event)}>
      {children}
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
      <button className={chief ? 'press chief' : 'press'} disabled={busy}>
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
    <label className="field">
      <span>{label}</span>
      <input name={name} {...input} />
    </label>
  );
}

function StudentDoor() {
  return (
    <section aria-labelledby="student-door">
      <h2 id="student-door">Students</h2>
      <p className="quiet">Both codes are on the card your instructor gave you.</p>
      <PostForm path="/api/session/student" button="Start" chief>
        <Field
          label="Course code"
          name="courseCode"
          autoComplete="off"
          autoCapitalize="characters"
          required
        />
        <Field
          label="Personal code"
          name="personalCode"
          autoComplete="off"
          autoCapitalize="characters"
          required
        />
      </PostForm>
    </section>
  );
}

function AccountDoor() {
  return (
    <section aria-labelledby="account-door">
      <h2 id="account-door">Instructors</h2>
      <p className="quiet">Species, courses, quizzes and what to teach next.</p>
      <PostForm path="/api/session/account" button="Sign in" chief>
        <Field label="E-mail" name="email" type="email" autoComplete="username" required />
        <Field label="Password" name="password" type="password" autoComplete="current-password" required />
      </PostForm>
    </section>
  );
}

function DemoDoor() {
  return (
    <section className="demo" aria-labelledby="demo-door">
      <div>
        <h2 id="demo-door">The demo</h2>
        Made-up people at a made-up college, real trees. Come in as either of them:
      </div>
      <PostForm
        path="/api/session/demo"
        button="Enter as the instructor"
        chief
        shape={() => ({ as: 'instructor' })}
      >
        {null}
      </PostForm>
      <PostForm path="/api/session/demo" button="Enter as a student" shape={() => ({ as: 'student' })}>
        {null}
      </PostForm>
    </section>
  );
}

function Setup() {
  return (
    <section aria-labelledby="setup-door">
      <h2 id="setup-door">Set up this Hurrow</h2>
      <p className="quiet">
        You become its owner. The library is empty; the next page lets you enter or import species.
      </p>
      <PostForm
        path="/api/setup"
        button="Create owner and library"
        chief
        shape={({ latitude, longitude, elevation, ...rest }) => ({
          ...rest,
          latitude: Number(latitude),
          longitude: Number(longitude),
          elevation: Number(elevation),
        })}
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
        <div className="two">
          <Field label="Latitude °N" name="latitude" type="number" step="any" min={-90} max={90} required />
          <Field
            label="Longitude °E"
            name="longitude"
            type="number"
            step="any"
            min={-180}
            max={180}
            required
          />
          <Field
            label="Elevation m"
            name="elevation"
            type="number"
            step="any"
            min={-450}
            max={6000}
            required
          />
        </div>
      </PostForm>
    </section>
  );
}
