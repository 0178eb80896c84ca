/**
 * What two ways to write the tag of a tree have in common: case, and what stands between a letter and a number, make no other tree. Between two
 * numbers it does.
 *
 * @example
 * tagKey('T-14') === tagKey('t 14'); // true
 * tagKey('1-4') === tagKey('14'); // false
 */
export const tagKey = (tag: string): string =>
  tag
    .trim()
    .toLowerCase()
    .replace(/(?<=\d)[\s._-]+(?=\d)/g, '-')
    .replace(/(?<!\d)[\s._-]+|[\s._-]+(?!\d)/g, '');

/** Finds which tree carries a tag, however it is written; without a tag there is none. */
export function taxonByTag(tags: Readonly<Record<string, string>>): (tag: string) => string | undefined {
  const known = new Map(Object.entries(tags).map(([tag, taxonId]) => [tagKey(tag), taxonId]));
  return (tag) => (tag === '' ? undefined : known.get(tagKey(tag)));
}
