import { BUILT_IN, saidIn } from '../vocabulary/index.ts';
import { GERMAN } from '../vocabulary/german/index.ts';
import { parseScore } from './parseScore.ts';
import { qualifiersInWords, valueInWords } from './words.ts';

const german = saidIn(GERMAN, BUILT_IN);

const said = (id: string, text: string, units: 'metric' | 'imperial' = 'metric') => {
  const read = parseScore(text, BUILT_IN.get(id)!);
  if (!read.ok) throw new Error(read.problem);
  return [BUILT_IN, german].map((vocabulary) =>
    valueInWords(read.value, vocabulary.get(id)!, 'technical', units),
  );
};

test.each([
  [
    'leaf.shape',
    'usually ovate; sometimes elliptic',
    'ovate, sometimes elliptic',
    'eiförmig, manchmal elliptisch',
  ],
  ['bark.surface', 'smooth; banded', 'smooth and banded with lenticels', 'glatt und quer gebändert'],
  ['twig.zigzag', 'rarely', 'seldom', 'selten'],
  ['bud.resin', 'no', 'no', 'nein'],
  ['leaf.length', '(4) 5.5–9 (10) cm', '(4) 5.5–9 (10) cm', '(4) 5,5–9 (10) cm'],
  ['leaf.leaflets', '5–9, odd, usually 7', '5–9, odd, usually 7', '5–9, ungerade, meist 7'],
  ['habit.lifespan', 'about 200 years', 'about 200 years', 'etwa 200 Jahre'],
  ['leaf.teethPerCm', 'to 4', 'to 4 per cm', 'bis 4 je cm'],
])('%s %s is said in English and in German', (id, text, english, inGerman) => {
  expect(said(id, text)).toEqual([english, inGerman]);
});

test.each([
  ['leaf.shape', 'meist eiförmig, manchmal elliptisch'],
  ['leaf.shape', 'usually ovate; sometimes elliptic'],
  ['leaf.shape', 'lanzettlich oder linealisch'],
  ['twig.zigzag', 'selten'],
  ['bud.resin', 'ja'],
  ['bud.resin', 'no'],
])('%s “%s” is read by a vocabulary in German', (id, text) => {
  expect(parseScore(text, german.get(id)!)).toMatchObject({ ok: true });
});

test('what is said in German is read as what it was', () => {
  for (const [id, text] of [
    ['leaf.shape', 'usually ovate; sometimes elliptic'],
    ['twig.zigzag', 'rarely'],
    ['bud.resin', 'no'],
  ] as const) {
    const read = parseScore(text, BUILT_IN.get(id)!);
    if (!read.ok) throw new Error(read.problem);
    const words = valueInWords(read.value, german.get(id)!);
    expect(parseScore(words, german.get(id)!)).toEqual(read);
  }
});

test('what a score holds for is said by its words', () => {
  const qualifiers = { plantAge: 'young', partAge: 'current', light: 'shade' } as const;
  expect(qualifiersInWords(qualifiers)).toBe("young, this year's, shade");
  expect(qualifiersInWords(qualifiers, GERMAN)).toBe('jung, diesjährig, Schatten');
});
