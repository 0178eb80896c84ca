import { chromium } from '@playwright/test';
import { newTree } from '@hurrow/core/grounds';
import { demoFolder, startServer } from './start.ts';
import { milliseconds, type Row } from './row.ts';
import { findChromium } from '../../setup/install.mjs';

const PORT = 46_830;
const TREES = 1000;

/** The longest task of the page while a list and a map of a thousand trees are scrolled and moved. */
export async function groundsPage(): Promise<Row[]> {
  const { folder, remove } = demoFolder();
  const { stop } = await startServer(folder, PORT);
  const browser = await chromium.launch({
    executablePath: findChromium(),
    args: ['--no-sandbox', '--disable-background-networking'],
  });
  const home = `http://localhost:${PORT}`;
  const headers = { 'x-hurrow': '1' };
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await page.request.post(`${home}/api/session/demo`, { data: { as: 'instructor' }, headers });
  const place = { name: 'A thousand trees', latitude: 47.6, longitude: -116.4, elevation: 780 };
  const begun = await page.request.post(`${home}/api/grounds`, { data: place, headers });
  const { id } = (await begun.json()) as { id: string };
  const trees = Array.from({ length: TREES }, (_, i) => ({
    ...newTree(`K-${i + 1}`, 47.6 + (i % 40) * 0.0001, -116.4 + Math.floor(i / 40) * 0.00015),
    spread: 3 + (i % 9),
  }));
  await page.request.post(`${home}/api/grounds/${id}/trees`, { data: { trees }, headers });
  await page.goto(`${home}/c/-/grounds/${id}`);
  await page.getByText(`${TREES} of ${TREES} trees`).waitFor();
  await page.waitForTimeout(1500);
  await page.evaluate(() => {
    const tasks: number[] = [];
    Object.assign(window, { tasks });
    new PerformanceObserver((list) =>
      list.getEntries().forEach(({ duration }) => tasks.push(duration)),
    ).observe({
      entryTypes: ['longtask'],
    });
  });
  const longest = async (work: () => Promise<void>): Promise<number> => {
    await page.evaluate(() => ((window as unknown as { tasks: number[] }).tasks.length = 0));
    await work();
    await page.waitForTimeout(600);
    return page.evaluate(() => Math.max(0, ...(window as unknown as { tasks: number[] }).tasks));
  };
  const scrolled = await longest(async () => {
    await page.getByRole('list', { name: 'Trees', exact: true }).hover();
    for (let i = 0; i < 40; i += 1) await page.mouse.wheel(0, 900);
  });
  const panned = await longest(async () => {
    const box = (await page.getByRole('application', { name: /^Map of/ }).boundingBox())!;
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    for (let i = 0; i < 60; i += 1)
      await page.mouse.move(x + 120 * Math.sin(i / 6), y + 80 * Math.cos(i / 6));
    await page.mouse.up();
  });
  await browser.close();
  await stop();
  remove();
  // Tasks under 50 ms are not told at all.
  const words = (most: number) => (most === 0 ? 'under 50 ms' : milliseconds(most));
  return [
    {
      what: `longest task while a list of ${TREES} trees is scrolled`,
      value: words(scrolled),
      wanted: '≤ 50 ms',
    },
    { what: `longest task while their map is moved`, value: words(panned), wanted: '≤ 50 ms' },
  ];
}
