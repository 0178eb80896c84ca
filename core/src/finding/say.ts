import type { Telling } from '../attention/index.ts';
import {
  misreadOrOverlooked,
  type CharacterFinding,
  type ConfusionReport,
  type ReadingFinding,
} from '../confusion/index.ts';
import type { Piece } from './piece.ts';
import type { Finding } from './ranked.ts';
import { saidUse, verdictOf, type Verdict } from './verdict.ts';
import { IN_ENGLISH, type FindingWording } from './wording.ts';

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

/**
 * What is said of a finding. Of single students nothing: names alone do not tell who looks at what.
 *
 * @param wording how it is said; in English, unless told otherwise
 */
export function say(
  found: Finding,
  report: Pick<ConfusionReport, 'readings' | 'students'>,
  wording: FindingWording = IN_ENGLISH,
): Said {
  switch (found.kind) {
    case 'name':
      return ofName(found.name, wording);
    case 'species':
      return ofSpecies(found.species, wording);
    case 'character':
      return ofCharacter(found.character, report, found.together ?? [], wording);
  }
}

function ofName(
  { taxonId, given, truths, behind }: Extract<Finding, { kind: 'name' }>['name'],
  wording: FindingWording,
): Said {
  return {
    headline: wording.tooReadily({ taxon: taxonId }),
    sentences: wording.written(given, truths),
    behind,
  };
}

function ofSpecies(
  { taxonId, asked, wrong, scatters, called, behind }: Extract<Finding, { kind: 'species' }>['species'],
  wording: FindingWording,
): Said {
  const [first] = called;
  const names = called.map(({ answer, count }) => ({
    of: { pair: { truth: taxonId, answer }, nameOnly: true },
    count,
  }));
  return {
    headline: scatters ? wording.notKnown({ taxon: taxonId }) : wording.missedMore({ taxon: taxonId }),
    sentences: [
      ...wording.missed({ strong: String(wrong) }, asked),
      scatters ? wording.scatter(called.length) : wording.fewerExpected,
      ...(called.length > 0 ? wording.called(mostOf(names, 'name', wording)) : []),
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
  wording: FindingWording,
): Said {
  const { characterId, worth, pairs, telling, behind, told, sure } = found;
  const reading = report.readings.find((entry) => entry.characterId === characterId);
  const verdict = verdictOf(found, reading);
  const mixedUp = pairs.map(({ truth, answer, count }) => ({ of: { pair: { truth, answer } }, count }));
  return {
    verdict,
    headline: [{ character: characterId }, `: ${wording.verdicts[verdict]}`],
    sentences: [
      ...(told ? ofTold(told, wording) : []),
      ...(worth && (!told || sure) ? wording.used(saidUse(worth, wording), telling.length) : []),
      ...(pairs.length > 0 ? mostOf(mixedUp, 'pair', wording) : []),
      ...(together.length > 0
        ? wording.together(
            together.flatMap((character, i): Piece[] => [...(i > 0 ? [', '] : []), { character }]),
          )
        : []),
      ...(reading ? ofReading(reading, sure, wording) : []),
      ...(sure ? [] : [ofDoubt(found, report.students, wording)]),
      ...(report.students < SMALL ? [wording.smallClass] : []),
    ],
    ...(pairs[0] ? { pair: pairs[0] } : {}),
    behind,
  };
}

/** The first few with their counts, and how many more there are: “grand fir 24, western larch 3, and 5 names more.” */
function mostOf(
  entries: readonly { of: Piece; count: number }[],
  what: 'name' | 'pair',
  wording: FindingWording,
): Piece[] {
  const first = entries
    .slice(0, MOST)
    .flatMap(({ of, count }, i): Piece[] => [...(i > 0 ? [', '] : []), of, ` ${count}`]);
  const rest = entries.length - MOST;
  return [...first, rest > 0 ? wording.andMore(rest, what) : '.'];
}

/** How often it was told of, against what is usual. */
const ofTold = ({ offered, told, expected }: Telling, wording: FindingWording): Piece[] =>
  wording.told({ strong: wording.times(told) }, offered, Math.max(1, Math.round(expected)));

/** Ticks that a typical character should bring before a finding is judged. */
const ENOUGH_TOLD = 10;

/** What would make it sure, where it is not. */
function ofDoubt(
  { told, telling }: Pick<CharacterFinding, 'told' | 'telling'>,
  students: number,
  wording: FindingWording,
): string {
  if (!told) return wording.askThem(telling.length);
  if (told.expected >= ENOUGH_TOLD) return wording.notSoMuchLess;
  // A checklist of the whole class brings about so many ticks of a typical character.
  const each = Math.max(1, (told.expected * students) / Math.max(1, told.offered));
  return wording.moreStations(Math.ceil((ENOUGH_TOLD - told.expected) / each));
}

/** Of a character that is used too little: whether it is misread even when looked at, or read well and only overlooked. */
function ofReading(reading: ReadingFinding, sure: boolean, wording: FindingWording): Piece[] {
  const { characterId, readings, wrong, interval, mistaken } = reading;
  const [first] = mistaken;
  switch (misreadOrOverlooked(reading)) {
    case 'overlooked':
      return sure
        ? wording.overlooked(readings - wrong, readings)
        : [wording.readWell(readings - wrong, readings)];
    case 'misread':
      return wording.misread(wrong, readings, first && { state: first.said, of: characterId });
    default:
      return [wording.tooFewRead(readings - wrong, readings, percentRange(interval))];
  }
}

const percentRange = ([low, high]: readonly [number, number]): string =>
  `${Math.round(low * 100)}–${Math.round(high * 100)} %`;
