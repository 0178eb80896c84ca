import Joi from 'joi';
import {
  writeCharacterTable,
  writeDarwinCore,
  writeScoreTable,
  writeSdd,
  writeTaxonTable,
} from '@hurrow/core/formats';
import { writeBundle } from '@hurrow/core/bundle';
import { vocabularyOfLibrary } from '@hurrow/core/library';
import { rangeAsGeoJson, type Range } from '@hurrow/core/range';
import { scientificName } from '@hurrow/core/taxon';
import { accountOf, INSTRUCTORS, route, STAFF } from '../api/route.ts';
import type { Db } from '../db/index.ts';
import { recordsAt } from '../species/records.ts';
import { libraryAt } from '../species/store.ts';
import { importFile, type ImportBody } from './import.ts';
import { readFile } from './reading.ts';

export const EXPORTS = {
  json: { file: 'library.json', type: 'application/json' },
  scores: { file: 'scores.csv', type: 'text/csv' },
  table: { file: 'taxa-by-characters.csv', type: 'text/csv' },
  sdd: { file: 'library.sdd.xml', type: 'application/xml' },
  occurrences: { file: 'occurrences.csv', type: 'text/csv' },
  geojson: { file: 'ranges.geojson', type: 'application/geo+json' },
  characters: { file: 'characters.csv', type: 'text/csv' },
} as const;
type ExportFormat = keyof typeof EXPORTS;

export const exchangeRoutes = [
  route<unknown, { format: ExportFormat }, { source?: string }>({
    method: 'get',
    path: '/api/library/export/{format}',
    summary:
      'The library as a JSON bundle, CSV of scores or of taxa × characters, SDD, Darwin Core or GeoJSON.',
    allow: STAFF,
    answers: 'application/octet-stream',
    params: Joi.object({
      format: Joi.string()
        .valid(...Object.keys(EXPORTS))
        .required(),
    }),
    query: Joi.object({ source: Joi.string().max(60) }),
    handle: async ({ db, params, query, response, now }) => {
      const { file, type } = EXPORTS[params.format];
      const text = await exported(db, params.format, query.source, now);
      response.set({
        'Cache-Control': 'no-store',
        'Content-Type': `${type}; charset=utf-8`,
        'Content-Disposition': `attachment; filename="${file}"`,
      });
      response.send(text);
    },
  }),
  route<ImportBody>({
    method: 'post',
    path: '/api/library/import',
    summary:
      'Imports a file in any of the formats; with dryRun it only says what it would add, change and refuse.',
    allow: INSTRUCTORS,
    limit: '60mb',
    body: Joi.object({
      csv: Joi.string().required().label('File'),
      dryRun: Joi.boolean().required(),
      sourceId: Joi.string().max(60),
    }),
    handle: async ({ db, body, who, now }) => {
      const read = await readFile(db, body);
      return db.transaction((tx) => importFile(tx, body, read, accountOf(who), now));
    },
  }),
];

async function exported(
  db: Db,
  format: ExportFormat,
  source: string | undefined,
  now: Date,
): Promise<string> {
  const whole = await libraryAt(db);
  const library = { ...whole, taxa: whole.taxa.filter(({ taxon }) => !taxon.retired) };
  const vocabulary = vocabularyOfLibrary(library);
  const rows = await recordsAt<Range>(db, whole.id, 'range', whole.revision);
  const ranges = rows.flatMap(({ key, record }) => {
    const held = library.taxa.find(({ taxon }) => taxon.id === key);
    return held ? [{ id: key, scientificName: scientificName(held.taxon), range: record }] : [];
  });
  switch (format) {
    case 'json':
      return writeBundle(library, Object.fromEntries(ranges.map(({ id, range }) => [id, range])));
    case 'scores':
      return writeScoreTable(library.taxa, vocabulary);
    case 'table':
      return writeTaxonTable(library.taxa, vocabulary, source ?? library.sources[0]!.id);
    case 'sdd':
      return writeSdd(library, vocabulary, now.toISOString());
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
