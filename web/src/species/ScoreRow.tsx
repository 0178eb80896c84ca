import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { memo, useState } from 'react';
import {
  asTyped,
  FREQUENCIES,
  parseScore,
  qualifierKey,
  readQualifierKey,
  slipsOf,
  valueInWords,
  type AdoptedScore,
  type Frequency,
  type MeasureSettings,
  type ScoreProblem,
  type ScoreValue,
} from '@hurrow/core/score';
import { stateOf, type Character } from '@hurrow/core/vocabulary';
import type { Entry } from './entry.ts';
import { besideOption, holdsFor } from './holdsFor.ts';
import { StatePicture } from '../app/StatePicture.tsx';
import { READING_LINE, useLook } from './ReadingLine.tsx';
import styles from './editor.module.css';
import speciesStyles from './species.module.css';
import { useVocabulary } from '../app/data.ts';
import { LinkButton } from '../app/parts.tsx';
import ui from '../app/parts.module.css';
import { bareUnit, readAs, twoSizes } from './typed.ts';
import { afterPress, PICKS, placeOfKey, rowBeside } from './picking.ts';
import { inTongue } from '../language/inTongue.ts';
import { qualifiersInWords } from '../language/qualifiersInWords.ts';

interface ScoreRowProps {
  character: Character;
  entries: readonly Entry[];
  /** What the library adopts of this character from other sources than the one being entered. */
  adopted: readonly AdoptedScore[];
  sourceLabel(id: string): string;
  problems: readonly ScoreProblem[];
  /** What a number without a unit is in. */
  settings: MeasureSettings;
  onChange(entry: Entry): void;
}

/** Moves the focus to the row after or before; every row of the editor has one stop. */
function toRow(from: HTMLElement, by: 1 | -1): void {
  const stops = [...document.querySelectorAll<HTMLElement>('[data-stop]')];
  const row = from.closest('[data-row]');
  const rows = stops.map((stop) => stop.closest('[data-row]'));
  stops[rowBeside(rows, row, by)]?.focus();
}

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/**
 * One character in the editor: what it holds for, and its states as chips or its range as typed. A hundred rows stand in one form: a row is
 * drawn again only when what it shows has changed, so `onChange` must not rest on what it was made with.
 */
export const ScoreRow = memo(
  Row,
  (before, now) =>
    before.character === now.character &&
    same(before.entries, now.entries) &&
    same(before.adopted, now.adopted) &&
    same(before.settings, now.settings) &&
    same(before.problems, now.problems),
);

function Row({ character, entries, adopted, sourceLabel, problems, settings, onChange }: ScoreRowProps) {
  const [chosen, setChosen] = useState<string>();
  const key = chosen ?? qualifierKey(entries[0]?.qualifiers ?? {});
  const held = entries.find((entry) => qualifierKey(entry.qualifiers) === key);
  const qualifiers = held?.qualifiers ?? readQualifierKey(key);
  const entry: Entry = held ?? { characterId: character.id, qualifiers, value: null, text: '' };
  const others = entries.filter((other) => other.value && qualifierKey(other.qualifiers) !== key);
  const put = (value: ScoreValue | null, text = '') => onChange({ ...entry, value, text });
  const [noting, setNoting] = useState(false);
  const options = holdsFor(entries);
  const number = character.kind === 'measure' || character.kind === 'count';
  const keys = (event: React.KeyboardEvent<HTMLDivElement>) =>
    rowKeys(event, (back) => setChosen(besideOption(options, key, back)));
  return (
    // Keys pressed in its fields bubble up here: the row itself is no control.
    <div className={speciesStyles['score-row']} data-row="" onKeyDown={keys} role="presentation">
      <span className={speciesStyles['name']} id={`name-${character.id}`} title={character.plain}>
        {character.term}
      </span>
      <select
        aria-label={t`${character.term}: holds for`}
        value={key}
        tabIndex={-1}
        onChange={(event) => setChosen(event.target.value)}
      >
        {options.map(([label, optionKey]) => (
          <option key={optionKey} value={optionKey}>
            {label}
          </option>
        ))}
      </select>
      <div>
        {number ? (
          <Range
            key={key}
            character={character}
            entry={entry}
            settings={settings}
            put={put}
            putThere={({ characterId, text }, other) => {
              const read = parseScore(text, other, settings);
              if (read.ok) onChange({ characterId, qualifiers, value: read.value, text });
            }}
          />
        ) : (
          <Chips character={character} value={entry.value} put={put} />
        )}
        {(noting || entry.note) && (
          <Note character={character} entry={entry} onType={(note) => onChange({ ...entry, note })} />
        )}
        {others.length > 0 && (
          <p className="quiet">
            <Trans>
              Also scored for{' '}
              {others.map((other) => qualifiersInWords(other.qualifiers) || t`all`).join(', ')}.
            </Trans>
          </p>
        )}
        <Problems
          problems={problems}
          onRepair={(value) => put(value, value?.kind === 'range' ? asTyped(value, character) : '')}
        />
      </div>
      <div className={styles['adopted']}>
        {entry.value && !entry.note && !noting && (
          <LinkButton
            type="button"
            aria-label={t`Add a note on ${character.term}`}
            onClick={() => setNoting(true)}
          >
            <Trans>note</Trans>
          </LinkButton>
        )}
        <Adopted adopted={adopted} character={character} sourceLabel={sourceLabel} />
      </div>
    </div>
  );
}

