import { t } from '@lingui/core/macro';
import type { ClassReport } from '@hurrow/contract/confusions';
import { useState } from 'react';
import {
  CartesianGrid,
  Label,
  ReferenceLine,
  Scatter,
  ScatterChart,
  XAxis,
  YAxis,
  type ScatterShapeProps,
} from 'recharts';
import { color } from '../app/tokens.ts';
import { percent } from './useNames.ts';
import { lineWithin, pointsOf, type Point } from './prediction.ts';
import styles from './confusions.module.css';

const TICKS = [0, 0.25, 0.5, 0.75, 1];

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
  const dot = (hollow: boolean) =>
    function Dot({ cx, cy, ...rest }: ScatterShapeProps) {
      const { stationId } = rest as unknown as Point;
      return (
        <circle
          cx={cx}
          cy={cy}
          r={at === stationId && !hollow ? 6 : 4}
          fill={color(hollow ? 'sheet' : 'action')}
          fillOpacity={hollow ? 1 : 0.8}
          stroke={hollow ? color('gold') : 'none'}
          strokeWidth={1.5}
          onMouseEnter={() => setAt(stationId)}
          onMouseLeave={() => setAt(undefined)}
        />
      );
    };
  const axis = {
    domain: [0, 1],
    ticks: TICKS,
    tickFormatter: percent,
    tick: { fontSize: 12, fill: color('ink2') },
  };
  return (
    <figure className={styles['prediction-plot']}>
      <div
        role="img"
        aria-label={t`Expected against observed share of right answers at ${report.stations.length} stations; the tables below give both.`}
      >
        <ScatterChart width={368} height={346} margin={{ top: 10, right: 22, bottom: 18, left: 8 }}>
          <CartesianGrid stroke={color('line')} />
          <XAxis {...axis} type="number" dataKey="expected">
            <Label value="expected right" position="bottom" offset={2} className={styles['tick']} />
          </XAxis>
          <YAxis {...axis} type="number" dataKey="observed" width={52}>
            <Label value="observed right" angle={-90} position="insideLeft" className={styles['tick']} />
          </YAxis>
          <ReferenceLine
            segment={[
              { x: 0, y: 0 },
              { x: 1, y: 1 },
            ]}
            stroke={color('ink2')}
            strokeDasharray="2 3"
          />
          {report.inSample && (
            <ReferenceLine segment={lineWithin(report.inSample)} stroke={color('action')} strokeWidth={2} />
          )}
          {report.leftOut && (
            <ReferenceLine
              segment={lineWithin(report.leftOut)}
              stroke={color('gold')}
              strokeWidth={2}
              strokeDasharray="6 4"
            />
          )}
          <Scatter data={leftOut} shape={dot(true)} isAnimationActive={false} />
          <Scatter data={all} shape={dot(false)} isAnimationActive={false} />
        </ScatterChart>
      </div>
      <figcaption className="quiet" aria-live="polite">
        {shown
          ? t`${title(shown.stationId)}: ${percent(shown.observed)} right, ${percent(shown.predicted)} expected`
          : t`● and full line: all quizzes. ○ and broken line: its own quiz left out.`}
      </figcaption>
    </figure>
  );
}
