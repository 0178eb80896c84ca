import { usualWishes } from '@hurrow/core/assembly';
import type Joi from 'joi';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import * as accounts from './accounts.ts';
import * as assembly from './assembly.ts';
import * as characters from './characters.ts';
import * as courses from './courses.ts';
import * as grounds from './grounds.ts';
import * as library from './library.ts';
import * as marking from './marking.ts';
import * as notebook from './notebook.ts';
import * as outings from './outings.ts';
import * as quizzes from './quizzes.ts';
import * as rulings from './rulings.ts';
import * as rounds from './rounds.ts';
import * as session from './session.ts';
import * as sitting from './sitting.ts';

/** What somebody is told of a body that is not taken; empty where it is taken. */
function told(schema: Joi.ObjectSchema | undefined, body: unknown): string {
  const { error } = schema!.validate(body, { abortEarly: false, convert: true });
  return (error?.details ?? []).map(({ message }) => message).join('. ');
}
const taken = (schema: Joi.ObjectSchema | undefined, body: unknown): unknown =>
  schema!.validate(body, { convert: true }).value;
type Body = Record<string, unknown>;
/** A body that is taken, with one thing changed. */
const but = (body: Body, change: Body): Body => ({ ...body, ...change });

const COURSE: Body = {
  name: 'Trees in autumn',
  startsOn: '2026-09-07',
  weeks: 12,
  audience: 'plain',
  units: 'metric',
  marking: { policy: 'binomial', points: { name: 2, genus: 1, epithet: 1, family: 1 }, deduction: 0.25 },
  latitude: 47.6,
  longitude: -116.4,
  elevation: 780,
};

test('a course as it is usually set is taken', () => expect(told(courses.add.body, COURSE)).toBe(''));
test.each<[string, Body, RegExp]>([
  ['no name', { name: ' ' }, /"Name of the course" is not allowed to be empty/],
  ['a day that is none', { startsOn: '2026-02-30' }, /"First day" is no date; write it like 2026-10-15/],
  ['a day as it is spoken', { startsOn: '7 Sept 2026' }, /"First day" is no date/],
  ['a day of another age', { startsOn: '0226-09-07' }, /"First day" is no date/],
  ['no week', { weeks: 0 }, /"Weeks" must be greater than or equal to 1/],
  ['half a week', { weeks: 2.5 }, /"Weeks" must be an integer/],
  ['an audience nobody speaks to', { audience: 'children' }, /"Audience" must be one of/],
  ['a place off the globe', { latitude: 97 }, /"Latitude" must be less than or equal to 90/],
  ['a place in words', { longitude: 'west' }, /"Longitude" must be a number/],
  ['what nobody asked for', { owner: 'me' }, /"owner" is not allowed/],
])('a course with %s is refused by the title of its field', (_what, change, message) =>
  expect(told(courses.add.body, but(COURSE, change))).toMatch(message),
);
test('all that is wrong is told at once', () => {
  const both = told(courses.add.body, but(COURSE, { name: '', weeks: -1 }));
  expect(both).toMatch(/Name of the course/);
  expect(both).toMatch(/Weeks/);
});
const STATION: Body = {
  taxonId: 'acer-rubrum',
  medium: 'cutting',
  view: { organs: ['twig', 'leaf'], nearness: 'hand', aids: ['eye'], day: 288 },
};
const PLAN: Body = { title: 'Twigs', heldOn: '2026-10-15', stations: [STATION] };
const planWith = (change: Body): Body => but(PLAN, { stations: [but(STATION, change)] });

