import { randomUUID } from 'node:crypto';
import { promisify } from 'node:util';
import type { AccountId } from '@bradyon/core/units';
import connectPgSimple from 'connect-pg-simple';
import cookieParser from 'cookie-parser';
import type { CookieOptions, Request, RequestHandler, Response } from 'express';
import session from 'express-session';
import type { Pool } from 'pg';
import type { Logger } from 'pino';
import sql, { type Sql } from 'sql-template-tag';
import type { Config } from '../config.ts';
import { Problem } from './problem.ts';

declare module 'express-session' {
  interface SessionData {
    accountId: AccountId;
    /** When its end was last moved, milliseconds since 1970. */
    rolledAtMs: number;
  }
}

const SESSION = 'bradyon';
const MS_PER_DAY = 24 * 60 * 60 * 1000;
const SIGNED_IN_MS = 60 * MS_PER_DAY;
/** Whoever comes back stays signed in: the end moves along, at most once in this time. */
const ROLL_MS = MS_PER_DAY;

const cookieOptions = (config: Config): CookieOptions => ({
  httpOnly: true,
  sameSite: 'lax',
  secure: config.secureCookies,
});

/** Sessions in PostgreSQL, named by an HttpOnly cookie. */
export function sessions(pool: Pool, config: Config, logger: Logger): RequestHandler[] {
  const Store = connectPgSimple(session);
  const keep = session({
    name: SESSION,
    secret: config.sessionSecret,
    store: new Store({
      pool,
      tableName: 'sessions',
      disableTouch: true,
      errorLog: (...words) => {
        logger.warn({ err: words.find((word) => word instanceof Error) }, 'sessions');
      },
    }),
    resave: false,
    saveUninitialized: false,
    cookie: { ...cookieOptions(config), maxAge: SIGNED_IN_MS },
  });
  const roll: RequestHandler = (req, _res, next) => {
    const { accountId, rolledAtMs = 0 } = req.session;
    // A session that has changed is saved with a new end, and its cookie is sent again.
    if (accountId !== undefined && Date.now() - rolledAtMs > ROLL_MS) {
      req.session.rolledAtMs = Date.now();
    }
    next();
  };
  return [keep, roll];
}

/** Reads the cookies that we have signed; only where they are asked for. */
export function signedCookies(config: Config): RequestHandler {
  return cookieParser(config.sessionSecret);
}

/**
 * The session that a request names, its signature checked by `signedCookies`; null: none. Whether it still stands
 * the database knows.
 */
export function namedSession(req: Request): string | null {
  const sid: unknown = req.signedCookies[SESSION];
  return typeof sid === 'string' ? sid : null;
}

/** Inside a statement: whose session this is, where it stands and is the one that the tab means; else null. */
export function accountOf(sid: string, meant: string | null): Sql {
  return sql`(select (sess ->> 'accountId')::uuid from sessions
    where sid = ${sid} and expire > now()
      and (${meant}::text is null or sess ->> 'accountId' = ${meant}))`;
}

/** The account that a tab works for, as it says. */
export function meantAccount(req: Request): string | null {
  return req.get('Bradyon-Account') ?? null;
}

const KNOWN = 'bradyon-known';
const KNOWN_MS = 365 * MS_PER_DAY;

/**
 * Notes on this browser that the account has signed in from it before: wrong tries made elsewhere
 * cannot lock it out here.
 */
export function rememberBrowser(res: Response, config: Config, accountId: AccountId): void {
  res.cookie(KNOWN, `${accountId} ${randomUUID()}`, {
    ...cookieOptions(config),
    signed: true,
    path: '/api/accounts',
    maxAge: KNOWN_MS,
  });
}

/** A name for this browser if the account has signed in from it before, else null. */
export function knownBrowser(req: Request, accountId: AccountId | undefined): string | null {
  const known: unknown = req.signedCookies[KNOWN];
  return typeof known === 'string' && accountId !== undefined && known.startsWith(`${accountId} `)
    ? known
    : null;
}

/** Begins a fresh session for the account; whatever session there was before is void. */
export async function signInAs(req: Request, accountId: AccountId): Promise<void> {
  await promisify(req.session.regenerate.bind(req.session))();
  // regenerate has put a new session in the place of the old one.
  req.session.accountId = accountId;
  req.session.rolledAtMs = Date.now();
  // Saved before the reply goes out, so that the next request finds it.
  await promisify(req.session.save.bind(req.session))();
}

/** Ends the session here and now. */
export async function signOut(req: Request): Promise<void> {
  await promisify(req.session.destroy.bind(req.session))();
}

/** Ends every session of the account, on every device. */
export async function signOutEverywhere(pool: Pool, accountId: AccountId): Promise<void> {
  await pool.query(sql`delete from sessions where sess ->> 'accountId' = ${accountId}`);
}

/** Who is signed in; a refusal when nobody is. */
export function signedIn(req: Request): AccountId {
  const { accountId } = req.session;
  if (accountId === undefined) throw new Problem(401, 'Sign in to go on.');
  return accountId;
}
