import { useEffect, useRef, useState } from 'react';
import type { Pile, SaidWays } from '@hurrow/core/sorting';
import { messageOf } from '../app/api.ts';
import { freshTable, keptTable, withPiles, type TableState } from './kept.ts';

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
  taxa: readonly string[],
  day: number,
  send?: (state: TableState) => Promise<unknown>,
): TableInUse {
  const key = `hurrow.sort.${where}`;
  const [state, setState] = useState(() => keptTable(read(key), taxa) ?? freshTable(taxa, day));
  const [problem, setProblem] = useState<string>();
  const timer = useRef<number>(undefined);
  useEffect(() => () => window.clearTimeout(timer.current), []);
  const change = (next: TableState) => {
    setState(next);
    write(key, next);
    window.clearTimeout(timer.current);
    if (!send || !next.piles.into) return;
    timer.current = window.setTimeout(() => {
      void send(next).then(
        () => setProblem(undefined),
        (error: unknown) => setProblem(messageOf(error)),
      );
    }, REST);
  };
  return {
    state,
    sort: (piles) => change(withPiles(state, piles)),
    say: (said) => change({ ...state, said: { ...state.said, ...said } }),
    another: () => change(freshTable(taxa, day)),
    open: change,
    problem,
  };
}

function read(key: string): string | null {
  try {
    return localStorage.getItem(key);
  } catch {
    return null;
  }
}

function write(key: string, state: TableState): void {
  try {
    localStorage.setItem(key, JSON.stringify(state));
  } catch {
    // No room: the table stays on the page.
  }
}
