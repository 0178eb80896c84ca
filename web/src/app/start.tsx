import { Trans } from '@lingui/react/macro';
import { notifyManager, QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query';
import { lazy, StrictMode, Suspense } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { ApiError, messageOf } from './api.ts';
import { readRules } from '../language/i18n.ts';
import { speakAlso } from '../language/speak.ts';
import { sessionQuery } from './session.ts';
import { holdWhilePressed } from './steady.ts';
import { arriving } from '../signin/arriving.ts';
import { SignIn } from '../signin/SignIn.tsx';
import ui from './parts.module.css';
import { Fenced, Opening } from './parts.tsx';

// A phone loads only the student's pages, an instructor only the workbench.
const Workbench = lazy(() => speakAlso('workbench').then(() => import('./Workbench.tsx')));
const StudentPages = lazy(() => import('../student/StudentPages.tsx'));

notifyManager.setScheduler(holdWhilePressed(window));

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 10_000,
      retry: (times, error) => times < 2 && (!(error instanceof ApiError) || error.code === 'offline'),
    },
  },
});

function Entry() {
  const session = useQuery(sessionQuery);
  if (session.isPending)
    return (
      <Opening>
        <Trans>Opening Hurrow…</Trans>
      </Opening>
    );
  if (session.isError && !session.data)
    return (
      <div className={ui['opening']} role="alert">
        <p>{messageOf(session.error)}</p>
        <button className={ui['press']} onClick={() => void session.refetch()}>
          <Trans>Try again</Trans>
        </button>
      </div>
    );
  const { who } = session.data!;
  // A link that invites someone is theirs, whoever else is signed in on this machine.
  if (!who || arriving(window.location.hash).kind === 'invitation') return <SignIn session={session.data!} />;
  return (
    <Fenced where={who.role}>
      <Suspense fallback={<Opening />}>
        {who.role === 'student' ? <StudentPages /> : <Workbench session={session.data!} />}
      </Suspense>
    </Fenced>
  );
}

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      {/* What is chosen stands in the address at once: a second choice made while the page still works on the first builds on it. */}
      <BrowserRouter useTransitions={false}>
        <Entry />
      </BrowserRouter>
    </QueryClientProvider>
  </StrictMode>,
);

// After the server has been asked who is here, and before it answers.
setTimeout(readRules);
