import { BUILT_IN } from '../vocabulary/index.ts';
import { GUESS, WHOLE_LOOK } from '../station/index.ts';
import { readResponses } from './index.ts';
import { readWentBy } from './wentBy.ts';

const offered = ['needle.bands', 'bud.shape', 'leaf.shape', 'leaf.base', 'bud.scales'].map((id) =>
  BUILT_IN.get(id)!,
);
const read = (text: string) => {
  const found = readWentBy(text, offered);
  return found.ok ? found.value : found.problem;
};

test('a line is read by terms, plain words and ids, however it is parted', () => {
  expect(read('leaf base; bud scales')).toEqual(['leaf.base', 'bud.scales']);
  expect(read('base, and bud scales')).toEqual(['leaf.base', 'bud.scales']);
  expect(read('Base and the shape of the bud')).toEqual(['leaf.base', 'bud.shape']);
  expect(read('needle.bands')).toEqual(['needle.bands']);
  expect(read(BUILT_IN.get('needle.bands')!.plain)).toEqual(['needle.bands']);
  expect(read('bands')).toEqual(['needle.bands']);
  expect(read('')).toEqual([]);
  expect(read('base; base')).toEqual(['leaf.base']);
});

test('the whole look and a guess are told too', () => {
  expect(read('the whole look of it')).toEqual([WHOLE_LOOK]);
  expect(read('Guess')).toEqual([GUESS]);
});

test('what is doubtful, strange or too much is said, with what could stand there', () => {
  expect(read('shape')).toMatch(/“shape” could be bud shape or leaf shape. Write which/);
  expect(read('the wind')).toMatch(
    /nothing that this station offers.*white bands; bud shape;.*base.*a guess/,
  );
  expect(read('leaf base; bud scales; bud shape; leaf shape')).toContain('up to 3 count');
  expect(readWentBy('base', [])).toMatchObject({ problem: expect.stringContaining('does not ask') });
});

test('a file of answers may have a column of what was gone by; a line that cannot be read is refused whole', () => {
  const table = readResponses(
    'student,station,answer,went_by\nAda,1,Abies,leaf base\nBo,1,Abies,the wind\n',
    {
      students: [
        { id: 's1', name: 'Ada', code: 'A1' },
        { id: 's2', name: 'Bo', code: 'B1' },
      ],
      stations: [{ id: 'st', position: 1, offered }],
      list: [],
    },
  );
  expect(table).toMatchObject({
    value: {
      rows: [{ studentId: 's1', answer: { name: 'Abies', wentBy: ['leaf.base'] } }],
      problems: [{ line: 3, message: expect.stringContaining('the wind') }],
    },
  });
});
