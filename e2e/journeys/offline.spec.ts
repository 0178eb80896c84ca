import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, expect, test, type BrowserContext, type Page } from '@playwright/test';
import { Hurrow } from '../hurrow.ts';

/** A phone that can be switched off and on: its browser's data stay in a folder. */
class Phone {
  readonly folder = mkdtempSync(join(tmpdir(), 'hurrow-phone-'));
  private context: BrowserContext | undefined;

  async on(): Promise<Page> {
    this.context = await chromium.launchPersistentContext(this.folder, {
      ...test.info().project.use.launchOptions,
      viewport: { width: 390, height: 844 },
      timezoneId: 'America/Los_Angeles',
    });
    return this.context.pages()[0] ?? this.context.newPage();
  }

  async off(): Promise<void> {
    await this.context?.close();
    this.context = undefined;
  }

  async away(): Promise<void> {
    await this.off();
    rmSync(this.folder, { recursive: true, force: true });
  }
}

/** Everything that the phone holds as text: caches, stores, and the small shelf. */
const heldBy = (page: Page) =>
  page.evaluate(async () => {
    const texts: string[] = [JSON.stringify({ ...localStorage }), JSON.stringify({ ...sessionStorage })];
    for (const name of await caches.keys()) {
      const cache = await caches.open(name);
      for (const request of await cache.keys()) {
        // The page's own code tells of all trees alike, to everyone: what counts is what it holds of this quiz.
        if (new URL(request.url).pathname.startsWith('/assets/')) continue;
        texts.push(`${request.url} ${await (await cache.match(request))!.text()}`);
      }
    }
    const text = async (value: unknown): Promise<string> =>
      value instanceof Blob ? value.text() : JSON.stringify(value);
    for (const { name } of await indexedDB.databases()) {
      const db = await new Promise<IDBDatabase>((resolve, reject) => {
        const asked = indexedDB.open(name!);
        asked.onsuccess = () => resolve(asked.result);
        asked.onerror = () => reject(asked.error!);
      });
      for (const store of db.objectStoreNames) {
        const values = await new Promise<unknown[]>((resolve) => {
          const asked = db.transaction(store).objectStore(store).getAll();
          asked.onsuccess = () => resolve(asked.result as unknown[]);
        });
        texts.push(...(await Promise.all(values.map(text))));
      }
      db.close();
    }
    return texts.join('\n');
  });

interface Key {
  quiz: { id: string; title: string; state: string };
  stations: { position: number; taxonId: string }[];
  list: { id: string; genus: string; epithet: string; commonNames: string[] }[];
  answers: { studentId: string; stationId: string; written: { genus?: string } }[];
}

/** Stations of the quiz that show a photograph; the others are drawn. */
const PHOTOGRAPHS = [4, 12];

const phone = new Phone();
let hurrow: Hurrow;
test.beforeAll(async () => {
  hurrow = await Hurrow.start('demo');
});
test.afterAll(async () => {
  await phone.away();
  await hurrow.stop();
});

