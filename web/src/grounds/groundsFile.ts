import { plural, t } from '@lingui/core/macro';
import type { WholeGrounds } from '@hurrow/contract/grounds';
import { readTreeGeoJson, readTreeGpx, readTreeTable, type ReadTrees } from '@hurrow/core/formats';
import { readFeatures, type GroundFeatures } from '@hurrow/core/grounds';
import { resolveName } from '@hurrow/core/names';
import { tagKey } from '@hurrow/core/notebook';
import { done, refused, type Outcome } from '@hurrow/core/outcome';
import { scientificName, type Taxon } from '@hurrow/core/taxon';
import { listInWords } from '../language/inWords.ts';

/** What a file of grounds has: trees, a map, or both. */
export interface GroundsRead {
  trees?: ReadTrees;
  map?: { features: GroundFeatures; remarks: string[] };
}

/** Finds the taxon that goes by a name: its scientific name first, then by whatever else is rightly its name. */
export function taxaByName(taxa: readonly Taxon[]): (name: string) => string | undefined {
  const exact = new Map(taxa.map((taxon) => [scientificName(taxon).toLowerCase(), taxon.id]));
  return (name) => {
    const known = exact.get(name.toLowerCase());
    if (known) return known;
    const { how, taxonId } = resolveName(name, taxa);
    // A genus alone names no tree, though the library may have but one of it.
    return how === 'genus' ? undefined : taxonId;
  };
}

/** Reads a file by what is in it, whatever it is called. */
export function readGroundsFile(
  name: string,
  text: string,
  taxonOf: (name: string) => string | undefined,
): Outcome<GroundsRead> {
  const begins = text
    .replace(/^\uFEFF/, '')
    .trimStart()
    .slice(0, 1);
  if (begins === '<') return asTrees(readTreeGpx(text, taxonOf));
  if (begins !== '{') return asTrees(readTreeTable(text, taxonOf));
  let value: { features?: { geometry?: { type?: string }; properties?: { kind?: unknown } | null }[] };
  try {
    value = JSON.parse(text) as typeof value;
  } catch {
    return refused(t`“${name}” begins like JSON and is broken further on. Save it again.`);
  }
  const features = Array.isArray(value.features) ? value.features : [];
  // Points that say what kind of place they are belong to the map; the others are trees.
  const isMap = (feature: (typeof features)[number]) =>
    feature.geometry?.type !== 'Point' || typeof feature.properties?.kind === 'string';
  const [drawn, points] = [features.filter(isMap), features.filter((feature) => !isMap(feature))];
  const map = drawn.length > 0 ? readFeatures({ type: 'FeatureCollection', features: drawn }) : undefined;
  const trees =
    points.length > 0 ? readTreeGeoJson(JSON.stringify({ features: points }), taxonOf) : undefined;
  if (!map && !trees)
    return refused(t`“${name}” has no points, lines or areas. Save trees and paths as GeoJSON.`);
  const wrong = [map, trees].find((each) => each && !each.ok);
  if (wrong && !wrong.ok) return wrong;
  return done({ ...(map?.ok ? { map: map.value } : {}), ...(trees?.ok ? { trees: trees.value } : {}) });
}

const asTrees = (read: Outcome<ReadTrees>): Outcome<GroundsRead> =>
  read.ok ? done({ trees: read.value }) : read;

/** What bringing a file in would do, a sentence each. */
export function tally(
  { trees, map }: GroundsRead,
  whole: Pick<WholeGrounds, 'trees' | 'features'>,
): string[] {
  const there = new Set(whole.trees.map(({ tag }) => tagKey(tag)));
  const changed = trees?.trees.filter(({ tag }) => there.has(tagKey(tag))).length ?? 0;
  const added = (trees?.trees.length ?? 0) - changed;
  return [
    ...(trees
      ? [t`${plural(added, { one: '# tree', other: '# trees' })} would be added, ${changed} changed.`]
      : []),
    ...(trees && trees.problems.length > 0
      ? [
          t`${plural(trees.problems.length, { one: '# row', other: '# rows' })} cannot be read and would be left out.`,
        ]
      : []),
    ...(trees && trees.ignored.length > 0 ? [t`Of ${listInWords(trees.ignored)} nothing is read.`] : []),
    ...(map
      ? [
          t`${plural(map.features.features.length, { one: '# line or area', other: '# lines and areas' })} would be added to the map.`,
        ]
      : []),
  ];
}
