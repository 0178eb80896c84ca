import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import L from 'leaflet';
import 'leaflet/dist/leaflet.css';
import { useEffect, useEffectEvent, useRef } from 'react';
import type { GroundFeature, GroundFeatures, LatLon } from '@hurrow/core/grounds';
import { COLORS } from '../app/tokens.ts';
import type { MapTree } from './mapTrees.ts';
import { boundsOf, lookOf, nameOnMap, TREE_LOOK } from './mapLook.ts';
import styles from './map.module.css';

interface GroundsMapProps {
  features: GroundFeatures;
  trees: readonly MapTree[];
  /** Id of the tree that is looked at. */
  chosen?: string | undefined;
  /** A way and its numbered stops. */
  way?: readonly LatLon[];
  stops?: readonly LatLon[];
  /** Where the receiver is. */
  here?: (LatLon & { error: number }) | undefined;
  /** A line or area that is being drawn. */
  drawn?: readonly LatLon[];
  label: string;
  onChoose?(treeId: string): void;
  /** A press on the ground, where places are asked for. */
  onPlace?: ((place: LatLon) => void) | undefined;
}

/** Scale from which on crowns are more than dots. */
const NEAR = 17.5;

/**
 * The map of grounds: paths, water, walls, and each tree as a circle of its true crown. Leaflet moves it, by pointer, finger, wheel and
 * arrow keys; nothing is fetched for it. What it shows stands beside it as a list.
 */
export function GroundsMap(props: GroundsMapProps) {
  const { features, trees, chosen, way, label, onPlace } = props;
  const { frame, map, call } = useMap(props);
  const shown = way && way.length > 1 ? way : undefined;
  const fit = boundsOf(shown ?? trees, features);
  const picked = trees.find(({ id }) => id === chosen);
  useSight(map, { fit, picked, here: props.here, isWay: shown !== undefined });
  useGround(map, { features, trees, picked, onChoose: (id) => call.current.onChoose?.(id) });
  useWay(map, { ...props, way: shown });
  return (
    <div className={`${styles['map']} ${onPlace ? styles['placing'] : ''}`}>
      <div
        ref={frame}
        className={styles['frame']}
        role="application"
        aria-label={t`${label}. Arrow keys move the map, plus and minus change its scale.`}
      />
      <div className={styles['nearer']} role="group" aria-label={t`Scale of the map`}>
        <button type="button" aria-label={t`Nearer`} onClick={() => map.current?.zoomIn(1)}>
          +
        </button>
        <button type="button" aria-label={t`Further off`} onClick={() => map.current?.zoomOut(1)}>
          −
        </button>
        <button type="button" onClick={() => fit && map.current?.fitBounds(fit, { padding: [24, 24] })}>
          <Trans context="of a map">All</Trans>
        </button>
      </div>
    </div>
  );
}

type MapRef = React.RefObject<L.Map | null>;

/** A map without anything on it, in its frame; `call` is what it calls at a press. */
function useMap({ onChoose, onPlace }: Pick<GroundsMapProps, 'onChoose' | 'onPlace'>) {
  const frame = useRef<HTMLDivElement>(null);
  const map = useRef<L.Map>(null);
  const call = useRef({ onChoose, onPlace });
  useEffect(() => {
    call.current = { onChoose, onPlace };
  });
  useEffect(() => {
    const made = L.map(frame.current!, {
      preferCanvas: true,
      zoomControl: false,
      attributionControl: false,
      zoomSnap: 0.25,
      minZoom: 10,
      maxZoom: 21,
    });
    L.control.scale({ imperial: true, metric: true, position: 'bottomleft' }).addTo(made);
    made.on('click', ({ latlng }) => call.current.onPlace?.({ latitude: latlng.lat, longitude: latlng.lng }));
    made.setView([0, 0], 15);
    map.current = made;
    // The frame may get its size after the map is made.
    const watch = new ResizeObserver(() => made.invalidateSize());
    watch.observe(frame.current!);
    return () => {
      watch.disconnect();
      made.remove();
      map.current = null;
    };
  }, []);
  return { frame, map, call };
}

interface Sight {
  fit: ReturnType<typeof boundsOf>;
  picked: MapTree | undefined;
  here: GroundsMapProps['here'];
  /** A way is shown: it alone decides what is in sight. */
  isWay: boolean;
}

