import { projectionOf, type MapView } from '@hurrow/core/map';
import { brush, cellAt, middleOf } from '@hurrow/core/range';

/** Pixels per radian between which a map is looked at, and the step of a key. */
const [FURTHEST, NEAREST, STEP] = [350, 20_000, 1.4];

/** A point of the map as it lies on the screen, in the map's own pixels, from where a pointer is. */
export const pointAt = (
  pointer: { clientX: number; clientY: number },
  box: { left: number; top: number; width: number; height: number },
  view: Pick<MapView, 'width' | 'height'>,
): { x: number; y: number } => ({
  x: ((pointer.clientX - box.left) * view.width) / box.width,
  y: ((pointer.clientY - box.top) * view.height) / box.height,
});

export interface MapPlace {
  latitude: number;
  longitude: number;
}

/** The place under a point of the map, in degrees; undefined where the globe does not reach. */
export function placeUnder({ x, y }: { x: number; y: number }, view: MapView): MapPlace | undefined {
  const place = projectionOf(view).invert?.([x, y]);
  return place && Number.isFinite(place[0]) ? { latitude: place[1], longitude: place[0] } : undefined;
}

/** The cell under a point of the map. */
export function cellUnder(point: { x: number; y: number }, view: MapView): string | undefined {
  const place = placeUnder(point, view);
  return place && cellAt(place.latitude, place.longitude);
}

/** What the arrow keys mean on the screen. */
export const ARROWS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
/** A key moves a place so many pixels. */
const NUDGE = 6;

/** A place moved on the map by an arrow key. */
export function nudged(place: MapPlace, [dx, dy]: [number, number], view: MapView): MapPlace {
  const at = projectionOf(view)([place.longitude, place.latitude]);
  return (at && placeUnder({ x: at[0] + dx * NUDGE, y: at[1] + dy * NUDGE }, view)) ?? place;
}

/**
 * A place as it is written down from a map: to so many decimals as a pixel is wide, so that it promises no more.
 *
 * @param scale pixels a radian
 * @example
 * asExact({ latitude: 47.123456, longitude: -116.98765 }, 3000); // { latitude: 47.1, longitude: -117 }
 */
export function asExact({ latitude, longitude }: MapPlace, scale: number): MapPlace {
  const degrees = 180 / Math.PI / scale;
  const decimals = Math.min(4, Math.max(0, Math.ceil(-Math.log10(degrees)) - 1));
  return { latitude: Number(latitude.toFixed(decimals)), longitude: Number(longitude.toFixed(decimals)) };
}

/** The map pushed by so many of its pixels: what was under the pointer stays under it. */
export function pushed(view: MapView, dx: number, dy: number): MapView {
  const place = projectionOf(view).invert?.([view.width / 2 - dx, view.height / 2 - dy]);
  if (!place) return view;
  return { ...view, longitude: place[0], latitude: Math.max(-75, Math.min(75, place[1])) };
}

/** The map from nearer or from further off. */
export const zoomed = (view: MapView, nearer: boolean): MapView => ({
  ...view,
  scale: nearer ? Math.min(NEAREST, view.scale * STEP) : Math.max(FURTHEST, view.scale / STEP),
});

/** The map moved so that a place is in its middle, if it lies near the edge or beyond. */
export function keptInSight(view: MapView, place: { latitude: number; longitude: number }): MapView {
  const at = projectionOf(view)([place.longitude, place.latitude]);
  const [x, y] = at ?? [0, 0];
  const EDGE = 30;
  const inside = x >= EDGE && y >= EDGE && x <= view.width - EDGE && y <= view.height - EDGE;
  return inside ? view : { ...view, latitude: place.latitude, longitude: place.longitude };
}

/** The neighboring cell that lies most in a direction on the screen. */
export function neighbourOf(
  cell: string,
  [dx, dy]: [number, number],
  projection: ReturnType<typeof projectionOf>,
): string | undefined {
  const onScreen = (each: string) => {
    const { latitude, longitude } = middleOf(each);
    return projection([longitude, latitude]);
  };
  const from = onScreen(cell);
  if (!from) return undefined;
  const options = brush(cell, 1).flatMap((next) => {
    const to = next === cell ? null : onScreen(next);
    if (!to) return [];
    const [x, y] = [to[0] - from[0], to[1] - from[1]];
    return [{ next, toward: (x * dx + y * dy) / Math.hypot(x, y) }];
  });
  return options.sort((a, b) => b.toward - a.toward)[0]?.next;
}
