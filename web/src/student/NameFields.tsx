import { Trans } from '@lingui/react/macro';
import type { OpenQuiz } from '@hurrow/contract/sitting';
import type { Answer } from '@hurrow/core/names';
import { LONGEST } from './cleaned.ts';
import { FIELDS } from './sitting.ts';
import styles from './student.module.css';

/** The parts of the name that the course asks for. */
export function NameFields({
  quiz,
  answer,
  onAnswer,
}: {
  quiz: Pick<OpenQuiz, 'policy' | 'names'>;
  answer: Answer;
  onAnswer(answer: Answer): void;
}) {
  return (
    <>
      <h2>
        <Trans>Name this tree</Trans>
      </h2>
      {FIELDS[quiz.policy].map(([part, label], i) => (
        <label className={styles['field']} key={part}>
          <span>{label}</span>
          <input
            value={answer[part] ?? ''}
            onChange={(event) => onAnswer({ ...answer, [part]: event.target.value })}
            maxLength={LONGEST}
            autoComplete="off"
            autoCorrect="off"
            spellCheck={false}
            autoCapitalize={part === 'epithet' ? 'none' : 'words'}
            enterKeyHint={i === FIELDS[quiz.policy].length - 1 ? 'done' : 'next'}
            list={quiz.names.length ? 'names' : undefined}
          />
        </label>
      ))}
      {quiz.names.length > 0 && (
        <datalist id="names">
          {quiz.names.map((name) => (
            <option key={name} value={name} />
          ))}
        </datalist>
      )}
    </>
  );
}
