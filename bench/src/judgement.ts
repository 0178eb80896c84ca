import {
  evidenceTaken,
  pairError,
  ratioOfReadings,
  readingsOfTrees,
  SETTLED_AT,
  spokenFor,
  verdictOf,
  type Channel,
  type ProfiledTaxon,
  type Readings,
} from '@hurrow/core/evidence';
import { appraise, buildKey } from '@hurrow/core/key';
import { readLibrary } from '@hurrow/core/library';
import { normalCdf, randomFrom, type Random } from '@hurrow/core/random';
import { MEDIUM_VIEWS, type View } from '@hurrow/core/view';
import { BUILT_IN, SHOWN_BY } from '@hurrow/core/vocabulary';
import { demoLibrary } from '../../demo/src/library.ts';
import { secondFlora } from '../../demo/src/starters.ts';
import type { Row } from './row.ts';

const MATURE = { qualifiers: { plantAge: 'mature' } } as const;
const KEYS: [what: string, view: View][] = [
  ['August, leafy twig', { ...MEDIUM_VIEWS.cutting, ...MATURE, day: 213 }],
  ['January, bare twig', { ...MEDIUM_VIEWS.cutting, ...MATURE, day: 15 }],
  ['July, whole tree', { ...MEDIUM_VIEWS.livingTree, ...MATURE, day: 196 }],
  ['15 October, in leaf', { ...MEDIUM_VIEWS.cutting, ...MATURE, day: 288, leaves: 'on' }],
  ['15 October, bare', { ...MEDIUM_VIEWS.cutting, ...MATURE, day: 288, leaves: 'off' }],
];

/** What Hurrow says first: keys in five conditions, and how well the error of a pair is known. */
export function judgement(): Row[] {
  const [demo, second] = [demoLibrary(), secondFlora()].map((library) => readLibrary(library).profiles);
  const keysOf = (list: readonly ProfiledTaxon[], name: string) =>
    KEYS.flatMap(([what, view]) => keyRows(list, `${name}, ${what}`, view));
  return [...keysOf(demo!, 'demo'), ...keysOf(second!, 'second flora'), ...calibration(demo!)];
}

function keyRows(list: readonly ProfiledTaxon[], what: string, view: View): Row[] {
  const key = buildKey(list, BUILT_IN, view);
  const found = appraise(key, list, BUILT_IN, { specimens: READ });
  return [
    {
      what: `key by the book, ${what}: couplets over taxa; mean questions over log₂ n`,
      value: `${(found.couplets / list.length).toFixed(2)}; ${(found.meanQuestions / found.bound).toFixed(2)}`,
      wanted: '≤ 1.4; ≤ 1.6',
    },
    {
      what: `the same: beginners right; false confirming statements; most ends of one taxon`,
      value: `${(100 * found.right).toFixed(1)} %; ${found.falseStatements.length}; ${found.mostEnds}`,
      wanted: '≥ 80 % (leafy); 0',
    },
  ];
}

/** Specimens a taxon by which a key is appraised: the share of beginners is then known to some 0.15 points. */
const READ = 2000;

/** Characters of one organ of a specimen go together: the correlation of their normal scores. */
const TOGETHER = 0.3;
/** Specimens that are odd in an organ: what is read there is that of any tree of the list. */
const ODD = 0.03;
const SPECIMENS = 400;
const PAIRS = 300;
const BANDS = [0.005, SETTLED_AT, 0.05, 0.1, 0.2, 0.5];

/** Twigs in winter and summer, whole trees when many flower and when many are in fruit; and views that leave much open. */
const CALIBRATED: View[] = [
  { ...MEDIUM_VIEWS.barkPiece, ...MATURE, day: 213 },
  { ...MEDIUM_VIEWS.livingTree, organs: ['bark', 'fruit', 'habit'], ...MATURE, day: 260 },
  { ...MEDIUM_VIEWS.cutting, organs: ['bud'], ...MATURE, day: 15 },
  { ...MEDIUM_VIEWS.cutting, ...MATURE, day: 15 },
  { ...MEDIUM_VIEWS.cutting, ...MATURE, day: 213 },
  { ...MEDIUM_VIEWS.livingTree, ...MATURE, day: 135 },
  { ...MEDIUM_VIEWS.livingTree, ...MATURE, day: 260 },
];