function Note({
  character,
  entry,
  onType,
}: {
  character: Character;
  entry: Entry;
  onType(note: string): void;
}) {
  return (
    <input
      className={styles['note']}
      aria-label={t`Note on ${character.term}`}
      placeholder={t`what the source adds: where, how often, a page`}
      maxLength={500}
      value={entry.note ?? ''}
      onChange={(event) => onType(event.target.value)}
    />
  );
}

/** What does not fit, each with what was probably meant. */
function Problems({
  problems,
  onRepair,
}: {
  problems: readonly ScoreProblem[];
  onRepair(value: ScoreValue | null): void;
}) {
  return problems.map((problem) => (
    <p className={ui['row-problem']} role="alert" key={problem.message}>
      {problem.message}
      {[problem.repair, problem.orElse].map(
        (repair) =>
          repair && (
            <LinkButton key={repair.label} onClick={() => onRepair(repair.value)}>
              {' '}
              {repair.label}
            </LinkButton>
          ),
      )}
    </p>
  ));
}

/** What the library adopts from other sources. */
function Adopted({
  adopted,
  character,
  sourceLabel,
}: Pick<ScoreRowProps, 'adopted' | 'character' | 'sourceLabel'>) {
  return adopted.map((score) => (
    <div key={qualifierKey(score.qualifiers)}>
      {Object.keys(score.qualifiers).length > 0 && `${qualifiersInWords(score.qualifiers)}: `}
      {valueInWords(score.value, character)} ({score.from.map(sourceLabel).join(', ')})
    </div>
  ));
}

/** Keys of a row: to the next one and the one before; Alt+Q changes what it holds for. */
function rowKeys(event: React.KeyboardEvent<HTMLDivElement>, cycle: (back: boolean) => void): void {
  const from = event.target as HTMLElement;
  if (event.altKey && event.key === 'q') cycle(event.shiftKey);
  else if (from.tagName === 'BUTTON' && !from.hasAttribute('aria-pressed')) return;
  else if (from.tagName === 'SELECT' || event.ctrlKey || event.metaKey || event.altKey) return;
  else if (event.key === 'ArrowDown' || event.key === 'Enter') toRow(from, 1);
  else if (event.key === 'ArrowUp') toRow(from, -1);
  else return;
  event.preventDefault();
}

interface RangeProps {
  character: Character;
  entry: Entry;
  settings: MeasureSettings;
  put(value: ScoreValue | null, text: string): void;
  putThere(size: { characterId: string; text: string }, other: Character): void;
}

