import { randomUUID } from 'node:crypto';
import type { Invite } from '@bradyon/contract/teams';
import { EMPTY_BOOK } from '@bradyon/core/signs';
import type { ReadingId } from '@bradyon/core/units';
import {
  aDelivery,
  aGame,
  anEntry,
  aPerson,
  aSeason,
  aSeasonAtBat,
  aTeam,
  aTestDive,
  anOpponent,
  aBuntTry,
  aFielderLook,
  aLeadLook,
  aPractice,
  aRep,
  aReplay,
  aSignAnswer,
  aSignBook,
  tap,
  type Api,
} from './api.ts';

export type Season = Awaited<ReturnType<typeof aSeason>>;

/** Everything a signed-in coach can call: a body that fits, made for the team it is sent to. */
export const TEAM_ROUTES: Record<string, ((season: Season, ids: Ids) => unknown) | null> = {
  'GET /api/teams/:teamId': null,
  'PUT /api/teams/:teamId': ({ team }) => ({
    ...aTeam({ id: team.id, name: 'Taken over' }),
    version: 1,
  }),
  'DELETE /api/teams/:teamId': null,
  'GET /api/teams/:teamId/members': null,
  'DELETE /api/teams/:teamId/members/:accountId': null,
  'POST /api/teams/:teamId/members/:accountId/reset-code': null,
  'GET /api/teams/:teamId/invites': null,
  'POST /api/teams/:teamId/invites': () => ({ id: randomUUID(), many: false }),
  'DELETE /api/teams/:teamId/invites/:inviteId': null,
  'GET /api/teams/:teamId/opponents': null,
  'POST /api/teams/:teamId/opponents': () => anOpponent({ name: 'Planted' }),
  'PUT /api/teams/:teamId/opponents/:id': ({ opponent }) => ({
    ...opponent,
    name: 'Renamed',
    version: 1,
  }),
  'GET /api/teams/:teamId/people': null,
  'POST /api/teams/:teamId/people': () => aPerson({ name: 'Planted' }),
  'PUT /api/teams/:teamId/people/:id': ({ pitcher }) => ({
    ...pitcher,
    name: 'Renamed',
    version: 1,
  }),
  'POST /api/teams/:teamId/people/import': () => ({ people: [aPerson({ name: 'Planted' })] }),
  'DELETE /api/teams/:teamId/people/:id': null,
  'GET /api/teams/:teamId/export': null,
  'GET /api/teams/:teamId/thumbs': null,
  'GET /api/teams/:teamId/together': null,
  'POST /api/teams/:teamId/together': () => ({ id: randomUUID(), kind: 'pop' }),
  'POST /api/teams/:teamId/together/:id/times': () => ({ event: 1, seconds: 1.4 }),
  'GET /api/teams/:teamId/batting': null,
  'PUT /api/teams/:teamId/batting/:id': ({ pitcher }) => ({
    ...aSeasonAtBat(pitcher.id),
    version: 1,
  }),
  'DELETE /api/teams/:teamId/batting/:id': null,
  'POST /api/teams/:teamId/batting/import': ({ pitcher }) => ({
    batting: [aSeasonAtBat(pitcher.id)],
  }),
  'GET /api/teams/:teamId/batting-order': null,
  'PUT /api/teams/:teamId/batting-order': ({ pitcher }) => ({
    personIds: [pitcher.id],
    version: 0,
  }),
  'GET /api/teams/:teamId/test-dives': null,
  'POST /api/teams/:teamId/test-dives': ({ pitcher }) => aTestDive(pitcher.id),
  'DELETE /api/teams/:teamId/test-dives/:id': null,
  'GET /api/teams/:teamId/games': null,
  'GET /api/teams/:teamId/games/batting': null,
  'GET /api/teams/:teamId/games/bunts': null,
  'GET /api/teams/:teamId/games/calls': null,
  'PUT /api/teams/:teamId/games/replay': () => aReplay({ title: 'Planted' }),
  'GET /api/teams/:teamId/games/looks': null,
  'POST /api/teams/:teamId/games': () => aGame(),
  'DELETE /api/teams/:teamId/games/:gameId': null,
  'GET /api/teams/:teamId/games/:gameId/entries': null,
  'POST /api/teams/:teamId/games/:gameId/entries': () => ({ entries: [anEntry()] }),
  'GET /api/teams/:teamId/games/:gameId/stream': null,
  'POST /api/teams/:teamId/games/:gameId/devices': () => ({
    device: 'planted',
    place: 'bench',
    lastSeq: 0,
  }),
  'GET /api/teams/:teamId/games/:gameId/passes': null,
  'POST /api/teams/:teamId/games/:gameId/passes': () => ({ id: randomUUID(), place: 'first' }),
  'DELETE /api/teams/:teamId/games/:gameId/passes/:passId': null,
  'GET /api/teams/:teamId/reminders': null,
  'PUT /api/teams/:teamId/reminders': () => ({ off: ['f-sum'], words: [], own: [], version: 0 }),
  'GET /api/teams/:teamId/signs': null,
  'PUT /api/teams/:teamId/signs': () => ({ ...EMPTY_BOOK, version: 0 }),
  'GET /api/teams/:teamId/signs/answers': null,
  'POST /api/teams/:teamId/signs/answers': ({ pitcher }) => ({
    answers: [aSignAnswer({ personId: pitcher.id })],
  }),
  'GET /api/teams/:teamId/bunts': null,
  'POST /api/teams/:teamId/bunts': ({ pitcher }) => ({
    rows: [aBuntTry({ personId: pitcher.id })],
  }),
  'GET /api/teams/:teamId/leads/looks': null,
  'POST /api/teams/:teamId/leads/looks': ({ pitcher }) => ({
    rows: [aLeadLook({ personId: pitcher.id })],
  }),
  'GET /api/teams/:teamId/bases/looks': null,
  'POST /api/teams/:teamId/bases/looks': ({ pitcher }) => ({
    rows: [aFielderLook({ personId: pitcher.id })],
  }),
  'GET /api/teams/:teamId/drills/reps': null,
  'POST /api/teams/:teamId/drills/reps': ({ pitcher }) => ({
    rows: [aRep({ personId: pitcher.id })],
  }),
  'GET /api/teams/:teamId/practices': null,
  'PUT /api/teams/:teamId/practices/:id': (_season, ids) => ({
    ...aPractice(ids.practices),
    version: 1,
  }),
  'DELETE /api/teams/:teamId/practices/:id': null,
  'GET /api/teams/:teamId/signs/passes': null,
  'POST /api/teams/:teamId/signs/passes': ({ pitcher }) => ({
    id: randomUUID(),
    personId: pitcher.id,
  }),
  'DELETE /api/teams/:teamId/signs/passes/:passId': null,
  'GET /api/teams/:teamId/gate-devices': null,
  'POST /api/teams/:teamId/gate-devices': () => ({ id: randomUUID(), name: 'Planted' }),
  'PUT /api/teams/:teamId/gate-devices/:id/runner': ({ pitcher }) => ({ personId: pitcher.id }),
  'DELETE /api/teams/:teamId/gate-devices/:id': null,
  'GET /api/teams/:teamId/gate-runs': null,
  'POST /api/teams/:teamId/readings/import': ({ pitcher }) => ({
    readings: [aDelivery(pitcher.id)],
  }),
  'GET /api/teams/:teamId/readings': null,
  'POST /api/teams/:teamId/readings': ({ pitcher }, { readings }) => ({
    steps: [
      { step: 'add', draft: aDelivery(pitcher.id) },
      { step: 'judge', readingId: readings, reason: 'wrong tap', vouched: false },
      { step: 'delete', readingId: readings },
    ],
  }),
};
export const ACCOUNT_ROUTES = [
  'GET /api/accounts/me',
  'DELETE /api/accounts/me',
  'DELETE /api/accounts/sessions',
  'PUT /api/accounts/password',
  'GET /api/passes/mine',
  'GET /api/teams/imports/:id',
  'GET /api/teams',
  'POST /api/teams',
  'POST /api/teams/join',
  'POST /api/teams/import',
  'GET /api/thumbs',
  'POST /api/thumbs',
  'DELETE /api/thumbs',
];
export const OPEN_ROUTES = [
  'GET /api/accounts/welcome',
  'POST /api/accounts',
  'POST /api/accounts/session',
  'POST /api/accounts/reset',
  'POST /api/accounts/demo-session',
  'POST /api/passes',
  'POST /api/drills',
  'POST /api/drills/replay',
  'POST /api/drills/answers',
  'POST /api/drills/reps',
  'DELETE /api/accounts/session',
  // By the token of a device.
  'POST /api/gates/events',
];

