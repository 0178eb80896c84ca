import {
  reportOf,
  type AskedStation,
  type EarlierClasses,
  type FirstLook,
  type PromptedAnswer,
  type ReportedAnswer,
  type Seen,
  type Setting,
  type WentBy,
} from '@hurrow/core/confusion';
import { readLibrary, type Library } from '@hurrow/core/library';
import { fairnessOf, Reader } from '@hurrow/core/station';
import type { View } from '@hurrow/core/view';
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
  /** How fair stations are, by their ids, as far as that was worked out before. */
  known?: Record<string, StationFairness>;
}

/** How fair a station is, whichever of several stations alike it is. */
export type StationFairness = Omit<ClassReport['fairness'][number], 'stationId'>;

const SEED = 3701;
/** Readings simulated for a station's fairness: enough to tell fair from unfair. */
const READINGS = 600;
/** So many of the trees that a beginner takes it for are told. */
const TAKEN = 12;

/** How fair stations are. Readers of one list in one view are made once: a quiz shows many of its trees in the same way. */
class Judge {
  private readonly readers = new Map<
    string,
    { careful: Reader; novice: Reader; places: Map<string, number> }
  >();

  /** Undefined where the tree is no longer in the library. */
  judge({ truth, view, options }: AskedStation, setting: Setting): StationFairness | undefined {
    const { careful, novice, places } = this.readersOf(view, options, setting);
    const t = places.get(truth);
    if (t === undefined) return undefined;
    const { right, judgement } = fairnessOf(careful, t, READINGS);
    return { right, judgement, taken: fairnessOf(novice, t, READINGS).rivals.slice(0, TAKEN) };
  }

  private readersOf(view: View, named: readonly string[], { key, taxa, vocabulary, options }: Setting) {
    const id = JSON.stringify([key, view, named]);
    const held = this.readers.get(id);
    if (held) return held;
    const list = taxa.filter(({ taxon }) => named.includes(taxon.id));
    const reader = (who: 'careful' | 'novice') =>
      new Reader(list, vocabulary, view, { ...options, reader: who });
    const made = {
      careful: reader('careful'),
      novice: reader('novice'),
      places: new Map(list.map(({ taxon }, t) => [taxon.id, t])),
    };
    this.readers.set(id, made);
    return made;
  }
}

/** Everything that is said of a class, from plain data. `at` is told the share done and what is being done. */
export function classReport(
  input: ClassInput,
  at: (share: number, doing: string, first?: FirstLook) => void,
): ClassReport {
  const settings = new Map(
    input.libraries.map(({ key, library }): [string, Setting] => {
      const { profiles, vocabulary } = readLibrary(library);
      const options = { reference: library.reference, site: input.site };
      return [key, { key, taxa: profiles, vocabulary, options }];
    }),
  );
  const libraryOf = new Map(input.stations.map(({ id, libraryKey }) => [id, libraryKey]));
  const settingOf = (station: AskedStation) => settings.get(libraryOf.get(station.id)!)!;
  const { stations, answers, seen, wentBy, prompted, earlier } = input;
  const report = reportOf(
    { stations, answers, seen, wentBy, prompted, ...(earlier ? { earlier } : {}), settingOf, seed: SEED },
    (share, doing, first) => at(0.7 * share, doing, first),
  );
  // The same tree shown in the same way is as fair a second time.
  const alike = new Map<string, StationFairness | undefined>();
  const judge = new Judge();
  const fairness = input.stations.flatMap((station, i) => {
    at(0.7 + (0.3 * i) / input.stations.length, 'judging the fairness of each station');
    const { truth, view, options } = station;
    const key = JSON.stringify([libraryOf.get(station.id), truth, view, options]);
    if (!alike.has(key))
      alike.set(key, input.known?.[station.id] ?? judge.judge(station, settingOf(station)));
    const found = alike.get(key);
    return found ? [{ stationId: station.id, ...found }] : [];
  });
  return { ...report, fairness };
}
