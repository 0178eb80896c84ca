/** The same with one entry earlier or later. */
export function moved<T>(list: readonly T[], from: number, by: number): T[] {
  const next = [...list];
  const [taken] = next.splice(from, 1);
  next.splice(from + by, 0, taken!);
  return next;
}
