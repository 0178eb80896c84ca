import { t } from '@lingui/core/macro';
import { inTongue } from '../language/inTongue.ts';
import { Trans } from '@lingui/react/macro';
import type { Credentials, Session } from '@hurrow/contract/session';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { App as AntApp, ConfigProvider, Modal } from 'antd';
import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import {
  Link,
  Navigate,
  NavLink,
  Outlet,
  Route,
  Routes,
  useLocation,
  useNavigate,
  useParams,
} from 'react-router';
import { call, isProblem, messageOf, onSessionLost, signInAgain } from './api.ts';
import { courseQuery, coursesQuery, useLibrary } from './data.ts';
import { FieldDateProvider, useFieldDate } from './fieldDate.tsx';
import { Find } from './Find.tsx';
import { KEYS, useKeys } from './keys.ts';
import { Ribbon } from './Ribbon.tsx';
import { theme } from './theme.ts';
import { useSaving } from './useSaving.ts';
import { Tray } from './Tray.tsx';
import { DraftList } from '../drafts/DraftList.tsx';
import { DraftsProvider } from '../drafts/DraftsProvider.tsx';
import { useVasculum, VasculumProvider } from './vasculum.tsx';
import { fieldWordsQuery } from '../language/fieldWords.ts';
import styles from './parts.module.css';
import workbenchStyles from './workbench.module.css';
import { Fenced, Opening } from './parts.tsx';

const SpeciesPlace = lazy(() => import('../species/SpeciesPlace.tsx'));
const LookalikesPlace = lazy(() => import('../lookalikes/LookalikesPlace.tsx'));
const CoursePlace = lazy(() => import('../course/CoursePlace.tsx'));
const QuizzesPlace = lazy(() => import('../quizzes/QuizzesPlace.tsx'));
const PeoplePage = lazy(() => import('../people/PeoplePage.tsx'));
const ConfusionsPlace = lazy(() => import('../confusions/ConfusionsPlace.tsx'));
const GroundsPlace = lazy(() => import('../grounds/GroundsPlace.tsx'));
const FieldPage = lazy(() => import('../grounds/FieldPage.tsx'));
const GatherPage = lazy(() => import('../grounds/GatherPage.tsx'));
const TryPage = lazy(() => import('../rounds/TryPage.tsx'));
const BellPage = lazy(() => import('../rounds/BellPage.tsx'));
const Showing = lazy(() => import('../lessons/Showing.tsx'));
const ShowingCharacter = lazy(() => import('../lessons/ShowingCharacter.tsx'));

const nonce = document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content ?? '';

/** Everything behind an instructor's sign-in. */
export default function Workbench({ session }: { session: Session }) {
  const { data: fieldWords } = useQuery(fieldWordsQuery());
  return (
    <ConfigProvider theme={theme} csp={{ nonce }} locale={fieldWords ?? undefined}>
      <AntApp>
        <FieldDateProvider today={session.today}>
          <DraftsProvider who={session.who?.id ?? ''}>
            <VasculumProvider>
              <Routes>
                <Route path="/c/:courseId/*" element={<Bench session={session} />} />
                {/* Before a class nothing else stands on the screen. */}
                <Route element={<Alone />}>
                  <Route path="/try/:courseId/:quizId" element={<TryPage />} />
                  <Route path="/field/:courseId/:groundsId/:treeId?" element={<FieldPage />} />
                  <Route path="/gather/:courseId/:listId" element={<GatherPage />} />
                  <Route path="/bell/:courseId/:quizId" element={<BellPage />} />
                  <Route path="/show/:courseId/character/:about" element={<ShowingCharacter />} />
                  <Route
                    path="/show/:courseId/character/:about/presenter"
                    element={<ShowingCharacter presenter />}
                  />
                  <Route path="/show/:courseId/:setId" element={<Showing />} />
                  <Route path="/show/:courseId/:setId/presenter" element={<Showing presenter />} />
                </Route>
                <Route path="*" element={<FirstCourse />} />
              </Routes>
            </VasculumProvider>
          </DraftsProvider>
        </FieldDateProvider>
      </AntApp>
    </ConfigProvider>
  );
}

const PLACES = [
  ['species', t`Species`],
  ['lookalikes', t`Lookalikes`],
  ['course', t`Course`],
  ['grounds', t`Grounds`],
  ['quizzes', t`Quizzes`],
  ['confusions', t`Confusions`],
] as const;

/** A page that fills the window, such as a lesson as it is shown. */
const Alone = () => (
  <Fenced where={useLocation().pathname}>
    <Suspense fallback={<Opening />}>
      <Outlet />
    </Suspense>
  </Fenced>
);

function FirstCourse() {
  const courses = useQuery(coursesQuery);
  if (courses.isPending) return null;
  if (courses.isError) return <p className={styles['problem']}>{messageOf(courses.error)}</p>;
  const first = courses.data[0];
  return <Navigate to={first ? `/c/${first.id}/course` : '/c/-/species'} replace />;
}

