/**
 * A new id, as a UUID of version 4 (RFC 9562). Browsers make one themselves only where the connection is encrypted or local: phones that reach a
 * laptop over plain http in the woods have the random numbers, and not the id.
 *
 * @example
 * newId(); // '3f0c9a52-6d1e-4b7a-9c55-0e2f4a8d1b6c'
 */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = (bytes[6]! & 0x0f) | 0x40;
  bytes[8] = (bytes[8]! & 0x3f) | 0x80;
  const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');
  return hex.replace(/^(.{8})(.{4})(.{4})(.{4})/, '$1-$2-$3-$4-');
}
