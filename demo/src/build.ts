import { randomUUID } from 'node:crypto';
import { rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { hash } from '@node-rs/argon2';
import { readLibrary } from '@hurrow/core/library';
import * as auth from '@hurrow/server/auth/queries';
import { migrate, openFolder, type Db } from '@hurrow/server/db';
import * as species from '@hurrow/server/library/queries';
import { addRecords } from '@hurrow/server/library/records';
import { ofTaxon, writeScores } from '@hurrow/server/library/store';
import { codeOf, demoFile, fillCourse } from './courses.ts';
import { fillGrounds } from './grounds.ts';
import { demoLibrary } from './library.ts';
import { fillPhotos } from './photos.ts';
import { demoRanges } from './ranges.ts';

const library = demoLibrary();
const file = demoFile();

async function fill(db: Db): Promise<void> {
  // Nobody knows these passwords: the demo's people sign in by one click, and only while HURROW_DEMO is set.
  const accounts = file.accounts.map((account) => ({ ...account, id: randomUUID() }));
  for (const { id, email, name, role } of accounts)
    await auth.addAccount(db, id, email, name, await hash(randomUUID()), role);
  const libraryId = randomUUID();
  const accountId = accounts[0]!.id;
  const revision = await fillLibrary(db, libraryId, accountId);
  const ground = {
    libraryId,
    accountId,
    revision,
    reference: library.reference,
    profiles: readLibrary(library).profiles,
  };
  const courseIds: string[] = [];
  for (const course of file.courses) courseIds.push(await fillCourse(db, course, ground));
  await fillGrounds(db, courseIds[0]!);
  await fillPhotos(db, libraryId, accountId, ground.profiles);
}

async function fillLibrary(db: Db, libraryId: string, accountId: string): Promise<number> {
  const { latitude, longitude, elevation } = library.reference;
  await auth.addLibrary(db, libraryId, file.library.name, latitude, longitude, elevation);
  for (const [i, source] of library.sources.entries())
    await species.addSource(db, libraryId, source.id, source.label, i);
  const revision = await species.addRevision(
    db,
    libraryId,
    accountId,
    new Date('2026-08-20T09:00:00Z'),
    'The demo library',
  );
  await species.addTaxa(
    db,
    libraryId,
    library.taxa.map(({ taxon }) => taxon.id),
  );
  await species.addTaxonVersions(
    db,
    revision,
    library.taxa.map(({ taxon: { id, ...record } }) => ({ taxonId: id, record })),
  );
  for (const { taxon, scores } of library.taxa) await writeScores(db, revision, ofTaxon(taxon.id, scores));
  const ranges = Object.entries(demoRanges()).map(([key, record]) => ({ key, record }));
  await addRecords(db, libraryId, 'range', revision, ranges);
  return revision;
}

const folder = process.argv[2] ?? fileURLToPath(new URL('../data/', import.meta.url));
const packed = fileURLToPath(new URL('../../server/dist/empty-store.tar.gz', import.meta.url));
rmSync(folder, { recursive: true, force: true });
const db = await openFolder(folder, { packed });
await migrate(db);
await db.transaction(fill);
await db.close();
const first = file.courses[0]!;
writeFileSync(
  join(folder, 'complete'),
  `A student signs in by hand with course code ${first.code} and personal code ${codeOf(first.students[0]!)}.\n`,
);
