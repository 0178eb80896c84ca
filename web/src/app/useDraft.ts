import { same } from '../drafts/afterSave.ts';
import { useKept } from '../drafts/useKept.ts';

interface Edited<T> {
  start: { held: T; revision: number };
  draft: T;
}

/**
 * What is being edited of a record that others may change. While nothing is changed here the draft follows the record; once
 * something is, it stays until it is saved or given up, through a reload too, and is saved on the revision that it was begun on.
 *
 * @param key names the record among the drafts, such as "sources"
 * @param title the draft's name for a person
 */
export function useDraft<T>(key: string, title: string, held: T, revision: number) {
  const fresh: Edited<T> = { start: { held, revision }, draft: held };
  const kept = useKept<Edited<T>>(key, title, fresh, ({ start, draft }) => !same(draft, start.held));
  const stands = kept.changed || same(held, kept.value.start.held) ? kept.value : fresh;
  const { start, draft } = stands;
  return {
    draft,
    setDraft: (next: T | ((before: T) => T)) =>
      kept.set((before) => {
        const from = same(before.draft, before.start.held) ? stands : before;
        const value = typeof next === 'function' ? (next as (before: T) => T)(from.draft) : next;
        return { start: from.start, draft: value };
      }),
    changed: !same(draft, start.held),
    broughtBack: kept.broughtBack,
    /** The revision to save on. */
    base: start.revision,
    /** Gives the changes up and takes the record as it is now. */
    reset: () => kept.replace(fresh),
    /** To be called when the draft was saved and the record has been loaded again. Says whether all of it is saved. */
    settle: (saved: number) =>
      kept.settle(kept.value, {
        next: (now) => ({ start: { held: draft, revision: saved }, draft: now.draft }),
      }),
  };
}
