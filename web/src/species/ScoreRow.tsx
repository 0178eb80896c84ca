import { useState } from 'react';
import {
  asTyped,
  FREQUENCIES,
  parseScore,
  qualifierKey,
  qualifiersInWords,
  type Frequency,
  type Qualifiers,
  type ScoreProblem,
  type ScoreValue,
} from '@hurrow/core/score';
import { stateOf, type Character } from '@hurrow/core/vocabulary';
import type { Entry } from './entry.ts';

const QUALIFIERS: [string, Qualifiers][] = [
  ['in general', {}],
  ['young', { plantAge: 'young' }],
  ['mature', { plantAge: 'mature' }],
  ['old', { plantAge: 'old' }],
  ['sun leaves', { light: 'sun' }],
  ['shade leaves', { light: 'shade' }],
  ['male', { sex: 'male' }],
  ['female', { sex: 'female' }],
  ['sprouts', { shoot: 'sprout' }],
  ['spur shoots', { shoot: 'spur' }],
  ['open-grown', { setting: 'open' }],
  ['forest-grown', { setting: 'forest' }],
];

interface ScoreRowProps {
  character: Character;
  entries: readonly Entry[];
  problems: readonly ScoreProblem[];
  onChange(entry: Entry): void;
}

/** One character in the editor: its qualifier, and its states as chips or its range as typed. */
export function ScoreRow({ character, entries, problems, onChange }: ScoreRowProps) {
  const [chosen, setChosen] = useState<string>();
  const key = chosen ?? qualifierKey(entries[0]?.qualifiers ?? {});
  const held = entries.find((entry) => qualifierKey(entry.qualifiers) === key);
  const qualifiers = held?.qualifiers ?? QUALIFIERS.find(([, q]) => qualifierKey(q) === key)?.[1] ?? {};
  const entry: Entry = held ?? { characterId: character.id, qualifiers, value: null, text: '' };
  const others = entries.filter((other) => other.value && qualifierKey(other.qualifiers) !== key);
  const put = (value: ScoreValue | null, text = '') => onChange({ ...entry, value, text });
  return (
    <div className="score-row">
      <span className="name" id={`name-${character.id}`} title={character.plain}>
        {character.term}
      </span>
      <select
        aria-label={`${character.term}: holds for`}
        value={key}
        onChange={(event) => setChosen(event.target.value)}
      >
        {QUALIFIERS.map(([label, q]) => (
          <option key={label} value={qualifierKey(q)}>
            {label}
          </option>
        ))}
        {entries
          .filter((other) => !QUALIFIERS.some(([, q]) => qualifierKey(q) === qualifierKey(other.qualifiers)))
          .map((other) => (
            <option key={qualifierKey(other.qualifiers)} value={qualifierKey(other.qualifiers)}>
              {qualifiersInWords(other.qualifiers)}
            </option>
          ))}
      </select>
      <div>
        {character.kind === 'measure' || character.kind === 'count' ? (
          <Range character={character} entry={entry} put={put} />
        ) : (
          <Chips character={character} value={entry.value} put={put} />
        )}
        {others.length > 0 && (
          <p className="quiet">
            Also scored for {others.map((other) => qualifiersInWords(other.qualifiers) || 'all').join(', ')}.
          </p>
        )}
        {problems.map((problem) => (
          <p className="row-problem" role="alert" key={problem.message}>
            {problem.message}{' '}
            {problem.repair && (
              <button
                className="link"
                type="button"
                onClick={() => {
                  const { value } = problem.repair!;
                  put(value, value ? asTyped(value, character) : '');
                }}
              >
                {problem.repair.label}
              </button>
            )}
          </p>
        ))}
      </div>
    </div>
  );
}

function Range({
  character,
  entry,
  put,
}: {
  character: Character;
  entry: Entry;
  put(value: ScoreValue | null, text: string): void;
}) {
  const [text, setText] = useState(entry.text);
  const [problem, setProblem] = useState<string>();
  const [seen, setSeen] = useState(entry.text);
  // A repair or another source brings another text from outside; what is being typed stays.
  if (entry.text !== seen) {
    setSeen(entry.text);
    setText(entry.text);
  }
  const type = (typed: string) => {
    setText(typed);
    setSeen(typed);
    if (!typed.trim()) {
      setProblem(undefined);
      return put(null, '');
    }
    const read = parseScore(typed, character);
    setProblem(read.ok ? undefined : read.problem);
    put(read.ok ? read.value : null, typed);
  };
  return (
    <>
      <input
        className="typed"
        aria-labelledby={`name-${character.id}`}
        aria-invalid={problem !== undefined}
        value={text}
        placeholder={character.kind === 'count' ? '5–9' : character.unit === '1' ? '' : character.unit}
        onChange={(event) => type(event.target.value)}
      />
      {problem && (
        <p className="row-problem" role="alert">
          {problem}
        </p>
      )}
    </>
  );
}

function Chips({
  character,
  value,
  put,
}: {
  character: Character;
  value: ScoreValue | null;
  put(value: ScoreValue | null): void;
}) {
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
  const press = (id: string) => {
    if (character.kind === 'flag')
      return put(frequencyOf(id) ? null : { kind: 'flag', frequency: id as Frequency });
    const list = value?.kind === 'states' ? value.states : [];
    const next = following(frequencyOf(id), character.anyOf);
    const rest = list.filter((entry) => entry.state !== id);
    const kept = list.some((entry) => entry.state === id)
      ? list.flatMap((entry) => (entry.state !== id ? [entry] : next ? [{ state: id, frequency: next }] : []))
      : [...rest, { state: id, frequency: next! }];
    put(
      kept.length
        ? { ...(value?.kind === 'states' ? value : { kind: 'states' as const }), states: kept }
        : null,
    );
  };
  return (
    <div className="chips" role="group" aria-labelledby={`name-${character.id}`}>
      {states.map((state) => {
        const frequency = frequencyOf(state.id);
        return (
          <button
            key={state.id}
            type="button"
            aria-pressed={frequency !== undefined}
            {...(frequency ? { 'data-frequency': frequency } : {})}
            title={state.definition || stateOf(character, state.id)?.definition}
            onClick={() => press(state.id)}
          >
            {state.term}
            {frequency && frequency !== 'always' && <small>{frequency}</small>}
          </button>
        );
      })}
    </div>
  );
}

const FLAG_TERMS: Record<Frequency, string> = {
  always: 'yes',
  usually: 'usually',
  sometimes: 'sometimes',
  rarely: 'seldom',
  never: 'no',
};

/** Next frequency on pressing a state again; only any-of characters say that a state is never there. */
function following(frequency: Frequency | undefined, anyOf: boolean): Frequency | undefined {
  const order: Frequency[] = anyOf ? [...FREQUENCIES] : FREQUENCIES.filter((f) => f !== 'never');
  if (!frequency) return 'always';
  return order[order.indexOf(frequency) + 1];
}
