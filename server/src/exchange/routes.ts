import Joi from 'joi';
import { accountOf, INSTRUCTORS, route, STAFF } from '../api/route.ts';
import { committedLibrary } from '../library/committed.ts';
import { EXPORTS, type ExportFormat } from './export.ts';
import { importFile, type ImportBody } from './import.ts';
import { askLibrary } from './library.ts';

/** Taxa from which writing takes long enough to be done in a thread. */
const MANY = 20;

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
      const { library } = await committedLibrary(db);
      const { answer: text } = await askLibrary(
        db,
        { do: 'write', format: params.format, sourceId: query.source, at: now.toISOString() },
        library.taxa.length > MANY,
      );
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
    handle: ({ db, body, who, now }) => importFile(db, body, accountOf(who), now),
  }),
];
