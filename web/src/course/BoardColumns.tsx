import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import { useDraggable, useDroppable } from '@dnd-kit/core';
import { CSS } from '@dnd-kit/utilities';
import { memo, useEffect, useMemo, useRef, useState, type CSSProperties, type RefObject } from 'react';
import { Link } from 'react-router';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { dayOfYear, wrapDay } from '@hurrow/core/season';
import type { Prospects, TermWishes } from '@hurrow/core/term';
import { commonName } from '@hurrow/core/taxon';
import { useLibrary } from '../app/data.ts';
import { useTurn } from '../app/useTurn.ts';
import { arcsOf, BOARD, heightOf, lookalikesOf, placesOf, setsIn } from './board.ts';
import type { Draft } from './gathered.ts';
import type { TreeSetting } from '../workers/pictures.ts';
import { useSmallPlate } from './smallPlate.ts';
import styles from './board.module.css';
import { dayLabel } from '../language/inWords.ts';

interface Props {
  course: WholeCourse;
  sets: Draft[];
  prospects: Prospects | undefined;
  pins: TermWishes['pins'];
  lookedAt: string | undefined;
  onLookAt(taxonId: string | undefined): void;
  onKey(taxonId: string, key: string): void;
}

interface InColumns extends Omit<Props, 'prospects'> {
  /** Trees that are taken for the one looked at. */
  alike: ReadonlySet<string>;
  /** Asked for once, not by each of forty trees. */
  read: Pick<ReturnType<typeof useLibrary>, 'library' | 'vocabulary' | 'profileOf'>;
  /** Trees that the board has shown: moved to another week they are there at once. */
  shown: Set<string>;
  /** The tree that was moved by a key: in another column it is another button, which takes the focus. */
  keyed: RefObject<string | undefined>;
}

/** The weeks as columns, each tree a plate drawn as it stands in its week, bows between lookalikes. */
export const BoardColumns = memo(function BoardColumns(given: Props) {
  const keyed = useRef<string>(undefined);
  const { prospects, ...told } = given;
  const { course, sets, lookedAt } = told;
  const alike = useMemo(() => lookalikesOf(lookedAt, prospects), [lookedAt, prospects]);
  const { library, vocabulary, profileOf } = useLibrary();
  const read = useMemo(() => ({ library, vocabulary, profileOf }), [library, vocabulary, profileOf]);
  const [shown] = useState(() => new Set<string>());
  const props: InColumns = { ...told, alike, read, shown, keyed };
  const weeks = Array.from({ length: course.weeks }, (_, i) => i + 1);
  const unplaced = setsIn(sets, null);
  const arcs = useMemo(
    () => (prospects ? arcsOf(placesOf(sets, course.weeks), prospects, lookedAt) : []),
    [sets, course.weeks, prospects, lookedAt],
  );
  const size = { width: course.weeks * BOARD.column, height: heightOf(sets, course.weeks) };
  return (
    <>
      {unplaced.some(({ set }) => set.taxa.length > 0) && (
        <div className={styles['unplaced']}>
          <strong>
            <Trans>In no week yet</Trans>
          </strong>
          {unplaced
            .flatMap(({ set }) => set.taxa)
            .map((id) => (
              <Plate key={id} {...props} taxonId={id} day={dayOfYear(course.startsOn)} small />
            ))}
        </div>
      )}
      <div className={styles['scroll']} tabIndex={-1}>
        <div className={styles['board']} style={size}>
          {weeks.map((week) => (
            <Column key={week} {...props} week={week} />
          ))}
          <svg className={styles['arcs']} width={size.width} height={size.height} aria-hidden="true">
            {arcs.map(({ a, b, d, across }) => (
              <path key={`${a} ${b}`} d={d} className={across ? styles['across'] : styles['within']} />
            ))}
          </svg>
        </div>
      </div>
    </>
  );
});

/** A drawing is made so many times larger than it is shown: its margins do not shrink with it. */
const REDUCED = 3;

