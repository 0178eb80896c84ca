import type { Page } from '@playwright/test';
import { median, milliseconds, type Row } from './row.ts';
import { demoInBrowser } from './start.ts';

const PORT = 46_823;
const HOME = `http://localhost:${PORT}`;
const SLOWER = 4;
const CARDS = 20;

/** Practice on a phone whose processor is slowed: until the first card stands there, and from card to card. */
export async function practicePage(): Promise<Row[]> {
  const { browser, end } = await demoInBrowser(PORT);
  try {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
    const page = await context.newPage();
    await context.request.post(`${HOME}/api/session/student`, {
      headers: { 'x-hurrow': '1' },
      data: { courseCode: 'WOODY', personalCode: 'ELIO93' },
    });
    await page.goto(`${HOME}/practice`);
    await page.getByLabel('How long').waitFor();
    await page.goto(`${HOME}/`);
    await page.getByRole('link', { name: 'Practice', exact: true }).waitFor();
    // What is practiced with is on the phone by now, as on any day but the first.
    await page.waitForTimeout(4000);
    const client = await context.newCDPSession(page);
    await client.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
    const start = await pressUntil(page, 'a[href="/practice"]', 'main select');
    await page.getByLabel('In which way').selectOption('name');
    const first = await pressUntil(page, 'main a[href^="/practice/go"]', 'main img');
    const steps: number[] = [];
    for (let i = 0; i < CARDS; i += 1) {
      await page.getByRole('button', { name: 'No idea' }).click();
      await page.getByRole('button', { name: 'The left one' }).click();
      await page.getByRole('button', { name: 'Next' }).waitFor();
      steps.push(await pressUntil(page, 'main section > button', 'main form'));
    }
    return [
      {
        what: `practice: from the press on the first page to what there is to do, processor slowed ${SLOWER}×`,
        value: milliseconds(start),
      },
      {
        what: `practice: from the press until the first card stands there, processor slowed ${SLOWER}×`,
        value: milliseconds(first),
        wanted: '< 1 s',
      },
      {
        what: `practice: from one card to the next, processor slowed ${SLOWER}×, median`,
        value: milliseconds(median(steps)),
        wanted: '< 150 ms',
      },
    ];
  } finally {
    await end();
  }
}

/** Milliseconds from the press on one thing until another stands there, pictures painted. */
const pressUntil = (page: Page, press: string, until: string): Promise<number> =>
  page.evaluate(
    ([from, to]) =>
      new Promise<number>((resolve) => {
        const began = performance.now();
        const timer = setInterval(() => {
          const picture = document.querySelector<HTMLImageElement>('main img');
          if (!document.querySelector(to!) || (picture && !picture.complete)) return;
          clearInterval(timer);
          requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - began)));
        }, 4);
        document.querySelector<HTMLElement>(from!)!.click();
      }),
    [press, until],
  );
