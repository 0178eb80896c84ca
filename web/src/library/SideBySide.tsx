import { Button, Select } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useRef, useState } from 'react';
import { Link } from 'react-router';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import {
  asTyped,
  parseScore,
  qualifierKey,
  qualifiersInWords,
  slipOf,
  valueInWords,
} from '@hurrow/core/score';
import { commonName } from '@hurrow/core/taxon';
import type { Character } from '@hurrow/core/vocabulary';
import { organTitle } from '@hurrow/core/vocabulary';
import { call } from '../app/api.ts';
import { courseQuery, useLibrary } from '../app/data.ts';
import { Latin } from '../app/Names.tsx';
import { useSaved } from './useSaved.tsx';
import styles from './library.module.css';
import { LinkButton, Notice, Problem } from '../app/parts.tsx';
import { useSaving } from '../app/useSaving.ts';
import { changesDown } from './bulk.ts';

const BEGINNING = ['leaf.shape', 'needle.bands', 'twig.arrangement', 'bud.scales', 'bark.surface'];

/** Any characters of all taxa side by side; one of them can be edited down the list. */
export default function SideBySide({ courseId }: { courseId: string }) {
  const { library, vocabulary, profiles } = useLibrary();
  const course = useQuery(courseQuery(courseId)).data;
  const saved = useSaved();
  const [shown, setShown] = useState(BEGINNING);
  const [onlyCourse, setOnlyCourse] = useState(true);
  const [editing, setEditing] = useState<string>();
  const [sourceId, setSourceId] = useState<string>();
  const [typed, setTyped] = useState<Record<string, string>>({});
  const { save: saving, saving: busy, problem, say } = useSaving();
  const [base, setBase] = useState(0);
  const taught = new Set(course?.sets.flatMap((set) => set.taxa) ?? []);
  const rowsShown = profiles.filter(({ taxon }) => !onlyCourse || taught.size === 0 || taught.has(taxon.id));
  const frame = useRef<HTMLDivElement>(null);
  const rows = useVirtualizer({
    count: rowsShown.length,
    getScrollElement: () => frame.current,
    estimateSize: () => 46,
    overscan: 10,
  });
  if (!library) return null;
  const source = sourceId ?? library.sources[0]!.id;
  const characters = shown.flatMap((id) => vocabulary.get(id) ?? []);
  const heldBy = (profiled: ProfiledTaxon, character: Character) =>
    library.taxa
      .find(({ taxon }) => taxon.id === profiled.taxon.id)
      ?.scores.find(
        (score) =>
          score.characterId === character.id &&
          score.sourceId === source &&
          qualifierKey(score.qualifiers) === '',
      );
  const begin = (character: Character) => {
    setEditing(character.id);
    setBase(library.revision);
    say(undefined);
    setTyped({});
  };
  const character = editing ? vocabulary.get(editing) : undefined;
  const save = async () => {
    if (!character) return;
    const read = changesDown(
      rowsShown,
      typed,
      character,
      source,
      (profiled) => heldBy(profiled, character) !== undefined,
    );
    if ('problem' in read) return say(read.problem);
    const { changes } = read;
    if (changes.length === 0) return setEditing(undefined);
    const body = { changes, baseRevision: base, summary: `${character.term} of ${changes.length} taxa` };
    void saving(() => call('POST /api/library/scores', { body }), {
      done: async ({ revision }) => {
        await saved(`${character.term}: ${changes.length} taxa saved.`, revision);
        setEditing(undefined);
        setTyped({});
      },
    });
  };
  const items = rows.getVirtualItems();
  const [before, after] = [
    items[0]?.start ?? 0,
    rows.getTotalSize() - ((items.at(-1)?.start ?? 0) + (items.at(-1)?.size ?? 0)),
  ];
  return (
    <section className={styles['side-by-side']} aria-label="Characters side by side">
      <h1>Side by side</h1>
      <div className={styles['source-line']}>
        <Select
          mode="multiple"
          aria-label="Characters to show"
          className={styles['choose']}
          value={shown}
          onChange={setShown}
          disabled={editing !== undefined}
          optionFilterProp="label"
          options={[...vocabulary.values()]
            .filter((entry) => !entry.derived)
            .map((entry) => ({ value: entry.id, label: `${organTitle(entry.organ)}: ${entry.term}` }))}
        />
        <label>
          <input
            type="checkbox"
            checked={onlyCourse}
            onChange={(event) => setOnlyCourse(event.target.checked)}
          />{' '}
          this course’s list only
        </label>
      </div>
      {character && (
        <Notice>
          Editing {character.term}, as said by{' '}
          <select
            aria-label="Source of the scores"
            value={source}
            onChange={(event) => {
              setSourceId(event.target.value);
              setTyped({});
            }}
          >
            {library.sources.map((entry) => (
              <option key={entry.id} value={entry.id}>
                {entry.label}
              </option>
            ))}
          </select>
          . Enter goes down the list; an empty field withdraws the score.{' '}
          <Button size="small" type="primary" loading={busy} onClick={() => void save()}>
            Save
          </Button>{' '}
          <Button size="small" onClick={() => setEditing(undefined)}>
            Leave without saving
          </Button>
        </Notice>
      )}
      {problem && <Problem>{problem}</Problem>}
      <div className={styles['frame']} ref={frame}>
        <table>
          <thead>
            <tr>
              <th scope="col">{rowsShown.length} taxa</th>
              {characters.map((entry) => (
                <th scope="col" key={entry.id}>
                  {organTitle(entry.organ)}: {entry.term}{' '}
                  {!editing && (
                    <LinkButton onClick={() => begin(entry)} aria-label={`Edit ${entry.term}`}>
                      edit
                    </LinkButton>
                  )}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {before > 0 && <tr style={{ height: before }} />}
            {items.map((row) => {
              const profiled = rowsShown[row.index]!;
              return (
                <tr key={profiled.taxon.id} data-index={row.index} ref={rows.measureElement}>
                  <th scope="row">
                    <Link to={`/c/${courseId}/species/${profiled.taxon.id}`}>
                      {commonName(profiled.taxon)}
                    </Link>
                    <br />
                    <Latin names={profiled.taxon} />
                  </th>
                  {characters.map((entry) => (
                    <td key={entry.id}>
                      {entry.id === editing ? (
                        <Cell
                          character={entry}
                          label={`${entry.term} of ${commonName(profiled.taxon)}`}
                          text={typed[profiled.taxon.id] ?? held(heldBy(profiled, entry), entry)}
                          onType={(text) => setTyped({ ...typed, [profiled.taxon.id]: text })}
                        />
                      ) : (
                        <Said
                          profiled={profiled}
                          character={entry}
                          audience={course?.audience}
                          units={course?.units}
                        />
                      )}
                    </td>
                  ))}
                </tr>
              );
            })}
            {after > 0 && <tr style={{ height: after }} />}
          </tbody>
        </table>
      </div>
    </section>
  );
}

const held = (score: { value: Parameters<typeof asTyped>[0] } | undefined, character: Character) =>
  score ? asTyped(score.value, character) : '';

function Said({
  profiled,
  character,
  audience,
  units,
}: {
  profiled: ProfiledTaxon;
  character: Character;
  audience?: 'technical' | 'plain' | undefined;
  units?: 'metric' | 'imperial' | undefined;
}) {
  const scores = profiled.scores.filter((score) => score.characterId === character.id);
  if (scores.length === 0) return <span className="quiet">–</span>;
  return scores.map((score, i) => (
    <span key={i}>
      {i > 0 && ' | '}
      {Object.keys(score.qualifiers).length > 0 && <i>{qualifiersInWords(score.qualifiers)}: </i>}
      {valueInWords(score.value, character, audience, units)}
    </span>
  ));
}

function Cell({
  character,
  label,
  text,
  onType,
}: {
  character: Character;
  label: string;
  text: string;
  onType(text: string): void;
}) {
  const wrong = text.trim() !== '' && !parseScore(text, character).ok;
  const slip = wrong ? slipOf(text, character) : undefined;
  return (
    <>
      <input
        data-down=""
        aria-label={label}
        aria-invalid={wrong}
        value={text}
        onChange={(event) => onType(event.target.value)}
        onKeyDown={(event) => {
          if (event.key !== 'Enter' && event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return;
          event.preventDefault();
          const all = [...document.querySelectorAll<HTMLInputElement>('input[data-down]')];
          all[all.indexOf(event.currentTarget) + (event.key === 'ArrowUp' ? -1 : 1)]?.focus();
        }}
      />
      {slip && <LinkButton onClick={() => onType(slip.text)}>{slip.text}?</LinkButton>}
    </>
  );
}
