import { Trans } from '@lingui/react/macro';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { rangeLayers } from '@hurrow/core/map';
import { rangeInWords, type Range } from '@hurrow/core/range';
import { color } from '../app/tokens.ts';
import { atlasQuery } from './atlasQuery.ts';
import { STATUS_LOOK } from './RangeMap.tsx';
import { RANGE_WORDS } from './rangeWords.ts';

/** A range to look at: where it grows, and where the course is. */
export function StillMap({ range, site }: { range: Range; site: { latitude: number; longitude: number } }) {
  const atlas = useQuery(atlasQuery).data;
  const { view, layers, here } = useMemo(() => rangeLayers(range, site, atlas), [range, site, atlas]);
  return (
    <svg
      viewBox={`0 0 ${view.width} ${view.height}`}
      role="img"
      aria-label={rangeInWords(range, RANGE_WORDS)}
    >
      {/* Within its own frame nothing runs over the edge. */}
      <svg width={view.width} height={view.height}>
        <rect width={view.width} height={view.height} fill={color('sea')} />
        {layers.map(({ kind, d, status }, i) =>
          kind === 'land' || kind === 'range' ? (
            <path
              key={i}
              d={d}
              fill={status ? STATUS_LOOK[status].fill : color('land')}
              fillOpacity={status ? 0.75 : 1}
            />
          ) : (
            <path
              key={i}
              d={d}
              fill="none"
              stroke={color(kind === 'graticule' ? 'graticule' : 'line2')}
              strokeWidth={kind === 'graticule' ? 0.5 : 0.9}
            />
          ),
        )}
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
            <Trans>here</Trans>
          </text>
        </g>
      )}
    </svg>
  );
}
