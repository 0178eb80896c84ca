import JSZip from 'jszip';
import sharp from 'sharp';
import type { LessonAnswer } from '@hurrow/contract/lessons';
import { NO_EDITS } from '@hurrow/core/lesson';
import { plantCourse, settingsOf, startHurrow, type Caller, type TestHurrow } from '../testing/testHurrow.ts';

let hurrow: TestHurrow;
let owner: Caller;
let planted: Awaited<ReturnType<typeof plantCourse>>;
let setId: string;

interface CourseAnswer {
  sets: { id: string; title: string; week: number | null; taxa: string[] }[];
  [setting: string]: unknown;
}
const course = async (id = planted.courseId) => (await owner.get<CourseAnswer>(`/api/courses/${id}`)).body;
const at = (id = setId) => `/api/courses/${planted.courseId}/lessons/${id}`;
const lesson = async (caller = owner, id = setId) => caller.get<LessonAnswer>(at(id));
const putList = (sets: object[]) => owner.put(`/api/courses/${planted.courseId}/list`, { sets });

beforeAll(async () => {
  hurrow = await startHurrow();
  owner = hurrow.owner;
  planted = await plantCourse(owner);
  setId = (await course()).sets[0]!.id;
});
afterAll(() => hurrow.close());

test('the lesson of a set has the points of its trees and closes with the recap', async () => {
  const { body } = await lesson();
  expect(body).toMatchObject({ title: 'Maples', week: 1, taxa: [planted.red.id, planted.sugar.id] });
  expect(body.stops.map(({ key }) => key)).toContain(`${planted.red.id}/leaf`);
  expect(body.stops.at(-1)!.kind).toBe('recap');
  expect(body.minutes).toBeGreaterThan(0);
  expect((await owner.get(at('00000000-0000-4000-8000-000000000000'))).status).toBe(404);
});

test('what is changed in it is kept with the set through changes of the list, and goes with a tree into another', async () => {
  const key = `${planted.red.id}/leaf`;
  const edits = {
    ...NO_EDITS,
    reworded: { [key]: { words: 'Three lobes, and red stalks.', from: 'as it was' } },
    notes: { [key]: 'Hold one up.' },
  };
  expect((await owner.put(at(), edits)).status).toBe(200);
  const [kept] = (await course()).sets;
  await putList([{ id: kept!.id, title: 'Maples of the yard', week: 2, taxa: kept!.taxa }]);
  const stop = (await lesson()).body.stops.find((each) => each.key === key)!;
  expect(stop).toMatchObject({ words: 'Three lobes, and red stalks.', outdated: true, note: 'Hold one up.' });

  await putList([
    { id: kept!.id, title: 'Sugar', week: 2, taxa: [planted.sugar.id] },
    { title: 'Red', week: 3, taxa: [planted.red.id] },
  ]);
  const red = (await course()).sets[1]!;
  expect((await lesson(owner, red.id)).body.stops.find((each) => each.key === key)!.note).toBe(
    'Hold one up.',
  );
  await putList([{ id: kept!.id, title: 'Maples', week: 1, taxa: [planted.red.id, planted.sugar.id] }]);
  expect((await lesson()).body.edits.notes[key]).toBe('Hold one up.');
});

test('a course that calls its trees in German has its lessons, slides and handouts in German', async () => {
  const settings = await settingsOf(owner, planted.courseId);
  const call = async (namesIn: string | null) =>
    expect((await owner.put(`/api/courses/${planted.courseId}`, { ...settings, namesIn })).status).toBe(200);
  await call('de');
  const { body } = await lesson();
  expect(body.stops.map(({ title }) => title)).toEqual(expect.arrayContaining(['Name', 'Blatt']));
  expect(body.stops.find(({ key }) => key === `${planted.sugar.id}/leaf`)!.words).toMatch(/^Blätter /);
  const deck = await JSZip.loadAsync(await owner.download(`${at()}/slides.pptx?shape=wide`));
  expect(await deck.file('ppt/slides/slide1.xml')!.async('string')).toContain('Woche 1');
  expect(
    (await owner.download(`${at()}/handout.pdf?paper=a4&audience=course`)).subarray(0, 4).toString(),
  ).toBe('%PDF');
  await call(null);
  expect((await lesson()).body.stops.map(({ title }) => title)).toContain('Leaf');
});