test('a quiz of twenty stations is sat without a signal, over a reload and a restart, and comes home once', async ({
  browser,
}) => {
  const desk = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await hurrow.enter(desk, 'instructor');
  await expect(desk.getByRole('navigation', { name: 'Places' })).toBeVisible();
  const key = await openedQuiz(desk);

  let page = await phone.on();
  await page.goto(`${hurrow.url}/#WOODY/ELIO93`);
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByText('Everything is on this phone')).toBeVisible();
  await expect
    .poll(() =>
      page.evaluate(async () => (await (await caches.open('hurrow-pages')).match('/')) !== undefined),
    )
    .toBe(true);

  // Nothing that the phone holds names a tree of the key, or says what it is like.
  const held = (await heldBy(page)).toLowerCase();
  expect(held).toContain(key.quiz.id);
  // Its photographs are along, in their frames; the others are drawn.
  expect(held.split('data:image/webp')).toHaveLength(PHOTOGRAPHS.length + 1);
  const names = key.list.flatMap(({ id, genus, epithet, commonNames }) => [
    id,
    `${genus} ${epithet}`,
    epithet,
    ...commonNames,
  ]);
  expect(names.filter((name) => held.includes(name.toLowerCase()))).toEqual([]);
  expect(held).not.toMatch(/"traits"|"truth"|"taxonid"|"seed"/);

  // The signal goes: the server is not there for anybody.
  await hurrow.kill();
  await page.reload();
  await expect(page.getByText('No signal: this is what the phone has along.')).toBeVisible();
  await page.getByRole('link', { name: key.quiz.title }).click();
  const answer = async (position: number) => {
    await expect(page.getByRole('heading', { name: `Station ${position}`, exact: true })).toBeVisible();
    const picture = page.getByRole('img', { name: new RegExp(`at station ${position}$`) });
    await expect(picture).toBeVisible();
    expect(
      await picture.evaluate((img: HTMLImageElement) => img.decode().then(() => img.naturalWidth)),
    ).toBeGreaterThan(100);
    await page.getByLabel('Genus').fill(`Genus${position}`);
    await page.getByLabel('Epithet').fill('incertus');
    await page.getByRole('button', { name: /Next station|Finish/ }).click();
  };
  // What the page says is on the phone outlives it; the moment before it says so is not tried.
  const onThePhone = (count: number) => expect(page.getByRole('status')).toContainText(`${count} answers`);
  for (let position = 1; position <= 8; position += 1) await answer(position);
  await onThePhone(8);
  await page.reload();
  for (let position = 9; position <= 14; position += 1) await answer(position);
  await onThePhone(14);
  await phone.off();
  page = await phone.on();
  await page.goto(hurrow.url);
  await page.getByRole('link', { name: key.quiz.title }).click();
  await expect(page.getByText('14 of 20 answered')).toBeVisible();
  await page.getByLabel('Number on the card').fill('15');
  await page.getByRole('button', { name: 'Go', exact: true }).click();
  for (let position = 15; position <= 20; position += 1) await answer(position);
  await expect(page.getByText('Every station has an answer.')).toBeVisible();
  await expect(page.getByText('20 answers on this phone, 0 received')).toBeVisible();
  await phone.off();

  // A day later there is a signal.
  await hurrow.run();
  page = await phone.on();
  await page.goto(hurrow.url);
  await expect(page.getByText('20 answers on this phone, all received')).toBeVisible();
  await page.reload();
  const { answers } = (await (
    await desk.request.get(`${hurrow.url}/api/quizzes/${key.quiz.id}/marks`)
  ).json()) as Key;
  const own = answers.filter(({ written }) => written.genus?.startsWith('Genus'));
  expect(own.map(({ written }) => written.genus).sort()).toEqual(
    Array.from({ length: 20 }, (_, i) => `Genus${i + 1}`).sort(),
  );
  await desk.context().close();
});

/** A quiz of eighteen drawings and two photographs of the demo's list, opened by its instructor; with its key. */
async function openedQuiz(desk: Page): Promise<Key> {
  const headers = { 'x-hurrow': '1' };
  const ask = async <T>(method: string, path: string, data?: object): Promise<T> => {
    const response = await desk.request.fetch(hurrow.url + path, {
      method,
      headers,
      ...(data ? { data } : {}),
    });
    expect([path, response.status()]).toEqual([path, 200]);
    return (await response.json()) as T;
  };
  const [course] = await ask<{ id: string }[]>('GET', '/api/courses');
  const whole = await ask<{ sets: { taxa: string[] }[] }>('GET', `/api/courses/${course!.id}`);
  const taxa = whole.sets.flatMap((set) => set.taxa);
  const view = {
    organs: ['leaf', 'twig', 'bud'],
    nearness: 'hand',
    aids: ['eye', 'touch', 'lens'],
    qualifiers: {},
  };
  const photographed: string[] = [];
  for (const id of taxa) {
    const { photos } = await ask<{ photos: unknown[] }>('GET', `/api/library/taxa/${id}/photos`);
    if (photos.length > 0) photographed.push(id);
  }
  expect(photographed.length).toBeGreaterThanOrEqual(2);
  const stations = Array.from({ length: 20 }, (_, i) => {
    const photo = PHOTOGRAPHS.indexOf(i + 1);
    return photo < 0
      ? { taxonId: taxa[i % taxa.length]!, medium: 'drawing', view, seed: 40 + i }
      : { taxonId: photographed[photo]!, medium: 'photo', view: { ...view, organs: ['leaf'] }, seed: 40 + i };
  });
  const { id } = await ask<{ id: string }>('POST', `/api/courses/${course!.id}/quizzes`, {
    title: 'Out of the signal',
    heldOn: '2026-10-15',
    stations,
  });
  await ask('POST', `/api/quizzes/${id}/open`, {});
  return ask<Key>('GET', `/api/quizzes/${id}/marks`);
}
