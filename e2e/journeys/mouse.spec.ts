import { expect, test, type Page } from '@playwright/test';
import { Hurrow } from '../hurrow.ts';
import { pressAll, pressesLost, watchPresses } from '../press.ts';

let hurrow: Hurrow;
test.beforeAll(async () => {
  hurrow = await Hurrow.start('demo');
});
test.afterAll(() => hurrow.stop());

const newSpecies = async (page: Page) => {
  await hurrow.enter(page, 'instructor');
  await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Species' }).click();
  await page.getByRole('button', { name: 'New', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'New species' })).toBeVisible();
};

test('going down the editor with the mouse, every first press is taken', async ({ page }) => {
  await newSpecies(page);
  await watchPresses(page);
  await pressAll(
    page,
    page.getByRole('group', { name: 'foliage' }).getByRole('button', { name: 'broad blade' }),
  );
  const rows = page.locator('.score-row');
  const second = rows.locator('button:nth-of-type(2)[aria-pressed]');
  const pressed = await pressAll(page, second);
  expect(pressed).toBeGreaterThan(50);
  expect((await pressesLost(page)).lost).toEqual([]);
  await expect(page.locator('.score-row button[aria-pressed="true"]')).toHaveCount(pressed + 1);
});
