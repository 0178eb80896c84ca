import { expect, test, type Page } from '@playwright/test';
import { Hurrow } from '../hurrow.ts';
import { expectNoPressLost, pressAll, pressesLost, watchPresses } from '../press.ts';

test.describe.configure({ mode: 'parallel' });

let hurrow: Hurrow;
test.beforeAll(async () => {
  hurrow = await Hurrow.start('demo');
});
test.afterAll(() => hurrow.stop());

/** What a press would take away from under the test: pages that are left, files that are chosen, other windows, a plan that gives way to a proposal. */
const LEAVES =
  /^(Save|Leave|Delete|Retire|Remove this quiz|Make the course|Take it back in|Give|Plan a quiz|Propose|Make a second form)/;

/** Of the states of a character the last: the test above goes down them all. */
const CONTROLS =
  'button:not([class*="score-row_"] button[aria-pressed]:not(:last-of-type)):visible, input[type="text"]:visible, input:not([type]):visible, input[type="checkbox"]:visible, textarea:visible';

const open = async (page: Page, where: string, ready: string) => {
  await hurrow.enter(page, 'instructor');
  await expect(page.getByText('Week 7.')).toBeVisible();
  const base = page.url().replace(/\/course$/, '');
  await page.goto(`${base}/${where}`);
  await expect(page.getByText(ready).first()).toBeVisible();
};

test('going down the editor with the mouse, every first press is taken', async ({ page }) => {
  await open(page, 'species/new', 'New species');
  await watchPresses(page);
  await pressAll(
    page,
    page.getByRole('group', { name: 'foliage' }).getByRole('button', { name: 'broad blade' }),
  );
  const second = page.locator('[class*="score-row_"] button:nth-of-type(2)[aria-pressed]');
  const pressed = await pressAll(page, second);
  expect(pressed).toBeGreaterThan(50);
  expect((await pressesLost(page)).lost).toEqual([]);
  await expect(page.locator('[class*="score-row_"] button[aria-pressed="true"]')).toHaveCount(pressed + 1);
});

for (const [what, where, ready, frame] of [
  ['the editor of a species', 'species/abies-grandis/edit', 'Edit Abies grandis', '[class*="editor_"]'],
  ['a plan', 'quizzes/new?taxa=abies-grandis,acer-glabrum', 'A new quiz', '[class*="place_"]'],
  ['the characters', 'species/characters', 'Technical term', '[class*="own-character_"]'],
  ['the settings', 'course/settings', 'Save settings', '[class*="place_"]'],
  ['the list in sets', 'course/list', 'Save the list', '[class*="place_"]'],
  ['the sources', 'species/sources', 'What is missing', '[class*="library-page_"]'],
] as const)
  test(`every control of ${what} takes its first press`, async ({ page }) => {
    await open(page, where, ready);
    const controls = page.locator(frame).locator(CONTROLS).filter({ hasNotText: LEAVES });
    // The head of a page may stand before what it heads has come.
    await expect.poll(() => controls.count()).toBeGreaterThan(10);
    const pressed = await expectNoPressLost(page, controls);
    expect(pressed).toBeGreaterThan(10);
  });
