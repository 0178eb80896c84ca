import { expect, test, type Page } from '@playwright/test';
import { Hurrow } from '../hurrow.ts';

let hurrow: Hurrow;
test.beforeAll(async () => {
  hurrow = await Hurrow.start('demo');
});
test.afterAll(() => hurrow.stop());

const place = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name }).click();
const moveTo = async (page: Page, weeks: number) => {
  await page.locator('h1').first().click();
  for (let i = 0; i < Math.abs(weeks); i += 1) await page.keyboard.press(weeks > 0 ? ']' : '[');
};

test('the course page says what needs doing', async ({ page }) => {
  await hurrow.enter(page, 'instructor');
  await expect(page.getByRole('heading', { name: 'Woody Plants of the Inland Northwest' })).toBeVisible();
  await expect(page.getByText('Week 7.')).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'were mixed up in' }).first()).toContainText(
    'white bands would settle it',
  );
});

test('the worst broadleaf pair is settled by the leaf in autumn and by the buds in January; the firs keep theirs', async ({
  page,
}) => {
  await hurrow.enter(page, 'instructor');
  await place(page, 'Confusions');
  await page.getByRole('link', { name: 'Pairs', exact: true }).click();
  await expect(page.getByText('Answers mixed up')).toBeVisible();
  const names = await page.locator('[class*="pairs_"] tbody tr td:first-child a').allInnerTexts();
  expect(names[0]).toMatch(/grand fir|subalpine fir/);
  const broadleaf = names.find((name) => /aspen|cottonwood|birch|alder|maple/.test(name))!;
  expect(broadleaf).toMatch(/quaking aspen/);
  expect(broadleaf).toMatch(/black cottonwood/);

  await page.getByRole('link', { name: broadleaf }).click();
  await page.getByRole('button', { name: /fresh|twig, buds and leaves in hand; eye, touch/ }).click();
  const deciding = page.locator('[class*="deciding_"] strong').first();
  await expect(deciding).toHaveText('petiole section');
  await moveTo(page, 13);
  await expect(page.getByRole('slider', { name: 'Field date' })).toHaveAttribute('aria-valuetext', /Jan/);
  await expect(deciding).toHaveText('resinous buds');
  await expect(
    page.getByText(/On the day of the quiz, 10 Sep, .*petiole section.* would have settled it/),
  ).toBeVisible();

  await page.getByRole('link', { name: 'All pairs' }).click();
  await page.getByRole('link', { name: names[0]! }).click();
  await expect(deciding).toHaveText('white bands');
  await moveTo(page, -13);
  await expect(deciding).toHaveText('white bands');
});

test('the field date changes what a profile and its strip show', async ({ page }) => {
  await hurrow.enter(page, 'instructor');
  await place(page, 'Species');
  await page.getByRole('link', { name: /western larch/ }).click();
  await moveTo(page, 13);
  await expect(page.getByText(/None on \d+ Jan/).first()).toBeVisible();
  await expect(page.getByRole('img', { name: /Larix occidentalis, drawn/ })).toHaveAttribute(
    'aria-label',
    /spur shoots/,
  );
});

test('by keyboard alone: find, gather two firs, contrast them', async ({ page }) => {
  await hurrow.enter(page, 'instructor');
  await expect(page.getByText('Week 7.')).toBeVisible();
  for (const name of ['grand fir', 'subalpine fir']) {
    await page.keyboard.press('/');
    await page.keyboard.type(name);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: new RegExp(`^${name}`) })).toBeVisible();
    await page.keyboard.press('c');
    await expect(page.getByRole('contentinfo', { name: 'Vasculum' }).getByText(name)).toBeVisible();
  }
  await page.getByRole('button', { name: 'Contrast' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'grand fir or subalpine fir?' })).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByText('field date a week back, a week on')).toBeVisible();
});

test('editing a score is undone from the notice, and marks of the held quiz stay', async ({ page }) => {
  await hurrow.enter(page, 'instructor');
  await place(page, 'Quizzes');
  await page.getByRole('link', { name: 'Quiz 1' }).click();
  const first = page.getByRole('table', { name: 'Papers' }).getByRole('row').nth(1);
  await expect(first).toContainText('/ 60');
  const before = await page.getByRole('table', { name: 'Papers' }).innerText();
  await place(page, 'Species');
  await page.getByRole('link', { name: /grand fir/ }).click();
  await expect(page.getByRole('heading', { name: /^grand fir/ })).toBeVisible();
  await page.keyboard.press('e');
  await page.getByRole('group', { name: 'white bands' }).getByRole('button', { name: 'both faces' }).click();
  await page
    .getByRole('group', { name: 'white bands' })
    .getByRole('button', { name: /lower face/ })
    .click();
  await page
    .getByRole('group', { name: 'white bands' })
    .getByRole('button', { name: /lower face/ })
    .click();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('is saved.')).toBeVisible();
  await place(page, 'Quizzes');
  await page.getByRole('link', { name: 'Quiz 1' }).click();
  await expect(first).toContainText('/ 60');
  expect(await page.getByRole('table', { name: 'Papers' }).innerText()).toBe(before);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Undone')).toBeVisible();
});

