const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

/** Can a text be the id of a row? The store refuses to look for others. */
export const isUuid = (text: string): boolean => UUID.test(text);

/**
 * A text as an id of the store: null where it is none, which no row is found by.
 *
 * @example
 * uuidOf('-'); // null
 */
export const uuidOf = (text: string): string | null => (isUuid(text) ? text : null);
