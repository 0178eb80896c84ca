import { compileMessage } from '@lingui/message-utils/compileMessage';
import { screen, shownOnPage } from '../testing/page.tsx';
import { i18n } from '../language/i18n.ts';
import { standIn } from '../testing/server.ts';
import { History } from './History.tsx';

const line = (
  what: string,
  said: { id: string; values: string[] } | null,
  by: string | null = 'Ines Falk',
) => ({
  at: '2026-10-15T16:00:00Z',
  by,
  course: null,
  what,
  said,
});

afterEach(() => i18n.activate('en'));

test('who did what stands under its day, in the language of the page where its words are known', async () => {
  i18n.load('de', { closed: compileMessage('hat das Quiz „{0}“ geschlossen') });
  i18n.activate('de');
  standIn({
    'GET /api/history': [
      line('closed the quiz “Quiz 1”', { id: 'closed', values: ['Quiz 1'] }),
      line('opened the quiz “Quiz 1”', null),
      line('took the name of one student away', { id: 'not known', values: [] }, null),
    ],
  });
  shownOnPage(<History courseId="course" />);
  const said = (await screen.findAllByRole('listitem')).map(({ textContent }) => textContent);
  expect(said[0]).toMatch(/ Ines Falk hat das Quiz „Quiz 1“ geschlossen$/);
  expect(said[1]).toMatch(/ Ines Falk opened the quiz “Quiz 1”$/);
  expect(said[2]).toMatch(/ Hurrow took the name of one student away$/);
});
