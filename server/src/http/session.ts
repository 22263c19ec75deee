import { promisify } from 'node:util';
import type { AccountId } from '@bradyon/core/units';
import connectPgSimple from 'connect-pg-simple';
import type { Request, RequestHandler } from 'express';
import session from 'express-session';
import type { Pool } from 'pg';
import type { Config } from '../config.ts';
import { Problem } from './problem.ts';

declare module 'express-session' {
  interface SessionData {
    accountId: AccountId;
  }
}

const SIGNED_IN_DAYS = 60;
const MS_PER_DAY = 24 * 60 * 60 * 1000;

/** Sessions in PostgreSQL, named by an HttpOnly cookie. */
export function sessions(pool: Pool, config: Config): RequestHandler {
  const Store = connectPgSimple(session);
  return session({
    name: 'bradyon',
    secret: config.sessionSecret,
    store: new Store({ pool, tableName: 'sessions', disableTouch: true }),
    resave: false,
    saveUninitialized: false,
    cookie: {
      httpOnly: true,
      sameSite: 'lax',
      secure: config.secureCookies,
      maxAge: SIGNED_IN_DAYS * MS_PER_DAY,
    },
  });
}

/** Begins a fresh session for the account; whatever session there was before is void. */
export async function signInAs(req: Request, accountId: AccountId): Promise<void> {
  await promisify(req.session.regenerate.bind(req.session))();
  // regenerate has put a new session in the place of the old one.
  req.session.accountId = accountId;
  // Saved before the reply goes out, so that the next request finds it.
  await promisify(req.session.save.bind(req.session))();
}

/** Ends the session here and now. */
export async function signOut(req: Request): Promise<void> {
  await promisify(req.session.destroy.bind(req.session))();
}

/** Who is signed in; a refusal when nobody is. */
export function signedIn(req: Request): AccountId {
  const { accountId } = req.session;
  if (accountId === undefined) throw new Problem(401, 'Sign in to go on.');
  return accountId;
}
