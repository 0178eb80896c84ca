import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { saidOf, type Condition } from '@hurrow/core/condition';
import { characterName, type Audience, type UnitSystem } from '@hurrow/core/score';
import { ORGANS, type Character, type Vocabulary } from '@hurrow/core/vocabulary';
import styles from './rules.module.css';
import { inTongue } from '../language/inTongue.ts';

interface Props {
  vocabulary: Vocabulary;
  audience: Audience;
  units: UnitSystem;
  /** Only these characters are offered; all with states where not given. */
  offered?: ReadonlySet<string>;
  label: string;
  onPick(condition: Condition): void;
}

/** Chooses a character and one of its states. */
export function ConditionPicker({ vocabulary, audience, units, offered, label, onPick }: Props) {
  const [id, setId] = useState('');
  const character = vocabulary.get(id);
  const usable = [...vocabulary.values()].filter(
    (each) => conditionsOf(each).length > 0 && !each.derived && (!offered || offered.has(each.id)),
  );
  return (
    <span className={styles['condition-picker']}>
      <select aria-label={t`${label}: character`} value={id} onChange={(event) => setId(event.target.value)}>
        <option value="">
          <Trans>choose a character</Trans>
        </option>
        {ORGANS.map(({ organ, title }) => {
          const ofOrgan = usable.filter((each) => each.organ === organ);
          return (
            ofOrgan.length > 0 && (
              <optgroup key={organ} label={inTongue(title)}>
                {ofOrgan.map((each) => (
                  <option key={each.id} value={each.id}>
                    {characterName(each, audience)}
                  </option>
                ))}
              </optgroup>
            )
          );
        })}
      </select>{' '}
      {character && (
        <select
          aria-label={t`${label}: state`}
          value=""
          onChange={(event) => {
            onPick(conditionsOf(character)[Number(event.target.value)]!);
            setId('');
          }}
        >
          <option value="">
            <Trans>choose what it shows</Trans>
          </option>
          {conditionsOf(character).map((condition, i) => (
            <option key={i} value={i}>
              {saidOf(condition, character, audience, units)}
            </option>
          ))}
        </select>
      )}
    </span>
  );
}

/** What can be said of a character in one choice: each state, or yes and no. Numbers are not offered. */
function conditionsOf(character: Character): Condition[] {
  const characterId = character.id;
  if (character.kind === 'flag') return [true, false].map((present) => ({ characterId, present }));
  if (character.anyOf)
    return character.states.flatMap(({ id }) =>
      [true, false].map((present) => ({ characterId, states: [id], present })),
    );
  return character.states.map(({ id }) => ({ characterId, states: [id] }));
}