test('a set that is not on the list cannot be saved under its id', async () => {
  const answer = await putList([
    { id: '00000000-0000-4000-8000-000000000000', title: 'Gone', week: 1, taxa: [] },
  ]);
  expect(answer).toMatchObject({
    status: 422,
    body: { message: expect.stringContaining('taken off the list') as string },
  });
  expect((await course()).sets[0]!.title).toBe('Maples');
});

test('students see the lesson of a week that has begun, where the course opens lessons, without notes', async () => {
  const student = hurrow.caller();
  await student.post('/api/session/student', { courseCode: planted.code, personalCode: 'rowan1' });
  expect((await lesson(student)).status).toBe(404);
  const {
    sets: _sets,
    students: _students,
    quizzes: _quizzes,
    role: _role,
    id: _id,
    code: _code,
    ...settings
  } = await course();
  await owner.put(`/api/courses/${planted.courseId}`, { ...settings, opens: ['lessons'] });
  const { body, status } = await lesson(student);
  expect(status).toBe(200);
  expect(JSON.stringify(body)).not.toContain('Hold one up.');
  expect(JSON.stringify(body)).not.toContain('as it was');
  await putList([{ id: setId, title: 'Maples', week: 12, taxa: [planted.red.id, planted.sugar.id] }]);
  expect((await lesson(student)).status).toBe(404);
  await putList([{ id: setId, title: 'Maples', week: 1, taxa: [planted.red.id, planted.sugar.id] }]);
});

test('slides and handout are made of it', async () => {
  const slides = await owner.get<{ text: string }>(`${at()}/slides.pptx?shape=classic`);
  expect(slides.headers.get('content-type')).toContain('presentationml');
  expect(slides.headers.get('content-disposition')).toContain('maples.pptx');
  expect(slides.body.text.startsWith('PK')).toBe(true);
  const handout = await owner.get<{ text: string }>(`${at()}/handout.pdf?paper=a4&audience=plain`);
  expect(handout.body.text.startsWith('%PDF')).toBe(true);
});

test('a copy of a course has its list and lessons, and none of its students or quizzes', async () => {
  const { body } = await owner.post<{ id: string }>(`/api/courses/${planted.courseId}/copy`, {
    name: 'Maples next year',
    startsOn: '2027-08-30',
  });
  const copy = await course(body.id);
  expect(copy).toMatchObject({ name: 'Maples next year', startsOn: '2027-08-30', students: [], quizzes: [] });
  expect(copy['code']).not.toBe(planted.code);
  const [set] = copy.sets;
  const copied = await owner.get<LessonAnswer>(`/api/courses/${body.id}/lessons/${set!.id}`);
  expect(copied.body.edits.notes[`${planted.red.id}/leaf`]).toBe('Hold one up.');
});

