import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { ClassReport } from '@hurrow/contract/confusions';
import { useState } from 'react';
import { scaleLinear } from 'd3-scale';
import { color } from '../app/tokens.ts';
import { percent } from './useNames.ts';
import { lineWithin, pointsOf } from './prediction.ts';
import styles from './confusions.module.css';

const TICKS = [0, 0.25, 0.5, 0.75, 1];
const SIZE = { width: 368, height: 346 };
/** The field between the axes, in pixels. */
const FIELD = { left: 60, right: 346, top: 10, bottom: 298 };

const across = scaleLinear([0, 1], [FIELD.left, FIELD.right]);
const up = scaleLinear([0, 1], [FIELD.bottom, FIELD.top]);

type End = { x: number; y: number };
const between = ([from, to]: readonly [End, End]): string =>
  `M${across(from.x)} ${up(from.y)}L${across(to.x)} ${up(to.y)}`;

const SAME = between([
  { x: 0, y: 0 },
  { x: 1, y: 1 },
]);

/** Expected against observed share of right answers by station: filled with all quizzes, hollow with the station's quiz left out. */
export default function PredictionPlot({
  report,
  title,
}: {
  report: ClassReport;
  title(stationId: string): string;
}) {
  const [at, setAt] = useState<string>();
  const { all, leftOut } = pointsOf(report);
  const shown = report.stations.find(({ stationId }) => stationId === at);
  return (
    <figure className={styles['prediction-plot']}>
      <div
        role="img"
        aria-label={t`Expected against observed share of right answers at ${report.stations.length} stations; the tables below give both.`}
      >
        <svg {...SIZE} className={styles['plot']}>
          {TICKS.map((share) => (
            <g key={share}>
              <path
                d={`M${across(share)} ${FIELD.top}V${FIELD.bottom}M${FIELD.left} ${up(share)}H${FIELD.right}`}
                stroke={color('line')}
              />
              <text x={across(share)} y={FIELD.bottom + 18} textAnchor="middle">
                {percent(share)}
              </text>
              <text x={FIELD.left - 6} y={up(share) + 4} textAnchor="end">
                {percent(share)}
              </text>
            </g>
          ))}
          <text x={across(0.5)} y={FIELD.bottom + 38} textAnchor="middle">
            <Trans>expected right</Trans>
          </text>
          <text transform={`translate(14 ${up(0.5)}) rotate(-90)`} textAnchor="middle">
            <Trans>observed right</Trans>
          </text>
          <path d={SAME} stroke={color('ink2')} strokeDasharray="2 3" />
          {report.inSample && (
            <path d={between(lineWithin(report.inSample))} stroke={color('action')} strokeWidth={2} />
          )}
          {report.leftOut && (
            <path
              d={between(lineWithin(report.leftOut))}
              stroke={color('gold')}
              strokeWidth={2}
              strokeDasharray="6 4"
            />
          )}
          {[leftOut, all].map((points, i) =>
            points.map(({ stationId, expected, observed }) => (
              <circle
                key={`${i} ${stationId}`}
                cx={across(expected)}
                cy={up(observed)}
                r={at === stationId && i === 1 ? 6 : 4}
                fill={color(i === 0 ? 'sheet' : 'action')}
                fillOpacity={i === 0 ? 1 : 0.8}
                stroke={i === 0 ? color('gold') : 'none'}
                strokeWidth={1.5}
                onMouseEnter={() => setAt(stationId)}
                onMouseLeave={() => setAt(undefined)}
              />
            )),
          )}
        </svg>
      </div>
      <figcaption className="quiet" aria-live="polite">
        {shown
          ? t`${title(shown.stationId)}: ${percent(shown.observed)} right, ${percent(shown.predicted)} expected`
          : t`● and full line: all quizzes. ○ and broken line: its own quiz left out.`}
      </figcaption>
    </figure>
  );
}
