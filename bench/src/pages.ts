import { chromium, type Browser, type Page } from '@playwright/test';
import { demoFolder, startServer } from './start.ts';
import type { Row } from './row.ts';
import { findChromium } from '../../setup/install.mjs';

const PORT = 46_820;
/** A machine by its name, over plain http: browsers give it no worker and take no Brotli from it. */
const ROOM = 'trees.test';
/** Milliseconds in which a phone takes along what it will need later. */
const TAKEN_ALONG = 6000;

/** Bytes on the wire until the first page can be used, as the browser counts them. */
export async function pages(): Promise<Row[]> {
  const { folder, remove } = demoFolder();
  const { stop } = await startServer(folder, PORT);
  const browser = await chromium.launch({
    executablePath: findChromium(),
    args: ['--no-sandbox', '--disable-background-networking', `--host-resolver-rules=MAP ${ROOM} 127.0.0.1`],
  });
  /** Of a page until it is ready, and of what it takes along behind that. */
  const weigh = async (
    as: 'instructor' | 'student',
    ready: (page: Page) => Promise<unknown>,
    home = `http://localhost:${PORT}`,
  ) => {
    const page = await (await browser.newContext()).newPage();
    await page.goto(`${home}/api/session`);
    await page.evaluate(
      (who) =>
        fetch('/api/session/demo', {
          method: 'POST',
          headers: { 'x-hurrow': '1', 'content-type': 'application/json' },
          body: JSON.stringify({ as: who }),
        }),
      as,
    );
    const client = await page.context().newCDPSession(page);
    await client.send('Network.enable');
    let bytes = 0;
    // Pictures of stations that come later are taken along behind the first page: they are weighed with the whole quiz.
    const pictures = new Set<string>();
    client.on('Network.requestWillBeSent', ({ requestId, request }) => {
      if (request.url.endsWith('/drawing.svg')) pictures.add(requestId);
    });
    client.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
      const isFirst = [...pictures][0] === requestId;
      if (!pictures.has(requestId) || isFirst) bytes += encodedDataLength;
    });
    await page.goto(`${home}/`);
    await ready(page);
    await page.waitForLoadState('networkidle');
    const first = bytes;
    await page.waitForTimeout(TAKEN_ALONG);
    await page.context().close();
    return { first, behind: bytes - first };
  };
  const toStation = async (page: Page) => {
    await page.getByRole('link', { name: /Self-check/ }).click();
    await page.getByLabel('Genus').waitFor();
  };
  const student = await weigh('student', toStation);
  const inRoom = await weigh('student', toStation, `http://${ROOM}:${PORT}`);
  const bench = await weigh('instructor', (page) => page.getByText('Week 7.').waitFor());
  const range = await scriptOf(browser, '/c/-/species/abies-grandis/range', (page) =>
    page.getByText('Native in').waitFor(),
  );
  await browser.close();
  await stop();
  remove();
  const kilobytes = (n: number) => `${Math.round(n / 1000)} kB`;
  return [
    {
      what: "first page weight, a student's phone up to the first station",
      value: kilobytes(student.first),
      wanted: '≤ 200 kB',
    },
    {
      what: 'the same from a machine of the room, over plain http',
      value: kilobytes(inRoom.first),
    },
    {
      what: 'taken along behind that, for practice, over plain http',
      value: kilobytes(inRoom.behind),
    },
    {
      what: 'first page weight, workbench up to the course page, data included',
      value: kilobytes(bench.first),
      wanted: '≤ 500 kB',
    },
    {
      what: 'script of the range page beyond what any page loads, unpacked (was 1,666 kB with the atlas in it)',
      value: kilobytes(range),
    },
  ];
}

/** Bytes of script that a page of the workbench loads, unpacked, beside those of the list of species. */
async function scriptOf(browser: Browser, path: string, ready: (page: Page) => Promise<unknown>) {
  const page = await (await browser.newContext()).newPage();
  const home = `http://localhost:${PORT}`;
  await page.request.post(`${home}/api/session/demo`, {
    data: { as: 'instructor' },
    headers: { 'x-hurrow': '1' },
  });
  const scripts = async () =>
    page.evaluate(() =>
      performance
        .getEntriesByType('resource')
        .filter((entry) => entry.name.endsWith('.js'))
        .reduce((sum, entry) => sum + (entry as PerformanceResourceTiming).decodedBodySize, 0),
    );
  await page.goto(`${home}/c/-/species`);
  await page.getByText('42 taxa').first().waitFor({ state: 'attached' });
  await page.waitForLoadState('networkidle');
  const before = await scripts();
  await page.goto(`${home}${path}`);
  await ready(page);
  await page.waitForLoadState('networkidle');
  const after = await scripts();
  await page.context().close();
  return Math.max(0, after - before);
}
