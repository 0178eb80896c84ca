import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { LibraryAnswer } from '@hurrow/contract/library';
import { Button, Select } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useRef, useState } from 'react';
import { Link } from 'react-router';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { asTyped, parseScore, slipsOf, valueInWords, type UnitSystem } from '@hurrow/core/score';
import { commonName } from '@hurrow/core/taxon';
import type { Character } from '@hurrow/core/vocabulary';
import { organTitle } from '@hurrow/core/vocabulary';
import { courseQuery, useLibrary } from '../app/data.ts';
import { Latin } from '../app/Names.tsx';
import { BroughtBack } from '../drafts/BroughtBack.tsx';
import { useColumn } from './useColumn.ts';
import styles from './library.module.css';
import { LinkButton, Notice, Problem } from '../app/parts.tsx';
import { inTongue } from '../language/inTongue.ts';
import { qualifiersInWords } from '../language/qualifiersInWords.ts';

const BEGINNING = ['leaf.shape', 'needle.bands', 'twig.arrangement', 'bud.scales', 'bark.surface'];

/** Any characters of all taxa side by side; one of them can be edited down the list. */
export default function SideBySide({ courseId }: { courseId: string }) {
  const { library, vocabulary, profiles } = useLibrary();
  const course = useQuery(courseQuery(courseId)).data;
  const column = useColumn(library, profiles, vocabulary, course?.units);
  const { character } = column;
  const [shown, setShown] = useState(BEGINNING);
  const [onlyCourse, setOnlyCourse] = useState(true);
  const taught = new Set(course?.sets.flatMap((set) => set.taxa) ?? []);
  const rowsShown = profiles.filter(({ taxon }) => !onlyCourse || taught.size === 0 || taught.has(taxon.id));
  if (!library) return null;
  // A column that was brought back is shown, whichever others are.
  const ids = !character || shown.includes(character.id) ? shown : [...shown, character.id];
  const characters = ids.flatMap((id) => vocabulary.get(id) ?? []);
  return (
    <section className={styles['side-by-side']} aria-label={t`Characters side by side`}>
      <h1>
        <Trans>Side by side</Trans>
      </h1>
      <div className={styles['source-line']}>
        <Select
          mode="multiple"
          aria-label={t`Characters to show`}
          className={styles['choose']}
          value={ids}
          onChange={setShown}
          disabled={character !== undefined}
          optionFilterProp="label"
          options={[...vocabulary.values()]
            .filter((entry) => !entry.derived)
            .map((entry) => ({
              value: entry.id,
              label: `${inTongue(organTitle(entry.organ))}: ${entry.term}`,
            }))}
        />
        <label>
          <input
            type="checkbox"
            checked={onlyCourse}
            onChange={(event) => setOnlyCourse(event.target.checked)}
          />{' '}
          <Trans>this course’s list only</Trans>
        </label>
      </div>
      {character && <Editing column={column} term={character.term} sources={library.sources} />}
      <BroughtBack at={column.broughtBack} onGiveUp={column.close} />
      {column.problem && <Problem>{column.problem}</Problem>}
      <Table {...{ courseId, profiled: rowsShown, characters, column, course }} />
    </section>
  );
}

type Column = ReturnType<typeof useColumn>;

interface TableProps {
  courseId: string;
  profiled: readonly ProfiledTaxon[];
  characters: Character[];
  column: Column;
  course: WholeCourse | undefined;
}

