import type { Photo } from '@hurrow/contract/photos';
import { useRef, useState } from 'react';
import {
  angleAt,
  KNOWN_SIZES,
  lengthOf,
  scaleOf,
  type Annotation,
  type Pixel,
} from '@hurrow/core/measurement';
import { useVocabulary } from '../app/data.ts';
import { Marks } from './Marks.tsx';
import styles from './measuring.module.css';
import ui from '../app/parts.module.css';
import { color } from '../app/tokens.ts';

type Tool = 'scale' | 'length' | 'angle' | 'count' | Annotation['shape'];

const TOOLS: [Tool, string, string][] = [
  ['scale', 'Set scale', 'Click both ends of something of known size.'],
  ['length', 'Length', 'Click along the line, then press Enter or click the last point again.'],
  ['angle', 'Angle', 'Click one arm, the corner, the other arm.'],
  ['count', 'Count', 'Click each tooth, lobe or needle, then press Enter.'],
  ['circle', 'Circle', 'Click the middle, then the edge of what it shows.'],
  ['arrow', 'Arrow', 'Click where the arrow begins, then what it points at.'],
  ['label', 'Label', 'Click what it names, then where the words shall stand.'],
  ['inset', 'Inset', 'Click two corners of the part to show larger.'],
];

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

  const annotate = (shape: Annotation['shape'], from: Pixel, to: Pixel) => {
    const share = ({ x, y }: Pixel) => ({
      x: Math.min(1, Math.max(0, x / photo.width)),
      y: Math.min(1, Math.max(0, y / photo.height)),
    });
    onMark({ shape, from: share(from), to: share(to) });
    setSaid('Marked. Say below what it shows, then save the details.');
  };
  const finish = (line: readonly Pixel[]) => {
    setPoints([]);
    if (tool === 'scale') {
      const found = scaleOf(line[0]!, line[1]!, size.metres);
      keepScale(found);
      if (found) localStorage.setItem(`${SCALES}${photo.id}`, String(found));
      setSaid(
        found
          ? `Scale set: ${(0.01 / found).toFixed(1)} pixels a centimeter.`
          : 'Click two different points.',
      );
      if (found) setTool('length');
    } else if (tool === 'count') take(line.length, `${line.length} counted.`, character?.kind === 'count');
    else if (tool === 'angle') {
      const angle = angleAt(line[0]!, line[1]!, line[2]!);
      if (angle !== undefined) take(angle, `${angle.toFixed(1)}°.`, character?.unit === '°');
    } else if (tool === 'length') {
      if (!scale) return setSaid('Set the scale first: a length in pixels says nothing.');
      const metres = lengthOf(line, scale);
      take(metres, `${(metres * 100).toFixed(2)} cm.`, ['m', 'cm', 'mm'].includes(character?.unit ?? ''));
    } else if (line.length >= 2) annotate(tool, line[0]!, line[1]!);
  };
  const take = (value: number, words: string, fits: boolean) => {
    if (!fits)
      return setSaid(`${words} Choose a character in the sheet that is measured so, and it goes in there.`);
    onMeasured(value);
    setSaid(`${words} Written into the sheet.`);
  };
  const add = (point: Pixel) => {
    const last = points.at(-1);
    const again = last && Math.hypot(last.x - point.x, last.y - point.y) < 4;
    if (tool === 'length' && again && points.length > 1) return finish(points);
    const line = [...points, point];
    const whole = {
      scale: 2,
      length: Infinity,
      angle: 3,
      count: Infinity,
      circle: 2,
      arrow: 2,
      label: 2,
      inset: 2,
    };
    if (line.length >= whole[tool]) return finish(line);
    setPoints(line);
  };
  const at = (event: React.PointerEvent): Pixel => {
    const box = frame.current!.getBoundingClientRect();
    return {
      x: ((event.clientX - box.left) * photo.width) / box.width,
      y: ((event.clientY - box.top) * photo.height) / box.height,
    };
  };
  const keys = (event: React.KeyboardEvent) => {
    const by = event.shiftKey ? 20 : 2;
    const steps: Record<string, Pixel> = {
      ArrowLeft: { x: -by, y: 0 },
      ArrowRight: { x: by, y: 0 },
      ArrowUp: { x: 0, y: -by },
      ArrowDown: { x: 0, y: by },
    };
    const step = steps[event.key];
    if (step) setCross({ x: cross.x + step.x, y: cross.y + step.y });
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
