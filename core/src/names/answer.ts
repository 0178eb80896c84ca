import type { Answer } from './policy.ts';

/** The answer as one string: what is resolved, grouped and ruled on. */
export const answerText = (answer: Answer): string =>
  [answer.name ?? '', answer.genus ?? '', answer.epithet ?? ''].join(' ').replace(/\s+/g, ' ').trim();

/**
 * An answer with each name in its own box: a whole binomial written into one of them is parted, and a genus or epithet written twice
 * counts once.
 *
 * @example
 * partedAnswer({ genus: 'Acer rubrum' }); // { genus: 'Acer', epithet: 'rubrum' }
 */
export function partedAnswer(answer: Answer): Answer {
  const words = (text: string | undefined) => (text ?? '').trim().split(/\s+/).filter(Boolean);
  const [genus, epithet] = [words(answer.genus), words(answer.epithet)];
  const same = (a: string | undefined, b: string | undefined) => a?.toLowerCase() === b?.toLowerCase();
  if (genus.length > 1 && epithet.length === 0)
    return { ...answer, genus: genus[0]!, epithet: genus.slice(1).join(' ') };
  if (genus.length > 1 && same(genus.slice(1).join(' '), epithet.join(' ')))
    return { ...answer, genus: genus[0]! };
  if (epithet.length > 1 && genus.length === 0)
    return { ...answer, genus: epithet[0]!, epithet: epithet.slice(1).join(' ') };
  if (genus.length === 1 && epithet.length > 1 && same(genus[0], epithet[0]))
    return { ...answer, epithet: epithet.slice(1).join(' ') };
  return answer;
}
