import { writeFileSync } from 'node:fs';
import { migrate, openInMemory, openServer } from '../db/index.ts';
import { TEMPLATE } from './serverStore.ts';

/** Writes an empty store in its newest shape into the file given, and one onto the server given, as a template. */
const [file, url] = process.argv.slice(2) as [string, string];
const db = await openInMemory();
await migrate(db);
writeFileSync(file, Buffer.from(await (await db.pack()).arrayBuffer()));
await db.close();

const first = await openServer(url);
await first.script(`create database ${TEMPLATE}`);
await first.close();
const at = new URL(url);
at.pathname = `/${TEMPLATE}`;
const template = await openServer(String(at));
await migrate(template);
await template.close();
