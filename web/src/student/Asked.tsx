import { t } from '@lingui/core/macro';
import { calledOf, type Answer, type NamingPolicy } from '@hurrow/core/names';
import { answeredWith, calledWith, fieldOf, typedIn } from './asked.ts';
import type { AskedOf } from '@hurrow/core/station';
import { questionSaid } from '../language/questionSaid.ts';
import { LONGEST } from './cleaned.ts';
import styles from './student.module.css';

/** What is asked in place of the name: one of those offered, by a tap that another takes back, or a line to write. */
export function Asked({
  question: fixed,
  policy,
  answer,
  onAnswer,
}: {
  question: AskedOf;
  policy: NamingPolicy;
  answer: Answer;
  onAnswer(answer: Answer): void;
}) {
  const question = questionSaid(fixed);
  if (question.letters)
    return <Sorted question={question} letters={question.letters} answer={answer} onAnswer={onAnswer} />;
  if (question.offered.length > 0)
    return (
      <fieldset className={styles['choices']}>
        <legend>{question.asked}</legend>
        {question.offered.map(({ id, word, definition }) => (
          <button
            type="button"
            key={id}
            title={definition}
            aria-pressed={answer.said === id}
            onClick={() => onAnswer(answeredWith(answer, id))}
          >
            {word}
          </button>
        ))}
      </fieldset>
    );
  const field = fieldOf(question.kind, policy);
  return (
    <>
      <h2>{question.asked}</h2>
      <label className={styles['field']}>
        <span>{field.label}</span>
        <input
          value={answer[field.part] ?? ''}
          onChange={(event) => onAnswer(typedIn(answer, field.part, event.target.value))}
          maxLength={LONGEST}
          inputMode={question.kind === 'number' ? 'text' : undefined}
          autoComplete="off"
          autoCorrect="off"
          spellCheck={false}
          enterKeyHint="done"
        />
      </label>
    </>
  );
}

/** Several specimens of one drawing, each called by a tap. */
function Sorted({
  question: { asked, offered },
  letters,
  answer,
  onAnswer,
}: {
  question: AskedOf;
  letters: readonly string[];
  answer: Answer;
  onAnswer(answer: Answer): void;
}) {
  const called = calledOf(answer.said ?? '', letters.length);
  return (
    <section className={styles['sorted']} aria-label={asked}>
      <h2>{asked}</h2>
      {letters.map((letter, i) => (
        <div key={letter} role="group" aria-label={t`Specimen ${letter}`}>
          <b aria-hidden="true">{letter}</b>
          {offered.map(({ id, word, definition }) => (
            <button
              type="button"
              key={id}
              title={definition}
              aria-pressed={called[i] === id}
              onClick={() => onAnswer(calledWith(answer, letters.length, i, id))}
            >
              {word}
            </button>
          ))}
        </div>
      ))}
    </section>
  );
}
