import { Drafts } from './drafts.ts';

/** Storage as a browser has it, with a limit on what it holds. */
function storage(most = Infinity): Storage {
  const held = new Map<string, string>();
  return {
    get length() {
      return held.size;
    },
    key: (i) => [...held.keys()][i] ?? null,
    getItem: (key) => held.get(key) ?? null,
    setItem: (key, value) => {
      if (value.length > most) throw new DOMException('full', 'QuotaExceededError');
      held.set(key, value);
    },
    removeItem: (key) => void held.delete(key),
    clear: () => held.clear(),
  };
}
const draft = (value: unknown, at = '2026-10-15T16:00:00Z') => ({ title: 'Edit', where: '/c', at, value });

test('a tab that was closed or crashed leaves its draft to the next one', () => {
  const shared = storage();
  new Drafts(shared, 'ines', 'tab-1').keep('taxon/a', draft('typed'));
  const next = new Drafts(shared, 'ines', 'tab-2');
  expect(next.list()).toMatchObject([{ key: 'taxon/a', title: 'Edit', value: 'typed' }]);
  expect(next.take('taxon/a')?.value).toBe('typed');
});

test('two tabs that edit the same thing keep both drafts', () => {
  const shared = storage();
  const [one, two] = [new Drafts(shared, 'ines', 'tab-1'), new Drafts(shared, 'ines', 'tab-2')];
  one.keep('taxon/a', draft('first', '2026-10-15T16:00:00Z'));
  two.keep('taxon/a', draft('second', '2026-10-15T16:01:00Z'));
  expect(one.take('taxon/a')?.value).toBe('first');
  expect(two.take('taxon/a')?.value).toBe('second');
  two.drop('taxon/a');
  expect(one.take('taxon/a')?.value).toBe('first');
});

test('another person at the same machine sees none of it', () => {
  const shared = storage();
  new Drafts(shared, 'ines', 'tab-1').keep('taxon/a', draft('typed'));
  const other = new Drafts(shared, 'tomas', 'tab-1');
  expect(other.list()).toEqual([]);
  expect(other.take('taxon/a')).toBeUndefined();
});

test('what is saved is forgotten, and those who listen are told', () => {
  const drafts = new Drafts(storage(), 'ines', 'tab-1');
  let told = 0;
  drafts.subscribe(() => (told += 1));
  drafts.keep('quiz/1', draft(1));
  drafts.drop('quiz/1');
  expect(drafts.list()).toEqual([]);
  expect(told).toBe(2);
});

test('a draft that can not be kept is said, and what another tab holds is not taken from it', () => {
  const shared = storage(120);
  new Drafts(shared, 'ines', 'tab-1').keep('taxon/a', draft('short'));
  const drafts = new Drafts(shared, 'ines', 'tab-2');
  drafts.keep('taxon/a', draft('x'.repeat(200)));
  expect(drafts.full).toBe(true);
  expect(drafts.take('taxon/a')?.value).toBe('short');
});

test('damaged storage is passed over', () => {
  const shared = storage();
  shared.setItem('hurrow.draft|ines|taxon/a|tab-0', '{"title":');
  expect(new Drafts(shared, 'ines', 'tab-1').take('taxon/a')).toBeUndefined();
});
