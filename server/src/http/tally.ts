import type { TallyContracts, TallyRow } from '@bradyon/contract/tally';
import { sinceContract } from '@bradyon/contract/timing';
import type { TeamId } from '@bradyon/core/units';
import type { Router } from 'express';
import type { Tally } from '../db/tally.ts';
import { inTeam, lockTeam } from '../db/scope.ts';
import type { Deps } from '../deps.ts';
import { bodyOf, checkedBy, idOf } from './exchange.ts';
import { signedIn } from './session.ts';

/** Asking for what is new of a tally, and adding to it. @param path below the team */
export function addTallyRoutes<Row extends TallyRow>(
  router: Router,
  path: string,
  tally: Tally<Row>,
  contracts: TallyContracts<Row>,
  { pool, reply }: Deps,
): void {
  router.get(`/:teamId/${path}`, async (req, res) => {
    const { since } = checkedBy(sinceContract, { since: Number(req.query['since'] ?? 0) });
    const page = await inTeam(pool, signedIn(req), idOf<TeamId>(req, 'teamId'), (tx) =>
      tally.since(tx, since),
    );
    reply(res, contracts.page, page);
  });

  router.post(`/:teamId/${path}`, async (req, res) => {
    const { rows } = bodyOf(req, contracts.sent);
    await inTeam(pool, signedIn(req), idOf<TeamId>(req, 'teamId'), async (tx) => {
      // Numbers are seen in their order: who reads up to one has all before it.
      await lockTeam(tx);
      await tally.insert(tx, rows);
    });
    res.status(204).end();
  });
}
