import { t } from '@lingui/core/macro';
import type { PracticePack } from '@hurrow/contract/practice';
import { characterName } from '@hurrow/core/score';
import { statesToSee, type SeeingQuestion } from '@hurrow/core/station';
import { stateOf } from '@hurrow/core/vocabulary';
import { useState } from 'react';
import { readVocabulary } from './ground.ts';
import ui from '../app/parts.module.css';
import styles from './practice.module.css';

/** Features that are told before the name: each by choosing what is seen; what was misread is said at once. */
export function Features({
  asks,
  ground,
  read,
  onRead,
}: {
  asks: readonly SeeingQuestion[];
  ground: Pick<PracticePack, 'characters' | 'audience'>;
  /** All were told. */
  read: boolean;
  /** Told how many were misread. */
  onRead(misread: number): void;
}) {
  const [said, setSaid] = useState<string[]>([]);
  const vocabulary = readVocabulary(ground);
  const say = (state: string) => {
    const all = [...said, state];
    setSaid(all);
    if (all.length === asks.length) onRead(all.filter((each, i) => !asks[i]!.right.includes(each)).length);
  };
  return (
    <ol className={styles['features']}>
      {asks.slice(0, said.length + (read ? 0 : 1)).map(({ characterId, right }, i) => {
        const character = vocabulary.get(characterId)!;
        const word = (id: string) => {
          const state = stateOf(character, id);
          return state ? (ground.audience === 'plain' ? state.plain : state.term) : id;
        };
        const mine = said[i];
        return (
          <li key={characterId}>
            <b>{characterName(character, ground.audience)}</b>{' '}
            {mine === undefined ? (
              <div className={styles['chips']} role="group" aria-label={t`What do you see?`}>
                {statesToSee(character).map((state) => (
                  <button key={state} type="button" className={ui['press']} onClick={() => say(state)}>
                    {word(state)}
                  </button>
                ))}
              </div>
            ) : (
              <span role="status">
                {word(mine)}
                {right.includes(mine) ? '. So it is.' : `. Look again: ${right.map(word).join(t` or `)}.`}
              </span>
            )}
          </li>
        );
      })}
    </ol>
  );
}
