import styles from './confusions.module.css';
interface IntervalBarProps {
  value: number;
  interval: readonly [number, number];
  /** Ends of the scale; intervals that reach beyond are cut there. */
  from: number;
  to: number;
  /** A place on the scale to compare with, drawn as a thin line. */
  mark?: number;
  /** What the bar says, for those who cannot see it. */
  label: string;
  tone: 'rust' | 'action';
}

const [WIDTH, HEIGHT] = [220, 18];

/** A value with its 90 % interval on a scale. */
export function IntervalBar({ value, interval, from, to, mark, label, tone }: IntervalBarProps) {
  const x = (at: number) => 6 + ((Math.min(to, Math.max(from, at)) - from) / (to - from)) * (WIDTH - 12);
  const color = `var(--${tone})`;
  return (
    <svg width={WIDTH} height={HEIGHT} role="img" aria-label={label} className={styles['interval-bar']}>
      <line x1={6} x2={WIDTH - 6} y1={9} y2={9} stroke="var(--line)" strokeWidth={2} />
      {mark !== undefined && (
        <line x1={x(mark)} x2={x(mark)} y1={1} y2={17} stroke="var(--ink-2)" strokeWidth={1} />
      )}
      <line x1={x(interval[0])} x2={x(interval[1])} y1={9} y2={9} stroke={color} strokeWidth={3} />
      <circle cx={x(value)} cy={9} r={5.5} fill={color} />
    </svg>
  );
}