function Bench({ session }: { session: Session }) {
  const { courseId = '-' } = useParams();
  const course = useQuery(courseQuery(courseId)).data;
  const { profiles } = useLibrary();
  const [help, setHelp] = useState(false);
  const { day, setDay } = useFieldDate();
  const { looking, toggle } = useVasculum();
  const go = useNavigate();
  const find = useRef<HTMLInputElement>(null);
  const place = useRef<HTMLElement>(null);
  const address = useLocation().pathname;
  const to = (place: string) => void go(`/c/${courseId}/${place}`);
  useKeys({
    '/': () => find.current?.focus(),
    '[': () => setDay(day - 7),
    ']': () => setDay(day + 7),
    c: () => looking && toggle(looking),
    'g s': () => to('species'),
    'g l': () => to('lookalikes'),
    'g c': () => to('course'),
    'g g': () => to('grounds'),
    'g q': () => to('quizzes'),
    'g f': () => to('confusions'),
    '?': () => setHelp(true),
  });
  return (
    <div className={workbenchStyles['bench']}>
      <button className={workbenchStyles['skip']} onClick={() => place.current?.focus()}>
        <Trans>Go to the page</Trans>
      </button>
      <Header session={session} courseId={courseId} find={find} />
      <SignedOut />
      <Ribbon course={course} />
      <main className={workbenchStyles['place']} ref={place} tabIndex={-1}>
        <Fenced where={address}>
          <Suspense fallback={<Opening />}>
            <Routes>
              <Route path="species/*" element={<SpeciesPlace courseId={courseId} />} />
              <Route path="lookalikes/*" element={<LookalikesPlace courseId={courseId} />} />
              <Route path="course/*" element={<CoursePlace courseId={courseId} />} />
              <Route path="grounds/*" element={<GroundsPlace courseId={courseId} />} />
              <Route path="quizzes/*" element={<QuizzesPlace courseId={courseId} />} />
              <Route path="confusions/*" element={<ConfusionsPlace courseId={courseId} />} />
              <Route path="people" element={<PeoplePage session={session} />} />
              <Route path="*" element={<Navigate to={`/c/${courseId}/species`} replace />} />
            </Routes>
          </Suspense>
        </Fenced>
      </main>
      <Tray courseId={courseId} profiles={profiles} />
      <Modal
        open={help}
        onCancel={() => setHelp(false)}
        footer={null}
        title={t({ message: 'Keys', context: 'of a keyboard' })}
      >
        <dl className={workbenchStyles['keys']}>
          {KEYS.map(([key, does]) => (
            <div key={key}>
              <dt>
                <kbd>{key}</kbd>
              </dt>
              <dd>{does}</dd>
            </div>
          ))}
        </dl>
      </Modal>
    </div>
  );
}

function Header({
  session,
  courseId,
  find,
}: {
  session: Session;
  courseId: string;
  find: React.RefObject<HTMLInputElement | null>;
}) {
  const courses = useQuery(coursesQuery).data ?? [];
  const queries = useQueryClient();
  const go = useNavigate();
  const leave = async () => {
    await call('DELETE /api/session');
    queries.clear();
    window.location.assign('/');
  };
  return (
    <header className={workbenchStyles['bar']}>
      <Link to={`/c/${courseId}/course`} className={workbenchStyles['bar-name']}>
        <Trans>Hurrow</Trans>
      </Link>
      <select
        aria-label={t`Course`}
        value={courseId}
        onChange={(event) =>
          void go(event.target.value === 'new' ? '/c/-/course' : `/c/${event.target.value}/course`)
        }
      >
        {courseId === '-' && (
          <option value="-">
            <Trans>No course yet</Trans>
          </option>
        )}
        {courses.map((course) => (
          <option key={course.id} value={course.id}>
            {course.name}
          </option>
        ))}
        <option value="new">
          <Trans>Another course…</Trans>
        </option>
      </select>
      <nav aria-label={t`Places`}>
        {PLACES.map(([place, title]) => (
          <NavLink key={place} to={`/c/${courseId}/${place}`}>
            {title}
          </NavLink>
        ))}
      </nav>
      <Find courseId={courseId} find={find} />
      <DraftList />
      <Link
        className={workbenchStyles['bar-who']}
        to={`/c/${courseId}/people`}
        title={t`${inTongue(session.who?.role ?? '')}: password and people`}
      >
        {session.who?.name}
      </Link>
      <button className={workbenchStyles['bar-out']} onClick={() => void leave()}>
        <Trans>Sign out</Trans>
      </button>
    </header>
  );
}

/** When the session has ended: sign in again right here, so that nothing typed is lost. */
function SignedOut() {
  const [lost, setLost] = useState(false);
  const [asksCode, setAsksCode] = useState(false);
  const { save, problem } = useSaving();
  const queries = useQueryClient();
  const where = useLocation().pathname;
  useEffect(() => onSessionLost(() => setLost(true)), []);
  if (!lost) return null;
  return (
    <form
      key={where}
      className={workbenchStyles['signed-out']}
      role="alert"
      onSubmit={(event) => {
        event.preventDefault();
        const fields = Object.fromEntries(new FormData(event.currentTarget)) as unknown as Credentials;
        const signIn = () =>
          signInAgain(fields).catch((error: unknown) => {
            if (isProblem(error, 'secondFactor')) setAsksCode(true);
            throw error;
          });
        void save(signIn, {
          done: () => {
            setLost(false);
            return queries.invalidateQueries({ predicate: (query) => query.state.status === 'error' });
          },
        });
      }}
    >
      <Trans>
        <strong>You are signed out. What you typed is still here.</strong> Sign in and save again:
      </Trans>
      <input
        name="email"
        type="email"
        placeholder={t`E-mail`}
        aria-label={t`E-mail`}
        autoComplete="username"
        required
      />
      <input
        name="password"
        type="password"
        placeholder={t`Password`}
        aria-label={t`Password`}
        autoComplete="current-password"
        required
      />
      {asksCode && (
        <input
          name="code"
          placeholder={t`Code`}
          aria-label={t`Code of your telephone`}
          autoComplete="one-time-code"
          required
        />
      )}
      <button>
        <Trans>Sign in</Trans>
      </button>
      {problem && <span className="rust">{problem}</span>}
    </form>
  );
}
