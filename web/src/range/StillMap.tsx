import { useQuery } from '@tanstack/react-query';
import { geoPath } from 'd3-geo';
import { useMemo } from 'react';
import { RANGE_STATUSES, rangeInWords, type Range } from '@hurrow/core/range';
import { color } from '../app/tokens.ts';
import { atlasQuery } from './atlasQuery.ts';
import { baseMap, outline, projectionOf } from './baseMap.ts';
import { viewOf } from './mapView.ts';
import { STATUS_LOOK } from './RangeMap.tsx';

/** A range to look at: where it grows, and where the course is. */
export function StillMap({ range, site }: { range: Range; site: { latitude: number; longitude: number } }) {
  const atlas = useQuery(atlasQuery).data;
  const { cells } = range;
  const view = useMemo(() => viewOf(cells, site), [cells, site]);
  const base = useMemo(() => baseMap(view, atlas), [view, atlas]);
  const projection = useMemo(() => projectionOf(view), [view]);
  const path = useMemo(() => geoPath(projection).digits(1), [projection]);
  const here = projection([site.longitude, site.latitude]);
  return (
    <svg viewBox={`0 0 ${view.width} ${view.height}`} role="img" aria-label={rangeInWords(range)}>
      {/* Within its own frame nothing runs over the edge. */}
      <svg width={view.width} height={view.height}>
        <rect width={view.width} height={view.height} fill={color('sea')} />
        <path d={base.land} fill={color('land')} />
        {RANGE_STATUSES.map((status) => {
          const held = Object.keys(cells).filter((cell) => cells[cell] === status);
          return held.length > 0 ? (
            <path
              key={status}
              d={path(outline(held)) ?? ''}
              fill={STATUS_LOOK[status].fill}
              fillOpacity={0.75}
            />
          ) : null;
        })}
        {[base.graticule, base.borders, base.states, base.counties].map((d, i) => (
          <path
            key={i}
            d={d}
            fill="none"
            stroke={color(i === 0 ? 'graticule' : 'line2')}
            strokeWidth={i === 0 ? 0.5 : 0.9}
          />
        ))}
      </svg>
      {here && (
        <g>
          <circle
            cx={here[0]}
            cy={here[1]}
            r={6}
            fill={color('rust')}
            stroke={color('sheet')}
            strokeWidth={2}
          />
          <text
            x={here[0] + 11}
            y={here[1] + 5}
            fontSize={17}
            fill={color('ink')}
            stroke={color('sheet')}
            strokeWidth={4}
            paintOrder="stroke"
          >
            here
          </text>
        </g>
      )}
    </svg>
  );
}
