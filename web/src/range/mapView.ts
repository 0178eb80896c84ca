import { projectionOf, type MapView } from '@hurrow/core/map';
import { cellAt } from '@hurrow/core/range';

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

/** The cell under a point of the map; undefined where the globe does not reach. */
export function cellUnder({ x, y }: { x: number; y: number }, view: MapView): string | undefined {
  const place = projectionOf(view).invert?.([x, y]);
  return place && Number.isFinite(place[0]) ? cellAt(place[1], place[0]) : undefined;
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
