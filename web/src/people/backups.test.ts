import { sizeInWords, stateOfBackups, whatRestoringDoes } from './backups.ts';

const now = new Date('2026-11-27T12:00:00Z');

test('no backup, and an old one, ask to be acted upon; one of today does not', () => {
  expect(stateOfBackups([], now)).toMatchObject({
    calm: false,
    words: expect.stringMatching(/no backup yet/),
  });
  expect(stateOfBackups([{ made: '2026-11-27T02:00:00Z' }], now).calm).toBe(true);
  const old = stateOfBackups([{ made: '2026-11-20T02:00:00Z' }], now);
  expect(old).toMatchObject({ calm: false, words: expect.stringMatching(/7 days old/) });
});

test('what restoring does says what is lost, what is kept and who is signed out', () => {
  const words = whatRestoringDoes({ made: '2026-11-26T12:00:00Z', newestAnswer: null });
  for (const part of ['26 Nov 2026', 'passwords', 'journal', 'kept beside it', 'signed out'])
    expect(words).toContain(part);
  expect(words).not.toContain('newest answer');
});

test('sizes are said in a unit that fits', () => {
  expect([300, 4200, 4_900_000].map(sizeInWords)).toEqual(['1 kB', '4 kB', '4.9 MB']);
});
