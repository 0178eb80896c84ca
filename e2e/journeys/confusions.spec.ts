import { expect, test, type Page } from '@playwright/test';
import { Hurrow } from '../hurrow.ts';

let hurrow: Hurrow;
test.beforeAll(async () => {
  hurrow = await Hurrow.start('demo');
});
test.afterAll(() => hurrow.stop());

const place = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name }).click();
const part = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Parts of Confusions' }).getByRole('link', { name }).click();

const STUDENTS = ['Ada', 'Bo', 'Cleo', 'Dov', 'Esi', 'Finn', 'Gia', 'Hal', 'Ivo', 'Juno', 'Kai', 'Lux'].map(
  (name) => `${name} Tarn`,
);
const STATIONS = [
  'abies-grandis',
  'abies-lasiocarpa',
  'tsuga-heterophylla',
  'pseudotsuga-menziesii',
  'pinus-ponderosa',
  'pinus-contorta',
  'abies-lasiocarpa',
  'abies-grandis',
];
const TWIN: Record<string, string> = {
  'abies-grandis': 'abies-lasiocarpa',
  'abies-lasiocarpa': 'abies-grandis',
};

/** Every second student takes one fir for the other; now and then another tree is missed as well. */
const FILE = [
  'student,station,genus,epithet,family',
  ...STUDENTS.flatMap((student, s) =>
    STATIONS.map((truth, i) => {
      const named = (s + i) % 2 === 0 ? (TWIN[truth] ?? truth) : truth;
      const slip = (s * 5 + i) % 31 === 0 ? 'pinus-monticola' : named;
      return [student, i + 1, ...slip.split('-'), 'Pinaceae'].join();
    }),
  ),
].join('\n');

/** A course of one's own with a class and an opened quiz: what other journeys do by hand. */
async function ownCourse(page: Page, wentBy = false) {
  const call = async (method: 'post' | 'put', path: string, data: object = {}) => {
    const answer = await page.request[method](hurrow.url + path, { data, headers: { 'x-hurrow': '1' } });
    expect(answer.ok()).toBe(true);
    return (await answer.json()) as { id: string };
  };
  const { id } = await call('post', '/api/courses', {
    name: 'Conifers of the county',
    startsOn: '2026-08-31',
    weeks: 14,
    audience: 'technical',
    units: 'metric',
    marking: { policy: 'binomial', points: { name: 2, genus: 1, epithet: 1, family: 1 }, deduction: 0.25 },
    latitude: 47,
    longitude: -116,
    elevation: 800,
  });
  const taxa = [...new Set([...STATIONS, 'pinus-monticola'])];
  await call('put', `/api/courses/${id}/list`, { sets: [{ title: 'Conifers', week: 1, taxa }] });
  const csv = ['name', ...STUDENTS].join('\n');
  await call('post', `/api/courses/${id}/students/import`, { csv, dryRun: false });
  const view = {
    organs: ['twig', 'bud', 'leaf'],
    nearness: 'hand',
    aids: ['eye', 'touch', 'smell', 'lens'],
    qualifiers: { plantAge: 'mature' },
  };
  const quiz = await call('post', `/api/courses/${id}/quizzes`, {
    title: 'First look',
    heldOn: '2026-09-10',
    stations: STATIONS.map((taxonId) => ({ taxonId, medium: 'cutting', view, wentBy })),
  });
  await call('post', `/api/quizzes/${quiz.id}/open`);
  return { courseId: id, quizId: quiz.id };
}

test('a response file of one’s own class leads to a finding, and down to a single answer', async ({
  page,
}) => {
  await hurrow.enter(page, 'instructor');
  await expect(page.getByText('Week 7.')).toBeVisible();
  const { courseId, quizId } = await ownCourse(page);
  await page.goto(`${hurrow.url}/c/${courseId}/quizzes/${quizId}/run`);
  await page.getByRole('button', { name: 'Import a response file' }).click();
  await page.getByLabel('Table').fill(FILE);
  await page.getByRole('button', { name: 'See what it would do' }).click();
  await expect(page.getByRole('status')).toContainText('96 answers');
  // Whoever leaves the page while the import is under way stays where they went, and what it brings arrives there.
  await page.route('**/responses/import', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 2000));
    await route.continue();
  });
  await page.getByRole('button', { name: 'Import', exact: true }).click();
  await place(page, 'Confusions');
  await expect(page.getByText('The answers are imported.')).toBeVisible();
  expect(page.url()).toContain('/confusions');
  // Eight stations suggest, and do not say for sure: where nothing is sure, what they suggest lies open.
  await expect(page.getByText(/smaller or less sure/)).toBeVisible();
  const finding = page
    .locator('[class*="findings_"] > li')
    .filter({ hasText: 'Subalpine fir is missed more than its likeness explains' });
  await expect(finding).toBeVisible();
  await expect(finding).toContainText('of 26');
  await finding.getByRole('button', { name: /^See the \d+ answers$/ }).click();
  await expect(finding).toContainText('First look, station 7');
  const single = finding.locator('[class*="answers-behind_"] a').filter({ hasText: 'abies' }).first();
  await expect(single).toHaveText(/“abies (grandis|lasiocarpa)”/);
  await single.click();
  await expect(page.getByRole('heading', { name: /fir or .*fir\?/ })).toBeVisible();
  await expect(page.getByRole('complementary', { name: 'The answers behind it' })).toContainText(
    'Ada Tarn wrote “abies grandis”',
  );
});

