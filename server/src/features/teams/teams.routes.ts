import {
  inviteContract,
  inviteDraftContract,
  joinContract,
  membersContract,
  openInvitesContract,
  resetCodeContract,
  teamChangeContract,
  teamContract,
  teamDraftContract,
  teamsContract,
} from '@bradyon/contract/teams';
import type { AccountId, InviteId, TeamId } from '@bradyon/core/units';
import { Router } from 'express';
import { asAccount, inTeam, inTeamOrPass } from '../../db/scope.ts';
import type { Deps } from '../../deps.ts';
import { bodyOf, createdOnce, idOf, replacementOf, staleOr404 } from '../../http/exchange.ts';
import { makeLimit } from '../../http/limits.ts';
import { misfits, notFound, Problem } from '../../http/problem.ts';
import { signedIn } from '../../http/session.ts';
import { hashCode, makeCode } from '../../http/codes.ts';
import { ownerOnly } from './roles.ts';
import * as teams from './teams.sql.ts';

const QUARTER_HOUR_SECONDS = 15 * 60;

export function teamRoutes({ pool, reply }: Deps): Router {
  const router = Router();
  const triesToJoin = makeLimit(pool, 'join', 10, QUARTER_HOUR_SECONDS);

  router.get('/', async (req, res) => {
    const accountId = signedIn(req);
    const own = await asAccount(pool, accountId, teams.selectTeams);
    const passTeam = own.length > 0 ? null : await teams.selectPassTeam(pool, accountId);
    const guests = passTeam
      ? [await inTeamOrPass(pool, accountId, passTeam, teams.selectTeamOfPass)]
      : [];
    reply(res, teamsContract, [...own, ...guests]);
  });

  router.post('/', async (req, res) => {
    const accountId = signedIn(req);
    const draft = bodyOf(req, teamDraftContract);
    const { row, status } = await asAccount(pool, accountId, async (tx) => {
      const isNew = await teams.insertTeam(tx, draft);
      // selectTeam shows a team to its members only, so a foreign team under this id stays unseen.
      const kept = await teams.selectTeam(tx, draft.id);
      return createdOnce(draft, isNew ? kept : null, () => Promise.resolve(kept));
    });
    reply(res, teamContract, row, status);
  });

  router.post('/join', async (req, res) => {
    const accountId = signedIn(req);
    const { code } = bodyOf(req, joinContract);
    await triesToJoin.use(accountId);
    const team = await asAccount(pool, accountId, async (tx) => {
      const id = await teams.redeemInvite(tx, accountId, hashCode(code));
      return id && teams.selectTeam(tx, id);
    });
    if (team === null) {
      const message = 'This code does not work. Check it, or ask for a new one.';
      throw misfits([{ path: 'code', message }]);
    }
    reply(res, teamContract, team);
  });

  router.get('/:teamId', async (req, res) => {
    const teamId = idOf<TeamId>(req, 'teamId');
    const team = await inTeam(pool, signedIn(req), teamId, (tx) => teams.selectTeam(tx, teamId));
    reply(res, teamContract, found(team));
  });

  router.put('/:teamId', async (req, res) => {
    const accountId = signedIn(req);
    const teamId = idOf<TeamId>(req, 'teamId');
    const draft = replacementOf(req, teamChangeContract, teamId);
    const team = await inTeam(pool, accountId, teamId, async (tx, role) => {
      ownerOnly(role, 'change the team and its rules');
      const isChanged = await teams.updateTeam(tx, draft);
      const now = await teams.selectTeam(tx, teamId);
      return staleOr404(isChanged ? now : null, draft, now, NO_TEAM);
    });
    reply(res, teamContract, team);
  });

  router.delete('/:teamId', async (req, res) => {
    const teamId = idOf<TeamId>(req, 'teamId');
    await inTeam(pool, signedIn(req), teamId, (tx, role) => {
      ownerOnly(role, 'delete the team');
      return teams.eraseTeam(tx);
    });
    res.status(204).end();
  });

  router.get('/:teamId/members', async (req, res) => {
    const teamId = idOf<TeamId>(req, 'teamId');
    reply(res, membersContract, await inTeam(pool, signedIn(req), teamId, teams.selectMembers));
  });

  router.delete('/:teamId/members/:accountId', async (req, res) => {
    const me = signedIn(req);
    const accountId = idOf<AccountId>(req, 'accountId');
    await inTeam(pool, me, idOf<TeamId>(req, 'teamId'), async (tx, role) => {
      if (accountId !== me) ownerOnly(role, 'remove somebody from the staff');
      const gone = await teams.deleteAssistant(tx, accountId);
      if (!gone) throw notFound('This assistant is not on the staff.');
    });
    res.status(204).end();
  });

  router.post('/:teamId/members/:accountId/reset-code', async (req, res) => {
    const accountId = idOf<AccountId>(req, 'accountId');
    const code = makeCode();
    await inTeam(pool, signedIn(req), idOf<TeamId>(req, 'teamId'), async (tx, role) => {
      ownerOnly(role, 'make a password code');
      const members = await teams.selectMembers(tx);
      if (!members.some((member) => member.accountId === accountId)) {
        throw notFound('This coach is not on the staff.');
      }
      if (!(await teams.openReset(tx, accountId, hashCode(code)))) {
        throw new Problem(409, RESET_REFUSED);
      }
    });
    reply(res, resetCodeContract, { code }, 201);
  });

  router.get('/:teamId/invites', async (req, res) => {
    const invites = await inTeam(pool, signedIn(req), idOf<TeamId>(req, 'teamId'), (tx, role) => {
      ownerOnly(role, 'see invitations');
      return teams.selectOpenInvites(tx);
    });
    reply(res, openInvitesContract, invites);
  });

  router.post('/:teamId/invites', async (req, res) => {
    const accountId = signedIn(req);
    const teamId = idOf<TeamId>(req, 'teamId');
    const draft = bodyOf(req, inviteDraftContract);
    const code = makeCode();
    const invite = await inTeam(pool, accountId, teamId, (tx, role) => {
      ownerOnly(role, 'invite');
      return teams.insertInvite(tx, draft, hashCode(code));
    });
    reply(res, inviteContract, { ...invite, code }, 201);
  });

  router.delete('/:teamId/invites/:inviteId', async (req, res) => {
    const inviteId = idOf<InviteId>(req, 'inviteId');
    await inTeam(pool, signedIn(req), idOf<TeamId>(req, 'teamId'), (tx, role) => {
      ownerOnly(role, 'cancel an invitation');
      return teams.deleteInvite(tx, inviteId);
    });
    res.status(204).end();
  });

  return router;
}

const NO_TEAM = 'You have no such team.';
const RESET_REFUSED =
  'This coach is also on a team you do not own. ' + 'Ask whoever runs this server for a code.';

function found<T>(team: T | null): T {
  if (team === null) throw notFound(NO_TEAM);
  return team;
}
