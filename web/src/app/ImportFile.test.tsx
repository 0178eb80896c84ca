import type { ImportReport } from '@hurrow/contract/reports';
import { fireEvent, screen, shownOnPage, waitFor } from '../testing/page.tsx';
import { ImportFile, type Importing } from './ImportFile.tsx';

const report = (more: Partial<ImportReport> = {}): ImportReport => ({
  added: [],
  changed: [],
  refused: [],
  ignored: [],
  ...more,
});
function importing(
  answer: (file: Importing) => ImportReport,
  more: Partial<Parameters<typeof ImportFile>[0]> = {},
) {
  const sent: Importing[] = [];
  const done: [ImportReport, boolean][] = [];
  const page = shownOnPage(
    <ImportFile
      send={async (file) => {
        sent.push(file);
        return answer(file);
      }}
      example="name"
      onDone={(said, here) => done.push([said as ImportReport, here])}
      {...(more as object)}
    />,
  );
  return { sent, done, page };
}
const table = () => screen.getByLabelText('Table') as HTMLTextAreaElement;
const paste = (value: string) => fireEvent.change(table(), { target: { value } });
const button = (name: string) => screen.getByRole('button', { name }) as HTMLButtonElement;
const lines = () => screen.getAllByRole('listitem').map(({ textContent }) => textContent);
const choose = (text: string, name = 'class.csv') => {
  const file = new File([text], name, { type: 'text/csv' });
  fireEvent.change(screen.getByLabelText(/Choose a file/), { target: { files: [file] } });
};

test('nothing is sent of an empty table', () => {
  importing(() => report());
  expect(button('See what it would do').disabled).toBe(true);
  paste('   ');
  expect(button('See what it would do').disabled).toBe(true);
});

test('what it would do is told line by line: added, changed, left out, refused and unknown', async () => {
  const { sent } = importing(() =>
    report({
      added: ['Ava', 'Ben'],
      changed: ['Rowan'],
      ignored: ['column age'],
      unchanged: 3,
      refused: [{ line: 4, message: 'no name' }],
      unknown: [{ line: 0, message: 'Carya ovata is not on the list' }],
    }),
  );
  paste('name\nAva');
  fireEvent.click(button('See what it would do'));
  await screen.findByText('Importing this would:');
  expect(lines()).toEqual([
    'add Ava; Ben',
    'change Rowan',
    'leave 3 as they are: they say the same',
    'leave out column age',
    'line 4 refused: no name',
    'Carya ovata is not on the list',
  ]);
  expect(sent).toEqual([{ csv: 'name\nAva', dryRun: true }]);
});

test('a table that brings nothing new cannot be imported', async () => {
  importing(() => report({ unchanged: 2 }));
  paste('name\nAva');
  fireEvent.click(button('See what it would do'));
  expect(await screen.findByText('There is nothing new in this file.')).toBeTruthy();
  expect(button('Import').disabled).toBe(true);
});

test('what is stored is replaced only where that is chosen', async () => {
  const { sent, done } = importing(
    () => report({ replaced: [{ line: 2, message: 'Acer rubrum is stored' }] }),
    {
      asksToReplace: (count) => `Replace ${count}`,
    },
  );
  paste('student,station\nAva,1');
  fireEvent.click(button('See what it would do'));
  await screen.findByText('line 2: Acer rubrum is stored');
  expect(button('Import').disabled).toBe(true);
  fireEvent.click(screen.getByRole('checkbox', { name: 'Replace 1' }));
  expect(button('Import').disabled).toBe(false);
  fireEvent.click(button('Import'));
  await waitFor(() => expect(done).toHaveLength(1));
  expect(sent.at(-1)).toEqual({ csv: 'student,station\nAva,1', dryRun: false, replace: true });
});

test('a file is read into the box, where it can be looked over and changed', async () => {
  const { sent } = importing(() => report({ added: ['Ava'] }));
  choose('name\nAva\n');
  await waitFor(() => expect(table().value).toBe('name\nAva\n'));
  paste('name\nAva\nBen\n');
  fireEvent.click(button('See what it would do'));
  await waitFor(() => expect(sent[0]?.csv).toBe('name\nAva\nBen\n'));
});

test('a long file is not shown, and can be put away for something pasted', async () => {
  const { sent } = importing(() => report({ added: ['all'] }));
  choose(`name\n${'Ava\n'.repeat(20_000)}`, 'long.csv');
  expect((await screen.findByRole('note')).textContent).toMatch(/^long\.csv, 80 kB, is chosen\./);
  fireEvent.click(button('See what it would do'));
  await waitFor(() => expect(sent[0]?.csv.length).toBe(80_005));
  fireEvent.click(button('Paste something instead'));
  expect(table().value).toBe('');
  expect(button('See what it would do').disabled).toBe(true);
});

test('a file that is given is looked at by itself, once', async () => {
  const { sent } = importing(() => report({ added: ['Ava'] }), {
    given: { name: 'class.csv', text: 'name\nAva' },
  });
  await screen.findByText('Importing this would:');
  expect(sent).toEqual([{ csv: 'name\nAva', dryRun: true }]);
});

test('an import that ends after its page was left brings nobody back to it', async () => {
  let end: () => void = () => undefined;
  const done: boolean[] = [];
  const page = shownOnPage(
    <ImportFile
      send={({ dryRun }: Importing) =>
        dryRun
          ? Promise.resolve(report({ added: ['Ava'] }))
          : new Promise<ImportReport>((resolve) => (end = () => resolve(report({ added: ['Ava'] }))))
      }
      example="name"
      onDone={(_said, here) => done.push(here)}
    />,
  );
  paste('name\nAva');
  fireEvent.click(button('See what it would do'));
  await waitFor(() => expect(button('Import').disabled).toBe(false));
  fireEvent.click(button('Import'));
  page.leave();
  end();
  await waitFor(() => expect(done).toEqual([false]));
});