test('the demo’s planted characters and pairs come out first; the resolved pair is not persisting', async ({
  page,
}) => {
  await hurrow.enter(page, 'instructor');
  await place(page, 'Confusions');
  const titles = page.locator('[class*="findings_"] h2');
  await expect(titles.first()).toBeVisible();
  // What is sure of characters was planted (demo/truths.yaml), and no word is graver than its interval bears.
  const first = (await titles.allInnerTexts()).filter((title) => title.includes(':'));
  expect(first[0]).toBe('White bands: used too little');
  await expect(page.locator('[class*="findings_"] li', { hasText: 'White bands' })).toContainText(
    /they told of it \d+ times? on \d+ checklists/,
  );
  // Asked to look, they read the bands well and the shape of a leaf badly: truths.yaml.
  await expect(page.locator('[class*="findings_"] li', { hasText: 'White bands' })).toContainText(
    'it is overlooked, not misread',
  );
  await part(page, 'Characters');
  const readings = page.getByRole('region', { name: 'When asked what they see' }).locator('tbody tr');
  await expect(readings.filter({ hasText: 'White bands' })).toContainText('read well when looked at');
  await expect(readings.filter({ hasText: 'Leaf shape' })).toContainText('misread even when looked at');
  await part(page, 'Pairs');
  await expect(page.getByText('marks what stands out even so')).toBeVisible();
  const rows = page.locator('[class*="pairs_"] tbody tr');
  await expect(rows.nth(0)).toContainText(/subalpine fir and grand fir|grand fir and subalpine fir/);
  await expect(rows.nth(1)).toContainText('quaking aspen');
  await expect(rows.nth(1)).toContainText('taught again 2026-10-01: resolved');
  await expect(page.getByText('persisting')).toHaveCount(0);

  await page.getByRole('button', { name: 'Matrix' }).click();
  const matrix = page.getByRole('application', { name: /Confusions of \d+ trees/ });
  await matrix.focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.locator('[class*="matrix-says_"]')).toHaveText(/called|never/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: /\?$/ })).toBeVisible();
});

test('an unfair station is left out of the figures, and taken in again', async ({ page }) => {
  await hurrow.enter(page, 'instructor');
  await place(page, 'Confusions');
  const unfair = page.locator('[class*="not-their-fault_"]');
  await expect(unfair).toContainText('could be named by an ideal reader in');
  await unfair.getByRole('button', { name: 'Leave it out' }).click();
  await expect(page.getByText('1 station left out')).toBeVisible();
  await expect(unfair).toContainText('is left out of all figures here');
  await unfair.getByRole('button', { name: 'Take it in again' }).click();
  await expect(page.getByText('1 station left out')).toHaveCount(0);
  await part(page, 'Stations');
  await expect(page.getByText('Each quiz predicted from the others')).toBeVisible();
});

test('a pair is noted as taught again, and the note is taken back', async ({ page }) => {
  await hurrow.enter(page, 'instructor');
  await place(page, 'Confusions');
  await part(page, 'Pairs');
  // The model is computed first; on a busy machine that takes its time.
  const pair = page.getByRole('link', {
    name: /thinleaf alder and paper birch|paper birch and thinleaf alder/,
  });
  await expect(pair).toBeVisible();
  await pair.click();
  const day = page.getByLabel('Day it was taught again');
  await expect(day).toBeVisible();
  await day.fill('2026-09-20');
  await page.getByRole('button', { name: 'Note it' }).click();
  const note = page.locator('[class*="reteach_"]');
  await expect(note).toContainText('since 2026-09-20: mixed up in');
  await note.getByRole('button', { name: 'Take back' }).click();
  await expect(note).not.toContainText('since 2026-09-20');
});

/** What each student ticks at each station: one of three of all that is offered, but never the white bands. */
const toldOf = (offered: readonly string[], student: number, station: number): string[] =>
  offered
    .filter((id, i) => id !== 'needle.bands' && (i * 7 + student * 5 + station * 3) % 6 === 0)
    .slice(0, 3);

