import { generateMessageId } from '@lingui/message-utils/generateMessageId';
import type { Said, SaidValue } from '@hurrow/contract/problem';
import { listInWords } from '@hurrow/core/view';

/**
 * A sentence for people: in English, and with what a page needs to say it in another language. The words stand in the files of the other
 * languages as those of the pages do (`npm run words` finds them here).
 *
 * @example
 * say`There is no station ${9}.`; // { message: 'There is no station 9.', id: 'Yx0ab1', values: [9] }
 */
export function say(parts: TemplateStringsArray, ...values: SaidValue[]): Said {
  const between = (filled: (value: SaidValue, i: number) => string) =>
    parts.slice(1).reduce((text, part, i) => text + filled(values[i]!, i) + part, parts[0]!);
  return { message: between(inEnglish), id: generateMessageId(between((_, i) => `{${i}}`)), values };
}

/** A fixed word of the heart, which pages know by itself, as a value of what is said. */
export const word = (text: string): Said => ({ message: text, id: generateMessageId(text), values: [] });

function inEnglish(value: SaidValue): string {
  if (Array.isArray(value)) return listInWords(value.map(inEnglish));
  return typeof value === 'object' ? value.message : String(value);
}
