import { fetchStarter, STARTERS } from './starters.ts';

const answering =
  (ok: boolean, asked: string[] = []) =>
  (path: string) => {
    asked.push(path);
    return Promise.resolve({ ok, text: () => Promise.resolve('{}') });
  };

test('a starter is fetched by its name, as a file that is chosen', async () => {
  const asked: string[] = [];
  const { id, title } = STARTERS[0]!;
  expect(await fetchStarter(id, answering(true, asked))).toEqual({ name: title, text: '{}' });
  expect(asked).toEqual([`/starters/${id}.json`]);
});

test('what is no starter is not asked for, and a failing fetch says what to do', async () => {
  const asked: string[] = [];
  await expect(fetchStarter('../session', answering(true, asked))).rejects.toThrow(/no such starter/);
  expect(asked).toEqual([]);
  await expect(fetchStarter('inland', answering(false))).rejects.toThrow(/Try again/);
});