test.describe('a student on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } });

  test('answers a quiz, loses the signal half-way, and nothing is lost', async ({ page, context }) => {
    await hurrow.enter(page, 'student');
    await page.getByRole('link', { name: /Self-check/ }).click();
    const answer = async (genus: string, epithet: string) => {
      await page.getByLabel('Genus').fill(genus);
      await page.getByLabel('Epithet').fill(epithet);
      await page.getByRole('button', { name: /Next station|Finish/ }).click();
    };
    await expect(page.getByRole('img', { name: /drawing at station 1/ })).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    // What is seen is asked before the name, and is still there when one comes back to it.
    await page.getByRole('button', { name: 'both faces' }).click();
    await answer('Abies', 'lasiocarpa');
    await expect(page.getByRole('heading', { name: 'Station 2' })).toBeVisible();
    await page.getByRole('button', { name: 'Back to station 1' }).click();
    await expect(page.getByRole('button', { name: 'both faces' })).toHaveAttribute('aria-pressed', 'true');
    await page.getByRole('button', { name: 'Next station ›' }).click();
    await context.setOffline(true);
    await answer('Populus', 'trichocarpa');
    await answer('Betula', 'papyrifera');
    await expect(page.getByRole('status')).toContainText('No signal. 3 answers on this phone, 1 received.');
    await expect(page.getByRole('status')).toContainText('2 answers wait on this phone');
    await context.setOffline(false);
    await page.evaluate(() => window.dispatchEvent(new Event('online')));
    await expect(page.getByRole('status')).toHaveCount(0);
    await answer('Tsuga', 'heterophylla');
    await answer('Pinus', 'ponderosa');
    await answer('', '');
    await expect(page.getByText('5 of 6 answered.')).toBeVisible();
    await page.getByRole('link', { name: 'Station 6: nothing written' }).click();
    await answer('Alnus', 'incana');
    await expect(page.getByText('Every station has an answer.')).toBeVisible();
    await page.reload();
    await page.goto(hurrow.url);
    await expect(page.getByRole('link', { name: /Every station has an answer/ })).toBeVisible();
  });

  test('sees the own result of a released quiz', async ({ page }) => {
    await hurrow.enter(page, 'student');
    await page.getByRole('link', { name: 'Quiz 1' }).click();
    await expect(page.getByText('Abies grandis').first()).toBeVisible();
    await expect(page.locator('[class*="result_"] li')).toHaveCount(20);
  });
});

test('the specimen bench: another individual, a dozen, black lines, and a picture to take along', async ({
  page,
}) => {
  await page.goto(hurrow.url);
  await hurrow.enter(page, 'instructor');
  await expect(page.getByText('Week 7.')).toBeVisible();
  const base = page.url().replace(/\/course$/, '');
  await page.goto(`${base}/species/abies-grandis`);
  await page.getByRole('link', { name: 'Specimens' }).click();
  await expect(page.getByRole('heading', { name: /^Specimens of/ })).toBeVisible();
  const plate = page.getByRole('img', { name: /Abies grandis, drawn from its scores/ });
  await expect(plate).toBeVisible();
  const paths = () => plate.locator('path').first().getAttribute('d');
  const typical = await paths();
  await page.keyboard.press('r');
  await expect(page.getByText('Individual 1, mature')).toBeVisible();
  expect(await paths()).not.toBe(typical);
  await page.getByLabel('ink').selectOption('line');
  await expect(plate.locator('path[fill="#ffffff"]').first()).toBeAttached();
  const picture = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Take as PNG' }).click();
  expect((await picture).suggestedFilename()).toBe('abies-grandis.png');
  const drawing = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Take as SVG' }).click();
  expect((await drawing).suggestedFilename()).toBe('abies-grandis.svg');
  await page.getByRole('button', { name: 'A dozen' }).click();
  await page.getByRole('button', { name: 'Take up individual 5' }).click();
  await expect(page.getByText('Individual 5, mature')).toBeVisible();
});
