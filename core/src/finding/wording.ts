import { counted } from '../words/index.ts';
import type { Piece } from './piece.ts';
import type { UseSaid, UseWording, Verdict } from './verdict.ts';

/**
 * How findings are said. Sentences end with a space where others follow, or begin with one where they follow others; pieces that are given
 * stand in them as they are.
 */
export interface FindingWording extends UseWording {
  verdicts: Record<Verdict, string>;
  tooReadily(name: Piece): Piece[];
  notKnown(tree: Piece): Piece[];
  missedMore(tree: Piece): Piece[];
  written(given: number, truths: number): Piece[];
  missed(wrong: Piece, asked: number): Piece[];
  scatter(names: number): string;
  fewerExpected: string;
  called(names: Piece[]): Piece[];
  andMore(rest: number, what: 'name' | 'pair'): string;
  used(use: UseSaid, stations: number): Piece[];
  times(told: number): string;
  told(times: Piece, checklists: number, usual: number): Piece[];
  together(characters: Piece[]): Piece[];
  overlooked(right: number, readings: number): Piece[];
  readWell(right: number, readings: number): string;
  misread(wrong: number, readings: number, as: Piece | undefined): Piece[];
  tooFewRead(right: number, readings: number, wrong: string): string;
  askThem(stations: number): string;
  notSoMuchLess: string;
  moreStations(more: number): string;
  smallClass: string;
}

const readRight = (right: number, readings: number) =>
  ` Asked what they see, ${right} of ${readings} read it right`;

/** As the heart says them, and files with it. */
export const IN_ENGLISH: FindingWording = {
  cantTell: 'can’t tell yet',
  asAny: 'as well as any',
  orMore: (share) => `${share} or more`,
  verdicts: {
    misread: 'misread',
    'hardly looked at': 'hardly looked at',
    'used too little': 'used too little',
    'perhaps overlooked': 'perhaps overlooked',
    'used no better than the rest': 'used no better than the rest',
  },
  tooReadily: (name) => ['The name ', name, ' is given too readily'],
  notKnown: (tree) => [tree, ' is not known'],
  missedMore: (tree) => [tree, ' is missed more than its likeness explains'],
  written: (given, truths) => [
    `Written ${counted(given, 'time')} where it was wrong, for ${counted(truths, 'different tree')}, beyond what likeness brings.`,
  ],
  missed: (wrong, asked) => ['Missed in ', wrong, ` of ${asked} answers. `],
  scatter: (names) =>
    `The errors scatter over ${counted(names, 'name')}, like or not: teach the tree itself. `,
  fewerExpected: 'The characters alone would lead one to expect fewer. ',
  called: (names) => ['Called ', ...names],
  andMore: (rest, what) => `, and ${counted(rest, what)} more.`,
  used: ({ text, range }, stations) =>
    range
      ? [
          'Used at ',
          { strong: text },
          ` of its worth (${range}), at ${counted(stations, 'station')} where it could tell. `,
        ]
      : [
          'Share of its worth used: ',
          { strong: text },
          `, from ${counted(stations, 'station')} where it could tell. `,
        ],
  times: (told) => (told === 0 ? 'never' : counted(told, 'time')),
  told: (times, checklists, usual) => [
    'Asked what they went by, they told of it ',
    times,
    ` on ${counted(checklists, 'checklist')}; of most characters it would have been about ${usual}. `,
  ],
  together: (characters) => [
    ' With it go ',
    ...characters,
    ': they tell the same errors; teach them as one.',
  ],
  overlooked: (right, readings) => [
    `${readRight(right, readings)}: it is `,
    { strong: 'overlooked' },
    ', not misread. Put the two side by side.',
  ],
  readWell: (right, readings) => `${readRight(right, readings)}: whoever looks reads it well.`,
  misread: (wrong, readings, as) => [
    ` Asked what they see, ${wrong} of ${readings} `,
    { strong: 'misread' },
    ' it',
    ...(as ? [', most often as “', as, '”'] : []),
    ': teach the character itself first.',
  ],
  tooFewRead: (right, readings, wrong) =>
    `${readRight(right, readings)}: too few to say whether it is misread or overlooked (${wrong} wrong).`,
  askThem: (stations) =>
    ` By the names alone nobody can tell: ask what they went by at ${stations > 1 ? 'stations like these.' : 'a station like this.'}`,
  notSoMuchLess:
    ' Can’t tell yet: it is told of less than others, but not so much less that it must be passed over.',
  moreStations: (more) =>
    ` Can’t tell yet: ${counted(more, 'more station')} that ask what they went by would.`,
  smallClass: ' A small class: take it as a hint.',
};
