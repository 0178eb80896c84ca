import { FieldBox, type Noted, type Sent, type Shelf } from './fieldBox.ts';

const observation = (id: string, there = true): Noted => ({
  what: 'observation',
  groundsId: 'g',
  id,
  body: { treeId: 't', day: '2026-10-15', part: 'leaves', there, note: '' },
});
const shelf = (): Shelf & { text: string | null } => {
  const kept = {
    text: null as string | null,
    read: () => kept.text,
    write: (text: string) => void (kept.text = text),
  };
  return kept;
};
/** A server that can be out of reach, and refuses what it is told to. */
function server() {
  const got: Noted[] = [];
  const state = { reached: true, refuses: '' };
  const send = async (noted: Noted): Promise<Sent> => {
    await Promise.resolve();
    if (!state.reached) return { sent: 'unreached' };
    if (noted.id === state.refuses) return { sent: 'refused', why: 'There is no such tree.' };
    got.push(noted);
    return { sent: 'done' };
  };
  return { got, state, send };
}

test('without a signal it is kept, over a reload, and sent once in its order when there is one', async () => {
  const kept = shelf();
  const { got, state, send } = server();
  state.reached = false;
  const box = new FieldBox(kept, send);
  await box.note(observation('a'));
  await box.note(observation('b'));
  expect(box.snapshot()).toMatchObject({
    offline: true,
    waiting: [{ noted: { id: 'a' } }, { noted: { id: 'b' } }],
  });
  const again = new FieldBox(kept, send);
  state.reached = true;
  await Promise.all([again.send(), again.send()]);
  expect(got.map(({ id }) => id)).toEqual(['a', 'b']);
  // Shown from here until the page has heard of it.
  const { arrived } = again.snapshot();
  expect(arrived).toHaveLength(2);
  again.heard(arrived);
  expect(again.snapshot().arrived).toEqual([]);
  expect(again.snapshot()).toMatchObject({ offline: false, waiting: [] });
  expect(JSON.parse(kept.text!)).toEqual([]);
});

test('what is noted anew takes the place of what waits, also while that is being sent', async () => {
  const { got, send } = server();
  const box = new FieldBox(shelf(), send);
  const first = box.note(observation('a', true));
  await box.note(observation('a', false));
  await first;
  expect(got.at(-1)).toEqual(observation('a', false));
  expect(box.snapshot().waiting).toEqual([]);
});

test('what is refused says why and holds up nothing else; it can be given up', async () => {
  const { got, state, send } = server();
  state.refuses = 'a';
  const box = new FieldBox(shelf(), send);
  await box.note(observation('a'));
  await box.note(observation('b'));
  expect(got.map(({ id }) => id)).toEqual(['b']);
  expect(box.snapshot().waiting).toMatchObject([{ noted: { id: 'a' }, problem: 'There is no such tree.' }]);
  box.drop('a');
  expect(box.snapshot().waiting).toEqual([]);
});

test('who is signed out is told so, and nothing is lost', async () => {
  let known = false;
  const box = new FieldBox(shelf(), () => Promise.resolve({ sent: known ? 'done' : 'signedOut' } as Sent));
  await box.note(observation('a'));
  expect(box.snapshot()).toMatchObject({ signedOut: true, offline: false, waiting: [{}] });
  known = true;
  await box.send();
  expect(box.snapshot()).toMatchObject({ signedOut: false, waiting: [] });
});

test('two tabs add to the same box', async () => {
  const kept = shelf();
  const { state, send } = server();
  state.reached = false;
  const [one, other] = [new FieldBox(kept, send), new FieldBox(kept, send)];
  await one.note(observation('a'));
  await other.note(observation('b'));
  one.reload();
  expect(one.snapshot().waiting.map(({ noted }) => noted.id)).toEqual(['a', 'b']);
});

test('a browser that keeps nothing says so, and holds what waits as long as the page is open', async () => {
  const full: Shelf = {
    read: () => null,
    write: () => {
      throw new Error('full');
    },
  };
  const { got, state, send } = server();
  state.reached = false;
  const box = new FieldBox(full, send);
  await box.note(observation('a'));
  await box.note(observation('b'));
  expect(box.snapshot()).toMatchObject({ unkept: true, waiting: [{}, {}] });
  state.reached = true;
  await box.send();
  expect(got).toHaveLength(2);
});
