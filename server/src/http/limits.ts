import { createHash } from 'node:crypto';
import { isIPv6 } from 'node:net';
import type { Request } from 'express';
import type { Pool } from 'pg';
import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import { Problem } from './problem.ts';

export interface Limit {
  /** Counts one try and refuses when there were too many. */
  use: (key: string) => Promise<void>;
  /** Refuses when there were too many already, without counting one. */
  check: (key: string) => Promise<void>;
}

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
  return {
    async use(key) {
      try {
        await limiter.consume(short(key));
      } catch (refusal) {
        if (!(refusal instanceof RateLimiterRes)) throw refusal;
        throw tooMany(refusal);
      }
    },
    async check(key) {
      const spent = await limiter.get(short(key));
      if (spent && spent.remainingPoints <= 0) throw tooMany(spent);
    },
  };
}

/** A key of any length as one that fits; nobody's address stands in the table. */
function short(key: string): string {
  return createHash('sha256').update(key).digest('base64url');
}

function tooMany({ msBeforeNext }: RateLimiterRes): Problem {
  const seconds = Math.ceil(msBeforeNext / 1000);
  const wait =
    seconds > 90 ? `${String(Math.ceil(seconds / 60))} minutes` : `${String(seconds)} seconds`;
  return new Problem(429, `Too many tries. Wait ${wait} and try again.`, [], seconds);
}

/**
 * Where a request comes from, for counting: an IPv4 address, or the half of an IPv6 address that
 * names a network, because whoever has one has all addresses of its other half.
 */
export function addressOf({ ip = 'unknown' }: Pick<Request, 'ip'>): string {
  const plain = ip.replace(/^::ffff:(?=\d+\.)/i, '');
  if (!isIPv6(plain)) return plain;
  const [front = '', back] = plain.split('%')[0]?.split('::') ?? [];
  const groups = front.split(':').filter(Boolean);
  const after = (back ?? '').split(':').filter(Boolean);
  const zeros = Array.from({ length: Math.max(0, 8 - groups.length - after.length) }, () => '0');
  return [...groups, ...zeros, ...after].slice(0, 4).join(':');
}
