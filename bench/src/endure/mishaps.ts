import { fork, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { setTimeout as wait } from 'node:timers/promises';
import { freePort } from '@hurrow/e2e/freePort';
import type { Row } from '../row.ts';
import { startServer } from '../start.ts';
import { answerTo, COURSE, plantHall, sitDown, Visitor, type Hall } from './visitor.ts';

const STUDENTS = 8;
const STATIONS = 6;
const IMPORTED = 20;

/** What was acknowledged before the machine went down. */
interface Acknowledged {
  /** Highest number of an answer, by student and station. */
  answers: Map<string, number>;
  /** Imports of students that were acknowledged, and all that were begun. */
  imports: Set<number>;
  begun: number;
  courses: Set<string>;
}

interface Running {
  base: string;
  /** Ends it as a mishap does. */
  mishap(): Promise<void>;
}

/** Students answer without a pause, while an instructor imports lists and adds courses. */
async function load(base: string, hall: Hall, told: Acknowledged, stop: AbortSignal): Promise<void> {
  const answering = async (code: string) => {
    const { visitor, stations } = await sitDown(base, hall, code);
    for (let n = 1; !stop.aborted && stations.length > 0; n += 1) {
      const station = stations[n % stations.length]!;
      const key = `${code} ${station}`;
      const number = (told.answers.get(key) ?? 0) + 1;
      const answer = { ...answerTo(station, number), answer: { genus: 'Acer', epithet: `n${number}` } };
      const sent = await visitor.post<{ received?: string[] }>('/api/sit/responses', { responses: [answer] });
      if (sent.body.received?.length === 1) told.answers.set(key, number);
    }
  };
  const teaching = async () => {
    const owner = new Visitor(base);
    await owner.post('/api/session/demo', { as: 'instructor' });
    while (!stop.aborted) {
      told.begun += 1;
      const batch = told.begun;
      const lines = Array.from({ length: IMPORTED }, (_, n) => `Batch ${batch} Student ${n},B${batch}N${n}`);
      const sent = await owner.post(`/api/courses/${hall.courseId}/students/import`, {
        csv: ['name,code', ...lines].join('\n'),
        dryRun: false,
      });
      if (sent.status === 200) told.imports.add(batch);
      const { body } = await owner.post<{ id?: string }>('/api/courses', {
        ...COURSE,
        name: `Course ${batch}`,
      });
      if (body.id) told.courses.add(body.id);
    }
  };
  await Promise.all([...hall.students.map(answering), teaching()]);
}

/** What a Hurrow that was started again lacks of what it had acknowledged. */
async function lacking(
  base: string,
  hall: Hall,
  told: Acknowledged,
): Promise<{ lost: number; partial: number }> {
  let lost = 0;
  for (const code of hall.students) {
    const visitor = new Visitor(base);
    await visitor.post('/api/session/student', { courseCode: hall.code, personalCode: code });
    const { body } = await visitor.get<{
      open?: { stations: { id: string; answer: { epithet?: string } | null }[] }[];
    }>('/api/sit');
    for (const { id, answer } of body.open?.[0]?.stations ?? []) {
      const there = Number(answer?.epithet?.slice(1) ?? 0);
      if (there < (told.answers.get(`${code} ${id}`) ?? 0)) lost += 1;
      else told.answers.set(`${code} ${id}`, there);
    }
  }
  const owner = new Visitor(base);
  await owner.post('/api/session/demo', { as: 'instructor' });
  const { students } = (await owner.get<{ students: { name: string }[] }>(`/api/courses/${hall.courseId}`))
    .body;
  const batches = new Map<number, number>();
  for (const { name } of students) {
    const [, batch] = /^Batch (\d+) /.exec(name) ?? [];
    if (batch) batches.set(Number(batch), (batches.get(Number(batch)) ?? 0) + 1);
  }
  const partial = [...batches.values()].filter((n) => n !== IMPORTED).length;
  for (const batch of told.imports) if (!batches.has(batch)) lost += 1;
  const courses = new Set((await owner.get<{ id: string }[]>('/api/courses')).body.map(({ id }) => id));
  for (const id of told.courses) if (!courses.has(id)) lost += 1;
  return { lost, partial };
}

/** Rounds of load that end in a mishap; after each what was acknowledged is looked for. */
async function rounds(what: string, n: number, start: () => Promise<Running>): Promise<Row[]> {
  let running = await start();
  const hall = await plantHall(running.base, STUDENTS, STATIONS);
  const told: Acknowledged = { answers: new Map(), imports: new Set(), begun: 0, courses: new Set() };
  let [lost, partial, unopened] = [0, 0, 0];
  for (let round = 0; round < n; round += 1) {
    const stop = new AbortController();
    const loading = load(running.base, hall, told, stop.signal);
    await wait(150 + Math.random() * 850);
    await running.mishap();
    stop.abort();
    await loading;
    try {
      running = await start();
    } catch (error) {
      unopened += 1;
      console.error(error instanceof Error ? error.message : error);
      break;
    }
    const missed = await lacking(running.base, hall, told);
    lost += missed.lost;
    partial += missed.partial;
  }
  if (unopened === 0) await running.mishap();
  const answers = [...told.answers.values()].reduce((sum, last) => sum + last, 0);
  const label = `${n} ${what}, ${answers} answers, ${told.imports.size} imports and ${told.courses.size} courses acknowledged`;
  return [
    { what: `${label}: lost`, value: String(lost), wanted: '0' },
    { what: `${what}: imports that came in part`, value: String(partial), wanted: '0' },
    { what: `${what}: stores that did not open`, value: String(unopened), wanted: '0' },
  ];
}

/** The process is killed: what was handed to the system is still written. */
export async function kills(folder: string, n: number): Promise<Row[]> {
  return rounds('kills under load', n, async () => {
    const port = await freePort();
    const { child } = await startServer(folder, port);
    return {
      base: `http://localhost:${port}`,
      mishap: async () => {
        const gone = once(child, 'exit');
        child.kill('SIGKILL');
        await gone;
      },
    };
  });
}

/** The machine goes down: of what PostgreSQL had not asked the disk to keep, some is there and some is not. */
export async function powerCuts(demo: string, n: number): Promise<Row[]> {
  const place = mkdtempSync(join(tmpdir(), 'hurrow-power-'));
  let folder = demo;
  let count = 0;
  const rows = await rounds('power cuts under load', n, async () => {
    count += 1;
    const [mirror, image] = [join(place, `mirror-${count}`), join(place, `image-${count}`)];
    mkdirSync(image);
    const port = await freePort();
    const child = fork(
      fileURLToPath(new URL('./mirroredServer.ts', import.meta.url)),
      [folder, mirror, image, String(port)],
      { execArgv: ['--import', 'tsx'], stdio: ['ignore', 'ignore', 'pipe', 'ipc'] },
    );
    await ready(child);
    return {
      base: `http://localhost:${port}`,
      mishap: async () => {
        const gone = once(child, 'exit');
        child.send(1 + Math.floor(Math.random() * 6));
        await gone;
        rmSync(mirror, { recursive: true });
        if (folder !== demo) rmSync(folder, { recursive: true });
        folder = image;
      },
    };
  });
  rmSync(place, { recursive: true, force: true });
  return rows;
}

async function ready(child: ChildProcess): Promise<void> {
  let said = '';
  child.stderr!.on('data', (part: Buffer) => (said += part.toString()));
  const died = once(child, 'exit').then(() => {
    throw new Error(`The server did not start: ${said}`);
  });
  died.catch(() => undefined);
  await Promise.race([once(child, 'message'), died]);
}
