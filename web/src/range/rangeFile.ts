import { t } from '@lingui/core/macro';
import { readDarwinCore } from '@hurrow/core/formats';
import { normaliseName } from '@hurrow/core/names';
import { readRangeGeoJson, type RangeCells } from '@hurrow/core/range';
import { scientificName, type Taxon } from '@hurrow/core/taxon';

/** Cells of a GeoJSON or Darwin Core file with remarks, or what is wrong with it. */
export function readFile(text: string, taxon: Taxon): { cells: RangeCells; said: string[] } | string {
  if (text.trimStart().startsWith('{')) {
    const read = readRangeGeoJson(text);
    return read.ok ? { cells: read.value.range.cells, said: read.value.ignored } : read.problem;
  }
  const read = readDarwinCore(text);
  if (!read.ok) return read.problem;
  const names = [scientificName(taxon), ...taxon.synonyms].map(normaliseName);
  const fits = (name: string) =>
    name === '' ||
    names.some((own) => normaliseName(name) === own || normaliseName(name).startsWith(`${own} `));
  const mine = read.value.ranges.filter(({ scientificName: name }) => fits(name));
  if (mine.length === 0)
    return t`No row of the file is of ${scientificName(taxon)}; it names ${read.value.ranges.map(({ scientificName: name }) => name).join(', ') || t`no taxon with a place`}.`;
  return {
    cells: Object.assign({}, ...mine.map((entry) => entry.range.cells)) as RangeCells,
    said: [
      ...read.value.problems.slice(0, 8).map((row) => t`Line ${row.line}: ${row.message}`),
      ...(mine.length < read.value.ranges.length ? [t`Rows of other taxa were left out.`] : []),
    ],
  };
}
