import { holdWhilePressed } from './steady.ts';

const turn = () => new Promise((resolve) => setTimeout(resolve, 0));

test('what comes while the pointer is down waits until the click is done, in its order', async () => {
  const page = new EventTarget();
  const steady = holdWhilePressed(page);
  const seen: string[] = [];
  page.dispatchEvent(new Event('pointerdown'));
  steady(() => seen.push('answer'));
  steady(() => seen.push('next answer'));
  await turn();
  expect(seen).toEqual([]);
  page.dispatchEvent(new Event('pointerup'));
  seen.push('click');
  await turn();
  expect(seen).toEqual(['click', 'answer', 'next answer']);
});

test('a press that is broken off lets it through, one that begins again does not', async () => {
  const page = new EventTarget();
  const steady = holdWhilePressed(page);
  const seen: string[] = [];
  page.dispatchEvent(new Event('pointerdown'));
  steady(() => seen.push('answer'));
  page.dispatchEvent(new Event('pointercancel'));
  page.dispatchEvent(new Event('pointerdown'));
  await turn();
  expect(seen).toEqual([]);
  page.dispatchEvent(new Event('pointerup'));
  await turn();
  expect(seen).toEqual(['answer']);
});
