import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { LibraryAnswer } from '@hurrow/contract/library';
import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { useMemo } from 'react';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { doubtsOf, needsInWords, QUESTION_TITLES, repaired } from '@hurrow/core/station';
import { commonName } from '@hurrow/core/taxon';
import { MEDIA, MEDIUM_TITLES, type Medium } from '@hurrow/core/view';
import { useVocabulary } from '../app/data.ts';
import { LinkButton } from '../app/parts.tsx';
import { questionInShort } from './asking.ts';
import { needsOf } from './needs.ts';
import type { Planned } from './planned.ts';
import { fairInWords, repairInWords } from './proposed.ts';
import type { JudgedStation } from './useJudged.ts';
import propose from './propose.module.css';
import styles from './quizzes.module.css';
import { inField } from '../language/inField.ts';
import { listInWords, viewInWords } from '../language/inWords.ts';

interface StationLineProps {
  /** By which it is known while it is dragged. */
  id: string;
  /** How fair it is; undefined while it is being worked out. */
  judged: JudgedStation | undefined;
  /** What stands against the piece that is to be cut for it. */
  piece: readonly string[];
  /** Places, from 0, of stations that stand too near it. */
  near: readonly number[];
  /** It stays when a quiz is proposed again; undefined where its view was changed by hand. */
  pinned: boolean | undefined;
  onPin(): void;
  onRepair(part: Partial<Planned>): void;
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
  id,
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
  judged,
  piece,
  near,
  pinned,
  onPin,
  onRepair,
}: StationLineProps) {
  const profiled = list.find(({ taxon }) => taxon.id === station.taxonId);
  const vocabulary = useVocabulary();
  const doubts = useMemo(
    () =>
      doubtsOf(
        { ...station, view: { ...station.view, day } },
        { list, vocabulary, policy: course.marking.policy, reference: library.reference, site: course },
        { say: inField, list: listInWords },
      ),
    [station, list, library, vocabulary, course, day],
  );
  const { setNodeRef, transform, transition, listeners, isDragging } = useSortable({ id, disabled: fixed });
  return (
    <li
      ref={setNodeRef}
      className={`${open ? styles['open'] : ''} ${isDragging ? styles['dragged'] : ''}`}
      style={{ transform: CSS.Translate.toString(transform), transition }}
    >
      {/* Whoever has no pointer moves it by its arrows. */}
      <button {...listeners} className={styles['station-name']} onClick={onOpen} aria-expanded={open}>
        <b>{position}</b> {profiled ? commonName(profiled.taxon) : station.taxonId}
      </button>
      <select
        aria-label={t`Medium of station ${position}`}
        value={station.medium}
        disabled={fixed}
        onChange={(event) => onMedium(event.target.value as Medium)}
      >
        {MEDIA.map((medium) => (
          <option key={medium} value={medium}>
            {inField(MEDIUM_TITLES[medium])}
          </option>
        ))}
      </select>
      <span className={`quiet ${styles['station-view']}`}>
        {viewInWords(station.view)}
        <Asked station={station} list={list} />
      </span>
      {!fixed && <Tools {...{ position, last, pinned, onPin, onMove, onRemove }} />}
      <Fair {...{ station, judged, list, fixed, near, onRepair }} />
      {[
        ...doubts,
        ...piece,
        ...needsInWords(judged?.without ?? [], needsOf(course.students), station.medium, inField),
      ].map((doubt) => (
        <span className={`${styles['doubt']} gold`} key={doubt}>
          {doubt}
        </span>
      ))}
    </li>
  );
}

/** Keeping a station, moving it by one place, and taking it out. */
const Tools = ({
  position,
  last,
  pinned,
  onPin,
  onMove,
  onRemove,
}: Pick<StationLineProps, 'position' | 'last' | 'pinned' | 'onPin' | 'onMove' | 'onRemove'>) => (
  <span className={styles['station-tools']}>
    {pinned !== undefined && (
      <button
        aria-label={t`Keep station ${position}`}
        aria-pressed={pinned}
        title={pinned ? t`It stays when you propose again` : t`Keep it when you propose again`}
        onClick={onPin}
      >
        {pinned ? '●' : '○'}
      </button>
    )}
    <button aria-label={t`Station ${position} earlier`} disabled={position === 1} onClick={() => onMove(-1)}>
      ↑
    </button>
    <button aria-label={t`Station ${position} later`} disabled={last} onClick={() => onMove(1)}>
      ↓
    </button>
    <button aria-label={t`Remove station ${position}`} onClick={onRemove}>
      ×
    </button>
  </span>
);

/** One sentence of fairness, and what would repair it. */
function Fair({
  station,
  judged,
  list,
  fixed,
  near,
  onRepair,
}: Pick<StationLineProps, 'station' | 'judged' | 'list' | 'fixed' | 'near' | 'onRepair'>) {
  // The line is there before what it says, so that nothing moves under a finger.
  if (!judged)
    return (
      <span className={`${propose['fair']} quiet`}>
        <Trans>Reading…</Trans>
      </span>
    );
  const nameOf = (id: string) => commonName(list.find(({ taxon }) => taxon.id === id)!.taxon);
  const { judgement, repair, easier } = judged;
  return (
    <span
      className={`${propose['fair']} ${judgement === 'fair' ? 'quiet' : judgement === 'strained' ? 'gold' : 'rust'}`}
    >
      {fairInWords(judged, nameOf, !station.question)}
      {repair && !fixed && (
        <LinkButton onClick={() => onRepair({ view: repaired(station.view, repair) })}>
          <Trans>
            {repairInWords(repair)} ({Math.round(100 * repair.right)} of 100)
          </Trans>
        </LinkButton>
      )}
      {easier && !fixed && (
        <LinkButton onClick={() => onRepair({ question: easier.question })}>
          <Trans>
            Ask for {inField(QUESTION_TITLES[easier.question.kind])} ({Math.round(100 * easier.right)} of 100)
          </Trans>
        </LinkButton>
      )}
      {near.length > 0 && (
        <span className="gold">
          <Trans>
            Too near station {listInWords(near.map((at) => String(at + 1)))}: who looks at one gets the other.
          </Trans>
        </span>
      )}
    </span>
  );
}

/** What a station asks or tells besides the name, or asks in its place. */
function Asked({ station, list }: { station: Planned; list: readonly ProfiledTaxon[] }) {
  const vocabulary = useVocabulary();
  const nameOf = (id: string) => {
    const found = list.find(({ taxon }) => taxon.id === id);
    return found ? commonName(found.taxon) : id;
  };
  const term = (id: string) => vocabulary.get(id)?.term ?? id;
  const all = station.question
    ? [questionInShort(station.question, term, nameOf)]
    : [
        ...(station.choose ? [t`four names to choose from`] : []),
        ...(station.asks?.length ? [t`asks for ${listInWords(station.asks.map(term))}`] : []),
        ...(station.wentBy ? [t`asks what they went by`] : []),
        ...(station.prompt ? [t`half are told to look at ${term(station.prompt)}`] : []),
      ];
  return all.map((one) => (
    <span key={one}>
      ; <strong>{one}</strong>
    </span>
  ));
}
