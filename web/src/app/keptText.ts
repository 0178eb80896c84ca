/** What this browser keeps under a key; nothing where it keeps none, as in some private windows. */
export function readKept(key: string): string | null {
  try {
    return localStorage.getItem(key);
  } catch {
    return null;
  }
}

/** Keeps a text in this browser. Where there is no room, it stays on the page alone. */
export function writeKept(key: string, text: string): void {
  try {
    localStorage.setItem(key, text);
  } catch {
    // No room: the page goes on without.
  }
}
