import { i18n } from '../language/i18n.ts';
import { names } from './editing.ts';

/** Languages that are offered for common names, by their tags. Others come in with a file. */
const OFFERED = 'ar cs cy da de es fi fr ga hu it ja ko nb nl pl pt ro ru sv tr uk zh'.split(' ');

type NamesIn = Record<string, string[]>;

/** A language as it is called in that of the page: `languageName('fr')` is “French”; its tag where nobody has a name for it. */
export const languageName = (tag: string): string =>
  new Intl.DisplayNames(i18n.locale, { type: 'language' }).of(tag) ?? tag;

/** What is left to choose where some languages have names already, as tags and what they are called, by the latter. */
export const languagesLeft = (taken: readonly string[]): [tag: string, name: string][] =>
  OFFERED.filter((tag) => !taken.includes(tag))
    .map((tag): [string, string] => [tag, languageName(tag)])
    .sort(([, a], [, b]) => a.localeCompare(b, i18n.locale));

/**
 * Names as they are after those of a language were typed, with commas; a language without a name is gone.
 *
 * @example
 * withNames({ fr: ['sapin'] }, 'de', 'Tanne, Edel-Tanne'); // { fr: ['sapin'], de: ['Tanne', 'Edel-Tanne'] }
 */
export function withNames(held: NamesIn | undefined, tag: string, typed: string): NamesIn | undefined {
  const { [tag]: _was, ...others } = held ?? {};
  const now = names(typed);
  const all = now.length > 0 ? { ...others, [tag]: now } : others;
  return Object.keys(all).length > 0 ? all : undefined;
}
