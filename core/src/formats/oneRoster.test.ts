import Papa from 'papaparse';
import { ONE_ROSTER_COLUMNS, oneRosterFiles, type OneRosterFile, type RosteredCourse } from './index.ts';

const course: RosteredCourse = {
  id: 'c1',
  name: 'Woody Plants, fall',
  code: 'WOODY',
  startsOn: '2026-08-31',
  weeks: 14,
  students: [
    { id: 's1', name: 'Rowan Achterberg' },
    { id: 's2', name: 'Selma "Sel" van Idowu' },
    { id: 's3', name: 'Mononym' },
  ],
  quizzes: [{ id: 'q1', title: 'Quiz 1, conifers', heldOn: '2026-09-10', outOf: 20 }],
  results: [
    { studentId: 's1', quizId: 'q1', points: 17.333, was: 'there' },
    { studentId: 's2', quizId: 'q1', points: 0, was: 'absent' },
    { studentId: 's3', quizId: 'q1', points: 0, was: 'excused' },
  ],
};
const files = oneRosterFiles(course);
const rowsOf = (file: OneRosterFile): Record<string, string>[] => {
  const [head, ...rows] = Papa.parse<string[]>(files[file], { skipEmptyLines: true }).data;
  expect(head).toEqual(ONE_ROSTER_COLUMNS[file]);
  return rows.map((row) => Object.fromEntries(head!.map((name, i) => [name, row[i] ?? ''])));
};

const DATE = /^\d{4}-\d{2}-\d{2}$/;
/** What the standard's tables (OneRoster 1.1, CSV, chapter 4) say of fields: which have to be there, and what may stand in them. */
const FIELDS: Partial<Record<OneRosterFile, Record<string, RegExp>>> = {
  'academicSessions.csv': {
    title: /./,
    type: /^(gradingPeriod|semester|schoolYear|term)$/,
    startDate: DATE,
    endDate: DATE,
    schoolYear: /^\d{4}$/,
  },
  'categories.csv': { title: /./ },
  'classes.csv': { title: /./, classType: /^(homeroom|scheduled)$/ },
  'courses.csv': { title: /./ },
  'enrollments.csv': {
    role: /^(administrator|aide|guardian|parent|proctor|relative|student|teacher)$/,
    primary: /^(|true|false)$/,
    beginDate: DATE,
    endDate: DATE,
  },
  'lineItems.csv': {
    title: /./,
    assignDate: DATE,
    dueDate: DATE,
    resultValueMin: /^\d+(\.\d+)?$/,
    resultValueMax: /^\d+(\.\d+)?$/,
  },
  'orgs.csv': { name: /./, type: /^(department|school|district|local|state|national)$/ },
  'results.csv': {
    scoreStatus: /^(exempt|fully graded|not submitted|partially graded|submitted)$/,
    score: /^(\d+(\.\d+)?)?$/,
    scoreDate: DATE,
  },
  'users.csv': {
    enabledUser: /^(true|false)$/,
    role: /^(administrator|aide|guardian|parent|proctor|relative|student|teacher)$/,
    username: /./,
    givenName: /./,
    familyName: /./,
    password: /^$/,
  },
};
/** Fields that name a row of another file. */
const REFERENCES: Record<string, OneRosterFile> = {
  courseSourcedId: 'courses.csv',
  schoolSourcedId: 'orgs.csv',
  termSourcedIds: 'academicSessions.csv',
  orgSourcedId: 'orgs.csv',
  orgSourcedIds: 'orgs.csv',
  classSourcedId: 'classes.csv',
  userSourcedId: 'users.csv',
  categorySourcedId: 'categories.csv',
  gradingPeriodSourcedId: 'academicSessions.csv',
  lineItemSourcedId: 'lineItems.csv',
  studentSourcedId: 'users.csv',
};

test.each(Object.keys(FIELDS) as OneRosterFile[])('%s holds what the standard asks for', (file) => {
  const rows = rowsOf(file);
  expect(rows.length).toBeGreaterThan(0);
  const ids = rows.map(({ sourcedId }) => sourcedId);
  expect(new Set(ids).size).toBe(ids.length);
  for (const row of rows) {
    expect(row['sourcedId']).toMatch(/./);
    // In bulk these stay empty.
    expect([row['status'], row['dateLastModified']]).toEqual(['', '']);
    for (const [field, may] of Object.entries(FIELDS[file]!)) expect(row[field]).toMatch(may);
    for (const [field, to] of Object.entries(REFERENCES))
      if (field in row) expect(rowsOf(to).map(({ sourcedId }) => sourcedId)).toContain(row[field]);
  }
});

test('the manifest says of every file of the standard whether it comes along', () => {
  const said = Object.fromEntries(
    rowsOf('manifest.csv').map(({ propertyName, value }) => [propertyName!, value!]),
  );
  expect(said).toMatchObject({
    'manifest.version': '1.0',
    'oneroster.version': '1.1',
    'file.demographics': 'absent',
  });
  const along = Object.entries(said).filter(([, value]) => value === 'bulk');
  expect(along.map(([name]) => `${name.slice('file.'.length)}.csv`).sort()).toEqual(
    Object.keys(files)
      .filter((file) => file !== 'manifest.csv')
      .sort(),
  );
});

test('who was excused has no score, who was absent nothing, and a name is taken apart without losing any of it', () => {
  expect(rowsOf('results.csv').map(({ scoreStatus, score }) => [scoreStatus, score])).toEqual([
    ['fully graded', '17.33'],
    ['not submitted', '0'],
    ['exempt', ''],
  ]);
  expect(rowsOf('users.csv').map(({ givenName, familyName }) => [givenName, familyName])).toEqual([
    ['Rowan', 'Achterberg'],
    ['Selma "Sel" van', 'Idowu'],
    ['Mononym', 'Mononym'],
  ]);
});
