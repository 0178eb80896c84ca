import { randomUUID } from 'node:crypto';
import * as lookalikes from '@hurrow/contract/lookalikes';
import type { KeptRule } from '@hurrow/core/rule';
import { notFound } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { accountOf, serve } from '../api/route.ts';
import type { Db } from '../db/index.ts';
import { beginChange, nameOfTaxon, refuseStale } from '../library/change.ts';
import * as queries from '../library/queries.ts';
import { addRecord, recordNow, recordsAt, type RecordKind } from '../library/records.ts';
import { type KeptKey, type SureWay } from '@hurrow/contract/lookalikes';

/** The key of a pair: both ids in alphabetical order, so that a pair has one record whichever way it is asked for. */
const pairKey = (a: string, b: string): string => [a, b].sort().join('|');

type Kept = Extract<RecordKind, 'pair' | 'rule' | 'key'>;

const KEPT = { pair: say`The sure way of this pair`, rule: say`This rule of thumb`, key: say`This key` };

/** Writes a record in a revision of its own, after refusing a save that stands on an older one. */
const keep = (
  db: Db,
  accountId: string,
  now: Date,
  kind: Kept,
  key: string,
  record: object | null,
  title: string,
  baseRevision?: number,
) =>
  db.transaction(async (tx) => {
    if (baseRevision !== undefined) await refuseStale(tx, kind, key, baseRevision, KEPT[kind]);
    const { libraryId, revision } = await beginChange(tx, accountId, now, title);
    await addRecord(tx, libraryId, kind, key, revision, record);
    return { revision, id: key };
  });

async function takeAway(
  db: Db,
  accountId: string,
  now: Date,
  kind: Exclude<Kept, 'pair'>,
  key: string,
  title: string,
) {
  const library = (await queries.theLibrary(db))!;
  const held = await recordNow(db, library.id, kind, key);
  if (!held?.record) throw notFound(kind === 'rule' ? 'rule of thumb' : kind);
  return keep(db, accountId, now, kind, key, null, title);
}

export const lookalikeRoutes = [
  serve(lookalikes.all, async ({ db }) => {
    const library = (await queries.theLibrary(db))!;
    const revision = await queries.newestRevision(db, library.id);
    const all = <T>(kind: RecordKind) => recordsAt<T>(db, library.id, kind, revision);
    return {
      revision,
      sureWays: Object.fromEntries((await all<SureWay>('pair')).map(({ key, record }) => [key, record])),
      rules: (await all<Omit<KeptRule, 'id'>>('rule')).map(({ key, record }) => ({ id: key, ...record })),
      keys: (await all<KeptKey>('key')).map(({ key, record }) => ({ id: key, ...record })),
    };
  }),
  serve(lookalikes.saySureWay, async ({ db, body: { baseRevision, ...record }, params, who, now }) => {
    const names = [await nameOfTaxon(db, params.a), await nameOfTaxon(db, params.b)];
    return keep(
      db,
      accountOf(who),
      now,
      'pair',
      pairKey(params.a, params.b),
      record.text ? record : null,
      `The sure way between ${names.join(' and ')}`,
      baseRevision,
    );
  }),
  serve(lookalikes.addRule, ({ db, body, who, now }) =>
    keep(db, accountOf(who), now, 'rule', randomUUID(), body.rule, 'A rule of thumb'),
  ),
  serve(lookalikes.changeRule, ({ db, body, params, who, now }) =>
    keep(db, accountOf(who), now, 'rule', params.id, body.rule, 'A rule of thumb', body.baseRevision),
  ),
  serve(lookalikes.removeRule, ({ db, params, who, now }) =>
    takeAway(db, accountOf(who), now, 'rule', params.id, 'Took a rule of thumb away'),
  ),
  serve(lookalikes.keepKey, ({ db, body: { baseRevision: _, ...record }, who, now }) =>
    keep(db, accountOf(who), now, 'key', randomUUID(), record, `Key “${record.title}”`),
  ),
  serve(lookalikes.changeKey, ({ db, body: { baseRevision, ...record }, params, who, now }) =>
    keep(db, accountOf(who), now, 'key', params.id, record, `Key “${record.title}”`, baseRevision),
  ),
  serve(lookalikes.removeKey, ({ db, params, who, now }) =>
    takeAway(db, accountOf(who), now, 'key', params.id, 'Took a key away'),
  ),
];
