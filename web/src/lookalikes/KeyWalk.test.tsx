import { buildKey, type Key } from '@hurrow/core/key';
import { MEDIUM_VIEWS } from '@hurrow/core/view';
import { fireEvent, hookOnPage, screen, shownOnPage } from '../testing/page.tsx';
import { standIn } from '../testing/server.ts';
import { course, library, scoreOf, USUAL } from '../testing/taught.ts';
import { KeyWalk } from './KeyWalk.tsx';
import { askedWhole, LEVELS, useGround, type Ground } from './setting.ts';

const VIEW = { ...MEDIUM_VIEWS.cutting, day: 213, qualifiers: {} };
/** A library in which buds clinch what lobes and needles part. */
const held = library();
['two', 'several', 'one', 'several'].forEach((scales, i) =>
  held.taxa[i]!.scores.push(scoreOf('bud.scales', scales)),
);

/** The ground that a page of Lookalikes works on, with all that is taught or `only` some of it. */
async function groundOf(level: 'beginner' | 'advanced' = 'advanced', only = ''): Promise<Ground> {
  standIn({ ...USUAL, 'GET /api/library': held, 'GET /api/courses/{courseId}': course() });
  const page = hookOnPage(() => useGround('course', VIEW, level, [], only));
  await page.until((ground) => ground?.course);
  return page.now()!;
}
const whole = () => groundOf('advanced', held.taxa.map(({ taxon }) => taxon.id).join());

async function walking(change: (key: Key) => Key = (key) => key) {
  const ground = await whole();
  const { list, vocabulary, view, options } = ground.setting;
  let left = false;
  const key = change(buildKey(list, vocabulary, view, options));
  shownOnPage(<KeyWalk keyTo={key} ground={ground} leave={() => (left = true)} />);
  return { hasLeft: () => left };
}
const leads = () => [...document.querySelectorAll<HTMLButtonElement>('button.walk-lead')];
const status = () => screen.getByRole('status').textContent;
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));

test('one question a screen, with how many names are left, to a name with what clinches it', async () => {
  await walking();
  expect(status()).toBe('4 names are left.');
  const needles = leads().findIndex(({ textContent }) => /bundled/.test(textContent ?? ''));
  fireEvent.click(leads()[needles]!);
  expect(screen.getByRole('heading', { name: 'It comes out as' })).toBeTruthy();
  expect(screen.getByText('white pine')).toBeTruthy();
  expect(status()).toBe('Question 2. One name is left.');
  expect(screen.getByText(/^To be sure, look:/).textContent).toMatch(
    /go back to the question that was least clear/,
  );
});

test('whoever cannot tell goes all ways, and is told what is still open', async () => {
  await walking();
  press('I can’t see it');
  expect(screen.getByText(/left open and will be gone too\./)).toBeTruthy();
  expect(status()).toMatch(/^Question 2\. 4 names are left\./);
  press('Back');
  expect(status()).toBe('4 names are left.');
});

test('back from the first question leaves the key, and an end begins it again', async () => {
  const { hasLeft } = await walking();
  const needles = leads().findIndex(({ textContent }) => /bundled/.test(textContent ?? ''));
  fireEvent.click(leads()[needles]!);
  press('Begin again');
  expect(status()).toBe('4 names are left.');
  press('Leave');
  expect(hasLeft()).toBe(true);
});

test('words of the instructor’s own stand in the place of the conditions', async () => {
  await walking((key) =>
    key.root.kind === 'couplet'
      ? {
          ...key,
          root: { ...key.root, leads: key.root.leads.map((lead, i) => ({ ...lead, words: `Lead ${i}` })) },
        }
      : key,
  );
  expect(leads().map(({ textContent }) => textContent)).toEqual(['Lead 0', 'Lead 1']);
});

describe('what a page of Lookalikes works on', () => {
  test('the taught list at the site of the course; or those that are named', async () => {
    const taught = await groundOf();
    expect(taught.setting.list.map(({ taxon }) => taxon.id)).toEqual([
      'acer-rubrum',
      'acer-saccharum',
      'betula-lenta',
    ]);
    expect(taught.asked).toMatchObject({ revision: 7, tag: 'a', options: { site: { elevation: 780 } } });
    const few = await groundOf('advanced', 'acer-rubrum,pinus-strobus');
    expect(few.setting.list.map(({ taxon }) => taxon.id)).toEqual(['acer-rubrum', 'pinus-strobus']);
    expect(few.inputs).not.toEqual(taught.inputs);
  });
  test('characters above the level are left out, and a kept key may still ask for them', async () => {
    const ground = await groundOf('beginner');
    expect([...ground.setting.vocabulary.values()].every(({ level }) => level === 'beginner')).toBe(true);
    expect(ground.asked.levels).toEqual(['beginner']);
    expect(askedWhole(ground, VIEW)).toMatchObject({
      levels: LEVELS,
      taxa: held.taxa.map(({ taxon }) => taxon.id),
    });
  });
});
