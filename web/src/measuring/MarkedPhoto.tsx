import { t } from '@lingui/core/macro';
import type { Photo } from '@hurrow/contract/photos';
import { boxPath, markedPhoto, rulePath, type MarkedPhoto as Marked } from '@hurrow/core/measurement';
import { color } from '../app/tokens.ts';

/** A photo with what was marked on it: arrows, circles, labels, parts shown larger, and a rule where its scale is known. */
export function MarkedPhoto({
  photo,
  href,
  label,
  units = 'metric',
}: {
  photo: Photo;
  href: string;
  label: string;
  units?: 'metric' | 'imperial';
}) {
  const { record, width, height } = photo;
  const marked = markedPhoto(record, photo, units);
  const { insets, rule, thick, letters } = marked;
  const image = <image href={href} width={width} height={height} />;
  return (
    <svg viewBox={`0 0 ${width} ${height}`} role="img" aria-label={label}>
      <title>
        {record.credit ? `${record.credit}, ${record.licence || t`no licence`}` : t`No credit yet`}
      </title>
      {image}
      {insets.map(({ part, shown }, i) => (
        <g key={i}>
          <svg
            {...shown}
            viewBox={`${part.x} ${part.y} ${part.width} ${part.height}`}
            preserveAspectRatio="none"
          >
            {image}
          </svg>
          <Line d={boxPath(shown)} thick={thick} />
        </g>
      ))}
      <Marks marked={marked} />
      {rule && (
        <>
          <Line d={rulePath(rule, thick)} thick={thick} />
          <Words x={rule.x} y={rule.y - thick * 6} thick={thick} letters={letters}>
            {rule.label}
          </Words>
        </>
      )}
    </svg>
  );
}

/** The marks alone, over a photo that is drawn by whoever shows them. */
export function Marks({
  marked: { marks, thick, letters },
}: {
  marked: Pick<Marked, 'marks' | 'thick' | 'letters'>;
}) {
  return marks.map(({ d, text }, i) => (
    <g key={i}>
      <Line d={d} thick={thick} />
      {text && (
        <Words x={text.x} y={text.y} thick={thick} letters={letters}>
          {text.words}
        </Words>
      )}
    </g>
  ));
}

/** A line that is seen on light and on dark. */
const Line = ({ d, thick }: { d: string; thick: number }) => (
  <g fill="none" strokeLinejoin="round" strokeLinecap="round">
    <path d={d} stroke={color('drawn')} strokeWidth={thick * 2.6} />
    <path d={d} stroke={color('rust')} strokeWidth={thick} />
  </g>
);

interface WordsProps {
  x: number;
  y: number;
  thick: number;
  letters: number;
  children: string;
}

const Words = ({ x, y, thick, letters, children }: WordsProps) => (
  <text
    x={x}
    y={y}
    fontSize={letters}
    fill={color('onDrawn')}
    stroke={color('drawn')}
    strokeWidth={thick * 3}
    paintOrder="stroke"
  >
    {children}
  </text>
);
