import { useState } from 'react';

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/**
 * What is being edited of a record that others may change. While nothing is changed here the draft follows the record; once
 * something is, it stays until it is saved or given up, and is saved on the revision that it was begun on.
 */
export function useDraft<T>(held: T, revision: number) {
  const [start, setStart] = useState({ held, revision });
  const [draft, setDraft] = useState(held);
  const changed = !same(draft, start.held);
  if (!changed && !same(held, start.held)) {
    setStart({ held, revision });
    setDraft(held);
  }
  return {
    draft,
    setDraft,
    changed,
    /** The revision to save on. */
    base: start.revision,
    /** Gives the changes up and takes the record as it is now. */
    reset: () => {
      setStart({ held, revision });
      setDraft(held);
    },
    /** To be called when the draft was saved and the record has been loaded again. */
    settle: (saved: number) => setStart({ held: draft, revision: saved }),
  };
}
