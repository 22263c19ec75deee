import {
  accountContract,
  signInContract,
  signUpContract,
  welcomeContract,
  type Account,
} from '@bradyon/contract/accounts';
import type { AccountId } from '@bradyon/core/units';
import { Router, type Request } from 'express';
import { asAccount } from '../../db/scope.ts';
import type { Deps } from '../../deps.ts';
import { bodyOf } from '../../http/exchange.ts';
import { makeLimit } from '../../http/limits.ts';
import { Problem, notFound } from '../../http/problem.ts';
import { signInAs, signOut, signedIn } from '../../http/session.ts';
import { insertAccount, selectAccount, selectDemoAccount, selectPassword } from './accounts.sql.ts';
import { hashPassword, passwordFits } from './passwords.ts';

const QUARTER_HOUR_SECONDS = 15 * 60;
const HOUR_SECONDS = 60 * 60;

export function accountRoutes({ pool, reply }: Deps): Router {
  const router = Router();
  const triesPerAccount = makeLimit(pool, 'sign-in', 10, QUARTER_HOUR_SECONDS);
  const triesPerAddress = makeLimit(pool, 'sign-in-from', 200, QUARTER_HOUR_SECONDS);
  const signUpsPerAddress = makeLimit(pool, 'sign-up-from', 100, HOUR_SECONDS);

  const accountOf = async (id: AccountId): Promise<Account> => {
    const account = await asAccount(pool, id, (tx) => selectAccount(tx, id));
    if (account === null) throw new Problem(401, 'This account is gone. Sign in with another.');
    return account;
  };

  router.get('/welcome', async (_req, res) => {
    reply(res, welcomeContract, { demo: (await selectDemoAccount(pool)) !== null });
  });

  router.get('/me', async (req, res) => {
    reply(res, accountContract, await accountOf(signedIn(req)));
  });

  router.post('/', async (req, res) => {
    const { password, ...account } = bodyOf(req, signUpContract);
    await signUpsPerAddress(addressOf(req));
    const passwordHash = await hashPassword(password);
    const made = await asAccount(pool, account.id, (tx) =>
      insertAccount(tx, account, passwordHash),
    );
    await signInAs(req, made.id);
    reply(res, accountContract, made, 201);
  });

  router.post('/session', async (req, res) => {
    const { email, password } = bodyOf(req, signInContract);
    await triesPerAddress(addressOf(req));
    await triesPerAccount(`${addressOf(req)} ${email}`);
    const kept = await selectPassword(pool, email);
    const fits = await passwordFits(kept?.passwordHash ?? null, password);
    if (kept === null || !fits) {
      const message = 'E-mail address and password do not belong together. Check both.';
      throw new Problem(401, message, [{ path: 'password', message }]);
    }
    await signInAs(req, kept.id);
    reply(res, accountContract, await accountOf(kept.id));
  });

  router.post('/demo-session', async (req, res) => {
    await triesPerAddress(addressOf(req));
    const id = await selectDemoAccount(pool);
    if (id === null) throw notFound('The demo is not loaded here.');
    await signInAs(req, id);
    reply(res, accountContract, await accountOf(id));
  });

  router.delete('/session', async (req, res) => {
    await signOut(req);
    res.clearCookie('bradyon').status(204).end();
  });

  return router;
}

function addressOf(req: Request): string {
  return req.ip ?? 'unknown';
}
