import { expect, test, type Page } from '@playwright/test';
import { Hurrow } from '../hurrow.ts';

const OWNER = { email: 'ines@example.org', password: 'a long enough password' };

/** As a spreadsheet of another country writes it: semicolons, decimal commas, a byte-order mark, blank lines, a column nobody asked for. */
const SPECIES = [
  '\uFEFFscientific name;family;common names;remarks;calendar.leaves;foliage.kind;leaf.composition;leaf.shape;leaf.lobing;leaf.teeth;leaf.length;twig.arrangement;bud.length',
  'Quercus rubra;Fagaceae;northern red oak;seen by the pond;1 May – 20 Oct;broad blade;simple;obovate;pinnately lobed;entire;12,5–20 cm;alternate;4,5–7 mm',
  'Quercus alba;Fagaceae;white oak;;1 May – 20 Oct;broad blade;simple;obovate;pinnately lobed;entire;10–17,5 cm;alternate;2–3,5 mm',
  '',
  'Tilia americana;Malvaceae;American basswood;;1 May – 10 Oct;broad blade;simple;cordate;unlobed;singly toothed;10–17 cm;alternate;6–9 mm',
  'Fraxinus americana;Oleaceae;white ash;;10 May – 10 Oct;broad blade;once pinnate, odd;ovate;unlobed;entire;20–35 cm;opposite;5–8 mm',
  'Juglans nigra;Juglandaceae;black walnut;;15 May – 1 Oct;broad blade;once pinnate, odd;lanceolate;unlobed;singly toothed;30–60 cm;alternate;6–8 mm',
  ';;;;;;;;;;;;',
].join('\r\n');

let hurrow: Hurrow;
test.beforeAll(async () => {
  hurrow = await Hurrow.start('empty');
});
test.afterAll(() => hurrow.stop());

const step = test.step;
const place = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name }).click();
const row = (page: Page, name: string) => page.getByRole('group', { name, exact: true });
const mouse = (page: Page, name: string, state: string) =>
  row(page, name).getByRole('button', { name: state, exact: true }).click({ delay: 110 });

interface Held {
  taxa: {
    taxon: { id: string };
    scores: { characterId: string; sourceId: string; value: Record<string, unknown> }[];
  }[];
}

