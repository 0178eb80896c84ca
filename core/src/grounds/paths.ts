import type { GroundFeatures } from './features.ts';
import { fromPlane, metresBetween, onPlane, type LatLon } from './metres.ts';

/** A way between two places along the paths. */
export interface Route {
  /** Metres to walk, what lies off the paths among them. */
  metres: number;
  /** Metres of them off the paths. */
  off: number;
  /** Metres up and down, as far as the paths say their heights. */
  up: number;
  down: number;
  /** It has steps, or is too rough for wheels. */
  steps: boolean;
  /** No path leads there: it is as the crow flies. */
  straight: boolean;
  line: LatLon[];
}

interface Node {
  x: number;
  y: number;
  z: number | undefined;
}

interface Edge {
  a: number;
  b: number;
  metres: number;
  steps: boolean;
}

/** Where a place joins the paths: on an edge, at a share of it from a, so many metres away. */
interface Joint {
  at: { x: number; y: number };
  edge: number;
  share: number;
  off: number;
}

/** Ends of paths so near to another path are joined to it, metres: nobody draws them to the centimetre. */
const JOINED = 2;
/** Points so near are one. */
const SAME = 0.5;
/** Between places without a path one walks round what stands in the way. */
const ROUND_ABOUT = 1.2;

export interface PathOptions {
  /** Leave paths with steps out. */
  stepFree?: boolean;
}

/**
 * The paths and roads of grounds as a network: lines that cross or meet are joined there.
 *
 * @example
 * const paths = new Paths(features);
 * paths.route(gate, tree).metres; // 340
 */
export class Paths {
  readonly nodes: Node[] = [];
  readonly edges: Edge[] = [];
  readonly #origin: LatLon;
  readonly #beside: { node: number; edge: number }[][] = [];
  readonly #found = new Map<string, Reached>();

