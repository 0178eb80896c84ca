import type { Telling } from '../attention/index.ts';
import {
  misreadOrOverlooked,
  type CharacterFinding,
  type ConfusionReport,
  type ReadingFinding,
} from '../confusion/index.ts';
import { counted } from '../words/index.ts';
import type { Finding } from './ranked.ts';
import { saidUse, verdictOf, type UseSaid, type Verdict } from './verdict.ts';

/** A piece of a sentence: words, words that matter, the name of a tree or character, or a pair that can be opened. */
export type Piece =
  | string
  | { strong: string }
  | { taxon: string }
  | { character: string }
  | { state: string; of: string }
  /** Where the tree is the sentence's subject, its name is left out. */
  | { pair: { truth: string; answer: string }; nameOnly?: boolean };

/** What is said of a finding, before names are put in: the same on the screen, on paper and in a file. */
export interface Said {
  headline: Piece[];
  sentences: Piece[];
  /** Of a character. */
  verdict?: Verdict;
  /** What to show side by side, where one pair stands for it. */
  pair?: { truth: string; answer: string };
  /** Answers that it rests on, by id. */
  behind: readonly string[];
}

/** Below so many students a class is small. */
const SMALL = 10;
const MOST = 3;

/** What is said of a finding. Of single students nothing: names alone do not tell who looks at what. */
export function say(found: Finding, report: Pick<ConfusionReport, 'readings' | 'students'>): Said {
  switch (found.kind) {
    case 'name':
      return ofName(found.name);
    case 'species':
      return ofSpecies(found.species);
    case 'character':
      return ofCharacter(found.character, report, found.together ?? []);
  }
}

function ofName({ taxonId, given, truths, behind }: Extract<Finding, { kind: 'name' }>['name']): Said {
  return {
    headline: ['The name ', { taxon: taxonId }, ' is given too readily'],
    sentences: [
      `Written ${counted(given, 'time')} where it was wrong, for ${counted(truths, 'different tree')}, beyond what likeness brings.`,
    ],
    behind,
  };
}

function ofSpecies(species: Extract<Finding, { kind: 'species' }>['species']): Said {
  const { taxonId, asked, wrong, scatters, called, behind } = species;
  const [first] = called;
  const names = called.map(({ answer, count }) => ({
    of: { pair: { truth: taxonId, answer }, nameOnly: true },
    count,
  }));
  return {
    headline: [{ taxon: taxonId }, scatters ? ' is not known' : ' is missed more than its likeness explains'],
    sentences: [
      'Missed in ',
      { strong: String(wrong) },
      ` of ${asked} answers. `,
      scatters
        ? `The errors scatter over ${counted(called.length, 'name')}, like or not: teach the tree itself. `
        : 'The characters alone would lead one to expect fewer. ',
      ...(called.length > 0 ? ['Called ', ...mostOf(names, 'name')] : []),
    ],
    // One that lands on one name in most cases is shown beside it.
    ...(first && first.count > wrong / 2 ? { pair: { truth: taxonId, answer: first.answer } } : {}),
    behind,
  };
}

function ofCharacter(
  found: Extract<Finding, { kind: 'character' }>['character'],
  report: Pick<ConfusionReport, 'readings' | 'students'>,
  together: readonly string[],
): Said {
  const { characterId, worth, pairs, telling, behind, told, sure } = found;
  const reading = report.readings.find((entry) => entry.characterId === characterId);
  const verdict = verdictOf(found, reading);
  const mixedUp = pairs.map(({ truth, answer, count }) => ({ of: { pair: { truth, answer } }, count }));
  return {
    verdict,
    headline: [{ character: characterId }, `: ${verdict}`],
    sentences: [
      ...(told ? ofTold(told) : []),
      ...(worth && (!told || sure) ? ofUse(saidUse(worth), counted(telling.length, 'station')) : []),
      ...(pairs.length > 0 ? mostOf(mixedUp, 'pair') : []),
      ...(together.length > 0
        ? [
            ' With it go ',
            ...together.flatMap((character, i): Piece[] => [...(i > 0 ? [', '] : []), { character }]),
            ': they tell the same errors; teach them as one.',
          ]
        : []),
      ...(reading ? ofReading(reading, sure) : []),
      ...(sure ? [] : ofDoubt(found, report.students)),
      ...(report.students < SMALL ? [' A small class: take it as a hint.'] : []),
    ],
    ...(pairs[0] ? { pair: pairs[0] } : {}),
    behind,
  };
}

