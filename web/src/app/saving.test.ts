import { ApiError } from './api.ts';
import { Saving, type SavingState } from './saving.ts';

function watched() {
  const shown: SavingState[] = [];
  const asked: unknown[] = [];
  const saving = new Saving(
    (state) => shown.push(state),
    async (key) => asked.push(key),
  );
  return { saving, shown, asked };
}

test('what rests on a change is asked for again after it, and after what belongs to it was done', async () => {
  const { saving, shown, asked } = watched();
  const order: string[] = [];
  const result = await saving.run(async () => 7, {
    done: (n) => order.push(`done ${n}, asked ${asked.length}`),
    stale: [['course', 'a'], ['courses']],
  });
  expect(result).toBe(7);
  expect(order).toEqual(['done 7, asked 0']);
  expect(asked).toEqual([['course', 'a'], ['courses']]);
  expect(shown).toEqual([
    { saving: true, problem: undefined },
    { saving: false, problem: undefined },
  ]);
});
test('a second press while one is under way does nothing', async () => {
  const { saving } = watched();
  let free: () => void = () => undefined;
  const first = saving.run(() => new Promise<string>((resolve) => (free = () => resolve('first'))));
  expect(await saving.run(async () => 'second')).toBeUndefined();
  free();
  expect(await first).toBe('first');
  expect(await saving.run(async () => 'third')).toBe('third');
});
test('an error is shown where it happened, and gone with the next try', async () => {
  const { saving, shown, asked } = watched();
  const failed = saving.run(() => Promise.reject(new ApiError('invalid', 'No such day.')), {
    stale: [['x']],
  });
  expect(await failed).toBeUndefined();
  expect(shown.at(-1)).toEqual({ saving: false, problem: 'No such day.' });
  expect(asked).toEqual([]);
  await saving.run(async () => 1);
  expect(shown.at(-1)!.problem).toBeUndefined();
  saving.say('Write a number.');
  expect(shown.at(-1)).toEqual({ saving: false, problem: 'Write a number.' });
});
test('an error that the page answers in its own way is no problem to show; one in what follows is', async () => {
  const { saving, shown } = watched();
  const refused = (error: unknown) => error instanceof ApiError && error.code === 'hasAnswers';
  await saving.run(() => Promise.reject(new ApiError('hasAnswers', 'Has answers.')), { refused });
  expect(shown.at(-1)!.problem).toBeUndefined();
  await saving.run(() => Promise.reject(new ApiError('stale', 'Changed meanwhile.')), { refused });
  expect(shown.at(-1)!.problem).toBe('Changed meanwhile.');
  await saving.run(async () => 1, { done: () => Promise.reject(new Error('could not be read again')) });
  expect(shown.at(-1)!.problem).toBe('could not be read again');
});
