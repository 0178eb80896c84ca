import { t } from '@lingui/core/macro';
import type { SortBody } from '@hurrow/contract/sorts';
import type { Pile, TaggedTwig } from '@hurrow/core/sorting';
import { newId } from '../app/newId.ts';

/** A table as it stands in this browser. */
export interface TableState extends SortBody {
  id: string;
}

const ON_TABLE = 12;
const SEEDS = 2 ** 31 - 1;

/** What a table is laid from: trees, of which specimens are drawn, or real twigs of them by their tags. */
export interface LaidFrom {
  taxa: readonly string[];
  real?: readonly TaggedTwig[];
}

/** A table of its own with nothing sorted yet. */
export const freshTable = ({ taxa, real }: LaidFrom, day: number, lot = Math.random()): TableState => ({
  id: newId(),
  day,
  seed: 1 + Math.floor(lot * (SEEDS - ON_TABLE - 1)),
  taxa: [...taxa],
  ...(real ? { real: [...real] } : {}),
  piles: { specimens: Array.from({ length: real?.length ?? ON_TABLE }, (_, i) => i) },
  said: {},
});

/** The table that was kept as text; undefined where none was, or where it was laid from something else than is sorted now. */
export function keptTable(text: string | null, { taxa, real }: LaidFrom): TableState | undefined {
  try {
    const held = JSON.parse(text ?? 'null') as TableState | null;
    const isSame = (a: unknown, b: unknown) => JSON.stringify(a ?? []) === JSON.stringify(b ?? []);
    return held && isSame(held.taxa, taxa) && isSame(held.real, real) ? held : undefined;
  } catch {
    return undefined;
  }
}

/** The table with other piles; what was said of a pile that is gone is forgotten. */
export function withPiles(state: TableState, piles: Pile): TableState {
  const sorted = new Set(sortedPaths(piles));
  const said = Object.fromEntries(Object.entries(state.said).filter(([path]) => sorted.has(path)));
  return { ...state, piles, said };
}

const sortedPaths = (pile: Pile, path = ''): string[] =>
  pile.into ? [path, ...pile.into.flatMap((each, i) => sortedPaths(each, `${path}${i}`))] : [];

/** How many sorts a table has, and into how many piles. */
export function sortDepth(pile: Pile): { sorts: number; piles: number } {
  if (!pile.into) return { sorts: 0, piles: 1 };
  const [a, b] = pile.into.map(sortDepth);
  return { sorts: 1 + a!.sorts + b!.sorts, piles: a!.piles + b!.piles };
}

/** `sortSaid({ sorts: 2, piles: 3 })` is “sorted twice, into 3 piles”. */
export function sortSaid({ sorts, piles }: { sorts: number; piles: number }): string {
  const times = [t`not sorted`, t`sorted once`, t`sorted twice`][sorts] ?? t`sorted ${sorts} times`;
  return sorts === 0 ? times : t`${times}, into ${piles} piles`;
}
