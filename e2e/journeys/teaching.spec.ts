import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { Hurrow } from '../hurrow.ts';

const step = test.step;
let hurrow: Hurrow;
test.beforeAll(async () => {
  hurrow = await Hurrow.start('demo');
});
test.afterAll(() => hurrow.stop());

const weekOf = (page: Page, tree: string) =>
  page
    .locator('section[aria-label^="Week"]', { has: page.getByRole('button', { name: tree, exact: true }) })
    .getAttribute('aria-label');
const sheetSays = (page: Page, text: string | RegExp) =>
  expect(page.locator('[aria-live="polite"]')).toHaveText(text);

test('from an empty course to the lesson of week 1, shown: nothing to write but a name', async ({ page }) => {
  await hurrow.enter(page, 'instructor');
  await page.waitForURL(/course/);
  await step('a course for whom it is', async () => {
    await page.goto(`${hurrow.url}/c/-/course`);
    await page.getByRole('button', { name: /a third-year course/ }).click();
    await page.getByLabel('Name of the course').fill('Trees, again');
    await page.getByRole('button', { name: 'Make the course' }).click();
  });
  await step('its trees, proposed in sets', async () => {
    await page.getByRole('button', { name: 'All 42 species of the library' }).click();
    await page.getByRole('button', { name: 'Propose sets' }).click();
    await expect(page.getByRole('button', { name: 'Undo the proposal' })).toBeVisible();
    await page.getByRole('button', { name: 'Save the list' }).click();
    await expect(page.getByText('The list is saved.')).toBeVisible();
  });
  await step('the lesson of the first week, point by point', async () => {
    await page.locator('section[aria-label="Week 1"] h2 a').click();
    await page.getByRole('link', { name: 'Show it' }).click();
    await sheetSays(page, /^Point 1 of \d+: Name\./);
    await page.keyboard.press('PageDown');
    await sheetSays(page, /^Point 2 of \d+: Size and form\./);
    await page.keyboard.press('End');
    await sheetSays(page, /The one thing to remember/);
  });
});

