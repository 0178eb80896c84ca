import type { ClassReport } from '@hurrow/contract/confusions';
import { useState } from 'react';
import { percent } from './useNames.ts';
import styles from './confusions.module.css';
import { color } from '../app/tokens.ts';

const [SIDE, LEFT, BOTTOM, TOP] = [300, 46, 36, 10];
const TICKS = [0, 0.25, 0.5, 0.75, 1];

/** Expected against observed share of right answers by station: filled with all quizzes, hollow with the station's quiz left out. */
export function PredictionPlot({ report, title }: { report: ClassReport; title(stationId: string): string }) {
  const [at, setAt] = useState<string>();
  const x = (share: number) => LEFT + share * SIDE;
  const y = (share: number) => TOP + (1 - share) * SIDE;
  const shown = report.stations.find(({ stationId }) => stationId === at);
  const line = (of: ClassReport['inSample'], dashed: boolean) =>
    of && (
      <line
        x1={x(0)}
        y1={y(clamp(of.intercept))}
        x2={x(1)}
        y2={y(clamp(of.intercept + of.slope))}
        stroke={dashed ? 'var(--gold)' : 'var(--action)'}
        strokeWidth={2}
        strokeDasharray={dashed ? '6 4' : undefined}
      />
    );
  return (
    <figure className={styles['prediction-plot']}>
      <svg
        width={LEFT + SIDE + 22}
        height={TOP + SIDE + BOTTOM}
        role="img"
        aria-label={`Expected against observed share of right answers at ${report.stations.length} stations; the tables below give both.`}
      >
        {TICKS.map((tick) => (
          <g key={tick}>
            <line x1={x(0)} x2={x(1)} y1={y(tick)} y2={y(tick)} stroke="var(--line)" />
            <line x1={x(tick)} x2={x(tick)} y1={y(0)} y2={y(1)} stroke="var(--line)" />
            <text x={x(0) - 6} y={y(tick) + 4} textAnchor="end" className={styles['tick']}>
              {percent(tick)}
            </text>
            <text x={x(tick)} y={y(0) + 16} textAnchor="middle" className={styles['tick']}>
              {percent(tick)}
            </text>
          </g>
        ))}
        <text x={x(0.5)} y={y(0) + 32} textAnchor="middle" className={styles['tick']}>
          expected right
        </text>
        <text
          transform={`translate(10 ${y(0.5)}) rotate(-90)`}
          textAnchor="middle"
          className={styles['tick']}
        >
          observed right
        </text>
        <line x1={x(0)} y1={y(0)} x2={x(1)} y2={y(1)} stroke="var(--ink-2)" strokeDasharray="2 3" />
        {line(report.inSample, false)}
        {line(report.leftOut, true)}
        {report.stations.map(({ stationId, predicted, leftOut, observed }) => (
          <g key={stationId} onMouseEnter={() => setAt(stationId)} onMouseLeave={() => setAt(undefined)}>
            {leftOut !== undefined && (
              <circle
                cx={x(leftOut)}
                cy={y(observed)}
                r={4}
                fill={color('sheet')}
                stroke="var(--gold)"
                strokeWidth={1.5}
              />
            )}
            <circle
              cx={x(predicted)}
              cy={y(observed)}
              r={at === stationId ? 6 : 4}
              fill="var(--action)"
              fillOpacity={0.8}
            />
          </g>
        ))}
      </svg>
      <figcaption className="quiet" aria-live="polite">
        {shown
          ? `${title(shown.stationId)}: ${percent(shown.observed)} right, ${percent(shown.predicted)} expected`
          : '● and full line: all quizzes. ○ and broken line: its own quiz left out.'}
      </figcaption>
    </figure>
  );
}

const clamp = (share: number) => Math.min(1, Math.max(0, share));
