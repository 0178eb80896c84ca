import type { WholeCourse } from '@hurrow/contract/courses';
import type { LibraryAnswer } from '@hurrow/contract/library';
import { useMemo } from 'react';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { doubtsOf } from '@hurrow/core/station';
import { commonName } from '@hurrow/core/taxon';
import { listInWords, MEDIA, MEDIUM_TITLES, viewInWords, type Medium } from '@hurrow/core/view';
import { useVocabulary } from '../app/data.ts';
import type { Planned } from './planned.ts';
import styles from './quizzes.module.css';

interface StationLineProps {
  station: Planned;
  position: number;
  open: boolean;
  fixed: boolean;
  last: boolean;
  list: readonly ProfiledTaxon[];
  library: LibraryAnswer;
  course: WholeCourse;
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
      doubtsOf(
        { ...station, view: { ...station.view, day } },
        { list, vocabulary, reference: library.reference, site: course },
      ),
    [station, list, library, vocabulary, course, day],
  );
  return (
    <li className={open ? styles['open'] : ''}>
      <button className={styles['station-name']} onClick={onOpen} aria-expanded={open}>
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
      <span className={`quiet ${styles['station-view']}`}>
        {viewInWords(station.view)}
        <Asked station={station} />
      </span>
      {!fixed && (
        <span className={styles['station-tools']}>
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
        <span className={`${styles['doubt']} gold`} key={doubt}>
          {doubt}
        </span>
      ))}
    </li>
  );
}

/** What a station asks or tells besides the name. */
function Asked({ station }: { station: Planned }) {
  const vocabulary = useVocabulary();
  const term = (id: string) => vocabulary.get(id)?.term ?? id;
  const all = [
    ...(station.asks?.length ? [`asks for ${listInWords(station.asks.map(term))}`] : []),
    ...(station.wentBy ? ['asks what they went by'] : []),
    ...(station.prompt ? [`half are told to look at ${term(station.prompt)}`] : []),
  ];
  return all.map((one) => (
    <span key={one}>
      ; <strong>{one}</strong>
    </span>
  ));
}
