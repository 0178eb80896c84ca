import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { Hurrow } from '../hurrow.ts';

const step = test.step;
let hurrow: Hurrow;
test.beforeAll(async () => {
  hurrow = await Hurrow.start('demo');
});
test.afterAll(() => hurrow.stop());

const openQuiz = async (page: Page, name: string | RegExp) => {
  await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Quizzes' }).click();
  await page.getByRole('link', { name }).click();
};
const papers = (page: Page) => page.getByRole('table', { name: 'Papers' });

test('a pile of papers is typed station by station, what nobody can read is ruled on by keys, and taken back', async ({
  page,
}) => {
  await hurrow.enter(page, 'instructor');
  await openQuiz(page, /Self-check/);
  await step('typed by keyboard alone', async () => {
    await page.getByRole('button', { name: 'Enter papers' }).click();
    await page.getByLabel('Typed').selectOption('station');
    await page.getByLabel('Aarav Dell, genus').focus();
    for (const word of ['Swamp', 'thingy', '']) {
      await page.keyboard.type(word);
      await page.keyboard.press('Enter');
    }
    await expect(page.getByLabel('Amara Quist, genus')).toBeFocused();
    for (const word of ['Swamp', 'thingy', '']) {
      await page.keyboard.type(word);
      await page.keyboard.press('Enter');
    }
    await page.keyboard.type('Abies');
    await expect(page.getByText('3 answers not stored yet.')).toBeVisible();
    await page.getByRole('button', { name: 'Store station 1' }).click();
    // The pile goes on to the next station.
    await expect(page.getByRole('button', { name: 'Store station 2' })).toBeVisible();
  });
  await step('one key decides for both papers, another takes it back', async () => {
    await page.getByRole('link', { name: 'Mark', exact: true }).click();
    const queue = page.getByRole('group', { name: 'Answers to rule on' });
    await expect(queue.getByText('“Swamp thingy”')).toBeVisible();
    await expect(queue.getByText('on 2 papers')).toBeVisible();
    await expect(queue.getByRole('img', { name: /A typical/ })).toBeVisible();
    expect(
      (await new AxeBuilder({ page }).analyze()).violations.filter(({ impact }) => impact === 'serious'),
    ).toEqual([]);
    await page.keyboard.press('1');
    await expect(queue).toHaveCount(0);
    await expect(page.getByText(/“Swamp thingy” for .*counts as/)).toBeVisible();
    await page.getByRole('button', { name: 'Take the ruling back' }).click();
    await expect(queue.getByText('“Swamp thingy”')).toBeVisible();
    await page.keyboard.press('0');
    await expect(queue).toHaveCount(0);
  });
});

test('other points are shown before they are given, and taken back leave every mark as it was', async ({
  page,
}) => {
  await hurrow.enter(page, 'instructor');
  await openQuiz(page, 'Quiz 2');
  await expect(papers(page)).toBeVisible();
  const before = await papers(page).innerText();
  await page.getByRole('button', { name: 'Give other points' }).click();
  await page.getByLabel('off for a misspelling').fill('one');
  await page.getByRole('button', { name: 'Show what changes' }).click();
  await expect(page.getByRole('alert')).toContainText('a number from 0 to 20, not “one”');
  await page.getByLabel('off for a misspelling').fill('1');
  await page.getByRole('button', { name: 'Show what changes' }).click();
  await expect(page.getByText(/students change: \d+ lose, 0 gain/)).toBeVisible();
  expect(await papers(page).innerText()).toBe(before);
  await page.getByRole('button', { name: 'Mark by these' }).click();
  await expect(page.getByText('It was changed after the quiz was opened.')).toBeVisible();
  await expect.poll(() => papers(page).innerText()).not.toBe(before);
  await page.getByRole('button', { name: 'As it was opened' }).click();
  await page.getByRole('button', { name: 'Mark as it was opened' }).click();
  await expect.poll(() => papers(page).innerText()).toBe(before);
});

test('a mistake is seen beside the tree that was there, a mark is asked about and answered, and the term is put together', async ({
  page,
  browser,
}) => {
  await hurrow.enter(page, 'instructor');
  await openQuiz(page, 'Quiz 3');
  await page.getByRole('link', { name: 'Run', exact: true }).click();
  await page.getByLabel('Marks may be asked about until').fill('2026-10-20');
  await page.getByRole('button', { name: 'Keep this day' }).click();
  await expect(page.getByText('The day is kept.')).toBeVisible();

  const phone = await (
    await browser.newContext({ viewport: { width: 390, height: 844 }, timezoneId: 'America/Los_Angeles' })
  ).newPage();
  // The demo holds its day still; a phone does too, to ask in time.
  await phone.clock.setFixedTime(new Date('2026-10-15T16:00:00Z'));
  await step('on the phone: both trees, and a question', async () => {
    await phone.goto(`${hurrow.url}/#WOODY/ELIO93`);
    await phone.getByRole('button', { name: 'Start' }).click();
    await phone.getByRole('link', { name: 'Quiz 3' }).click();
    await phone.getByRole('button', { name: 'See both trees' }).first().click();
    await expect(phone.getByRole('img', { name: 'The tree that was there' })).toBeVisible();
    await expect(phone.getByRole('img', { name: 'The tree you took it for' })).toBeVisible();
    await expect(phone.getByText(/^Look at the/)).toBeVisible();
    await phone.getByRole('button', { name: 'Ask about this mark' }).first().click();
    await phone.getByLabel('What should be looked at again?').fill('The leaf on my table was obovate.');
    await phone.getByRole('button', { name: 'Send' }).click();
    await expect(phone.getByText('It waits for an answer.')).toBeVisible();
  });
  await step('answered in place', async () => {
    await page.getByRole('link', { name: 'Mark', exact: true }).click();
    const asked = page.getByRole('region', { name: 'Asked about a mark' });
    await expect(asked.getByText('The leaf on my table was obovate.')).toBeVisible();
    await asked.getByLabel('Answer to the student').fill('Some of it was; the sunken veins settle it.');
    await asked.getByRole('button', { name: 'Answer', exact: true }).click();
    await expect(asked).toHaveCount(0);
    await phone.reload();
    await expect(phone.getByText('Some of it was; the sunken veins settle it.')).toBeVisible();
    await phone.context().close();
  });
  await step('excused from one quiz, the lowest dropped', async () => {
    await page.getByRole('link', { name: 'Run', exact: true }).click();
    await page.getByLabel('Aarav Dell was').selectOption('excused');
    await expect(page.getByText('Aarav Dell: excused.')).toBeVisible();
    await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Quizzes' }).click();
    await page.getByRole('link', { name: 'Marks of the term' }).click();
    const marks = page.getByRole('table', { name: 'Marks' });
    await expect(marks.getByRole('row', { name: /^Aarav Dell/ })).toContainText('excused');
    await page.getByLabel('Lowest quizzes dropped').fill('1');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(marks.getByRole('row', { name: /^Amara Quist/ }).locator('[class*="dropped"]')).toHaveCount(
      1,
    );
  });
});
