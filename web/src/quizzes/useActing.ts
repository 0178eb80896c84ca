import { t } from '@lingui/core/macro';
import { useQueryClient, type Query } from '@tanstack/react-query';
import { App } from 'antd';
import { useState } from 'react';
import { useSaving } from '../app/useSaving.ts';

/** Does something, says that it is done, and meanwhile says what is under way. */
export type Act = (work: () => Promise<unknown>, said: string, meanwhile?: string) => Promise<void>;

const CHANGED = ['quiz', 'marks', 'running', 'course', 'confusions', 'term'];

/** Changes something of a quiz, and loads again what follows from it. */
export function useActing() {
  const queries = useQueryClient();
  const { message } = App.useApp();
  const { save, problem } = useSaving();
  const [working, setWorking] = useState<string>();
  const refresh = async () => {
    const stale = { predicate: ({ queryKey }: Query) => CHANGED.includes(String(queryKey[0])) };
    // What was asked before the change may be answered without it; a first answer that is awaited is not asked for again by itself.
    await queries.cancelQueries(stale);
    await queries.invalidateQueries(stale);
  };
  const act: Act = async (work, said, meanwhile = t`Working…`) => {
    setWorking(meanwhile);
    await save(work, {
      done: async () => {
        await refresh();
        void message.success(said);
      },
    });
    setWorking(undefined);
  };
  return { act, working, problem, refresh };
}
