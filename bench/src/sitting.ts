import { randomUUID } from 'node:crypto';
import type { Browser, BrowserContext, Page } from '@playwright/test';
import { resolveName } from '@hurrow/core/names';
import { randomFrom } from '@hurrow/core/random';
import { scientificName } from '@hurrow/core/taxon';
import { readingLists } from '../../demo/src/reading/agreement.ts';
import { slipped } from '../../demo/src/reading/nameTable.ts';
import { median, milliseconds, type Row } from './row.ts';
import { demoInBrowser } from './start.ts';

const PORT = 46_822;
const HOME = `http://localhost:${PORT}`;
const STATIONS = 20;
const SLOWER = 4;
/** Answers that nobody can read, to be ruled on by keys. */
const ODD = 24;
/** Answers whose times are held against each other, after some that are not counted. */
const PAIRS = 200;
const WARM = 20;

/** Sitting a quiz on a phone, and marking it. */
export async function sitting(): Promise<Row[]> {
  const { browser, end } = await demoInBrowser(PORT);
  try {
    const desk = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    await asked(desk, 'POST', '/api/session/demo', { as: 'instructor' });
    const { courseId, quizId } = await quizOfDrawings(desk);
    const phone = await onThePhone(browser, 'Out of the signal');
    const perKey = await byKeys(desk, courseId, quizId);
    const tells = await whatTimesTell(desk, browser, quizId);
    return [
      {
        what: `phone: all that is fetched to have a quiz of ${STATIONS} drawings along, the page among it`,
        value: `${Math.round(phone.bytes / 1000)} kB`,
        wanted: '≤ 600 kB',
      },
      {
        what: `phone: from one station to the next with its drawing, processor slowed ${SLOWER}×, median`,
        value: milliseconds(phone.step),
        wanted: '< 100 ms',
      },
      {
        what: `phone: an answer taken, right ones less wrong ones, median of ${PAIRS} pairs (90 % of resampled)`,
        value: tells,
        wanted: 'holds 0',
      },
      ...(await needed(desk)),
      {
        what: 'marking: one answer ruled on by one key, all marks shown anew, median',
        value: milliseconds(perKey),
      },
    ];
  } finally {
    await end();
  }
}

async function asked<T>(who: BrowserContext, method: string, path: string, data?: object): Promise<T> {
  const response = await who.request.fetch(HOME + path, {
    method,
    headers: { 'x-hurrow': '1' },
    ...(data ? { data } : {}),
  });
  if (!response.ok()) throw new Error(`${path} was answered with ${response.status()}`);
  return (await response.json()) as T;
}

async function quizOfDrawings(desk: BrowserContext): Promise<{ courseId: string; quizId: string }> {
  const [course] = await asked<{ id: string }[]>(desk, 'GET', '/api/courses');
  const { sets } = await asked<{ sets: { taxa: string[] }[] }>(desk, 'GET', `/api/courses/${course!.id}`);
  const taxa = sets.flatMap((set) => set.taxa);
  const view = { organs: ['leaf', 'twig', 'bud'], nearness: 'hand', aids: ['eye', 'lens'], qualifiers: {} };
  const { id } = await asked<{ id: string }>(desk, 'POST', `/api/courses/${course!.id}/quizzes`, {
    title: 'Out of the signal',
    heldOn: '2026-10-15',
    stations: Array.from({ length: STATIONS }, (_, i) => ({ taxonId: taxa[i], medium: 'drawing', view })),
  });
  await asked(desk, 'POST', `/api/quizzes/${id}/open`, {});
  return { courseId: course!.id, quizId: id };
}

/** Bytes until all is on the phone, and milliseconds from station to station. */
async function onThePhone(browser: Browser, title: string): Promise<{ bytes: number; step: number }> {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  await asked(context, 'POST', '/api/session/student', { courseCode: 'WOODY', personalCode: 'ELIO93' });
  const client = await context.newCDPSession(page);
  await client.send('Network.enable');
  let bytes = 0;
  client.on('Network.loadingFinished', (event) => (bytes += event.encodedDataLength));
  await page.goto(`${HOME}/`);
  await page.getByText('Everything is on this phone').waitFor();
  const all = bytes;
  await page.getByRole('link', { name: title }).click();
  await page.getByRole('img').waitFor();
  await client.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  const steps: number[] = [];
  for (let at = 2; at <= STATIONS; at += 1) steps.push(await stepTo(page, at));
  await context.close();
  return { bytes: all, step: median(steps) };
}

/** Milliseconds from the press until the next station stands there with its drawing. */
const stepTo = (page: Page, at: number): Promise<number> =>
  page.evaluate(
    (next) =>
      new Promise<number>((resolve) => {
        const began = performance.now();
        // Not asked frame by frame: what is named within a page cannot be carried into it.
        const timer = setInterval(() => {
          const there = document.querySelector('h1')?.textContent === `Station ${next}`;
          const picture = document.querySelector<HTMLImageElement>('main img');
          if (!there || !picture?.complete || picture.naturalWidth === 0) return;
          clearInterval(timer);
          resolve(performance.now() - began);
        }, 4);
        document.querySelector<HTMLButtonElement>('form button:not([type=button])')!.click();
      }),
    at,
  );