  constructor({ features }: GroundFeatures, { stepFree = false }: PathOptions = {}) {
    const lines = features.flatMap(({ geometry, properties }) =>
      geometry.type === 'LineString' &&
      (properties.kind === 'path' || properties.kind === 'road') &&
      !(stepFree && properties.steps)
        ? [{ steps: properties.steps === true, at: geometry.coordinates }]
        : [],
    );
    const [longitude = 0, latitude = 0] = lines[0]?.at[0] ?? [];
    this.#origin = { latitude, longitude };
    this.#join(
      lines.map(({ steps, at }) => ({
        steps,
        points: at.map(([lon = 0, lat = 0, z]) => ({ ...this.#plane({ latitude: lat, longitude: lon }), z })),
      })),
    );
    for (const [edge, { a, b }] of this.edges.entries()) {
      (this.#beside[a] ??= []).push({ node: b, edge });
      (this.#beside[b] ??= []).push({ node: a, edge });
    }
  }

  /** The shortest way from one place to another; straight where no path leads there, or the path is a detour. */
  route(from: LatLon, to: LatLon): Route {
    const [start, end] = [this.#joint(from), this.#joint(to)];
    const straight = this.#straight(from, to);
    if (!start || !end) return straight;
    const walked = this.#walk(start, end);
    const metres = walked ? start.off + walked.metres + end.off : Infinity;
    // Two trees that stand beside each other off the path are walked between, not by the path.
    const beside = straight.metres <= start.off + end.off + SAME;
    if (!walked || (beside && straight.metres < metres)) return straight;
    const points = [this.#plane(from), ...walked.points, this.#plane(to)];
    return {
      metres,
      off: start.off + end.off,
      ...climbOf(walked.points),
      steps: walked.steps,
      straight: false,
      line: points.map((point) => fromPlane(point, this.#origin)),
    };
  }

  #plane(place: LatLon) {
    return onPlane(place, this.#origin);
  }

  #straight(from: LatLon, to: LatLon): Route {
    const metres = ROUND_ABOUT * metresBetween(from, to);
    return { metres, off: metres, up: 0, down: 0, steps: false, straight: true, line: [from, to] };
  }

  /** Splits lines where they cross or meet, and makes nodes and edges of the pieces. */
  #join(lines: readonly { steps: boolean; points: Node[] }[]): void {
    const segments = lines.flatMap(({ steps, points }) =>
      points.slice(1).map((b, i) => ({ a: points[i]!, b, steps })),
    );
    const ends = lines.flatMap(({ points }) => [points[0]!, points.at(-1)!]);
    const byPlace = new Map<string, number>();
    const nodeAt = (point: Node): number => {
      const [cx, cy] = [Math.round(point.x / SAME), Math.round(point.y / SAME)];
      for (const [dx, dy] of NEAR) {
        const there = byPlace.get(`${cx + dx} ${cy + dy}`);
        if (there !== undefined && apart(this.nodes[there]!, point) <= SAME) return there;
      }
      byPlace.set(`${cx} ${cy}`, this.nodes.length);
      return this.nodes.push(point) - 1;
    };
    for (const segment of segments) {
      const { a, b, steps } = segment;
      const shares = [0, 1];
      for (const other of segments) {
        const share = other === segment ? undefined : crossing(segment, other);
        if (share !== undefined) shares.push(share);
      }
      // An end that nearly meets this line is led on to it.
      const joined = ends.flatMap((end) => {
        const foot = footOf(end, a, b);
        const isOwn = apart(end, a) <= SAME || apart(end, b) <= SAME;
        return !isOwn && foot.off <= JOINED ? [{ end, share: foot.share }] : [];
      });
      shares.push(...joined.map(({ share }) => share));
      const at = [...new Set(shares)].sort((x, y) => x - y).map((share) => nodeAt(between(a, b, share)));
      at.slice(1).forEach((node, i) => this.#edge(at[i]!, node, steps));
      for (const { end, share } of joined) this.#edge(nodeAt(end), nodeAt(between(a, b, share)), steps);
    }
  }

  #edge(a: number, b: number, steps: boolean): void {
    if (a !== b) this.edges.push({ a, b, metres: apart(this.nodes[a]!, this.nodes[b]!), steps });
  }

  #joint(place: LatLon): Joint | undefined {
    const point = this.#plane(place);
    let best: Joint | undefined;
    this.edges.forEach(({ a, b }, edge) => {
      const { share, off, at } = footOf(point, this.nodes[a]!, this.nodes[b]!);
      if (!best || off < best.off) best = { at, edge, share, off };
    });
    return best;
  }

  #walk(start: Joint, end: Joint): { metres: number; points: Node[]; steps: boolean } | undefined {
    const [first, last] = [this.edges[start.edge]!, this.edges[end.edge]!];
    if (start.edge === end.edge)
      return {
        metres: Math.abs(start.share - end.share) * first.metres,
        points: [this.#on(start), this.#on(end)],
        steps: first.steps,
      };
    const reached = this.#from(start);
    const viaA = reached.metres[last.a]! + end.share * last.metres;
    const viaB = reached.metres[last.b]! + (1 - end.share) * last.metres;
    const metres = Math.min(viaA, viaB);
    if (!Number.isFinite(metres)) return undefined;
    const points: Node[] = [this.#on(end)];
    let steps = first.steps || last.steps;
    for (let node = viaA <= viaB ? last.a : last.b; node >= 0; node = reached.before[node]!) {
      points.unshift(this.nodes[node]!);
      steps ||= reached.stepped[node] === 1;
    }
    return { metres, points: [this.#on(start), ...points], steps };
  }

  /** Where a joint is, with its height between those of the ends. */
  #on({ edge, share }: Joint): Node {
    const { a, b } = this.edges[edge]!;
    return between(this.nodes[a]!, this.nodes[b]!, share);
  }

  /** Distances from a joint to all nodes (Dijkstra 1959); kept, since a walk asks from each of its stops to all others. */
  #from(start: Joint): Reached {
    const key = `${start.edge} ${start.share}`;
    const known = this.#found.get(key);
    if (known) return known;
    const n = this.nodes.length;
    const reached: Reached = {
      metres: new Float64Array(n).fill(Infinity),
      before: new Int32Array(n).fill(-1),
      stepped: new Uint8Array(n),
    };
    const { a, b, metres } = this.edges[start.edge]!;
    reached.metres[a] = start.share * metres;
    reached.metres[b] = (1 - start.share) * metres;
    const open = new Set([a, b]);
    while (open.size > 0) {
      let nearest = -1;
      for (const node of open)
        if (nearest < 0 || reached.metres[node]! < reached.metres[nearest]!) nearest = node;
      open.delete(nearest);
      for (const { node, edge } of this.#beside[nearest] ?? []) {
        const through = reached.metres[nearest]! + this.edges[edge]!.metres;
        if (through >= reached.metres[node]!) continue;
        reached.metres[node] = through;
        reached.before[node] = nearest;
        reached.stepped[node] = this.edges[edge]!.steps || reached.stepped[nearest] === 1 ? 1 : 0;
        open.add(node);
      }
    }
    this.#found.set(key, reached);
    return reached;
  }
}

interface Reached {
  metres: Float64Array;
  before: Int32Array;
  stepped: Uint8Array;
}

const NEAR = [-1, 0, 1].flatMap((dx) => [-1, 0, 1].map((dy) => [dx, dy] as const));

const apart = (a: { x: number; y: number }, b: { x: number; y: number }): number =>
  Math.hypot(a.x - b.x, a.y - b.y);

const between = (a: Node, b: Node, share: number): Node => ({
  x: a.x + share * (b.x - a.x),
  y: a.y + share * (b.y - a.y),
  z: a.z === undefined || b.z === undefined ? undefined : a.z + share * (b.z - a.z),
});

/** The point of a segment nearest to a point. */
export function footOf(
  point: { x: number; y: number },
  a: { x: number; y: number },
  b: { x: number; y: number },
): { share: number; off: number; at: { x: number; y: number } } {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const length = dx * dx + dy * dy;
  const share =
    length === 0 ? 0 : Math.max(0, Math.min(1, ((point.x - a.x) * dx + (point.y - a.y) * dy) / length));
  const at = { x: a.x + share * dx, y: a.y + share * dy };
  return { share, off: apart(point, at), at };
}

/** Where along the first segment the second crosses it, 0–1; undefined where it does not. */
function crossing(one: { a: Node; b: Node }, other: { a: Node; b: Node }): number | undefined {
  const [rx, ry] = [one.b.x - one.a.x, one.b.y - one.a.y];
  const [sx, sy] = [other.b.x - other.a.x, other.b.y - other.a.y];
  const cross = rx * sy - ry * sx;
  if (Math.abs(cross) < 1e-9) return undefined;
  const [qx, qy] = [other.a.x - one.a.x, other.a.y - one.a.y];
  const t = (qx * sy - qy * sx) / cross;
  const u = (qx * ry - qy * rx) / cross;
  return t > 0 && t < 1 && u >= 0 && u <= 1 ? t : undefined;
}

function climbOf(points: readonly Node[]): { up: number; down: number } {
  let [up, down] = [0, 0];
  points.slice(1).forEach(({ z }, i) => {
    const before = points[i]!.z;
    if (z === undefined || before === undefined) return;
    if (z > before) up += z - before;
    else down += before - z;
  });
  return { up, down };
}
