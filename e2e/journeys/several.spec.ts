import { randomUUID } from 'node:crypto';
import { setTimeout as wait } from 'node:timers/promises';
import { expect, test } from '@playwright/test';
import pg from 'pg';
import { SideBySide, Someone } from '../sideBySide.ts';

interface CourseOfDemo {
  id: string;
  code: string;
  students: { id: string; code: string }[];
  quizzes: { id: string; title: string; state: string }[];
}

let both: SideBySide;
let instructor: Someone;
let course: CourseOfDemo;

test.beforeAll(async () => {
  both = await SideBySide.start();
  instructor = new Someone(both.url);
  await instructor.call('POST', '/api/session/demo', { as: 'instructor' });
  const courses = (await instructor.call('GET', '/api/courses')).body as { id: string }[];
  course = (await instructor.call('GET', `/api/courses/${courses[0]!.id}`)).body;
});
test.afterAll(() => both.stop());

/** A student who signs in through the proxy, and the stations of the open quiz. */
async function student(i: number) {
  const who = new Someone(both.url);
  const { status } = await who.call('POST', '/api/session/student', {
    courseCode: course.code,
    personalCode: course.students[i]!.code,
  });
  expect(status).toBe(200);
  const sitting = (await who.call('GET', '/api/sit')).body as { open: { stations: { id: string }[] }[] };
  return { who, stations: sitting.open[0]!.stations.map(({ id }) => id) };
}

let sequence = 0;
const answerTo = (stationId: string) => ({
  id: randomUUID(),
  stationId,
  answer: { genus: 'Abies', epithet: 'grandis' },
  device: 'phone-test',
  sequence: (sequence += 1),
  writtenAt: '2026-10-15T16:00:00Z',
});
const send = (who: Someone, answer: object) =>
  who.call('POST', '/api/sit/responses', { responses: [answer] });

/** What the database holds. */
async function stored(ids: readonly string[]): Promise<number> {
  const client = new pg.Client({ connectionString: both.database });
  await client.connect();
  const { rows } = await client.query<{ n: number }>(
    'select count(*)::int as n from response where id = any($1::uuid[])',
    [ids],
  );
  await client.end();
  return rows[0]!.n;
}

test('who signs in at one is known to the other, and what comes to one is seen live at the other', async () => {
  const [first, second] = both.ports.map((port) => `http://127.0.0.1:${port}`) as [string, string];
  const here = new Someone(first);
  await here.call('POST', '/api/session/demo', { as: 'instructor' });
  const there = here.at(second);
  expect((await there.call('GET', '/api/courses')).status).toBe(200);

  const { who, stations } = await student(0);
  const quiz = course.quizzes.find(({ state }) => state === 'open')!;
  const answer = answerTo(stations[0]!);
  const seen = there.listen(`/api/quizzes/${quiz.id}/live`, (news: { students: Record<string, number> }) =>
    Object.keys(news.students).includes(course.students[0]!.id),
  );
  await send(who.at(first), answer);
  await seen;
  // Who signs out at one is signed out everywhere.
  await here.call('DELETE', '/api/session');
  expect((await there.call('GET', '/api/courses')).status).toBe(401);
});

test('one is killed while a class answers: nothing is lost and nothing is there twice', async () => {
  const sat = await Promise.all(Array.from({ length: 20 }, (_, i) => student(i)));
  const sent: string[] = [];
  const all = Promise.all(
    sat.map(async ({ who, stations }) => {
      for (const stationId of stations) {
        const answer = answerTo(stationId);
        sent.push(answer.id);
        // As a phone does: again, until it is acknowledged.
        for (;;) {
          const { status } = await send(who, answer).catch(() => ({ status: 0 }));
          if (status === 200) break;
          expect([0, 502, 503, 504]).toContain(status);
          await wait(50);
        }
      }
    }),
  );
  await wait(150);
  await both.end(0, 'SIGKILL');
  await all;
  expect(sent.length).toBe(sat.length * sat[0]!.stations.length);
  expect(await stored(sent)).toBe(sent.length);
  await both.run(0);
});

test('both are started anew, one after the other, while a class answers: no answer fails', async () => {
  const sat = await Promise.all(Array.from({ length: 8 }, (_, i) => student(i)));
  const [sent, failed]: [string[], number[]] = [[], []];
  let going = true;
  const load = sat.map(async ({ who, stations }) => {
    for (let i = 0; going; i += 1) {
      const answer = answerTo(stations[i % stations.length]!);
      const { status } = await send(who, answer);
      if (status === 200) sent.push(answer.id);
      else failed.push(status);
      const asked = await who.call('GET', '/api/sit');
      if (asked.status !== 200) failed.push(asked.status);
      await wait(40);
    }
  });
  for (const which of [0, 1] as const) {
    await both.end(which, 'SIGTERM');
    await both.run(which);
    await wait(300);
  }
  going = false;
  await Promise.all(load);
  expect(failed).toEqual([]);
  expect(sent.length).toBeGreaterThan(50);
  expect(await stored(sent)).toBe(sent.length);
});

test('a quiz whose opening was begun by a process that dies is open once, when it is asked for again', async () => {
  const planned = course.quizzes.find(({ state }) => state === 'planned')!;
  const first = instructor.at(`http://127.0.0.1:${both.ports[0]}`);
  const begun = first.call('POST', `/api/quizzes/${planned.id}/open`).catch(() => undefined);
  await wait(60);
  await both.end(0, 'SIGKILL');
  await begun;
  expect((await instructor.call('POST', `/api/quizzes/${planned.id}/open`)).status).toBe(200);
  const quiz = (await instructor.call('GET', `/api/quizzes/${planned.id}`)).body as { state: string };
  expect(quiz.state).toBe('open');
  const history = (await instructor.call('GET', `/api/history?courseId=${course.id}`)).body as {
    what: string;
  }[];
  expect(history.filter(({ what }) => what.includes(`opened the quiz “${planned.title}”`))).toHaveLength(1);
  await both.run(0);
});

test('a report that a process computed when it died is computed by the other, and how far it is seen from there', async () => {
  const [first, second] = both.ports.map((port) => instructor.at(`http://127.0.0.1:${port}`)) as [
    Someone,
    Someone,
  ];
  const address = `/api/courses/${course.id}/confusions/report?scores=then&earlier=without`;
  const { key } = (await first.call('GET', address)).body as { key: string };
  await expect
    .poll(async () => {
      const { computing } = (await second.call('GET', `/api/courses/${course.id}/confusions/report/${key}`))
        .body as { computing: { share: number } | null };
      return computing?.share;
    })
    .toBeGreaterThan(0);
  await both.end(0, 'SIGKILL');
  await expect
    .poll(async () => ((await second.call('GET', address)).body as { report?: unknown }).report !== undefined)
    .toBe(true);
  await both.run(0);
});
