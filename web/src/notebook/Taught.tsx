import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { OwnPhrase } from '@hurrow/core/notebook';
import { characterName } from '@hurrow/core/score';
import { stateOf, type Vocabulary } from '@hurrow/core/vocabulary';
import { LinkButton } from '../app/parts.tsx';
import { useMayChange } from '../app/mayChange.ts';
import { wordsToTeach, type ReadWithEntry } from './courseNotebook.ts';
import { useTeaching } from './useTeaching.ts';
import styles from './reading.module.css';

interface TaughtProps {
  course: WholeCourse;
  all: readonly ReadWithEntry[];
  phrases: readonly OwnPhrase[];
  vocabulary: Vocabulary;
}

/** What the class's own words mean: those that were taught, and those that may be learnt from what was chosen beside them. */
export function Taught({ course, all, phrases, vocabulary }: TaughtProps) {
  const offered = wordsToTeach(all, phrases);
  const { teach, saving, problem } = useTeaching(course.id);
  const mayChange = useMayChange();
  const inWords = ({ characterId, state }: OwnPhrase) => {
    const character = vocabulary.get(characterId);
    const found = character && stateOf(character, state);
    return found
      ? `${characterName(character, course.audience)}: ${course.audience === 'plain' ? found.plain : found.term}`
      : t`a state that is gone`;
  };
  if (offered.length === 0 && phrases.length === 0) return null;
  return (
    <section className={styles['taught']}>
      <h2>
        <Trans>Words of this class</Trans>
      </h2>
      <ul>
        {offered.map(({ phrase, characterId, state, entries, chose, students }) => (
          <li key={`offered ${phrase}`}>
            <Trans>
              “{phrase}” may mean {inWords({ phrase, characterId, state })}:{' '}
              {chose === entries ? t`all ${entries}` : t`${chose} of ${entries}`} entries that have it chose
              so, of {students} students.
            </Trans>{' '}
            {mayChange && (
              <LinkButton
                disabled={saving}
                onClick={() => void teach([...phrases, { phrase, characterId, state }])}
              >
                <Trans>Teach it</Trans>
              </LinkButton>
            )}
          </li>
        ))}
        {phrases.map((known) => (
          <li key={`known ${known.phrase} ${known.characterId} ${known.state}`}>
            <Trans>
              “{known.phrase}” means {inWords(known)}.
            </Trans>{' '}
            {mayChange && (
              <LinkButton
                disabled={saving}
                onClick={() => void teach(phrases.filter((one) => one !== known))}
              >
                <Trans>Forget it</Trans>
              </LinkButton>
            )}
          </li>
        ))}
      </ul>
      {problem && <p role="alert">{problem}</p>}
    </section>
  );
}
