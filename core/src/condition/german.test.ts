import { BUILT_IN, saidIn } from '../vocabulary/index.ts';
import { GERMAN } from '../vocabulary/german/index.ts';
import { conditionInWords, type Condition } from './index.ts';

const german = saidIn(GERMAN, BUILT_IN);

test.each<[Condition, string]>([
  [{ characterId: 'bud.scales', states: ['none', 'two'] }, 'Knospenschuppen: nackt oder zwei klappig'],
  [{ characterId: 'twig.zigzag', present: false }, 'Zweig im Zickzack: nein'],
  [{ characterId: 'bark.surface', states: ['smooth'], present: false }, 'Rinde: nicht glatt'],
  [{ characterId: 'leaf.length', from: 0.065 }, 'Spreitenlänge: 6,5 cm oder mehr'],
  [{ characterId: 'leaf.length', below: 0.065 }, 'Spreitenlänge: weniger als 6,5 cm'],
  [{ characterId: 'leaf.leaflets', from: 3, below: 6 }, 'Zahl der Blättchen: 3 bis 5'],
  [{ characterId: 'leaf.leaflets', below: 6 }, 'Zahl der Blättchen: 5 oder weniger'],
])('a condition on %o is said in German', (condition, words) => {
  expect(conditionInWords(condition, german, 'technical', 'metric')).toBe(words);
});
