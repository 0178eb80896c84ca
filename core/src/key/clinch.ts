import type { Channel, ProfiledTaxon } from '../evidence/index.ts';
import { priceOf, sayingsOf, tellsFrom, type Saying } from '../recap/recap.ts';
import { taxaBelow, type Key, type KeyEnd, type KeyNode } from './key.ts';
import type { View } from '../view/index.ts';
import { LONG_LIST, type Sight } from './questions.ts';

/** Those near an end, from whom its name is clinched: the taxa below the nearest couplet above it that has so many. */
const COMPANY = 3;
/** Where nothing tells it from all beside it at its last couplet, it is to tell it from this share of them at least. */
const MOST = 0.6;
/** What clinches a name is true of this share of its specimens at least, as is all that is said on a lead. */
const TRUE_OF = 0.95;
/** What telling all of those near it is worth, and all of the list, beside the price of the look. */
const WORTH = { near: 3, all: 0.5 };

/** What is known as a key is gone down: the taxa below each couplet, and the characters that were looked at. */
interface Way {
  below: string[][];
  looked: ReadonlySet<string>;
}

/**
 * The key with the mark that clinches it said at each end that names one taxon: what nearly all its specimens show and hardly any of those
 * near it in the key and of the others do, and none of those beside it, at its last couplet. It is something that was not looked at on
 * the way where that tells it from all near it: whoever finds it wanting has taken a wrong turn. Else it is the best mark of the way; what
 * is missing, such as hair, where nothing that is there serves; and at last what tells it from most of those beside it. Of what the only
 * tree beside it shows as well, nothing is said.
 *
 * @param sight of the list of the key, with what may be asked
 */
export function withClinchers(key: Key, { readings }: Sight): Key {
  const channels = [...readings.channels.values()].flat().filter(({ character }) => !character.derived);
  const places = new Map(readings.taxa.map(({ taxon }, t) => [taxon.id, t]));
  const known = { list: readings.taxa, view: readings.view, channels, places };
  const visit = (node: KeyNode, way: Way): KeyNode => {
    if (node.kind === 'end') return clinched(node, way, known);
    const below = [...way.below, taxaBelow(node)];
    return {
      ...node,
      leads: node.leads.map((lead) => {
        const looked = [lead.condition, ...lead.also].map(({ characterId }) => characterId);
        return { ...lead, to: visit(lead.to, { below, looked: new Set([...way.looked, ...looked]) }) };
      }),
    };
  };
  return { ...key, root: visit(key.root, { below: [], looked: new Set() }) };
}

interface Known {
  list: readonly ProfiledTaxon[];
  view: View;
  channels: readonly Channel[];
  places: ReadonlyMap<string, number>;
}

function clinched({ clinch: _before, ...end }: KeyEnd, way: Way, known: Known): KeyEnd {
  const [id, ...others] = end.taxa;
  const t = id === undefined || others.length > 0 ? undefined : known.places.get(id);
  const company = way.below.findLast((taxa) => taxa.length >= COMPANY) ?? way.below[0];
  if (t === undefined || !company) return end;
  const places = (ids: readonly string[]) =>
    ids.flatMap((each) => (each === id ? [] : (known.places.get(each) ?? [])));
  const near = places(company);
  const beside = places(way.below.at(-1) ?? []);
  // Looking at all of a long list would take as long as the key.
  const all = known.list.length > LONG_LIST ? near : places([...known.places.keys()]);
  const from = { beside, near, all };
  const fresh = bestOf(t, from, known, { but: way.looked });
  const best =
    fresh?.near === 1
      ? fresh
      : (bestOf(t, from, known) ??
        bestOf(t, from, known, { negative: true }) ??
        bestOf(t, from, known, { least: MOST }));
  return best ? { ...end, clinch: best.saying.condition } : end;
}

/** What tells a taxon from all beside it or so large a share, from those near it and from all: the mark that is worth most. */
function bestOf(
  t: number,
  { beside, near, all }: Record<'beside' | 'near' | 'all', readonly number[]>,
  { list, view, channels }: Known,
  {
    but,
    negative = false,
    least = 1,
  }: { but?: ReadonlySet<string>; negative?: boolean; least?: number } = {},
): { saying: Saying; near: number } | undefined {
  const { genus } = list[t]!.taxon;
  const within = near.some((r) => list[r]!.taxon.genus === genus) ? genus : undefined;
  const told = (saying: Saying, among: readonly number[]) =>
    among.filter((r) => tellsFrom(saying, r, list[r]!, view)).length / among.length;
  let best: { saying: Saying; near: number; worth: number } | undefined;
  for (const channel of channels.filter(({ character }) => !but?.has(character.id)))
    for (const saying of sayingsOf(channel, t, within, TRUE_OF)) {
      if (saying.negative !== negative || told(saying, beside) < least) continue;
      const ofNear = told(saying, near);
      const worth = WORTH.near * ofNear + WORTH.all * told(saying, all) - priceOf(saying);
      if (ofNear > 0 && (!best || worth > best.worth)) best = { saying, near: ofNear, worth };
    }
  return best;
}
