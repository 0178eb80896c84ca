/** Who competes for which team, in which division; both empty where nobody has said. */
export interface Entry {
  team: string;
  division: string;
}

/** What a contest goes by, as it is announced. */
export interface ContestRules {
  /** So many of a team's best make its score; 0 where there are no teams. */
  best: number;
  /** Numbers of the stations that part those who tie, the one that is looked at first before the others. */
  tieBreaks: number[];
}

/** One who competes, with the points of each station that counts. */
export interface Entrant extends Entry {
  id: string;
  name: string;
  points: number;
  /** Points by number of the station. */
  byStation: Readonly<Record<number, number>>;
  /** How many stations were answered with all their points. */
  whole: number;
}

/** A place in a ranking; those who tie share one, and the next is left out. */
export interface Placed {
  id: string;
  name: string;
  place: number;
  points: number;
  /** What parted it from who had as many points: “station 7”; empty where nothing had to. */
  by: string;
}

export interface PlacedEntrant extends Placed {
  team: string;
}

export interface PlacedTeam extends Placed {
  /** Those whose points count, the best first, and how many it has in all. */
  counted: string[];
  members: number;
}

/** The ranking of one division. */
export interface DivisionStandings {
  division: string;
  entrants: PlacedEntrant[];
  teams: PlacedTeam[];
}

/** What is compared of two who have as many points. */
interface Compared {
  points: number;
  byStation: Readonly<Record<number, number>>;
  whole: number;
}

/**
 * The standings of a contest by divisions: points, then the points of the stations that were declared to part ties, in their order, then how many
 * stations were answered whole. Who is alike in all of it shares a place. A team has the points of its best; one with fewer members has the points
 * of those it has.
 *
 * @param entrants of those who took part
 * @returns divisions by name, each ranked
 * @example
 * standings(entrants, { best: 3, tieBreaks: [7, 2] })[0].entrants[1];
 * // { id: 'ava', name: 'Ava', team: 'Alders', place: 2, points: 34, by: 'station 7' }
 */
export function standings(entrants: readonly Entrant[], rules: ContestRules): DivisionStandings[] {
  const divisions = [...new Set(entrants.map(({ division }) => division))].sort((a, b) => a.localeCompare(b));
  return divisions.map((division) => {
    const own = entrants.filter((entrant) => entrant.division === division);
    return {
      division,
      entrants: placed(own, rules).map(({ of, ...place }) => ({ ...place, team: of.team })),
      teams: placed(teamsOf(own, rules), rules).map(({ of, ...place }) => ({
        ...place,
        counted: of.counted,
        members: of.members,
      })),
    };
  });
}

/** Where one stands, and one's team. */
export interface OwnPlace {
  /** Empty where there are no divisions. */
  division: string;
  place: number;
  of: number;
  /** What parted a tie; empty where there was none. */
  by: string;
  team: { name: string; place: number; of: number } | null;
}

/**
 * One's own place in the standings; undefined for who did not take part.
 *
 * @example
 * ownPlace(standings(entrants, rules), 'ava'); // { division: 'junior', place: 2, of: 14, by: '', team: { name: 'Alders', place: 1, of: 4 } }
 */
export function ownPlace(divisions: readonly DivisionStandings[], id: string): OwnPlace | undefined {
  for (const { division, entrants, teams } of divisions) {
    const own = entrants.find((entrant) => entrant.id === id);
    if (!own) continue;
    const team = teams.find(({ name }) => name === own.team);
    return {
      division,
      place: own.place,
      of: entrants.length,
      by: own.by,
      team: team ? { name: team.name, place: team.place, of: teams.length } : null,
    };
  }
  return undefined;
}

function teamsOf(entrants: readonly Entrant[], rules: ContestRules) {
  if (rules.best < 1) return [];
  const names = [...new Set(entrants.map(({ team }) => team))].filter(Boolean);
  return names.map((name) => {
    const members = entrants.filter(({ team }) => team === name).sort((a, b) => inOrder(a, b, rules));
    const counted = members.slice(0, rules.best);
    const byStation: Record<number, number> = {};
    for (const member of counted)
      for (const [station, points] of Object.entries(member.byStation))
        byStation[Number(station)] = (byStation[Number(station)] ?? 0) + points;
    return {
      id: name,
      name,
      points: rounded(counted.reduce((sum, { points }) => sum + points, 0)),
      byStation,
      whole: counted.reduce((sum, { whole }) => sum + whole, 0),
      counted: counted.map((member) => member.name),
      members: members.length,
    };
  });
}

/** Below zero where a goes before b, with what decided it where points did not. */
function compare(a: Compared, b: Compared, { tieBreaks }: ContestRules): { order: number; by: string } {
  if (rounded(a.points) !== rounded(b.points)) return { order: b.points - a.points, by: '' };
  for (const station of tieBreaks) {
    const [of, other] = [rounded(a.byStation[station] ?? 0), rounded(b.byStation[station] ?? 0)];
    if (of !== other) return { order: other - of, by: `station ${station}` };
  }
  return { order: b.whole - a.whole, by: a.whole === b.whole ? '' : 'more stations whole' };
}

/** Who is alike in all that counts stands by name. */
const inOrder = <T extends Compared & { name: string }>(a: T, b: T, rules: ContestRules): number =>
  compare(a, b, rules).order || a.name.localeCompare(b.name);

/** Points are sums of quarters and tenths: no tie is broken by the last bit. */
const rounded = (points: number): number => Number(points.toFixed(4));

function placed<T extends Compared & { id: string; name: string }>(
  many: readonly T[],
  rules: ContestRules,
): (Placed & { of: T })[] {
  const sorted = [...many].sort((a, b) => inOrder(a, b, rules));
  let place = 0;
  return sorted.map((of, i) => {
    const before = sorted[i - 1];
    const after = sorted[i + 1];
    if (!before || compare(before, of, rules).order !== 0) place = i + 1;
    const by = (after && compare(of, after, rules).by) || (before && compare(before, of, rules).by) || '';
    return { id: of.id, name: of.name, place, points: rounded(of.points), by, of };
  });
}
