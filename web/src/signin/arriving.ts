import { t } from '@lingui/core/macro';
import { decoded } from '../app/decoded.ts';

/** What an address brings along behind its #, which is sent to nobody. */
export type Arriving =
  /** The codes of a student's slip. */
  | { kind: 'slip'; course: string; personal: string }
  /** The secret of a link by which someone who teaches chooses a password. */
  | { kind: 'invitation'; token: string }
  /** The institution did not sign them in, and what to do. */
  | { kind: 'turnedAway'; message: string };

const TURNED_AWAY: Record<string, string> = {
  'institution-away': t`Your institution does not answer just now. Try again in a minute, or use your password.`,
  'institution-refused': t`Your institution did not sign you in, or too much time went by. Try once more from here.`,
  'institution-unknown': t`Your institution knows you, but nobody has added you here with the e-mail that it has of you. Ask the owner of this Hurrow to add you.`,
};

/**
 * Reads what stands behind the # of an address.
 *
 * @example
 * arriving('#WOODY/ELIO93'); // { kind: 'slip', course: 'WOODY', personal: 'ELIO93' }
 * arriving('#invitation/dGhpc…'); // { kind: 'invitation', token: 'dGhpc…' }
 */
export function arriving(hash: string): Arriving {
  const [first = '', second = ''] = decoded(hash.slice(1)).split('/');
  if (first === 'invitation') return { kind: 'invitation', token: second };
  const message = TURNED_AWAY[first];
  if (message) return { kind: 'turnedAway', message };
  return { kind: 'slip', course: first, personal: second };
}

/** The address that invites someone, to be sent to them. */
export const invitationAddress = (origin: string, token: string): string => `${origin}/#invitation/${token}`;
