import type { Result as OwnResult, ResultRow } from '@hurrow/contract/sitting';
import { Route, Routes } from 'react-router';
import { fireEvent, screen, shownOnPage } from '../testing/page.tsx';
import { refusal, standIn, type Answers } from '../testing/server.ts';
import { Result } from './Result.tsx';

const row = (more: Partial<ResultRow> = {}): ResultRow => ({
  stationId: 's1',
  position: 1,
  written: 'Acer rubrum',
  points: 2,
  outOf: 2,
  truth: 'Acer rubrum',
  latin: true,
  family: null,
  question: null,
  remarks: [],
  mistaken: false,
  seen: [],
  credited: null,
  regrade: null,
  ...more,
});
const wrong = row({
  stationId: 's2',
  position: 2,
  written: 'Acer saccharum',
  points: 0.5,
  truth: 'Acer nigrum',
  remarks: [{ part: 'said', remark: 'the genus is right' }],
  mistaken: true,
});
const result = (rows: ResultRow[], more: Partial<OwnResult> = {}): OwnResult => ({
  title: 'Twigs',
  points: 2.5,
  outOf: 4,
  rows,
  regradeUntil: null,
  place: null,
  ...more,
});
const LATER = '2999-01-01';

function shown(answer: OwnResult, more: Answers = {}) {
  const server = standIn({ 'GET /api/sit/quizzes/{quizId}/result': answer, ...more });
  shownOnPage(
    <Routes>
      <Route path="/result/:quizId" element={<Result />} />
    </Routes>,
    '/result/quiz',
  );
  return server;
}

test('each station shows the right name, and where it was missed what was written and why that is so', async () => {
  const server = shown(result([row(), wrong, row({ stationId: 's3', position: 3, written: '', points: 0 })]));
  expect(await screen.findByText('2.5 of 4')).toBeTruthy();
  expect(server.asked[0]).toMatchObject({ params: { quizId: 'quiz' } });
  expect(screen.getByText('You wrote “Acer saccharum”. the genus is right')).toBeTruthy();
  expect(screen.getByText('You left it blank.')).toBeTruthy();
  expect(screen.queryByText('You wrote “Acer rubrum”.')).toBeNull();
});

test('what everybody got, what was seen and what else was asked stand beside it', async () => {
  shown(
    result([
      row({
        credited: 'the twig had dried',
        question: { asked: 'To which family does it belong?', right: 'Sapindaceae' },
        seen: [{ question: 'white bands', said: null, right: ['lower face'], isRight: false }],
      }),
    ]),
  );
  expect(await screen.findByText('Everybody got its points: the twig had dried.')).toBeTruthy();
  expect(screen.getByText('Sapindaceae')).toBeTruthy();
  expect(screen.getByText('White bands: you left it open; look for “lower face”.')).toBeTruthy();
});

test('a tree taken for another can be seen beside it, and closed again', async () => {
  shown(result([wrong]), {
    'GET /api/sit/stations/{stationId}/beside': {
      names: ['Acer nigrum', 'Acer saccharum'],
      pictures: [null, null],
      isOwn: false,
      lines: [],
      settles: null,
    },
  });
  fireEvent.click(await screen.findByRole('button', { name: 'See both trees' }));
  expect(screen.getByRole('button', { name: 'Close' }).getAttribute('aria-expanded')).toBe('true');
  fireEvent.click(screen.getByRole('button', { name: 'Close' }));
  expect(screen.getByRole('button', { name: 'See both trees' })).toBeTruthy();
});

test('a mark is asked about once while the day allows it; a refusal keeps the words', async () => {
  const ASK = 'POST /api/sit/stations/{stationId}/regrade';
  const server = shown(result([row(), wrong], { regradeUntil: LATER }), {
    [ASK]: refusal('conflict', 'The time is over.'),
  });
  expect(await screen.findAllByRole('button', { name: 'Ask about this mark' })).toHaveLength(1);
  fireEvent.click(screen.getByRole('button', { name: 'Ask about this mark' }));
  fireEvent.change(screen.getByLabelText('What should be looked at again?'), {
    target: { value: 'The label fell off.' },
  });
  fireEvent.click(screen.getByRole('button', { name: 'Send' }));
  expect((await screen.findByRole('alert')).textContent).toBe('The time is over.');
  expect(server.sent(ASK)).toEqual([{ note: 'The label fell off.' }]);
  server.answer(ASK, {} as never);
  server.answer(
    'GET /api/sit/quizzes/{quizId}/result',
    result([{ ...wrong, regrade: { note: 'The label fell off.', answer: null } }], { regradeUntil: LATER }),
  );
  fireEvent.click(screen.getByRole('button', { name: 'Send' }));
  expect(await screen.findByText(/It waits for an answer\./)).toBeTruthy();
  expect(screen.getByRole('button', { name: 'Change what you asked' })).toBeTruthy();
});

test('an answered one is read, and no longer asked about; before and after the day nothing is offered', async () => {
  shown(
    result([{ ...wrong, regrade: { note: 'Why?', answer: 'Black maple has stipules.' } }], {
      regradeUntil: LATER,
    }),
  );
  expect(await screen.findByText('Black maple has stipules.')).toBeTruthy();
  expect(screen.queryByRole('button', { name: /what you asked|Ask about/ })).toBeNull();
});

test('a result that is not given out says so, with a way back', async () => {
  const server = standIn({
    'GET /api/sit/quizzes/{quizId}/result': refusal('missing', 'This result is not given out yet.'),
  });
  const page = shownOnPage(
    <Routes>
      <Route path="/result/:quizId" element={<Result />} />
      <Route path="/" element={<p>Today</p>} />
    </Routes>,
    '/result/quiz',
  );
  expect((await screen.findByText('This result is not given out yet.')).getAttribute('role')).toBe('alert');
  fireEvent.click(screen.getByRole('link', { name: 'Back' }));
  expect(page.address()).toBe('/');
  expect(server.asked).toHaveLength(1);
});
