import { queryOptions } from '@tanstack/react-query';
import type { Session } from '@hurrow/contract/session';
import { takenStore } from '../student/takenStore.ts';
import { call, isProblem, speakFor } from './api.ts';

const studentOf = ({ who }: Session) => (who?.role === 'student' ? who.id : undefined);

/** Who is signed in, as the server says; without a signal the student whom this phone has along. */
async function ask(): Promise<Session> {
  const store = await takenStore();
  try {
    const session = await call('GET /api/session', {}, 15_000);
    speakFor(studentOf(session));
    await (session.who?.role === 'student' ? store?.signedIn(session) : store?.leave())?.catch(
      () => undefined,
    );
    return session;
  } catch (error) {
    const held = isProblem(error, 'offline') ? await store?.read().catch(() => undefined) : undefined;
    if (!held) throw error;
    speakFor(studentOf(held.session));
    return held.session;
  }
}

export const sessionQuery = queryOptions({
  queryKey: ['session'],
  queryFn: ask,
  staleTime: Infinity,
});
