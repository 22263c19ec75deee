import { randomUUID } from 'node:crypto';
import { createRequire } from 'node:module';
import { post as postTo } from './benchPost.mjs';

const { Pool } = createRequire(new URL('../server/package.json', import.meta.url))('pg');

/** Devices at once, entries in a request (a few pitches; a half inning that was away), requests in a round, and rounds. */
const AT_ONCE = 8;
const BATCHES = [10, 50];
const REQUESTS = 120;
const ROUNDS = 5;
/** Rounds before anything is measured: as fast as a server is that has been up for an hour of a game, both ways. */
const WARM_UP = 25;
const MOST_ENTRIES = 20_000;
const LISTENERS = 200;
const TOLD = 40;
const OTHER_TEAMS = 1000;
const OTHER_ENTRIES = 500_000;

/**
 * Games on the server: entries taken in, against the same statement straight to PostgreSQL; how long
 * until every device knows, with two servers; and both again among many teams.
 * @param servers two addresses on one database
 */
export async function benchGames(
  servers,
  { appUrl, databaseUrl, cookie, teamId, accountId },
  print,
) {
  const base = `/api/teams/${teamId}/games`;
  const post = (path, body, address = servers[0]) => postTo(address, path, cookie, body);
  const aGame = async () => {
    const id = randomUUID();
    const game = { id, opponentId: null, startsAt: new Date().toISOString(), weAreHome: true };
    await post(base, game);
    return id;
  };
  let pitches = 0;
  const entry = () => ({
    id: randomUUID(),
    device: 'bench',
    place: 'bench',
    at: new Date().toISOString(),
    // Every one is another pitch, as in a game.
    slot: `T1.${(pitches += 1)}.1`,
    kind: 'pitch',
    told: { result: 'inPlay', ball: { result: 'single', contact: 'line' }, runners: [] },
  });
  const owner = new Pool({ connectionString: databaseUrl, max: 1 });

  const rates = async (batch, name) => {
    let games = [];
    const pool = new Pool({ connectionString: appUrl, max: AT_ONCE });
    const overHttp = (nth) =>
      post(`${base}/${games[nth]}/entries`, { entries: Array.from({ length: batch }, entry) });
    // The same statement, without HTTP, sessions and checks around it.
    const straight = (nth) =>
      pool.query('select take_entries($1, $2, $3, $4, $5::jsonb)', [
        accountId,
        teamId,
        games[nth],
        MOST_ENTRIES,
        JSON.stringify(Array.from({ length: batch }, entry)),
      ]);
    const found = { http: [], postgresql: [] };
    for (let round = -WARM_UP; round < ROUNDS; round += 1) {
      // No game has as many entries as all rounds together.
      games = await Promise.all(Array.from({ length: AT_ONCE }, aGame));
      const http = await perSecond(overHttp, batch);
      const postgresql = await perSecond(straight, batch);
      if (round < 0) continue;
      found.http.push(http);
      found.postgresql.push(postgresql);
    }
    await pool.end();
    const [http, postgresql] = [median(found.http), median(found.postgresql)];
    print(`game-entries-by-${batch}-over-http${name}`, http, 'per-second');
    print(`game-entries-by-${batch}-in-postgresql${name}`, postgresql, 'per-second');
    print(`game-entries-by-${batch}-http-share${name}`, http / postgresql, 'ratio');
    return http;
  };

  const fanOut = async (name) => {
    const game = await aGame();
    const listeners = await Promise.all(
      Array.from({ length: LISTENERS }, (_, nth) =>
        listen(`${servers[nth % servers.length]}${base}/${game}/stream`, cookie),
      ),
    );
    const delays = [];
    for (let told = 1; told <= TOLD; told += 1) {
      const start = performance.now();
      const heard = listeners.map(async (each) => {
        await each.until(told);
        delays.push(performance.now() - start);
      });
      await post(`${base}/${game}/entries`, { entries: [entry()] }, servers[told % servers.length]);
      await Promise.all(heard);
    }
    for (const each of listeners) each.stop();
    delays.sort((a, b) => a - b);
    const p95 = delays[Math.floor(delays.length * 0.95)];
    print(`game-fan-out-${LISTENERS}-listeners-p95${name}`, p95, 'ms');
    return p95;
  };

  const all = async (name) => {
    let last = 0;
    for (const batch of BATCHES) last = await rates(batch, name);
    return last;
  };
  const [alone, aloneDelay] = [await all(''), await fanOut('')];
  await fill(owner, accountId);
  const among = `-among-${OTHER_TEAMS}-teams`;
  const [crowded, crowdedDelay] = [await all(among), await fanOut(among)];
  print('game-entries-among-others-ratio', crowded / alone, 'ratio');
  print('game-fan-out-among-others-ratio', crowdedDelay / aloneDelay, 'ratio');
  // No team has so many pitches: what is measured next is a season as it is.
  await owner.query('delete from games where team_id = $1 and opponent_id is null', [teamId]);
  await owner.end();
}

/** Other teams with games of their own, written straight into the tables. */
async function fill(owner, accountId) {
  const { rows } = await owner.query('select ruleset from teams limit 1');
  await owner.query(
    `with made as (
       insert into teams (id, name, level, ruleset, created_by)
       select gen_random_uuid(), 'Other ' || nth, 'hs', $1, $2 from generate_series(1, $3::int) nth
       returning id
     ), played as (
       insert into games (team_id, id, starts_at, we_are_home, last_seq)
       select id, gen_random_uuid(), now(), true, $4::int from made returning team_id, id
     )
     insert into game_entries (team_id, game_id, seq, id, device, place, at, slot, kind, told)
     select team_id, id, nth, gen_random_uuid(), 'bench', 'bench', now(), 'T1.1.1', 'pitch', '{"result":"ball"}'
     from played, generate_series(1, $4::int) nth`,
    [JSON.stringify(rows[0].ruleset), accountId, OTHER_TEAMS, OTHER_ENTRIES / OTHER_TEAMS],
  );
  await owner.query('analyze games');
  await owner.query('analyze game_entries');
}

/** A device that follows a game, and knows how far it has come. */
async function listen(url, cookie) {
  const abort = new AbortController();
  const response = await fetch(url, { headers: { Cookie: cookie }, signal: abort.signal });
  if (!response.ok) throw new Error(`a stream was answered with ${response.status}`);
  let known = 0;
  let waiting = [];
  const decoder = new TextDecoder();
  void (async () => {
    try {
      for await (const chunk of response.body) {
        for (const [, said] of decoder.decode(chunk).matchAll(/"lastSeq":(\d+)/g))
          known = Math.max(known, Number(said));
        waiting = waiting.filter(({ seq, done }) => {
          if (known >= seq) done();
          return known < seq;
        });
      }
    } catch {
      // It was stopped.
    }
  })();
  return {
    until: (seq) => (known >= seq ? undefined : new Promise((done) => waiting.push({ seq, done }))),
    stop: () => abort.abort(),
  };
}

async function perSecond(work, batch) {
  let left = REQUESTS;
  const start = performance.now();
  await Promise.all(
    Array.from({ length: AT_ONCE }, async (_, nth) => {
      while (left > 0) {
        left -= 1;
        await work(nth);
      }
    }),
  );
  return (REQUESTS * batch) / ((performance.now() - start) / 1000);
}

function median(all) {
  return all.toSorted((x, y) => x - y)[Math.floor(all.length / 2)];
}
