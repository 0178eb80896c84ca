import { setupI18n } from '@lingui/core';
import { compileMessage } from '@lingui/message-utils/compileMessage';

/**
 * The words of the interface in the language that is spoken. English stands in the source, so that a page never lacks a word; the other
 * languages are loaded over it (`speak.ts`). What the macros of the source write refers to this.
 */
export const i18n = setupI18n({ locale: 'en', messages: { en: {} } });

const read = new Map<string, ReturnType<typeof compileMessage>>();

// A message of the source is read once, however often it is said.
i18n.setMessagesCompiler((message) => {
  const held = read.get(message);
  if (held !== undefined) return held;
  const made = compileMessage(message);
  read.set(message, made);
  return made;
});

/**
 * A number and a plural for nobody: a browser reads the rules of a language when they are first asked for, which takes a slow phone a
 * tenth of a second. To be called while the page waits for something else.
 */
export function readRules(): void {
  new Intl.NumberFormat(i18n.locale).format(1);
  new Intl.PluralRules(i18n.locale).select(1);
}