const Column = memo(function Column(props: InColumns & { week: number }) {
  const { course, sets, week } = props;
  const { setNodeRef, isOver } = useDroppable({ id: week });
  const first = wrapDay(dayOfYear(course.startsOn) + 7 * (week - 1));
  const closed = course.closedWeeks.includes(week);
  return (
    <section
      ref={setNodeRef}
      className={styles['column']}
      data-over={isOver}
      data-closed={closed}
      aria-label={t`Week ${week}`}
      style={{ left: (week - 1) * BOARD.column, width: BOARD.column }}
    >
      <header style={{ height: BOARD.head }}>
        <strong>{week}</strong>
        <span>{dayLabel(first)}</span>
        {closed && (
          <span className="gold">
            <Trans>no lesson</Trans>
          </span>
        )}
      </header>
      {setsIn(sets, week).map(({ set, at }) => (
        <div key={set.id ?? `new ${at}`}>
          <h2 style={{ height: BOARD.title }}>
            {set.id ? (
              <Link to={`/c/${course.id}/course/lesson/${set.id}`} title={t`Its lesson`}>
                {set.title || t`Untitled`}
              </Link>
            ) : (
              set.title
            )}
          </h2>
          {set.taxa.map((id) => (
            <Plate key={id} {...props} taxonId={id} day={wrapDay(first + 3)} />
          ))}
        </div>
      ))}
    </section>
  );
});

function Plate(props: InColumns & { taxonId: string; day: number; small?: boolean }) {
  const { library, profileOf } = props.read;
  const known = props.shown.has(props.taxonId);
  // Forty plates at once would hold up a slow processor.
  const come = useTurn(library !== undefined && !known);
  if (!known && !come) return <div style={{ height: BOARD.plate, marginBottom: BOARD.gap }} />;
  const profiled = profileOf(props.taxonId);
  return profiled ? <DrawnPlate {...props} profiled={profiled} /> : null;
}

function DrawnPlate({
  course,
  pins,
  lookedAt,
  onLookAt,
  onKey,
  taxonId,
  day,
  profiled,
  alike,
  read: { library, vocabulary },
  shown,
  keyed,
}: InColumns & { taxonId: string; day: number; profiled: ProfiledTaxon }) {
  const button = useRef<HTMLButtonElement>(null);
  useEffect(() => void shown.add(taxonId), [shown, taxonId]);
  useEffect(() => {
    if (keyed.current === taxonId) button.current?.focus();
  }, [keyed, taxonId]);
  const { attributes, listeners, setNodeRef, transform, isDragging } = useDraggable({ id: taxonId });
  const { units, latitude, longitude, elevation } = course;
  const setting = useMemo<TreeSetting>(
    () => ({
      units,
      reference: library!.reference,
      site: { latitude, longitude, elevation },
      day,
      width: REDUCED * (BOARD.column - 18),
      height: REDUCED * (BOARD.plate - 30),
      reduced: REDUCED,
    }),
    [units, latitude, longitude, elevation, library, day],
  );
  const picture = useSmallPlate(profiled, vocabulary, setting);
  const place: CSSProperties = {
    height: BOARD.plate,
    marginBottom: BOARD.gap,
    ...(transform ? { transform: CSS.Translate.toString(transform), zIndex: 5 } : {}),
  };
  const name = commonName(profiled.taxon);
  const isPinned = pins.some((pin) => pin.taxonId === taxonId);
  return (
    <button
      ref={(node) => {
        setNodeRef(node);
        button.current = node;
      }}
      {...attributes}
      {...listeners}
      type="button"
      className={styles['plate']}
      style={place}
      data-looked={lookedAt === taxonId}
      data-alike={alike.has(taxonId)}
      data-dragging={isDragging}
      aria-roledescription={t`tree on the board`}
      aria-label={`${name}${isPinned ? t`, pinned` : ''}`}
      onFocus={() => onLookAt(taxonId)}
      onClick={() => onLookAt(taxonId)}
      onKeyDown={(event) => {
        if ([',', '.', '<', '>', 'p', 'Delete'].includes(event.key)) {
          event.preventDefault();
          event.stopPropagation();
          keyed.current = taxonId;
          onKey(taxonId, event.key);
        }
      }}
    >
      <span className={styles['drawn']}>{picture && <img src={picture} alt="" draggable={false} />}</span>
      <span className={styles['name']}>
        {isPinned && <span title={t`pinned`}>● </span>}
        {name}
      </span>
    </button>
  );
}
