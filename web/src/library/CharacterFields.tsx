import { t } from '@lingui/core/macro';
import type { ReactNode } from 'react';
import {
  ORGANS,
  STANDINGS,
  type Character,
  type CharacterKind,
  type Level,
  type Organ,
  type Standing,
  type Unit,
} from '@hurrow/core/vocabulary';
import { asPercent, fromPercent, generaOf, withGroup } from './characterDraft.ts';
import styles from './library.module.css';
import { inTongue } from '../language/inTongue.ts';

const KINDS: [CharacterKind, boolean, string][] = [
  ['categorical', false, t`one of several states`],
  ['categorical', true, t`states that may occur together`],
  ['ordinal', false, t`steps in order`],
  ['flag', false, t`yes or no`],
  ['measure', false, t`a measure`],
  ['count', false, t`a count`],
];
const UNITS: Unit[] = ['mm', 'cm', 'm', '°', '%', 'years'];
const LEVELS: [Level, string][] = [
  ['beginner', t`beginner`],
  ['intermediate', t`intermediate`],
  ['advanced', t`advanced`],
];
const STANDING_TITLES: Record<Standing, string> = {
  mark: t`a mark: manuals key by it, it is said first`,
  second: t`second: it confirms`,
  supporting: t`supporting: said where nothing better serves`,
};
const DISTANCES: [Character['distance'], string][] = [
  ['afar', t`afar`],
  ['binoculars', t`binoculars`],
  ['arm', t`arm’s length`],
  ['hand', t`in the hand`],
  ['lens', t`lens`],
  ['cut', t`cut`],
];

interface Props {
  draft: Character;
  isNew: boolean;
  onChange(draft: Character): void;
}

/** Everything of a character but its states. */
export function CharacterFields({ draft, isNew, onChange }: Props) {
  const set = <K extends keyof Character>(key: K, value: Character[K]) =>
    onChange({ ...draft, [key]: value });
  return (
    <div className={styles['grid']}>
      <Text title={t`Technical term`} value={draft.term} onChange={(text) => set('term', text)} />
      <Text title={t`Plain words`} value={draft.plain} onChange={(text) => set('plain', text)} />
      <Choice
        title={t`Level`}
        value={draft.level}
        options={LEVELS}
        onChange={(level) => set('level', level)}
      />
      {isNew && <WhatItIs draft={draft} onChange={onChange} />}
      <Choice
        title={t`Standing`}
        value={draft.standing ?? 'second'}
        options={STANDINGS.map((each): [Standing, string] => [each, STANDING_TITLES[each]])}
        onChange={(standing) => set('standing', standing)}
      />
      <Text
        title={t`One step higher within these genera`}
        value={(draft.raisedWithin ?? []).join(', ')}
        onChange={(text) => set('raisedWithin', generaOf(text))}
      />
      <Choice
        title={t`Seen from`}
        value={draft.distance}
        options={DISTANCES}
        onChange={(distance) => set('distance', distance)}
      />
      {(['careful', 'novice'] as const).map((reader) => (
        <Text
          key={reader}
          title={
            reader === 'careful'
              ? t`Misread by a careful reader, % of readings`
              : t`Misread by a beginner, % of readings`
          }
          value={asPercent(draft.misread[reader])}
          numeric
          onChange={(text) => set('misread', { ...draft.misread, [reader]: fromPercent(text) })}
        />
      ))}
      <Text
        title={t`Says nearly the same as (name of a group)`}
        value={draft.group ?? ''}
        onChange={(text) => onChange(withGroup(draft, text))}
      />
    </div>
  );
}

/** What a new character is; it stays so. */
function WhatItIs({ draft, onChange }: Omit<Props, 'isNew'>) {
  return (
    <>
      <Choice
        title={t`Organ`}
        value={draft.organ}
        options={ORGANS.map(({ organ, title }): [Organ, string] => [organ, inTongue(title)])}
        onChange={(organ) => onChange({ ...draft, organ })}
      />
      <Choice
        title={t`What it is`}
        value={`${draft.kind} ${draft.anyOf}`}
        options={KINDS.map(([kind, anyOf, title]): [string, string] => [`${kind} ${anyOf}`, title])}
        onChange={(value) => {
          const [kind, anyOf] = value.split(' ');
          onChange({ ...draft, kind: kind as CharacterKind, anyOf: anyOf === 'true' });
        }}
      />
      {draft.kind === 'measure' && (
        <Choice
          title={t`Unit`}
          value={draft.unit ?? 'cm'}
          options={UNITS.map((unit): [Unit, string] => [unit, unit])}
          onChange={(unit) => onChange({ ...draft, unit })}
        />
      )}
    </>
  );
}

const Labelled = ({ title, children }: { title: string; children: ReactNode }) => (
  <label>
    <span>{title}</span>
    {children}
  </label>
);

const Text = ({
  title,
  value,
  numeric = false,
  onChange,
}: {
  title: string;
  value: string;
  numeric?: boolean;
  onChange(text: string): void;
}) => (
  <Labelled title={title}>
    <input
      value={value}
      {...(numeric ? { inputMode: 'decimal' as const } : {})}
      onChange={(event) => onChange(event.target.value)}
    />
  </Labelled>
);

const Choice = <T extends string>({
  title,
  value,
  options,
  onChange,
}: {
  title: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onChange(value: T): void;
}) => (
  <Labelled title={title}>
    <select value={value} onChange={(event) => onChange(event.target.value as T)}>
      {options.map(([each, name]) => (
        <option key={each} value={each}>
          {name}
        </option>
      ))}
    </select>
  </Labelled>
);