function Range({ character, entry, settings, put, putThere }: RangeProps) {
  const vocabulary = useVocabulary();
  const [text, setText] = useState(entry.text);
  const [problem, setProblem] = useState<string>();
  const [seen, setSeen] = useState(entry.text);
  // A repair or another source brings another text from outside; what is being typed stays.
  if (entry.text !== seen) {
    setSeen(entry.text);
    setText(entry.text);
    setProblem(undefined);
  }
  const type = (typed: string) => {
    setText(typed);
    setSeen(typed);
    if (!typed.trim()) {
      setProblem(undefined);
      return put(null, '');
    }
    const read = parseScore(typed, character, settings);
    setProblem(read.ok ? undefined : read.problem);
    put(read.ok ? read.value : null, typed);
  };
  const sizes = problem ? twoSizes(text, character) : undefined;
  const other = sizes && vocabulary.get(sizes.there.characterId);
  const reading = readAs(text, entry.value, character, settings.units);
  return (
    <>
      <input
        className={ui['typed']}
        data-stop=""
        aria-labelledby={`name-${character.id}`}
        aria-invalid={problem !== undefined}
        value={text}
        placeholder={character.kind === 'count' ? '5–9' : bareUnit(character, settings.units)}
        onChange={(event) => type(event.target.value)}
      />
      {reading && <span className="quiet"> {reading}</span>}
      {problem && (
        <p className={ui['row-problem']} role="alert">
          {problem}{' '}
          {sizes && other ? (
            <LinkButton
              onClick={() => {
                type(sizes.here);
                putThere(sizes.there, other);
              }}
            >
              <Trans>
                Take {sizes.here} here and {sizes.there.text} as {other.term}
              </Trans>
            </LinkButton>
          ) : (
            slipsOf(text, character).map((slip) => (
              <LinkButton key={slip.text} onClick={() => type(slip.text)}>
                <Trans>Did you mean {slip.text}?</Trans>{' '}
              </LinkButton>
            ))
          )}
        </p>
      )}
    </>
  );
}

interface ChipsProps {
  character: Character;
  value: ScoreValue | null;
  put(value: ScoreValue | null): void;
}

/** The states as chips. The key on a chip picks it; pressed again it means less often, and at last not at all. */
function Chips({ character, value, put }: ChipsProps) {
  const look = useLook();
  const states =
    character.kind === 'flag'
      ? FREQUENCIES.map((frequency) => ({ id: frequency, term: FLAG_TERMS[frequency], definition: '' }))
      : character.states;
  const frequencyOf = (id: string): Frequency | undefined =>
    value?.kind === 'flag'
      ? value.frequency === id
        ? 'always'
        : undefined
      : value?.kind === 'states'
        ? value.states.find((entry) => entry.state === id)?.frequency
        : undefined;
  const define = (id: string) => {
    const state = character.kind === 'flag' ? undefined : stateOf(character, id);
    look(state ? `${state.term}: ${state.definition}` : '');
  };
  const press = (id: string) => {
    define(id);
    put(afterPress(character, value, id));
  };
  const keys = (event: React.KeyboardEvent<HTMLDivElement>) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const picked = states[placeOfKey(event.key)];
    const chips = [...event.currentTarget.querySelectorAll('button')];
    const at = chips.indexOf(event.target as HTMLButtonElement);
    if (picked) press(picked.id);
    else if (event.key === 'ArrowRight') chips[Math.min(chips.length - 1, at + 1)]?.focus();
    else if (event.key === 'ArrowLeft') chips[Math.max(0, at - 1)]?.focus();
    else if (event.key === 'Backspace' || event.key === 'Delete') put(null);
    else return;
    event.preventDefault();
  };
  return (
    // Keys bubble up from the chips, which are the controls.
    <div className={ui['chips']} role="group" aria-labelledby={`name-${character.id}`} onKeyDown={keys}>
      {states.map((state, i) => {
        const frequency = frequencyOf(state.id);
        return (
          <button
            key={state.id}
            type="button"
            data-stop={i === 0 ? '' : undefined}
            tabIndex={i === 0 ? 0 : -1}
            aria-pressed={frequency !== undefined}
            aria-describedby={READING_LINE}
            {...(frequency
              ? { 'data-frequency': frequency, 'aria-label': `${state.term}, ${inTongue(frequency)}` }
              : {})}
            title={state.definition || stateOf(character, state.id)?.definition}
            onFocus={() => define(state.id)}
            onClick={() => press(state.id)}
          >
            <StatePicture characterId={character.id} state={state.id} />
            <kbd aria-hidden="true">{PICKS[i]}</kbd>
            {state.term}
            {frequency && frequency !== 'always' && <small>{inTongue(frequency)}</small>}
          </button>
        );
      })}
    </div>
  );
}

const FLAG_TERMS: Record<Frequency, string> = {
  always: t`yes`,
  usually: t`usually`,
  sometimes: t`sometimes`,
  rarely: t`seldom`,
  never: 'no',
};
