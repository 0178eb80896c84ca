import { useMemo } from 'react';
import { isDeciduous, pairError, pairEvidence, readingsOf, type ProfiledTaxon } from '@hurrow/core/evidence';
import { partPresent } from '@hurrow/core/season';
import { commonName } from '@hurrow/core/taxon';
import { listInWords, MEDIA, MEDIUM_TITLES, viewInWords, type Medium } from '@hurrow/core/view';
import type { Vocabulary } from '@hurrow/core/vocabulary';
import { calendarAtSite, type Course, type LibraryAnswer, useVocabulary } from '../app/data.ts';
import type { Planned } from './planned.ts';

interface StationLineProps {
  station: Planned;
  position: number;
  open: boolean;
  fixed: boolean;
  last: boolean;
  list: readonly ProfiledTaxon[];
  library: LibraryAnswer;
  course: Course;
  day: number;
  onOpen(): void;
  onMedium(medium: Medium): void;
  onMove(by: number): void;
  onRemove(): void;
}

/** One station of a plan, with what stands against it. */
export function StationLine({
  station,
  position,
  open,
  fixed,
  last,
  list,
  library,
  course,
  day,
  onOpen,
  onMedium,
  onMove,
  onRemove,
}: StationLineProps) {
  const profiled = list.find(({ taxon }) => taxon.id === station.taxonId);
  const vocabulary = useVocabulary();
  const doubts = useMemo(
    () =>
      profiled
        ? doubtsOf(profiled, station, list, library, vocabulary, course, day)
        : ['This species is not on the course’s list.'],
    [profiled, station, list, library, vocabulary, course, day],
  );
  return (
    <li className={open ? 'open' : ''}>
      <button className="station-name" onClick={onOpen} aria-expanded={open}>
        <b>{position}</b> {profiled ? commonName(profiled.taxon) : station.taxonId}
      </button>
      <select
        aria-label={`Medium of station ${position}`}
        value={station.medium}
        disabled={fixed}
        onChange={(event) => onMedium(event.target.value as Medium)}
      >
        {MEDIA.map((medium) => (
          <option key={medium} value={medium}>
            {MEDIUM_TITLES[medium]}
          </option>
        ))}
      </select>
      <span className="quiet station-view">
        {viewInWords(station.view)}
        {station.asks?.length ? (
          <>
            {'; '}
            <strong>asks for {listInWords(station.asks.map((id) => vocabulary.get(id)?.term ?? id))}</strong>
          </>
        ) : null}
      </span>
      {!fixed && (
        <span className="station-tools">
          <button
            aria-label={`Station ${position} earlier`}
            disabled={position === 1}
            onClick={() => onMove(-1)}
          >
            ↑
          </button>
          <button aria-label={`Station ${position} later`} disabled={last} onClick={() => onMove(1)}>
            ↓
          </button>
          <button aria-label={`Remove station ${position}`} onClick={onRemove}>
            ×
          </button>
        </span>
      )}
      {doubts.map((doubt) => (
        <span className="doubt gold" key={doubt}>
          {doubt}
        </span>
      ))}
    </li>
  );
}

/** What stands against a station: parts that are not there on the day, and rivals that even a careful reader cannot exclude. */
function doubtsOf(
  profiled: ProfiledTaxon,
  station: Planned,
  list: readonly ProfiledTaxon[],
  library: LibraryAnswer,
  vocabulary: Vocabulary,
  course: Course,
  day: number,
): string[] {
  const calendar = calendarAtSite(profiled.taxon.calendar, library, course);
  const deciduous = isDeciduous(profiled);
  const { organs } = station.view;
  const doubts: string[] = [];
  if (organs.includes('leaf') && !organs.includes('twig') && !partPresent('leaves', calendar, deciduous, day))
    doubts.push('It has no leaves on that date.');
  if (organs.length === 1 && organs[0] === 'fruit' && !partPresent('fruit', calendar, deciduous, day))
    doubts.push('It bears no fruit on that date.');
  const readings = readingsOf(
    list,
    vocabulary,
    { ...station.view, day },
    { reference: library.reference, site: course },
  );
  const at = list.indexOf(profiled);
  const rivals = list
    .map((other, i) => ({
      other,
      error: i === at ? 0 : pairError(pairEvidence(readings, at, i), at, i),
    }))
    .filter(({ error }) => error > 0.1)
    .sort((x, y) => y.error - x.error);
  if (rivals.length > 0) {
    const named = rivals.slice(0, 3).map(({ other }) => commonName(other.taxon));
    doubts.push(
      `Not to be told from ${named.join(', ')}${rivals.length > 3 ? ` and ${rivals.length - 3} more` : ''} by what is shown.`,
    );
  }
  if (organs.includes('twig') && profiled.taxon.cautions.length > 0)
    doubts.push(
      `Caution: ${profiled.taxon.cautions.map((caution) => `${caution.kind} (${caution.part})`).join(', ')}.`,
    );
  return doubts;
}
