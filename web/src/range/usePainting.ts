import { useRef, useState } from 'react';
import { projectionOf, type MapView } from '@hurrow/core/map';
import { brush, middleOf, type RangeStatus } from '@hurrow/core/range';
import { ARROWS, cellUnder, keptInSight, neighbourOf, pointAt, pushed, zoomed } from './mapView.ts';

export type Tool = RangeStatus | 'erase' | 'move';

export interface PaintingOptions {
  view: MapView;
  tool: Tool;
  radius: number;
  /** The cell that keys work on. */
  cursor: string;
  onView(view: MapView): void;
  onCursor(cell: string): void;
  /** Cells painted or erased by one stroke so far. */
  onPaint(cells: string[]): void;
  onStroke(): void;
}

/** What a pointer and keys do on the map of cells: paint, move the map, move the cursor. */
export function usePainting(options: PaintingOptions) {
  const { view, tool, radius, cursor, onView, onCursor, onPaint, onStroke } = options;
  const drag = useRef<{ x: number; y: number } | undefined>(undefined);
  const [painting, setPainting] = useState(false);
  const at = (event: React.PointerEvent) => {
    const point = pointAt(event, event.currentTarget.getBoundingClientRect(), view);
    const cell = cellUnder(point, view);
    return cell === undefined ? undefined : { cell, ...point };
  };
  const onPointerDown = (event: React.PointerEvent) => {
    const here = at(event);
    if (!here) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    if (tool === 'move') {
      drag.current = here;
      return;
    }
    onStroke();
    setPainting(true);
    onCursor(here.cell);
    onPaint(brush(here.cell, radius));
  };
  const onPointerMove = (event: React.PointerEvent) => {
    const here = at(event);
    if (!here) return;
    if (drag.current) {
      onView(pushed(view, here.x - drag.current.x, here.y - drag.current.y));
      drag.current = here;
      return;
    }
    if (here.cell !== cursor) onCursor(here.cell);
    if (painting) onPaint(brush(here.cell, radius));
  };
  const release = () => {
    drag.current = undefined;
    setPainting(false);
  };
  const toNeighbour = (step: [number, number]) => {
    const next = neighbourOf(cursor, step, projectionOf(view));
    if (!next) return;
    onCursor(next);
    const inSight = keptInSight(view, middleOf(next));
    if (inSight !== view) onView(inSight);
  };
  const keys = (event: React.KeyboardEvent) => {
    const step = ARROWS[event.key];
    if (step) toNeighbour(step);
    else if ((event.key === ' ' || event.key === 'Enter') && tool !== 'move') {
      onStroke();
      onPaint(brush(cursor, radius));
    } else if (event.key === '+' || event.key === '=') onView(zoomed(view, true));
    else if (event.key === '-') onView(zoomed(view, false));
    else return;
    event.preventDefault();
  };
  return {
    keys,
    pointer: { onPointerDown, onPointerMove, onPointerUp: release, onPointerCancel: release },
  };
}
