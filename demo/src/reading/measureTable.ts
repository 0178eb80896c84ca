import { randomFrom } from '@hurrow/core/random';
import type { Meant } from './measuresByHand.ts';

export interface WrittenMeasure {
  kind: string;
  text: string;
  characterId: string;
  meant: Meant;
}

interface Kind {
  id: string;
  /** Spellings of units, with what one is in stored units; none for counts. */
  units: [string, number][];
  /** Spans that are plausible, in the first unit. */
  from: number;
  to: number;
  whole?: boolean;
}

const METRIC_SMALL: [string, number][] = [
  ['cm', 0.01],
  ['mm', 0.001],
  ['in', 0.0254],
  ['inches', 0.0254],
  ['"', 0.0254],
];
const KINDS: Kind[] = [
  { id: 'leaf.length', units: METRIC_SMALL, from: 2, to: 30 },
  {
    id: 'bud.length',
    units: [
      ['mm', 0.001],
      ['cm', 0.01],
      ['in.', 0.0254],
    ],
    from: 1,
    to: 30,
  },
  {
    id: 'habit.height',
    units: [
      ['m', 1],
      ['ft', 0.3048],
      ['feet', 0.3048],
      ["'", 0.3048],
      ['metres', 1],
    ],
    from: 3,
    to: 60,
  },
  {
    id: 'habit.dbh',
    units: [
      ['cm', 0.01],
      ['m', 1],
      ['in', 0.0254],
      ['ft', 0.3048],
    ],
    from: 10,
    to: 250,
  },
  {
    id: 'wood.density',
    units: [
      ['kg/m³', 1],
      ['kg/m3', 1],
      ['g/cm³', 1000],
      ['lb/ft³', 16.0185],
    ],
    from: 350,
    to: 900,
  },
  { id: 'leaf.lobes', units: [], from: 3, to: 13, whole: true },
  { id: 'leaf.leaflets', units: [], from: 3, to: 19, whole: true },
  {
    id: 'fruit.samaraAngle',
    units: [
      ['°', 1],
      [' degrees', 1],
    ],
    from: 20,
    to: 170,
  },
];

type Ends = { min: string; low: string; high: string; max: string };

/** Forms in which a range is written; `u` is the unit with its space, each says which ends it holds. */
const FORMS: [kind: string, write: (ends: Ends, u: string) => string, holds: string][] = [
  ['plain', ({ low, high }, u) => `${low}–${high}${u}`, 'low high'],
  ['plain', ({ low, high }, u) => `${low} - ${high}${u}`, 'low high'],
  ['plain', ({ low, high }, u) => `${low} to ${high}${u}`, 'low high'],
  ['both ends', ({ low, high }, u) => `${low}${u} – ${high}${u}`, 'low high'],
  ['between', ({ low, high }, u) => `between ${low} and ${high}${u}`, 'low high'],
  ['from', ({ low, high }, u) => `from ${low} to ${high}${u}`, 'low high'],
  ['extremes', ({ min, low, high, max }, u) => `(${min})${low}–${high}(${max})${u}`, 'min low high max'],
  ['extremes', ({ min, low, high, max }, u) => `(${min}–)${low}–${high}(–${max})${u}`, 'min low high max'],
  ['extremes', ({ low, high, max }, u) => `${low}–${high}${u} (rarely to ${max}${u})`, 'low high max'],
  ['extremes', ({ low, high, max }, u) => `${low}-${high}${u}, occasionally ${max}${u}`, 'low high max'],
  ['extremes', ({ min, low, high }, u) => `(${min})${low}–${high}${u}`, 'min low high'],
  ['up to', ({ high }, u) => `up to ${high}${u}`, 'high'],
  ['up to', ({ high }, u) => `to ${high}${u}`, 'high'],
  ['up to', ({ high }, u) => `≤${high}${u}`, 'high'],
  ['over', ({ low }, u) => `over ${low}${u}`, 'low open'],
  ['over', ({ low }, u) => `${low}${u} or more`, 'low open'],
  ['about', ({ low }, u) => `about ${low}${u}`, 'typical'],
  ['about', ({ low }, u) => `ca. ${low}${u}`, 'typical'],
  ['single', ({ low }, u) => `${low}${u}`, 'single'],
  ['stop', ({ low, high }, u) => `${low}–${high}${u}.`, 'low high'],
  ['tight', ({ low, high }, u) => `${low}-${high}${u.trim()}`, 'low high'],
];

/** Written measures of every form for characters of every kind, with what they mean. The same seed gives the same table. */
export function measureTable(seed: number, perForm = 10): WrittenMeasure[] {
  const random = randomFrom(seed);
  return FORMS.flatMap(([kind, write, holds]) =>
    Array.from({ length: perForm }, () => {
      const character = random.pick(KINDS);
      const [unit, factor] = character.units.length ? random.pick(character.units) : ['', 1];
      const first = character.units[0]?.[1] ?? 1;
      const places = character.whole ? 0 : factor > first ? 2 : random.uniform() < 0.5 ? 0 : 1;
      const scaled = (n: number) => Number(((n * first) / factor).toFixed(places));
      const low = random.between(character.from, character.to / 2);
      const [a, b, c, d] = [low * 0.6, low, low * 1.5 + 1, low * 2 + 3].map((n) =>
        character.whole ? Math.round(n) : n,
      ) as [number, number, number, number];
      const ends = { min: scaled(a), low: scaled(b), high: scaled(c), max: scaled(d) };
      const text = write(
        { min: `${ends.min}`, low: `${ends.low}`, high: `${ends.high}`, max: `${ends.max}` },
        unit && ` ${unit}`,
      );
      return { kind, text, characterId: character.id, meant: meantBy(holds, ends, factor) };
    }),
  );
}

function meantBy(holds: string, ends: Record<string, number>, factor: number): Meant {
  const at = (end: string) => ends[end]! * factor;
  if (holds === 'single') return { low: at('low'), high: at('low') };
  if (holds === 'typical') return { typical: at('low') };
  return Object.fromEntries(
    holds.split(' ').map((end) => (end === 'open' ? ['open', true] : [end, at(end)])),
  );
}
