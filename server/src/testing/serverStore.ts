import { randomUUID } from 'node:crypto';
import { openServer, type Db } from '../db/index.ts';

/** The database on the tests' server that is empty and in its newest shape. */
export const TEMPLATE = 'hurrow_empty';

/** The address of a new database on the PostgreSQL server of the tests, empty and in its newest shape. */
export async function newDatabase(template = TEMPLATE): Promise<string> {
  const url = new URL(process.env['HURROW_TEST_DATABASE']!);
  const first = await openServer(String(url), 1);
  const name = `test_${randomUUID().replaceAll('-', '')}`;
  await first.script(`create database ${name} template ${template}`);
  await first.close();
  url.pathname = `/${name}`;
  return String(url);
}

/** A store on that server, which goes when it is closed. */
export async function serverStore(): Promise<Db> {
  const url = await newDatabase();
  const db = await openServer(url, 6);
  const close = async () => {
    await db.close();
    const first = await openServer(process.env['HURROW_TEST_DATABASE']!, 1);
    await first.script(`drop database ${new URL(url).pathname.slice(1)} with (force)`);
    await first.close();
  };
  return { ...db, close };
}