/** Pe of the tool against what a reader of specimens with correlated characters and odd organs really errs. */
function calibration(list: readonly ProfiledTaxon[]): Row[] {
  const random = randomFrom(8_311);
  const bands = BANDS.map(() => ({ pairs: 0, told: 0, erred: 0 }));
  const settled = { specimens: 0, right: 0 };
  for (const view of CALIBRATED) {
    const readings = readingsOfTrees(list, BUILT_IN, view);
    const left = spokenFor(readings);
    for (let n = 0; n < PAIRS; n += 1) {
      const a = Math.floor(random.uniform() * list.length);
      const b = (a + 1 + Math.floor(random.uniform() * (list.length - 1))) % list.length;
      const { taking } = evidenceTaken(readings, left, a, b);
      const told = pairError(taking, a, b);
      const channels = taking.flatMap((entry) => entry.channels);
      let wrong = 0;
      for (let i = 0; i < SPECIMENS; i += 1) {
        const [truth, other] = i % 2 ? [a, b] : [b, a];
        const read = specimenOf(readings, truth, random);
        const ratio = ratioOfReadings(channels, truth, other, (channel) => read(channel, other));
        wrong += ratio < -1e-9 ? 1 : ratio <= 1e-9 ? 0.5 : 0;
      }
      const band = bands[BANDS.findIndex((top) => told <= top)]!;
      band.pairs += 1;
      band.told += told;
      band.erred += wrong / SPECIMENS;
      if (verdictOf(told) === 'settled') {
        settled.specimens += SPECIMENS;
        settled.right += SPECIMENS - wrong;
      }
    }
  }
  const points = (share: number) => (100 * share).toFixed(share < 0.02 ? 2 : 1);
  return [
    {
      what: 'specimens with correlated characters: told rightly where the verdict is settled',
      value: `${points(settled.right / settled.specimens)} %`,
      wanted: '≥ 97 %',
    },
    ...bands.flatMap(({ pairs, told, erred }, i): Row[] =>
      pairs === 0
        ? []
        : [
            {
              what: `error of pairs said to be ≤ ${points(BANDS[i]!)} % (${pairs} pairs): said, and found`,
              value: `${points(told / pairs)} %, ${points(erred / pairs)} %`,
              wanted: 'within a factor of 2',
            },
          ],
    ),
  ];
}

/**
 * One specimen of a taxon: what is read of it in each channel, undefined where it bears nothing to read it from. An odd organ reads as that of
 * another tree of the list.
 */
function specimenOf({ taxa }: Readings, truth: number, random: Random) {
  const organs = new Map<string, { of: number; common: number }>();
  const read = new Map<Channel, number | undefined>();
  const bears = new Map<string, number>();
  const isBorne = ({ borne, character }: Channel) => {
    const share = borne![truth]!;
    const part = SHOWN_BY[character.organ];
    // One lot for flowers, one for fruit: what is ripe is in fruit.
    if (!bears.has(part)) bears.set(part, random.uniform());
    return Number.isNaN(share) || bears.get(part)! < share;
  };
  return (channel: Channel, instead: number): number | undefined => {
    const { organ, derived } = channel.character;
    let state = organs.get(organ);
    if (!state) {
      const odd = random.uniform() < ODD;
      state = { of: odd ? Math.floor(random.uniform() * taxa.length) : truth, common: random.normal() };
      organs.set(organ, state);
    }
    if (channel.borne && derived) return isBorne(channel) ? 0 : 1;
    if (channel.borne && !isBorne(channel)) return undefined;
    if (read.has(channel)) return read.get(channel);
    const row = channel.rows[state.of] ?? channel.rows[random.uniform() < 0.5 ? truth : instead]!;
    const u = normalCdf(Math.sqrt(TOGETHER) * state.common + Math.sqrt(1 - TOGETHER) * random.normal());
    let s = 0;
    for (let below = row[0]!; below < u && s < row.length - 1; below += row[s]!) s += 1;
    read.set(channel, s);
    return s;
  };
}
