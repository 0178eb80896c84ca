import type { NameToChoose } from '@hurrow/core/station';
import type { Answer, AnswerPart } from '@hurrow/core/names';

const PARTS: AnswerPart[] = ['name', 'genus', 'epithet', 'family'];

/** Is it the name that an answer gives? */
export const isChosen = ({ answer: gives }: NameToChoose, answer: Answer): boolean =>
  PARTS.every((part) => (answer[part] ?? '') === (gives[part] ?? ''));

/**
 * An answer after a tap on a name: with that name, or with none where it was chosen before. What was seen and told stays.
 *
 * @example
 * chosen({ name: 'elm', latin: false, answer: { name: 'elm' } }, { sure: 'half' }); // { sure: 'half', name: 'elm' }
 */
export function chosen(choice: NameToChoose, answer: Answer): Answer {
  const taken = isChosen(choice, answer);
  const { name: _name, genus: _genus, epithet: _epithet, family: _family, ...rest } = answer;
  const blank = Object.fromEntries(PARTS.filter((part) => part in choice.answer).map((part) => [part, '']));
  return { ...rest, ...(taken ? blank : choice.answer) };
}
