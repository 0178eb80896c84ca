import { shareMeeting } from '../condition/index.ts';
import { readingsOf, type ProfiledTaxon, type ReadingOptions, type Readings } from '../evidence/index.ts';
import type { View } from '../view/index.ts';
import type { Vocabulary } from '../vocabulary/index.ts';
import { isConcluded, type Rule } from './rule.ts';

export interface RuleCheck {
  /** Taxa that are concluded and of which at least half of the individuals meet the conditions. */
  covered: string[];
  /** Taxa that meet the conditions though the rule does not conclude them, with the share of their individuals that do. */
  exceptions: { taxonId: string; share: number }[];
  /** Taxa that are concluded but mostly do not meet the conditions: the rule does not reach them. */
  notReached: string[];
  /** Taxa of which it cannot be said: they are not scored for a condition, or do not show it in this view. */
  unknown: string[];
  /** Of the individuals that meet the conditions, every taxon being as common, the share for which the rule holds; undefined if none do. */
  rate?: number;
}

/** From this share of its individuals on a taxon is an exception: "rarely" is one, a tail of a normal is none. */
export const EXCEPTION_FROM = 0.03;
const COVERED_FROM = 0.5;

/** Checks a rule of thumb against a list in a view: what it covers, its exceptions by name, and how often it holds. */
export const checkRule = (
  rule: Rule,
  list: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  view: View,
  options: ReadingOptions = {},
): RuleCheck => checkIn(rule, readingsOf(list, vocabulary, view, { ...options, reader: 'exact' }));

/** The same where the readings of the list are at hand; they must be those of the exact reader. */
export function checkIn(rule: Rule, readings: Readings): RuleCheck {
  const check: RuleCheck = { covered: [], exceptions: [], notReached: [], unknown: [] };
  let [held, met] = [0, 0];
  readings.taxa.forEach(({ taxon }, t) => {
    const share = shareOfAll(rule, readings, t);
    const concluded = isConcluded(rule.then, taxon);
    if (share === undefined) {
      check.unknown.push(taxon.id);
      return;
    }
    met += share;
    if (concluded) {
      held += share;
      (share >= COVERED_FROM ? check.covered : check.notReached).push(taxon.id);
    } else if (share >= EXCEPTION_FROM) check.exceptions.push({ taxonId: taxon.id, share });
  });
  check.exceptions.sort((a, b) => b.share - a.share);
  return met > 0 ? { ...check, rate: held / met } : check;
}

/**
 * Share of a taxon's individuals that meet every condition, the characters taken as independent. One condition that none meets
 * decides, whatever is known of the others.
 */
function shareOfAll(rule: Rule, readings: Readings, t: number): number | undefined {
  let share: number | undefined = 1;
  for (const condition of rule.conditions) {
    const one = shareMeeting(readings, t, condition);
    if (one !== undefined && one < EXCEPTION_FROM) return 0;
    share = one === undefined || share === undefined ? undefined : share * one;
  }
  return share;
}
