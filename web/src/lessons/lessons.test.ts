import type { Photo } from '@hurrow/contract/photos';
import { NO_EDITS, type LessonStop } from '@hurrow/core/lesson';
import {
  acknowledged,
  hid,
  inOtherOrder,
  noted,
  reworded,
  underEdits,
  wholeEdits,
  withoutSlide,
  withSlide,
} from './editing.ts';
import { photosOf, pictured, stayingSaid } from './lessonPhotos.ts';
import { BEGIN, clock, shownOf, stepOfKey, stepped, titleSaid } from './showing.ts';

const stop = (key: string, more: Partial<LessonStop> = {}): LessonStop => ({
  key,
  kind: 'tree',
  title: key,
  words: `said of ${key}`,
  taxa: [],
  characters: [],
  shows: [],
  hidden: false,
  ...more,
});
const stops = [stop('a'), stop('b'), stop('c')];

describe('editing', () => {
  test('a reworded point keeps what it was made from, and follows the scores again when its words go', () => {
    const edits = reworded(NO_EDITS, stops[0]!, 'my words');
    expect(edits.reworded).toEqual({ a: { words: 'my words', from: 'said of a' } });
    expect(underEdits(stops, edits)[0]).toMatchObject({ words: 'my words', generated: 'said of a' });
    expect(reworded(edits, stops[0]!, ' ').reworded).toEqual({});
    expect(
      reworded(edits, { ...stops[0]!, words: 'my words', generated: 'said of a' }, 'said of a').reworded,
    ).toEqual({});
  });
  test('a draft from before there were photos is taken as it is', () => {
    const { pictures: _pictures, ...older } = noted(NO_EDITS, 'a', 'Hold one up.');
    expect(wholeEdits(older)).toEqual({ ...NO_EDITS, notes: { a: 'Hold one up.' } });
    expect(underEdits(stops, wholeEdits(older))[0]!.note).toBe('Hold one up.');
  });
  test('when the scores say something else, that is remarked until it is acknowledged', () => {
    const edits = reworded(NO_EDITS, stops[0]!, 'my words');
    const later = underEdits([stop('a', { words: 'new scores' })], edits)[0]!;
    expect(later.outdated).toBe(true);
    expect(
      underEdits([stop('a', { words: 'new scores' })], acknowledged(edits, later))[0]!.outdated,
    ).toBeUndefined();
  });
  test('points are hidden, moved and noted', () => {
    const edits = noted(inOtherOrder(hid(NO_EDITS, 'b'), stops, 'c', -1), 'a', 'bring cones');
    const made = underEdits(stops, edits);
    expect(made.map(({ key }) => key)).toEqual(['a', 'c', 'b']);
    expect(made[0]!.note).toBe('bring cones');
    expect(shownOf(made).map(({ key }) => key)).toEqual(['a', 'c']);
    expect(hid(edits, 'b').hidden).toEqual([]);
    expect(noted(edits, 'a', '').notes).toEqual({});
  });
  test('a slide of one’s own stands after its point, is reworded in place and taken out', () => {
    const slide = { key: 'own/1', title: 'Mine', words: '' };
    const edits = reworded(withSlide(NO_EDITS, stops, 'a', slide), stop('own/1', { kind: 'own' }), 'hello');
    expect(underEdits(stops, edits).map(({ key }) => key)).toEqual(['a', 'own/1', 'b', 'c']);
    expect(edits.own[0]!.words).toBe('hello');
    expect(underEdits(stops, withoutSlide(edits, 'own/1'))).toHaveLength(3);
  });
});

describe('showing', () => {
  test('one goes on and back, and not beyond the ends', () => {
    const second = stepped(BEGIN, 'on', 2);
    expect(second.at).toBe(1);
    expect(stepped(second, 'on', 2)).toEqual(second);
    expect(stepped(second, 'back', 2).at).toBe(0);
    expect(stepped(BEGIN, { to: 9 }, 4).at).toBe(3);
  });
  test('asking first, a point is shown without its line, which comes with the next press', () => {
    const asking = stepped(BEGIN, 'ask', 3);
    expect(asking.told).toBe(false);
    const told = stepped(asking, 'on', 3);
    expect(told).toMatchObject({ at: 0, told: true });
    expect(stepped(told, 'on', 3)).toMatchObject({ at: 1, told: false });
    expect(stepped(stepped(told, 'on', 3), 'back', 3)).toMatchObject({ at: 0, told: true });
  });
  test('a specimen to call is asked first, whatever was chosen', () => {
    const isCall = (at: number) => at === 1;
    const call = stepped(BEGIN, 'on', 3, isCall);
    expect(call).toMatchObject({ at: 1, told: false });
    const told = stepped(call, 'on', 3, isCall);
    expect(told).toMatchObject({ at: 1, told: true });
    expect(stepped(told, 'on', 3, isCall)).toMatchObject({ at: 2, told: true });
    expect(stepped(BEGIN, { to: 1 }, 3, isCall).told).toBe(false);
  });
  test('a press in the blank brings the sheet back and nothing else', () => {
    const blank = stepped(BEGIN, 'blank', 3);
    expect(blank.blank).toBe(true);
    expect(stepped(blank, 'on', 3)).toEqual(BEGIN);
  });
  test('keys and clickers', () => {
    expect(['PageDown', 'PageUp', '.', 'x'].map(stepOfKey)).toEqual(['on', 'back', 'blank', undefined]);
    expect(clock(247)).toBe('4:07');
  });
});

describe('photos of a point', () => {
  const photo = (id: string, credit = 'E. Ash'): Photo => ({
    id,
    taxonId: 't',
    width: 4,
    height: 3,
    record: { organ: 'bark', qualifiers: {}, credit, licence: 'CC BY 4.0', annotations: [] },
  });
  test('two stand side by side, a third takes the place of the last, and one pressed again goes', () => {
    const young = pictured(NO_EDITS, 'a', 'young');
    const both = pictured(young, 'a', 'mature');
    expect(both.pictures).toEqual({ a: ['young', 'mature'] });
    expect(pictured(both, 'a', 'old').pictures).toEqual({ a: ['young', 'old'] });
    expect(pictured(young, 'a', 'young').pictures).toEqual({});
    expect(underEdits(stops, both)[0]!.photos).toEqual(['young', 'mature']);
    // One that was saved and is taken away again is gone before that is saved.
    const saved = [stop('a', { photos: ['young'] })];
    expect(underEdits(saved, NO_EDITS)[0]!.photos).toBeUndefined();
  });
  test('one that was taken out of the library is not shown', () => {
    expect(photosOf({ photos: ['gone', 'b'] }, [photo('a'), photo('b')])).toEqual([photo('b')]);
    expect(photosOf({}, [photo('a')])).toEqual([]);
  });
  test('what has no credit stays in the class room, and that is said', () => {
    expect(stayingSaid([photo('a')])).toBeUndefined();
    expect(stayingSaid([photo('a', ' ')])).toMatch(/^Without credit/);
    expect(stayingSaid([photo('a'), photo('b', '')])).toMatch(/^One is without/);
  });
});

test('the title of a point is said in the language of the page, that of an own slide as it was written', () => {
  const say = (title: string) => `${title} in another language`;
  expect(titleSaid({ kind: 'tree', title: 'Care' }, say)).toBe('Care in another language');
  expect(titleSaid({ kind: 'own', title: 'Care' }, say)).toBe('Care');
});
