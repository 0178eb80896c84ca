import { expect, test, type Page } from '@playwright/test';
import { Hurrow } from '../hurrow.ts';
import { follow, OF_A_COURSE, OF_LOOKALIKES, OF_THE_LIBRARY } from '../pages.ts';

test.use({ viewport: { width: 390, height: 844 } });

let hurrow: Hurrow;
test.beforeAll(async () => {
  hurrow = await Hurrow.start('demo');
});
test.afterAll(() => hurrow.stop());

const width = (page: Page) => page.evaluate(() => document.documentElement.scrollWidth);

test('no page of the workbench is wider than a phone', async ({ page }) => {
  await page.goto(hurrow.url);
  await expect(page.getByRole('heading', { name: 'Students' })).toBeVisible();
  expect(await width(page), 'sign-in').toBeLessThanOrEqual(390);
  await hurrow.enter(page, 'instructor');
  await expect(page.getByText('Week 7.')).toBeVisible();
  const base = page.url().replace(/\/course$/, '');
  for (const [where, ready] of [...OF_THE_LIBRARY, ...OF_LOOKALIKES, ...OF_A_COURSE]) {
    await follow(page, `${base}/${where}`);
    await expect(page.getByText(ready).first()).toBeAttached();
    expect(await width(page), where).toBeLessThanOrEqual(390);
    // Nor wider than a tablet: between the two the bar had no room.
    await page.setViewportSize({ width: 1024, height: 768 });
    expect(await width(page), `${where} on a tablet`).toBeLessThanOrEqual(1024);
    await page.setViewportSize({ width: 390, height: 844 });
  }
});

test('a student opens what the course has opened, and no more while a quiz is open', async ({
  page,
  browser,
}) => {
  // The demo’s self-check is open: profiles and recap only, as a book would tell.
  await hurrow.enter(page, 'student');
  await page.getByRole('link', { name: 'Trees of the course' }).click();
  await expect(page.getByRole('heading', { name: 'Single needles' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Two trees side by side' })).toHaveCount(0);
  await page.getByRole('link', { name: /grand fir/ }).click();
  await expect(page.getByRole('img', { name: /Abies grandis, drawn from its scores/ })).toBeVisible();
  expect(await width(page)).toBeLessThanOrEqual(390);
  await page.getByRole('link', { name: 'Back' }).click();
  await page.getByRole('link', { name: 'Recap of Single needles' }).click();
  await expect(page.getByRole('term').filter({ hasText: 'grand fir' })).toBeVisible();
  expect(await width(page)).toBeLessThanOrEqual(390);

  const desk = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await hurrow.enter(desk, 'instructor');
  await desk.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Quizzes' }).click();
  await desk.getByRole('link', { name: /Self-check/ }).click();
  await desk.getByRole('button', { name: 'Close the quiz' }).click();
  await expect(desk.getByText('The quiz is closed.')).toBeVisible();
  await desk.context().close();

  await page.goto(`${hurrow.url}/trees`);
  await page.getByRole('link', { name: 'Two trees side by side' }).click();
  await page.getByLabel('First tree').selectOption('abies-grandis');
  await page.getByLabel('Second tree').selectOption('abies-lasiocarpa');
  await expect(page.getByText(/A careful reader of every visible character/)).toBeVisible();
  expect(await width(page)).toBeLessThanOrEqual(390);
  await page.getByRole('link', { name: 'Back' }).click();
  await page.getByRole('link', { name: 'Walk through a key' }).click();
  await page.locator('[class*="walk-lead_"]').first().click();
  await expect(page.getByText('Question 2.')).toBeVisible();
  expect(await width(page)).toBeLessThanOrEqual(390);
});
