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
import { percent, type Names } from './useNames.ts';
import styles from './confusions.module.css';

interface PairMatrixProps {
  courseId: string;
  directed: readonly ConfusedPair[];
  /** Taxa that were asked. */
  asked: ReadonlySet<string>;
  names: Names;
}

const LABELS = 148;
const STEPS: Record<string, [number, number]> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
};

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
  if (!order) return <Working work={work} what="Putting likes together…" />;
  const place = new Map(order.map((id, i) => [id, i]));
  const size = Math.max(9, Math.min(18, Math.floor(540 / order.length)));
  const most = Math.max(0.01, ...directed.map(({ rate }) => rate));
  const cell = (row: number, column: number) =>
    directed.find(({ truth, answer }) => truth === order[row] && answer === order[column]);
  const open = (row: number, column: number) =>
    row !== column && void go(`/c/${courseId}/confusions/${order[row]}/${order[column]}`);
  const press = (event: KeyboardEvent) => {
    const step = STEPS[event.key];
    if (step) {
      event.preventDefault();
      const within = (i: number) => Math.min(order.length - 1, Math.max(0, i));
      setAt({ row: within(at.row + step[0]), column: within(at.column + step[1]) });
    }
    if (event.key === 'Enter') open(at.row, at.column);
  };
  const side = size * order.length;
  const held = cell(at.row, at.column);
  const [truth, answer] = [names.taxon(order[at.row]!), names.taxon(order[at.column]!)];
  return (
    <div className={styles['matrix-layout']}>
      <div
        className={styles['confusion-matrix']}
        tabIndex={0}
        role="application"
        aria-label={`Confusions of ${order.length} trees`}
        aria-describedby="matrix-help"
        onKeyDown={press}
      >
        <svg width={LABELS + side + 2} height={LABELS + side + 2} aria-hidden="true">
          {order.map((id, i) => (
            <g key={id} className={at.row === i || at.column === i ? styles['at'] : ''}>
              <text
                x={LABELS - 5}
                y={LABELS + i * size + size * 0.75}
                textAnchor="end"
                fontSize={Math.min(12.5, size)}
                fontWeight={at.row === i ? 600 : 400}
              >
                {names.taxon(id)}
              </text>
              <text
                transform={`translate(${LABELS + i * size + size * 0.75} ${LABELS - 5}) rotate(-90)`}
                fontSize={Math.min(12.5, size)}
                fontWeight={at.column === i ? 600 : 400}
              >
                {names.taxon(id)}
              </text>
              <rect
                x={LABELS + i * size}
                y={LABELS + i * size}
                width={size}
                height={size}
                fill="var(--line)"
              />
            </g>
          ))}
          <rect x={LABELS} y={LABELS} width={side} height={side} fill="none" stroke="var(--line-2)" />
          {[...Array(order.length).keys()]
            .filter((i) => i % 5 === 0 && i > 0)
            .map((i) => (
              <g key={i} stroke="var(--line)">
                <line x1={LABELS} x2={LABELS + side} y1={LABELS + i * size} y2={LABELS + i * size} />
                <line y1={LABELS} y2={LABELS + side} x1={LABELS + i * size} x2={LABELS + i * size} />
              </g>
            ))}
          {directed.map((pair) => {
            const [row, column] = [place.get(pair.truth), place.get(pair.answer)];
            if (row === undefined || column === undefined) return null;
            const width = Math.max(3, (size - 1) * Math.sqrt(pair.rate / most));
            const off = (size - width) / 2;
            return (
              <rect
                key={`${pair.truth} ${pair.answer}`}
                className={styles['cell']}
                x={LABELS + column * size + off}
                y={LABELS + row * size + off}
                width={width}
                height={width}
                fill="var(--rust)"
                onMouseEnter={() => setAt({ row, column })}
                onClick={() => open(row, column)}
              />
            );
          })}
          <rect
            x={LABELS + at.column * size - 0.5}
            y={LABELS + at.row * size - 0.5}
            width={size + 1}
            height={size + 1}
            fill="none"
            stroke="var(--action)"
            strokeWidth={2}
          />
        </svg>
      </div>
      <div>
        <p className="quiet" id="matrix-help">
          Rows are the trees shown, columns the names given, likes together. The larger a square, the larger
          the share of the row’s answers. Arrow keys move, Enter opens the pair; the list says the same in
          words.
        </p>
        <p aria-live="polite" className={styles['matrix-says']}>
          {at.row === at.column
            ? `${truth}: choose a square beside the diagonal.`
            : held
              ? `${truth} called ${answer}: ${held.count} of ${held.asked} answers, ${percent(held.rate)}.`
              : `${truth} was never called ${answer}.`}
        </p>
      </div>
    </div>
  );
}
