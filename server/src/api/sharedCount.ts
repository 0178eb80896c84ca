import { createHash } from 'node:crypto';
import type { Options, Store } from 'express-rate-limit';
import type { Db } from '../db/index.ts';

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
    const [row] = await this.db.query<{ hits: number; until: Date }>(
      `insert into failed_sign_in (key, hits, until) values ($1, 1, clock_timestamp() + make_interval(secs => $2))
       on conflict (key) do update set
         hits = case when failed_sign_in.until < clock_timestamp() then 1 else failed_sign_in.hits + 1 end,
         until = case when failed_sign_in.until < clock_timestamp() then excluded.until else failed_sign_in.until end
       returning hits, until`,
      [hashed(key), this.windowMs / 1000],
    );
    return { totalHits: row!.hits, resetTime: row!.until };
  }

  async decrement(key: string): Promise<void> {
    await this.db.query('update failed_sign_in set hits = greatest(0, hits - 1) where key = $1', [
      hashed(key),
    ]);
  }

  async resetKey(key: string): Promise<void> {
    await this.db.query('delete from failed_sign_in where key = $1', [hashed(key)]);
  }
}

/** Neither addresses nor names are kept. */
const hashed = (key: string): string => createHash('sha256').update(key).digest('base64url');
