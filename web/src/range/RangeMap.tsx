import { Trans } from '@lingui/react/macro';
import { useQuery } from '@tanstack/react-query';
import { geoPath } from 'd3-geo';
import { useMemo } from 'react';
import { brush, RANGE_STATUSES, type RangeCells, type RangeStatus } from '@hurrow/core/range';
import { baseMap, outline, projectionOf } from '@hurrow/core/map';
import { color } from '../app/tokens.ts';
import { atlasQuery } from './atlasQuery.ts';
import { Ground, Lines } from './BaseMap.tsx';
import styles from './range.module.css';
import { usePainting, type PaintingOptions } from './usePainting.ts';

/** Fill of each status; told apart by lightness, and by a hatch or a dot as well. */
export const STATUS_LOOK: Record<RangeStatus, { fill: string; mark?: 'hatch' | 'dots' | 'cross' }> = {
  native: { fill: color('rangeNative') },
  introduced: { fill: color('rangeIntroduced'), mark: 'hatch' },
  planted: { fill: color('rangePlanted'), mark: 'dots' },
  rare: { fill: color('rangeRare'), mark: 'dots' },
  extirpated: { fill: color('rangeGone'), mark: 'cross' },
};

interface RangeMapProps extends PaintingOptions {
  cells: RangeCells;
  /** The course's site. */
  site: { latitude: number; longitude: number } | undefined;
  label: string;
}

/** The map of cells. It is painted with a pointer or with keys; what it shows stands beside it in words. */
export function RangeMap(props: RangeMapProps) {
  const { cells, view, tool, radius, cursor, site, label } = props;
  const { keys, pointer } = usePainting(props);
  const projection = useMemo(() => projectionOf(view), [view]);
  const atlas = useQuery(atlasQuery).data;
  const base = useMemo(() => baseMap(view, atlas), [view, atlas]);
  const path = useMemo(() => geoPath(projection).digits(1), [projection]);
  const under = useMemo(
    () => path(outline(brush(cursor, tool === 'move' ? 0 : radius))) ?? '',
    [cursor, radius, tool, path],
  );
  const place = site && projection([site.longitude, site.latitude]);
  return (
    // The map is one composite control: arrow keys move its cursor and Space paints.
    <div className={styles['range-map']} role="application" aria-label={label} tabIndex={0} onKeyDown={keys}>
      <svg
        viewBox={`0 0 ${view.width} ${view.height}`}
        className={tool === 'move' ? styles['moving'] : ''}
        {...pointer}
        aria-hidden="true"
      >
        <Patterns />
        <Ground base={base} width={view.width} height={view.height} />
        <Painted cells={cells} path={path} />
        <Lines base={base} />
        {place && (
          <g transform={`translate(${place[0]} ${place[1]})`}>
            <path d="M-6 0h12M0 -6v12" stroke={color('rust')} strokeWidth={2} />
            <text x={9} y={4} className={styles['site']}>
              <Trans>course</Trans>
            </text>
          </g>
        )}
        <path d={under} className={styles['cursor']} />
      </svg>
    </div>
  );
}

/** What stands in a fill beside its lightness. */
const Patterns = () => (
  <defs>
    <pattern id="hatch" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <path d="M0 0v6" stroke={color('ink')} strokeWidth="1.6" />
    </pattern>
    <pattern id="dots" width="7" height="7" patternUnits="userSpaceOnUse">
      <circle cx="3.5" cy="3.5" r="1.3" fill={color('ink')} />
    </pattern>
    <pattern id="cross" width="8" height="8" patternUnits="userSpaceOnUse">
      <path d="M1 1l6 6M7 1l-6 6" stroke={color('ink')} strokeWidth="0.9" />
    </pattern>
  </defs>
);

/** The cells of each status as one shape. */
function Painted({ cells, path }: { cells: RangeCells; path: ReturnType<typeof geoPath> }) {
  const painted = useMemo(
    () =>
      RANGE_STATUSES.map((status) => {
        const held = Object.keys(cells).filter((cell) => cells[cell] === status);
        return { status, d: held.length ? (path(outline(held)) ?? '') : '' };
      }).filter(({ d }) => d),
    [cells, path],
  );
  return painted.map(({ status, d }) => {
    const { fill, mark } = STATUS_LOOK[status];
    return (
      <g key={status}>
        <path d={d} fill={fill} fillOpacity={0.78} stroke={color('sheet')} strokeWidth={0.4} />
        {mark && <path d={d} fill={`url(#${mark})`} fillOpacity={0.5} />}
      </g>
    );
  });
}