/** The first few with their counts, and how many more there are: “grand fir 24, western larch 3, and 5 names more.” */
function mostOf(entries: readonly { of: Piece; count: number }[], what: string): Piece[] {
  const first = entries
    .slice(0, MOST)
    .flatMap(({ of, count }, i): Piece[] => [...(i > 0 ? [', '] : []), of, ` ${count}`]);
  const rest = entries.length - MOST;
  return [...first, rest > 0 ? `, and ${counted(rest, what)} more.` : '.'];
}

function ofUse({ text, range }: UseSaid, stations: string): Piece[] {
  return range
    ? ['Used at ', { strong: text }, ` of its worth (${range}), at ${stations} where it could tell. `]
    : ['Share of its worth used: ', { strong: text }, `, from ${stations} where it could tell. `];
}

/** How often it was told of, against what is usual. */
const ofTold = ({ offered, told, expected }: Telling): Piece[] => [
  'Asked what they went by, they told of it ',
  { strong: told === 0 ? 'never' : counted(told, 'time') },
  ` on ${counted(offered, 'checklist')}; of most characters it would have been about ${Math.max(1, Math.round(expected))}. `,
];

/** Ticks that a typical character should bring before a finding is judged. */
const ENOUGH_TOLD = 10;

/** What would make it sure, where it is not. */
function ofDoubt({ told, telling }: Pick<CharacterFinding, 'told' | 'telling'>, students: number): Piece[] {
  if (!told)
    return [
      ' By the names alone nobody can tell: ask what they went by at ',
      telling.length > 1 ? 'stations like these.' : 'a station like this.',
    ];
  if (told.expected >= ENOUGH_TOLD)
    return [
      ' Can’t tell yet: it is told of less than others, but not so much less that it must be passed over.',
    ];
  // A checklist of the whole class brings about so many ticks of a typical character.
  const each = Math.max(1, (told.expected * students) / Math.max(1, told.offered));
  const more = Math.ceil((ENOUGH_TOLD - told.expected) / each);
  return [` Can’t tell yet: ${counted(more, 'more station')} that ask what they went by would.`];
}

/** Of a character that is used too little: whether it is misread even when looked at, or read well and only overlooked. */
export function ofReading(reading: ReadingFinding, sure = true): Piece[] {
  const { characterId, readings, wrong, interval, mistaken } = reading;
  const asked = ` Asked what they see, ${readings - wrong} of ${readings} read it right`;
  const [first] = mistaken;
  switch (misreadOrOverlooked(reading)) {
    case 'overlooked':
      return sure
        ? [`${asked}: it is `, { strong: 'overlooked' }, ', not misread. Put the two side by side.']
        : [`${asked}: whoever looks reads it well.`];
    case 'misread':
      return [
        ` Asked what they see, ${wrong} of ${readings} `,
        { strong: 'misread' },
        ' it',
        ...(first ? [', most often as “', { state: first.said, of: characterId }, '”'] : []),
        ': teach the character itself first.',
      ];
    default:
      return [
        `${asked}: too few to say whether it is misread or overlooked (${percentRange(interval)} wrong).`,
      ];
  }
}

/** Names as a course says them. */
export interface Naming {
  taxon(id: string): string;
  character(id: string): string;
  state(characterId: string, stateId: string): string;
}

/** A piece of a sentence as plain words. */
export function inWords(piece: Piece, names: Naming): string {
  if (typeof piece === 'string') return piece;
  if ('strong' in piece) return piece.strong;
  if ('taxon' in piece) return names.taxon(piece.taxon);
  if ('character' in piece) return names.character(piece.character);
  if ('state' in piece) return names.state(piece.of, piece.state);
  const { truth, answer } = piece.pair;
  return piece.nameOnly ? names.taxon(answer) : `${names.taxon(truth)} → ${names.taxon(answer)}`;
}

/**
 * A headline or sentences as plain words, beginning with a capital.
 *
 * @example
 * asText(say(found, report).headline, names); // 'White bands: used too little'
 */
export function asText(pieces: readonly Piece[], names: Naming): string {
  const text = pieces.map((piece) => inWords(piece, names)).join('');
  return text.charAt(0).toUpperCase() + text.slice(1);
}

const percentRange = ([low, high]: readonly [number, number]): string =>
  `${Math.round(low * 100)}–${Math.round(high * 100)} %`;
