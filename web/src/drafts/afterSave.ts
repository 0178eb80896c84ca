/** Are two values written alike? */
export const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * The entries that differ from those that were sent: what was typed since.
 *
 * @example
 * since({ a: '1', b: '2' }, { a: '1', b: '0' }); // { b: '2' }
 */
export const since = <T extends object>(now: T, sent: Partial<T> = {}): Partial<T> & T =>
  Object.fromEntries(
    Object.entries(now).filter(([key, value]) => !same(value, sent[key as keyof T])),
  ) as Partial<T> & T;

/**
 * What a form goes on with when it was saved: nothing is left to be saved, or what was typed while the save was under way is.
 *
 * @param latest what stands in the form now
 * @param saved what stood in it when it was sent
 * @param next what the form holds once `saved` is stored, of what stands in it now
 * @example
 * afterSave({ title: 'b' }, { title: 'a' }, (now) => now); // { value: { title: 'b' }, changed: true }
 */
export const afterSave = <T>(
  latest: T,
  saved: T,
  next: (latest: T) => T,
): { value: T; changed: boolean } => ({ value: next(latest), changed: !same(latest, saved) });
