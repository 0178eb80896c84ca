import { fireEvent, render, screen } from '@testing-library/react';
import { vi } from 'vitest';
import { LanguageChoice } from './LanguageChoice.tsx';

afterEach(() => vi.restoreAllMocks());

it('says what to do where a browser keeps no choice, and stays as it was', () => {
  vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  render(<LanguageChoice />);
  fireEvent.change(screen.getByLabelText('Language of these pages'), { target: { value: 'de' } });
  expect(screen.getByRole('alert').textContent).toContain('in its own settings');
});

it('is not to be chosen while something would be lost with the page', () => {
  render(<LanguageChoice isBound />);
  expect(screen.getByLabelText<HTMLSelectElement>('Language of these pages').disabled).toBe(true);
});
