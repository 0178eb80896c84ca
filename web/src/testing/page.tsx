import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, render, waitFor } from '@testing-library/react/pure';
import { App, ConfigProvider } from 'antd';
import { useState, type ReactNode } from 'react';
import { MemoryRouter, useLocation } from 'react-router';
import { DraftsProvider } from '../drafts/DraftsProvider.tsx';

export { fireEvent, screen, waitFor, within } from '@testing-library/react/pure';

/** Where the page stands, as the address bar would say. */
interface Place {
  address: string;
}

/** Nobody looks at it: what moves would only be waited for. */
const STILL = { token: { motion: false } };

/** All that a page of the workbench has around it, at an address, with drafts of one person. */
function Around({ at, place, children }: { at: string; place: Place; children: ReactNode }) {
  const [queries] = useState(
    () => new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: 10_000 } } }),
  );
  return (
    <QueryClientProvider client={queries}>
      <MemoryRouter initialEntries={[at]} useTransitions={false}>
        <ConfigProvider theme={STILL}>
          <App>
            <DraftsProvider who="ines">
              <Address place={place} />
              {children}
            </DraftsProvider>
          </App>
        </ConfigProvider>
      </MemoryRouter>
    </QueryClientProvider>
  );
}

function Address({ place }: { place: Place }) {
  const { pathname, search } = useLocation();
  place.address = pathname + search;
  return null;
}

/** Pages that are open: each is left before what is around it goes, as in a browser. */
const open = new Set<() => void>();

/** Leaves every page that is open, and takes it away. */
export function leaveAll() {
  for (const leave of open) leave();
  cleanup();
}

/** Something shown on a page, at an address. `leave` goes to another page, which shows nothing. */
export function shownOnPage(what: ReactNode, at = '/') {
  const place: Place = { address: at };
  const around = (inside: ReactNode) => (
    <Around at={at} place={place}>
      {inside}
    </Around>
  );
  const shown = render(around(what));
  const leave = () => {
    open.delete(leave);
    shown.rerender(around(null));
  };
  open.add(leave);
  return { ...shown, address: () => place.address, leave };
}

/**
 * A hook as a page uses it. `now()` is what it says at the moment; `does` lets the page do something and paints what follows; `until`
 * waits for something to hold; `leave` goes to another page.
 *
 * @example
 * const plan = hookOnPage(() => usePlan(course, undefined), '/c/course/quizzes/new');
 * await plan.does((held) => held.add('acer-rubrum'));
 * plan.now().stations.length; // 1
 */
export function hookOnPage<T>(use: () => T, at = '/') {
  const held: { said?: T; paint?: () => void } = {};
  function Page() {
    const [, count] = useState(0);
    held.paint = () => count((n) => n + 1);
    held.said = use();
    return null;
  }
  const { address, leave } = shownOnPage(<Page />, at);
  const now = () => held.said as T;
  return {
    now,
    address,
    leave,
    /** Paints the page anew, after something outside of it has changed. */
    again: () => act(async () => held.paint?.()),
    does: async (what: (said: T) => unknown): Promise<void> => {
      await act(async () => {
        await what(now());
      });
    },
    until: (holds: (said: T) => unknown) =>
      waitFor(() => {
        if (!holds(now())) throw new Error('This does not hold');
      }),
  };
}
