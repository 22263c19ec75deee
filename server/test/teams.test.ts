import { randomUUID } from 'node:crypto';
import type { Invite, Member, Team } from '@bradyon/contract/teams';
import { USUAL_SQUEEZE } from '@bradyon/core/innings';
import { PRESETS } from '@bradyon/core/rules';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { aSeason, aTeam, startApi, type Api } from './api.ts';

let api: Api;
beforeAll(async () => {
  api = await startApi();
});
afterAll(() => api.stop());

describe('making a team', () => {
  it('makes whoever asks its owner, and is the same team when asked twice', async () => {
    const coach = await api.coach();
    const draft = aTeam();
    const first = await coach.call<Team>('POST', '/api/teams', draft);
    expect(first).toMatchObject({ status: 201, body: { ...draft, role: 'owner' } });
    expect((await coach.call('POST', '/api/teams', draft)).status).toBe(200);
    expect((await coach.call<Team[]>('GET', '/api/teams')).body).toEqual([first.body]);
  });

  it('refuses an id that is taken, without showing or joining the team behind it', async () => {
    const { team } = await aSeason(api);
    const other = await api.coach();
    const taken = await other.call('POST', '/api/teams', aTeam({ id: team.id }));
    expect(taken.status).toBe(409);
    expect((await other.call('GET', `/api/teams/${team.id}`)).status).toBe(404);
  });

  it('asks for a level of the sport that the rules are for', async () => {
    const coach = await api.coach();
    const answer = await coach.call('POST', '/api/teams', aTeam({ ruleset: PRESETS.fastpitch43 }));
    expect(answer.status).toBe(422);
    expect(answer.problem.errors).toEqual([
      { path: 'level', message: 'Choose a softball level for softball rules.' },
    ]);
  });

  it('keeps edited rules', async () => {
    const { coach, team, base } = await aSeason(api);
    const { role: _, ...draft } = team;
    const edited = {
      ...draft,
      neededChance: 0.7,
      levelChanges: { topSpeed: 27, 'tag.onLineSeconds': 0.12 },
      ruleset: { ...draft.ruleset, innings: 5, runRuleRuns: 12, pickLimit: 3 },
    };
    expect((await coach.call('PUT', base, edited)).status).toBe(200);
    expect((await coach.call('GET', base)).body).toEqual({ ...edited, role: 'owner', version: 2 });
    // A tab that was left open with the old rules does not put them back.
    const stale = await coach.call('PUT', base, { ...draft, name: 'Skuas' });
    expect(stale.status).toBe(409);
    expect(stale.problem.current).toMatchObject({ neededChance: 0.7, version: 2 });
    expect((await coach.call('GET', base)).body).toEqual({ ...edited, role: 'owner', version: 2 });
  });

  it('keeps its own sheets of how the game goes, and refuses one that does not add up', async () => {
    const { coach, team, base } = await aSeason(api);
    const { role: _, ...draft } = team;
    const squeeze = { ...USUAL_SQUEEZE, scored: 0.6, foul: 0.07 };
    const own = { ...draft, playChanges: { squeeze } };
    expect((await coach.call('PUT', base, own)).status).toBe(200);
    expect((await coach.call<Team>('GET', base)).body.playChanges).toEqual({ squeeze });
    const send = (playChanges: object) =>
      coach.call('PUT', base, { ...draft, version: 2, playChanges });
    const lacking = await send({ squeeze: { ...squeeze, scored: 0.5 } });
    expect([lacking.status, lacking.problem.errors]).toMatchObject([
      422,
      [{ path: 'playChanges.squeeze', message: expect.stringContaining('90.0%') as string }],
    ]);
    const odd = await send({ squeeze: { ...squeeze, scored: 6 } });
    expect(odd.problem.errors).toMatchObject([{ path: 'playChanges.squeeze.scored' }]);
    expect((await send({ steals: {} })).status).toBe(422);
    expect((await coach.call<Team>('GET', base)).body.playChanges).toEqual({ squeeze });
  });
});

describe('the staff', () => {
  async function withAssistant() {
    const season = await aSeason(api);
    const { body: invite } = await season.coach.call<Invite>('POST', `${season.base}/invites`, {
      id: randomUUID(),
      many: true,
    });
    const assistant = await api.coach('Assistant');
    const joined = await assistant.call<Team>('POST', '/api/teams/join', {
      code: ` ${invite.code.toLowerCase().replace('-', ' ')} `,
    });
    return { ...season, invite, assistant, joined };
  }

  it('grows by a code, typed in any case and with or without its dash', async () => {
    const { coach, base, team, joined } = await withAssistant();
    expect(joined).toMatchObject({ status: 200, body: { id: team.id, role: 'assistant' } });
    const { body: members } = await coach.call<Member[]>('GET', `${base}/members`);
    expect(members.map(({ role }) => role)).toEqual(['owner', 'assistant']);
  });

  it('lets an assistant keep the roster, but not change rules or invite', async () => {
    const { assistant, base, team } = await withAssistant();
    const { role: _, ...draft } = team;
    expect((await assistant.call('GET', `${base}/people`)).status).toBe(200);
    expect((await assistant.call('PUT', base, draft)).status).toBe(403);
    expect(
      (await assistant.call('POST', `${base}/invites`, { id: randomUUID(), many: false })).status,
    ).toBe(403);
    expect((await assistant.call('GET', `${base}/invites`)).status).toBe(403);
  });

  it('refuses a code that is wrong, withdrawn or too old, next to the field', async () => {
    const { coach, base, invite } = await withAssistant();
    const stranger = await api.coach('Stranger');
    const join = (code: string) => stranger.call('POST', '/api/teams/join', { code });
    expect((await join('AAAA-2222')).problem.errors[0]?.path).toBe('code');
    await api.owner.query("update invites set expires_at = now() - interval '1 minute'");
    expect((await join(invite.code)).status).toBe(422);
    await api.owner.query("update invites set expires_at = now() + interval '1 day'");
    await coach.call('DELETE', `${base}/invites/${invite.id}`);
    expect((await join(invite.code)).status).toBe(422);
  });

  it('loses an assistant when the owner says so, and never its owner', async () => {
    const { coach, base, assistant } = await withAssistant();
    const remove = (id: string) => coach.call('DELETE', `${base}/members/${id}`);
    expect((await remove(coach.account.id)).status).toBe(404);
    expect((await remove(assistant.account.id)).status).toBe(204);
    expect((await assistant.call('GET', `${base}/people`)).status).toBe(404);
  });
});
