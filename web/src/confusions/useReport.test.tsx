import type { ClassReport, ConfusionData } from '@hurrow/contract/confusions';
import { hookOnPage } from '../testing/page.tsx';
import { refusal, standIn, type Answers } from '../testing/server.ts';
import { course, USUAL } from '../testing/taught.ts';
import { cautionOf, heldClass, reteachingOf } from './reteaching.ts';
import { capital, counted, percent, percentRange, signed, useNames } from './useNames.ts';
import { useReport } from './useReport.ts';
import { useSince } from './useSince.ts';

const ASK = 'GET /api/courses/{courseId}/confusions/report';
const HOW_FAR = 'GET /api/courses/{courseId}/confusions/report/{key}';
const STOP = 'POST /api/courses/{courseId}/confusions/report/stop';
const REPORT = { fairness: [] } as unknown as ClassReport;
const asked = (report: ClassReport | null) => ({ key: 'k', report }) as never;
const far = (share: number) => ({ computing: { share, step: 'fit' } }) as never;

function reporting(more: Answers = {}) {
  const server = standIn({ ...USUAL, ...more });
  return { server, page: hookOnPage(() => useReport('course', 'then' as never, 'with')) };
}

test('a report that is there is shown at once, and asked for with what it rests on', async () => {
  const { server, page } = reporting({ [ASK]: asked(REPORT) });
  await page.until(({ report }) => report !== undefined);
  expect(server.asked.find(({ call }) => call === ASK)!.query.toString()).toBe('scores=then&earlier=with');
  expect(page.now().working).toBe(false);
});

test('one that is being worked out is waited for, with how far it is', async () => {
  let times = 0;
  const { page } = reporting({
    [ASK]: () => asked(times > 1 ? REPORT : null),
    [HOW_FAR]: () => ((times += 1) > 1 ? ({ computing: null } as never) : far(0.4)),
  });
  await page.until(({ progress }) => progress !== undefined);
  expect(page.now().progress).toMatchObject({ key: 'k', share: 0.4 });
  await page.until(({ report }) => report !== undefined);
});

test('one that never comes fails with what to do, and can be asked for again', async () => {
  const { server, page } = reporting({ [ASK]: asked(null), [HOW_FAR]: { computing: null } as never });
  await page.until(({ error }) => error !== null);
  expect(page.now().error!.message).toBe(
    'The confusions could not be worked out. Reload the page and try again.',
  );
  server.answer(ASK, asked(REPORT));
  await page.does(({ again }) => again());
  await page.until(({ report }) => report !== undefined);
});

test('stopped, the server is told which computation', async () => {
  const { server, page } = reporting({ [ASK]: asked(null), [HOW_FAR]: far(0.1), [STOP]: {} as never });
  await page.until(({ progress }) => progress !== undefined);
  await page.does(({ stop }) => stop());
  expect(server.sent(STOP)).toEqual([{ key: 'k' }]);
});

test('trees, characters and states are named as the course says them, and unknown ones by their ids', async () => {
  standIn({ ...USUAL, 'GET /api/courses/{courseId}': course({ audience: 'plain' }) });
  const page = hookOnPage(() => useNames('course'));
  await page.until(({ taxon }) => taxon('acer-rubrum') === 'red maple');
  expect(page.now().taxon('gone')).toBe('gone');
  expect(page.now().character('gone')).toBe('gone');
  await page.until(({ character }) => character('twig.arrangement') !== 'arrangement');
  expect(page.now().state('twig.arrangement', 'opposite')).not.toBe('opposite');
  expect(page.now().state('twig.arrangement', 'gone')).toBe('gone');
});

test('figures are said alike everywhere', () => {
  expect([capital('bud'), percent(0.234), percentRange([0.23, 0.381])]).toEqual(['Bud', '23 %', '23–38 %']);
  expect([signed(-3.4), signed(0.2), signed(12)]).toEqual(['−3', '0', '12']);
  expect([counted(1, 'pair'), counted(1200, 'pair'), counted(2, 'quiz', 'quizzes')]).toEqual([
    '1 pair',
    '1,200 pairs',
    '2 quizzes',
  ]);
});

const station = (id: string, more = {}) => ({
  id,
  quizId: id === 's1' ? 'before' : 'after',
  truth: 'a',
  view: { organs: ['twig'] },
  voided: false,
  leftOut: false,
  ...more,
});
const data = (more: Partial<ConfusionData> = {}): ConfusionData =>
  ({
    stations: [
      station('s1'),
      station('s2'),
      station('s3', { voided: true }),
      station('s4', { leftOut: true }),
    ],
    answers: [],
    quizzes: [
      { id: 'before', heldOn: '2026-09-20' },
      { id: 'after', heldOn: '2026-10-15' },
    ],
    reteachings: [],
    ...more,
  }) as unknown as ConfusionData;

test('stations that do not count are no part of what a class is held to', () => {
  const held = heldClass(data(), { fairness: [{ stationId: 's2', taken: ['b'] }] } as never);
  expect(held.stations.map(({ id }) => id)).toEqual(['s1', 's2']);
  expect(held.stations[1]).toMatchObject({ taken: ['b'], organs: ['twig'] });
  expect(held.heldOn.get('after')).toBe('2026-10-15');
});

test('only what was taught again has a verdict, by the last time it was, whichever is named first', () => {
  expect(reteachingOf(data(), undefined, 'a', 'b')).toBeUndefined();
  const taught = (taughtOn: string) => ({ a: 'b', b: 'a', taughtOn, students: null });
  const twice = data({ reteachings: [taught('2026-09-25'), taught('2026-10-01')] as never });
  expect(reteachingOf(twice, undefined, 'a', 'b')).toBeDefined();
  expect(reteachingOf(twice, undefined, 'a', 'c')).toBeUndefined();
});

test('on its page a verdict waits for the report, and does without one that cannot be had', async () => {
  const taught = { a: 'a', b: 'b', taughtOn: '2026-10-01', students: null };
  const held = data({ reteachings: [taught] as never });
  const since = (answers: Answers) => {
    const server = standIn({ ...USUAL, ...answers });
    return { server, page: hookOnPage(() => useSince('course', held, 'a', 'b')) };
  };
  let ready = false;
  const { server, page } = since({
    [ASK]: () => asked(ready ? REPORT : null),
    [HOW_FAR]: () => (ready ? ({ computing: null } as never) : far(0.4)),
  });
  await page.until(() => server.asked.some(({ call }) => call === HOW_FAR));
  expect(page.now()).toBeUndefined();
  ready = true;
  await page.until((said) => said?.taughtOn === '2026-10-01');
  const { page: without } = since({ [ASK]: refusal('conflict', 'Not now') });
  await without.until((said) => said?.verdict === 'too few to say');
});

test('a verdict says what has to be borne in mind with it, and nothing where there is nothing', () => {
  expect(cautionOf({ specimens: 'as hard', otherOrgans: [] } as never)).toBe('');
  const said = cautionOf({ specimens: 'easier', otherOrgans: ['bark'] } as never);
  expect(said).toMatch(/^The later specimens were easier to tell by the evidence/);
  expect(said).toMatch(/was seen only once\.$/);
});
