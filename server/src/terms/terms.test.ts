import type { Prospects, TermProposal } from '@hurrow/core/term';
import { plantCourse, startHurrow, type Caller, type TestHurrow } from '../testing/testHurrow.ts';

let hurrow: TestHurrow;
let owner: Caller;
let planted: Awaited<ReturnType<typeof plantCourse>>;
beforeAll(async () => {
  hurrow = await startHurrow();
  owner = hurrow.owner;
  planted = await plantCourse(owner);
});
afterAll(() => hurrow.close());

const wishes = {
  from: 1,
  to: 5,
  closed: [],
  least: 1,
  most: 1,
  pace: 'weekly',
  lookalikes: 'apart',
  pins: [],
};
const post = <T>(what: string, body: object) =>
  owner.post<T>(`/api/courses/${planted.courseId}/term/${what}`, body);

test('what a list offers is told week by week', async () => {
  const { body } = await post<Prospects>('prospects', { taxa: [planted.red.id, planted.sugar.id] });
  expect(body.taxa).toEqual([planted.red.id, planted.sugar.id]);
  expect(body.seen[0]).toHaveLength(body.weeks.length);
  const answer = await post('prospects', { taxa: ['quercus-nowhere'] });
  expect(answer).toMatchObject({
    status: 422,
    body: { message: expect.stringContaining('Take it off') as string },
  });
});

test('a proposal keeps the wishes; one that cannot be made says what to do', async () => {
  const taxa = [planted.red.id, planted.sugar.id];
  const pins = [{ taxonId: planted.red.id, week: 2 }];
  const { body } = await post<TermProposal>('proposal', { taxa, wishes: { ...wishes, pins } });
  expect(body.plan[planted.red.id]).toBe(2);
  expect(body.plan[planted.sugar.id]).not.toBe(2);
  const closed = await post('proposal', { taxa, wishes: { ...wishes, to: 2, closed: [1, 2] } });
  expect(closed).toMatchObject({
    status: 422,
    body: { message: expect.stringContaining('Open a week') as string },
  });
  const late = await post('proposal', { taxa, wishes: { ...wishes, to: 40 } });
  expect(late.body.message).toContain('The course has');
});

test('sets and quizzes are written as a calendar, a whole day each', async () => {
  const { body, headers } = await owner.get<{ text: string }>(`/api/courses/${planted.courseId}/term.ics`);
  expect(headers.get('content-type')).toContain('text/calendar');
  expect(body.text).toMatch(/^BEGIN:VCALENDAR/);
  expect(body.text.match(/BEGIN:VEVENT/g)).toHaveLength(2);
  expect(body.text).toContain('SUMMARY:Maples (week 1)');
  expect(body.text).toContain('DTSTART;VALUE=DATE:20260910');
});
