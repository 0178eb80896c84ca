import type { ChildProcess } from 'node:child_process';
import { freePort } from '@hurrow/e2e/freePort';
import { startServer } from '../start.ts';
import { Visitor } from './visitor.ts';

/** A Hurrow that runs, and its owner. */
export interface Running {
  base: string;
  child: ChildProcess;
  owner: Visitor;
}

/** Runs a Hurrow on a folder with the demo's data for as long as the work takes. */
export async function withHurrow<T>(folder: string, work: (running: Running) => Promise<T>): Promise<T> {
  const port = await freePort();
  const { child, stop } = await startServer(folder, port);
  try {
    const base = `http://localhost:${port}`;
    const owner = new Visitor(base);
    await owner.post('/api/session/demo', { as: 'instructor' });
    return await work({ base, child, owner });
  } finally {
    await stop();
  }
}
