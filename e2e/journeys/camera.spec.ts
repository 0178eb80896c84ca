import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, expect, test } from '@playwright/test';
import QRCode from 'qrcode';
import sharp from 'sharp';
import { Hurrow } from '../hurrow.ts';

const folder = mkdtempSync(join(tmpdir(), 'hurrow-camera-'));
let hurrow: Hurrow;
test.beforeAll(async () => {
  hurrow = await Hurrow.start('demo');
});
test.afterAll(async () => {
  await hurrow.stop();
  rmSync(folder, { recursive: true, force: true });
});

/** What a camera sees that is held at a card: some frames of it, a little askew on a gray table. */
async function filmOf(text: string): Promise<string> {
  const card = await sharp(await QRCode.toBuffer(text, { width: 260, margin: 4 }))
    .rotate(7, { background: '#808080' })
    .toBuffer();
  const frame = await sharp({ create: { width: 640, height: 480, channels: 3, background: '#808080' } })
    .composite([{ input: card, left: 170, top: 90 }])
    .blur(0.8)
    .jpeg({ quality: 80 })
    .toBuffer();
  const file = join(folder, 'card.mjpeg');
  writeFileSync(file, Buffer.concat(Array.from({ length: 30 }, () => frame)));
  return file;
}

/** A phone whose camera sees a film. */
const phoneThatSees = (film: string) => {
  const { launchOptions } = test.info().project.use;
  return chromium.launch({
    ...launchOptions,
    args: [
      ...(launchOptions?.args ?? []),
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-video-capture=${film}`,
    ],
  });
};

test('the camera finds a station by the code of its card, and says so of a card of another quiz', async ({
  page,
}) => {
  await hurrow.enter(page, 'student');
  await page.getByRole('link', { name: /Self-check/ }).click();
  await expect(page.getByLabel('Genus')).toBeVisible();
  const quiz = new URL(page.url()).pathname.split('/')[2]!;
  const sees = async (code: string) => {
    const browser = await phoneThatSees(await filmOf(`${hurrow.url}${code}`));
    const phone = await (
      await browser.newContext({
        viewport: { width: 390, height: 844 },
        storageState: await page.context().storageState(),
      })
    ).newPage();
    await phone.goto(`${hurrow.url}/quiz/${quiz}`);
    await phone.getByRole('button', { name: 'Scan', exact: true }).click();
    return { phone, browser };
  };
  const own = await sees(`/quiz/${quiz}/3`);
  await expect(own.phone.getByRole('heading', { name: 'Station 3' })).toBeVisible();
  await own.browser.close();
  const other = await sees('/quiz/another-quiz/3');
  await expect(other.phone.getByText('This card belongs to another quiz.')).toBeVisible();
  await other.browser.close();
});
