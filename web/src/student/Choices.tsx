import { Trans } from '@lingui/react/macro';
import type { NameToChoose } from '@hurrow/core/station';
import type { Answer } from '@hurrow/core/names';
import { chosen, isChosen } from './choosing.ts';
import styles from './student.module.css';

/** Names to choose from: a tap chooses one, another takes it back. */
export function Choices({
  choices,
  answer,
  onAnswer,
}: {
  choices: NameToChoose[];
  answer: Answer;
  onAnswer(answer: Answer): void;
}) {
  return (
    <fieldset className={styles['choices']}>
      <legend>
        <Trans>Which tree is it?</Trans>
      </legend>
      {choices.map((choice) => (
        <button
          type="button"
          key={choice.name}
          aria-pressed={isChosen(choice, answer)}
          onClick={() => onAnswer(chosen(choice, answer))}
        >
          <span className={choice.latin ? 'latin' : ''}>{choice.name}</span>
          {choice.answer.family && `, ${choice.answer.family}`}
        </button>
      ))}
    </fieldset>
  );
}
