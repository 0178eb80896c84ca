import { expect, test } from '@playwright/test';
import { pressByKey, tabTo } from '../byKeys.ts';
import { Hurrow } from '../hurrow.ts';

const step = test.step;
let hurrow: Hurrow;
test.beforeAll(async () => {
  hurrow = await Hurrow.start('demo');
});
test.afterAll(() => hurrow.stop());

test('a student sits a quiz by keys alone', async ({ page }) => {
  await page.goto(hurrow.url);
  await pressByKey(page, page.getByRole('button', { name: 'Enter as a student' }));
  await pressByKey(page, page.getByRole('link', { name: /Self-check/ }));
  const next = page.getByRole('button', { name: /Next station|Finish/ });
  const stations = page.getByRole('heading', { name: /^Station \d+/ });
  await expect(stations).toBeVisible();
  for (let station = 1; (await next.count()) > 0 && station < 30; station += 1) {
    const title = (await stations.textContent())!;
    const genus = page.getByLabel('Genus');
    if ((await genus.count()) > 0) {
      await tabTo(page, genus);
      await page.keyboard.type('Abies');
    }
    const last = await page.getByRole('button', { name: 'Finish' }).count();
    await pressByKey(page, next);
    if (last) break;
    await expect(stations).not.toHaveText(title);
  }
  await expect(page.getByText('Every station has an answer.')).toBeVisible();
});

test('an instructor gathers, contrasts, builds a key and walks it by keys alone', async ({ page }) => {
  await page.goto(hurrow.url);
  await pressByKey(page, page.getByRole('button', { name: 'Enter as the instructor' }));
  await expect(page.getByText('Week 7.')).toBeVisible();
  await step('past the bar of places in one press', async () => {
    await page.keyboard.press('Tab');
    await pressByKey(page, page.getByRole('button', { name: 'Go to the page' }));
    await page.keyboard.press('Tab');
    await expect(page.locator('main :focus')).toHaveCount(1);
  });
  await step('a hard pair from the map', async () => {
    await pressByKey(page, page.getByRole('link', { name: 'Lookalikes', exact: true }));
    await pressByKey(page, page.getByRole('link', { name: 'Pair map' }));
    await pressByKey(page, page.getByRole('link', { name: 'whitebark pine and limber pine' }));
    await expect(page.getByRole('heading', { name: /whitebark pine or limber pine/ })).toBeVisible();
  });
  await step('a key, walked to its end', async () => {
    await pressByKey(page, page.getByRole('link', { name: 'Keys', exact: true }));
    await expect(page.getByText(/questions on average to a name/)).toBeVisible();
    await pressByKey(page, page.getByRole('button', { name: 'Walk through it' }));
    const leads = page.locator('[class*="walk-lead_"]');
    await expect(leads.first()).toBeVisible();
    while (await leads.count()) await pressByKey(page, leads.first());
    await expect(page.getByText(/It comes out as/)).toBeVisible();
  });
});

test('a quiz is proposed, put in another order, saved, opened and closed by keys alone', async ({ page }) => {
  await page.goto(hurrow.url);
  await pressByKey(page, page.getByRole('button', { name: 'Enter as the instructor' }));
  await pressByKey(page, page.getByRole('link', { name: 'Quizzes', exact: true }));
  await pressByKey(page, page.getByRole('button', { name: 'Plan a quiz' }));
  await tabTo(page, page.getByLabel('Stations', { exact: true }));
  await page.keyboard.press('Control+a');
  await page.keyboard.type('6');
  await pressByKey(page, page.getByRole('button', { name: /^Propose/ }));
  const stations = page.getByRole('listitem').filter({ has: page.getByRole('button', { name: /^\d+ / }) });
  await expect(stations).toHaveCount(6);
  await step('the first station goes down one place', async () => {
    const first = stations.nth(0).getByRole('button', { name: /^1 / });
    const tree = (await first.innerText()).slice(2).trim();
    await pressByKey(page, page.getByRole('button', { name: 'Station 1 later' }), 'Space');
    await expect(stations.nth(1).getByRole('button', { name: new RegExp(`^2 *${tree}`) })).toBeVisible();
  });
  await pressByKey(page, page.getByRole('button', { name: 'Save the plan' }));
  await expect(page.getByRole('link', { name: 'Rounds and papers' })).toBeVisible();
  await pressByKey(page, page.getByRole('button', { name: 'Open to students' }));
  await pressByKey(page, page.getByRole('button', { name: 'Close the quiz' }));
  await expect(page.getByText('The quiz is closed.').first()).toBeVisible();
});
