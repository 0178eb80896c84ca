import type { Row } from '../row.ts';
import { plantHall, sitDown, Visitor } from './visitor.ts';
import { withHurrow } from './withHurrow.ts';

interface Schema {
  type?: string | string[];
  properties?: Record<string, Schema>;
  required?: string[];
  items?: Schema;
  enum?: unknown[];
  anyOf?: Schema[];
  oneOf?: Schema[];
  minimum?: number;
  format?: string;
  additionalProperties?: Schema | boolean;
}
interface Operation {
  method: string;
  path: string;
  body?: Schema;
  parameters: string[];
}

/** Not called: streams have no end, and backups take the whole folder each time. */
const LEFT_OUT = /\/live$|^\/api\/backups|^\/api\/setup|openapi/;

/** What people and machines send by mistake, and what others send on purpose. */
const HOSTILE: unknown[] = [
  null,
  '',
  ' ',
  'a\u0000b',
  '\ud800',
  '\u202egnp.exe',
  'x'.repeat(100_000),
  '0000-01-01',
  '275760-09-13',
  '2026-02-30',
  '__proto__',
  "'; drop table response; --",
  '../../etc/passwd',
  '-1',
  -1,
  0,
  1.5,
  1e308,
  2 ** 53,
  true,
  [],
  {},
  [[[[[[]]]]]],
  nested(600),
  Array.from({ length: 1200 }, () => 'same'),
  JSON.parse('{"__proto__":{"admin":true},"constructor":{"prototype":1}}'),
];

function nested(depth: number): unknown {
  let value: unknown = 'deep';
  for (let i = 0; i < depth; i += 1) value = i % 2 ? [value] : { in: value };
  return value;
}

/** The generator of a run: the same seed sends the same calls. */
function randomOf(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1_664_525 + 1_013_904_223) % 2 ** 32;
    return state / 2 ** 32;
  };
}

class Sender {
  private readonly random: () => number;
  private readonly ids: readonly string[];

  constructor(random: () => number, ids: readonly string[]) {
    this.random = random;
    this.ids = ids;
  }

  pick<T>(from: readonly T[]): T {
    return from[Math.floor(this.random() * from.length)]!;
  }

  /** A value that a schema describes. */
  valid(schema: Schema, depth = 0): unknown {
    const choice = schema.anyOf ?? schema.oneOf;
    if (choice?.length) return this.valid(this.pick(choice), depth);
    if (schema.enum?.length) return this.pick(schema.enum);
    const type = Array.isArray(schema.type) ? this.pick(schema.type) : schema.type;
    if (type === 'object' || schema.properties) {
      const entries = Object.entries(schema.properties ?? {}).filter(
        ([name]) => schema.required?.includes(name) || this.random() < 0.7,
      );
      return Object.fromEntries(entries.map(([name, part]) => [name, this.valid(part, depth + 1)]));
    }
    if (type === 'array')
      return Array.from({ length: depth > 6 ? 0 : Math.floor(this.random() * 4) }, () =>
        this.valid(schema.items ?? {}, depth + 1),
      );
    if (type === 'integer' || type === 'number') return (schema.minimum ?? 0) + Math.floor(this.random() * 5);
    if (type === 'boolean') return this.random() < 0.5;
    if (schema.format === 'date' || this.random() < 0.2) return '2026-10-15';
    return this.random() < 0.5
      ? this.pick(this.ids)
      : this.pick(['leaf', 'Acer', 'own', 'twig.arrangement', 'broad']);
  }

  /** The same, with something in it that should not be. */
  mutated(value: unknown): unknown {
    if (this.random() < 0.25 || value === null || typeof value !== 'object') return this.pick(HOSTILE);
    if (Array.isArray(value)) {
      if (value.length === 0 || this.random() < 0.2) return [...value, this.pick(HOSTILE)];
      const at = Math.floor(this.random() * value.length);
      // The same thing twice, as a file may bring it.
      if (this.random() < 0.3) return [...value, value[at]];
      return value.with(at, this.mutated(value[at]));
    }
    const keys = Object.keys(value);
    if (keys.length === 0 || this.random() < 0.1) return { ...value, [this.pick(['extra', '__proto__'])]: 1 };
    const key = this.pick(keys);
    const held = value as Record<string, unknown>;
    if (this.random() < 0.15)
      return Object.fromEntries(Object.entries(held).filter(([name]) => name !== key));
    return { ...held, [key]: this.mutated(held[key]) };
  }

  /** A file with some of it gone, twice there or something else. */
  garbled(text: string): string {
    let now = text.length > 60_000 && this.random() < 0.8 ? text.slice(0, 60_000) : text;
    for (let n = 1 + Math.floor(this.random() * 4); n > 0; n -= 1) {
      const at = Math.floor(this.random() * now.length);
      const length = Math.floor(this.random() * 200);
      const kind = this.random();
      if (kind < 0.3) now = now.slice(0, at) + now.slice(at + length);
      else if (kind < 0.6) now = now.slice(0, at) + now.slice(at, at + length) + now.slice(at);
      else {
        const strange = this.pick(HOSTILE);
        now =
          now.slice(0, at) +
          (typeof strange === 'string' ? strange : JSON.stringify(strange)) +
          now.slice(at + 1);
      }
    }
    return now;
  }