test('sets are changed by drag and by keys, a lesson is reworded and shown in two windows', async ({
  page,
  context,
}) => {
  await hurrow.enter(page, 'instructor');
  await page.waitForURL(/course/);
  await page.getByRole('link', { name: 'Sets on the weeks' }).click();
  const tree = page.getByRole('button', { name: 'redosier dogwood', exact: true });
  await expect(tree.locator('img')).toBeVisible();
  const before = await weekOf(page, 'redosier dogwood');

  await step('by keys a week on and back, and what that means is said at once', async () => {
    await tree.focus();
    await page.keyboard.press('.');
    expect(await weekOf(page, 'redosier dogwood')).not.toBe(before);
    await tree.focus();
    await page.keyboard.press(',');
    expect(await weekOf(page, 'redosier dogwood')).toBe(before);
    await tree.focus();
    for (let i = 0; i < 14; i += 1) await page.keyboard.press('.');
    expect(await weekOf(page, 'redosier dogwood')).toBe('Week 14');
    await expect(page.getByText(/Redosier dogwood is taught when bare, in week 14/)).toBeVisible();
  });
  await step('by drag', async () => {
    const target = page.locator('section[aria-label="Week 7"]');
    await tree.focus();
    for (let i = 0; i < 6; i += 1) await page.keyboard.press(',');
    expect(await weekOf(page, 'redosier dogwood')).toBe('Week 8');
    await target.scrollIntoViewIfNeeded();
    const from = (await tree.boundingBox())!;
    await page.mouse.move(from.x + 20, from.y + 20);
    await page.mouse.down();
    const to = (await target.boundingBox())!;
    await page.mouse.move(to.x + 50, from.y, { steps: 12 });
    await page.mouse.up();
    expect(await weekOf(page, 'redosier dogwood')).toBe('Week 7');
    await page.getByRole('button', { name: 'Save the list' }).click();
    await expect(page.getByText('The list is saved.')).toBeVisible();
  });
  await step('a point in one’s own words, kept', async () => {
    await page.locator('section[aria-label="Week 7"] h2 a').click();
    await page.getByRole('button', { name: /^Leaf/ }).first().click();
    await page.getByLabel('In your words').fill('Pull a leaf apart: white threads hold it.');
    await page.getByLabel('Note for who speaks').fill('Have ten leaves ready.');
    await page.getByRole('button', { name: 'Save the lesson' }).click();
    await expect(page.getByText('The lesson is saved.')).toBeVisible();
    await expect(page.getByText(/^From the scores:/)).toBeVisible();
    const found = await new AxeBuilder({ page }).analyze();
    expect(found.violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual(
      [],
    );
  });
  await step('asked first, told, blank; the presenter’s window goes along', async () => {
    await page.getByRole('link', { name: 'Show it' }).click();
    const opened = context.waitForEvent('page');
    await page.getByRole('link', { name: 'Presenter’s window' }).click();
    const presenter = await opened;
    await expect(presenter.getByText('point 1 of')).toBeVisible();
    await page.keyboard.press('a');
    await expect(presenter.getByText('asked, not told yet')).toBeVisible();
    await page.keyboard.press('ArrowRight');
    // The other window goes on from what it has heard.
    await expect(presenter.getByText('asked, not told yet')).toBeHidden();
    await presenter.keyboard.press('PageDown');
    await sheetSays(page, /^Point 2 of/);
    await page.keyboard.press('b');
    await expect(presenter.getByText('the sheet is blank')).toBeVisible();
    await page.keyboard.press('b');
    while (!/Pull a leaf apart/.test((await page.locator('[aria-live="polite"]').textContent()) ?? ''))
      await page.keyboard.press('ArrowRight');
    await expect(presenter.getByText('Have ten leaves ready.')).toBeVisible();
  });
  await step('without the server it goes on', async () => {
    await context.setOffline(true);
    await page.keyboard.press('a');
    await page.keyboard.press('Home');
    await page.keyboard.press('PageDown');
    await sheetSays(page, /^Point 2 of/);
    await expect(page.locator('[class*="stage_"] svg').first()).toBeVisible();
    await context.setOffline(false);
  });
});

test('a sort on a phone: two piles, what parts them, each pile again, the piles as a key', async ({
  browser,
}) => {
  const page = await (
    await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true })
  ).newPage();
  await hurrow.enter(page, 'student');
  await page.getByRole('link', { name: /trees/i }).first().click();
  await page.getByRole('link', { name: 'Sort twelve twigs' }).click();
  const specimens = page.getByRole('button', { name: /^Specimen \d+/ });
  await expect(specimens).toHaveCount(12);
  const labels = await specimens.evaluateAll((all) =>
    all.map((each) => each.getAttribute('aria-label') ?? ''),
  );
  const isBroad = labels.map((label) => /foliage: broad blade/.test(label));
  expect(new Set(isBroad).size).toBe(2);
  for (const [i, is] of isBroad.entries()) if (is) await specimens.nth(i).tap();
  // It is kept as soon as it is sorted, perhaps before what follows is through.
  const kept = page.waitForResponse((answer) => answer.url().includes('/api/sit/sorts/') && answer.ok());
  await page.getByRole('button', { name: 'Two piles' }).tap();
  await expect(page.getByText('What parts them: foliage.')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'foliage: broad blade' })).toBeVisible();
  await page.getByRole('button', { name: 'Sort this pile' }).first().tap();
  await expect(specimens).toHaveCount(isBroad.filter(Boolean).length);
  await page.getByRole('button', { name: 'Back to the larger pile' }).tap();
  await expect(page.getByRole('heading', { name: 'Your own key' })).toBeVisible();
  await step('it lies as it was after a reload, and the instructor can read it', async () => {
    await kept;
    await page.reload();
    await expect(page.getByText('What parts them: foliage.')).toBeVisible();
    const staff = await browser.newPage();
    await hurrow.enter(staff, 'instructor');
    await staff.getByRole('link', { name: 'Sorting' }).click();
    await expect(staff.getByText('sorted once, into 2 piles')).toBeVisible();
    await staff.context().close();
  });
  await page.getByRole('button', { name: 'Put them together again' }).tap();
  await expect(specimens).toHaveCount(12);
  await page.context().close();
});

