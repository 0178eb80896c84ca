import joiToJson from 'joi-to-json';
import type { Route } from './route.ts';

const WHO: Record<string, string> = { anyone: 'Anyone.' };

/** An OpenAPI 3.1 description made from the routes themselves. */
export function openApi(routes: readonly Route[]): unknown {
  const paths: Record<string, Record<string, unknown>> = {};
  for (const entry of routes) {
    const parameters = [
      ...[...entry.path.matchAll(/\{(\w+)\}/g)].map(([, name]) => ({
        name,
        in: 'path',
        required: true,
        schema: { type: 'string' },
      })),
      ...Object.entries(entry.query ? properties(entry.query) : {}).map(([name, schema]) => ({
        name,
        in: 'query',
        required: false,
        schema,
      })),
    ];
    (paths[entry.path] ??= {})[entry.method] = {
      summary: entry.summary,
      description: entry.allow === 'anyone' ? WHO['anyone'] : `For: ${entry.allow.join(', ')}.`,
      ...(parameters.length ? { parameters } : {}),
      ...(entry.body
        ? {
            requestBody: {
              required: true,
              content: { 'application/json': { schema: joiToJson(entry.body, 'json') } },
            },
          }
        : {}),
      ...(entry.allow === 'anyone' ? { security: [] } : {}),
      responses: {
        200: { description: 'Done.', content: { [entry.answers ?? 'application/json']: {} } },
        ...(entry.body || entry.query
          ? { 422: { description: 'The input is not valid; the message says what to change.' } }
          : {}),
        ...(entry.allow === 'anyone'
          ? {}
          : { 401: { description: 'Signed out.' }, 403: { description: 'Not allowed.' } }),
      },
    };
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Hurrow',
      version: '0.1.0',
      description: 'Calls that change something carry the header x-hurrow.',
    },
    components: { securitySchemes: { session: { type: 'apiKey', in: 'cookie', name: 'hurrow' } } },
    security: [{ session: [] }],
    paths,
  };
}

const properties = (schema: NonNullable<Route['query']>) =>
  ((joiToJson(schema, 'json') as { properties?: Record<string, unknown> }).properties ?? {}) as Record<
    string,
    unknown
  >;
