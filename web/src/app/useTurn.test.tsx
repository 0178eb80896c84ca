import { act } from '@testing-library/react/pure';
import { vi } from 'vitest';
import { screen, shownOnPage } from '../testing/page.tsx';
import { useTurn } from './useTurn.ts';

/** A part that takes longer to show than a slice of work lasts. */
function Part({ name, ready = true }: { name: string; ready?: boolean }) {
  const come = useTurn(ready);
  const start = performance.now();
  while (come && performance.now() - start < 10);
  return <p>{come ? name : '…'}</p>;
}
const texts = () => screen.getAllByText(/./, { selector: 'p' }).map(({ textContent }) => textContent);
/** What is left to the next task. */
const next = () => act(() => void vi.advanceTimersToNextTimer());

beforeEach(() => void vi.useFakeTimers({ toFake: ['setTimeout'] }));
afterEach(() => void vi.useRealTimers());

test('heavy parts come one after the other in the order of the page, each in a task of its own', () => {
  shownOnPage(['a', 'b', 'c'].map((name) => <Part key={name} name={name} />));
  expect(texts()).toEqual(['…', '…', '…']);
  next();
  expect(texts()).toEqual(['a', '…', '…']);
  next();
  expect(texts()).toEqual(['a', 'b', '…']);
  next();
  expect(texts()).toEqual(['a', 'b', 'c']);
});

test('what is not ready waits, and what is left before its turn holds up nobody', () => {
  shownOnPage(<Part name="early" ready={false} />);
  const left = shownOnPage(<Part name="left" />);
  shownOnPage(<Part name="late" />);
  left.leave();
  next();
  expect(texts()).toEqual(['…', 'late']);
});