test('a plan as it is usually made is taken, and what is left open has its usual value', () => {
  expect(told(quizzes.plan.body, PLAN)).toBe('');
  expect(taken(quizzes.plan.body, PLAN)).toMatchObject({
    stations: [{ asks: [], wentBy: false, choose: false, prompt: null, question: null }],
  });
});
test.each<[string, Body, RegExp]>([
  [
    'nothing to see',
    { view: { organs: [], nearness: 'hand', aids: ['eye'] } },
    /“What is shown” needs at least one part of the plant/,
  ],
  ['a medium nobody has', { medium: 'hologram' }, /"Medium" must be one of/],
  ['no species', { taxonId: undefined }, /"Species" is required/],
  ['too much to see', { asks: ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h', 'i'] }, /Take one away/],
  ['an individual that is none', { seed: 0 }, /seed/],
  ['a question nobody asks', { question: { kind: 'weather' } }, /must be one of/],
  [
    'a number off by all of it',
    { question: { kind: 'number', characterId: 'bud.length', within: 3 } },
    /"May be off by"/,
  ],
])('a station with %s is refused', (_what, change, message) =>
  expect(told(quizzes.plan.body, planWith(change))).toMatch(message),
);
test.each<Body>([
  { kind: 'family' },
  { kind: 'state', characterId: 'bud.scales' },
  { kind: 'sort', characterId: 'leaf.margin' },
  { kind: 'settles', from: 'acer-nigrum' },
  { kind: 'number', characterId: 'bud.length', within: 0.25 },
])('a station may ask %j in place of the name', (question) =>
  expect(told(quizzes.plan.body, planWith({ question }))).toBe(''),
);

const RULING: Body = { truth: 'rubrum', answer: { genus: 'Swamp' }, countsAs: null };
test('points by hand need a reason, and a ruling by name none', () => {
  expect(told(rulings.rule.body, RULING)).toBe('');
  expect(told(rulings.rule.body, but(RULING, { points: { genus: 1 } }))).not.toBe('');
  expect(told(rulings.rule.body, but(RULING, { points: { genus: 1 }, reason: '  ' }))).not.toBe('');
  expect(told(rulings.rule.body, but(RULING, { points: { genus: 1 }, reason: 'torn paper' }))).toBe('');
});

const ID = '6f0c2a52-6d6c-4f1e-9d8f-2b8f5c0a1b2c';
const WRITTEN: Body = {
  id: ID,
  stationId: ID,
  answer: { genus: 'Acer', sure: 'sure', wentBy: ['bud.scales'] },
  device: 'phone',
  sequence: 4,
  writtenAt: '2026-10-15T16:00:00Z',
};
test('answers are looked at one by one: a bad one must not refuse the others', () => {
  expect(sitting.answer.severally).toBe(true);
  expect(told(sitting.answer.body, { responses: [WRITTEN] })).toBe('');
});
test.each<[string, Body]>([
  ['longer than a name can be', { answer: { genus: 'a'.repeat(201) } }],
  ['by more than three things', { answer: { genus: 'Acer', wentBy: ['a', 'b', 'c', 'd'] } }],
  ['surer than one can say', { answer: { genus: 'Acer', sure: 'utterly' } }],
  ['with what nobody asks', { answer: { genus: 'Acer', mark: 2 } }],
  ['out of order', { sequence: -1 }],
  ['at no time', { writtenAt: 'yesterday' }],
])('an answer %s is not taken', (_what, change) =>
  expect(told(quizzes.responseSchema as Joi.ObjectSchema, but(WRITTEN, change))).not.toBe(''),
);

test('a group that goes together is no larger than what a station holds', () => {
  const usual = rounds.USUAL_ROUNDS as unknown as Body;
  expect(told(rounds.change.body, usual)).toBe('');
  expect(told(rounds.change.body, but(usual, { together: 3 }))).toBe(
    'A group is no larger than what a station holds. Make the group smaller.',
  );
  expect(told(rounds.change.body, but(usual, { together: 3, capacity: 4 }))).toBe('');
  expect(told(rounds.change.body, but(usual, { seconds: 2 }))).toMatch(/"Seconds at a station"/);
  expect(told(rounds.change.body, but(usual, { extra: { ava: 5 } }))).not.toBe('');
});

test('a proposal needs a kind of station and a set, and says so', () => {
  const asked = { heldOn: '2026-10-15', wishes: { ...usualWishes(10, []), kinds: {} } };
  const message = told(assembly.propose.body, asked);
  expect(message).toMatch(/Choose at least one kind of station\./);
  expect(message).toMatch(/Choose at least one set to examine\./);
});

const TAXON: Body = {
  genus: 'Acer',
  epithet: 'rubrum',
  family: 'Sapindaceae',
  commonNames: ['red maple'],
  synonyms: [],
  calendar: { leaves: [{ from: 120, to: 290 }] },
  cautions: [],
};
const saving = (change: Body, changes: unknown[] = []): Body => ({
  taxon: but(TAXON, change),
  changes,
  baseRevision: 7,
});
test.each<[string, Body, RegExp]>([
  ['a genus written small', { genus: 'acer' }, /“Genus” begins with a capital letter and has letters only/],
  ['a genus with a number', { genus: 'Acer2' }, /“Genus” begins with a capital letter/],
  ['no family', { family: '' }, /"Family"/],
  [
    'a day past the year',
    { calendar: { leaves: [{ from: 120, to: 366 }] } },
    /must be less than or equal to 365/,
  ],
  [
    'a caution of no kind',
    { cautions: [{ kind: 'odd', part: 'bark', effect: 'a', care: 'b' }] },
    /must be one of/,
  ],
  [
    'a tree beyond all trees',
    { largest: [{ place: 'x', year: 2020, girth: 70, height: 40, crownSpread: 20 }] },
    /"Girth"/,
  ],
])('a species with %s is refused', (_what, change, message) => {
  expect(told(library.addTaxon.body, saving({}))).toBe('');
  expect(told(library.addTaxon.body, saving(change))).toMatch(message);
});
test('an epithet is kept as it is written in science: small', () =>
  expect(taken(library.addTaxon.body, saving({ epithet: 'Rubrum ' }))).toMatchObject({
    taxon: { epithet: 'rubrum', rank: 'species' },
  }));
test.each<[unknown, boolean]>([
  [{ kind: 'states', states: [{ state: 'opposite', frequency: 'usually' }] }, true],
  [{ kind: 'states', states: [] }, false],
  [{ kind: 'states', states: [{ state: 'opposite', frequency: 'often' }] }, false],
  [{ kind: 'flag', frequency: 'never' }, true],
  [{ kind: 'range', low: 0.004, high: 0.008, n: 12 }, true],
  [{ kind: 'range', low: 'short' }, false],
  [{ kind: 'months', arcs: [] }, false],
  [null, true],
])('a score of %j is taken: %s', (value, isTaken) => {
  const change = { characterId: 'bud.length', sourceId: 'manual', qualifiers: {}, value };
  expect(told(library.addTaxon.body, saving({}, [change])) === '').toBe(isTaken);
});

test.each<[string, Joi.ObjectSchema | undefined, Body, RegExp]>([
  [
    'a password that is short',
    session.setUp.body,
    { password: 'short' },
    /"Password" length must be at least 12/,
  ],
  [
    'an e-mail that is none',
    accounts.add.body,
    { name: 'Nadia', email: 'nadia', role: 'instructor' },
    /"E-mail" must be a valid email/,
  ],
  [
    'a second owner',
    accounts.add.body,
    { name: 'Nadia', email: 'n@college.example', role: 'owner' },
    /"Role" must be one of/,
  ],
  [
    'an entry about no part',
    notebook.write.body,
    { day: '2026-10-15', tag: '', organ: 'shadow' },
    /"Part of the tree" must be one of/,
  ],
  ['a girth of nothing', grounds.measure.body, { value: -1, kind: 'girth' }, /"Measured value"/],
  ['a walk that begins at no hour', outings.keepWalk.body, { begins: 'noon' }, /"Begins"/],
  ['a term without weights', marking.changeScheme.body, { weights: 'even' }, /weights/],
])('%s is refused', (_what, schema, body, message) => expect(told(schema, body)).toMatch(message));

test('every character that is scored can be saved again as it stands', () => {
  const scored = [...BUILT_IN.values()].filter(({ kind, derived }) => kind !== 'months' && !derived);
  const refused = scored.flatMap((character) => {
    const why = told(characters.save.body, { character, baseRevision: 0 });
    return why ? [`${character.id}: ${why}`] : [];
  });
  expect(refused).toEqual([]);
});
