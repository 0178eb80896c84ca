import { readFileSync } from 'node:fs';
import { setupI18n, type I18n } from '@lingui/core';
import { formatter } from '@lingui/format-po';
import { compileMessage } from '@lingui/message-utils/compileMessage';
import { arcLabel, dayLabel, type Arc } from '@hurrow/core/season';
import { CLASS_LANGUAGES } from '@hurrow/core/taxon';
import { listInWords, viewInWords, type Looked } from '@hurrow/core/view';
import * as api from '../api/say.ts';

/** One language in which papers are made. */
export interface Tongue {
  isEnglish: boolean;
  /** A sentence. The words stand in the files of the other languages, as those of the pages do. */
  say(parts: TemplateStringsArray, ...values: (string | number)[]): string;
  /** A fixed word of the heart: a medium, an organ, an aid. */
  word(text: string): string;
  /** “a, b and c”, or with “or”. */
  list(words: readonly string[], joined?: 'and' | 'or'): string;
  /** What is seen, from how near, and by what aids. */
  view(view: Looked): string;
  /** A day of the year, 1–365: “15 Oct” for 288. */
  day(day: number): string;
  /** A time of the year by thirds of months: “late May–mid Oct”. */
  arc(arc: Arc): string;
  /** A whole number, with what parts its thousands. */
  number(value: number): string;
}

const ENGLISH: Tongue = {
  isEnglish: true,
  say: (parts, ...values) => api.say(parts, ...values).message,
  word: (text) => text,
  list: listInWords,
  view: (view) => viewInWords(view),
  day: dayLabel,
  arc: (arc) => arcLabel(arc),
  number: (value) => value.toLocaleString('en-US'),
};

// Built, the words lie beside the server; from source they are where the pages have them.
const BUILT = !import.meta.url.endsWith('.ts');
const wordsOf = (language: string) =>
  new URL(BUILT ? `./language/${language}.po` : `../../../web/src/language/${language}.po`, import.meta.url);

const tongues = new Map<string, Tongue>();

/**
 * The language in which a course prints what its class reads: that in which it calls its trees, or English where Hurrow has no words of it.
 * Reading its words takes a tenth of a second, once: threads do it.
 *
 * @param language a tag of BCP 47
 * @example
 * const { say } = tongueOf('de');
 * say`Name cards`; // 'Namenskarten'
 */
export function tongueOf(language: string | null): Tongue {
  if (!language || !CLASS_LANGUAGES.includes(language)) return ENGLISH;
  const held = tongues.get(language) ?? read(language);
  tongues.set(language, held);
  return held;
}

function read(language: string): Tongue {
  const i18n = wordsIn(language);
  const again = (english: string, id: string, values: readonly (string | number)[]) =>
    Object.hasOwn(i18n.messages, id) ? i18n._(id, { ...values }) : english;
  const word = (text: string) => again(text, api.word(text).id, []);
  const list: Tongue['list'] = (words, joined = 'and') =>
    new Intl.ListFormat(language, { type: joined === 'and' ? 'conjunction' : 'disjunction' }).format(words);
  const say: Tongue['say'] = (parts, ...values) => {
    const { message, id } = api.say(parts, ...values);
    return again(message, id, values);
  };
  const dated = (format: Intl.DateTimeFormatOptions, day: number) =>
    new Intl.DateTimeFormat(language, { ...format, timeZone: 'UTC' })
      .format(Date.UTC(2023, 0, day))
      // A month cut short has no full stop of its own: sentences end with it.
      .replace(/\.$/, '');
  return {
    isEnglish: false,
    say,
    word,
    list,
    view: (view) => viewInWords(view, { say: word, list }),
    day: (day) => dated({ day: 'numeric', month: 'short' }, day),
    arc: (arc) =>
      arcLabel(arc, {
        allYear: say`all year`,
        third: (part, at) => {
          const month = dated({ month: 'short' }, 15 + Math.round((at - 1) * 30.4));
          if (part === 'mid') return say`mid ${month}`;
          return part === 'early' ? say`early ${month}` : say`late ${month}`;
        },
      }),
    number: (value) => value.toLocaleString(language),
  };
}

function wordsIn(language: string): I18n {
  const said = formatter().parse(readFileSync(wordsOf(language), 'utf8'), {
    locale: language,
    sourceLocale: 'en',
    filename: '',
  });
  const messages = Object.entries(said as Record<string, { translation?: string }>).flatMap(
    ([id, { translation }]) => (translation ? [[id, translation] as const] : []),
  );
  const i18n = setupI18n({ locale: language, messages: { [language]: Object.fromEntries(messages) } });
  // Few of them are said on a sheet: each is read when it is.
  i18n.setMessagesCompiler(compileMessage);
  return i18n;
}
