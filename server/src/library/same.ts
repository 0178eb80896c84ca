/** Equal as stored, whatever the order in which the fields came; numbers to nine digits. */
export const sameRecord = (a: unknown, b: unknown): boolean => canonical(a) === canonical(b);

const canonical = (value: unknown): string =>
  JSON.stringify(value, (_key, inner: unknown) => {
    if (typeof inner === 'number') return Number(inner.toPrecision(9));
    return inner && typeof inner === 'object' && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort())
      : inner;
  });
