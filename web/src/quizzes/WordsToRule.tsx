import type { Marks, Quiz } from '@hurrow/contract/quizzes';
import { listInWords } from '@hurrow/core/view';
import { counted } from '@hurrow/core/words';
import { call } from '../app/api.ts';
import { useVocabulary } from '../app/data.ts';
import { LinkButton, Problem } from '../app/parts.tsx';
import { useMarking } from './quizData.ts';
import { countsAsInWords, ruledHere, wordsToRule } from './wordsToRule.ts';
import styles from './quizzes.module.css';

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
    <section className={styles['to-rule']} aria-label="What they went by, to rule on">
      {problem && <Problem>{problem}</Problem>}
      {waiting.length > 0 && (
        <>
          <h2>{counted(waiting.length, 'wording')} of what they went by to rule on</h2>
          <p className="quiet">
            Not marked; what they went by counts for the confusions. A ruling holds for equal words in this
            course, and is remembered.
          </p>
        </>
      )}
      {waiting.map(({ words, papers, stations, choices }) => (
        <p key={words}>
          <label>
            “{words}”{' '}
            <span className="quiet">
              on {counted(papers, 'paper')}, station{stations.length > 1 && 's'}{' '}
              {listInWords(stations.map(String))}
            </span>{' '}
            is{' '}
            <select
              value=""
              onChange={({ target }) => rule(words, target.value === NOTHING ? null : target.value)}
            >
              <option value="" disabled>
                choose what it is
              </option>
              {choices.map(({ id, word }) => (
                <option key={id} value={id}>
                  {word}
                </option>
              ))}
              <option value={NOTHING}>nothing that was offered</option>
            </select>
          </label>
        </p>
      ))}
      {ruled.map((word) => (
        <p key={word.id} className="quiet">
          “{word.words}” {countsAsInWords(word, vocabulary)}, by ruling of {word.by}.{' '}
          <LinkButton onClick={() => takeBack(word.id)}>Take it back</LinkButton>
        </p>
      ))}
    </section>
  );
}
