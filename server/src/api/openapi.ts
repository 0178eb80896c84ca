import joiToJson from 'joi-to-json';
import type { Endpoint } from '@hurrow/contract/endpoint';
import { ANSWERS } from './answers.ts';

const PROBLEM = {
  type: 'object',
  required: ['code', 'message'],
  properties: {
    code: { type: 'string', description: 'What kind of thing went wrong, for programs.' },
    message: { type: 'string', description: 'What is wrong and what to do, for people.' },
    said: {
      type: 'object',
      description:
        'The same for pages that say it in another language; left out where it is said in English alone.',
      required: ['id', 'values'],
      properties: { id: { type: 'string' }, values: { type: 'array', items: {} } },
    },
    details: {},
  },
};

const refused = (description: string) => ({
  description,
  content: { 'application/json': { schema: { $ref: '#/components/schemas/Problem' } } },
});

/** An OpenAPI 3.1 description made from the contract: what each call takes, who may make it, and what it is answered with. */
export function openApi(routes: readonly Endpoint[]): unknown {
  const paths: Record<string, Record<string, unknown>> = {};
  const schemas: Record<string, object> = { Problem: PROBLEM };
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
      description: entry.allow === 'anyone' ? 'Anyone.' : `For: ${entry.allow.join(', ')}.`,
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
        200: {
          description: 'Done.',
          content: { [entry.answers ?? 'application/json']: answerOf(entry, schemas) },
        },
        ...(entry.body || entry.query
          ? { 422: refused('The input is not valid; the message says what to change.') }
          : {}),
        ...(entry.allow === 'anyone' ? {} : { 401: refused('Signed out.'), 403: refused('Not allowed.') }),
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
    components: { schemas, securitySchemes: { session: { type: 'apiKey', in: 'cookie', name: 'hurrow' } } },
    security: [{ session: [] }],
    paths,
  };
}

/** What a call is answered with. Types that hold themselves are put among the schemas that all share. */
function answerOf({ method, path }: Endpoint, shared: Record<string, object>) {
  const held = ANSWERS[`${method.toUpperCase()} ${path}`];
  if (!held) return {};
  const { definitions = {}, ...schema } = JSON.parse(
    JSON.stringify(held).replaceAll('#/definitions/', '#/components/schemas/'),
  ) as typeof held;
  Object.assign(shared, definitions);
  return { schema };
}

const properties = (schema: NonNullable<Endpoint['query']>) =>
  ((joiToJson(schema, 'json') as { properties?: Record<string, unknown> }).properties ?? {}) as Record<
    string,
    unknown
  >;
