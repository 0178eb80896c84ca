import type { Answer } from '@hurrow/core/names';

/** What is being typed at a station, kept at every keystroke until it is written down: through reload, back button and crash. */
export function useTyped(what: string) {
  const key = `hurrow.typed.${what}`;
  return {
    held: ((): Answer | undefined => {
      try {
        return (JSON.parse(localStorage.getItem(key) ?? 'null') as Answer | null) ?? undefined;
      } catch {
        return undefined;
      }
    })(),
    keep: (answer: Answer) => {
      try {
        localStorage.setItem(key, JSON.stringify(answer));
      } catch {
        // No room: what is typed stays on the page, and writing it down says so.
      }
    },
    drop: () => localStorage.removeItem(key),
  };
}
