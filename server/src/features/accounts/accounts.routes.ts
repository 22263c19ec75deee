import {
  accountContract,
  confirmationContract,
  passwordChangeContract,
  passwordResetContract,
  signInContract,
  signUpContract,
  welcomeContract,
  type Account,
} from '@bradyon/contract/accounts';
import type { AccountId } from '@bradyon/core/units';
import { Router, type Request, type Response } from 'express';
import { asAccount } from '../../db/scope.ts';
import type { Deps } from '../../deps.ts';
import { bodyOf } from '../../http/exchange.ts';
import { hashCode } from '../../http/codes.ts';
import { addressOf, makeLimit } from '../../http/limits.ts';
import { misfits, notFound, Problem } from '../../http/problem.ts';
import {
  knownBrowser,
  rememberBrowser,
  signedIn,
  signInAs,
  signOut,
  signOutEverywhere,
} from '../../http/session.ts';
import * as accounts from './accounts.sql.ts';
import { commonMisfit, hashPassword, passwordFits } from './passwords.ts';

const QUARTER_HOUR_SECONDS = 15 * 60;
const HOUR_SECONDS = 60 * 60;

export function accountRoutes({ pool, config, reply }: Deps): Router {
  const router = Router();
  const triesPerAccount = makeLimit(pool, 'sign-in', 10, QUARTER_HOUR_SECONDS);
  const triesPerAddress = makeLimit(pool, 'sign-in-from', 200, QUARTER_HOUR_SECONDS);
  const signUpsPerAddress = makeLimit(pool, 'sign-up-from', 100, HOUR_SECONDS);
  const resetsPerAddress = makeLimit(pool, 'reset-from', 20, HOUR_SECONDS);

  const accountOf = async (id: AccountId): Promise<Account> => {
    const account = await asAccount(pool, id, (tx) => accounts.selectAccount(tx, id));
    if (account === null) throw new Problem(401, 'This account was deleted. Sign in with another.');
    return account;
  };

  const enter = async (req: Request, res: Response, id: AccountId): Promise<Account> => {
    await signInAs(req, id);
    rememberBrowser(res, config, id);
    return accountOf(id);
  };

  /** Refuses when the password of whoever is signed in is another. */
  const confirm = async (accountId: AccountId, password: string, path: string): Promise<void> => {
    await triesPerAccount.use(`own ${accountId}`);
    const kept = await asAccount(pool, accountId, accounts.selectOwnPassword);
    if (await passwordFits(kept, password)) return;
    throw misfits([{ path, message: 'That is not your password. Type it again.' }]);
  };

  router.get('/welcome', async (_req, res) => {
    reply(res, welcomeContract, { demo: (await accounts.selectDemoAccount(pool)) !== null });
  });

  router.get('/me', async (req, res) => {
    reply(res, accountContract, await accountOf(signedIn(req)));
  });

  router.post('/', async (req, res) => {
    const { password, ...account } = bodyOf(req, signUpContract);
    const common = commonMisfit(password, account);
    if (common) throw misfits([common]);
    await signUpsPerAddress.use(addressOf(req));
    const passwordHash = await hashPassword(password);
    const made = await asAccount(pool, account.id, (tx) =>
      accounts.insertAccount(tx, account, passwordHash),
    );
    reply(res, accountContract, await enter(req, res, made.id), 201);
  });

  router.post('/session', async (req, res) => {
    const { email, password } = bodyOf(req, signInContract);
    const kept = await accounts.selectPassword(pool, email);
    const known = knownBrowser(req, kept?.id);
    if (known === null) {
      await triesPerAddress.use(addressOf(req));
      await triesPerAccount.use(`${addressOf(req)} ${email}`);
    } else await triesPerAccount.use(known);
    const fits = await passwordFits(kept?.passwordHash ?? null, password);
    if (kept === null || !fits) {
      const message = 'Email and password do not match. Check both.';
      throw new Problem(401, message, [{ path: 'password', message }]);
    }
    reply(res, accountContract, await enter(req, res, kept.id));
  });

  router.post('/demo-session', async (req, res) => {
    await triesPerAddress.use(addressOf(req));
    const id = await accounts.selectDemoAccount(pool);
    if (id === null) throw notFound('The demo is not loaded here.');
    await signInAs(req, id);
    reply(res, accountContract, await accountOf(id));
  });

  router.delete('/session', async (req, res) => {
    await signOut(req);
    res.clearCookie('bradyon').status(204).end();
  });

  router.delete('/sessions', async (req, res) => {
    await signOutEverywhere(pool, signedIn(req));
    await signOut(req);
    res.clearCookie('bradyon').status(204).end();
  });

  router.put('/password', async (req, res) => {
    const accountId = signedIn(req);
    const { current, password } = bodyOf(req, passwordChangeContract);
    const account = await accountOf(accountId);
    const common = commonMisfit(password, account);
    if (common) throw misfits([common]);
    await refuseDemo(accountId);
    await confirm(accountId, current, 'current');
    const passwordHash = await hashPassword(password);
    await asAccount(pool, accountId, (tx) => accounts.updatePassword(tx, passwordHash));
    // Whoever else is signed in as this account may be why it was changed.
    await signOutEverywhere(pool, accountId);
    reply(res, accountContract, await enter(req, res, accountId));
  });

  router.post('/reset', async (req, res) => {
    const { email, code, password } = bodyOf(req, passwordResetContract);
    const common = commonMisfit(password, { email, name: '' });
    if (common) throw misfits([common]);
    await resetsPerAddress.use(addressOf(req));
    const passwordHash = await hashPassword(password);
    const accountId = await accounts.resetPassword(pool, email, hashCode(code), passwordHash);
    if (accountId === null) {
      const message = 'This code does not go with this address. Check both, or ask for a new code.';
      throw misfits([{ path: 'code', message }]);
    }
    await signOutEverywhere(pool, accountId);
    reply(res, accountContract, await enter(req, res, accountId));
  });

  router.delete('/me', async (req, res) => {
    const accountId = signedIn(req);
    const { password } = bodyOf(req, confirmationContract);
    await refuseDemo(accountId);
    await confirm(accountId, password, 'password');
    if (!(await asAccount(pool, accountId, accounts.eraseAccount))) {
      throw new Problem(409, 'You own a team. Delete the team first.');
    }
    await signOut(req);
    res.clearCookie('bradyon').status(204).end();
  });

  /** Everybody has its password: one visitor must not lock the others out. */
  const refuseDemo = async (accountId: AccountId): Promise<void> => {
    if ((await accounts.selectDemoAccount(pool)) === accountId) {
      throw new Problem(403, 'The demo account is shared and cannot be changed.');
    }
  };

  return router;
}
