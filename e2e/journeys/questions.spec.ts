import { expect, test } from '@playwright/test';
import { Hurrow } from '../hurrow.ts';

let hurrow: Hurrow;
test.beforeAll(async () => {
  hurrow = await Hurrow.start('demo');
});
test.afterAll(() => hurrow.stop());

/** Trees that the planned quiz gets a station of each, and what is asked there in place of the name. */
const ASKED = [
  { tree: 'abies-grandis', kind: 'what tells it from another', of: ['The other tree', 'abies-lasiocarpa'] },
  { tree: 'acer-glabrum', kind: 'one of its features', of: ['Which character', 'twig.arrangement'] },
  { tree: 'pinus-ponderosa', kind: 'a count or a measure', of: ['Which character', 'needle.perBundle'] },
  { tree: 'cornus-sericea', kind: 'its genus' },
  { tree: 'populus-tremuloides', kind: 'its family' },
  {
    tree: 'acer-platanoides',
    drawn: true,
    kind: 'several drawn ones, sorted',
    of: ['Which character', 'twig.arrangement'],
  },
] as const;

test('a quiz that asks for features, counts, genus and family is planned, answered on a phone and marked', async ({
  page,
  browser,
}) => {
  await hurrow.enter(page, 'instructor');
  await expect(page.getByText('Week 7.')).toBeVisible();
  const base = page.url().replace(/\/course$/, '');
  await page.goto(`${base}/quizzes/new?taxa=${ASKED.map(({ tree }) => tree).join(',')}`);
  for (const [i, asked] of ASKED.entries()) {
    await page.getByRole('button', { name: new RegExp(`^${i + 1} `) }).click();
    if ('drawn' in asked)
      await page.getByLabel(`Medium of station ${i + 1}`).selectOption({ label: 'drawing' });
    await page.getByLabel('Ask for', { exact: true }).selectOption({ label: asked.kind });
    if ('of' in asked) await page.getByLabel(asked.of[0]).selectOption(asked.of[1]);
  }
  await expect(page.getByText('asks what tells it from subalpine fir')).toBeVisible();
  await expect(page.getByRole('img', { name: 'The specimens as students see them' })).toBeVisible();
  await page.getByRole('button', { name: 'Save the plan' }).click();
  await expect(page.getByRole('button', { name: 'Open to students' })).toBeVisible();
  await page.getByRole('button', { name: 'Open to students' }).click();
  await expect(page.getByRole('button', { name: 'Close the quiz' })).toBeVisible();
  const quiz = /quizzes\/([0-9a-f-]{36})/.exec(page.url())![1]!;

  const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  await hurrow.enter(phone, 'student');
  await phone.goto(`${hurrow.url}/quiz/${quiz}/1`);
  const next = () => phone.getByRole('button', { name: /Next station|Finish/ }).click();
  await expect(phone.getByText(/^It is Abies .* Which of these tells you which, here\?$/)).toBeVisible();
  await phone.getByRole('button', { name: 'white bands' }).click();
  await next();
  await phone.getByRole('button', { name: 'alternate' }).click();
  await next();
  await expect(phone.getByRole('heading', { name: 'How many needles per bundle?' })).toBeVisible();
  await phone.getByLabel(/Your answer/).fill('3');
  await next();
  await phone.getByLabel('Genus').fill('Cornus');
  await next();
  await phone.getByLabel('Family').fill('Salicacae');
  await next();
  const { stations } = (await (await page.request.get(`${hurrow.url}/api/quizzes/${quiz}`)).json()) as {
    stations: { asking: { right: string[]; offered: { id: string; term: string }[] } }[];
  };
  const { right, offered } = stations[5]!.asking;
  expect(new Set(right).size).toBeGreaterThan(1);
  // All but the last are called as they are.
  for (const [i, state] of right.entries()) {
    const called = offered.find(({ id }) => (id === state) === i < right.length - 1)!;
    await phone
      .getByRole('group', { name: `Specimen ${'ABCDEF'[i]}` })
      .getByRole('button', { name: called.term, exact: true })
      .click();
  }
  await next();
  await expect(phone.getByText('6 answers on this phone, all received')).toBeVisible();
  await phone.context().close();

  await page.getByRole('button', { name: 'Close the quiz' }).click();
  await expect(page.getByText('The quiz is closed.')).toBeVisible();
  await page.getByRole('link', { name: 'Mark', exact: true }).click();
  // Three right, a family misspelled by a letter, a feature that is another, five of six specimens.
  await expect(page.getByRole('row', { name: /14\.25 \/ 18/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /Arrangement: which is it here\?/ })).toContainText('0 of 1');
  await page.getByRole('button', { name: /^2 alternate/ }).click();
  await expect(page.getByLabel('One answer')).toContainText('Arrangement: which is it here? opposite');
  // Taken out as a package and brought in again it is the same plan under another title.
  const [taken] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Take it out as QTI' }).click(),
  ]);
  expect(taken.suggestedFilename()).toMatch(/-qti\.zip$/);
  await page.goto(`${base}/quizzes`);
  const bring = page.getByLabel(/Bring a quiz in from a QTI package/);
  await bring.setInputFiles({
    name: 'no.zip',
    mimeType: 'application/zip',
    buffer: Buffer.from('no package'),
  });
  await expect(page.getByRole('alert')).toContainText('This is no ZIP file.');
  await bring.setInputFiles(await taken.path());
  await expect(page).toHaveURL(/quizzes\/[0-9a-f-]{36}\/plan/);
  for (const asks of [
    'asks what tells it from subalpine fir',
    'asks for its genus',
    'asks for its family',
    /^asks to sort several by/,
  ])
    await expect(page.getByText(asks)).toBeVisible();
  // What was asked besides names tells nothing of what is taken for what.
  await page.goto(`${base}/confusions/stations`);
  await expect(page.getByText('Does the model know this class?')).toBeVisible();
});
