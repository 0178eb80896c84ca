import { i18n } from './i18n.ts';
import { languageOf, type Language } from './languages.ts';
import { speakOfCharacters } from './vocabulary.ts';

const CHOSEN = 'hurrow language';

type Messages = Parameters<typeof i18n.load>[1];
/** What a page needs to be said: what students and those who sign in see, the rest, which the workbench says, and what the server says. */
type Part = 'student' | 'workbench' | 'server';

// English stands in the source.
const READ: Record<Exclude<Language, 'en'>, Record<Part, () => Promise<{ default: Messages }>>> = {
  de: {
    student: () => import('./de.po?part=student'),
    workbench: () => import('./de.po?part=workbench'),
    server: () => import('./de.po?part=server'),
  },
};

const CHARACTERS = { de: () => import('./characters.de.ts') };

/** The language in which this device is spoken to: the one chosen here, or the first that its browser asks for and Hurrow speaks. */
export function spoken(): Language {
  let chosen: string | null = null;
  try {
    chosen = localStorage.getItem(CHOSEN);
  } catch {
    // A browser that keeps nothing is spoken to as it asks.
  }
  return languageOf(chosen, navigator.languages);
}

/**
 * Speaks another language from now on; the page is opened anew, with what was typed kept as drafts are. False where this browser keeps no
 * choice: then nothing happens.
 */
export function choose(language: Language): boolean {
  try {
    localStorage.setItem(CHOSEN, language);
  } catch {
    return false;
  }
  location.reload();
  return true;
}

const loaded = new Set<Part>();

/** Loads the words of a part, once. Without them it is said in English. */
export async function speakAlso(part: Part): Promise<void> {
  const language = spoken();
  if (language === 'en' || loaded.has(part)) return;
  try {
    const { default: messages } = await READ[language][part]();
    i18n.load(language, messages);
    i18n.activate(language);
    loaded.add(part);
    document.documentElement.lang = language;
  } catch {
    // Without a signal, and never loaded on this device: English is there.
  }
}

/** Speaks of trees in the language of this device. */
async function speakOfTrees(): Promise<void> {
  const language = spoken();
  if (language === 'en') return;
  try {
    speakOfCharacters(await CHARACTERS[language]());
  } catch {
    // Without a signal, and never loaded on this device: English is there.
  }
}

/** Speaks the language of this device; to be waited for before a page is loaded. */
export async function speak(): Promise<void> {
  await Promise.all([speakAlso('student'), speakOfTrees()]);
}