/** What is in sight: all there is, then where one stands, then the tree that was chosen. */
function useSight(map: MapRef, { fit, picked, here, isWay }: Sight): void {
  const fitKey = JSON.stringify(fit);
  const fitted = useEffectEvent(() => {
    if (fit) map.current?.fitBounds(fit, { padding: [24, 24], animate: false });
  });
  // The bounds are new at each painting, and move the map only where they differ.
  useEffect(() => fitted(), [fitKey]);
  const isHere = here !== undefined;
  const around = useEffectEvent(() => {
    if (here && !picked && !isWay) map.current?.setView(pair(here), NEAR);
  });
  // Once it is known where one is, that is what one wants to see.
  useEffect(() => around(), [isHere]);
  const near = useEffectEvent(() => {
    const made = map.current;
    if (!picked || !made || isWay) return;
    const at = L.latLng(picked.latitude, picked.longitude);
    if (made.getZoom() < NEAR || !made.getBounds().pad(-0.1).contains(at))
      made.setView(at, Math.max(NEAR, made.getZoom()));
  });
  // Whoever chooses a tree in the list wants to see where it stands.
  useEffect(() => near(), [picked?.id]);
}

interface OnGround {
  features: GroundFeatures;
  trees: readonly MapTree[];
  picked: MapTree | undefined;
  onChoose(treeId: string): void;
}

/** What stands on the ground: paths and water, each tree as its crown, a ring around the one that is looked at. */
function useGround(map: MapRef, { features, trees, picked, onChoose }: OnGround): void {
  useLayer(map, () => L.layerGroup(features.features.flatMap(layerOf)), features);
  const crown = (tree: MapTree) =>
    L.circle([tree.latitude, tree.longitude], {
      radius: Math.max(0.6, (tree.spread ?? 3) / 2),
      ...TREE_LOOK[tree.look],
    })
      .bindTooltip(asText(tree.title), { direction: 'top' })
      .on('click', (event) => {
        L.DomEvent.stop(event);
        onChoose(tree.id);
      });
  useLayer(map, () => L.layerGroup(trees.map(crown)), trees);
  const ring = { radius: 13, color: COLORS.rust, weight: 2.5, fill: false };
  useLayer(
    map,
    () => (picked ? L.circleMarker([picked.latitude, picked.longitude], ring) : undefined),
    `${picked?.latitude} ${picked?.longitude}`,
  );
}

/** What lies over it: a way with its stops, where one is, a line that is being drawn. */
function useWay(
  map: MapRef,
  {
    way,
    stops,
    here,
    drawn,
  }: Pick<GroundsMapProps, 'stops' | 'here' | 'drawn'> & { way: readonly LatLon[] | undefined },
): void {
  useLayer(map, () => (way ? L.polyline(way.map(pair), { color: COLORS.ink, weight: 3 }) : undefined), way);
  const stopAt = (stop: LatLon, i: number) =>
    L.marker(pair(stop), { icon: numbered(i + 1), keyboard: false, interactive: false });
  useLayer(map, () => stops && L.layerGroup(stops.map(stopAt)), stops);
  const around = { color: COLORS.action, weight: 1, fillOpacity: 0.12 };
  const dot = { radius: 6, color: COLORS.sheet, weight: 2, fillColor: COLORS.action, fillOpacity: 1 };
  useLayer(
    map,
    () =>
      here &&
      L.layerGroup([
        L.circle(pair(here), { radius: here.error, ...around }),
        L.circleMarker(pair(here), dot),
      ]),
    here,
  );
  useLayer(
    map,
    () =>
      drawn && drawn.length > 0
        ? L.polyline(drawn.map(pair), { color: COLORS.rust, weight: 3, dashArray: '6 4' })
        : undefined,
    drawn,
  );
}

/** Puts a layer on the map, and another in its place when what it is made of has changed. */
function useLayer(map: MapRef, make: () => L.Layer | undefined, of: unknown): void {
  const made = useEffectEvent(make);
  useEffect(() => {
    const layer = made();
    if (!layer || !map.current) return;
    layer.addTo(map.current);
    return () => void layer.remove();
  }, [map, of]);
}

const pair = ({ latitude, longitude }: LatLon): [number, number] => [latitude, longitude];

const numbered = (n: number): L.DivIcon =>
  L.divIcon({ className: styles['stop']!, html: String(n), iconSize: [22, 22] });

/** A feature as a layer, with its name for who points at it. */
function layerOf(feature: GroundFeature): L.Layer[] {
  const look = lookOf(feature.properties);
  const { geometry } = feature;
  const layer =
    geometry.type === 'Point'
      ? L.circleMarker([geometry.coordinates[1]!, geometry.coordinates[0]!], { radius: 7, ...look })
      : // Streams are lines: only an area of water is filled.
        L.geoJSON(feature, { style: geometry.type === 'Polygon' ? look : { ...look, fill: false } });
  const name = nameOnMap(feature.properties);
  if (!name) return [layer];
  return [layer.bindTooltip(asText(name), { sticky: true })];
}

/** Words as text and nothing else: Leaflet takes a string for HTML, and tags and names come from files of others. */
function asText(words: string): HTMLElement {
  const span = document.createElement('span');
  span.textContent = words;
  return span;
}
