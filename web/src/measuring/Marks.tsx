import type { Photo } from '@hurrow/contract/photos';
import type { Annotation } from '@hurrow/core/measurement';
import { color } from '../app/tokens.ts';

/** What was marked on a photo, in its pixels. */
export function Marks({ annotations, photo }: { annotations: readonly Annotation[]; photo: Photo }) {
  const thick = photo.width / 340;
  return (
    <g fill="none" strokeLinejoin="round" strokeLinecap="round">
      {annotations.map((mark, i) => {
        const [x, y] = [mark.from.x * photo.width, mark.from.y * photo.height];
        const [u, v] = [mark.to.x * photo.width, mark.to.y * photo.height];
        const d = shapeOf(mark.shape, x, y, u, v, thick);
        const words = mark.shape === 'label' ? [u, v] : [x + thick * 4, y - thick * 4];
        return (
          <g key={i}>
            <path d={d} stroke={color('sheet')} strokeWidth={thick * 2.6} />
            <path d={d} stroke={color('rust')} strokeWidth={thick} />
            {mark.text && (
              <text
                x={words[0]}
                y={words[1]}
                fontSize={thick * 13}
                fill={color('ink')}
                stroke={color('sheet')}
                strokeWidth={thick * 3}
                paintOrder="stroke"
              >
                {mark.text}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

function shapeOf(
  shape: Annotation['shape'],
  x: number,
  y: number,
  u: number,
  v: number,
  thick: number,
): string {
  if (shape === 'circle') {
    const r = Math.hypot(u - x, v - y);
    return `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`;
  }
  if (shape === 'inset') return `M${x} ${y}H${u}V${v}H${x}Z`;
  if (shape === 'label') return `M${x} ${y}L${u} ${v}`;
  const turn = Math.atan2(v - y, u - x);
  const head = (by: number) =>
    `${u - 12 * thick * Math.cos(turn + by)} ${v - 12 * thick * Math.sin(turn + by)}`;
  return `M${x} ${y}L${u} ${v}M${head(0.45)}L${u} ${v}L${head(-0.45)}`;
}
