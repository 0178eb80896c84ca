import { expect, test, type Page } from '@playwright/test';
import { Hurrow } from '../hurrow.ts';

let hurrow: Hurrow;
test.beforeAll(async () => {
  hurrow = await Hurrow.start('demo');
});
test.afterAll(() => hurrow.stop());

const enter = async (page: Page) => {
  await hurrow.enter(page, 'instructor');
  await expect(page.getByText('Week 7.')).toBeVisible();
  return page.url().replace(/\/course$/, '');
};

/** Each form: where it is, what is changed in it, and how one sees that the change is there again. */
const FORMS: {
  what: string;
  where: string;
  change(page: Page): Promise<void>;
  there(page: Page): Promise<void>;
}[] = [
  {
    what: 'the editor',
    where: 'species/abies-grandis/edit',
    change: async (page) => {
      await page.getByLabel('Memory aid').fill('Flat, grand and shining.');
      await page.getByRole('group', { name: 'crown form' }).getByRole('button', { name: 'columnar' }).click();
    },
    there: async (page) => {
      await expect(page.getByLabel('Memory aid')).toHaveValue('Flat, grand and shining.');
      await expect(
        page.getByRole('group', { name: 'crown form' }).getByRole('button', { name: /columnar/ }),
      ).toHaveAttribute('aria-pressed', 'true');
    },
  },
  {
    what: 'a plan',
    where: 'quizzes/new?taxa=abies-grandis',
    change: (page) => page.getByLabel('Title', { exact: true }).fill('In the woods'),
    there: (page) => expect(page.getByLabel('Title', { exact: true })).toHaveValue('In the woods'),
  },
  {
    what: 'the settings',
    where: 'course/settings',
    change: (page) => page.getByLabel('Name of the course').fill('Woody plants, evenings'),
    there: (page) => expect(page.getByLabel('Name of the course')).toHaveValue('Woody plants, evenings'),
  },
  {
    what: 'the list',
    where: 'course/list',
    change: (page) => page.getByLabel('Title of set 1', { exact: true }).fill('Bundles first'),
    there: (page) => expect(page.getByLabel('Title of set 1', { exact: true })).toHaveValue('Bundles first'),
  },
  {
    what: 'the measuring sheet',
    where: 'species/populus-tremuloides/measuring',
    change: async (page) => {
      await page
        .getByRole('complementary', { name: 'Measuring sheet' })
        .getByRole('combobox')
        .selectOption('leaf.length');
      await page.getByLabel(/^Next value/).fill('5.1 cm');
      await page.keyboard.press('Enter');
      await expect(page.getByText('5.1 cm').first()).toBeVisible();
    },
    there: async (page) => {
      await page
        .getByRole('complementary', { name: 'Measuring sheet' })
        .getByRole('combobox')
        .selectOption('leaf.length');
      await expect(page.locator('[class*="values_"]').getByText('5.1 cm')).toBeVisible();
    },
  },
];

for (const { what, where, change, there } of FORMS)
  test(`what is typed in ${what} outlives leaving it, a reload and a crash, and can be given up`, async ({
    page,
    context,
  }) => {
    const base = await enter(page);
    await page.goto(`${base}/${where}`);
    await change(page);
    // Leaving by a click elsewhere says that it is kept.
    await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Confusions' }).click();
    await expect(page.getByText('It is kept as a draft').first()).toBeVisible();
    await page.getByText(/^Drafts \d/).click();
    await page.locator('details[name="drafts"] a').first().click();
    await there(page);
    await page.reload();
    await there(page);
    // A crash leaves no time for anything: another tab takes the draft over.
    await page.close({ runBeforeUnload: false });
    const next = await context.newPage();
    await next.goto(`${base}/${where}`);
    await there(next);
    await next.getByRole('button', { name: 'Give them up' }).click();
    await expect(next.getByText('here they are again')).toHaveCount(0);
    await expect(next.getByText(/^Drafts \d/)).toHaveCount(0);
  });

test('a paper half typed in waits while another is entered', async ({ page }) => {
  const base = await enter(page);
  await page.goto(`${base}/quizzes`);
  await page.getByRole('link', { name: 'Quiz 2' }).click();
  await page.getByRole('link', { name: 'Run' }).click();
  await page.getByRole('button', { name: 'Enter papers' }).click();
  await page.getByLabel('Paper of').selectOption('Owen Tsosie');
  await page.getByLabel('Station 1, genus').fill('Picea');
  await page.getByLabel('Paper of').selectOption('Aarav Dell');
  await page.reload();
  await page.getByLabel('Paper of').selectOption({ label: 'Owen Tsosie, not stored yet' });
  await expect(page.getByLabel('Station 1, genus')).toHaveValue('Picea');
});

/** Forms with a field, and the call that saves them. */
const SLOW = [
  ['the editor', 'species/abies-grandis/edit', 'Memory aid', 'Save', '**/api/library/taxa/abies-grandis'],
  ['a new plan', 'quizzes/new?taxa=abies-grandis', 'Title', 'Save the plan', '**/api/courses/*/quizzes'],
  ['the settings', 'course/settings', 'Name of the course', 'Save settings', '**/api/courses/*'],
  ['the list', 'course/list', 'Title of set 1', 'Save the list', '**/api/courses/*/list'],
] as const;

for (const [what, where, field, button, address] of SLOW)
  test(`what is typed in ${what} while it is being saved stays, and is not taken for saved`, async ({
    page,
  }) => {
    const base = await enter(page);
    await page.goto(`${base}/${where}`);
    const typed = page.getByLabel(field, { exact: true });
    await typed.fill('Before the press');
    const saving = await held(page, address);
    await page.getByRole('button', { name: button, exact: true }).click();
    await saving.asked;
    await typed.fill('While it is saved');
    saving.let();
    await expect(page.getByText(/saved\.$/).first()).toBeVisible();
    await expect(typed).toHaveValue('While it is saved');
    await page.reload();
    await expect(typed).toHaveValue('While it is saved');
    await page.getByRole('button', { name: 'Give them up' }).click();
    await expect(typed).toHaveValue('Before the press');
  });

test('what is typed on a paper while it is being stored stays', async ({ page }) => {
  const base = await enter(page);
  await page.goto(`${base}/quizzes`);
  await page.getByRole('link', { name: 'Quiz 2' }).click();
  await page.getByRole('link', { name: 'Run' }).click();
  await page.getByRole('button', { name: 'Enter papers' }).click();
  await page.getByLabel('Paper of').selectOption('Vera Okoro');
  await page.getByLabel('Station 1, genus').fill('Picea');
  const saving = await held(page, '**/paper');
  await page.getByRole('button', { name: 'Store this paper' }).click();
  await saving.asked;
  await page.getByLabel('Station 2, genus').fill('Abies');
  saving.let();
  await expect(page.getByText('Station 2 is not stored yet')).toBeVisible();
  await expect(page.getByLabel('Station 2, genus')).toHaveValue('Abies');
});

/** Holds what a page sends to an address until it is let go. */
async function held(page: Page, address: string) {
  let go = () => {};
  let seen = () => {};
  const gate = new Promise<void>((resolve) => (go = resolve));
  const asked = new Promise<void>((resolve) => (seen = resolve));
  await page.route(address, async (route) => {
    if (route.request().method() === 'GET') return route.continue();
    seen();
    await gate;
    await route.continue();
  });
  return { asked, let: go };
}
