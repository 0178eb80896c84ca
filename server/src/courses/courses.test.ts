import { randomUUID } from 'node:crypto';
import { plantCourse, startHurrow, type Caller, type TestHurrow } from '../testing/testHurrow.ts';
import { slipAddress } from '../prints/slipSheet.ts';
import { readableCode } from './codes.ts';

interface CourseAnswer {
  id: string;
  code: string;
  students: { id: string; name: string; code: string }[];
  sets: { title: string; week: number | null; taxa: string[] }[];
  quizzes: { title: string; state: string; stations: number; students: number }[];
}

let hurrow: TestHurrow;
let owner: Caller;
let planted: Awaited<ReturnType<typeof plantCourse>>;
beforeAll(async () => {
  hurrow = await startHurrow();
  owner = hurrow.owner;
  planted = await plantCourse(owner);
});
afterAll(() => hurrow.close());

const course = async () => (await owner.get<CourseAnswer>(`/api/courses/${planted.courseId}`)).body;
const settings = {
  name: 'Young tree team',
  startsOn: '2026-09-01',
  weeks: 10,
  audience: 'plain',
  units: 'imperial',
  marking: { policy: 'common', points: { name: 2, genus: 1, epithet: 1, family: 1 }, deduction: 0.5 },
  latitude: 47,
  longitude: -116,
  elevation: 800,
};

test('a course shows its sets in order, its students by name, its quizzes by date', async () => {
  expect(await course()).toMatchObject({
    sets: [{ title: 'Maples', week: 1, taxa: [planted.red.id, planted.sugar.id] }],
    students: [{ name: 'Rowan Achterberg' }, { name: 'Selma Idowu' }],
    quizzes: [{ title: 'Quiz 1', state: 'planned', stations: 2, students: 0 }],
  });
});

test('each course has a code of its own', async () => {
  const made = (await owner.post<{ id: string }>('/api/courses', settings)).body.id;
  const other = (await owner.get<CourseAnswer>(`/api/courses/${made}`)).body;
  expect(other.code).not.toBe((await course()).code);
  expect(other.code).toMatch(/^[A-HJKMNP-Z2-9]{5}$/);
});

test.each([
  [{ startsOn: '2026-13-01' }, 'is no date'],
  [{ weeks: 0 }, 'Weeks'],
  [{ latitude: 123 }, 'Latitude'],
  [{ name: '  ' }, 'Name of the course'],
  [{ audience: 'loud' }, 'Audience'],
])('settings %j are refused with what is wrong', async (wrong, message) => {
  const answer = await owner.post('/api/courses', { ...settings, ...wrong });
  expect(answer).toMatchObject({
    status: 422,
    body: { message: expect.stringContaining(message) as string },
  });
});

test('the list takes each species once, and only those of the library', async () => {
  const put = (taxa: string[][]) =>
    owner.put(`/api/courses/${planted.courseId}/list`, {
      sets: taxa.map((each, i) => ({ title: `Set ${i}`, week: null, taxa: each })),
    });
  expect((await put([[planted.red.id], [planted.red.id]])).body.message).toContain('stands in two sets');
  expect((await put([['quercus-nowhere']])).body.message).toContain('Add it to the library first');
  expect((await course()).sets[0]!.taxa).toHaveLength(2);
  expect((await put([[planted.sugar.id], [planted.red.id]])).status).toBe(200);
  expect((await course()).sets.map((set) => set.taxa)).toEqual([[planted.sugar.id], [planted.red.id]]);
});

test('a course that is none is said so', async () => {
  expect(await owner.get('/api/courses/nonsense')).toMatchObject({
    status: 404,
    body: { message: expect.stringContaining('no such course') as string },
  });
});

test('codes are readable: no letter that is taken for a digit', () => {
  for (let i = 0; i < 200; i += 1) expect(readableCode(8)).toMatch(/^[A-HJKMNP-Z2-9]{8}$/);
});

