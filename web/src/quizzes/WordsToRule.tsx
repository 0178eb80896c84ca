import { t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import type { Marks, Quiz } from '@hurrow/contract/quizzes';
import { call } from '../app/api.ts';
import { useVocabulary } from '../app/data.ts';
import { LinkButton, Problem } from '../app/parts.tsx';
import { useMarking } from './quizData.ts';
import { countsAsInWords, ruledHere, wordsToRule } from './wordsToRule.ts';
import styles from './quizzes.module.css';
import { listInWords } from '../language/inWords.ts';

/** Chosen for words that are nothing of what was offered; no character has this id. */
const NOTHING = '-';

/** Words of what trees were named by that the rules could not read on paper: ruled once for all papers, and remembered. */
export function WordsToRule({ marks, quiz }: { marks: Marks; quiz: Quiz }) {
  const vocabulary = useVocabulary();
  const { mark, problem } = useMarking();
  const waiting = wordsToRule(marks, quiz, vocabulary);
  const ruled = ruledHere(marks);
  if (waiting.length + ruled.length === 0) return null;
  const params = { quizId: quiz.id };
  const rule = (words: string, countsAs: string | null) =>
    void mark(() => call('POST /api/quizzes/{quizId}/words', { params, body: { words, countsAs } }));
  const takeBack = (rulingId: number) =>
    void mark(() =>
      call('DELETE /api/quizzes/{quizId}/words/{rulingId}', { params: { ...params, rulingId } }),
    );
  return (
    <section className={styles['to-rule']} aria-label={t`What they went by, to rule on`}>
      {problem && <Problem>{problem}</Problem>}
      {waiting.length > 0 && (
        <>
          <h2>
            <Trans>
              <Plural value={waiting.length} one="# wording" other="# wordings" /> of what they went by to
              rule on
            </Trans>
          </h2>
          <p className="quiet">
            <Trans>
              Not marked; what they went by counts for the confusions. A ruling holds for equal words in this
              course, and is remembered.
            </Trans>
          </p>
        </>
      )}
      {waiting.map(({ words, papers, stations, choices }) => (
        <p key={words}>
          <label>
            <Trans>
              “{words}”{' '}
              <span className="quiet">
                on <Plural value={papers} one="# paper" other="# papers" />,{' '}
                <Plural value={stations.length} one="station" other="stations" />{' '}
                {listInWords(stations.map(String))}
              </span>{' '}
              is
            </Trans>{' '}
            <select
              value=""
              onChange={({ target }) => rule(words, target.value === NOTHING ? null : target.value)}
            >
              <option value="" disabled>
                <Trans>choose what it is</Trans>
              </option>
              {choices.map(({ id, word }) => (
                <option key={id} value={id}>
                  {word}
                </option>
              ))}
              <option value={NOTHING}>
                <Trans>nothing that was offered</Trans>
              </option>
            </select>
          </label>
        </p>
      ))}
      {ruled.map((word) => (
        <p key={word.id} className="quiet">
          <Trans>
            “{word.words}” {countsAsInWords(word, vocabulary)}, by ruling of {word.by}.
          </Trans>{' '}
          <LinkButton onClick={() => takeBack(word.id)}>
            <Trans>Take it back</Trans>
          </LinkButton>
        </p>
      ))}
    </section>
  );
}
