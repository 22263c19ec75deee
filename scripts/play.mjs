/**
 * `npm run play`: plays a whole made-up game of the demo against a running server, from three devices.
 * --address http://127.0.0.1:4680   --every 500 (milliseconds between entries)   --seed 1
 */
import { randomUUID } from 'node:crypto';
import { ensurePackages } from './install.mjs';
import { run, say } from './say.mjs';

const option = (name, usual) => {
  const at = process.argv.indexOf(`--${name}`);
  return at === -1 ? usual : (process.argv[at + 1] ?? usual);
};

await run(async () => {
  ensurePackages();
  const address = option('address', 'http://127.0.0.1:4680');
  const everyMs = Number(option('every', '500'));
  const seed = Number(option('seed', '1'));
  const { runnerImport } = await import('vite');
  const file = (name) => new URL(`../${name}`, import.meta.url).pathname;
  const { module: games } = await runnerImport(file('core/src/games/index.ts'));
  const { module: innings } = await runnerImport(file('core/src/innings/index.ts'));
  const { module: maths } = await runnerImport(file('core/src/maths/index.ts'));
  const { call } = await signIn(address);
  const [team] = await call('GET', '/api/teams');
  const base = `/api/teams/${team.id}`;
  const [people, opponents, order] = await Promise.all(
    ['people', 'opponents', 'batting-order'].map((what) => call('GET', `${base}/${what}`)),
  );
  const opponent = opponents.find(({ retired }) => !retired);
  const id = randomUUID();
  const nowIso = () => new Date().toISOString();
  await call('POST', `${base}/games`, {
    id,
    opponentId: opponent.id,
    startsAt: nowIso(),
    weAreHome: false,
  });
  const lineUp = (of, first) =>
    games.startLineUp(
      people.filter((person) => person.opponentId === of),
      { last: null, order: first },
    );
  const opened = {
    id: randomUUID(),
    seq: null,
    device: 'played bench',
    place: 'bench',
    at: nowIso(),
    slot: 'T1.1.1',
    kind: 'opened',
    rules: games.playRulesOf(team.ruleset),
    ours: 'away',
    away: lineUp(null, order.personIds),
    home: lineUp(opponent.id, []),
  };
  const send = async ({ id: entryId, device, place, at, slot, kind, ...told }) => {
    delete told.seq;
    const entries = [{ id: entryId, device, place, at, slot, kind, told }];
    await call('POST', `${base}/games/${id}/entries`, { entries });
  };
  await send(opened);
  say(`${address}/teams/${team.id}/games/${id}`);
  const sent = await games.playThrough({
    opened,
    random: maths.makeRandom(seed),
    rates: innings.PLAY_LEVELS[team.level].rates,
    newId: randomUUID,
    nowIso,
    send,
    wait: async () => {
      await new Promise((done) => setTimeout(done, everyMs));
      return true;
    },
  });
  say(`${sent + 1} entries played`);
});

/** Requests as the demo's coach. @returns call(method, path, body) that throws with the server's reason */
async function signIn(address) {
  const answer = await fetch(`${address}/api/accounts/demo-session`, { method: 'POST' });
  if (!answer.ok) throw new Error('The demo is not loaded there. Run npm start first.');
  const cookie = answer.headers
    .getSetCookie()
    .map((each) => each.split(';')[0])
    .join('; ');
  return {
    call: async (method, path, body) => {
      const reply = await fetch(`${address}${path}`, {
        method,
        headers: { cookie, ...(body && { 'Content-Type': 'application/json' }) },
        ...(body && { body: JSON.stringify(body) }),
      });
      const content = await reply.json();
      if (!reply.ok) throw new Error(content.detail);
      return content;
    },
  };
}
