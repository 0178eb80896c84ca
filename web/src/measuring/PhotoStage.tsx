import { t } from '@lingui/core/macro';
import type { Photo } from '@hurrow/contract/photos';
import { useRef } from 'react';
import { KNOWN_SIZES, markedPhoto, type Annotation, type Pixel } from '@hurrow/core/measurement';
import { useVocabulary } from '../app/data.ts';
import { Marks } from './MarkedPhoto.tsx';
import styles from './measuring.module.css';
import ui from '../app/parts.module.css';
import { color } from '../app/tokens.ts';
import { TOOLS } from './stage.ts';
import { useStage, type StageOptions } from './useStage.ts';
import { inTongue } from '../language/inTongue.ts';

interface PhotoStageProps extends Omit<StageOptions, 'character'> {
  /** Marks as they are being edited. */
  marks: readonly Annotation[];
  characterId: string | undefined;
}

type Stage = ReturnType<typeof useStage>;

/** A photo to measure on: a scale, lengths, angles and counts by clicking, or by a crosshair moved with the keys. */
export function PhotoStage({ marks, characterId, ...options }: PhotoStageProps) {
  const character = useVocabulary().get(characterId ?? '');
  const stage = useStage({ ...options, character });
  return (
    <div className={styles['photo-stage']}>
      <Tools stage={stage} />
      <p className={styles['stage-said']} role="status">
        {stage.said}
      </p>
      <Frame stage={stage} photo={options.photo} marks={marks} />
    </div>
  );
}

function Tools({ stage: { tool, choose, known, setKnown } }: { stage: Stage }) {
  return (
    <div className={ui['toolbar']} role="toolbar" aria-label={t`Measuring on the photo`}>
      {TOOLS.map(([id, title]) => (
        <button key={id} aria-pressed={tool === id} onClick={() => choose(id)}>
          {title}
        </button>
      ))}
      <select
        aria-label={t`Known size`}
        disabled={tool !== 'scale'}
        value={known}
        onChange={(event) => setKnown(event.target.value)}
      >
        {KNOWN_SIZES.map(({ label }) => (
          <option key={label} value={label}>
            {inTongue(label)}
          </option>
        ))}
      </select>
    </div>
  );
}

/** One composite control: arrow keys move the crosshair, Space sets a point, Enter ends. */
function Frame({ stage, photo, marks }: { stage: Stage; photo: Photo; marks: readonly Annotation[] }) {
  const frame = useRef<SVGSVGElement>(null);
  const at = (event: React.PointerEvent): Pixel => {
    const box = frame.current!.getBoundingClientRect();
    return {
      x: ((event.clientX - box.left) * photo.width) / box.width,
      y: ((event.clientY - box.top) * photo.height) / box.height,
    };
  };
  return (
    <div
      className={styles['stage-frame']}
      role="application"
      tabIndex={0}
      aria-label={t`Photo to measure on. Arrow keys move the crosshair, Space sets a point, Enter ends.`}
      onKeyDown={stage.keys}
    >
      <svg
        ref={frame}
        viewBox={`0 0 ${photo.width} ${photo.height}`}
        onPointerDown={(event) => stage.press(at(event))}
        aria-hidden="true"
      >
        <image href={`/api/library/photos/${photo.id}/screen`} width={photo.width} height={photo.height} />
        <Marks marked={markedPhoto({ annotations: [...marks] }, photo)} />
        <Points stage={stage} thick={photo.width / 420} />
      </svg>
    </div>
  );
}

/** The points set so far, and the crosshair. */
function Points({ stage: { tool, points, cross }, thick }: { stage: Stage; thick: number }) {
  const line = points.map(({ x, y }) => `${x},${y}`).join(' ');
  return (
    <>
      <polyline
        points={line}
        stroke={color('sheet')}
        strokeWidth={thick * 2.4}
        fill="none"
        strokeLinecap="round"
      />
      <g stroke={color('action')} strokeWidth={thick} fill="none">
        {tool !== 'count' && <polyline points={line} />}
        {points.map(({ x, y }, i) => (
          <circle key={i} cx={x} cy={y} r={thick * 3} fill={color('sheet')} />
        ))}
        <path
          d={`M${cross.x - thick * 7} ${cross.y}h${thick * 14}M${cross.x} ${cross.y - thick * 7}v${thick * 14}`}
        />
      </g>
    </>
  );
}
