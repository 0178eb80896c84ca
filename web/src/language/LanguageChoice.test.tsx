/** @jest-environment ./setup/domEnvironment.mjs */
import { fireEvent, render, screen } from '@testing-library/react';
import { jest } from '@jest/globals';
import { LanguageChoice } from './LanguageChoice.tsx';

afterEach(() => jest.restoreAllMocks());

it('says what to do where a browser keeps no choice, and stays as it was', () => {
  jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
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
