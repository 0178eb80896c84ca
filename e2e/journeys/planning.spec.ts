import { expect, test } from '@playwright/test';
import { Hurrow } from '../hurrow.ts';

const step = test.step;
let hurrow: Hurrow;
test.beforeAll(async () => {
  hurrow = await Hurrow.start('demo');
});
test.afterAll(() => hurrow.stop());

test('a quiz of twenty stations: proposed, two unfair ones repaired, sat blind, printed, rung', async ({
  page,
}) => {
  await hurrow.enter(page, 'instructor');
  await page.getByRole('button', { name: 'Plan a quiz' }).click();
  const stations = page.getByRole('listitem').filter({ has: page.getByRole('button', { name: /^\d+ / }) });
  await step('proposed in one sentence', async () => {
    await page.getByLabel('Held on').fill('2026-10-22');
    await page.getByLabel('Stations', { exact: true }).fill('18');
    await page.getByRole('button', { name: 'Propose the quiz' }).click();
    await expect(page.getByText(/that could be set; none would be better/)).toBeVisible({ timeout: 60_000 });
    await expect(stations).toHaveCount(18);
  });
  await step('what is shown too sparingly is said to be unfair, and repaired with one press', async () => {
    let count = 18;
    for (const tree of ['thinleaf alder', 'bitter cherry']) {
      await page.getByLabel('Add a station').click();
      await page.keyboard.type(tree);
      await page.keyboard.press('Enter');
      const added = stations.last();
      await added.getByRole('combobox').selectOption({ label: 'bark piece' });
      await expect(stations).toHaveCount((count += 1));
      await expect(added.getByText(/careful readers can tell it; else/)).toBeVisible({ timeout: 60_000 });
      await added
        .getByRole('button', { name: /of 100\)$/ })
        .first()
        .click();
      await expect(added.getByText(/^(9\d of 100 careful readers|Every careful reader)/)).toBeVisible({
        timeout: 60_000,
      });
    }
    await expect(page.getByText('Every station is fair for a careful reader.')).toBeVisible({
      timeout: 90_000,
    });
    await expect(page.getByText(/Expected: \d+ %/)).toBeVisible();
  });
  await step('neighbours that give each other away are put apart', async () => {
    const near = page.getByRole('button', { name: 'Put them in order' });
    if (await near.isVisible()) await near.click();
    await expect(page.getByText('No station gives its neighbor away.')).toBeVisible();
  });
  await page.getByRole('button', { name: 'Save the plan' }).click();
  await page.getByRole('link', { name: 'Rounds and papers' }).click();
  await step('everyone goes round, and everything is printed', async () => {
    await page.getByLabel('Rests').fill('4');
    await page.getByRole('button', { name: 'Keep it so' }).click();
    await expect(page.getByText('24 bells, 30 minutes')).toBeVisible();
    for (const title of [
      'Station cards',
      'Answer sheets',
      'Round cards',
      'Master key',
      'List of names',
      'Sign-in sheet',
    ]) {
      const [download] = await Promise.all([
        page.waitForEvent('download'),
        page.getByRole('link', { name: title }).click(),
      ]);
      expect(download.suggestedFilename()).toMatch(/\.pdf$/);
    }
  });
  await step('a colleague sits it blind, and what was missed is listed', async () => {
    await page.getByRole('link', { name: 'Sit it blind' }).click();
    for (let station = 1; station < 20; station += 1) {
      await expect(page.getByRole('heading', { name: `Station ${station}`, exact: true })).toBeVisible();
      await page.getByRole('button', { name: 'Next station ›' }).click();
    }
    await page.getByRole('button', { name: 'Hand in' }).click();
    await expect(page.getByRole('heading', { name: '20 of 20 were missed:' })).toBeVisible();
    await page.getByRole('link', { name: 'Done' }).click();
    await expect(page.getByText(/sat it blind on 2026-10-15: missed 1 \(/)).toBeVisible();
  });
  await step('the bell rings, holds, and gives two minutes more', async () => {
    await page.getByRole('link', { name: 'Show the bell' }).click();
    await page.getByRole('button', { name: 'Start' }).click();
    await expect(page.getByText('Find your place')).toBeVisible();
    await page.getByRole('button', { name: 'Two minutes more' }).click();
    await expect(page.getByRole('timer')).toContainText(/^2:0/);
    await page.getByRole('button', { name: 'Hold' }).click();
    await page.reload();
    await expect(page.getByRole('button', { name: 'Go on' })).toBeVisible();
  });
});
