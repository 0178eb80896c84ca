import { t } from '@lingui/core/macro';
import { App } from 'antd';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { afterSave, same } from './afterSave.ts';
import { useDrafts } from './DraftsProvider.tsx';

export interface Kept<T> {
  value: T;
  /** The value with changes that came since it was painted. */
  latest(): T;
  /** Changes the value and keeps it in the browser. */
  set(next: T | ((before: T) => T)): void;
  /** True while there is something that is not saved. */
  changed: boolean;
  /** When the draft was last changed, if it was found here and brought back. */
  broughtBack: string | undefined;
  /**
   * Forgets the draft, since what stood in the form was saved. What was typed while it was under way stays a draft.
   *
   * @returns whether all of it is saved
   */
  settle(saved: T, after?: AfterSaving<T>): boolean;
  /** Forgets the draft and goes on with another value. */
  replace(next: T): void;
  /** Gives the changes up and begins again with what the form began with. */
  forget(): void;
}

export interface AfterSaving<T> {
  /** What the form holds once that is stored, of what stands in it now; the same, unless told otherwise. */
  next?: (latest: T) => T;
  /** A new thing has a name now: its draft goes on under that one, at that address. */
  as?: { key: string; where: string };
}

/**
 * State of a form that outlives a reload, a crash or a click elsewhere: from the first change on it lies in the browser until it is saved
 * or given up. On leaving the page with changes it says that they are kept.
 *
 * @param key names the thing, such as "taxon/acer-rubrum"
 * @param title for a person: "Edit Acer rubrum"
 * @param begin what the form begins with where no draft is kept
 * @param isChanged says whether a value is worth keeping; one that differs from `begin`, unless told otherwise
 */
export function useKept<T>(
  key: string,
  title: string,
  begin: T,
  isChanged: (value: T) => boolean = (value) => !same(value, begin),
): Kept<T> {
  const drafts = useDrafts();
  const { message } = App.useApp();
  const [state, setState] = useState(() => {
    const found = drafts.take<T>(key);
    return found
      ? { value: found.value, broughtBack: found.at as string | undefined, changed: true }
      : { value: begin, broughtBack: undefined as string | undefined, changed: false };
  });
  // Several changes may come before the next painting, as strokes on a map do: each builds on the one before.
  const latest = useRef(state.value);
  const leave = useEffectEvent(() => {
    if (state.changed)
      void message.info(t`“${title}” is not saved. It is kept as a draft, see Drafts at the top.`);
  });
  useEffect(() => () => leave(), []);
  const keep = (value: T, as = { key, where: window.location.pathname + window.location.search }) => {
    drafts.keep(as.key, { title, where: as.where, at: new Date().toISOString(), value });
    if (drafts.full)
      void message.warning({
        key: 'drafts-full',
        content: t`This browser has no room left to keep drafts. Save soon, or give up drafts at the top.`,
      });
  };
  return {
    value: state.value,
    latest: () => latest.current,
    changed: state.changed,
    broughtBack: state.broughtBack,
    set: (next) => {
      const value = typeof next === 'function' ? (next as (before: T) => T)(latest.current) : next;
      latest.current = value;
      const changed = isChanged(value);
      if (changed) keep(value);
      else drafts.drop(key);
      setState({ ...state, value, changed });
    },
    forget: () => {
      drafts.drop(key);
      latest.current = begin;
      setState({ value: begin, broughtBack: undefined, changed: false });
    },
    settle: (saved, { next, as } = {}) => {
      const { value, changed } = afterSave(latest.current, saved, next ?? ((now) => now));
      latest.current = value;
      if (!changed || as) drafts.drop(key);
      if (changed) keep(value, as);
      setState({ value, broughtBack: undefined, changed: changed && !as });
      return !changed;
    },
    replace: (value) => {
      drafts.drop(key);
      latest.current = value;
      setState({ value, broughtBack: undefined, changed: false });
    },
  };
}
