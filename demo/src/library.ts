import { readdirSync, readFileSync } from 'node:fs';
import { parse } from 'yaml';
import type { Library, TaxonStatements } from '@hurrow/core/library';
import type { Caution, Taxon } from '@hurrow/core/taxon';
import { calendarOf, scoresOf } from './taxonText.ts';

const FOLDER = new URL('../library/', import.meta.url);

interface TaxonFile extends Omit<Taxon, 'calendar' | 'cautions' | 'rank' | 'synonyms'> {
  rank?: Taxon['rank'];
  synonyms?: string[];
  calendar: Record<string, string>;
  cautions?: Caution[];
  scores: Record<string, Record<string, string | number | boolean>>;
}

/** The demo library as it is written in `demo/library`. Throws with file and line on anything that cannot be read. */
export function demoLibrary(): Library {
  const files = readdirSync(FOLDER).filter((name) => name.endsWith('.yaml'));
  return {
    reference: { latitude: 47.6, longitude: -116.4, elevation: 780 },
    sources: [
      { id: 'manual', label: 'Regional manual, demo' },
      { id: 'notes', label: 'Field notes, Quillan Ridge' },
    ],
    reconciliation: { rule: 'preferred', order: ['manual', 'notes'] },
    characters: [],
    taxa: files
      .map(readTaxon)
      .sort(
        (a, b) =>
          a.taxon.genus.localeCompare(b.taxon.genus) || a.taxon.epithet.localeCompare(b.taxon.epithet),
      ),
  };
}

function readTaxon(file: string): TaxonStatements {
  const { scores, calendar, cautions, ...names } = parse(
    readFileSync(new URL(file, FOLDER), 'utf8'),
  ) as TaxonFile;
  const taxon: Taxon = {
    ...names,
    rank: names.rank ?? 'species',
    synonyms: names.synonyms ?? [],
    calendar: calendarOf(calendar, file),
    cautions: cautions ?? [],
  };
  return {
    taxon,
    scores: Object.entries(scores).flatMap(([sourceId, entries]) => scoresOf(entries, sourceId, file)),
  };
}
