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
  await page.getByRole('link', { name: 'Grounds', exact: true }).click();
  await page.getByRole('link', { name: 'Collecting lists' }).click();
  await page.getByRole('link', { name: 'Lab of week 7' }).click();
  await page.getByRole('link', { name: 'Plan a quiz of these pieces' }).click();
  const stations = page.getByRole('listitem').filter({ has: page.getByRole('button', { name: /^\d+ / }) });
  const of = (tree: string) =>
    stations.filter({ has: page.getByRole('button', { name: new RegExp(`^\\d+ ${tree}`) }) });
  await step('the pieces of the list, and what stands against each', async () => {
    await expect(stations).toHaveCount(14);
    await expect(page.getByLabel('Held on')).toHaveValue('2026-10-16');
    await expect(of('western hemlock').getByText(/keeps until 15 Oct only: cut another/)).toBeVisible();
    await expect(of('whitebark pine').getByText(/protected and may not be cut. Instead:/)).toBeVisible();
  });
  await step('the others proposed in one sentence, two of them for a feature', async () => {
    await page.getByLabel('Stations', { exact: true }).fill('20');
    await page.getByText('All ask for the name.').click();
    await page.getByLabel('Stations that ask for one of its features').selectOption('2');
    await page.getByRole('button', { name: 'Propose again' }).click();
    await expect(page.getByText(/that could be set; none would be better/)).toBeVisible();
    await expect(stations).toHaveCount(20);
    await expect(stations.getByText(/^asks for .*, marked$/)).toHaveCount(2);
  });
  await step('two that are not fair are repaired with one press each', async () => {
    for (const [tree, repair] of [
      ['whitebark pine', /^Ask for its genus/],
      ['European mountain-ash', /^Add the twig and buds/],
    ] as const) {
      await of(tree).getByRole('button', { name: repair }).click();
      await expect(of(tree).getByText(/^(9\d of 100 careful readers|Every careful reader)/)).toBeVisible();
    }
    await expect(page.getByText('Every station is fair for a careful reader.')).toBeVisible();
    await expect(page.getByText(/Expected: \d+ %/)).toBeVisible();
    await expect(page.getByText(/Earlier quizzes, each expected from the others: Quiz 1/)).toBeVisible();
    await expect(page.getByText(/of \d+ pieces can be had from Quillan Ridge grounds/)).toBeVisible();
  });
  await step('a station is dragged to another place', async () => {
    const second = stations.nth(1).getByRole('button', { name: /^2 / });
    const tree = (await second.innerText()).slice(2);
    await second.scrollIntoViewIfNeeded();
    const [from, to] = [(await second.boundingBox())!, (await stations.nth(0).boundingBox())!];
    await page.mouse.move(from.x + 40, from.y + 10);
    await page.mouse.down();
    await page.mouse.move(from.x + 40, from.y - 10, { steps: 4 });
    await page.mouse.move(from.x + 40, to.y + 4, { steps: 8 });
    await page.mouse.up();
    await expect(
      stations.nth(0).getByRole('button', { name: new RegExp(`^1 *${tree.trim()}`) }),
    ).toBeVisible();
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
