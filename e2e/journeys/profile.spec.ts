import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { Hurrow } from '../hurrow.ts';

let hurrow: Hurrow;
test.beforeAll(async () => {
  hurrow = await Hurrow.start('demo');
});
test.afterAll(() => hurrow.stop());

test.beforeEach(async ({ page }) => {
  await page.goto(hurrow.url);
  await page.getByRole('button', { name: 'Enter as the instructor' }).click();
  await expect(page.getByText('Week 7.')).toBeVisible();
});
const to = async (page: Page, where: string) => {
  const base = page.url().replace(/(\/c\/[^/]+)\/.*/, '$1');
  await page.goto(`${base}/species/${where}`);
};

/**
 * Water hawthorn as a printed description has it, character by character in the order of the editor: the key of a state
 * (twice for "usually"), or a range as printed. An empty line passes a character over.
 */
const DESCRIPTION: [string, string][] = [
  ['height', '3–8 m'],
  ['diameter at breast height', '8-20 cm'],
  ['stature', 'tiny small tree'],
  ['leaf persistence', 'deciduous'],
  ['foliage', 'broad blade'],
  ['leaf composition', 'simple'],
  ['leaf shape', 'obovate'],
  ['blade length', '(2)3–6 cm'],
  ['blade width', '2–4 cm'],
  ['lobing', 'unlobed'],
  ['teeth', 'singly toothed'],
  ['teeth per cm', '4–7'],
  ['apex', 'acute'],
  ['base', 'wedge'],
  ['veins', 'pinnate, straight to the teeth'],
  ['vein pairs', '4–6'],
  ['lower color', 'pale'],
  ['petiole length', '1/4–1/2 in'],
  ['arrangement', 'alternate'],
  ['twig thickness', '2-3 mm'],
  ['zigzag twig', 'sometimes'],
  ['armature', 'single thorns'],
  ['thorn length', '1/2–1 in'],
  ['terminal bud', 'single'],
  ['bud shape', 'globose'],
  ['bud scales', 'several, overlapping'],
  ['bud length', '2–4 mm'],
  ['bud color', 'red-brown'],
  ['fruit type', 'pome'],
  ['fruit or cone length', '0.8–1.2 cm'],
];

test('a new species with thirty characters, by keys alone', async ({ page }) => {
  let presses = 0;
  const press = async (key: string) => {
    presses += 1;
    await page.keyboard.press(key);
  };
  const type = async (text: string) => {
    presses += text.length;
    await page.keyboard.type(text);
  };
  await press('g');
  await press('s');
  await expect(page.getByRole('searchbox', { name: 'Search names and states' })).toBeVisible();
  await press('n');
  await expect(page.getByRole('heading', { name: 'New species' })).toBeVisible();
  await expect(page.getByLabel('Genus')).toBeFocused();
  for (const text of ['Crataegus', 'aquatica', '', 'Rosaceae', 'water hawthorn']) {
    await type(text);
    await press('Tab');
  }
  // On to the calendar, then past it to the first character.
  const named = () =>
    page.evaluate(
      () =>
        document.activeElement?.closest('[class*="score-row_"]')?.querySelector('[class*="name_"]')
          ?.textContent ?? '',
    );
  for (let i = 0; i < 30 && (await named()) === ''; i += 1) {
    if (
      await page.getByLabel('leaves', { exact: true }).evaluate((field) => field === document.activeElement)
    )
      await type('May–Sep');
    await press('Tab');
  }
  for (const [character, value] of DESCRIPTION) {
    for (let i = 0; i < 80 && (await named()) !== character; i += 1) await press('ArrowDown');
    expect(await named()).toBe(character);
    const chip = page.locator('[class*="score-row_"]:focus-within [class*="chips_"] button');
    if ((await chip.count()) === 0) {
      await type(value);
      continue;
    }
    const texts = await chip.evaluateAll((chips) =>
      chips.map((one) => [one.querySelector('kbd')!.textContent, one.lastChild!.textContent]),
    );
    const wanted = texts.find(([, term]) => value.endsWith(term!));
    expect([character, wanted]).not.toEqual([character, undefined]);
    await press(wanted![0]!);
  }
  await press('Control+s');
  await expect(page.getByRole('heading', { name: /^water hawthorn/ })).toBeVisible();
  await expect(page.getByRole('img', { name: /Crataegus aquatica, drawn from its scores/ })).toBeVisible();
  await expect(page.locator('[class*="profile-text_"]')).toContainText('single thorns');
  await expect(page.locator('[class*="profile-text_"]')).toContainText('(2) 3–6 cm');
  // Someone who types three keys a second, reading the description as they go, is done within four minutes.
  expect(presses).toBeLessThan(4 * 60 * 3);
  test.info().annotations.push({ type: 'keys pressed', description: String(presses) });
});