  path(operation: Operation): string {
    const path = operation.path.replace(/\{\w+\}/g, () =>
      this.random() < 0.8 ? this.pick(this.ids) : inAddress(this.pick(HOSTILE)),
    );
    const query = operation.parameters
      .filter(() => this.random() < 0.6)
      .map((name) => `${name}=${inAddress(this.random() < 0.5 ? this.pick(this.ids) : this.pick(HOSTILE))}`);
    return query.length ? `${path}?${query.join('&')}` : path;
  }
}

/** A value as a part of an address; half a sign cannot stand there. */
const inAddress = (value: unknown): string =>
  encodeURIComponent(
    String(value)
      .slice(0, 300)
      .replace(/[\ud800-\udfff]/g, '?'),
  );

const wellFormed = (value: unknown): string => JSON.stringify(value) ?? 'null';

/** Calls of every route, with bodies made from their schemas and then spoilt, and files of every format, garbled, for so many seconds. */
export async function fuzz(demo: string, seconds: number, seed: number): Promise<Row[]> {
  const failures: string[] = [];
  let [calls, hangs, partial] = [0, 0, 0];
  const answered = new Map<number, number>();
  await withHurrow(demo, async ({ base, owner }) => {
    const hall = await plantHall(base, 4, 4);
    const { stations } = await sitDown(base, hall, hall.students[0]!);
    const student = new Visitor(base);
    const nobody = new Visitor(base);
    const enter = async () => {
      await owner.post('/api/session/demo', { as: 'instructor' });
      await student.post('/api/session/student', { courseCode: hall.code, personalCode: hall.students[0] });
    };
    await enter();
    const library = await owner.get<{ taxa: { taxon: { id: string } }[] }>('/api/library');
    const taxa = library.body.taxa.slice(0, 3).map(({ taxon }) => taxon.id);
    const { students } = (await owner.get<{ students: { id: string }[] }>(`/api/courses/${hall.courseId}`))
      .body;
    const random = randomOf(seed);
    const ids = [hall.courseId, hall.quizId, ...stations, ...taxa, students[0]!.id, 'own', 'json', '1'];
    const sender = new Sender(random, ids);
    const operations = await operationsOf(owner);
    const files = await Promise.all(
      ['json', 'scores', 'table', 'sdd', 'occurrences', 'geojson', 'characters'].map(
        async (format) => (await owner.get<string | object>(`/api/library/export/${format}`)).body,
      ),
    );
    const texts = files.map((file) => (typeof file === 'string' ? file : JSON.stringify(file)));
    const revision = async () => (await owner.get<{ revision: number }>('/api/library')).body.revision;
    const note = (what: string, status: number) => {
      calls += 1;
      answered.set(status, (answered.get(status) ?? 0) + 1);
      if (status === 0) hangs += 1;
      if (status >= 500 || status === 0) failures.push(`${status} ${what}`);
    };

    const until = Date.now() + seconds * 1000;
    while (Date.now() < until) {
      if (random() < 0.15) {
        const text = sender.garbled(sender.pick(texts));
        const before = await revision();
        const sent = await owner.call('POST', '/api/library/import', { csv: text, dryRun: random() < 0.3 });
        note(`import of ${text.slice(0, 80)}`, sent.status);
        if (sent.status !== 200 && (await revision()) !== before) partial += 1;
        continue;
      }
      const operation = sender.pick(operations);
      const path = sender.path(operation);
      const good = operation.body ? sender.valid(operation.body) : undefined;
      const body = good === undefined || random() < 0.3 ? good : sender.mutated(good);
      const who = sender.pick([owner, owner, owner, student, nobody]);
      const raw =
        body === undefined ? undefined : random() < 0.05 ? wellFormed(body).slice(0, -2) : wellFormed(body);
      const sent = await who.call(operation.method, path, undefined, raw);
      note(`${operation.method} ${path} ${raw?.slice(0, 300) ?? ''}`, sent.status);
      if (sent.status === 401 && who !== nobody) await enter();
    }
  });
  for (const failure of failures.slice(0, 20)) console.error(failure);
  const spread = [...answered].sort().map(([status, n]) => `${n} × ${status}`);
  return [
    {
      what: `${calls} calls and files of every kind in ${seconds} s, seed ${seed} (${spread.join(', ')}): status 500`,
      value: String(failures.length - hangs),
      wanted: '0',
    },
    { what: 'calls that hung', value: String(hangs), wanted: '0' },
    { what: 'imports that came in part', value: String(partial), wanted: '0' },
  ];
}

async function operationsOf(owner: Visitor): Promise<Operation[]> {
  interface Described {
    parameters?: { name: string; in: string }[];
    requestBody?: { content: Record<string, { schema: Schema }> };
  }
  const { paths } = (
    await owner.get<{ paths: Record<string, Record<string, Described>> }>('/api/openapi.json')
  ).body;
  return Object.entries(paths)
    .filter(([path]) => !LEFT_OUT.test(path))
    .flatMap(([path, methods]) =>
      Object.entries(methods).map(([method, { parameters, requestBody }]) => ({
        method: method.toUpperCase(),
        path,
        parameters: (parameters ?? []).filter((entry) => entry.in === 'query').map(({ name }) => name),
        ...(requestBody ? { body: requestBody.content['application/json']!.schema } : {}),
      })),
    );
}
