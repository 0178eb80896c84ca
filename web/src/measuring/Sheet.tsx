import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Button } from 'antd';
import { useState } from 'react';
import { sheetAsScore, sheetStatistics } from '@hurrow/core/measurement';
import { parseRange, unitFactor, valueInWords, type Qualifiers } from '@hurrow/core/score';
import type { Character } from '@hurrow/core/vocabulary';
import { organTitle } from '@hurrow/core/vocabulary';
import { call } from '../app/api.ts';
import { useVocabulary } from '../app/data.ts';
import { useDraft } from '../app/useDraft.ts';
import { BroughtBack } from '../drafts/BroughtBack.tsx';
import { useSaved } from '../library/useSaved.tsx';
import styles from './measuring.module.css';
import ui from '../app/parts.module.css';
import { useSaving } from '../app/useSaving.ts';
import { inTongue } from '../language/inTongue.ts';

/** What was measured of one character: its values as they came. */
export interface SheetRecord {
  characterId: string;
  qualifiers: Qualifiers;
  values: { value: number; photoId?: string; note?: string }[];
}

interface SheetProps {
  taxonId: string;
  taxonName: string;
  sheets: readonly SheetRecord[];
  revision: number;
  characterId: string | undefined;
  onCharacter(id: string): void;
  photoId: string | undefined;
  /** A value read off the photo; a new key means a new value. */
  measured: { value: number; key: number } | undefined;
}

const NONE: SheetRecord['values'] = [];

/** Own measurements of one character: values as they come, their statistics as one types, saved as a score. */
export function Sheet(props: SheetProps) {
  const { sheets, characterId, onCharacter } = props;
  const vocabulary = useVocabulary();
  const character = vocabulary.get(characterId ?? '');
  return (
    <aside className={styles['sheet']} aria-label={t`Measuring sheet`}>
      <label className={ui['field-line']}>
        <Trans>Character</Trans>
        <select value={characterId ?? ''} onChange={(event) => onCharacter(event.target.value)}>
          <option value="">
            <Trans>choose what you measure…</Trans>
          </option>
          {[...vocabulary.values()]
            .filter(({ kind }) => kind === 'measure' || kind === 'count')
            .map((entry) => (
              <option key={entry.id} value={entry.id}>
                {inTongue(organTitle(entry.organ))}: {entry.term}
                {sheets.some((sheet) => sheet.characterId === entry.id) ? ' ✓' : ''}
              </option>
            ))}
        </select>
      </label>
      {character ? (
        <Values key={character.id} {...props} character={character} />
      ) : (
        <p className="quiet">
          <Trans>
            Measure ten leaves of one tree rather than one: the spread is what students will meet. The 5th and
            95th percentile become the usual range.
          </Trans>
        </p>
      )}
    </aside>
  );
}

/** The values of a sheet as they are being taken down, and how they are saved. */
function useSheet({ taxonId, taxonName, sheets, revision }: SheetProps, character: Character) {
  const saved = useSaved();
  const held = sheets.find((sheet) => sheet.characterId === character.id);
  const { draft, setDraft, ...edit } = useDraft(
    `sheet/${taxonId}/${character.id}`,
    `Measured: ${character.term}, ${taxonName}`,
    held?.values ?? NONE,
    revision,
  );
  const { save: saving, problem, say } = useSaving();
  const save = () =>
    saving(
      () =>
        call('PUT /api/library/taxa/{taxonId}/sheets', {
          params: { taxonId },
          body: {
            characterId: character.id,
            qualifiers: held?.qualifiers ?? {},
            values: draft,
            baseRevision: edit.base,
          },
        }),
      {
        done: async ({ revision: written }) => {
          await saved(t`${character.term}: ${draft.length} measurements saved.`, written);
          edit.settle(written);
        },
      },
    );
  return { values: draft, setValues: setDraft, edit, save, problem, say };
}

function Values(props: SheetProps & { character: Character }) {
  const { character, photoId, measured } = props;
  const { values, setValues, edit, save, problem, say } = useSheet(props, character);
  const [text, setText] = useState('');
  const [taken, setTaken] = useState(measured?.key);
  if (measured && measured.key !== taken) {
    setTaken(measured.key);
    setValues([...values, { value: measured.value, ...(photoId ? { photoId } : {}) }]);
  }
  const typed = text.trim() ? readValue(text, character) : undefined;
  const shown = [...values.map(({ value }) => value), ...(typeof typed === 'number' ? [typed] : [])];
  const add = () => {
    if (typeof typed !== 'number') return say(typed);
    say(undefined);
    setValues([...values, { value: typed }]);
    setText('');
  };
  return (
    <>
      <label className={ui['field-line']}>
        <Trans>
          Next value{character.kind === 'measure' ? t`, in ${character.unit ?? ''} or with its unit` : ''}
        </Trans>
        <input
          value={text}
          placeholder={character.kind === 'count' ? '7' : t`4.2, or 1 3/4 in`}
          onChange={(event) => setText(event.target.value)}
          onKeyDown={(event) => event.key === 'Enter' && add()}
        />
      </label>
      {(problem ?? (typeof typed === 'string' && typed)) && (
        <p className={ui['row-problem']} role="alert">
          {problem ?? typed}
        </p>
      )}
      <BroughtBack at={edit.broughtBack} onGiveUp={edit.reset} />
      <Statistics values={shown} character={character} />
      <ol className={styles['values']}>
        {values.map(({ value, photoId: from }, i) => (
          <li key={i}>
            {inUnit(value, character)}
            {from && (
              <small className="quiet">
                {' '}
                <Trans>from a photo</Trans>
              </small>
            )}
            <button
              aria-label={t`Remove value ${i + 1}`}
              onClick={() => setValues(values.filter((_, k) => k !== i))}
            >
              ×
            </button>
          </li>
        ))}
      </ol>
      <Button type="primary" disabled={!edit.changed} onClick={() => void save()}>
        <Trans>Save the sheet</Trans>
      </Button>
    </>
  );
}

/** One value in stored units, or what is wrong with it. */
function readValue(text: string, character: Character): number | string {
  const read = parseRange(text, character);
  if (!read.ok) return read.problem;
  const { low, high } = read.value;
  if (low === undefined || low !== high)
    return t`Write one value at a time; the spread is worked out from them.`;
  return low;
}

const inUnit = (value: number, character: Character) =>
  `${Number((value / unitFactor(character)).toPrecision(3))}${character.unit && character.unit !== '1' ? ` ${character.unit}` : ''}`;

function Statistics({ values, character }: { values: readonly number[]; character: Character }) {
  const found = sheetStatistics(values);
  const score = sheetAsScore(values, character);
  if (!found || !score)
    return (
      <p className="quiet">
        <Trans>No values yet.</Trans>
      </p>
    );
  return (
    <dl className={styles['statistics']} aria-live="polite">
      <div>
        <dt>n</dt>
        <dd>{found.n}</dd>
      </div>
      <div>
        <dt>
          <Trans>mean</Trans>
        </dt>
        <dd>
          {inUnit(found.mean, character)}
          {found.n > 1 && ` ± ${inUnit(found.deviation, character)}`}
        </dd>
      </div>
      <div>
        <dt>
          <Trans>median</Trans>
        </dt>
        <dd>{inUnit(found.median, character)}</dd>
      </div>
      <div>
        <dt>
          <Trans>as a score</Trans>
        </dt>
        <dd>{valueInWords(score, character)}</dd>
      </div>
    </dl>
  );
}
