import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { PracticePack } from '@hurrow/contract/practice';
import type { Question } from '@hurrow/core/practice';
import { characterName } from '@hurrow/core/score';
import { SHOWN_TITLES } from '@hurrow/core/view';
import { readVocabulary } from './ground.ts';
import { TreeName } from './TreeName.tsx';
import ui from '../app/parts.module.css';
import styles from './practice.module.css';
import { inTongue } from '../language/inTongue.ts';
import { listInWords } from '../language/inWords.ts';

interface SettlesProps {
  question: Extract<Question, { way: 'settles' }>;
  pack: PracticePack;
  onTold(right: boolean): void;
}

/** Two names and no picture: what tells them apart. */
export function Settles({ question, pack, onTold }: SettlesProps) {
  const vocabulary = readVocabulary(pack);
  const { organs } = question.card.view;
  return (
    <>
      <p className={styles['asked']}>
        <TreeName pack={pack} id={question.pair[0]} />{' '}
        <Trans>
          or <TreeName pack={pack} id={question.pair[1]} />: with{' '}
          {listInWords(organs.map((organ) => inTongue(SHOWN_TITLES[organ])))} before you, what settles it?
        </Trans>
      </p>
      <div className={styles['choices']} role="group" aria-label={t`What settles it?`}>
        {question.characters.map((id) => (
          <button
            key={id}
            type="button"
            className={ui['press']}
            onClick={() => onTold(question.right.includes(id))}
          >
            {characterName(vocabulary.get(id)!, pack.audience)}
          </button>
        ))}
      </div>
    </>
  );
}
