import Joi from 'joi';
import type { RowProblem } from '@hurrow/core/formats';
import { endpoint, INSTRUCTORS, STAFF, type Sent } from './endpoint.ts';
import type { ImportReport } from './reports.ts';

/** The formats in which the library is written: the name of the file, and what it is. */
export const EXPORTS = {
  json: { file: 'library.json', type: 'application/json' },
  scores: { file: 'scores.csv', type: 'text/csv' },
  table: { file: 'taxa-by-characters.csv', type: 'text/csv' },
  sdd: { file: 'library.sdd.xml', type: 'application/xml' },
  occurrences: { file: 'occurrences.csv', type: 'text/csv' },
  geojson: { file: 'ranges.geojson', type: 'application/geo+json' },
  characters: { file: 'characters.csv', type: 'text/csv' },
} as const;
export type ExportFormat = keyof typeof EXPORTS;

export interface ImportBody {
  /** The text of the file, in any of the formats. */
  csv: string;
  dryRun: boolean;
  /** Source for files that name none. */
  sourceId?: string;
}

/** What an import of the library would do, or did. */
export interface LibraryImportReport extends ImportReport {
  /** What the file was taken for. */
  what: string;
  /** What else it would do: new sources, characters added or changed. */
  also: string[];
  replaced: RowProblem[];
  revision: number;
}

export const exportLibrary = endpoint<{
  query: { source?: string };
  params: { format: ExportFormat };
  answer: Sent;
}>()({
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
});

export const importLibrary = endpoint<{ body: ImportBody; answer: LibraryImportReport }>()({
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
});
