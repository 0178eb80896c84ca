import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { Secret, TOTP } from 'otpauth';
import { Hurrow } from '../hurrow.ts';

let hurrow: Hurrow;
test.beforeAll(async () => {
  hurrow = await Hurrow.start('demo');
});
test.afterAll(() => hurrow.stop());

const PASSWORD = 'a long enough password';

async function expectNothingInTheWay(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)).toEqual([]);
}

test('a colleague is added, comes in by the link, adds a telephone, and signs in with its code', async ({
  page,
  browser,
}) => {
  await hurrow.enter(page, 'instructor');
  await page.getByRole('link', { name: 'Marisol Overbeck' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Rosalind Pike');
  await page.getByLabel('E-mail').fill('pike@quillanridge.example');
  await page.getByRole('button', { name: 'Add' }).click();
  const link = await page.getByLabel('Link for Rosalind Pike').inputValue();
  await expectNothingInTheWay(page);

  const own = await (await browser.newContext()).newPage();
  await own.goto(link);
  await expect(own.getByRole('heading', { name: 'Welcome, Rosalind Pike' })).toBeVisible();
  await expectNothingInTheWay(own);
  await own.getByLabel(/^Password/).fill(PASSWORD);
  await own.keyboard.press('Enter');
  await own.getByRole('link', { name: 'Rosalind Pike' }).click();

  // The telephone.
  await own.getByLabel('Your password').fill(PASSWORD);
  await own.getByRole('button', { name: 'Turn it on' }).click();
  const secret = (await own.getByText(/^([A-Z2-7]{4} ){7}/).innerText()).replace(/\s/g, '');
  const telephone = new TOTP({ secret: Secret.fromBase32(secret) });
  await expectNothingInTheWay(own);
  await own.getByLabel('The six digits that it shows').fill(telephone.generate());
  await own.keyboard.press('Enter');
  const recovery = await own
    .getByRole('listitem')
    .filter({ hasText: /^\w{5}-\w{5}$/ })
    .first()
    .innerText();
  await own.getByRole('button', { name: 'I have them' }).click();
  await expect(own.getByText('On: signing in asks for a code')).toBeVisible();

  // Out, and in again: the password alone is not enough, and what was typed stays.
  await own.getByRole('button', { name: 'Sign out', exact: true }).click();
  await own.getByLabel('E-mail').fill('pike@quillanridge.example');
  await own.getByLabel('Password', { exact: true }).fill(PASSWORD);
  await own.keyboard.press('Enter');
  await expect(own.getByText('Type the code of your telephone, too.')).toBeVisible();
  await expectNothingInTheWay(own);
  await own.getByLabel(/^Code of your telephone/).fill(recovery);
  await own.keyboard.press('Enter');
  await expect(own.getByRole('link', { name: 'Rosalind Pike' })).toBeVisible();

  // The link has been used.
  const late = await (await browser.newContext()).newPage();
  await late.goto(link);
  await expect(late.getByText(/Ask the owner of this Hurrow for a new one/)).toBeVisible();
  await late.getByRole('link', { name: /^Sign in/ }).click();
  await expect(late.getByRole('heading', { name: 'Instructors' })).toBeVisible();
});
