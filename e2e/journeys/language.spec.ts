import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { Hurrow } from '../hurrow.ts';

let hurrow: Hurrow;
test.beforeAll(async () => {
  hurrow = await Hurrow.start('demo');
});
test.afterAll(() => hurrow.stop());

test.use({ locale: 'de-AT' });

test('a browser that asks for German is spoken to in German, trees are called so by their course, and English is a choice away', async ({
  page,
}) => {
  await page.goto(hurrow.url);
  await expect(page.locator('html')).toHaveAttribute('lang', 'de');
  // What the server refuses is refused in German.
  await page.getByLabel('Kurscode').fill('NOPE');
  await page.getByLabel('Persönlicher Code').fill('ABC 123');
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByText('Kein Kurs hat den Code „NOPE“.')).toBeVisible();
  await page.getByRole('button', { name: 'Als Lehrende eintreten' }).click();
  await page.getByRole('link', { name: 'Quizze', exact: true }).click();
  await expect(page.getByText('24 von 24').first()).toBeVisible();
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.filter(({ impact }) => impact !== 'minor').map(({ id }) => id)).toEqual([]);

  await page.getByRole('link', { name: 'Kurs', exact: true }).click();
  await page.getByRole('link', { name: 'Einstellungen' }).click();
  await page.getByLabel('Die Namen der Bäume sind').selectOption('die auf Deutsch');
  await page.getByRole('button', { name: 'Einstellungen speichern' }).click();
  await expect(page.getByText('Die Einstellungen sind gespeichert.')).toBeVisible();
  await page.getByRole('link', { name: 'Arten', exact: true }).click();
  await expect(page.getByRole('heading', { name: /^Gelb-Kiefer/ })).toBeVisible();

  // What is edited is the library as it is written, whatever the course calls its trees.
  await page.getByRole('button', { name: 'Bearbeiten (e)' }).click();
  await expect(page.getByLabel('Namen auf Deutsch, mit Kommas')).toHaveValue('Gelb-Kiefer');
  await expect(page.getByLabel(/^Trivialnamen/)).toHaveValue(/^ponderosa pine/);

  await page.getByRole('link', { name: 'Marisol Overbeck' }).click();
  await page.getByLabel('Sprache dieser Seiten').selectOption('English');
  await expect(page.getByRole('heading', { name: 'Your password' })).toBeVisible();
  await expect(page.locator('html')).toHaveAttribute('lang', 'en');
});
