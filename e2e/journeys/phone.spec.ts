import { expect, test, type Page } from '@playwright/test';
import { Hurrow } from '../hurrow.ts';

test.use({ viewport: { width: 390, height: 844 } });

let hurrow: Hurrow;
test.beforeAll(async () => {
  hurrow = await Hurrow.start('demo');
});
test.afterAll(() => hurrow.stop());

const answer = async (page: Page, genus: string, epithet: string) => {
  await page.getByLabel('Genus').fill(genus);
  await page.getByLabel('Epithet').fill(epithet);
  await page.getByRole('button', { name: /Next station|Finish/ }).click();
};

test('two tabs without a signal, a reload, the back button and a crash lose nothing, and the last answer counts', async ({
  page,
  context,
  browser,
}) => {
  await hurrow.enter(page, 'student');
  await page.getByRole('link', { name: /Self-check/ }).click();
  const station = page.url();
  await expect(page.getByLabel('Genus')).toBeVisible();
  const second = await context.newPage();
  await second.goto(station);
  await expect(second.getByLabel('Genus')).toBeVisible();

  // Half typed, and the page is loaded again: what was typed is there.
  await page.getByLabel('Genus').fill('Tsu');
  await page.reload();
  await expect(page.getByLabel('Genus')).toHaveValue('Tsu');

  await context.setOffline(true);
  await answer(page, 'Tsuga', 'mertensiana');
  await expect(page.getByRole('status')).toContainText('One answer waits');
  await answer(second, 'Abies', 'grandis');
  await expect(second.getByRole('status')).toContainText('2 answers wait');
  // The other tab knows of it, and writes last.
  await expect(page.getByRole('status')).toContainText('2 answers wait');
  await page.goBack();
  await expect(page.getByLabel('Genus')).toHaveValue('Abies');
  await page.getByLabel('Epithet').fill('lasiocarpa');
  await page.getByRole('button', { name: 'Next station ›' }).click();
  await expect(page.getByRole('status')).toContainText('3 answers wait');
  // A crash of both leaves the answers on the phone.
  await page.close({ runBeforeUnload: false });
  await second.close({ runBeforeUnload: false });

  await context.setOffline(false);
  const later = await context.newPage();
  await later.goto(station);
  await expect(later.getByLabel('Genus')).toHaveValue('Abies');
  await expect(later.getByRole('status')).toHaveCount(0);
  await expect(later.getByLabel('Epithet')).toHaveValue('lasiocarpa');

  const desk = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await hurrow.enter(desk, 'instructor');
  await desk.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Quizzes' }).click();
  await desk.getByRole('link', { name: /Self-check/ }).click();
  await desk.getByRole('link', { name: 'Mark', exact: true }).click();
  await desk.getByLabel('show right answers as well').check();
  const papers = desk.getByRole('table', { name: 'Papers' });
  await expect(papers.getByRole('button', { name: /^1 Abies lasiocarpa/ })).toHaveCount(1);
  await expect(desk.getByText('Two devices say different things')).toHaveCount(0);
  await desk.context().close();
});

test('a swallowed request is given up and sent again; another student on this phone sees nothing of it', async ({
  page,
  context,
}) => {
  await hurrow.enter(page, 'student');
  await page.getByRole('link', { name: /Self-check/ }).click();
  // It is begun: all its stations are shown.
  await page.getByRole('link', { name: /^Station 1:/ }).click();
  // The first request never gets an answer.
  let swallowed = 0;
  await page.route('**/api/sit/responses', async (route) => {
    swallowed += 1;
    if (swallowed === 1) await route.abort('timedout');
    else await route.continue();
  });
  await answer(page, 'Picea', 'pungens');
  await expect(page.getByRole('status')).toContainText('One answer waits');
  await expect(page.getByRole('status')).toHaveCount(0);
  expect(swallowed).toBeGreaterThan(1);
  await page.getByLabel('Genus').fill('Half typed');
  await page.goto(hurrow.url);
  await page.getByRole('button', { name: 'Sign out' }).click();
  const other = await context.newPage();
  await other.goto(`${hurrow.url}/#WOODY/AMARA71`);
  await other.getByRole('button', { name: 'Start' }).click();
  await other.getByRole('link', { name: /Self-check/ }).click();
  await expect(other.getByLabel('Genus')).toHaveValue('');
  await other.getByRole('button', { name: 'Next station ›' }).click();
  await expect(other.getByLabel('Genus')).toHaveValue('');
});

test('a phone without room says so at once and loses nothing while its page is open', async ({
  page,
  context,
}) => {
  await page.addInitScript(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('No room', 'QuotaExceededError');
    };
  });
  await page.goto(`${hurrow.url}/#WOODY/DINA62`);
  await page.getByRole('button', { name: 'Start' }).click();
  await page.getByRole('link', { name: /Self-check/ }).click();
  await expect(page.getByLabel('Genus')).toBeVisible();
  await context.setOffline(true);
  await answer(page, 'Larix', 'lyallii');
  await expect(page.getByRole('status')).toContainText('no room to keep them: leave this page open');
  await context.setOffline(false);
  await expect(page.getByRole('status')).toHaveCount(0);
  // What the server has is shown by any page.
  const later = await context.newPage();
  await later.goto(hurrow.url);
  await later.getByRole('link', { name: /Self-check/ }).click();
  await later.getByRole('link', { name: 'Station 1: answered' }).click();
  await expect(later.getByLabel('Genus')).toHaveValue('Larix');
});

test('a phone whose clock is wrong by hours, and that comes back a day later, brings everything once and in order', async ({
  page,
  context,
}) => {
  await page.clock.install({ time: new Date('2026-10-15T05:00:00Z') });
  await page.goto(`${hurrow.url}/#WOODY/ELIO93`);
  await page.getByRole('button', { name: 'Start' }).click();
  await page.getByRole('link', { name: /Self-check/ }).click();
  await expect(page.getByLabel('Genus')).toBeVisible();
  const station = page.url();
  await context.setOffline(true);
  await answer(page, 'Thuja', 'plicata');
  // The clock is put back: what is written then is still the later answer.
  await page.clock.setSystemTime(new Date('2026-10-14T20:00:00Z'));
  await page.goBack();
  await page.getByLabel('Epithet').fill('occidentalis');
  await page.getByRole('button', { name: 'Next station ›' }).click();
  await expect(page.getByRole('status')).toContainText('2 answers wait');
  await page.close();
  const nextDay = await context.newPage();
  await nextDay.clock.install({ time: new Date('2026-10-16T09:00:00Z') });
  await context.setOffline(false);
  await nextDay.goto(station);
  await expect(nextDay.getByRole('status')).toHaveCount(0);
  await expect(nextDay.getByLabel('Epithet')).toHaveValue('occidentalis');
});
