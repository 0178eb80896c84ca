import { expect, test, type Page } from '@playwright/test';
import { Hurrow } from '../hurrow.ts';

const step = test.step;
let hurrow: Hurrow;
test.beforeAll(async () => {
  hurrow = await Hurrow.start('demo', { measures: true });
});
test.afterAll(() => hurrow.stop());

/** What the server answers, asked by the page itself: a socket that was kept for long may be closed just as it is used again. */
const asked = <T>(page: Page, path: string): Promise<T> =>
  page.evaluate((address) => fetch(address).then((answer) => answer.json()), `/api/${path}`);

const courseOf = (page: Page): string => /\/c\/([^/]+)/.exec(page.url())![1]!;

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('a tree is found and measured with the range-finder; without a signal three pieces are cut and ticked; back online all is there once', async ({
    page,
    context,
  }) => {
    await hurrow.enter(page, 'instructor');
    await expect(page).toHaveURL(/\/c\//);
    const courseId = courseOf(page);
    const { grounds } = await asked<{ grounds: { id: string }[] }>(page, 'grounds');
    const groundsId = grounds[0]!.id;

    await step('the nearest tree is first, and one is found by its tag', async () => {
      await page.goto(`${hurrow.url}/field/${courseId}/${groundsId}`);
      await expect(page.getByText(/You are about here/)).toBeVisible();
      await page.getByLabel('Find by tag or name').fill('q-03');
      await page.getByRole('link', { name: /Q-03/ }).tap();
      await expect(page.getByText('ponderosa pine')).toBeVisible();
    });
    await step('two shots make its height, with the working and a bar', async () => {
      await page.getByLabel('What do you measure?').selectOption('Height by range-finder');
      const shoot = page.getByRole('button', { name: /^Shoot/ });
      await shoot.tap();
      await expect(page.getByLabel('Straight to the top')).toHaveValue('31.42');
      await shoot.tap();
      await expect(page.getByLabel('Straight to the foot')).toHaveValue('21.36');
      await expect(page.getByText(/^24\.7 m ±/)).toBeVisible();
      await page.getByRole('button', { name: 'Keep it' }).tap();
      await expect(page.getByText('Everything noted has arrived.')).toBeVisible();
    });
    const list = async () => {
      const { lists } = await asked<{
        lists: { id: string; name: string; items: { id: string; needId: string }[] }[];
      }>(page, `courses/${courseId}/collecting`);
      return lists.find(({ name }) => name === 'Lab of week 7')!;
    };
    const before = await list();
    await step('without a signal three are ticked off, and they wait on the phone', async () => {
      await page.goto(`${hurrow.url}/gather/${courseId}/${before.id}`);
      await expect(page.getByText(/^2 of \d+ gathered/)).toBeVisible();
      await context.setOffline(true);
      for (const tree of ['grand fir', 'Douglas-fir', 'thinleaf alder'])
        await page.getByRole('button', { name: new RegExp(`^${tree}, .*: gathered$`, 'i') }).tap();
      await expect(page.getByText('3 things noted wait on this phone for a signal.')).toBeVisible();
      await expect(page.getByText(/^5 of \d+ gathered/)).toBeVisible();
      // The whitebark pine is protected: nothing can be ticked, and something else is offered.
      const whitebark = page.getByRole('listitem').filter({ hasText: 'whitebark pine' });
      await expect(whitebark.getByText(/protected and may not be cut/)).toBeVisible();
      await expect(whitebark.getByText(/^Instead: R-2\d itself/)).toBeVisible();
      await expect(whitebark.getByRole('button', { name: /gathered/ })).toHaveCount(0);
    });
    await step('online again, all is there once', async () => {
      await context.setOffline(false);
      await expect(page.getByText('Everything noted has arrived.')).toBeVisible();
      await expect(page.getByText(/^5 of \d+ gathered/)).toBeVisible();
      const after = await list();
      expect(after.items).toHaveLength(before.items.length + 3);
      expect(new Set(after.items.map(({ needId }) => needId)).size).toBe(after.items.length);
      const whole = await asked<{
        trees: { tag: string; height: number }[];
        measurements: { kind: string }[];
      }>(page, `grounds/${groundsId}`);
      expect(whole.trees.find(({ tag }) => tag === 'Q-03')!.height).toBeCloseTo(24.65, 1);
      expect(whole.measurements).toHaveLength(1);
    });
    await step('a label that is scanned opens its piece', async () => {
      const { items } = await list();
      const fir = items.find(({ needId }) => needId === 'abies-grandis cutting')!;
      await page.goto(`${hurrow.url}/gather/${courseId}/${before.id}?item=${fir.id}`);
      await expect(page.getByLabel('Kept in')).toHaveCount(1);
      await expect(page.getByRole('button', { name: 'More about grand fir' })).toHaveAttribute(
        'aria-expanded',
        'true',
      );
    });
    await step('a piece that wilted is wanted again, and leaves its trace', async () => {
      await page.getByLabel('Kept in').fill('cooler 3');
      await page.getByLabel('Name confirmed by a second person').fill('Perpetua Lindqvist');
      await page.getByRole('button', { name: 'It has wilted' }).tap();
      await expect(page.getByText(/^4 of \d+ gathered/)).toBeVisible();
      await expect(page.getByText('1 before is wilted.')).toBeVisible();
    });
  });
});

