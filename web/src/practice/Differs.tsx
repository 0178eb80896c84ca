import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { PracticePack } from '@hurrow/contract/practice';
import { HALF_PICTURE, pressed, type Question } from '@hurrow/core/practice';
import { characterName } from '@hurrow/core/score';
import { useState, type MouseEvent } from 'react';
import { readVocabulary } from './ground.ts';
import { Picture } from './Picture.tsx';
import ui from '../app/parts.module.css';
import styles from './practice.module.css';

interface DiffersProps {
  question: Extract<Question, { way: 'differs' }>;
  pack: PracticePack;
  onTold(right: boolean, slips: number): void;
}

/** Two specimens, alike but for what decides: its place is pressed on either, or chosen in words. A second press is allowed, and is a slip. */
export function Differs({ question, pack, onTold }: DiffersProps) {
  const [missed, setMissed] = useState<string[]>([]);
  const [inWords, setInWords] = useState(false);
  const vocabulary = readVocabulary(pack);
  const name = (id: string) => characterName(vocabulary.get(id)!, pack.audience);
  const tell = (characterId: string | undefined, right: boolean) => {
    if (right) return onTold(true, missed.length);
    if (missed.length > 0) return onTold(false, 0);
    setMissed([characterId ? name(characterId) : t`this place`]);
  };
  const press = (picture: 0 | 1) => (event: MouseEvent<HTMLElement>) => {
    // A key presses no place: it opens the words. What is drawn names the button.
    if (event.detail === 0) return setInWords(true);
    const box = event.currentTarget.getBoundingClientRect();
    const x = ((event.clientX - box.left) / box.width) * HALF_PICTURE.width;
    const y = ((event.clientY - box.top) / box.height) * HALF_PICTURE.height;
    const found = pressed(question, picture, x, y);
    tell(found?.characterId, found?.right ?? false);
  };
  return (
    <>
      <div className={styles['stacked']}>
        {question.pictures.map((shown, i) => (
          <button key={i} type="button" onClick={press(i as 0 | 1)} className={styles['pressable']}>
            <Picture shown={shown} what={i === 0 ? t`The first` : t`The second`} />
          </button>
        ))}
      </div>
      <p role="status">
        {missed.length > 0
          ? t`In ${missed[0]!} they are alike. Look once more.`
          : t`Where do they differ? Press the place on either.`}
      </p>
      <details
        className={styles['words']}
        open={inWords}
        onToggle={(event) => setInWords(event.currentTarget.open)}
      >
        <summary>
          <Trans>Say it in words</Trans>
        </summary>
        <div className={styles['choices']} role="group" aria-label={t`In what do they differ?`}>
          {question.characters.map((id) => (
            <button
              key={id}
              type="button"
              className={ui['press']}
              onClick={() => tell(id, question.right.includes(id))}
            >
              {name(id)}
            </button>
          ))}
        </div>
      </details>
    </>
  );
}
