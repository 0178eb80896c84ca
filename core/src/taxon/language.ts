/** A tag of BCP 47 as Hurrow keeps it: a language, with a script or a country where it needs one. */
export const LANGUAGE_TAG = /^[a-z]{2,3}(-[A-Z][a-z]{3})?(-[A-Z]{2})?$/;

/**
 * A language as a file names it, as it is kept; undefined for what names none, or more than a language, a script and a country.
 *
 * @example
 * languageTag('pt-br'); // 'pt-BR'
 * languageTag('German'); // undefined
 */
export function languageTag(text: string): string | undefined {
  try {
    const [tag] = Intl.getCanonicalLocales(text.trim());
    return tag !== undefined && LANGUAGE_TAG.test(tag) ? tag : undefined;
  } catch {
    return undefined;
  }
}

/** Tags of the languages beside English in which lessons are made, with their slides, handouts and glossaries. */
export const CLASS_LANGUAGES: readonly string[] = ['de'];