test('finds a tree by its marks with a slip, and filters by a state', async ({ page }) => {
  await to(page, 'pinus-monticola');
  const list = page.getByRole('navigation', { name: 'Species of the library' });
  await list.getByRole('searchbox').fill('needles 5 blue-gren');
  await expect(list.getByRole('link')).toHaveText([/western white pine/]);
  await list.getByRole('searchbox').fill('zzz');
  await expect(list.getByText('No species answers to “zzz”.')).toBeVisible();
  await list.getByRole('button', { name: 'Show all' }).click();
  await list.getByLabel('Filter by character').selectOption('twig.arrangement');
  await list.getByLabel('State of arrangement').selectOption('opposite');
  await expect(list.getByRole('link')).toHaveCount(6);
  // The box of the bar takes marks as well, and names at once.
  await page.keyboard.press('Escape');
  await page.getByLabel('Find a tree').fill('needles 5 blue-gren');
  await expect(page.getByRole('option', { name: /western white pine/ })).toBeVisible();
  await page.getByLabel('Find a tree').press('Enter');
  await expect(page.getByRole('heading', { name: /^western white pine/ })).toBeVisible();
});

test('paints a range by keys, asks whether it grows here, saves, undoes, and takes occurrence rows in', async ({
  page,
}) => {
  await to(page, 'celtis-reticulata/range');
  await expect(page.getByRole('heading', { name: /Range of netleaf hackberry/ })).toBeVisible();
  await expect(page.getByText('Yes: netleaf hackberry is planted here.')).toBeVisible();
  await page.getByRole('button', { name: 'rare' }).click();
  await page.getByRole('application').focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Space');
  await expect(page.locator('[class*="range-side_"]')).toContainText(/rare in 7 cells/i);
  await page.getByRole('button', { name: 'Save the range' }).click();
  await expect(page.getByText('The range of netleaf hackberry is saved.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByText('Undone')).toBeVisible();
  await expect(page.locator('[class*="range-side_"]')).not.toContainText('rare in');
  await page.locator('[class*="range-side_"] input[type=file]').setInputFiles({
    name: 'sightings.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      'scientificName,decimalLatitude,decimalLongitude\nCeltis reticulata,46.4,-117\nCeltis reticulata,200,5',
    ),
  });
  await expect(page.getByText('1 cells taken from sightings.csv')).toBeVisible();
  await expect(page.getByText(/Line 3: 200, 5 lies off the globe/)).toBeVisible();
});

test('measures a leaf on a photo into the sheet', async ({ page }) => {
  await to(page, 'populus-tremuloides/measuring');
  await page.locator('[class*="sheet_"] select').selectOption('leaf.width');
  // The photo has its scale from whoever measured on it first; it is set anew.
  await expect(page.getByText(/The scale set before holds: \d/)).toBeVisible();
  const photo = page.locator('[class*="stage-frame_"] svg');
  const box = (await photo.boundingBox())!;
  const click = (x: number, y: number) => page.mouse.click(box.x + box.width * x, box.y + box.height * y);
  await page.getByRole('button', { name: 'Set scale' }).click();
  await page.getByLabel('Known size').selectOption('10 cm of a rule');
  await click(0.2, 0.8);
  await click(0.7, 0.8);
  await expect(page.getByText(/Scale set/)).toBeVisible();
  await click(0.4, 0.4);
  await click(0.6, 0.4);
  await page.getByRole('application').press('Enter');
  // Two fifths of what stands for 10 cm.
  await expect(page.getByText('4.00 cm. Written into the sheet.')).toBeVisible();
  await page.getByLabel(/^Next value/).fill('1 3/4 in');
  await page.keyboard.press('Enter');
  await expect(page.locator('[class*="statistics_"]')).toContainText('n2');
  await expect(page.locator('[class*="values_"]')).toContainText('4.45 cm');
  await page.getByRole('button', { name: 'Save the sheet' }).click();
  await expect(page.getByText('blade width: 2 measurements saved.')).toBeVisible();
  await page.getByRole('button', { name: 'Save details' }).click();
  await expect(page.getByText('The photo’s details are saved.')).toBeVisible();
  await page.getByRole('link', { name: 'Profile' }).click();
  await expect(page.locator('[class*="profile-text_"]')).toContainText('2 sources');
});

test('uploads a picture that is none, and one that is', async ({ page }) => {
  await to(page, 'taxus-brevifolia/measuring');
  const add = page.locator('[class*="photo-add_"] input[type=file]').first();
  await add.setInputFiles({
    name: 'yew.jpg',
    mimeType: 'image/jpeg',
    buffer: Buffer.from('no picture at all'),
  });
  await expect(page.getByText(/yew.jpg: This file is no photograph/)).toBeVisible();
  await add.setInputFiles({
    name: 'yew.png',
    mimeType: 'image/png',
    buffer: readFileSync(new URL('../../docs/screenshots/pair.png', import.meta.url)),
  });
  await expect(page.getByText('leaf · no credit yet')).toBeVisible();
  await page.getByLabel('Credit').fill('I. Falk');
  await page.getByLabel('Licence').selectOption('CC BY 4.0');
  await expect(page.getByText('With credit and licence it may go into prints.')).toBeVisible();
  await page.getByRole('button', { name: 'Save details' }).click();
  await expect(page.getByText('The photo’s details are saved.')).toBeVisible();
});

test('trusts another source with a reason; a character of one’s own is scored down the list', async ({
  page,
}) => {
  await to(page, 'sources');
  const row = page.getByRole('row').filter({ hasText: 'thinleaf alder' });
  await expect(row.locator('[class*="adopted_"]')).toContainText('Regional manual');
  await row.getByRole('button', { name: 'Trust the other one' }).click();
  await row.getByPlaceholder('Because…').fill('measured on the grounds');
  await row.getByRole('button', { name: /Trust Field notes/ }).click();
  await expect(page.getByText('because measured on the grounds')).toBeVisible();
  await expect(row.locator('[class*="adopted_"]')).toContainText('Field notes');

  await to(page, 'characters');
  await page.getByRole('button', { name: 'New character' }).click();
  await page.getByLabel('Technical term').fill('leaf rustle');
  await page.getByLabel('What it is').selectOption('flag false');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('leaf rustle is saved.')).toBeVisible();
  await to(page, 'side-by-side');
  await page.getByLabel('Characters to show').click();
  await page.keyboard.type('rustle');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Edit leaf rustle' }).click();
  await page.getByLabel('leaf rustle of grand fir').fill('always');
  await page.getByLabel('leaf rustle of subalpine fir').fill('perhaps');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.locator('[class^="problem_"]')).toContainText('“perhaps” is no answer for leaf rustle');
  await page.getByLabel('leaf rustle of subalpine fir').fill('sometimes');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('leaf rustle: 2 taxa saved.')).toBeVisible();
});

