import { keepPace } from './pace.ts';

test('a thousand answers a minute, and of each student their own', () => {
  for (let sent = 0; sent < 1000; sent += 250) keepPace('student', 'eda', 250, 5000);
  expect(() => keepPace('student', 'eda', 1, 64_999)).toThrow('sent again soon');
  keepPace('student', 'finn', 1, 64_999);
  keepPace('student', 'eda', 1, 65_000);
});
test('a full lecture hall passes at twenty answers each, a course that pours does not', () => {
  for (let student = 0; student < 300; student += 1) keepPace('course', 'trees', 20, 0);
  expect(() => {
    for (let sent = 0; sent < 60; sent += 1) keepPace('course', 'trees', 250, 1000);
  }).toThrow('than a class writes');
});