/** Whether it can be told by how long the server takes for an answer that it is right. */
async function whatTimesTell(desk: BrowserContext, browser: Browser, quizId: string): Promise<string> {
  const { stations } = await asked<{ stations: { id: string; taxonId: string }[] }>(
    desk,
    'GET',
    `/api/quizzes/${quizId}`,
  );
  const { list } = await asked<{ list: { id: string; genus: string; epithet: string }[] }>(
    desk,
    'GET',
    `/api/quizzes/${quizId}/marks`,
  );
  const phone = await browser.newContext();
  await asked(phone, 'POST', '/api/session/student', { courseCode: 'WOODY', personalCode: 'ELIO93' });
  let sequence = 1000;
  const taken = async (i: number, isRight: boolean) => {
    const { id, taxonId } = stations[i % stations.length]!;
    const { genus, epithet } = list.find((taxon) => (taxon.id === taxonId) === isRight)!;
    const answer = { genus, epithet };
    const response = {
      id: randomUUID(),
      stationId: id,
      answer,
      device: 'bench',
      sequence: (sequence += 1),
      writtenAt: new Date().toISOString(),
    };
    const began = performance.now();
    await asked(phone, 'POST', '/api/sit/responses', { responses: [response] });
    return performance.now() - began;
  };
  const lot = randomFrom(31);
  const differences: number[] = [];
  for (let i = 0; i < PAIRS + WARM; i += 1) {
    const rightFirst = lot.uniform() < 0.5;
    const [first, second] = [await taken(i, rightFirst), await taken(i, !rightFirst)];
    if (i >= WARM) differences.push(rightFirst ? first - second : second - first);
    // A student is let in at the pace of a student.
    await new Promise((resolve) => setTimeout(resolve, 60));
  }
  const again = Array.from({ length: 1000 }, () =>
    median(differences.map(() => differences[Math.floor(lot.uniform() * differences.length)]!)),
  ).sort((a, b) => a - b);
  const [low, high] = [again[50]!, again[950]!];
  await phone.close();
  return `${median(differences).toFixed(2)} ms (${low.toFixed(2)} to ${high.toFixed(2)})`;
}

/** How many answers need a human: of the demo's quizzes, and of as many names of which every fifth is slipped. */
async function needed(desk: BrowserContext): Promise<Row[]> {
  const [course] = await asked<{ id: string }[]>(desk, 'GET', '/api/courses');
  const { quizzes } = await asked<{ quizzes: { id: string; state: string }[] }>(
    desk,
    'GET',
    `/api/courses/${course!.id}`,
  );
  const waits = ({ how, other }: { how: string; other?: string }) =>
    how === 'ambiguous' || (how === 'none' && !other);
  let [all, wait] = [0, 0];
  for (const { id } of quizzes.filter(({ state }) => state === 'closed')) {
    const { answers } = await asked<{
      answers: { text: string; mark: { resolution: { how: string; other?: string } } }[];
    }>(desk, 'GET', `/api/quizzes/${id}/marks`);
    const written = answers.filter(({ text }) => text);
    all += written.length;
    wait += written.filter(({ mark }) => waits(mark.resolution)).length;
  }
  const { demo: list } = readingLists();
  const random = randomFrom(30);
  const papers = Array.from({ length: 30 * STATIONS }, (_, i) => {
    const name = scientificName(list[i % list.length]!);
    return i % 5 === 0 ? slipped(name, random) : name;
  });
  const slips = papers.filter((name) => waits(resolveName(name, list))).length;
  const percent = (n: number, of: number) => `${((100 * n) / of).toFixed(1)} %`;
  return [
    {
      what: `marking: of ${all} answers of the demo's quizzes, those that need a human`,
      value: percent(wait, all),
      wanted: '< 3 %',
    },
    {
      what: `marking: of 30 papers × ${STATIONS} names, every fifth slipped, those that need a human`,
      value: percent(slips, papers.length),
      wanted: '< 3 %',
    },
  ];
}

/** Milliseconds from the key that rules on an answer until the next one is asked. */
async function byKeys(desk: BrowserContext, courseId: string, quizId: string): Promise<number> {
  const { students } = await asked<{ students: { id: string }[] }>(desk, 'GET', `/api/courses/${courseId}`);
  const { stations } = await asked<{ stations: { id: string }[] }>(desk, 'GET', `/api/quizzes/${quizId}`);
  for (let i = 0; i < ODD; i += 1)
    await asked(desk, 'POST', `/api/quizzes/${quizId}/paper`, {
      studentId: students[i % students.length]!.id,
      stationId: stations[i % STATIONS]!.id,
      answer: { genus: `Qwz${String.fromCharCode(97 + i)}xk`, epithet: 'vvrtz' },
    });
  const page = await desk.newPage();
  await page.goto(`${HOME}/c/${courseId}/quizzes/${quizId}/mark`);
  const queue = page.getByRole('group', { name: 'Answers to rule on' });
  await queue.waitFor();
  const took: number[] = [];
  for (let left = ODD; left > 1; left -= 1) {
    const began = performance.now();
    await page.keyboard.press('0');
    await page.getByText(`1 of ${left - 1} ·`).waitFor();
    took.push(performance.now() - began);
  }
  return median(took);
}
