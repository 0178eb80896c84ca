import { keepPace } from './pace.ts';

test('a thousand answers a minute, and of each student their own', () => {
  for (let sent = 0; sent < 1000; sent += 250) keepPace('eda', 250, 5000);
  expect(() => keepPace('eda', 1, 64_999)).toThrow('sent again soon');
  keepPace('finn', 1, 64_999);
  keepPace('eda', 1, 65_000);
});
