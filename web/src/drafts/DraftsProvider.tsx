import { createContext, useContext, useMemo, type ReactNode } from 'react';
import { Drafts } from './drafts.ts';
import { newId } from '../app/newId.ts';

const Context = createContext<Drafts | undefined>(undefined);
const TAB = 'hurrow.tab';

/** One name for this tab, the same after a reload. */
function tabName(): string {
  const held = sessionStorage.getItem(TAB);
  if (held) return held;
  const made = newId().slice(0, 8);
  sessionStorage.setItem(TAB, made);
  return made;
}

/** Keeps what is typed and not saved yet for the person who is signed in. */
export function DraftsProvider({ who, children }: { who: string; children: ReactNode }) {
  const drafts = useMemo(() => new Drafts(localStorage, who, tabName()), [who]);
  return <Context value={drafts}>{children}</Context>;
}

export function useDrafts(): Drafts {
  const drafts = useContext(Context);
  if (!drafts) throw new Error('useDrafts needs a DraftsProvider around it');
  return drafts;
}
