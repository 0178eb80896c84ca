import { useLayoutEffect, useRef, useState } from 'react';
import { color } from '../app/tokens.ts';
import { trendDrawn, type TrendRow } from './trendDrawn.ts';
import styles from './learning.module.css';

/** Lines are told apart by their dash and the form of their points as well as by color. */
const LOOKS = [
  { stroke: 'rust', dash: '', shape: 'circle' },
  { stroke: 'action', dash: '6 4', shape: 'square' },
  { stroke: 'gold', dash: '2 3', shape: 'triangle' },
  { stroke: 'ink', dash: '10 3 2 3', shape: 'diamond' },
  { stroke: 'seasonFruit', dash: '14 4', shape: 'cross' },
] as const;

type Shape = (typeof LOOKS)[number]['shape'];

const FORMS: Record<Shape, (x: number, y: number) => string> = {
  circle: (x, y) => `M${x - 5} ${y}a5 5 0 1 0 10 0a5 5 0 1 0 -10 0z`,
  square: (x, y) => `M${x - 4.5} ${y - 4.5}h9v9h-9z`,
  triangle: (x, y) => `M${x} ${y - 6}l6 10h-12z`,
  diamond: (x, y) => `M${x} ${y - 6}l6 6l-6 6l-6 -6z`,
  cross: (x, y) => `M${x - 5} ${y - 5}l10 10m0 -10l-10 10`,
};

const HEIGHT = 300;

interface TrendChartProps {
  rows: TrendRow[];
  lines: { key: string; name: string }[];
  label: string;
}

/** Shares by quiz, up to five lines. */
export default function TrendChart({ rows, lines, label }: TrendChartProps) {
  const frame = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(0);
  useLayoutEffect(() => {
    const measured = new ResizeObserver(([entry]) => setWidth(Math.round(entry!.contentRect.width)));
    measured.observe(frame.current!);
    return () => measured.disconnect();
  }, []);
  const drawn = trendDrawn(
    rows,
    lines.map(({ key }) => key),
    { width, height: HEIGHT },
  );
  return (
    <div role="img" aria-label={label} ref={frame} className={styles['trend-chart']}>
      {width > 0 && (
        <svg width={width} height={HEIGHT}>
          {drawn.levels.map(({ y, share }) => (
            <g key={share}>
              <path d={`M${drawn.left} ${y}H${drawn.right}`} stroke={color('line')} />
              <text x={drawn.left - 8} y={y + 4} textAnchor="end">
                {share} %
              </text>
            </g>
          ))}
          {drawn.quizzes.map(({ x, title }, i) => (
            <text key={i} x={x} y={drawn.bottom + 20} textAnchor="middle">
              {title}
            </text>
          ))}
          {drawn.lines.map(({ key, path, spots }, i) => (
            <g key={key}>
              <path
                d={path}
                fill="none"
                stroke={color(LOOKS[i]!.stroke)}
                strokeWidth={2}
                strokeDasharray={LOOKS[i]!.dash}
              />
              {spots.map(({ x, y }) => (
                <Mark key={x} i={i} x={x} y={y} />
              ))}
            </g>
          ))}
        </svg>
      )}
      <p>
        {lines.map(({ key, name }, i) => (
          <span key={key}>
            <svg width={16} height={14}>
              <Mark i={i} x={8} y={7} />
            </svg>
            {name}
          </span>
        ))}
      </p>
    </div>
  );
}

/** A point of a line, in its form. */
function Mark({ i, x, y }: { i: number; x: number; y: number }) {
  const { shape, stroke } = LOOKS[i]!;
  const isOpen = shape === 'cross';
  return (
    <path
      d={FORMS[shape](x, y)}
      fill={isOpen ? 'none' : color(stroke)}
      stroke={color(stroke)}
      strokeWidth={isOpen ? 2 : 0}
    />
  );
}
