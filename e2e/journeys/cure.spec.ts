import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { Hurrow } from '../hurrow.ts';

let hurrow: Hurrow;
test.beforeAll(async () => {
  hurrow = await Hurrow.start('demo');
});
test.afterAll(() => hurrow.stop());

const PHONE = { viewport: { width: 390, height: 844 } };
const WAYS = ['name', 'glance', 'features', 'which', 'differs', 'settles', 'sort'];

/** Does the next thing that practice asks for, whatever it is, without looking. */
async function doNext(page: Page): Promise<void> {
  const main = page.getByRole('main');
  const first = async (name: string) => {
    const buttons = main.getByRole('group', { name }).getByRole('button');
    if (!(await buttons.first().isVisible())) return false;
    await buttons.first().click();
    return true;
  };
  const button = async (name: string) => {
    const found = main.getByRole('button', { name, exact: true });
    if (!(await found.isVisible())) return false;
    await found.click();
    return true;
  };
  if ((await button('Next')) || (await button('The left one'))) return;
  if (await button('Look: three seconds')) {
    await expect(main.getByRole('group', { name: 'Which tree is it?' })).toBeVisible();
    return;
  }
  for (const group of ['Which tree is it?', 'What do you see?', 'What settles it?'])
    if (await first(group)) return;
  if (await button('No idea')) return;
  const words = main.getByText('Say it in words');
  if (await words.isVisible()) {
    if (!(await first('In what do they differ?'))) await words.click();
    return;
  }
  const open = main.getByRole('group', { name: /^Specimen \d/ });
  for (const one of await open.all()) await one.getByRole('button').first().click();
  await button('So they lie');
}

test('from a finding to a lesson that is sent, a drill without a signal, the next quiz and what became of it', async ({
  browser,
}) => {
  const desk = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await hurrow.enter(desk, 'instructor');
  await desk.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Confusions' }).click();
  const finding = desk.getByRole('listitem').filter({ hasText: 'White bands' }).first();
  await expect(finding).toBeVisible();
  await finding.getByRole('button', { name: /See the \d+ answers/ }).click();
  await expect(finding.getByText('station').first()).toBeVisible();
  await finding.getByRole('link', { name: 'Make a mini-lesson' }).click();
  await expect(desk.getByText('Look at the white bands').first()).toBeVisible();
  await desk.getByRole('button', { name: 'All', exact: true }).click();
  await desk.getByLabel('Your line to them').fill('Turn a needle over before you name a fir.');
  await desk.getByRole('button', { name: 'Send', exact: true }).click();
  await expect(desk.getByLabel('Sent').getByText('Sent 2026-10-15')).toBeVisible();
  const lessonAt = desk.url();
  const course = /\/c\/([^/]+)/.exec(lessonAt)![1]!;

  const context = await browser.newContext(PHONE);
  const phone = await context.newPage();
  await hurrow.enter(phone, 'student');
  const name = await phone.getByText('You are').locator('strong').innerText();
  await phone.getByRole('link', { name: 'Practice', exact: true }).click();
  await phone.getByRole('link', { name: /2026-10-15/ }).click();
  await expect(phone.getByText('Turn a needle over')).toBeVisible();
  await phone.getByRole('group', { name: 'Specimen 1', exact: true }).getByRole('button').first().click();
  await expect(phone.getByText(/^[01] of 1 called rightly/)).toBeVisible();
  await context.setOffline(true);
  await phone.getByRole('link', { name: /Drill the two/ }).click();
  const bar = phone.getByRole('img', { name: /answered, \d+ minutes left/ });
  const answered = async () => Number(/^(\d+)/.exec((await bar.getAttribute('aria-label')) ?? '0')![1]);
  for (let i = 0; i < 40 && (await answered()) < 5; i += 1) await doNext(phone);
  expect(await answered()).toBeGreaterThanOrEqual(5);
  await phone.getByRole('link', { name: 'Stop' }).click();
  await expect(phone.getByText(/answers wait on this phone/)).toBeVisible();
  await context.setOffline(false);
  await expect(phone.getByText(/answers wait on this phone/)).toBeHidden();
  await desk.goto(`${hurrow.url}/c/${course}/confusions/students`);
  await desk.getByRole('link', { name }).click();
  await expect(desk.getByText('on 2026-10-15; opened it')).toBeVisible();
  await expect(desk.getByText('the last on 2026-10-15')).toBeVisible();

  await desk.goto(lessonAt);
  await desk.getByRole('link', { name: 'Plan four stations of the two' }).click();
  await desk.getByLabel('Title').fill('The firs once more');
  await desk.getByRole('button', { name: 'Save the plan' }).click();
  await expect(desk).toHaveURL(/\/run$/);
  const quizId = /quizzes\/([^/]+)/.exec(desk.url())![1]!;
  const call = async (method: 'get' | 'post', path: string, data?: object) => {
    const answer = await desk.request[method](hurrow.url + path, {
      ...(data ? { data } : {}),
      headers: { 'x-hurrow': '1' },
    });
    expect(answer.ok()).toBe(true);
    return (await answer.json()) as { students: { name: string }[]; stations: { taxonId: string }[] };
  };
  await call('post', `/api/quizzes/${quizId}/open`);
  const { stations } = await call('get', `/api/quizzes/${quizId}`);
  const { students } = await call('get', `/api/courses/${course}`);
  const csv = [
    'student,station,genus,epithet,family',
    ...students.flatMap(({ name }) =>
      stations.map(({ taxonId }, i) => [name, i + 1, ...taxonId.split('-'), 'Pinaceae'].join()),
    ),
  ].join('\n');
  await call('post', `/api/quizzes/${quizId}/responses/import`, { csv, dryRun: false });
  await desk.goto(`${hurrow.url}/c/${course}/confusions/abies-grandis/abies-lasiocarpa`);
  await expect(desk.getByText(/^(Resolved|Improving)/).first()).toBeVisible();
  await expect(desk.getByText(/fewer \(90 % interval\)/)).toBeVisible();
});

