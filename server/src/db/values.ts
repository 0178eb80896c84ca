import { types } from '@electric-sql/pglite';

/** Types of arrays by their number in PostgreSQL, and the type of what is in them. */
export type ArrayTypes = ReadonlyMap<number, number>;

const asText = (value: unknown): string => (typeof value === 'string' ? value : JSON.stringify(value));

/**
 * A value as a PostgreSQL server takes it, written as the embedded store writes it, so that the same call has the same effect on both: an
 * array given to a `jsonb` is JSON, given to a `text[]` an array.
 *
 * @param type the number of the parameter's type
 * @example
 * written(['a'], 3802, arrays); // '["a"]'
 * written(['a'], 1009, arrays); // '{"a"}'
 */
export function written(value: unknown, type: number, arrays: ArrayTypes): string | null {
  if (value === null || value === undefined) return null;
  const of = arrays.get(type);
  if (of !== undefined) return types.arraySerializer(value, types.serializers[of], type) as string;
  return (types.serializers[type] ?? asText)(value);
}

/** What reads the text of a value of a type, as the embedded store reads it. */
export function readerOf(type: number, arrays: ArrayTypes): (text: string) => unknown {
  const of = arrays.get(type);
  if (of === undefined) return types.parsers[type] ?? ((text) => text);
  const read = types.parsers[of] ?? ((text: string) => text);
  return (text) => types.arrayParser(text, read, type) as unknown;
}
