import { CartesianGrid, Legend, Line, LineChart, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { color } from '../app/tokens.ts';

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

interface TrendChartProps {
  /** A quiz each: its title, and by line the share in per cent. */
  rows: Record<string, number | string>[];
  lines: { key: string; name: string }[];
  label: string;
}

/** Shares by quiz, up to five lines. */
export default function TrendChart({ rows, lines, label }: TrendChartProps) {
  return (
    <div role="img" aria-label={label}>
      <ResponsiveContainer width="100%" height={300}>
        <LineChart data={rows} margin={{ top: 10, right: 30, bottom: 6, left: 0 }}>
          <CartesianGrid stroke={color('line')} vertical={false} />
          <XAxis
            dataKey="title"
            tick={{ fontSize: 13, fill: color('ink2') }}
            padding={{ left: 40, right: 40 }}
          />
          <YAxis
            domain={[0, 'auto']}
            unit=" %"
            width={52}
            tick={{ fontSize: 12, fill: color('ink2') }}
            axisLine={false}
          />
          <Legend />
          {lines.map(({ key, name }, i) => {
            const look = LOOKS[i % LOOKS.length]!;
            const stroke = color(look.stroke);
            return (
              <Line
                key={key}
                dataKey={key}
                name={name}
                stroke={stroke}
                strokeWidth={2}
                strokeDasharray={look.dash}
                isAnimationActive={false}
                connectNulls
                legendType={look.shape}
                // A quiz that did not ask it has no point.
                dot={({ cx, cy, index }: { cx?: number; cy?: number | null; index?: number }) => (
                  <path
                    key={index}
                    d={cx === undefined || typeof cy !== 'number' ? '' : FORMS[look.shape](cx, cy)}
                    fill={look.shape === 'cross' ? 'none' : stroke}
                    stroke={stroke}
                    strokeWidth={look.shape === 'cross' ? 2 : 0}
                  />
                )}
              />
            );
          })}
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}
