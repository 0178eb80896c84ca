import type { MeasurementBody } from '@hurrow/contract/grounds';
import { INSTRUCTORS } from '@hurrow/contract/endpoint';
import { asOfProfile } from '@hurrow/core/field';
import type { TreeFacts } from '@hurrow/core/grounds';
import { badInput } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { accountOf } from '../api/route.ts';
import type { Who } from '../api/who.ts';
import type { Db } from '../db/index.ts';
import { addToSheet } from '../measurements/sheets.ts';
import * as queries from './queries.ts';

interface Standing {
  id: string;
  groundsId: string;
  facts: TreeFacts;
}

/**
 * Keeps a measurement once. The tree takes it, unless it was measured on a later day; the profile of its species takes it where that is
 * asked for. Run inside a transaction.
 */
export async function measureTree(
  db: Db,
  tree: Standing,
  id: string,
  body: MeasurementBody,
  who: Who,
  now: Date,
): Promise<void> {
  const isNew = await queries.addMeasurement(db, id, body, who.name, now);
  if (!isNew) return;
  const facts = withMeasured(tree.facts, body);
  if (facts && !(await queries.measuredLater(db, tree.id, body.kind, body.day)))
    await queries.writeTree(db, tree.groundsId, tree.id, facts);
  if (!body.toProfile) return;
  const of = asOfProfile(body.kind, body.value);
  if (!of) throw badInput(say`Profiles have no place for this measurement. Keep it with the tree alone.`);
  if (!INSTRUCTORS.includes(who.role))
    throw badInput(say`Only instructors change profiles. Keep the measurement with the tree alone.`);
  if (tree.facts.taxonId === null)
    throw badInput(say`The tree has no name yet. Name it, then measure it for its profile.`);
  await addToSheet(db, accountOf(who), now, {
    taxonId: tree.facts.taxonId,
    ...of,
    note: `${tree.facts.tag}, ${body.day}`,
  });
}

function withMeasured(facts: TreeFacts, { kind, value, parts }: MeasurementBody): TreeFacts | undefined {
  if (kind === 'girth') return { ...facts, girths: parts.length > 0 ? parts : [value] };
  if (kind === 'height' || kind === 'spread') return { ...facts, [kind]: value };
  return undefined;
}