test('at the desk: a tree is put on the map, a stranger’s file taken in, a walk planned, printed and taken out', async ({
  page,
}) => {
  await hurrow.enter(page, 'instructor');
  await page.getByRole('link', { name: 'Grounds' }).click();
  await step('a place is pressed on the map, and the tree has a name and a girth', async () => {
    await page.getByRole('button', { name: 'Add a tree' }).click();
    const map = page.getByRole('application', { name: /^Map of Quillan Ridge/ });
    await map.click({ position: { x: 420, y: 120 } });
    const form = page.getByRole('form', { name: 'A new tree' });
    await form.getByLabel('Tag', { exact: true }).fill('Q-61');
    await form.getByLabel('Girth of each stem, cm').fill('60 + 80');
    await form.getByRole('button', { name: 'Keep the tree' }).click();
    await expect(page.getByRole('heading', { name: 'Q-61: not named yet' })).toBeVisible();
    await expect(page.getByText('girth 100 cm of 2 stems')).toBeVisible();
  });
  await step('what a file would do is said before it does it', async () => {
    await page.getByRole('button', { name: 'Files and tags' }).click();
    const csv = [
      'Tree No;Species;Lat;Long;DBH (in)',
      '71;Acer glabrum;47,601;-116,4;4,0',
      'Q-61;Quercus robur;47.602;-116.4;',
      '72;Acer glabrum;;;',
    ];
    await page
      .getByLabel('File with trees or a map')
      .setInputFiles({ name: 'their trees.csv', mimeType: 'text/csv', buffer: Buffer.from(csv.join('\n')) });
    await expect(page.getByText('1 tree would be added, 1 changed.')).toBeVisible();
    await expect(page.getByText(/72 has no place/)).toBeVisible();
    await page.getByRole('button', { name: 'Bring it in' }).click();
    await expect(page.getByRole('link', { name: 'Quillan Ridge grounds · 62' })).toBeVisible();
  });
  await step('a walk to a set: its stops, its day, its lists', async () => {
    await page.getByRole('link', { name: 'Walks' }).click();
    await page.getByRole('button', { name: 'Plan the walk' }).click();
    await page.getByRole('button', { name: 'Shortest order' }).click();
    await expect(page.getByText(/^\d stops, .* about \d+ minutes\.$/).first()).toBeVisible();
    await expect(page.getByRole('list', { name: 'Stops' }).getByRole('listitem')).not.toHaveCount(0);
    await expect(page.getByText('Tick check.')).toBeVisible();
    await page.getByRole('checkbox', { name: /^Lightning: none/ }).check();
    await page.getByRole('button', { name: 'Keep the walk' }).click();
    await expect(page.getByRole('button', { name: 'Keep the walk' })).toBeDisabled();
    for (const name of ['Print map and stops', 'Take out as GPX']) {
      const download = page.waitForEvent('download');
      await page.getByText(name).click();
      expect((await download).suggestedFilename()).toMatch(/walk\.(pdf|gpx)/);
    }
  });
  await step('a hemlock that is over before the lab is warned of on the course page', async () => {
    await page.getByRole('link', { name: 'Course', exact: true }).click();
    await expect(
      page.getByText(/western hemlock.*will be good until 2026-10-15, and is wanted on 2026-10-16/),
    ).toBeVisible();
  });
});
