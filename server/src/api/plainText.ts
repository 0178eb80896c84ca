/** Half a surrogate pair standing alone. */
const HALF = /\p{Surrogate}/u;

/**
 * Can every text in a value be stored? PostgreSQL takes neither NUL nor halves of surrogate pairs, whether in a text or in JSON.
 *
 * @example
 * isPlainText({ name: 'grand fir' }); // true
 * isPlainText(['a\u0000']); // false
 */
export function isPlainText(value: unknown): boolean {
  if (typeof value === 'string') return !value.includes('\u0000') && !HALF.test(value);
  if (Array.isArray(value)) return value.every(isPlainText);
  if (value && typeof value === 'object' && !Buffer.isBuffer(value))
    return Object.entries(value).every(([key, part]) => isPlainText(key) && isPlainText(part));
  return true;
}
