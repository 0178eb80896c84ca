import { expect, test } from '@playwright/test';
import { Hurrow } from '../hurrow.ts';

let hurrow: Hurrow;
test.beforeAll(async () => {
  hurrow = await Hurrow.start('demo');
});
test.afterAll(() => hurrow.stop());

test('a contest has its teams and divisions, and its standings follow them', async ({ page }) => {
  await hurrow.enter(page, 'instructor');
  await expect(page.getByText('Week 7.')).toBeVisible();
  await page.getByLabel('Course', { exact: true }).selectOption({ label: 'Teasel County Tree Team' });
  await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Quizzes' }).click();
  await page.getByRole('link', { name: 'Practice contest' }).click();
  await page.getByRole('link', { name: 'Contest', exact: true }).click();
  // Two teams with as many points are parted by the station that was declared.
  const teams = page.getByRole('table', { name: 'Teams, Junior' });
  await expect(
    teams.getByRole('row', { name: /^2, by station 8 Alders Dev Larkin, Abel Frost 37\.75 of 40/ }),
  ).toBeVisible();
  await expect(page.getByLabel('Stations that part ties')).not.toBeEditable();

  // Without its second best the team falls behind; what was typed outlives a reload before it is saved.
  await page.getByText('Teams and divisions', { exact: true }).click();
  await page.getByLabel('Team of Dev Larkin').fill('Birches');
  await page.reload();
  await page.getByText('Teams and divisions', { exact: true }).click();
  await expect(page.getByLabel('Team of Dev Larkin')).toHaveValue('Birches');
  await page.getByLabel('Best of a team').fill('two');
  await page.getByRole('button', { name: 'Save the contest' }).click();
  await expect(page.getByRole('alert')).toContainText('“two” is no number of members');
  await page.getByLabel('Best of a team').fill('2');
  await page.getByRole('button', { name: 'Save the contest' }).click();
  await expect(
    teams.getByRole('row', {
      name: /^1 Birches (Esme Tully, Dev Larkin|Dev Larkin, Esme Tully) 39\.5 of 40/,
    }),
  ).toBeVisible();

  await page.getByLabel(/Or take teams and divisions from a table/).setInputFiles({
    name: 'teams.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('name,team,division\nDev Larkin,Alders,\nNobody Here,Alders,\n'),
  });
  await expect(page.getByRole('alert')).toContainText('No student “Nobody Here”');
});
