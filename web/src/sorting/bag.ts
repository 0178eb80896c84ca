import { t } from '@lingui/core/macro';
import type { TaggedTwig } from '@hurrow/core/sorting';

/** The next number that stands on no tag yet: `nextTag([{ tag: '7', … }])` is “8”. */
export function nextTag(twigs: readonly TaggedTwig[]): string {
  const numbers = twigs.map(({ tag }) => Number.parseInt(tag, 10)).filter(Number.isFinite);
  return String(Math.max(0, ...numbers) + 1);
}

/** The twigs with those whose tags are known in the course and that are on its list, each once. */
export function withKnownTags(
  twigs: readonly TaggedTwig[],
  tags: Readonly<Record<string, string>>,
  listed: readonly string[],
): TaggedTwig[] {
  const held = new Set(twigs.map(({ tag }) => tag));
  const known = Object.entries(tags)
    .filter(([tag, taxonId]) => !held.has(tag) && listed.includes(taxonId))
    .map(([tag, taxonId]) => ({ tag, taxonId }))
    .sort((a, b) => a.tag.localeCompare(b.tag, 'en', { numeric: true }));
  return [...twigs, ...known];
}

/** What keeps a bag from being sorted; nothing where it can be. */
export function bagProblem(twigs: readonly TaggedTwig[]): string | undefined {
  if (twigs.some(({ tag }) => tag.trim() === '')) return t`Write a tag on every twig.`;
  const tags = twigs.map(({ tag }) => tag.trim());
  const twice = tags.find((tag, i) => tags.indexOf(tag) !== i);
  if (twice !== undefined) return t`Two twigs have the tag ${twice}. Give each a tag of its own.`;
  if (new Set(twigs.map(({ taxonId }) => taxonId)).size < 2)
    return t`A sort needs twigs of two trees or more.`;
  return undefined;
}

/** The trees of a bag, each once, in its order. */
export const treesOfBag = (twigs: readonly TaggedTwig[]): string[] => [
  ...new Set(twigs.map(({ taxonId }) => taxonId)),
];
