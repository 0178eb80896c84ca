import { readLibrary, type Library } from '@hurrow/core/library';
import { KeptLibrary } from './keptLibrary.ts';

const library = (): Library => ({
  reference: { latitude: 47, longitude: -116, elevation: 800 },
  sources: [],
  reconciliation: { rule: 'preferred', order: [] },
  characters: [],
  taxa: [],
});

test('a library is fetched once, and again where it is another with the same number', async () => {
  const asked: number[] = [];
  const kept = new KeptLibrary((revision) => {
    asked.push(revision);
    return Promise.resolve(readLibrary(library()));
  });
  const first = await kept.of({ revision: 7, tag: 'a' });
  expect(await kept.of({ revision: 7, tag: 'a' })).toBe(first);
  // The list that is open to a student has grown: the revision is the same, what may be seen of it is not.
  expect(await kept.of({ revision: 7, tag: 'b' })).not.toBe(first);
  await kept.of({ revision: 8, tag: 'c' });
  expect(asked).toEqual([7, 7, 8]);
});

test('what could not be fetched is asked for again', async () => {
  let down = true;
  const kept = new KeptLibrary(() =>
    down ? Promise.reject(new Error('No connection')) : Promise.resolve(readLibrary(library())),
  );
  await expect(kept.of({ revision: 1, tag: '' })).rejects.toThrow('No connection');
  down = false;
  expect((await kept.of({ revision: 1, tag: '' })).profiles).toEqual([]);
});