/** Rows are there while they are in sight: a library of a thousand taxa scrolls like one of forty. */
function Table({ courseId, profiled, characters, column, course }: TableProps) {
  const frame = useRef<HTMLDivElement>(null);
  const rows = useVirtualizer({
    count: profiled.length,
    getScrollElement: () => frame.current,
    estimateSize: () => 46,
    overscan: 10,
  });
  const items = rows.getVirtualItems();
  const [before, after] = [
    items[0]?.start ?? 0,
    rows.getTotalSize() - ((items.at(-1)?.start ?? 0) + (items.at(-1)?.size ?? 0)),
  ];
  return (
    <div className={styles['frame']} ref={frame}>
      <table>
        <thead>
          <tr>
            <th scope="col">
              <Trans>{profiled.length} taxa</Trans>
            </th>
            {characters.map((entry) => (
              <th scope="col" key={entry.id}>
                {inTongue(organTitle(entry.organ))}: {entry.term}{' '}
                {!column.character && (
                  <LinkButton onClick={() => column.begin(entry.id)} aria-label={t`Edit ${entry.term}`}>
                    <Trans>edit</Trans>
                  </LinkButton>
                )}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {before > 0 && <tr style={{ height: before }} />}
          {items.map((row) => {
            const each = profiled[row.index]!;
            return (
              <Row
                key={each.taxon.id}
                index={row.index}
                measure={rows.measureElement}
                profiled={each}
                to={`/c/${courseId}/species/${each.taxon.id}`}
                characters={characters}
                column={column}
                course={course}
              />
            );
          })}
          {after > 0 && <tr style={{ height: after }} />}
        </tbody>
      </table>
    </div>
  );
}

/** What is said while a column is edited, and its end. */
function Editing({
  column,
  term,
  sources,
}: {
  column: Column;
  term: string;
  sources: LibraryAnswer['sources'];
}) {
  return (
    <Notice>
      <Trans>Editing {term}, as said by</Trans>{' '}
      <select
        aria-label={t`Source of the scores`}
        value={column.source}
        disabled={Object.keys(column.typed).length > 0}
        onChange={(event) => column.ofSource(event.target.value)}
      >
        {sources.map((entry) => (
          <option key={entry.id} value={entry.id}>
            {entry.label}
          </option>
        ))}
      </select>
      <Trans>. Enter goes down the list; an empty field withdraws the score.</Trans>{' '}
      <Button size="small" type="primary" loading={column.busy} onClick={column.save}>
        <Trans>Save</Trans>
      </Button>{' '}
      <Button size="small" onClick={column.close}>
        <Trans>Leave without saving</Trans>
      </Button>
    </Notice>
  );
}

/** One taxon with what is said of each character; the column that is edited has a field. */
function Row({
  index,
  measure,
  profiled,
  to,
  characters,
  column,
  course,
}: {
  index: number;
  measure: (row: HTMLTableRowElement | null) => void;
  profiled: ProfiledTaxon;
  to: string;
  characters: readonly Character[];
  column: Column;
  course: Pick<WholeCourse, 'audience' | 'units'> | undefined;
}) {
  const { taxon } = profiled;
  return (
    <tr data-index={index} ref={measure}>
      <th scope="row">
        <Link to={to}>{commonName(taxon)}</Link>
        <br />
        <Latin names={taxon} />
      </th>
      {characters.map((entry) => (
        <td key={entry.id}>
          {entry === column.character ? (
            <Cell
              character={entry}
              label={t`${entry.term} of ${commonName(taxon)}`}
              units={course?.units ?? 'metric'}
              text={column.typed[taxon.id] ?? held(column.heldBy(taxon.id), entry)}
              onType={(text) => column.type(taxon.id, text)}
            />
          ) : (
            <Said profiled={profiled} character={entry} audience={course?.audience} units={course?.units} />
          )}
        </td>
      ))}
    </tr>
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
  units?: UnitSystem | undefined;
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
  units,
  onType,
}: {
  character: Character;
  label: string;
  text: string;
  units: UnitSystem;
  onType(text: string): void;
}) {
  const wrong = text.trim() !== '' && !parseScore(text, character, { units }).ok;
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
      {wrong &&
        slipsOf(text, character).map((slip) => (
          <LinkButton key={slip.text} onClick={() => onType(slip.text)}>
            {slip.text}?{' '}
          </LinkButton>
        ))}
    </>
  );
}