describe('photos in the place of drawings', () => {
  const key = () => `${planted.red.id}/leaf`;
  let photoId: string;
  let student: Caller;
  const ofLesson = (id = photoId) => `${at()}/photos/${id}`;
  const said = {
    organ: 'bark',
    qualifiers: {},
    annotations: [],
    position: { latitude: 47.1, longitude: -116.2 },
  };
  const describePhoto = async (record: object) => {
    const baseRevision = (await owner.get<{ revision: number }>(`/api/library/taxa/${planted.red.id}/photos`))
      .body.revision;
    return owner.put(`/api/library/photos/${photoId}`, { record: { ...said, ...record }, baseRevision });
  };

  beforeAll(async () => {
    const picture = await sharp({ create: { width: 800, height: 600, channels: 3, background: '#557755' } })
      .jpeg()
      .toBuffer();
    const sent = await owner.upload<{ id: string }>(
      `/api/library/taxa/${planted.red.id}/photos`,
      picture,
      'image/jpeg',
    );
    photoId = sent.body.id;
    await describePhoto({ credit: '', licence: '' });
    const { edits } = (await lesson()).body;
    await owner.put(at(), { ...edits, pictures: { [key()]: [photoId] } });
    student = hurrow.caller();
    await student.post('/api/session/student', { courseCode: planted.code, personalCode: 'rowan1' });
  });

  test('those who teach may choose among all photos of its trees', async () => {
    const { body } = await lesson();
    expect(body.photos).toMatchObject([{ id: photoId, taxonId: planted.red.id, width: 800 }]);
    expect(body.stops.find((stop) => stop.key === key())!.photos).toEqual([photoId]);
    expect((await owner.get(ofLesson())).headers.get('content-type')).toBe('image/webp');
  });

  test('without credit and licence one stays with those who teach', async () => {
    expect((await lesson(student)).body.photos).toEqual([]);
    expect((await student.get(ofLesson())).status).toBe(404);
    expect(await imagesOnSlides()).toBe(0);
  });

  test('with both it is on the students’ page, on slides and on paper, without the place where it was taken', async () => {
    expect((await describePhoto({ credit: 'E. Ash', licence: 'CC BY 4.0', scale: 0.0001 })).status).toBe(200);
    const { photos } = (await lesson(student)).body;
    expect(photos.map(({ record }) => record.credit)).toEqual(['E. Ash']);
    expect(JSON.stringify(photos)).not.toContain('latitude');
    expect((await student.get(ofLesson())).status).toBe(200);
    expect(await imagesOnSlides()).toBe(1);
    const handout = await owner.get<{ text: string }>(`${at()}/handout.pdf`);
    expect(handout.body.text).toContain('/DCTDecode');
  });

  test('one that stands on a hidden point, or on none, is not told of', async () => {
    const { edits } = (await lesson()).body;
    await owner.put(at(), { ...edits, hidden: [key()] });
    expect((await student.get(ofLesson())).status).toBe(404);
    await owner.put(at(), { ...edits, pictures: {} });
    expect((await student.get(ofLesson())).status).toBe(404);
    expect((await owner.get(ofLesson('00000000-0000-4000-8000-000000000000'))).status).toBe(404);
    const three = [1, 2, 3].map((n) => `00000000-0000-4000-8000-00000000000${n}`);
    expect((await owner.put(at(), { ...edits, pictures: { [key()]: three } })).status).toBe(422);
  });

  /** Photographs among the pictures of the slides: drawings are PNG. */
  async function imagesOnSlides(): Promise<number> {
    const file = await owner.download(`${at()}/slides.pptx`);
    const names = Object.keys((await JSZip.loadAsync(file)).files);
    return names.filter((name) => name.endsWith('.jpeg') || name.endsWith('.jpg')).length;
  }
});

describe('lessons about characters', () => {
  const of = (about: string) => `/api/courses/${planted.courseId}/characters/${about}`;
  test('go on slides, where each specimen is asked before it is told, and on paper', async () => {
    const slides = await JSZip.loadAsync(await owner.download(`${of('leaf.shape')}/slides.pptx?shape=wide`));
    const texts = await Promise.all(
      Object.keys(slides.files)
        .filter((name) => /slides\/slide\d+\.xml$/.test(name))
        .map((name) => slides.files[name]!.async('string')),
    );
    expect(texts.filter((text) => text.includes('What do you see')).length).toBe(10);
    expect(texts.filter((text) => text.includes('Call it: 1 of 10'))).toHaveLength(2);
    const handout = await owner.get<{ text: string }>(`${of('leaf.shape')}/handout.pdf?paper=a4&round=2`);
    expect(handout.body.text.startsWith('%PDF')).toBe(true);
  });
  test('are none where the list does not differ', async () => {
    expect((await owner.get(`${of('leaf.nothing')}/handout.pdf`)).status).toBe(404);
    expect((await owner.get(`${of('leaf.shape')}/handout.pdf?round=0`)).status).toBe(422);
  });
});