test('a library goes out and comes back without a change', async ({ page }) => {
  await to(page, 'exchange');
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Descriptions' }).click();
  const file = await (await download).path();
  await page.getByLabel(/^Choose a file/).setInputFiles(file);
  await page.getByRole('button', { name: 'See what it would do' }).click();
  await expect(page.getByRole('status')).toContainText('There is nothing new in this file.');
});

test('two people at one profile lose nothing', async ({ page, context }) => {
  await to(page, 'larix-lyallii/edit');
  const other = await context.newPage();
  await other.goto(page.url());
  for (const [tab, text] of [
    [other, '2–3 cm'],
    [page, '2.2–3.2 cm'],
  ] as const) {
    await tab.getByRole('textbox', { name: 'needle length' }).fill(text);
    await tab.keyboard.press('Control+s');
  }
  await expect(other.getByText('Larix lyallii is saved.')).toBeVisible();
  await expect(page.locator('[class^="problem_"]')).toContainText(
    'changed needle length while you were editing',
  );
  await expect(page.getByRole('textbox', { name: 'needle length' })).toHaveValue('2.2–3.2 cm');
  await page.getByRole('button', { name: /Load the new version/ }).click();
  await page.keyboard.press('Control+s');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Larix lyallii is saved.')).toBeVisible();
});
