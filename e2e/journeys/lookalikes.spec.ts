import { expect, test, type Page } from '@playwright/test';
import { Hurrow } from '../hurrow.ts';

let hurrow: Hurrow;
test.beforeAll(async () => {
  hurrow = await Hurrow.start('demo');
});
test.afterAll(() => hurrow.stop());

async function lookalikes(page: Page, part: string): Promise<string> {
  await hurrow.enter(page, 'instructor');
  await expect(page.getByText('Week 7.')).toBeVisible();
  const base = page.url().replace(/\/course$/, '');
  await page.goto(`${base}/${part}`);
  return base;
}

test('the sure way is written down, and said not to hold when its character is out of season', async ({
  page,
}) => {
  await lookalikes(page, 'lookalikes?taxa=populus-tremuloides,populus-trichocarpa');
  await page.getByRole('button', { name: 'Write down the sure way' }).click();
  await page.getByLabel('The sure way, in your own words').fill('Roll the leaf stalk between two fingers.');
  const rests = page.locator('form[class*="sure-way_"] [class*="chips_"]');
  for (const chosen of await rests.locator('[aria-pressed="true"]').all()) await chosen.click();
  await rests.getByRole('button', { name: 'petiole section' }).click();
  await page.getByRole('button', { name: 'Save the sure way' }).click();
  await expect(page.getByText('Roll the leaf stalk between two fingers.')).toBeVisible();
  await page.getByRole('button', { name: /^Jan / }).click();
  await expect(page.getByText('The scores do not bear it out in this view')).toBeVisible();
  await expect(page.getByText('petiole section cannot be seen here')).toBeVisible();
});

test('three trees at once, by bark only; the pair map names the hard pairs', async ({ page }) => {
  const base = await lookalikes(page, 'lookalikes?taxa=abies-grandis,abies-lasiocarpa,tsuga-heterophylla');
  await expect(page.getByText(/All 3 pairs are settled/)).toBeVisible();
  await page.locator('[class*="view-choice_"] summary').click();
  await page.getByLabel('Medium').selectOption('barkPiece');
  await expect(page.getByText(/of 3 pairs are not settled/)).toBeVisible();
  await page.goto(`${base}/lookalikes/map`);
  await expect(page.getByText(/of 861 pairs are not settled on 15 Oct/)).toBeVisible();
  await page.getByRole('link', { name: 'whitebark pine and limber pine' }).click();
  await expect(page.getByRole('heading', { name: /whitebark pine or limber pine/ })).toBeVisible();
});

test('a key is built, changed by hand, kept, and walked to a name with a doubt on the way', async ({
  page,
}) => {
  await lookalikes(
    page,
    'lookalikes/keys?only=pinus-ponderosa,pinus-contorta,abies-grandis,larix-occidentalis,thuja-plicata,taxus-brevifolia',
  );
  await expect(page.getByText(/questions on average to a name, of 6 taxa/)).toBeVisible();
  await page.getByRole('button', { name: 'Change couplet 1', exact: true }).first().click();
  await page.locator('[class*="couplet-editor_"] textarea').first().fill('Needles in bundles, like a broom');
  await page.getByLabel('Name of the key').click();
  await expect(page.getByRole('table', { name: 'The key' })).toContainText(
    'Needles in bundles, like a broom',
  );
  await page.getByLabel('Name of the key').fill('Six conifers');
  await page.getByRole('button', { name: 'Keep this key' }).click();
  await page.getByRole('link', { name: 'Six conifers' }).click();
  await expect(page.getByText('It stays as it was kept')).toBeVisible();
  await page.getByRole('button', { name: 'Walk through it' }).click();
  await page.getByRole('button', { name: 'I can’t see it' }).click();
  await page.getByRole('button', { name: 'Back' }).click();
  await page.getByRole('button', { name: 'Both fit' }).click();
  while (await page.locator('[class*="walk-lead_"]').count())
    await page.locator('[class*="walk-lead_"]').first().click();
  await expect(page.getByText('It comes out as one of')).toBeVisible();
});

test('a rule of thumb with an exception names it', async ({ page }) => {
  await lookalikes(page, 'lookalikes/rules');
  await page.getByLabel('If: character').selectOption('bud.scales');
  await page.getByLabel('If: state').selectOption({ label: 'two, valvate' });
  await page.getByLabel('Then it is').selectOption('genus|Alnus');
  await expect(page.getByText(/Exceptions: .*redosier dogwood/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep the rule' }).click();
  await expect(page.locator('[class*="rule-list_"]').first()).toContainText('then the genus Alnus');
});

test('a specimen is named by answers in any order', async ({ page }) => {
  await lookalikes(page, 'lookalikes/identify');
  await page.getByLabel('It shows: character').selectOption('foliage.kind');
  await page.getByLabel('It shows: state').selectOption({ label: 'needles in tufts on spurs' });
  await expect(page.getByRole('row').first()).toContainText('larch');
  await expect(page.getByText('Look next at')).toBeVisible();
});

test('changing one score changes the contrast, the map and the key that rest on it', async ({ page }) => {
  const only = 'only=pinus-albicaulis,pinus-flexilis';
  const base = await lookalikes(page, `lookalikes/keys?${only}`);
  await expect(page.getByText('Not told apart: whitebark pine and limber pine')).toBeVisible();
  await page.goto(`${base}/species/pinus-albicaulis/edit`);
  const bands = page.getByRole('group', { name: 'white bands' });
  const allFaces = bands.getByRole('button', { name: 'all faces' });
  await expect(allFaces).toHaveAttribute('aria-pressed', 'true');
  // Always, usually, sometimes, rarely, off.
  for (let press = 0; press < 4; press += 1) await allFaces.click();
  await expect(allFaces).toHaveAttribute('aria-pressed', 'false');
  await bands.getByRole('button', { name: 'lower face' }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: /whitebark pine/ })).toBeVisible();
  await page.goto(`${base}/lookalikes?taxa=pinus-albicaulis,pinus-flexilis`);
  await expect(page.getByText('Settled on 15 Oct.')).toBeVisible();
  await page.getByRole('link', { name: 'Pair map' }).click();
  await expect(page.getByText('The hard pairs')).toBeVisible();
  await expect(page.getByRole('link', { name: 'whitebark pine and limber pine' })).toHaveCount(0);
  await page.goto(`${base}/lookalikes/keys?${only}`);
  await expect(page.getByText(/questions on average to a name, of 2 taxa/)).toBeVisible();
  await expect(page.getByText('Not told apart')).toHaveCount(0);
});
