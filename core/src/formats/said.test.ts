import { saidTo, type FrozenQuestion } from '../station/index.ts';
import { readResponses, readSaid } from './index.ts';

const arrangement: FrozenQuestion = {
  kind: 'state',
  about: 'twig.arrangement',
  asked: { term: 'Arrangement: which is it here?', plain: 'Leaves and buds on the twig: which is it here?' },
  offered: [
    { id: 'alternate', term: 'alternate', plain: 'one at a time' },
    { id: 'opp', term: 'opposite', plain: 'in pairs across' },
  ],
  right: ['opp'],
};
const family: FrozenQuestion = { ...arrangement, kind: 'family', about: '', offered: [], right: [] };

test('what was chosen is read by its term, its plain words or its id; what is written stays as it is', () => {
  for (const text of ['opposite', ' In  pairs across', 'opp'])
    expect(readSaid(text, arrangement)).toEqual({ ok: true, value: { said: 'opp' } });
  expect(readSaid('', arrangement)).toEqual({ ok: true, value: { said: '' } });
  expect(readSaid('whorled', arrangement)).toMatchObject({
    ok: false,
    problem: expect.stringContaining('alternate, opposite'),
  });
  expect(readSaid('pine family', family)).toEqual({ ok: true, value: { family: 'pine family' } });
  expect(readSaid('3 cm', { ...family, kind: 'number' })).toEqual({ ok: true, value: { said: '3 cm' } });
});

test('a file answers what each station asks, and says by row what it cannot', () => {
  const read = readResponses(
    'student,station,answer,family\nAva,1,opposite,\nAva,2,,Pinaceae\nBo,1,round,\nBo,2,Pinaceae,',
    {
      students: [
        { id: 'a', name: 'Ava', code: 'X1' },
        { id: 'b', name: 'Bo', code: 'X2' },
      ],
      stations: [
        { id: 's1', position: 1, asking: arrangement },
        { id: 's2', position: 2, asking: family },
      ],
      list: [],
    },
  );
  if (!read.ok) throw new Error(read.problem);
  expect(read.value.rows.map(({ answer }) => answer)).toEqual([
    { said: 'opp' },
    { family: 'Pinaceae' },
    { family: 'Pinaceae' },
  ]);
  expect(read.value.problems).toEqual([{ line: 4, message: expect.stringContaining('“round”') }]);
  expect(read.value.unknown).toEqual([]);
});

test('several specimens are called by their letters, or in their order', () => {
  const sorted: FrozenQuestion = {
    kind: 'sort',
    about: 'twig.arrangement',
    asked: { term: '', plain: '' },
    offered: [
      { id: 'opposite', term: 'Opposite', plain: 'In pairs' },
      { id: 'alternate', term: 'Alternate', plain: 'One by one' },
    ],
    right: ['opposite', 'alternate', 'alternate', 'opposite'],
    items: Array.from({ length: 4 }, () => ({ taxonId: 'x', seed: 1 })),
  };
  const said = (text: string) => {
    const read = readSaid(text, sorted);
    return read.ok ? read.value.said : read.problem;
  };
  expect(said('A opposite, B: one by one; d In pairs')).toBe('opposite alternate - opposite');
  expect(said('opposite, alternate, -, opposite')).toBe('opposite alternate - opposite');
  expect(said(saidTo(sorted, { said: 'opposite alternate - opposite' }))).toBe(
    'opposite alternate - opposite',
  );
  expect(said('')).toBe('');
  expect(said('A whorled')).toMatch(/“A whorled” cannot be read.* A to D, each Opposite or Alternate/);
  expect(said('E opposite')).toMatch(/cannot be read/);
});
