import { writeFileSync } from 'node:fs';
import { migrate, openInMemory } from '../db/index.ts';

/** Writes an empty store in its newest shape into the file given. */
const db = await openInMemory();
await migrate(db);
writeFileSync(process.argv[2]!, Buffer.from(await (await db.pack()).arrayBuffer()));
await db.close();
