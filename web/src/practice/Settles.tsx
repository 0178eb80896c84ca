import type { PracticePack } from '@hurrow/contract/practice';
import type { Question } from '@hurrow/core/practice';
import { characterName } from '@hurrow/core/score';
import { SHOWN_TITLES, listInWords } from '@hurrow/core/view';
import { readVocabulary } from './ground.ts';
import { TreeName } from './TreeName.tsx';
import ui from '../app/parts.module.css';
import styles from './practice.module.css';

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
        <TreeName pack={pack} id={question.pair[0]} /> or <TreeName pack={pack} id={question.pair[1]} />: with{' '}
        {listInWords(organs.map((organ) => SHOWN_TITLES[organ]))} before you, what settles it?
      </p>
      <div className={styles['choices']} role="group" aria-label="What settles it?">
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
