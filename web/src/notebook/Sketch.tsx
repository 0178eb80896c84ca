import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { MOST_STROKES } from '@hurrow/contract/limits';
import type { Strokes } from '@hurrow/contract/notebook';
import { useRef, useState, type PointerEvent } from 'react';
import { pathOf } from './noted.ts';
import { drawnOn, pointAt } from './sketching.ts';
import styles from './notebook.module.css';

/** A sheet to draw on with a finger, a pen or the mouse. */
export function Sketch({ drawing, onDraw }: { drawing: Strokes; onDraw(drawing: Strokes): void }) {
  const sheet = useRef<SVGSVGElement>(null);
  const [line, setLine] = useState<Strokes[number]>([]);
  const at = (event: PointerEvent) =>
    pointAt(event.clientX, event.clientY, sheet.current!.getBoundingClientRect());
  const begin = (event: PointerEvent) => {
    if (drawing.length >= MOST_STROKES) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    setLine([at(event)]);
  };
  const go = (event: PointerEvent) => {
    if (line.length > 0) setLine(drawnOn(line, at(event)));
  };
  const end = () => {
    if (line.length > 0) onDraw([...drawing, line]);
    setLine([]);
  };
  return (
    <div className={styles['sketch']}>
      <svg
        ref={sheet}
        className={styles['drawn']}
        viewBox="0 0 1000 750"
        role="img"
        aria-label={drawing.length === 0 ? t`A sheet to draw on` : t`A drawing of ${drawing.length} lines`}
        onPointerDown={begin}
        onPointerMove={go}
        onPointerUp={end}
        onPointerCancel={end}
      >
        {[...drawing, ...(line.length > 0 ? [line] : [])].map((stroke, i) => (
          <path key={i} d={pathOf(stroke)} />
        ))}
      </svg>
      <p>
        <button type="button" disabled={drawing.length === 0} onClick={() => onDraw(drawing.slice(0, -1))}>
          <Trans>Take the last line back</Trans>
        </button>
        <button type="button" disabled={drawing.length === 0} onClick={() => onDraw([])}>
          <Trans>Clear</Trans>
        </button>
      </p>
    </div>
  );
}
