import sharp from 'sharp';
import { plantCourse, startHurrow, type Caller, type TestHurrow } from '../testing/testHurrow.ts';

let hurrow: TestHurrow;
let owner: Caller;
let red: string;

beforeAll(async () => {
  hurrow = await startHurrow();
  owner = hurrow.owner;
  red = (await plantCourse(owner)).red.id;
});
afterAll(() => hurrow.close());

const path = (query: string) => `/api/library/taxa/${red}/specimen.png?${query}`;

test('a specimen as PNG: the same seed the same picture, another seed another, black lines without color', async () => {
  const one = await owner.download(path('day=200&seed=4'));
  expect((await sharp(one).metadata()).format).toBe('png');
  expect(await owner.download(path('day=200&seed=4'))).toEqual(one);
  expect(await owner.download(path('day=200&seed=5'))).not.toEqual(one);
  const { channels } = await sharp(await owner.download(path('day=200&ink=line'))).stats();
  expect(channels[0]!.mean).toBeCloseTo(channels[1]!.mean, 0);
});

test('what cannot be drawn, a day that is none and a taxon that is not here are said', async () => {
  expect((await owner.get(path('day=15&organs=flower'))).body.message).toContain('Nothing of this specimen');
  expect((await owner.get(path('day=400'))).status).toBe(422);
  expect((await owner.get('/api/library/taxa/none/specimen.png?day=200')).status).toBe(404);
});
