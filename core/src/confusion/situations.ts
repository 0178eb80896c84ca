import {
  characterEvidence,
  readingsOf,
  spokenFor,
  type Channel,
  type ProfiledTaxon,
  type Readings,
  type ReadingOptions,
} from '../evidence/index.ts';
import { matchOf, type Look } from '../attention/index.ts';
import { viewKey, type View } from '../view/index.ts';
import type { Vocabulary } from '../vocabulary/index.ts';
import { UNNAMED, type Choice, type ChoiceData, type Situation, type Unnamed } from './choice.ts';

/** A station as the model needs it. */
export interface AskedStation {
  id: string;
  quizId: string;
  truth: string;
  view: View;
  /** The names that could be given. */
  options: readonly string[];
  /** One of the options had to be chosen: neither a name off the list nor a genus alone could be given. */
  choice?: boolean;
}

/** What was answered: a taxon of the options, or what kind of answer it was that names none. */
export interface GivenAnswer {
  studentId: string;
  stationId: string;
  named: string | Unnamed;
}

/** The library that a station's evidence is taken from: as it was then, or as it is now. */
export interface Setting {
  /** Equal keys are taken for the same library. */
  key: string;
  taxa: readonly ProfiledTaxon[];
  vocabulary: Vocabulary;
  options: ReadingOptions;
}

export interface PreparedClass {
  data: ChoiceData;
  students: string[];
  /** Place of each station's situation in `data.situations`. */
  situationOf: Map<string, number>;
  /** What a beginner reads of each character of a situation, in the order of its `characters`. */
  looks: Look[][];
  /** The character that stands for each that can be seen: itself, or the one that speaks for its group. */
  speakerOf: Map<string, string>;
  /** Where the evidence of a character had to be taken for its list's mean because a score is missing: taxa without it. */
  assumed: Map<string, string[]>;
}

/**
 * Turns stations and answers into what the model is fitted to. Evidence is that of a novice reader (docs/method.md, The model); near-duplicates enter as
 * one character, known by the member that stood for them most often; evidence that is unknown for a missing score takes the mean of the station's
 * list. Stations whose truth the library lacks, and answers to stations that are not given, are left out.
 */
export function prepareClass(
  stations: readonly AskedStation[],
  answers: readonly GivenAnswer[],
  settingOf: (station: AskedStation) => Setting,
): PreparedClass {
  const taxa = [...new Set(stations.flatMap(({ options }) => options))].sort();
  const placeOfTaxon = new Map(taxa.map((id, i) => [id, i]));
  const lists = new Map<string, ListEvidence>();
  const raw = new Map<string, { situation: RawSituation; place: number }>();
  const situationOf = new Map<string, number>();
  for (const station of stations) {
    const setting = settingOf(station);
    const listKey = `${setting.key} ${viewKey(station.view)} ${station.options.join()}`;
    const list = lists.get(listKey) ?? new ListEvidence(station, setting);
    lists.set(listKey, list);
    const key = `${station.truth} ${station.choice ?? false} ${listKey}`;
    const situation = raw.get(key)?.situation ?? list.situation(station);
    if (!situation) continue;
    if (!raw.has(key)) raw.set(key, { situation, place: raw.size });
    situationOf.set(station.id, raw.get(key)!.place);
  }
  const held = [...raw.values()].map(({ situation }) => situation);
  const names = namesOfGroups(held);
  const characters = [...new Set(names.values())].sort();
  const placeOfCharacter = new Map(characters.map((id, i) => [id, i]));
  const situations = held.map((situation): Situation => ({
    truth: placeOfTaxon.get(situation.truth)!,
    options: situation.options.map((id) => placeOfTaxon.get(id)!),
    unnamed: situation.choice ? [UNNAMED.indexOf('blank')] : [...UNNAMED.keys()],
    characters: situation.groups.map(({ group }) => placeOfCharacter.get(names.get(group)!)!),
    evidence: situation.evidence,
  }));
  const students = [...new Set(answers.map(({ studentId }) => studentId))].sort();
  const placeOfStudent = new Map(students.map((id, i) => [id, i]));
  const choices = answers.flatMap(({ studentId, stationId, named }): Choice[] => {
    const situation = situationOf.get(stationId);
    if (situation === undefined) return [];
    const { options, choice } = held[situation]!;
    const place = options.indexOf(named);
    // A name beyond those offered counts as one off the list.
    const which = Math.max(0, UNNAMED.indexOf(named as Unnamed));
    const kind =
      place >= 0
        ? place
        : options.length + (choice ? 0 : (UNNAMED as readonly string[]).includes(named) ? which : 1);
    return [{ student: placeOfStudent.get(studentId)!, situation, answer: kind }];
  });
  const assumed = new Map<string, Set<string>>();
  for (const { groups } of held)
    for (const { group, missing } of groups)
      for (const taxon of missing) {
        const id = names.get(group)!;
        assumed.set(id, (assumed.get(id) ?? new Set()).add(taxon));
      }
  return {
    data: { taxa, characters, students: students.length, situations, choices },
    students,
    situationOf,
    looks: held.map(({ groups, options }, s) =>
      groups.map(({ look }, i) => ({ ...look(options), character: situations[s]!.characters[i]! })),
    ),
    speakerOf: new Map(
      [...lists.values()].flatMap((list) =>
        list.members().flatMap(([group, ids]) => {
          const name = names.get(group);
          return name ? ids.map((id): [string, string] => [id, name]) : [];
        }),
      ),
    ),
    assumed: new Map([...assumed].map(([id, missing]) => [id, [...missing].sort()])),
  };
}

