/** Levels of nesting: no form of ours sends a tenth of them, but a key that leads through a hundred couplets. */
const DEEPEST = 600;

/** Half a surrogate pair standing alone. */
const HALF = /\p{Surrogate}/u;

/**
 * Can every text in a value be stored, and the value be walked through? PostgreSQL takes neither NUL nor halves of surrogate pairs, whether in a text or in JSON.
 *
 * @example
 * isPlainText({ name: 'grand fir' }); // true
 * isPlainText(['a\u0000']); // false
 */
export function isPlainText(value: unknown, depth = 0): boolean {
  if (depth > DEEPEST) return false;
  if (typeof value === 'string') return !value.includes('\u0000') && !HALF.test(value);
  if (Array.isArray(value)) return value.every((part) => isPlainText(part, depth + 1));
  if (value && typeof value === 'object' && !Buffer.isBuffer(value))
    return Object.entries(value).every(([key, part]) => isPlainText(key) && isPlainText(part, depth + 1));
  return true;
}
