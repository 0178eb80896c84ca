import { createHash } from 'node:crypto';
import type { Options, Store } from 'express-rate-limit';
import type { Db } from '../db/index.ts';
import * as queries from './queries.ts';

/** Failed calls counted in the store: whoever guesses is slowed down by all processes together, not by each anew. */
export class SharedCount implements Store {
  private windowMs = 0;
  private readonly db: Db;

  constructor(db: Db) {
    this.db = db;
  }

  init({ windowMs }: Options): void {
    this.windowMs = windowMs;
  }

  async increment(key: string): Promise<{ totalHits: number; resetTime: Date }> {
    const { hits, until } = await queries.countFailed(this.db, hashed(key), this.windowMs / 1000);
    return { totalHits: hits, resetTime: until };
  }

  async decrement(key: string): Promise<void> {
    await queries.takeBack(this.db, hashed(key));
  }

  async resetKey(key: string): Promise<void> {
    await queries.forgetFailed(this.db, hashed(key));
  }
}

/** Neither addresses nor names are kept. */
const hashed = (key: string): string => createHash('sha256').update(key).digest('base64url');