test('a personal code that is taken is refused, the rest of the class list is kept', async () => {
  const { body } = await owner.post(`/api/courses/${planted.courseId}/students/import`, {
    csv: 'name,code\nTomas Ek,rowan1\nUna Vik,',
    dryRun: false,
  });
  expect(body).toMatchObject({
    added: ['Una Vik'],
    refused: [{ line: 2, message: expect.stringContaining('is taken') as string }],
  });
  expect((await course()).students.map((student) => student.name)).toEqual([
    'Rowan Achterberg',
    'Selma Idowu',
    'Una Vik',
  ]);
});

test('a whole class submitting at once: every answer is acknowledged and stored', async () => {
  const size = 60;
  const roster = Array.from({ length: size }, (_, i) => `Student ${i},CLASS${i}`);
  await owner.post(`/api/courses/${planted.courseId}/students/import`, {
    csv: `name,code\n${roster.join('\n')}`,
    dryRun: false,
  });
  await owner.post(`/api/quizzes/${planted.quizId}/open`);
  const { code } = await course();
  const phones = await Promise.all(
    Array.from({ length: size }, async (_, i) => {
      const phone = hurrow.caller();
      await phone.post('/api/session/student', { courseCode: code, personalCode: `CLASS${i}` });
      return phone;
    }),
  );
  const { open } = (await phones[0]!.get<{ open: { stations: { id: string }[] }[] }>('/api/sit')).body;
  const stations = open[0]!.stations;
  const answers = await Promise.all(
    phones.map((phone, i) =>
      phone.post<{ received: string[] }>('/api/sit/responses', {
        responses: stations.map((station, k) => ({
          id: randomUUID(),
          stationId: station.id,
          answer: { genus: 'Acer', epithet: i % 2 ? 'rubrum' : 'saccharum' },
          device: 'phone',
          sequence: k + 1,
          writtenAt: '2026-10-15T16:00:00Z',
        })),
      }),
    ),
  );
  expect(answers.flatMap((answer) => answer.body.received)).toHaveLength(size * stations.length);
  const [{ n }] = (await hurrow.db.query<{ n: number }>('select count(*)::int as n from response')) as [
    { n: number },
  ];
  expect(n).toBe(size * stations.length);
  expect((await course()).quizzes[0]!.students).toBe(size);
});

describe('codes', () => {
  test('a new personal code closes what the old one opened', async () => {
    const hurrow = await startHurrow();
    const planted = await plantCourse(hurrow.owner);
    const course = (
      await hurrow.owner.get<{ students: { id: string; code: string }[] }>(`/api/courses/${planted.courseId}`)
    ).body;
    const rowan = course.students.find(({ code }) => code === 'ROWAN1')!;
    const signIn = async (personalCode: string) => {
      const caller = hurrow.caller();
      return {
        caller,
        ...(await caller.post('/api/session/student', { courseCode: planted.code, personalCode })),
      };
    };
    const before = await signIn('ROWAN1');
    const path = `/api/courses/${planted.courseId}/students/${rowan.id}/code`;
    const { code } = (await hurrow.owner.post<{ code: string }>(path)).body;
    expect((await before.caller.get('/api/sit')).status).toBe(401);
    expect((await signIn('ROWAN1')).status).toBe(401);
    expect((await signIn(code)).status).toBe(200);
    await hurrow.close();
  });

  test('slips are printed for a class, and an address that is none is refused', async () => {
    const hurrow = await startHurrow();
    const { courseId } = await plantCourse(hurrow.owner);
    const at = encodeURIComponent('http://192.168.1.20:4680');
    const pdf = await hurrow.owner.download(`/api/prints/slips.pdf?courseId=${courseId}&at=${at}`);
    expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
    const refused = await hurrow.owner.get(`/api/prints/slips.pdf?courseId=${courseId}&at=nowhere`);
    expect([refused.status, refused.body.message]).toEqual([422, expect.stringContaining('“Address”')]);
    expect(slipAddress('http://a:1/', 'MAPLE', 'R1')).toBe('http://a:1/#MAPLE/R1');
    await hurrow.close();
  });
});
