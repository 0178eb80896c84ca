import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Button } from 'antd';
import { besideEachOther, type Beside, type Said } from '@hurrow/core/notebook';
import { characterName, type Audience, type UnitSystem } from '@hurrow/core/score';
import { commonName } from '@hurrow/core/taxon';
import type { Vocabulary } from '@hurrow/core/vocabulary';
import { sayingInWords, shownInWords, type ReadWithEntry } from './courseNotebook.ts';
import { Drawn } from './Drawn.tsx';
import { sayingsOf } from './noted.ts';
import styles from './reading.module.css';
import ui from '../app/parts.module.css';

interface BesidesProps {
  first: ReadWithEntry;
  second: ReadWithEntry;
  words: { audience: Audience; units: UnitSystem };
  vocabulary: Vocabulary;
  onApart(): void;
}

const HOW: Record<Beside['how'], string> = {
  other: t`differ`,
  'only first': t`only one saw it`,
  'only second': t`only one saw it`,
  same: t`agree`,
};

/** Two entries side by side: where they differ first. */
export function Besides({ first, second, words, vocabulary, onApart }: BesidesProps) {
  const both = [first, second];
  const sameTree = first.tree && first.tree === second.tree ? first.tree : undefined;
  const said = both.map(({ read }) => sayingsOf(read));
  const rows = besideEachOther(said[0]!, said[1]!);
  const inWords = (said: readonly Said[]) =>
    said.map((one) => sayingInWords(one, vocabulary.get(one.characterId)!, words)).join(', ');
  return (
    <article className={styles['sheet']}>
      <div className={styles['two']}>
        {both.map(({ entry, tree }) => (
          <div key={entry.id}>
            <h2>{entry.student}</h2>
            <p className="quiet">
              {entry.day}, {tree ? commonName(tree.taxon) : entry.tag || t`no tag`}
            </p>
            <blockquote className={styles['words']}>{entry.words || t`No words of their own.`}</blockquote>
            {entry.drawing.length > 0 && (
              <Drawn drawing={entry.drawing} label={t`What ${entry.student} drew`} />
            )}
          </div>
        ))}
      </div>
      <table className={`${ui['plain-table']} ${styles['sayings']}`}>
        <thead>
          <tr>
            <th>
              <Trans>Character</Trans>
            </th>
            <th>{first.entry.student}</th>
            <th>{second.entry.student}</th>
            <th />
            {sameTree && (
              <th>
                <Trans>{commonName(sameTree.taxon)} shows</Trans>
              </th>
            )}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ characterId, first: one, second: other, how }) => {
            const character = vocabulary.get(characterId)!;
            const judged = said.flat().find((one) => one.characterId === characterId && one.judged)?.judged;
            return (
              <tr key={characterId}>
                <td>{characterName(character, words.audience)}</td>
                <td>{inWords(one)}</td>
                <td>{inWords(other)}</td>
                <td className={how === 'other' ? 'rust' : 'quiet'}>{HOW[how]}</td>
                {sameTree && <td>{shownInWords(judged, character, words)}</td>}
              </tr>
            );
          })}
        </tbody>
      </table>
      <p>
        <Button onClick={onApart}>
          <Trans>Lay them apart</Trans>
        </Button>
      </p>
    </article>
  );
}
