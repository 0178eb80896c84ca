import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useQuery } from '@tanstack/react-query';
import { useState, type KeyboardEvent } from 'react';
import { useNavigate } from 'react-router';
import type { ConfusedPair } from '@hurrow/core/confusion';
import { MEDIUM_VIEWS } from '@hurrow/core/view';
import { courseQuery, useLibrary } from '../app/data.ts';
import { useFieldDate } from '../app/fieldDate.tsx';
import { LEVELS } from '../lookalikes/setting.ts';
import { useWork } from '../workers/useWork.ts';
import { Working } from '../workers/Working.tsx';
import { drawnOf, saysAt, sideOf, stepped, type Square } from './matrix.ts';
import type { Names } from './useNames.ts';
import styles from './confusions.module.css';

interface PairMatrixProps {
  courseId: string;
  directed: readonly ConfusedPair[];
  /** Taxa that were asked. */
  asked: ReadonlySet<string>;
  names: Names;
}

const LABELS = 148;

/** Truth by answer, likes standing together: a row a tree that was asked or named, a square the larger the oftener. */
export function PairMatrix({ courseId, directed, asked, names }: PairMatrixProps) {
  const go = useNavigate();
  const { library, every } = useLibrary();
  const course = useQuery(courseQuery(courseId)).data;
  const { day } = useFieldDate();
  const [at, setAt] = useState({ row: 0, column: 0 });
  const wanted = new Set([...asked, ...directed.flatMap(({ truth, answer }) => [truth, answer])]);
  const taxa = every.map(({ taxon }) => taxon.id).filter((id) => wanted.has(id));
  const site = course && {
    latitude: course.latitude,
    longitude: course.longitude,
    elevation: course.elevation,
  };
  const work = useWork(
    ['likenessOrder', library?.id, library?.revision, library?.tag, taxa, day, site],
    (held) =>
      held.likenessOrder({
        revision: library!.revision,
        tag: library!.tag,
        taxa,
        levels: LEVELS,
        view: { ...MEDIUM_VIEWS.cutting, day, qualifiers: { plantAge: 'mature' } },
        options: { reference: library!.reference, ...(site ? { site } : {}) },
      }),
    library !== undefined && taxa.length > 0,
  );
  const order = work.result;
  if (!order) return <Working work={work} what={t`Putting likes together…`} />;
  const open = ({ row, column }: Square) =>
    row !== column && void go(`/c/${courseId}/confusions/${order[row]}/${order[column]}`);
  const press = (event: KeyboardEvent) => {
    const next = stepped(at, event.key, order.length);
    if (next) {
      event.preventDefault();
      setAt(next);
    }
    if (event.key === 'Enter') open(at);
  };
  return (
    <div className={styles['matrix-layout']}>
      <div
        className={styles['confusion-matrix']}
        tabIndex={0}
        role="application"
        aria-label={t`Confusions of ${order.length} trees`}
        aria-describedby="matrix-help"
        onKeyDown={press}
      >
        <Drawing order={order} directed={directed} at={at} names={names} onPoint={setAt} onOpen={open} />
      </div>
      <div>
        <p className="quiet" id="matrix-help">
          <Trans>
            Rows are the trees shown, columns the names given, likes together. The larger a square, the larger
            the share of the row’s answers. Arrow keys move, Enter opens the pair; the list says the same in
            words.
          </Trans>
        </p>
        <p aria-live="polite" className={styles['matrix-says']}>
          {saysAt(at, order, directed, names.taxon)}
        </p>
      </div>
    </div>
  );
}

interface DrawingProps {
  order: readonly string[];
  directed: readonly ConfusedPair[];
  at: Square;
  names: Names;
  onPoint(square: Square): void;
  onOpen(square: Square): void;
}

function Drawing({ order, directed, at, names, onPoint, onOpen }: DrawingProps) {
  const size = sideOf(order.length);
  const side = size * order.length;
  const from = (i: number) => LABELS + i * size;
  return (
    <svg width={LABELS + side + 2} height={LABELS + side + 2} aria-hidden="true">
      {order.map((id, i) => (
        <g key={id} className={at.row === i || at.column === i ? styles['at'] : ''}>
          <text
            x={LABELS - 5}
            y={from(i) + size * 0.75}
            textAnchor="end"
            fontSize={Math.min(12.5, size)}
            fontWeight={at.row === i ? 600 : 400}
          >
            {names.taxon(id)}
          </text>
          <text
            transform={`translate(${from(i) + size * 0.75} ${LABELS - 5}) rotate(-90)`}
            fontSize={Math.min(12.5, size)}
            fontWeight={at.column === i ? 600 : 400}
          >
            {names.taxon(id)}
          </text>
          <rect x={from(i)} y={from(i)} width={size} height={size} fill="var(--line)" />
        </g>
      ))}
      <rect x={LABELS} y={LABELS} width={side} height={side} fill="none" stroke="var(--line-2)" />
      {[...order.keys()]
        .filter((i) => i % 5 === 0 && i > 0)
        .map((i) => (
          <g key={i} stroke="var(--line)">
            <line x1={LABELS} x2={LABELS + side} y1={from(i)} y2={from(i)} />
            <line y1={LABELS} y2={LABELS + side} x1={from(i)} x2={from(i)} />
          </g>
        ))}
      {drawnOf(directed, order, size).map(({ pair, row, column, width }) => (
        <rect
          key={`${pair.truth} ${pair.answer}`}
          className={styles['cell']}
          x={from(column) + (size - width) / 2}
          y={from(row) + (size - width) / 2}
          width={width}
          height={width}
          fill="var(--rust)"
          onMouseEnter={() => onPoint({ row, column })}
          onClick={() => onOpen({ row, column })}
        />
      ))}
      <rect
        x={from(at.column) - 0.5}
        y={from(at.row) - 0.5}
        width={size + 1}
        height={size + 1}
        fill="none"
        stroke="var(--action)"
        strokeWidth={2}
      />
    </svg>
  );
}
