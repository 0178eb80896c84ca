/** The languages of the interface, each by its own name. */
export const LANGUAGES = { en: 'English', de: 'Deutsch' } as const;

export type Language = keyof typeof LANGUAGES;

export const isLanguage = (text: string | null): text is Language =>
  text !== null && Object.hasOwn(LANGUAGES, text);

/**
 * The language to speak: the one that was chosen, else the first of those wished for that there is, else English.
 *
 * @param chosen as it was kept; what is no language any more counts for nothing
 * @param wished tags of BCP 47, the dearest first, as a browser gives them
 * @example
 * languageOf(null, ['fr', 'de-AT', 'en']); // 'de'
 */
export const languageOf = (chosen: string | null, wished: readonly string[]): Language =>
  [chosen, ...wished.map((tag) => tag.toLowerCase().split('-')[0]!)].find(isLanguage) ?? 'en';