test('a photo stands in a lesson, off the network as well; a lesson about the margin asks before it tells', async ({
  page,
  context,
}) => {
  await hurrow.enter(page, 'instructor');
  await page.waitForURL(/course/);
  const course = page.url().replace(/\/course.*/, '');
  await step('two photos are chosen side by side, one goes again', async () => {
    await page.goto(`${course}/course/list`);
    await page.getByRole('link', { name: 'Sets on the weeks' }).click();
    await page.locator('section[aria-label^="Week"] h2 a', { hasText: 'First broad leaves' }).click();
    const points = page.getByRole('list', { name: 'Points of the lesson' });
    await points.getByRole('button', { name: /^Leaf/ }).first().click();
    const photo = page.getByRole('button', { name: /^Show the photo/ });
    await expect(photo).toHaveAttribute('aria-pressed', 'true');
    await expect(page.getByRole('img', { name: /drawn in place of a photograph/ }).first()).toBeVisible();
    await photo.click();
    await expect(photo).toHaveAttribute('aria-pressed', 'false');
    await expect(page.getByRole('img', { name: /, drawn from the scores$/ })).toBeVisible();
    await photo.click();
    await page.getByRole('link', { name: 'Show it' }).click();
  });
  await step('shown without a signal once it is open', async () => {
    await sheetSays(page, /^Point 1 of/);
    await page.waitForLoadState('networkidle');
    await context.setOffline(true);
    for (let i = 0; i < 3; i += 1) await page.keyboard.press('PageDown');
    await sheetSays(page, /^Point 4 of \d+: Leaf\./);
    const shown = page.locator('figure svg image').first();
    await expect(shown).toHaveAttribute('href', /^blob:/);
    await context.setOffline(false);
  });
  await step(
    'the margin: states side by side, then each specimen asked, told with the next press',
    async () => {
      await page.goto(`${course}/course/characters`);
      await page.getByRole('link', { name: 'The margin' }).click();
      await page.getByRole('link', { name: 'Show it' }).click();
      await sheetSays(page, /^Point 1 of \d+: Teeth\. Entire: edge without teeth\./);
      await page.keyboard.press('End');
      await sheetSays(page, /Call it: 10 of 10\. What do you see/);
      await page.keyboard.press('PageDown');
      await sheetSays(page, /Call it: 10 of 10\. .+, on /);
    },
  );
});

test('a notebook entry: written at a tree without a signal, read by the instructor, who teaches a word of it', async ({
  browser,
}) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true });
  const page = await context.newPage();
  await hurrow.enter(page, 'student');
  await page.getByRole('link', { name: 'Notebook' }).tap();
  await page.getByRole('link', { name: 'Note something at a tree' }).tap();
  await step('own words come before states, and nothing is lost without a signal', async () => {
    await expect(page.getByRole('button', { name: 'papery, peeling' })).toBeVisible();
    await context.setOffline(true);
    await page.getByLabel('Tag on the tree').fill('Q-14');
    await page
      .getByLabel(/In your own words/)
      .fill('White like paint, a wallpaper that comes off. No grooves');
    await page.getByRole('button', { name: 'papery, peeling' }).tap();
    await page.getByRole('button', { name: 'Into the notebook' }).tap();
    await expect(page.getByText('waits on this phone for a signal')).toBeVisible();
    await context.setOffline(false);
    await expect(page.getByText('waits on this phone for a signal')).toBeHidden();
  });
  const staff = await browser.newPage();
  await hurrow.enter(staff, 'instructor');
  await staff.getByRole('link', { name: 'Notebooks' }).click();
  await step('it is read in terms against the tree of its tag', async () => {
    await staff.getByRole('button', { name: 'Aarav Dell, bark' }).click();
    await expect(staff.getByRole('heading', { name: 'Aarav Dell: the bark of paper birch' })).toBeVisible();
    await expect(staff.getByRole('row', { name: /papery, peeling chosen .* agrees/ })).toBeVisible();
  });
  await step('a word of the class is taught, and read from then on', async () => {
    await staff.getByRole('button', { name: 'wallpaper', exact: true }).click();
    await staff.getByLabel('What it means').fill('papery');
    await staff.keyboard.press('Enter');
    await staff.getByRole('button', { name: 'Teach it', exact: true }).first().click();
    await expect(staff.getByText('“wallpaper” means bark surface: papery, peeling.')).toBeVisible();
    await expect(staff.locator('mark', { hasText: 'wallpaper' })).toBeVisible();
  });
  await step('two entries lie side by side', async () => {
    await staff.getByRole('button', { name: 'lay beside' }).first().click();
    await expect(staff.getByRole('columnheader', { name: 'paper birch shows' })).toBeVisible();
  });
  await staff.context().close();
  await context.close();
});
