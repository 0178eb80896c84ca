import { BUILT_IN } from '../vocabulary/index.ts';
import { GUESS, WHOLE_LOOK } from '../station/index.ts';
import { readResponses } from './index.ts';
import { readWentBy, toldOf, wordsKey } from './wentBy.ts';

const offered = ['needle.bands', 'bud.shape', 'leaf.shape', 'leaf.base', 'bud.scales'].map((id) =>
  BUILT_IN.get(id)!,
);
const read = (text: string) => {
  const found = readWentBy(text, offered);
  return found.ok ? found.value.told : found.problem;
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

test('what is doubtful or strange waits for a ruling, with what could stand there', () => {
  expect(readWentBy('shape; Base; the wind', offered)).toEqual({
    ok: true,
    value: {
      told: ['leaf.base'],
      unread: ['shape', 'the wind'],
      doubts: [
        expect.stringMatching(/“shape” could be bud shape or leaf shape. Write which/),
        expect.stringMatching(/nothing that this station offers.*white bands; bud shape;.*base.*a guess/),
      ],
    },
  });
  expect(readWentBy('The wind; wind', offered)).toMatchObject({ value: { unread: ['The wind'] } });
});

test('too much, too long and what nobody asked is refused', () => {
  expect(read('leaf base; bud scales; bud shape; the wind')).toContain('tells of 4 things; up to 3 count');
  expect(read('x'.repeat(81))).toContain('too long');
  expect(readWentBy('base', [])).toMatchObject({ problem: expect.stringContaining('does not ask') });
});

test('words count as what they were ruled to be, if the station offered it', () => {
  const ruled = new Map<string, string | null>([
    [wordsKey('the pointy tips'), 'bud.shape'],
    [wordsKey('feel'), null],
  ]);
  const told = (wentByUnread: string[], wentBy: string[] = [], ids = ['bud.shape', 'leaf.base']) =>
    toldOf({ wentBy, wentByUnread }, ids, ruled);
  expect(told(['Pointy tip', 'feel', 'wind'], ['leaf.base'])).toEqual(['leaf.base', 'bud.shape']);
  expect(told(['pointy tips'], ['bud.shape'])).toEqual(['bud.shape']);
  expect(told(['pointy tips'], [], ['leaf.base'])).toEqual([]);
  expect(told([], [GUESS])).toEqual([GUESS]);
});

test('a file of answers may have a column of what was gone by; words that cannot be read are kept and named', () => {
  const table = readResponses(
    'student,station,answer,went_by\nAda,1,Abies,leaf base\nBo,1,Abies,the wind\nCy,1,Abies,base; scales; bud shape; wind\n',
    {
      students: [
        { id: 's1', name: 'Ada', code: 'A1' },
        { id: 's2', name: 'Bo', code: 'B1' },
        { id: 's3', name: 'Cy', code: 'C1' },
      ],
      stations: [{ id: 'st', position: 1, offered }],
      list: [],
    },
  );
  expect(table).toMatchObject({
    value: {
      rows: [
        { studentId: 's1', answer: { name: 'Abies', wentBy: ['leaf.base'] } },
        { studentId: 's2', answer: { name: 'Abies', wentByUnread: ['the wind'] } },
      ],
      problems: [{ line: 4, message: expect.stringContaining('up to 3 count') }],
    },
  });
  const { unknown } = (table as { value: { unknown: { line: number; message: string }[] } }).value;
  expect(unknown.some(({ line, message }) => line === 3 && /the wind.*rule on it/.test(message))).toBe(true);
});
