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
export function signInAs(req: Request, accountId: AccountId): Promise<void> {
  return new Promise((resolve, reject) => {
    req.session.regenerate((failed: unknown) => {
      if (failed) {
        reject(failed as Error);
        return;
      }
      req.session.accountId = accountId;
      // Saved before the reply goes out, so that the next request finds it.
      req.session.save((unsaved: unknown) => {
        if (unsaved) reject(unsaved as Error);
        else resolve();
      });
    });
  });
}

/** Ends the session here and now. */
export function signOut(req: Request): Promise<void> {
  return new Promise((resolve, reject) => {
    req.session.destroy((failed: unknown) => {
      if (failed) reject(failed as Error);
      else resolve();
    });
  });
}

/** Who is signed in; a refusal when nobody is. */
export function signedIn(req: Request): AccountId {
  const { accountId } = req.session;
  if (accountId === undefined) throw new Problem(401, 'Sign in to go on.');
  return accountId;
}