test('a class that never goes by the white bands: told on the phone, on paper and in a file it is sure, by names alone a suspicion', async ({
  page,
  browser,
}) => {
  await hurrow.enter(page, 'instructor');
  await expect(page.getByText('Week 7.')).toBeVisible();
  const { courseId, quizId } = await ownCourse(page, true);
  const course = (await (await page.request.get(`${hurrow.url}/api/courses/${courseId}`)).json()) as {
    code: string;
    students: { id: string; name: string; code: string }[];
  };
  const quiz = (await (await page.request.get(`${hurrow.url}/api/quizzes/${quizId}`)).json()) as {
    stations: { offered: string[] }[];
  };

  // On the phone: three can be ticked, a fourth not.
  const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  const ada = course.students.find(({ name }) => name === 'Ada Tarn')!;
  await phone.request.post(`${hurrow.url}/api/session/student`, {
    data: { courseCode: course.code, personalCode: ada.code },
    headers: { 'x-hurrow': '1' },
  });
  await phone.goto(hurrow.url);
  await phone.getByRole('link', { name: /First look/ }).click();
  await expect(phone.getByRole('heading', { name: 'What did you go by?' })).toBeVisible();
  await phone.getByLabel('Genus').fill('Abies');
  await phone.getByLabel('Epithet').fill('lasiocarpa');
  const chips = phone.locator('[class*="went-by_"] button');
  for (const place of [0, 1, 2]) await chips.nth(place).click();
  await expect(chips.nth(3)).toBeDisabled();
  await expect(phone.getByRole('button', { name: 'The whole look of it' })).toBeDisabled();
  await phone.getByRole('button', { name: /Next station/ }).click();
  await expect(phone.getByRole('heading', { name: 'Station 2' })).toBeVisible();
  await phone.getByRole('button', { name: 'Back to station 1' }).click();
  await expect(phone.getByRole('heading', { name: 'Station 1' })).toBeVisible();
  await expect(phone.locator('[class*="went-by_"] button[aria-pressed="true"]')).toHaveCount(3);

  // On paper: a line in words, read as it is typed.
  await page.goto(`${hurrow.url}/c/${courseId}/quizzes/${quizId}/run`);
  await page.getByRole('button', { name: 'Enter papers' }).click();
  await page.getByLabel('Paper of').selectOption('Bo Tarn');
  await page.getByLabel('Station 1, genus').fill('Abies');
  await page.getByLabel('Station 1, epithet').fill('lasiocarpa');
  const line = page.getByLabel('Station 1, went by');
  // What can't be read is kept as written, and waits for a ruling.
  await line.fill('how it moves');
  await expect(
    page.getByText(/nothing that this station offers to go by.*rule on it when you mark/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Store this paper' }).click();
  await expect(page.getByText('The paper of Bo Tarn is stored.')).toBeVisible();
  // The next paper begins empty, and Bo's line is there again.
  await expect(page.getByLabel('Paper of')).toHaveValue(
    course.students.find(({ name }) => name === 'Cleo Tarn')!.id,
  );
  await expect(line).toHaveValue('');
  await page.getByLabel('Paper of').selectOption('Bo Tarn');
  await expect(line).toHaveValue('how it moves');
  await page.goto(`${hurrow.url}/c/${courseId}/quizzes/${quizId}/mark`);
  await page.getByLabel(/how it moves/).selectOption('a guess');
  await expect(page.getByText(/“how it move” is a guess, by ruling of/)).toBeVisible();
  await page.goto(`${hurrow.url}/c/${courseId}/quizzes/${quizId}/run`);
  await page.getByRole('button', { name: 'Enter papers' }).click();

  // The others in a file, with a column of what they went by.
  const rows = FILE.split('\n').slice(1);
  const told = rows.flatMap((row, n) => {
    const [s, i] = [Math.floor(n / STATIONS.length), n % STATIONS.length];
    return s < 2 && i === 0
      ? []
      : [`${row},${toldOf(quiz.stations[i]!.offered, s, i).join('; ') || 'a guess'}`];
  });
  await page.getByRole('button', { name: 'Import a response file' }).click();
  await page.getByLabel('Table').fill(['student,station,genus,epithet,family,went_by', ...told].join('\n'));
  await page.getByRole('button', { name: 'See what it would do' }).click();
  await expect(page.getByRole('status')).toContainText('94 answers');
  await page.getByRole('button', { name: 'Import', exact: true }).click();
  await expect(page.getByText('The answers are imported.')).toBeVisible();
  await place(page, 'Confusions');
  const bands = page.locator('[class*="findings_"] > li').filter({ hasText: 'White bands' });
  await expect(bands).toContainText(/they told of it never on \d+ checklists/);
  await expect(bands).not.toContainText('Can’t tell yet');
  await bands.getByRole('button', { name: /^See the \d+ answers$/ }).click();
  await expect(bands.locator('[class*="answers-behind_"] a').first()).toBeVisible();

  // The same class without reports: a suspicion, and stations that would tell.
  const silent = await ownCourse(page);
  await page.goto(`${hurrow.url}/c/${silent.courseId}/quizzes/${silent.quizId}/run`);
  await page.getByRole('button', { name: 'Import a response file' }).click();
  await page.getByLabel('Table').fill(FILE);
  await page.getByRole('button', { name: 'See what it would do' }).click();
  await page.getByRole('button', { name: 'Import', exact: true }).click();
  await expect(page.getByText('The answers are imported.').last()).toBeVisible();
  await place(page, 'Confusions');
  await expect(page.getByText(/smaller or less sure/)).toBeVisible();
  const suspected = page
    .locator('[class*="findings_"] > li')
    .filter({ hasText: 'Subalpine fir is missed more' });
  await suspected
    .first()
    .getByRole('link', { name: /that ask what they went by/ })
    .click();
  await expect(page.getByText('asks what they went by').first()).toBeVisible();
});
