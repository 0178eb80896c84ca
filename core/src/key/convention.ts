import { CONVENTION_LENGTH, conventionOf } from '../vocabulary/index.ts';
import type { Arriving } from './arriving.ts';
import type { Question } from './questions.ts';

/** Share of the specimens that arrive which may be of taxa that come out on both leads of a question of the convention. */
const MAY_VARY = 0.08;
/** The lesser side of a question of the convention holds this share of the specimens at least, or two taxa. */
const LESSER_SIDE = 0.08;

/**
 * The questions of the convention that part some taxa cleanly, in the order of the convention: a list for each character with which
 * manuals begin. Leads are positive: "not X" is no lead of the convention.
 */
export function byTheBook(questions: readonly Question[], arriving: Arriving): Question[][] {
  const places: Question[][] = Array.from({ length: CONVENTION_LENGTH }, () => []);
  for (const question of questions) {
    const place = conventionOf(question.character.id);
    if (place < CONVENTION_LENGTH && isPositive(question) && partsCleanly(question, arriving))
      places[place]!.push(question);
  }
  return places.filter((among) => among.length > 0);
}

/** A lead that says "not X" of one state among several says nothing to look for. A yes or no of a character says enough. */
export const isPositive = ({ leads, channel }: Question): boolean =>
  channel.state === undefined || leads.every(({ present }) => present !== false);

function partsCleanly(question: Question, arriving: Arriving): boolean {
  const { taxa, weights } = arriving;
  const first = question.shares[0]!;
  let [total, one, count] = [0, 0, 0];
  for (let i = 0; i < taxa.length; i += 1) {
    total += weights[i]!;
    one += weights[i]! * (first[taxa[i]!] || 0);
    if (first[taxa[i]!]! > 0.5) count += 1;
  }
  if (varying(question, arriving) > MAY_VARY * total) return false;
  const lesser = Math.min(one, total - one) / total;
  return lesser >= LESSER_SIDE || Math.min(count, taxa.length - count) >= 2;
}

/** The weight of the taxa that come out on more than one lead; those that are not scored are among them. */
export function varying({ shares }: Question, { taxa, weights }: Arriving): number {
  let sum = 0;
  for (let i = 0; i < taxa.length; i += 1)
    if (!shares.some((share) => share[taxa[i]!] === 1)) sum += weights[i]!;
  return sum;
}

/** A number is asked for only where a gap lies between the ranges of both sides; states always part. */
export function hasGap({ channel, shares }: Question, { taxa }: Arriving): boolean {
  if (!channel.grid) return true;
  const first = shares[0]!;
  for (let i = 0; i < taxa.length; i += 1) {
    const share = first[taxa[i]!]!;
    if (share !== 0 && share !== 1) return false;
  }
  return true;
}