export interface Ids {
  accountId: string;
  inviteId: string;
  opponents: string;
  people: string;
  readings: ReadingId;
  together: string;
  'test-dives': string;
  batting: string;
  'gate-devices': string;
  practices: string;
  gameId: string;
  passId: string;
}

/** A season with one of everything, and the ids of it. */
export async function aFullSeason(api: Api): Promise<{ season: Season; ids: Ids }> {
  const season = await aSeason(api);
  const { coach, base, pitcher, opponent } = season;
  const delivery = aDelivery(pitcher.id);
  await tap(coach, base, delivery);
  const { body: invite } = await coach.call<Invite>('POST', `${base}/invites`, {
    id: randomUUID(),
    many: false,
  });
  const together = randomUUID();
  await coach.call('POST', `${base}/together`, { id: together, kind: 'pop' });
  const device = randomUUID();
  await coach.call('POST', `${base}/gate-devices`, { id: device, name: 'Gates' });
  const dive = aTestDive(pitcher.id);
  await coach.call('POST', `${base}/test-dives`, dive);
  const game = aGame();
  await coach.call('POST', `${base}/games`, game);
  await coach.call('POST', `${base}/games/${game.id}/entries`, { entries: [anEntry()] });
  const passId = randomUUID();
  await coach.call('POST', `${base}/games/${game.id}/passes`, { id: passId, place: 'first' });
  await coach.call('PUT', `${base}/signs`, aSignBook());
  const answers = [aSignAnswer({ personId: pitcher.id })];
  await coach.call('POST', `${base}/signs/answers`, { answers });
  await coach.call('POST', `${base}/bunts`, { rows: [aBuntTry({ personId: pitcher.id })] });
  const rows = [aFielderLook({ personId: pitcher.id })];
  await coach.call('POST', `${base}/bases/looks`, { rows });
  const leadLooks = [aLeadLook({ personId: pitcher.id })];
  await coach.call('POST', `${base}/leads/looks`, { rows: leadLooks });
  const reps = [aRep({ personId: pitcher.id })];
  await coach.call('POST', `${base}/drills/reps`, { rows: reps });
  const practice = aPractice();
  await coach.call('PUT', `${base}/practices/${practice.id}`, { ...practice, version: 0 });
  await coach.call('POST', `${base}/signs/passes`, { id: randomUUID(), personId: pitcher.id });
  const ids: Ids = {
    gameId: game.id,
    passId,
    together,
    'test-dives': dive.id,
    batting: pitcher.id,
    'gate-devices': device,
    practices: practice.id,
    accountId: coach.account.id,
    inviteId: invite.id,
    opponents: opponent.id,
    people: pitcher.id,
    readings: delivery.id,
  };
  return { season, ids };
}

export function addressOf(route: string, teamId: string, ids: Ids): [method: string, path: string] {
  const [method = '', pattern = ''] = route.split(' ');
  const path = pattern
    .replace(':teamId', teamId)
    .replace(':accountId', ids.accountId)
    .replace(':inviteId', ids.inviteId)
    .replace(':gameId', ids.gameId)
    .replace(':passId', ids.passId)
    .replace(
      /(opponents|people|readings|together|test-dives|batting|gate-devices|practices)\/:id/,
      (_, kind: keyof Ids) => `${kind}/${ids[kind]}`,
    );
  return [method, path];
}
