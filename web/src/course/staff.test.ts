import type { CourseTeacher } from '@hurrow/contract/courseStaff';
import { namedOf, staffSaid, withHere } from './staff.ts';

const teacher = (name: string, here: CourseTeacher['here'] = null): CourseTeacher => ({
  accountId: name,
  name,
  role: 'instructor',
  here,
});
const both = [teacher('Ada'), teacher('Bo')];

test('a course that names nobody is everyone’s', () => {
  expect(staffSaid(both)).toMatch(/^Nobody is named/);
  expect(namedOf(both)).toEqual([]);
});
test('one who leads it closes it to others; it cannot be led by nobody', () => {
  const led = withHere(both, 'Ada', 'leads');
  expect(staffSaid(led)).toMatch(/^Ada leads it\. Besides those named/);
  expect(staffSaid(withHere(led, 'Bo', 'leads'))).toMatch(/^Ada and Bo lead it/);
  expect(namedOf(withHere(led, 'Bo', 'helps'))).toEqual([
    { accountId: 'Ada', role: 'leads' },
    { accountId: 'Bo', role: 'helps' },
  ]);
  expect(staffSaid(withHere(both, 'Bo', 'helps'))).toBe('Somebody has to lead it.');
  expect(withHere(led, 'Ada', 'no')).toEqual(both);
});
