import type { InstrumentNews } from '@hurrow/contract/instruments';
import { StandInLine } from '../testing/heard.ts';
import { hookOnPage } from '../testing/page.tsx';
import { useHere, useInstruments } from './useInstruments.ts';

const fix = { latitude: 47.6, longitude: -116.4, error: 1.2 };
const speaking = { instrument: 'receiver', line: 'speaking', fix } as unknown as InstrumentNews;

test('what each instrument said last stands, and the line is closed with the page', async () => {
  const [...before] = StandInLine.install();
  expect(before).toEqual([]);
  const page = hookOnPage(useInstruments);
  const [line] = StandInLine.opened;
  await page.does(() => line!.say(speaking));
  await page.does(() => line!.say({ instrument: 'rangeFinder', line: 'silent' }));
  await page.does(() => line!.say({ ...speaking, line: 'silent' }));
  expect(page.now()).toMatchObject({ receiver: { line: 'silent' }, rangeFinder: { line: 'silent' } });
  page.leave();
  expect(line!.readyState).toBe(StandInLine.CLOSED);
});

/** A phone that says where it is, or refuses. */
function phone(says: 'here' | 'no' | 'nothing') {
  const watched: number[] = [];
  const cleared: number[] = [];
  if (says === 'nothing') {
    Reflect.deleteProperty(navigator, 'geolocation');
    return { watched, cleared };
  }
  Object.defineProperty(navigator, 'geolocation', {
    configurable: true,
    value: {
      watchPosition: (found: (at: unknown) => void, refused: () => void) => {
        watched.push(1);
        if (says === 'here') found({ coords: { latitude: 1, longitude: 2, accuracy: 9 } });
        else refused();
        return watched.length;
      },
      clearWatch: (id: number) => cleared.push(id),
    },
  });
  return { watched, cleared };
}

test('a phone is asked where it is only where its bearer wants that, and no longer than the page is open', async () => {
  const { watched, cleared } = phone('here');
  const page = hookOnPage(() => useHere(undefined));
  expect(watched).toEqual([]);
  expect(page.now()).toMatchObject({ here: undefined, asked: false, problem: '' });
  await page.does(({ ask }) => ask());
  expect(page.now().here).toEqual({ latitude: 1, longitude: 2, error: 9 });
  page.leave();
  expect(cleared).toEqual([1]);
});

test('the receiver is believed before the phone, while it speaks', async () => {
  phone('here');
  const page = hookOnPage(() => useHere(speaking));
  await page.does(({ ask }) => ask());
  expect(page.now().here).toEqual(fix);
  const silent = hookOnPage(() => useHere({ ...speaking, line: 'silent' } as InstrumentNews));
  expect(silent.now().here).toBeUndefined();
});

test.each(['no', 'nothing'] as const)(
  'a phone that answers “%s” is told of, with what else there is',
  async (says) => {
    phone(says);
    const page = hookOnPage(() => useHere(undefined));
    await page.does(({ ask }) => ask());
    expect(page.now().problem).toMatch(/^This phone does not say where it is\./);
    expect(page.now().here).toBeUndefined();
  },
);
