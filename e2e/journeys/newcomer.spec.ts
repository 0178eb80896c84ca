import { expect, test, type Page } from '@playwright/test';
import { Hurrow } from '../hurrow.ts';

const OWNER = { email: 'ines@example.org', password: 'a long enough password' };

const SPECIES = `scientific name,family,common names,calendar.leaves,foliage.kind,leaf.composition,leaf.shape,leaf.lobing,leaf.length,leaf.petioleSection,leaf.teeth,twig.arrangement,bud.length,bud.resin
Populus grandidentata,Salicaceae,bigtooth aspen,1 May – 20 Oct,broad blade,simple,ovate,unlobed,6–10 cm,flattened sideways,singly toothed,alternate,5–9 mm,no
Populus deltoides,Salicaceae,eastern cottonwood,1 May – 20 Oct,broad blade,simple,deltoid,unlobed,7–13 cm,flattened sideways,singly toothed,alternate,10–18 mm,yes`;

let hurrow: Hurrow;
test.beforeAll(async () => {
  hurrow = await Hurrow.start('empty');
});
test.afterAll(() => hurrow.stop());

const step = test.step;
const place = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name }).click();

test('from an empty library to the pair that is mixed up and what settles it', async ({ page, browser }) => {
  await step('set up the owner and the library', async () => {
    await page.goto(hurrow.url);
    await page.getByLabel('Your name').fill('Ines Falk');
    await page.getByLabel('E-mail').fill(OWNER.email);
    await page.getByLabel(/^Password/).fill(OWNER.password);
    await page.getByLabel('Name of the library').fill('Trees of our county');
    await page.getByLabel('Latitude').fill('44.5');
    await page.getByLabel('Longitude').fill('-89.5');
    await page.getByLabel('Elevation').fill('330');
    await page.getByRole('button', { name: 'Create owner and library' }).click();
    await expect(page.getByRole('heading', { name: 'The library is empty' })).toBeVisible();
  });

  await step('import two species, after a table that lacks a column', async () => {
    await page.getByRole('link', { name: 'import a table' }).click();
    await page.getByLabel('Table').fill('tree\noak');
    await page.getByRole('button', { name: 'See what it would do' }).click();
    await expect(page.locator('[class^="problem_"]')).toContainText('“scientific name” is missing');
    await expect(page.getByLabel('Table')).toHaveValue('tree\noak');
    await page.getByLabel('Table').fill(SPECIES);
    await page.getByRole('button', { name: 'See what it would do' }).click();
    await expect(page.getByRole('status')).toContainText('Populus grandidentata: 10 scores');
    await page.getByRole('button', { name: 'Import', exact: true }).last().click();
    await expect(page.getByRole('heading', { name: /eastern cottonwood/ })).toBeVisible();
  });

  await step('enter a third by hand, with a slip that is caught', async () => {
    await page.getByRole('button', { name: 'New', exact: true }).click();
    await page.getByLabel('Genus').fill('Acer');
    await page.getByLabel('Epithet').fill('rubrum');
    await page.getByRole('textbox', { name: 'Family', exact: true }).fill('Sapindaceae');
    await page.getByLabel(/^Common names/).fill('red maple, soft maple');
    await page.getByLabel('leaves', { exact: true }).fill('1 May – 15 Oct');
    await page.getByRole('group', { name: 'foliage' }).getByRole('button', { name: 'broad blade' }).click();
    await page
      .getByRole('group', { name: 'leaf composition' })
      .getByRole('button', { name: 'simple' })
      .click();
    await page
      .getByRole('group', { name: 'lobing' })
      .getByRole('button', { name: 'palmately lobed' })
      .click();
    await page.getByRole('textbox', { name: 'lobes', exact: true }).fill('3–5, odd');
    await page
      .getByRole('group', { name: 'arrangement' })
      .getByRole('button', { name: 'opposite', exact: true })
      .click();
    await page.getByRole('textbox', { name: 'blade length' }).fill('11–6 cm');
    await expect(page.getByText('Swap them?')).toBeVisible();
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.locator('[class^="problem_"]')).toContainText(
      'low end 11 cm is above the high end 6 cm',
    );
    await expect(page.getByLabel('Genus')).toHaveValue('Acer');
    await page.getByRole('button', { name: /Swap to 6 cm–11 cm/ }).click();
    await expect(page.getByRole('textbox', { name: 'blade length' })).toHaveValue('6–11 cm');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('heading', { name: /red maple/ })).toBeVisible();
    await expect(page.getByRole('img', { name: /Acer rubrum, drawn from its scores/ })).toBeVisible();
  });

  await step('make a course and its list', async () => {
    await place(page, 'Course');
    await page.getByLabel('Name of the course').fill('County trees');
    await page.getByRole('button', { name: 'Make the course' }).click();
    await page.getByRole('link', { name: 'Sets as a list' }).click();
    await page.getByRole('button', { name: 'Add a set' }).click();
    await page.getByLabel('Title of set 1').fill('Poplars and a maple');
    for (const name of ['bigtooth aspen', 'eastern cottonwood', 'red maple']) {
      await page.getByLabel('Add a species to Poplars and a maple').click();
      await page.keyboard.type(name.slice(0, 6));
      await page.keyboard.press('Enter');
      await expect(page.locator('[class*="set-taxa_"]').getByText(name)).toBeVisible();
    }
    await page.getByRole('button', { name: 'Save the list' }).click();
    await expect(page.getByText('The list is saved.')).toBeVisible();
  });

  let code = '';
  await step('import the class, after a roster that lacks its column', async () => {
    await page.getByRole('link', { name: 'Students', exact: true }).click();
    await page.getByLabel('Table').fill('surname,code\nAchterberg,ROWAN1');
    await page.getByRole('button', { name: 'See what it would do' }).click();
    await expect(page.locator('[class^="problem_"]')).toContainText('“name” is missing');
    await page.getByLabel('Table').fill('name,code\nRowan Achterberg,ROWAN1\nSelma Idowu,SELMA2');
    await page.getByRole('button', { name: 'See what it would do' }).click();
    await page.getByRole('button', { name: 'Import', exact: true }).click();
    await expect(page.getByText('SELMA2')).toBeVisible();
    code = (await page.locator('[class*="page-head_"] [class*="code_"]').innerText()).trim();
  });

  await step('plan a quiz and open it', async () => {
    await page.getByRole('button', { name: 'Plan a quiz' }).click();
    await page.getByRole('button', { name: 'One of each on the list' }).click();
    for (const position of [1, 2, 3])
      await page.getByLabel(`Medium of station ${position}`).selectOption('drawing');
    // Of the maple too little is scored to draw it: its station stays a cutting.
    await expect(
      page.getByText(/Too little is scored to draw its leaves \(leaf shape, .*teeth\)/),
    ).toBeVisible();
    await page.getByRole('button', { name: 'Save the plan' }).click();
    await page.getByRole('button', { name: 'Open to students' }).click();
    await expect(page.getByText(/Station 3: too little is scored to draw its leaves/)).toBeVisible();
    await page
      .getByRole('navigation', { name: 'Steps of the quiz' })
      .getByRole('link', { name: 'Plan' })
      .click();
    await page.getByLabel('Medium of station 3').selectOption('cutting');
    await page.getByRole('button', { name: 'Save the plan' }).click();
    await expect(page.getByText('The plan is saved.')).toBeVisible();
    await page
      .getByRole('navigation', { name: 'Steps of the quiz' })
      .getByRole('link', { name: 'Run' })
      .click();
    await page.getByRole('button', { name: 'Open to students' }).click();
    await expect(page.getByText('Students sign in with course code')).toBeVisible();
  });

  await step('a student answers on a phone, a wrong code first', async () => {
    const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
    await phone.goto(hurrow.url);
    await phone.getByLabel('Course code').fill('WRONG');
    await phone.getByLabel('Personal code').fill('rowan1');
    await phone.getByRole('button', { name: 'Start' }).click();
    await expect(phone.getByRole('alert')).toContainText('No course has the code “WRONG”');
    await expect(phone.getByLabel('Personal code')).toHaveValue('rowan1');
    await phone.getByLabel('Course code').fill(code);
    await phone.getByRole('button', { name: 'Start' }).click();
    await phone.getByRole('link', { name: /Quiz 1/ }).click();
    for (const [genus, epithet, family] of [
      ['Populus', 'deltoides', 'Salicaceae'],
      ['Populus', 'deltoides', 'Salicaceae'],
      ['Acer', 'rubrum', 'Sapindaceae'],
    ] as const) {
      await expect(
        genus === 'Acer'
          ? phone.getByText('Look at the fresh cutting at station 3.')
          : phone.getByRole('img', { name: /The drawing at station/ }),
      ).toBeVisible();
      await phone.getByLabel('Genus').fill(genus);
      await phone.getByLabel('Epithet').fill(epithet);
      await phone.getByLabel('Family').fill(family);
      await phone.getByRole('button', { name: /Next station|Finish/ }).click();
    }
    await expect(phone.getByText('Every station has an answer.')).toBeVisible();
    await expect(phone.getByRole('status')).toHaveCount(0);
    await phone.context().close();
  });

  await step('the other student’s paper is typed in, by keyboard', async () => {
    await page.getByRole('button', { name: 'Enter papers' }).click();
    await page.getByLabel('Paper of').selectOption('Selma Idowu');
    await page.getByLabel('Station 1, genus').focus();
    for (const word of [
      'Populus',
      'deltoides',
      'Salicaceae',
      'Populus',
      'deltoidez',
      'Salicaceae',
      'Acer',
      'mystery',
      '',
    ]) {
      if (word) await page.keyboard.type(word);
      await page.keyboard.press('Enter');
    }
    await expect(page.getByText('The paper of Selma Idowu is stored.')).toBeVisible();
  });

  await step('close, rule on an unreadable answer, see the marks', async () => {
    await page.getByRole('button', { name: 'Close the quiz' }).click();
    await page
      .getByRole('navigation', { name: 'Steps of the quiz' })
      .getByRole('link', { name: 'Mark' })
      .click();
    const selma = page.getByRole('row', { name: /Selma Idowu/ });
    await expect(selma).toContainText('5.75 / 9');
    await expect(page.getByRole('row', { name: /Rowan Achterberg/ })).toContainText('8 / 9');
  });

  await step('the confusion, its direction, its answers and its contrast', async () => {
    await place(page, 'Confusions');
    // Two students and a few answers say nothing of characters; the pairs are counted all the same.
    await expect(page.getByText(/^Too few to say: 6 answers of 2 students, \d of them wrong/)).toBeVisible();
    await page.getByRole('link', { name: 'Pairs', exact: true }).click();
    await expect(page.getByRole('row', { name: /bigtooth aspen and eastern cottonwood/ })).toContainText(
      'bigtooth aspen called eastern cottonwood: 2 of 2',
    );
    await page.getByRole('link', { name: 'bigtooth aspen and eastern cottonwood' }).click();
    await expect(page.getByRole('heading', { name: 'bigtooth aspen or eastern cottonwood?' })).toBeVisible();
    await expect(page.getByText(/Settled on 15 Oct|Doubtful on 15 Oct/)).toBeVisible();
    await expect(page.getByRole('row', { name: /bud length/ })).toContainText('5–9 mm');
    await expect(page.getByRole('complementary', { name: 'The answers behind it' })).toContainText(
      'Selma Idowu wrote “Populus deltoides”',
    );
  });

  await step('an import of answers that names no taxon says so, and keeps what was typed', async () => {
    await place(page, 'Quizzes');
    await page.getByRole('link', { name: 'Quiz 1' }).click();
    await page
      .getByRole('navigation', { name: 'Steps of the quiz' })
      .getByRole('link', { name: 'Run' })
      .click();
    await page.getByRole('button', { name: 'Import a response file' }).click();
    const csv = 'student,station,genus,epithet\nSelma Idowu,3,Quercus,alba\nNobody,1,Acer,rubrum';
    await page.getByLabel('Table').fill(csv);
    await page.getByRole('button', { name: 'See what it would do' }).click();
    await expect(page.getByRole('status')).toContainText('“Quercus alba” names no taxon on the list');
    await expect(page.getByRole('status')).toContainText('No student “Nobody” in this course');
    await expect(page.getByLabel('Table')).toHaveValue(csv);
  });

  await step('a session that ends while editing loses nothing', async () => {
    await place(page, 'Species');
    await page
      .getByRole('link', { name: /red maple/ })
      .first()
      .click();
    await page.getByRole('button', { name: 'Edit (e)' }).click();
    await page.getByLabel('Memory aid').fill('Red twigs, red buds, red leaf stalks.');
    await page.context().clearCookies();
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText('You are signed out. What you typed is still here.').first()).toBeVisible();
    await expect(page.getByLabel('Memory aid')).toHaveValue('Red twigs, red buds, red leaf stalks.');
    await page.getByPlaceholder('E-mail').fill(OWNER.email);
    await page.getByPlaceholder('Password').fill(OWNER.password);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText('Red twigs, red buds, red leaf stalks.')).toBeVisible();
  });

  await step('undo brings the profile back', async () => {
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText('Red twigs, red buds, red leaf stalks.')).toHaveCount(0);
  });
});
