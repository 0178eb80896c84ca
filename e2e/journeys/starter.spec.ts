import { expect, test } from '@playwright/test';
import { Hurrow } from '../hurrow.ts';

let hurrow: Hurrow;
test.beforeAll(async () => {
  hurrow = await Hurrow.start('empty');
});
test.afterAll(() => hurrow.stop());

test('an empty library begins with a starter, after seeing what it adds, and two limes are told apart', async ({
  page,
}) => {
  await page.goto(hurrow.url);
  await page.getByLabel('Your name').fill('Ines Falk');
  await page.getByLabel('E-mail').fill('ines@example.org');
  await page.getByLabel(/^Password/).fill('a long enough password');
  await page.getByLabel('Name of the library').fill('Trees of our county');
  await page.getByLabel('Latitude').fill('52');
  await page.getByLabel('Longitude').fill('8');
  await page.getByLabel('Elevation').fill('100');
  await page.getByRole('button', { name: 'Create owner and library' }).click();

  await page.getByRole('link', { name: 'Begin with Trees of Britain and central Europe' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'would' })).toContainText('Quercus robur');
  await page.getByRole('button', { name: 'Import', exact: true }).last().click();
  await expect(page.getByText('36 taxa, set order')).toBeAttached();

  await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Lookalikes' }).click();
  await page.getByLabel('First tree').selectOption({ label: 'small-leaved lime' });
  await page.getByLabel('Second tree').selectOption({ label: 'large-leaved lime' });
  await expect(page.getByText(/^Look at the/)).toContainText('twig hair');
});
