import type { Running } from '@hurrow/contract/running';

/** A phone from which a student answered, with the seconds that its clock was off. */
export interface PhoneOf {
  studentId: string;
  phone: string;
  off: number | null;
}

/**
 * What the phones of a quiz tell: how many each student answered from, whose clock is wrong, and which were used by several.
 *
 * @example
 * toldByPhones([{ studentId: 'a', phone: 'x', off: null }, { studentId: 'b', phone: 'x', off: null }]).lent; // [['a', 'b']]
 */
export function toldByPhones(phones: readonly PhoneOf[]): {
  of: Map<string, { phones: number; clockOff: number | null }>;
  lent: Running['lent'];
} {
  const of = new Map<string, { phones: number; clockOff: number | null }>();
  const users = new Map<string, string[]>();
  for (const { studentId, phone, off } of phones) {
    const held = of.get(studentId) ?? { phones: 0, clockOff: null };
    // The last phone is the one whose clock counts.
    of.set(studentId, { phones: held.phones + 1, clockOff: off });
    users.set(phone, [...(users.get(phone) ?? []), studentId]);
  }
  return { of, lent: [...users.values()].filter((ids) => ids.length > 1) };
}
