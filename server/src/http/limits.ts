import type { Pool } from 'pg';
import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import { Problem } from './problem.ts';

/** Counts one try and refuses when there were too many. */
export type Limit = (key: string) => Promise<void>;

/** A limit kept in PostgreSQL, so that it holds over restarts and for several servers together. */
export function makeLimit(pool: Pool, name: string, tries: number, windowSeconds: number): Limit {
  const limiter = new RateLimiterPostgres({
    storeClient: pool,
    tableName: 'rate_limits',
    tableCreated: true,
    keyPrefix: name,
    points: tries,
    duration: windowSeconds,
  });
  return async (key) => {
    try {
      await limiter.consume(key);
    } catch (refusal) {
      if (!(refusal instanceof RateLimiterRes)) throw refusal;
      const seconds = Math.ceil(refusal.msBeforeNext / 1000);
      const wait =
        seconds > 90 ? `${String(Math.ceil(seconds / 60))} minutes` : `${String(seconds)} s`;
      throw new Problem(429, `Too many tries. Wait ${wait} and try again.`, [], seconds);
    }
  };
}
