import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { Hurrow } from '../hurrow.ts';
import { pointerOnly } from '../byKeys.ts';
import { arrive, OF_A_COURSE, OF_LOOKALIKES, OF_THE_LIBRARY } from '../pages.ts';

// Each of these is long: side by side they take half the time.
test.describe.configure({ mode: 'parallel' });

let hurrow: Hurrow;
test.beforeAll(async () => {
  hurrow = await Hurrow.start('demo');
});
test.afterAll(() => hurrow.stop());

async function check(on: Page, where: string) {
  // What a drawing with a name is made of is nothing to a screen reader, and thousands of paths to the check.
  await on.evaluate(() => {
    for (const drawing of document.querySelectorAll('svg[role=img], svg[aria-hidden=true]'))
      drawing.replaceChildren();
  });
  // No page has frames, so the check may run in the page itself, in half the time.
  const { violations } = await new AxeBuilder({ page: on })
    .options({ resultTypes: ['violations'] })
    .setLegacyMode()
    .analyze();
  expect(await pointerOnly(on), `${where}: what only a pointer can press`).toEqual([]);
  // One heading names the page; the others go down step by step.
  const levels = await on.evaluate(() =>
    [...document.querySelectorAll('h1, h2, h3, h4')].map((heading) => Number(heading.tagName[1])),
  );
  expect(
    levels.filter((level) => level === 1),
    `${where}: one h1`,
  ).toHaveLength(1);
  const skipped = levels.filter((level, i) => level > (levels[i - 1] ?? 0) + 1);
  expect(skipped, `${where}: headings in order, ${levels.join(' ')}`).toEqual([]);
  const serious = violations.filter((violation) => violation.impact !== 'minor');
  expect(
    serious.map((violation) => `${where}: ${violation.id} ${violation.nodes[0]?.html.slice(0, 140)}`),
  ).toEqual([]);
}

/** Goes through pages of the workbench and checks each; returns the address that they have in common. */
async function checkAll(page: Page, pages: readonly (readonly [string, string])[]): Promise<string> {
  await hurrow.enter(page, 'instructor');
  await expect(page.getByText('Week 7.')).toBeVisible();
  const base = page.url().replace(/\/course$/, '');
  for (const [where, ready] of pages) {
    await arrive(page, `${base}/${where}`, ready);
    await check(page, where);
  }
  return base;
}

test('no page of the library has an accessibility fault that is more than minor', async ({ page }) => {
  await checkAll(page, OF_THE_LIBRARY);
});

test('no page of lookalikes has an accessibility fault that is more than minor', async ({ page }) => {
  await checkAll(page, OF_LOOKALIKES);
});

test('no page of a course has an accessibility fault that is more than minor', async ({ page }) => {
  const base = await checkAll(page, OF_A_COURSE);
  await page.goto(`${base}/quizzes`);
  await page.getByRole('link', { name: 'Quiz 1' }).click();
  await expect(page.getByRole('table', { name: 'Papers' })).toBeVisible();
  await check(page, 'mark');
  await page.getByRole('link', { name: 'Mark it a second time' }).click();
  await page.getByRole('button', { name: 'no points' }).click();
  await expect(page.getByText(/^2 of \d+ ·/)).toBeVisible();
  await check(page, 'second marker');
  await page.getByRole('link', { name: 'Back to the marks' }).click();
  await expect(page.getByText(/^A second marker judged 1 different answer/)).toBeVisible();
  await page.getByRole('link', { name: 'Contest', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Standings' })).toBeVisible();
  await check(page, 'contest');
  await page.getByRole('link', { name: 'Run' }).click();
  await expect(page.getByText('Who has answered')).toBeVisible();
  await check(page, 'run');
  await page.getByRole('link', { name: 'Rounds and papers' }).click();
  await expect(page.getByText('Show the bell')).toBeVisible();
  await check(page, 'rounds');
  await page.getByRole('link', { name: 'Show the bell' }).click();
  await expect(page.getByRole('timer')).toBeVisible();
  await check(page, 'bell');
});

test('no page of a student has an accessibility fault that is more than minor', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(hurrow.url);
  await expect(page.getByRole('heading', { name: 'Students' })).toBeVisible();
  await check(page, 'sign-in');
  await hurrow.enter(page, 'student');
  await expect(page.getByText('Today’s quiz')).toBeVisible();
  await check(page, 'today');
  await page.getByRole('link', { name: /Self-check/ }).click();
  await expect(page.getByLabel('Genus')).toBeVisible();
  await check(page, 'station');
  await page.goto(`${hurrow.url}/notebook`);
  const note = page.getByRole('link', { name: 'Note something at a tree' });
  await expect(note).toBeVisible();
  await check(page, 'notebook');
  await note.click();
  await expect(page.getByLabel('Tag on the tree')).toBeVisible();
  await check(page, 'entry');
});

test('no page for the phone outdoors has an accessibility fault that is more than minor', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await hurrow.enter(page, 'instructor');
  await expect(page).toHaveURL(/\/c\//);
  const courseId = /\/c\/([^/]+)/.exec(page.url())![1]!;
  const get = <T>(path: string): Promise<T> =>
    page.evaluate((address) => fetch(address).then((answer) => answer.json()), `/api/${path}`);
  const { grounds } = await get<{ grounds: { id: string }[] }>('grounds');
  const { trees } = await get<{ trees: { id: string }[] }>(`grounds/${grounds[0]!.id}`);
  const { lists } = await get<{ lists: { id: string }[] }>(`courses/${courseId}/collecting`);
  const field = `/field/${courseId}/${grounds[0]!.id}`;
  for (const [where, ready] of [
    [field, 'Find by tag or name'],
    [`${field}/${trees[0]!.id}`, 'What do you measure?'],
    [`/gather/${courseId}/${lists[0]!.id}`, 'Trees near you'],
  ] as const) {
    await arrive(page, where, ready);
    await check(page, where);
  }
});

test('in forced colors what is chosen is told by its border, and a drawing keeps its colors', async ({
  browser,
}) => {
  const page = await browser.newPage({ forcedColors: 'active', reducedMotion: 'reduce' });
  await hurrow.enter(page, 'instructor');
  await expect(page).toHaveURL(/\/c\//);
  const base = page.url().replace(/\/course$/, '');
  await page.goto(`${base}/species/abies-grandis/specimens`);
  const style = (name: string, of: 'outlineStyle' | 'backgroundColor') =>
    page
      .getByRole('button', { name, exact: true })
      .evaluate((button, property) => getComputedStyle(button)[property], of);
  await expect(page.getByRole('button', { name: 'wood', exact: true })).toBeVisible();
  expect(await style('twig', 'outlineStyle')).toBe('solid');
  expect(await style('wood', 'outlineStyle')).toBe('none');
  expect(await style('twig', 'backgroundColor')).toBe(await style('wood', 'backgroundColor'));
  const fills = await page
    .locator('svg[role=img] path')
    .evaluateAll((paths) => new Set(paths.map((path) => getComputedStyle(path).fill)).size);
  expect(fills).toBeGreaterThan(3);
  await page.close();
});
