import { t } from '@lingui/core/macro';
import type { Quiz } from '@hurrow/contract/quizzes';
import { kindOf, viewOfKind } from '@hurrow/core/assembly';
import type { Question } from '@hurrow/core/station';
import { dayOfYear } from '@hurrow/core/season';
import { MEDIUM_VIEWS, type LeafCondition, type Medium, type View } from '@hurrow/core/view';

/** A station as it is being planned. */
export interface Planned {
  taxonId: string;
  medium: Medium;
  view: View;
  /** Characters that students read besides naming the tree. */
  asks?: string[];
  /** Are students asked what they went by? */
  wentBy?: boolean;
  /** The character that half of the students, by lot, are told to look at first. */
  prompt?: string | null;
  /** Are four names to choose from instead of one to write? */
  choose?: boolean;
  /** What is asked in place of the name. */
  question?: Question | null;
  /** Which individual is drawn: the one that students will see. */
  seed: number;
}

/** A whole plan as it is being edited. */
export interface Plan {
  title: string;
  heldOn: string;
  stations: Planned[];
}

/** A name for each station that stays with it wherever it is moved; two of one individual have two. */
export const idsOf = (stations: readonly Pick<Planned, 'seed'>[]): string[] =>
  stations.map(
    ({ seed }, i) => `${seed}-${stations.slice(0, i).filter((other) => other.seed === seed).length}`,
  );

/** By lot, which individual a station shows. */
export const anotherSeed = (): number => 1 + (crypto.getRandomValues(new Uint32Array(1))[0]! % (2 ** 31 - 2));

/** What a medium shows of a grown tree on a day of the year. */
export const viewFor = (medium: Medium, day: number): View => ({
  ...MEDIUM_VIEWS[medium],
  day,
  qualifiers: { plantAge: 'mature' },
});

/** A view of a specimen in leaf or bare; of one as the date has it where neither is said. */
export function withLeaves({ leaves: _before, ...view }: View, leaves: LeafCondition | undefined): View {
  return leaves ? { ...view, leaves } : view;
}

/** At every so many stations students are asked what they went by: that many reports tell nearly as much as all would. */
const ASKED_EVERY = 3;
/** Is it asked at a station by its place, 0 and on, unless the instructor says otherwise? */
const isAsked = (place: number): boolean => place % ASKED_EVERY === 1;

/** Asks at every third station what students went by, or at none. */
export const askingWentBy = (stations: readonly Planned[], asked: boolean): Planned[] =>
  stations.map((station, place) => ({ ...station, wentBy: asked && isAsked(place) }));

/** A station of a species, shown as the one before it, or as a cutting. */
export const stationOf = (taxonId: string, day: number, before?: Planned, place = 0): Planned => ({
  taxonId,
  medium: before?.medium ?? 'cutting',
  view: before?.view ?? viewFor('cutting', day),
  wentBy: isAsked(place),
  seed: anotherSeed(),
});

/**
 * The day on which a new quiz is held, as an address may ask for it; today where that is no day of the calendar.
 *
 * @example
 * dayAsked('2026-02-31', '2026-10-15'); // '2026-10-15'
 */
export function dayAsked(asked: string | null, today: string): string {
  const at = asked && /^\d{4}-\d{2}-\d{2}$/.test(asked) ? Date.parse(`${asked}T00:00:00Z`) : NaN;
  return Number.isNaN(at) || new Date(at).toISOString().slice(0, 10) !== asked ? today : asked;
}

/** “Quiz 3”, or the next number that no quiz of the course has. */
export function freeTitle(quizzes: readonly { title: string }[]): string {
  let n = quizzes.length + 1;
  while (quizzes.some((quiz) => quiz.title === `Quiz ${n}`)) n += 1;
  return t`Quiz ${n}`;
}

/** What a plan begins with: the quiz as it is saved, or a new one today with a station for each tree that was gathered (ids with commas, each with the kind of its station where that is known: “abies-grandis fruit”); all of them ask what students went by where that is wanted. */
export const planToBegin = (
  quiz: Pick<Quiz, 'title' | 'heldOn' | 'stations'> | undefined,
  others: readonly { title: string }[],
  today: string,
  gathered: string,
  askAll = false,
): Plan =>
  quiz
    ? {
        title: quiz.title,
        heldOn: quiz.heldOn,
        stations: quiz.stations.map(
          ({ taxonId, medium, view, asks, wentBy, prompt, choose, question, seed }) => ({
            taxonId,
            medium,
            view,
            asks,
            wentBy,
            prompt: prompt ?? null,
            choose,
            question,
            seed,
          }),
        ),
      }
    : {
        title: freeTitle(others),
        heldOn: today,
        stations: gathered
          .split(',')
          .filter(Boolean)
          .map((each, i) => ofGathered(each, dayOfYear(today), i))
          .map((station) => (askAll ? { ...station, wentBy: true } : station)),
      };

function ofGathered(gathered: string, day: number, place: number): Planned {
  const [taxonId = '', id = ''] = gathered.split(' ');
  const station = stationOf(taxonId, day, undefined, place);
  const kind = kindOf(id);
  return kind ? { ...station, medium: kind.medium, view: viewOfKind(kind, day) } : station;
}

/** The plan of a quiz once more, on another day and with other individuals: what was seen last year is not recognised. */
export function copyOf(
  quiz: { stations: readonly Planned[] },
  others: readonly { title: string }[],
  today: string,
): Plan {
  return {
    title: freeTitle(others),
    heldOn: today,
    stations: quiz.stations.map(({ taxonId, medium, view, asks, wentBy, prompt, choose, question }) => ({
      taxonId,
      medium,
      view,
      asks: asks ?? [],
      wentBy: wentBy ?? false,
      prompt: prompt ?? null,
      choose: choose ?? false,
      question: question ?? null,
      seed: anotherSeed(),
    })),
  };
}
