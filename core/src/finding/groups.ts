/** Who took which tree for which other. */
export interface GroupSlip {
  studentId: string;
  truth: string;
  named: string;
}

/** Students who should practice together, by the pair that they share. */
export interface PracticeGroup {
  a: string;
  b: string;
  students: string[];
}

/** A group is two at least, and no more than can talk with one another. */
const LEAST = 2;
const MOST = 6;

/**
 * Groups that should practice together: the pair that most students share makes the first, and so on with those who are left; each student is in one
 * group, with the pair they slipped in most where there is a choice.
 *
 * @example
 * practiceGroups([{ studentId: 's1', truth: 'fir', named: 'spruce' }, { studentId: 's2', truth: 'spruce', named: 'fir' }]);
 * // [{ a: 'fir', b: 'spruce', students: ['s1', 's2'] }]
 */
export function practiceGroups(slips: readonly GroupSlip[]): PracticeGroup[] {
  const times = new Map<string, Map<string, number>>();
  for (const { studentId, truth, named } of slips) {
    if (truth === named) continue;
    const key = [truth, named].sort().join(' ');
    const held = times.get(key) ?? new Map<string, number>();
    held.set(studentId, (held.get(studentId) ?? 0) + 1);
    times.set(key, held);
  }
  const placed = new Set<string>();
  const groups: PracticeGroup[] = [];
  for (;;) {
    const left = [...times]
      .map(([key, students]) => ({
        key,
        students: [...students].filter(([id]) => !placed.has(id)).sort((x, y) => y[1] - x[1]),
      }))
      .filter(({ students }) => students.length >= LEAST)
      .sort((x, y) => y.students.length - x.students.length || x.key.localeCompare(y.key))[0];
    if (!left) return groups;
    const [a, b] = left.key.split(' ') as [string, string];
    const students = left.students.slice(0, MOST).map(([id]) => id);
    students.forEach((id) => placed.add(id));
    groups.push({ a, b, students });
  }
}
