import type { Photo } from '@hurrow/contract/photos';
import { useRef, useState } from 'react';
import { KNOWN_SIZES, type Annotation, type Pixel } from '@hurrow/core/measurement';
import { useVocabulary } from '../app/data.ts';
import { Marks } from './Marks.tsx';
import styles from './measuring.module.css';
import ui from '../app/parts.module.css';
import { color } from '../app/tokens.ts';
import { crossAfter, outcomeOf, TOOLS, withPoint, type Tool } from './stage.ts';

interface PhotoStageProps {
  photo: Photo;
  /** Marks as they are being edited. */
  marks: readonly Annotation[];
  characterId: string | undefined;
  onMeasured(value: number): void;
  onMark(mark: Annotation): void;
}

const SCALES = 'hurrow.scale.';

/** Meters a pixel, as set on a photo before in this browser. */
const keptScale = (photoId: string): number | undefined =>
  Number(localStorage.getItem(`${SCALES}${photoId}`)) || undefined;

/** A photo to measure on: a scale, lengths, angles and counts by clicking, or by a crosshair moved with the keys. */
export function PhotoStage({ photo, marks, characterId, onMeasured, onMark }: PhotoStageProps) {
  const character = useVocabulary().get(characterId ?? '');
  const frame = useRef<SVGSVGElement>(null);
  const [tool, setTool] = useState<Tool>(() => (keptScale(photo.id) ? 'length' : 'scale'));
  const [known, setKnown] = useState(KNOWN_SIZES[1]!.label);
  const [scale, keepScale] = useState(() => keptScale(photo.id));
  const [points, setPoints] = useState<Pixel[]>([]);
  const [cross, setCross] = useState<Pixel>({ x: photo.width / 2, y: photo.height / 2 });
  const [said, setSaid] = useState(
    scale ? `The scale set before holds: ${(0.01 / scale).toFixed(1)} pixels a centimeter.` : '',
  );
  const size = KNOWN_SIZES.find(({ label }) => label === known)!;

  const finish = (line: readonly Pixel[]) => {
    setPoints([]);
    const found = outcomeOf(tool, line, { photo, scale, size, character });
    setSaid(found.said);
    if (found.scale) {
      keepScale(found.scale);
      localStorage.setItem(`${SCALES}${photo.id}`, String(found.scale));
      setTool('length');
    }
    if (found.value !== undefined) onMeasured(found.value);
    if (found.mark) onMark(found.mark);
  };
  const add = (point: Pixel) => {
    const next = withPoint(tool, points, point);
    if (next.whole) finish(next.points);
    else setPoints(next.points);
  };
  const at = (event: React.PointerEvent): Pixel => {
    const box = frame.current!.getBoundingClientRect();
    return {
      x: ((event.clientX - box.left) * photo.width) / box.width,
      y: ((event.clientY - box.top) * photo.height) / box.height,
    };
  };
  const keys = (event: React.KeyboardEvent) => {
    const moved = crossAfter(event.key, cross, event.shiftKey);
    if (moved) setCross(moved);
    else if (event.key === ' ') add(cross);
    else if (event.key === 'Enter' && points.length > 0) finish(points);
    else if (event.key === 'Escape') setPoints([]);
    else if (event.key === 'Backspace') setPoints(points.slice(0, -1));
    else return;
    event.preventDefault();
  };
  const thick = photo.width / 420;
  return (
    <div className={styles['photo-stage']}>
      <div className={ui['toolbar']} role="toolbar" aria-label="Measuring on the photo">
        {TOOLS.map(([id, title]) => (
          <button
            key={id}
            aria-pressed={tool === id}
            onClick={() => {
              setTool(id);
              setPoints([]);
              setSaid('');
            }}
          >
            {title}
          </button>
        ))}
        <select
          aria-label="Known size"
          disabled={tool !== 'scale'}
          value={known}
          onChange={(event) => setKnown(event.target.value)}
        >
          {KNOWN_SIZES.map(({ label }) => (
            <option key={label}>{label}</option>
          ))}
        </select>
      </div>
      <p className={styles['stage-said']} role="status">
        {said || TOOLS.find(([id]) => id === tool)![2]}
        {tool === 'count' && points.length > 0 && ` ${points.length} so far.`}
      </p>
      {/* One composite control: arrow keys move the crosshair, Space sets a point, Enter ends. */}
      <div
        className={styles['stage-frame']}
        role="application"
        tabIndex={0}
        aria-label="Photo to measure on. Arrow keys move the crosshair, Space sets a point, Enter ends."
        onKeyDown={keys}
      >
        <svg
          ref={frame}
          viewBox={`0 0 ${photo.width} ${photo.height}`}
          onPointerDown={(event) => {
            const point = at(event);
            setCross(point);
            add(point);
          }}
          aria-hidden="true"
        >
          <image href={`/api/library/photos/${photo.id}/screen`} width={photo.width} height={photo.height} />
          <Marks annotations={marks} photo={photo} />
          <g stroke={color('sheet')} strokeWidth={thick * 2.4} fill="none" strokeLinecap="round">
            <polyline points={points.map(({ x, y }) => `${x},${y}`).join(' ')} />
          </g>
          <g stroke={color('action')} strokeWidth={thick} fill="none">
            {tool !== 'count' && <polyline points={points.map(({ x, y }) => `${x},${y}`).join(' ')} />}
            {points.map(({ x, y }, i) => (
              <circle key={i} cx={x} cy={y} r={thick * 3} fill={color('sheet')} />
            ))}
            <path
              d={`M${cross.x - thick * 7} ${cross.y}h${thick * 14}M${cross.x} ${cross.y - thick * 7}v${thick * 14}`}
            />
          </g>
        </svg>
      </div>
    </div>
  );
}