test('every way of practice can be done by who sees little, and gives no name away', async ({ browser }) => {
  const page = await (await browser.newContext(PHONE)).newPage();
  await hurrow.enter(page, 'student');
  await expect(page.getByText('To learn with')).toBeVisible();
  const library = (await (await page.request.get(`${hurrow.url}/api/library`)).json()) as {
    taxa: { taxon: { genus: string; epithet: string; commonNames: string[] } }[];
  };
  const names = library.taxa.flatMap(({ taxon }) => [
    `${taxon.genus} ${taxon.epithet}`,
    ...taxon.commonNames,
  ]);
  const clean = async () =>
    expect((await new AxeBuilder({ page }).analyze()).violations.map(({ id }) => id)).toEqual([]);
  await page.getByRole('link', { name: 'Practice', exact: true }).click();
  await expect(page.getByLabel('How long')).toBeVisible();
  await clean();
  for (const way of WAYS) {
    await page.goto(`${hurrow.url}/practice/go?what=leafyTwig&way=${way}&minutes=5`);
    const main = page.getByRole('main');
    await expect(main.locator('img, button').first()).toBeVisible();
    await clean();
    if (way === 'name' || way === 'features' || way === 'differs') {
      const said = await main.evaluate((element) =>
        [element.textContent, ...[...element.querySelectorAll('img')].map((each) => each.outerHTML)].join(
          ' ',
        ),
      );
      for (const name of names)
        expect(decodeURIComponent(said).toLowerCase()).not.toContain(name.toLowerCase());
    }
    for (
      let i = 0;
      i < 8 && !(await main.getByRole('button', { name: 'Next', exact: true }).isVisible());
      i += 1
    )
      await doNext(page);
    await expect(main.getByRole('button', { name: 'Next', exact: true })).toBeVisible();
    if (way === 'name') await clean();
  }
});
