import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useRef, useState } from 'react';
import { baseMap, projectionOf, type MapView } from '@hurrow/core/map';
import { color } from '../app/tokens.ts';
import { atlasQuery } from './atlasQuery.ts';
import { Ground, Lines } from './BaseMap.tsx';
import {
  ARROWS,
  asExact,
  keptInSight,
  nudged,
  placeUnder,
  pointAt,
  pushed,
  zoomed,
  type MapPlace,
} from './mapView.ts';
import styles from './range.module.css';

interface SiteMapProps {
  /** Where the site is so far. */
  place: MapPlace;
  onPlace(place: MapPlace): void;
}

const SIZE = { width: 720, height: 420 };
/** Pixels a radian: a state or two. */
const AT_FIRST = 2700;
/** A press that moves so many pixels has pushed the map. */
const PUSHED = 4;

/** A map to put a site on: a press sets it, dragging moves the map. */
export default function SiteMap({ place, onPlace }: SiteMapProps) {
  const [view, setView] = useState<MapView>({ ...place, scale: AT_FIRST, ...SIZE });
  const atlas = useQuery(atlasQuery);
  const base = useMemo(() => baseMap(view, atlas.data), [view, atlas.data]);
  const pointer = useSitePointer(view, setView, onPlace);
  const keys = (event: React.KeyboardEvent) => {
    const arrow = ARROWS[event.key];
    if (arrow) {
      const next = nudged(place, arrow, view);
      onPlace(asExact(next, view.scale));
      setView(keptInSight(view, next));
    } else if (event.key === '+' || event.key === '=') setView(zoomed(view, true));
    else if (event.key === '-') setView(zoomed(view, false));
    else return;
    event.preventDefault();
  };
  const at = projectionOf(view)([place.longitude, place.latitude]);
  return (
    <div className={styles['site-map']}>
      <p className="quiet">
        {atlas.isError
          ? t`The map could not be fetched. Look at the connection, or type the place.`
          : t`Press where the course is; drag to move the map. By keys: the arrows move the site, + and − the map.`}{' '}
        <button type="button" onClick={() => setView(zoomed(view, true))}>
          <Trans>Nearer</Trans>
        </button>{' '}
        <button type="button" onClick={() => setView(zoomed(view, false))}>
          <Trans>Farther</Trans>
        </button>
      </p>
      {/* One composite control: a press or the arrow keys move the site. */}
      <div
        className={styles['range-map']}
        role="application"
        tabIndex={0}
        aria-label={t`Map of the site. Arrow keys move the site, plus and minus the map.`}
        onKeyDown={keys}
      >
        <svg viewBox={`0 0 ${view.width} ${view.height}`} aria-hidden="true" {...pointer}>
          <Ground base={base} {...SIZE} />
          <Lines base={base} />
          {at && (
            <g transform={`translate(${at[0]} ${at[1]})`}>
              <circle r={7} fill="none" stroke={color('rust')} strokeWidth={2} />
              <path d="M-12 0h24M0 -12v24" stroke={color('rust')} strokeWidth={1.2} />
            </g>
          )}
        </svg>
      </div>
    </div>
  );
}

/** A press sets the place, a drag pushes the map. */
function useSitePointer(view: MapView, onView: (view: MapView) => void, onPlace: (place: MapPlace) => void) {
  const drag = useRef<{ x: number; y: number; far: number } | undefined>(undefined);
  const at = (event: React.PointerEvent) => pointAt(event, event.currentTarget.getBoundingClientRect(), view);
  return {
    onPointerDown: (event: React.PointerEvent) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      drag.current = { ...at(event), far: 0 };
    },
    onPointerMove: (event: React.PointerEvent) => {
      const from = drag.current;
      if (!from) return;
      const to = at(event);
      const far = from.far + Math.hypot(to.x - from.x, to.y - from.y);
      if (far > PUSHED) onView(pushed(view, to.x - from.x, to.y - from.y));
      drag.current = { ...to, far };
    },
    onPointerUp: (event: React.PointerEvent) => {
      const found = drag.current && drag.current.far <= PUSHED ? placeUnder(at(event), view) : undefined;
      drag.current = undefined;
      if (found) onPlace(asExact(found, view.scale));
    },
    onPointerCancel: () => {
      drag.current = undefined;
    },
  };
}
