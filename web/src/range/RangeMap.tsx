import { useQuery } from '@tanstack/react-query';
import { geoPath } from 'd3-geo';
import { useMemo, useRef, useState } from 'react';
import { brush, middleOf, RANGE_STATUSES, type RangeCells, type RangeStatus } from '@hurrow/core/range';
import { atlasQuery } from './atlasQuery.ts';
import { baseMap, outline, projectionOf, type MapView } from '@hurrow/core/map';
import styles from './range.module.css';
import { color } from '../app/tokens.ts';
import { cellUnder, keptInSight, pointAt, pushed, zoomed } from './mapView.ts';

/** Fill of each status; told apart by lightness, and by a hatch or a dot as well. */
export const STATUS_LOOK: Record<RangeStatus, { fill: string; mark?: 'hatch' | 'dots' | 'cross' }> = {
  native: { fill: color('rangeNative') },
  introduced: { fill: color('rangeIntroduced'), mark: 'hatch' },
  planted: { fill: color('rangePlanted'), mark: 'dots' },
  rare: { fill: color('rangeRare'), mark: 'dots' },
  extirpated: { fill: color('rangeGone'), mark: 'cross' },
};

export type Tool = RangeStatus | 'erase' | 'move';

interface RangeMapProps {
  cells: RangeCells;
  view: MapView;
  tool: Tool;
  radius: number;
  /** The cell that keys work on. */
  cursor: string;
  /** The course's site. */
  site: { latitude: number; longitude: number } | undefined;
  label: string;
  onView(view: MapView): void;
  onCursor(cell: string): void;
  /** Cells painted or erased by one stroke so far. */
  onPaint(cells: string[]): void;
  onStroke(): void;
}

/** The map of cells. It is painted with a pointer or with keys; what it shows stands beside it in words. */
export function RangeMap(props: RangeMapProps) {
  const { cells, view, tool, radius, cursor, site, label, onView, onCursor, onPaint, onStroke } = props;
  const frame = useRef<SVGSVGElement>(null);
  const drag = useRef<{ x: number; y: number } | undefined>(undefined);
  const [painting, setPainting] = useState(false);
  const projection = useMemo(() => projectionOf(view), [view]);
  const atlas = useQuery(atlasQuery).data;
  const base = useMemo(() => baseMap(view, atlas), [view, atlas]);
  const path = useMemo(() => geoPath(projection).digits(1), [projection]);
  const painted = useMemo(
    () =>
      RANGE_STATUSES.map((status) => {
        const held = Object.keys(cells).filter((cell) => cells[cell] === status);
        return { status, d: held.length ? (path(outline(held)) ?? '') : '' };
      }).filter(({ d }) => d),
    [cells, path],
  );
  const under = useMemo(
    () => path(outline(brush(cursor, tool === 'move' ? 0 : radius))) ?? '',
    [cursor, radius, tool, path],
  );
  const at = (event: React.PointerEvent): { cell: string; x: number; y: number } | undefined => {
    const point = pointAt(event, frame.current!.getBoundingClientRect(), view);
    const cell = cellUnder(point, view);
    return cell === undefined ? undefined : { cell, ...point };
  };
  const press = (event: React.PointerEvent) => {
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
  const moved = (event: React.PointerEvent) => {
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
  const keys = (event: React.KeyboardEvent) => {
    const steps: Record<string, [number, number]> = {
      ArrowLeft: [-1, 0],
      ArrowRight: [1, 0],
      ArrowUp: [0, -1],
      ArrowDown: [0, 1],
    };
    const step = steps[event.key];
    if (step) {
      const next = neighbour(cursor, step, projection);
      if (next) {
        onCursor(next);
        const inSight = keptInSight(view, middleOf(next));
        if (inSight !== view) onView(inSight);
      }
    } else if ((event.key === ' ' || event.key === 'Enter') && tool !== 'move') {
      onStroke();
      onPaint(brush(cursor, radius));
    } else if (event.key === '+' || event.key === '=') onView(zoomed(view, true));
    else if (event.key === '-') onView(zoomed(view, false));
    else return;
    event.preventDefault();
  };
  const place = site && projection([site.longitude, site.latitude]);
  return (
    // The map is one composite control: arrow keys move its cursor and Space paints.
    <div className={styles['range-map']} role="application" aria-label={label} tabIndex={0} onKeyDown={keys}>
      <svg
        ref={frame}
        viewBox={`0 0 ${view.width} ${view.height}`}
        className={tool === 'move' ? styles['moving'] : ''}
        onPointerDown={press}
        onPointerMove={moved}
        onPointerUp={release}
        onPointerCancel={release}
        aria-hidden="true"
      >
        <defs>
          <pattern
            id="hatch"
            width="6"
            height="6"
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <path d="M0 0v6" stroke={color('ink')} strokeWidth="1.6" />
          </pattern>
          <pattern id="dots" width="7" height="7" patternUnits="userSpaceOnUse">
            <circle cx="3.5" cy="3.5" r="1.3" fill={color('ink')} />
          </pattern>
          <pattern id="cross" width="8" height="8" patternUnits="userSpaceOnUse">
            <path d="M1 1l6 6M7 1l-6 6" stroke={color('ink')} strokeWidth="0.9" />
          </pattern>
        </defs>
        <rect width={view.width} height={view.height} className={styles['sea']} />
        <path d={base.graticule} className={styles['graticule']} />
        <path d={base.land} className={styles['land']} />
        {painted.map(({ status, d }) => (
          <g key={status}>
            <path
              d={d}
              fill={STATUS_LOOK[status].fill}
              fillOpacity={0.78}
              stroke={color('sheet')}
              strokeWidth={0.4}
            />
            {STATUS_LOOK[status].mark && (
              <path d={d} fill={`url(#${STATUS_LOOK[status].mark})`} fillOpacity={0.5} />
            )}
          </g>
        ))}
        <path d={base.counties} className={styles['counties']} />
        <path d={base.states} className={styles['states']} />
        <path d={base.borders} className={styles['borders']} />
        {place && (
          <g transform={`translate(${place[0]} ${place[1]})`}>
            <path d="M-6 0h12M0 -6v12" stroke={color('rust')} strokeWidth={2} />
            <text x={9} y={4} className={styles['site']}>
              course
            </text>
          </g>
        )}
        <path d={under} className={styles['cursor']} />
      </svg>
    </div>
  );
}

const screenOf = (cell: string, projection: ReturnType<typeof projectionOf>) => {
  const { latitude, longitude } = middleOf(cell);
  return projection([longitude, latitude]);
};

/** The neighbouring cell that lies most in a direction on the screen. */
function neighbour(cell: string, [dx, dy]: [number, number], projection: ReturnType<typeof projectionOf>) {
  const from = screenOf(cell, projection);
  if (!from) return undefined;
  const options = brush(cell, 1).flatMap((next) => {
    const to = next === cell ? null : screenOf(next, projection);
    if (!to) return [];
    const [x, y] = [to[0] - from[0], to[1] - from[1]];
    return [{ next, toward: (x * dx + y * dy) / Math.hypot(x, y) }];
  });
  return options.sort((a, b) => b.toward - a.toward)[0]?.next;
}
