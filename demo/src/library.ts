import { readdirSync, readFileSync } from 'node:fs';
import { parse } from 'yaml';
import type { Library, TaxonStatements } from '@hurrow/core/library';
import { parseScore, type Qualifiers, type Score } from '@hurrow/core/score';
import { parseArcs, type Calendar, type CalendarPart } from '@hurrow/core/season';
import type { Caution, Taxon } from '@hurrow/core/taxon';
import { BUILT_IN } from '@hurrow/core/vocabulary';

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
  const arcs: Calendar = {};
  for (const [part, text] of Object.entries(calendar)) {
    const read = parseArcs(text);
    if (!read.ok) throw new Error(`${file}: calendar ${part}: ${read.problem}`);
    arcs[part as CalendarPart] = read.value;
  }
  const taxon: Taxon = {
    ...names,
    rank: names.rank ?? 'species',
    synonyms: names.synonyms ?? [],
    calendar: arcs,
    cautions: cautions ?? [],
  };
  const list = Object.entries(scores).flatMap(([sourceId, entries]) =>
    Object.entries(entries).map(([key, text]): Score => {
      const [, characterId, qualifierText] = /^(\S+)(?:\s+\[(.+)\])?$/.exec(key)!;
      const character = BUILT_IN.get(characterId!);
      if (!character) throw new Error(`${file}: there is no character “${characterId}”`);
      const value = parseScore(asText(text), character);
      if (!value.ok) throw new Error(`${file}: ${characterId}: ${value.problem}`);
      return {
        characterId: characterId!,
        sourceId,
        qualifiers: qualifiersOf(qualifierText),
        value: value.value,
      };
    }),
  );
  return { taxon, scores: list };
}

/** YAML reads a bare yes or no as it stands, a number as a number. */
const asText = (value: string | number | boolean) =>
  value === true ? 'yes' : value === false ? 'no' : String(value);

const qualifiersOf = (text: string | undefined): Qualifiers =>
  Object.fromEntries(
    (text ?? '')
      .split(',')
      .filter(Boolean)
      .map((pair) => pair.trim().split('=')),
  );
