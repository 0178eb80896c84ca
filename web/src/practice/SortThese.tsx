import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { PracticePack } from '@hurrow/contract/practice';
import type { Question } from '@hurrow/core/practice';
import { useState } from 'react';
import { Picture } from './Picture.tsx';
import { TreeName, nameOf } from './TreeName.tsx';
import ui from '../app/parts.module.css';
import styles from './practice.module.css';

interface SortProps {
  question: Extract<Question, { way: 'sort' }>;
  pack: PracticePack;
  /** Told how many of the six lie wrong. */
  onTold(wrong: number): void;
}

/** Six specimens of two trees, each put to one of the two names. */
export function SortThese({ question, pack, onTold }: SortProps) {
  const [piles, setPiles] = useState<(string | undefined)[]>(question.pieces.map(() => undefined));
  const put = (i: number, id: string) => setPiles(piles.map((held, j) => (j === i ? id : held)));
  const ready = piles.every((held) => held !== undefined);
  return (
    <>
      <p className={styles['asked']}>
        <TreeName pack={pack} id={question.pair[0]} />{' '}
        <Trans>
          or <TreeName pack={pack} id={question.pair[1]} />?
        </Trans>
      </p>
      <ol className={styles['pieces']}>
        {question.pieces.map(({ shown }, i) => (
          <li key={i}>
            <Picture shown={shown} what={t`Specimen ${i + 1}`} />
            <div role="group" aria-label={t`Specimen ${i + 1}`}>
              {question.pair.map((id) => (
                <button
                  key={id}
                  type="button"
                  className={styles['pile']}
                  aria-pressed={piles[i] === id}
                  onClick={() => put(i, id)}
                >
                  {nameOf(pack, id)}
                </button>
              ))}
            </div>
          </li>
        ))}
      </ol>
      <button
        type="button"
        className={`${ui['press']} ${ui['chief']} ${styles['go']}`}
        disabled={!ready}
        onClick={() => onTold(piles.filter((held, i) => held !== question.pieces[i]!.taxonId).length)}
      >
        {ready ? t`So they lie` : t`${piles.filter((held) => held === undefined).length} to sort still`}
      </button>
    </>
  );
}