test('from an empty library to marks that were overruled, and every score is as it was entered', async ({
  page,
  browser,
}) => {
  await step('set up, with a longitude as people write it', async () => {
    await page.goto(hurrow.url);
    await page.getByLabel('Your name').fill('Ines Falk');
    await page.getByLabel('E-mail').fill(OWNER.email);
    await page.getByLabel(/^Password/).fill(OWNER.password);
    await page.getByLabel('Name of the library').fill('Trees of our county');
    await page.getByLabel('Latitude').fill('44.5');
    await page.getByLabel('Longitude').fill('89.5');
    // What it comes to is said at once: the other side of the earth.
    await expect(page.getByText('44.5° N 89.5° E, China.')).toBeVisible();
    await page.getByLabel('Longitude').fill('89.5 W');
    await expect(page.getByText('44.5° N 89.5° W, Wisconsin.')).toBeVisible();
    await page.getByLabel('Elevation, m').fill('330');
    await page.getByRole('button', { name: 'Create owner and library' }).click();
    await expect(page.getByRole('heading', { name: 'The library is empty' })).toBeVisible();
  });

  await step('five species by a spreadsheet’s file', async () => {
    await page.getByRole('link', { name: 'import a table' }).click();
    await page.getByLabel('Table').fill(SPECIES);
    await page.getByRole('button', { name: 'See what it would do' }).click();
    const report = page.getByRole('status');
    await expect(report).toContainText('Quercus rubra: 8 scores');
    await expect(report).toContainText('leave out remarks');
    await expect(report).not.toContainText('refused');
    await page.getByRole('button', { name: 'Import', exact: true }).last().click();
    await expect(
      page.getByRole('heading', { name: /northern red oak|white ash|American basswood/ }),
    ).toBeVisible();
  });

  await step('one by mouse, pressing as a hand does', async () => {
    await page.getByRole('button', { name: 'New', exact: true }).click();
    await page.getByLabel('Genus').fill('Acer');
    await page.getByLabel('Epithet').fill('saccharum');
    await page.getByRole('textbox', { name: 'Family', exact: true }).fill('Sapindaceae');
    await page.getByLabel(/^Common names/).fill('sugar maple');
    await page.getByLabel('leaves', { exact: true }).fill('1 May – 15 Oct');
    await mouse(page, 'foliage', 'broad blade');
    await mouse(page, 'leaf composition', 'simple');
    await mouse(page, 'lobing', 'palmately lobed');
    await mouse(page, 'teeth', 'entire');
    await mouse(page, 'arrangement', 'opposite');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('heading', { name: /sugar maple/ })).toBeVisible();
  });

  await step('one by keys', async () => {
    await page.keyboard.press('n');
    await expect(page.getByLabel('Genus')).toBeFocused();
    for (const word of ['Betula', 'nigra', '', 'Betulaceae', 'river birch']) {
      await page.keyboard.type(word);
      await page.keyboard.press('Tab');
    }
    const kind = row(page, 'foliage').getByRole('button').first();
    await kind.focus();
    await page.keyboard.press('1');
    await page.keyboard.press('Enter');
    await page.keyboard.press('1');
    await expect(row(page, 'leaf composition').getByRole('button', { name: 'simple' })).toHaveAttribute(
      'aria-pressed',
      'true',
    );
    await page.keyboard.press('Control+s');
    await expect(page.getByRole('heading', { name: /river birch/ })).toBeVisible();
  });

  await step('a second source, beside which the first stands in gray', async () => {
    await page.getByRole('link', { name: 'Sources and gaps' }).click();
    await page.getByRole('button', { name: 'Add a source' }).click();
    await page.getByLabel('Name of source 2').fill('County manual');
    await page.getByLabel('author of source 2').fill('A. Falk');
    await page.getByLabel('year of source 2').fill('1998');
    await page.getByRole('button', { name: 'Save sources and rule' }).click();
    await expect(page.getByText('Saved how sources are reconciled.')).toBeVisible();
    await page.getByRole('link', { name: /northern red oak/ }).click();
    await page.getByRole('button', { name: 'Edit (e)' }).click();
    await page.getByLabel('Source of the scores').click();
    await page.locator('.ant-select-item-option', { hasText: 'County manual' }).click();
    // The rows that depend on lobes stay, because the adopted leaf has them.
    await expect(page.getByRole('textbox', { name: 'lobes', exact: true })).toBeVisible();
    await expect(page.locator('[class*="score-row_"]', { hasText: 'blade length' })).toContainText(
      '12.5–20 cm (Own observations)',
    );
    await page.getByRole('textbox', { name: 'blade length' }).fill('10–25 cm');
    await page.getByRole('textbox', { name: 'lobes', exact: true }).fill('7–11');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('heading', { name: /northern red oak/ })).toBeVisible();
  });

  await step('no score differs from what was entered', async () => {
    const held = (await (await page.request.get(`${hurrow.url}/api/library`)).json()) as Held;
    const score = (id: string, characterId: string, sourceId = 'own') =>
      held.taxa
        .find(({ taxon }) => taxon.id === id)!
        .scores.find((entry) => entry.characterId === characterId && entry.sourceId === sourceId)?.value;
    expect(held.taxa.map(({ scores }) => scores.length).sort((a, b) => a - b)).toEqual([
      2, 5, 8, 8, 8, 8, 10,
    ]);
    expect(score('quercus-rubra', 'leaf.length')).toMatchObject({ low: 0.125, high: 0.2 });
    expect(score('quercus-alba', 'bud.length')).toMatchObject({ low: 0.002, high: 0.0035 });
    expect(score('quercus-rubra', 'leaf.length', 'county-manual')).toMatchObject({ low: 0.1, high: 0.25 });
    expect(score('quercus-rubra', 'leaf.lobes', 'county-manual')).toMatchObject({ low: 7, high: 11 });
    expect(score('acer-saccharum', 'twig.arrangement')).toEqual({
      kind: 'states',
      states: [{ state: 'opposite', frequency: 'always' }],
    });
    expect(score('betula-nigra', 'leaf.composition')).toEqual({
      kind: 'states',
      states: [{ state: 'simple', frequency: 'always' }],
    });
  });

  let code = '';
  await step('a course, its list and its class', async () => {
    await place(page, 'Course');
    await page.getByLabel('Name of the course').fill('County trees');
    await page.getByRole('button', { name: 'Make the course' }).click();
    await page.getByRole('link', { name: 'Sets as a list' }).click();
    await page.getByRole('button', { name: 'Add a set' }).click();
    for (const name of ['northern red oak', 'white ash', 'American basswood']) {
      await page.getByLabel(/^Add a species to/).click();
      await page.keyboard.type(name.slice(0, 8));
      await page.keyboard.press('Enter');
      await expect(page.locator('[class*="set-taxa_"]').getByText(name)).toBeVisible();
    }
    await page.getByRole('button', { name: 'Save the list' }).click();
    await expect(page.getByText('The list is saved.')).toBeVisible();
    await page.getByRole('link', { name: 'Students', exact: true }).click();
    await page.getByLabel('Table').fill('name;code\r\nRowan Achterberg;ROWAN1\r\n');
    await page.getByRole('button', { name: 'See what it would do' }).click();
    await page.getByRole('button', { name: 'Import', exact: true }).click();
    await expect(page.getByText('ROWAN1')).toBeVisible();
    code = (await page.locator('[class*="page-head_"] [class*="code_"]').innerText()).trim();
  });

  await step('a quiz of real cuttings', async () => {
    await page.getByRole('button', { name: 'Plan a quiz' }).click();
    await page.getByRole('button', { name: 'One of each on the list' }).click();
    await page.getByLabel('Held on').fill('2026-09-10');
    await page.getByRole('button', { name: 'Save the plan' }).click();
    await page.getByRole('button', { name: 'Open to students' }).click();
    await expect(page.getByText('Students sign in with course code')).toBeVisible();
  });

  await step('on the phone each station says where to look, and nothing is drawn', async () => {
    const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
    // As the QR code of the slip opens it.
    await phone.goto(`${hurrow.url}/#${code}/ROWAN1`);
    await expect(phone.getByLabel('Personal code')).toHaveValue('ROWAN1');
    await phone.getByRole('button', { name: 'Start' }).click();
    await phone.getByRole('link', { name: /Quiz 1/ }).click();
    for (const [position, genus, epithet, family] of [
      [1, 'Quercus rubra', '', 'Fagaceae'],
      [2, 'white ash', '', 'Oleaceae'],
      [3, 'Tilia', 'americana', 'Tiliacaea'],
    ] as const) {
      await expect(phone.getByText(`Look at the fresh cutting at station ${position}.`)).toBeVisible();
      await expect(phone.getByRole('img')).toHaveCount(0);
      await phone.getByLabel('Genus').fill(genus);
      await phone.getByLabel('Epithet').fill(epithet);
      await phone.getByLabel('Family').fill(family);
      await phone.getByRole('button', { name: /Next station|Finish/ }).click();
    }
    await expect(phone.getByText('Every station has an answer.')).toBeVisible();
    await expect(phone.getByRole('status')).toHaveCount(0);
    await phone.context().close();
  });

  await step(
    'marks: a binomial in one box counts, a common name is told, and a mark is overruled',
    async () => {
      await page.getByRole('button', { name: 'Close the quiz' }).click();
      await page
        .getByRole('navigation', { name: 'Steps of the quiz' })
        .getByRole('link', { name: 'Mark' })
        .click();
      const rowan = page.getByRole('table', { name: 'Papers' }).getByRole('row', { name: /Rowan/ });
      // Three for the oak, one for the ash’s family, two for the basswood without its family.
      await expect(rowan).toContainText('6 / 9');
      await rowan.getByRole('button', { name: /2 white ash/ }).click();
      const opened = page.getByRole('complementary', { name: 'One answer' });
      await expect(opened).toContainText('the common name; the genus is asked for');
      await opened.getByLabel('Points for the genus').fill('0.5');
      await opened.getByLabel('Reason').fill('common names were allowed at this table');
      await opened.getByRole('button', { name: 'Overrule' }).click();
      await expect(rowan).toContainText('6.5 / 9');
      await expect(opened).toContainText(
        'By ruling of Ines Falk, on this answer alone: common names were allowed',
      );
      await opened.getByRole('button', { name: 'Take the ruling back' }).click();
      await expect(rowan).toContainText('6 / 9');
      await page.reload();
      await expect(rowan).toContainText('6 / 9');
    },
  );

  await step('the result reaches the student', async () => {
    await page
      .getByRole('navigation', { name: 'Steps of the quiz' })
      .getByRole('link', { name: 'Run' })
      .click();
    await page.getByRole('button', { name: 'Release the results' }).click();
    await expect(page.getByText('Students see their own result now.')).toBeVisible();
    const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
    await phone.goto(`${hurrow.url}/#${code}/ROWAN1`);
    await phone.getByRole('button', { name: 'Start' }).click();
    await phone.getByRole('link', { name: 'Quiz 1' }).click();
    await expect(phone.getByText('Quercus rubra').first()).toBeVisible();
    await phone.context().close();
  });
});
