import { useCallback, useEffect, useRef, useState } from 'react';
import type { Pile, SaidWays } from '@hurrow/core/sorting';
import { messageOf } from '../app/api.ts';
import { readKept, writeKept } from '../app/keptText.ts';
import { freshTable, keptTable, withPiles, type LaidFrom, type TableState } from './kept.ts';

export interface TableInUse {
  state: TableState;
  sort(piles: Pile): void;
  say(said: SaidWays): void;
  /** Lays out other specimens. */
  another(): void;
  open(state: TableState): void;
  /** What went wrong as it was sent; it stays in this browser all the same. */
  problem: string | undefined;
}

/** Milliseconds after the last change in which a table is sent. */
const REST = 800;

/**
 * The table that somebody sorts on, kept in this browser at every touch.
 *
 * @param where names the table in this browser
 * @param send keeps it on the server as well, once something is sorted; each time under the same id
 */
export function useTable(
  where: string,
  from: LaidFrom,
  day: number,
  send?: (state: TableState) => Promise<unknown>,
): TableInUse {
  const key = `hurrow.sort.${where}`;
  const [state, setState] = useState(() => keptTable(readKept(key), from) ?? freshTable(from, day));
  const [problem, setProblem] = useState<string>();
  // The table that waits to be sent; one that is left before then is sent as it is left.
  const waiting = useRef<{ table: TableState; timer: number }>(undefined);
  const sending = useRef(send);
  useEffect(() => {
    sending.current = send;
  });
  const sendNow = useCallback(() => {
    if (!waiting.current) return;
    const { table, timer } = waiting.current;
    waiting.current = undefined;
    window.clearTimeout(timer);
    void sending.current?.(table).then(
      () => setProblem(undefined),
      (error: unknown) => setProblem(messageOf(error)),
    );
  }, []);
  useEffect(() => sendNow, [sendNow]);
  const change = (next: TableState) => {
    setState(next);
    writeKept(key, JSON.stringify(next));
    if (next.id !== state.id) sendNow();
    window.clearTimeout(waiting.current?.timer);
    waiting.current =
      send && next.piles.into ? { table: next, timer: window.setTimeout(sendNow, REST) } : undefined;
  };
  return {
    state,
    sort: (piles) => change(withPiles(state, piles)),
    say: (said) => change({ ...state, said: { ...state.said, ...said } }),
    another: () => change(freshTable(from, day)),
    open: change,
    problem,
  };
}
