import {
  reportOf,
  type AskedStation,
  type EarlierClasses,
  type PromptedAnswer,
  type ReportedAnswer,
  type Seen,
  type Setting,
  type WentBy,
} from '@hurrow/core/confusion';
import { readLibrary, type Library } from '@hurrow/core/library';
import { stationFairness } from '@hurrow/core/station';
import type { ClassReport } from '@hurrow/contract/confusions';
import type { Place } from '@hurrow/core/season';

/** What a worker is given: plain data that can be copied to it. */
export interface ClassInput {
  stations: (AskedStation & { libraryKey: string })[];
  answers: ReportedAnswer[];
  seen: Seen[];
  wentBy: WentBy[];
  prompted: PromptedAnswer[];
  earlier?: EarlierClasses;
  libraries: { key: string; library: Library }[];
  site: Place;
}

const SEED = 3701;
/** Readings simulated for a station's fairness: enough to tell fair from unfair. */
const READINGS = 600;
/** So many of the trees that a beginner takes it for are told. */
const TAKEN = 12;

/** Everything that is said of a class, from plain data. `at` is told the share done and what is being done. */
export function classReport(input: ClassInput, at: (share: number, doing: string) => void): ClassReport {
  const settings = new Map(
    input.libraries.map(({ key, library }): [string, Setting] => {
      const { profiles, vocabulary } = readLibrary(library);
      const options = { reference: library.reference, site: input.site };
      return [key, { key, taxa: profiles, vocabulary, options }];
    }),
  );
  const libraryOf = new Map(input.stations.map(({ id, libraryKey }) => [id, libraryKey]));
  const settingOf = (station: AskedStation) => settings.get(libraryOf.get(station.id)!)!;
  const fairness = input.stations.flatMap((station, i) => {
    at((0.3 * i) / input.stations.length, 'judging the fairness of each station');
    const { taxa, vocabulary, options } = settingOf(station);
    const list = taxa.filter(({ taxon }) => station.options.includes(taxon.id));
    if (!list.some(({ taxon }) => taxon.id === station.truth)) return [];
    const { right, judgement } = stationFairness(list, station.truth, vocabulary, station.view, {
      ...options,
      draws: READINGS,
    });
    const beginner = stationFairness(list, station.truth, vocabulary, station.view, {
      ...options,
      reader: 'novice',
      draws: READINGS,
    });
    return [{ stationId: station.id, right, judgement, taken: beginner.rivals.slice(0, TAKEN) }];
  });
  const { stations, answers, seen, wentBy, prompted, earlier } = input;
  const report = reportOf(
    { stations, answers, seen, wentBy, prompted, ...(earlier ? { earlier } : {}), settingOf, seed: SEED },
    (share, doing) => at(0.3 + 0.7 * share, doing),
  );
  return { ...report, fairness };
}
