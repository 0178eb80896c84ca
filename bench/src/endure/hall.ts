import { setTimeout as wait } from 'node:timers/promises';
import type { Row } from '../row.ts';
import { residentOf } from './resident.ts';
import { answerTo, plantHall, sitDown, Visitor } from './visitor.ts';
import { withHurrow } from './withHurrow.ts';

/** The value that a share of all is below. */
const quantile = (values: readonly number[], share: number): number =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * share))] ?? 0;

async function timedInto<T>(times: number[], work: () => Promise<T>): Promise<T> {
  const from = performance.now();
  const result = await work();
  times.push(performance.now() - from);
  return result;
}

/** A lecture hall: so many students answer so many stations within some seconds, while an instructor watches; then mixed reads. */
export async function hall(
  folder: string,
  students: number,
  stations: number,
  seconds: number,
): Promise<Row[]> {
  return withHurrow(folder, async ({ base, child }) => {
    const class_ = await plantHall(base, students, stations);
    const signIns: number[] = [];
    const pages: number[] = [];
    const answers: number[] = [];
    const pulse: number[] = [];
    let unanswered = 0;
    let memory = 0;
    let watching = true;
    const leave = new AbortController();
    const watch = (async () => {
      const stream = await fetch(`${base}/api/quizzes/${class_.quizId}/live`, {
        headers: class_.owner.headers(),
        signal: leave.signal,
      });
      for await (const part of stream.body!) void part;
    })().catch(() => undefined);
    const beat = (async () => {
      while (watching) {
        await timedInto(pulse, () => fetch(`${base}/healthz`).then((answer) => answer.text()));
        memory = Math.max(memory, residentOf(child.pid!));
        await wait(20);
      }
    })();

    const one = async (code: string, n: number) => {
      // They come in over the first third, and answer at a pace of their own.
      await wait((n / students) * seconds * 300);
      const visitor = new Visitor(base);
      const signed = await timedInto(signIns, () =>
        visitor.post('/api/session/student', { courseCode: class_.code, personalCode: code }),
      );
      const page = await timedInto(pages, () =>
        visitor.get<{ open?: { stations: { id: string }[] }[] }>('/api/sit'),
      );
      const ids = page.body.open?.[0]?.stations.map(({ id }) => id) ?? [];
      if (signed.status !== 200 || ids.length !== stations) unanswered += stations;
      for (const [i, id] of ids.entries()) {
        await timedInto(pages, () => visitor.get(`/api/sit/stations/${id}/drawing.svg`));
        await wait(((seconds * 650) / stations) * (0.5 + Math.random()));
        const sent = await timedInto(answers, () =>
          visitor.post<{ received?: string[] }>('/api/sit/responses', { responses: [answerTo(id, i + 1)] }),
        );
        if (sent.body.received?.length !== 1) unanswered += 1;
      }
    };
    await stalls(base);
    const from = performance.now();
    await Promise.all(class_.students.map(one));
    const took = (performance.now() - from) / 1000;
    const stalled = await stalls(base);
    const { answers: stored } = (
      await class_.owner.get<{ answers: unknown[] }>(`/api/quizzes/${class_.quizId}/marks`)
    ).body;
    const atMarks = await stalls(base);
    watching = false;
    await beat;

    const reads = await mixedReads(base, class_, Math.min(seconds, 20));
    leave.abort();
    await watch;
    const ms = (value: number) => `${Math.round(value)} ms`;
    return [
      {
        what: `${students} students × ${stations} answers with their drawings in ${took.toFixed(0)} s: stored`,
        value: `${stored.length}`,
        wanted: `${students * stations}`,
      },
      { what: 'calls without an answer', value: String(unanswered), wanted: '0' },
      { what: 'answer acknowledged, p95', value: ms(quantile(answers, 0.95)), wanted: '< 300 ms' },
      { what: 'sign-in, p95', value: ms(quantile(signIns, 0.95)), wanted: '< 1000 ms' },
      { what: 'station page and drawing, p95', value: ms(quantile(pages, 0.95)), wanted: '< 1000 ms' },
      {
        what: 'longest that one call kept the server from all others',
        value: ms(stalled),
        wanted: '< 100 ms',
      },
      { what: '… while the instructor opened all marks', value: ms(atMarks), wanted: '< 100 ms' },
      {
        what: 'a call for nothing, p95, with the waiting of the load’s own machine',
        value: ms(quantile(pulse, 0.95)),
      },
      { what: 'memory at most', value: `${Math.round(memory)} MB`, wanted: '< 600 MB' },
      { what: '100 mixed reads a second, p95', value: ms(quantile(reads, 0.95)), wanted: '< 100 ms' },
    ];
  });
}

/** A hundred reads a second of what phones and pages ask for. */
async function mixedReads(base: string, class_: Awaited<ReturnType<typeof plantHall>>, seconds: number) {
  const { visitor, stations } = await sitDown(base, class_, class_.students[0]!);
  const paths: [Visitor, string][] = [
    [visitor, '/api/sit'],
    [visitor, `/api/sit/stations/${stations[0]}/drawing.svg`],
    [class_.owner, `/api/courses/${class_.courseId}`],
    [class_.owner, `/api/quizzes/${class_.quizId}`],
    [visitor, '/api/session'],
  ];
  const times: number[] = [];
  const running: Promise<unknown>[] = [];
  for (let n = 0; n < seconds * 100; n += 1) {
    const [who, path] = paths[n % paths.length]!;
    running.push(timedInto(times, () => who.get(path)));
    await wait(10);
  }
  await Promise.all(running);
  return times;
}

/** Milliseconds that the server was kept from all others at most, since this was last asked. */
async function stalls(base: string): Promise<number> {
  const text = await fetch(`${base}/metrics`).then((answer) => answer.text());
  return Number(/^nodejs_eventloop_lag_max_seconds (\S+)/m.exec(text)?.[1] ?? 0) * 1000;
}
