import { HERE, IN_ENGLISH, withPieces, type FindingWording } from '@hurrow/core/finding';
import type { Tongue } from './tongue.ts';

/** How findings are said on paper. */
export function findingIn({ isEnglish, say, word }: Tongue): FindingWording {
  if (isEnglish) return IN_ENGLISH;
  return {
    cantTell: say`can’t tell yet`,
    asAny: say`as well as any`,
    orMore: (share) => say`${share} or more`,
    verdicts: {
      misread: word('misread'),
      'hardly looked at': word('hardly looked at'),
      'used too little': word('used too little'),
      'perhaps overlooked': word('perhaps overlooked'),
      'used no better than the rest': word('used no better than the rest'),
    },
    tooReadily: (name) => withPieces(say`The name ${HERE} is given too readily`, [name]),
    notKnown: (tree) => withPieces(say`${HERE} is not known`, [tree]),
    missedMore: (tree) => withPieces(say`${HERE} is missed more than its likeness explains`, [tree]),
    written: (given, truths) => [
      say`Written ${given} times where it was wrong, for ${truths} different trees, beyond what likeness brings.`,
    ],
    missed: (wrong, asked) => withPieces(say`Missed in ${HERE} of ${asked} answers. `, [wrong]),
    scatter: (names) => say`The errors scatter over ${names} names, like or not: teach the tree itself. `,
    fewerExpected: say`The characters alone would lead one to expect fewer. `,
    called: (names) => withPieces(say`Called ${HERE}`, names),
    andMore: (rest, what) =>
      what === 'name' ? say`, and ${rest} names more.` : say`, and ${rest} pairs more.`,
    used: ({ text, range }, stations) =>
      withPieces(
        range
          ? say`Used at ${HERE} of its worth (${range}), at ${stations} stations where it could tell. `
          : say`Share of its worth used: ${HERE}, from ${stations} stations where it could tell. `,
        [{ strong: text }],
      ),
    times: (told) => (told === 0 ? word('never') : say`${told} times`),
    told: (times, checklists, usual) =>
      withPieces(
        say`Asked what they went by, they told of it ${HERE} on ${checklists} checklists; of most characters it would have been about ${usual}. `,
        [times],
      ),
    together: (characters) =>
      withPieces(say` With it go ${HERE}: they tell the same errors; teach them as one.`, characters),
    overlooked: (right, readings) =>
      withPieces(
        say` Asked what they see, ${right} of ${readings} read it right: it is ${HERE}, not misread. Put the two side by side.`,
        [{ strong: word('overlooked') }],
      ),
    readWell: (right, readings) =>
      say` Asked what they see, ${right} of ${readings} read it right: whoever looks reads it well.`,
    misread: (wrong, readings, as) => {
      const misread = [{ strong: word('misread') }];
      return as === undefined
        ? withPieces(
            say` Asked what they see, ${wrong} of ${readings} ${HERE} it: teach the character itself first.`,
            misread,
          )
        : withPieces(
            say` Asked what they see, ${wrong} of ${readings} ${HERE} it, most often as “${HERE}”: teach the character itself first.`,
            misread,
            [as],
          );
    },
    tooFewRead: (right, readings, wrong) =>
      say` Asked what they see, ${right} of ${readings} read it right: too few to say whether it is misread or overlooked (${wrong} wrong).`,
    askThem: (stations) =>
      stations > 1
        ? say` By the names alone nobody can tell: ask what they went by at stations like these.`
        : say` By the names alone nobody can tell: ask what they went by at a station like this.`,
    notSoMuchLess: say` Can’t tell yet: it is told of less than others, but not so much less that it must be passed over.`,
    moreStations: (more) => say` Can’t tell yet: ${more} more stations that ask what they went by would.`,
    smallClass: say` A small class: take it as a hint.`,
  };
}
