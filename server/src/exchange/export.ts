import {
  writeCharacterTable,
  writeDarwinCore,
  writeScoreTable,
  writeSdd,
  writeTaxonTable,
} from '@hurrow/core/formats';
import { writeBundle } from '@hurrow/core/bundle';
import { rangeAsGeoJson } from '@hurrow/core/range';
import { scientificName } from '@hurrow/core/taxon';
import type { ExportFormat } from '@hurrow/contract/exchange';
import type { Ground } from './plan.ts';

/**
 * The library in a format, as text; retired taxa are left out.
 *
 * @param at when it is written, ISO 8601; `sourceId` the source of a table of taxa × characters, the first where none is given
 */
export function written(
  { format, sourceId, at }: { format: ExportFormat; sourceId: string | undefined; at: string },
  ground: Ground,
): string {
  const { vocabulary, library: whole } = ground.read;
  const library = { ...whole, taxa: whole.taxa.filter(({ taxon }) => !taxon.retired) };
  const ranges = library.taxa.flatMap(({ taxon }) => {
    const range = ground.ranges.get(taxon.id);
    return range ? [{ id: taxon.id, scientificName: scientificName(taxon), range }] : [];
  });
  switch (format) {
    case 'json':
      return writeBundle(library, Object.fromEntries(ranges.map(({ id, range }) => [id, range])));
    case 'scores':
      return writeScoreTable(library.taxa, vocabulary);
    case 'table':
      return writeTaxonTable(library.taxa, vocabulary, sourceId ?? library.sources[0]!.id);
    case 'sdd':
      return writeSdd(library, vocabulary, at);
    case 'characters':
      return writeCharacterTable(vocabulary);
    case 'occurrences':
      return writeDarwinCore(ranges);
    case 'geojson':
      return JSON.stringify({
        type: 'FeatureCollection',
        features: ranges.flatMap(({ scientificName: name, range }) => rangeAsGeoJson(range, name).features),
      });
  }
}
