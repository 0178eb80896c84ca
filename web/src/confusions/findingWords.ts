import { plural, t } from '@lingui/core/macro';
import { HERE, withPieces, type FindingWording } from '@hurrow/core/finding';

/** How findings are said, in the language of the page. */
export const FINDING_WORDS: FindingWording = {
  cantTell: t`can’t tell yet`,
  asAny: t`as well as any`,
  orMore: (share) => t`${share} or more`,
  verdicts: {
    misread: t`misread`,
    'hardly looked at': t`hardly looked at`,
    'used too little': t`used too little`,
    'perhaps overlooked': t`perhaps overlooked`,
    'used no better than the rest': t`used no better than the rest`,
  },
  tooReadily: (name) => withPieces(t`The name ${HERE} is given too readily`, [name]),
  notKnown: (tree) => withPieces(t`${HERE} is not known`, [tree]),
  missedMore: (tree) => withPieces(t`${HERE} is missed more than its likeness explains`, [tree]),
  written: (given, truths) => {
    const trees = t`${plural(truths, { one: '# different tree', other: '# different trees' })}`;
    return [
      t`Written ${plural(given, { one: '# time', other: '# times' })} where it was wrong, for ${trees}, beyond what likeness brings.`,
    ];
  },
  missed: (wrong, asked) => withPieces(t`Missed in ${HERE} of ${asked} answers. `, [wrong]),
  scatter: (names) =>
    t`The errors scatter over ${plural(names, { one: '# name', other: '# names' })}, like or not: teach the tree itself. `,
  fewerExpected: t`The characters alone would lead one to expect fewer. `,
  called: (names) => withPieces(t`Called ${HERE}`, names),
  andMore: (rest, what) =>
    what === 'name'
      ? t`, and ${plural(rest, { one: '# name', other: '# names' })} more.`
      : t`, and ${plural(rest, { one: '# pair', other: '# pairs' })} more.`,
  used: ({ text, range }, stations) => {
    const at = t`${plural(stations, { one: '# station', other: '# stations' })} where it could tell`;
    return range
      ? withPieces(t`Used at ${HERE} of its worth (${range}), at ${at}. `, [{ strong: text }])
      : withPieces(t`Share of its worth used: ${HERE}, from ${at}. `, [{ strong: text }]);
  },
  times: (told) => (told === 0 ? t`never` : t`${plural(told, { one: '# time', other: '# times' })}`),
  told: (times, checklists, usual) => {
    const on = t`${plural(checklists, { one: '# checklist', other: '# checklists' })}`;
    return withPieces(
      t`Asked what they went by, they told of it ${HERE} on ${on}; of most characters it would have been about ${usual}. `,
      [times],
    );
  },
  together: (characters) =>
    withPieces(t` With it go ${HERE}: they tell the same errors; teach them as one.`, characters),
  overlooked: (right, readings) =>
    withPieces(
      t` Asked what they see, ${right} of ${readings} read it right: it is ${HERE}, not misread. Put the two side by side.`,
      [{ strong: t`overlooked` }],
    ),
  readWell: (right, readings) =>
    t` Asked what they see, ${right} of ${readings} read it right: whoever looks reads it well.`,
  misread: (wrong, readings, as) => {
    const misread = [{ strong: t`misread` }];
    return as === undefined
      ? withPieces(
          t` Asked what they see, ${wrong} of ${readings} ${HERE} it: teach the character itself first.`,
          misread,
        )
      : withPieces(
          t` Asked what they see, ${wrong} of ${readings} ${HERE} it, most often as “${HERE}”: teach the character itself first.`,
          misread,
          [as],
        );
  },
  tooFewRead: (right, readings, wrong) =>
    t` Asked what they see, ${right} of ${readings} read it right: too few to say whether it is misread or overlooked (${wrong} wrong).`,
  askThem: (stations) =>
    stations > 1
      ? t` By the names alone nobody can tell: ask what they went by at stations like these.`
      : t` By the names alone nobody can tell: ask what they went by at a station like this.`,
  notSoMuchLess: t` Can’t tell yet: it is told of less than others, but not so much less that it must be passed over.`,
  moreStations: (more) =>
    t` Can’t tell yet: ${plural(more, { one: '# more station', other: '# more stations' })} that ask what they went by would.`,
  smallClass: t` A small class: take it as a hint.`,
};
