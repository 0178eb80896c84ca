import { randomUUID } from 'node:crypto';
import pg from 'pg';

/** Databases on the journeys' PostgreSQL server of which each journey takes a copy, see demoData.ts. */
export const TEMPLATES = { demo: 'hurrow_demo', empty: 'template1' };

/** The address of a database of that server by its name. */
export function addressOf(name: string): string {
  const url = new URL(process.env['HURROW_TEST_DATABASE']!);
  url.pathname = `/${name}`;
  return String(url);
}

/** Asks the server itself. */
export async function atServer(sql: string): Promise<void> {
  const client = new pg.Client({ connectionString: process.env['HURROW_TEST_DATABASE'] });
  await client.connect();
  await client.query(sql);
  await client.end();
}

/** The address of a new database with the demo's data, or empty. */
export async function newDatabase(kind: keyof typeof TEMPLATES): Promise<string> {
  const name = `journey_${randomUUID().replaceAll('-', '')}`;
  await atServer(`create database ${name} template ${TEMPLATES[kind]}`);
  return addressOf(name);
}
