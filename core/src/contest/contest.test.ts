import fc from 'fast-check';
import { oddEntries, ownPlace, readEntries, standings, type Entrant } from './index.ts';

const entrant = (name: string, points: number[], more: Partial<Entrant> = {}): Entrant => ({
  id: name.toLowerCase(),
  name,
  team: '',
  division: '',
  points: points.reduce((sum, n) => sum + n, 0),
  byStation: Object.fromEntries(points.map((n, i) => [i + 1, n])),
  whole: points.filter((n) => n === 2).length,
  ...more,
});
const ranked = (entrants: Entrant[], tieBreaks: number[] = [], best = 0) =>
  standings(entrants, { best, tieBreaks });
const places = (of: { name: string; place: number }[]) => of.map(({ name, place }) => `${place} ${name}`);

test('points rank, ties go to the declared stations in their order, and it is said which decided', () => {
  const [only] = ranked(
    [entrant('Ava', [2, 0, 1]), entrant('Bo', [0, 2, 1]), entrant('Cy', [2, 2, 2])],
    [3, 2],
  );
  expect(places(only!.entrants)).toEqual(['1 Cy', '2 Bo', '3 Ava']);
  expect(only!.entrants.map(({ by }) => by)).toEqual(['', 'station 2', 'station 2']);
});

test('where no station was declared, who answered more of them whole goes before; who is alike shares a place', () => {
  const [only] = ranked([
    entrant('Ava', [1, 1, 1]),
    entrant('Bo', [2, 1, 0]),
    entrant('Cy', [0, 1, 2]),
    entrant('Di', [0, 0, 0]),
  ]);
  expect(places(only!.entrants)).toEqual(['1 Bo', '1 Cy', '3 Ava', '4 Di']);
  expect(only!.entrants[2]!.by).toBe('more stations whole');
});

test('a team has the points of its best, and ties of teams are parted as others are', () => {
  const team = (name: string, of: string, points: number[]) => entrant(name, points, { team: of });
  const [only] = ranked(
    [
      team('Ava', 'Alders', [2, 2]),
      team('Al', 'Alders', [1, 1]),
      team('Abe', 'Alders', [0, 0]),
      team('Bo', 'Birches', [1, 2]),
      team('Bea', 'Birches', [1, 2]),
      entrant('Solo', [2, 2]),
    ],
    [2],
    2,
  );
  expect(only!.teams).toMatchObject([
    { name: 'Birches', place: 1, points: 6, by: 'station 2', counted: ['Bea', 'Bo'], members: 2 },
    { name: 'Alders', place: 2, points: 6, by: 'station 2', counted: ['Ava', 'Al'], members: 3 },
  ]);
  expect(ranked([team('Ava', 'Alders', [1])])[0]!.teams).toEqual([]);
  expect(ownPlace([only!], 'bo')).toEqual({
    division: '',
    place: 3,
    of: 6,
    by: '',
    team: { name: 'Birches', place: 1, of: 2 },
  });
  expect(ownPlace([only!], 'solo')).toMatchObject({ place: 1, team: null });
  expect(ownPlace([only!], 'nobody')).toBeUndefined();
});

test('divisions are ranked apart', () => {
  const all = ranked([
    entrant('Ava', [1], { division: 'senior' }),
    entrant('Bo', [0], { division: 'junior' }),
  ]);
  expect(all.map(({ division, entrants }) => [division, places(entrants)])).toEqual([
    ['junior', ['1 Bo']],
    ['senior', ['1 Ava']],
  ]);
});

test('whatever the points: nobody with more stands behind, places are those of a ranking, and the order of entry is nothing', () => {
  const points = fc.array(fc.integer({ min: 0, max: 2 }), { minLength: 3, maxLength: 3 });
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.tuple(fc.string({ minLength: 1 }), points), {
        selector: ([name]) => name,
        minLength: 1,
        maxLength: 12,
      }),
      (rows) => {
        const entrants = rows.map(([name, of], i) => ({ ...entrant(name, of), id: String(i) }));
        const [only] = ranked(entrants, [2]);
        const order = only!.entrants;
        order.forEach((each, i) => {
          expect(each.points).toBeLessThanOrEqual(order[i - 1]?.points ?? Infinity);
          expect(each.place).toBeLessThanOrEqual(i + 1);
          expect(each.place).toBeGreaterThanOrEqual(order[i - 1]?.place ?? 1);
        });
        const again = ranked([...entrants].reverse(), [2])[0]!.entrants;
        expect(new Map(again.map(({ id, place }) => [id, place]))).toEqual(
          new Map(order.map(({ id, place }) => [id, place])),
        );
      },
    ),
  );
});

test('entries are read by name or code, and who is not in the class is pointed out', () => {
  const students = [
    { id: 'a1', name: 'Ava Frost', code: 'AVA12' },
    { id: 'b1', name: 'Bo Lark', code: 'BO123' },
  ];
  const read = readEntries(
    'Name,Division,Team\nava frost,junior,Alders\nbo123,senior,\nNobody,x,y',
    students,
  );
  expect(read).toEqual({
    ok: true,
    value: {
      entries: { a1: { team: 'Alders', division: 'junior' }, b1: { team: '', division: 'senior' } },
      problems: [{ line: 4, message: expect.stringContaining('No student “Nobody”') }],
    },
  });
  const twice = readEntries('name,team\nAva Frost,Alders\nAVA12,Birches', students);
  expect(twice).toMatchObject({
    ok: true,
    value: {
      entries: { a1: { team: 'Alders' } },
      problems: [{ line: 3, message: expect.stringContaining('on two lines') }],
    },
  });
  expect(readEntries('name\nAva', students).ok).toBe(false);
});

test('a team in two divisions is pointed out', () => {
  expect(
    oddEntries([
      { team: 'Alders', division: 'junior' },
      { team: 'Alders', division: 'senior' },
      { team: 'Birches', division: '' },
      { team: '', division: 'junior' },
    ]),
  ).toEqual(['Alders stand in two divisions (junior, senior) and count as two teams.']);
});
