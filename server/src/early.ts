import { postgresProgram } from './db/postgresProgram.ts';

// What is imported before everything else of the server, so that it is done beside the reading of it. Whether it could be is asked where it
// is needed.
if (!process.env.DATABASE_URL) postgresProgram().catch(() => undefined);
