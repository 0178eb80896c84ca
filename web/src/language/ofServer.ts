import type { ProblemAnswer, Said, SaidValue } from '@hurrow/contract/problem';
import { i18n } from './i18n.ts';
import { speakAlso } from './speak.ts';

/**
 * What the server says, in the language that is spoken; in English where that is spoken, or where there are no other words for it.
 *
 * @example
 * await inSpoken({ message: 'There is no station 9.', said: { id: 'Yx0ab1', values: [9] } }); // in German 'Eine Station 9 gibt es nicht.'
 */
export async function inSpoken({ message, said }: Pick<ProblemAnswer, 'message' | 'said'>): Promise<string> {
  if (!said || i18n.locale === 'en') return message;
  await speakAlso('server');
  return saidAgain({ message, ...said });
}

/** A sentence in the language whose words are loaded; in English where it has none for it. */
export function saidAgain({ message, id, values }: Said): string {
  if (!Object.hasOwn(i18n.messages, id)) return message;
  return i18n._(id, Object.fromEntries(values.map((value, i) => [i, valueSaid(value)])));
}

function valueSaid(value: SaidValue): string {
  if (Array.isArray(value)) return new Intl.ListFormat(i18n.locale).format(value.map(valueSaid));
  return typeof value === 'object' ? saidAgain(value) : String(value);
}