interface GroupInView {
  group: string;
  /** The character that stands for its group in this view. */
  speaker: string;
  /** Options that lack the score. */
  missing: string[];
  look(options: readonly string[]): Omit<Look, 'character'>;
}

interface RawSituation {
  truth: string;
  options: readonly string[];
  choice: boolean;
  groups: GroupInView[];
  evidence: Float64Array;
}

/** The evidence among the taxa of one list in one view. */
class ListEvidence {
  private readonly ids: string[];
  private readonly readings: Readings;
  /** Members of each group that can be seen, the one that speaks for them first. */
  private readonly groups: Map<string, string[]>;

  constructor({ options, view }: AskedStation, setting: Setting) {
    const wanted = new Set(options);
    const taxa = setting.taxa.filter(({ taxon }) => wanted.has(taxon.id));
    this.ids = taxa.map(({ taxon }) => taxon.id);
    this.readings = readingsOf(taxa, setting.vocabulary, view, { ...setting.options, reader: 'novice' });
    const left = spokenFor(this.readings);
    this.groups = new Map();
    for (const [id, channels] of this.readings.channels) {
      const group = channels[0]!.character.group ?? id;
      const members = this.groups.get(group) ?? [];
      if (left.has(id)) members.push(id);
      else members.unshift(id);
      this.groups.set(group, members);
    }
  }

  /** What a truth of the list looks like from its rivals; undefined where the library lacks the truth. */
  situation({ truth, options, choice }: AskedStation): RawSituation | undefined {
    const t = this.ids.indexOf(truth);
    if (t < 0) return undefined;
    const columns = [...this.groups].flatMap(([group, members]) => {
      const speaker = members[0]!;
      const missing: number[] = [];
      const evidence = options.map((id, i) => {
        const k = this.ids.indexOf(id);
        if (k === t || k < 0) return 0;
        for (const member of members) {
          const found = characterEvidence(this.readings.channels.get(member)!, t, k);
          if (found) return found.evidence;
        }
        if (this.readings.gaps[k]!.includes(speaker)) missing.push(i);
        return 0;
      });
      // Not visible on the truth, not scored for it, or the same for all: nothing to be seen or overlooked.
      if (this.readings.gaps[t]!.includes(speaker) || !evidence.some((e) => e > 0)) return [];
      const known = options.length - 1 - missing.length;
      const mean = evidence.reduce((sum, e) => sum + e, 0) / Math.max(1, known);
      for (const i of missing) evidence[i] = mean;
      const look = () => this.look(members, t, options);
      return [{ group, speaker, missing: missing.map((i) => options[i]!), evidence, look }];
    });
    const evidence = new Float64Array(options.length * columns.length);
    columns.forEach((column, c) => column.evidence.forEach((e, k) => (evidence[k * columns.length + c] = e)));
    return {
      truth,
      options,
      choice: choice ?? false,
      groups: columns.map(({ group, speaker, missing, look }) => ({ group, speaker, missing, look })),
      evidence,
    };
  }

  /** Groups with the characters that can be seen of each. */
  members = (): [string, string[]][] => [...this.groups];

  /** What is read of a group off the truth: of the first member that is known for it. */
  private look(members: readonly string[], t: number, options: readonly string[]): Omit<Look, 'character'> {
    const known = members.find((id) => this.readings.channels.get(id)!.some(({ rows }) => rows[t]));
    if (known === undefined) return { carried: 0, channels: [] };
    const channels = this.readings.channels.get(known)!.filter(({ rows }) => rows[t]);
    return {
      carried: channels[0]?.present?.[t] ?? 1,
      channels: channels.map((channel) => ({
        chances: channel.rows[t]!,
        match: this.matchIn(channel, options),
      })),
    };
  }

  private readonly matches = new Map<Channel, Float64Array>();

  /** Matches of a channel, the same for every truth of the list. */
  private matchIn(channel: Channel, options: readonly string[]): Float64Array {
    const held = this.matches.get(channel);
    if (held) return held;
    const rows = options.map((id) => {
      const k = this.ids.indexOf(id);
      return (
        channel.rows[k] ??
        (k < 0 || this.readings.gaps[k]!.includes(channel.character.id) ? 'gap' : undefined)
      );
    });
    const made = matchOf(rows, channel.rows.find((row) => row)!.length);
    this.matches.set(channel, made);
    return made;
  }
}

/** Each group's name: the character that spoke for it in most situations. */
function namesOfGroups(situations: readonly RawSituation[]): Map<string, string> {
  const spoken = new Map<string, Map<string, number>>();
  for (const { groups } of situations)
    for (const { group, speaker } of groups) {
      const counts = spoken.get(group) ?? new Map<string, number>();
      counts.set(speaker, (counts.get(speaker) ?? 0) + 1);
      spoken.set(group, counts);
    }
  return new Map(
    [...spoken].map(([group, counts]) => [
      group,
      [...counts].sort((x, y) => y[1] - x[1] || x[0].localeCompare(y[0]))[0]![0],
    ]),
  );
}
