/**
 * `npm run bench`: prints `name value unit` lines. Not part of npm test: a machine's mood is no fault.
 * Speed claims are ratios measured in one run. `npm run bench -- core browser` runs only those parts.
 */
import { randomUUID } from 'node:crypto';
import { createRequire } from 'node:module';
import { benchDrillsInBrowser } from './benchDrills.mjs';
import { benchMotionInBrowser } from './benchEar.mjs';
import { benchGames } from './benchGames.mjs';
import { endPosts, post } from './benchPost.mjs';
import { benchReviewInBrowser } from './benchReview.mjs';
import { freePort, startThrowawayCluster } from './cluster.mjs';
import { ensureBuilt, ensurePackages } from './install.mjs';
import { Advice, run } from './say.mjs';
import { prepare, startServer } from './serve.mjs';
import { ensureChromium } from './system.mjs';

/** Requests in a round, and rounds of both kinds in turn: the machine's mood is the same for both. */
const INSERTS = 200;
const ROUNDS = 5;
/** As many as a device sends in one request after a few pitches without network. */
const BATCH = 20;
const QUEUED = 2000;
const MANY_READINGS = 50_000;
const OTHERS = 2000;
const AT_ONCE = 8;
const TAPS = 60;
const CHANGES = 30;

const PARTS = ['core', 'inserts', 'games', 'growth', 'outbox', 'browser'];

await run(async () => {
  const asked = process.argv.slice(2);
  const unknown = asked.find((part) => !PARTS.includes(part));
  if (unknown) throw new Advice(`There is no part "${unknown}". Say any of: ${PARTS.join(', ')}.`);
  const isAsked = (part) => asked.length === 0 || asked.includes(part);
  ensurePackages();
  ensureBuilt();
  const executablePath = ensureChromium();
  if (isAsked('core')) await benchCore();
  // With the disk's own promises: what is measured is what a coach gets.
  const cluster = await startThrowawayCluster({ durable: true });
  let server = null;
  let second = null;
  try {
    const { appUrl } = prepare(cluster, 'fresh');
    const { sessionSecret } = cluster;
    const start = async () => startServer({ appUrl, sessionSecret, port: await freePort(0) });
    server = await start();
    if (isAsked('inserts')) await benchInserts(server.address, appUrl);
    if (isAsked('games')) {
      second = await start();
      await benchGames(
        [server.address, second.address],
        { appUrl, databaseUrl: ownerUrl(cluster), ...(await signInToDemo(server.address)) },
        print,
      );
    }
    if (isAsked('growth')) await benchGrowth(server.address, ownerUrl(cluster), executablePath);
    if (isAsked('outbox')) await benchOutbox(server.address, executablePath);
    if (isAsked('browser')) await benchBrowser(server.address, executablePath);
  } finally {
    endPosts();
    await second?.stop();
    await server?.stop();
    cluster.stop();
  }
});

function print(name, value, unit) {
  process.stdout.write(`${name} ${Number(value.toPrecision(4))} ${unit}\n`);
}

/** The computation itself, bundled as the application ships it: unbundled it runs at half the speed. */
async function benchCore() {
  const { build } = await import('vite');
  const benchOf = async (name) => {
    const entry = new URL(`../core/bench/${name}.ts`, import.meta.url).pathname;
    const [{ output }] = await build({
      configFile: false,
      logLevel: 'warn',
      build: { write: false, lib: { entry, formats: ['es'], fileName: name } },
    });
    return import(`data:text/javascript;base64,${Buffer.from(output[0].code).toString('base64')}`);
  };
  (await benchOf('timing')).benchTiming(print);
  (await benchOf('ear')).benchEar(print);
  (await benchOf('steals')).benchSteals(print);
  (await benchOf('innings')).benchInnings(print);
  (await benchOf('games')).benchGames(print);
  (await benchOf('signs')).benchSigns(print);
  (await benchOf('bunts')).benchBunts(print);
  (await benchOf('drills')).benchDrills(print);
  (await benchOf('review')).benchReview(print);
}

/** Readings per second over HTTP, and the same rows straight into PostgreSQL, equally many at once. */
async function benchInserts(address, appUrl) {
  const { cookie, base, personId, accountId, teamId } = await signInToDemo(address);
  const draft = () => ({
    id: randomUUID(),
    personId,
    kind: 'steal',
    seconds: 3.41,
    base: 'second',
    style: null,
    leadFeet: 11.5,
    start: null,
    fromFeet: null,
    toFeet: null,
    resolutionSeconds: null,
    movedFrom: null,
    method: 'thumb',
    takenAt: new Date().toISOString(),
  });
  const { Pool } = createRequire(new URL('../server/package.json', import.meta.url))('pg');
  const pool = new Pool({ connectionString: appUrl, max: AT_ONCE });
  const rates = {};
  for (const batch of [1, BATCH]) {
    const overHttp = async () => {
      const steps = Array.from({ length: batch }, () => ({ step: 'add', draft: draft() }));
      await post(address, `${base}/readings`, cookie, { steps });
    };
    // The same scope, marks and rows, in as few words as PostgreSQL allows.
    const straight = async () => {
      const client = await pool.connect();
      await client.query('begin');
      await client.query('select enter_team($1, $2)', [accountId, teamId]);
      await client.query(
        `with marks as (select take_marks($1::integer) as before)
         insert into readings (id, person_id, kind, seconds, base, lead_feet, method, taken_at, mark)
         select id, $2, 'steal', 3.41, 'second', 11.5, 'thumb', now(), before + nth
         from unnest($3::uuid[]) with ordinality as d(id, nth), marks`,
        [batch, personId, Array.from({ length: batch }, () => randomUUID())],
      );
      await client.query('commit');
      client.release();
    };
    const rounds = { http: [], postgresql: [] };
    for (let round = 0; round <= ROUNDS; round += 1) {
      const http = (await rate(overHttp, INSERTS)) * batch;
      const postgresql = (await rate(straight, INSERTS)) * batch;
      // The first one warms up.
      if (round === 0) continue;
      rounds.http.push(http);
      rounds.postgresql.push(postgresql);
    }
    rates[batch] = { http: median(rounds.http), postgresql: median(rounds.postgresql) };
    const name = batch === 1 ? 'readings-one-by-one' : `readings-by-${batch}`;
    print(`${name}-over-http`, rates[batch].http, 'per-second');
    print(`${name}-in-postgresql`, rates[batch].postgresql, 'per-second');
    print(`${name}-http-share`, rates[batch].http / rates[batch].postgresql, 'ratio');
  }
  print(
    `readings-by-${BATCH}-over-http-for-each-one-by-one-in-postgresql`,
    rates[BATCH].http / rates[1].postgresql,
    'ratio',
  );
  await pool.end();
}

function median(all) {
  return all.toSorted((x, y) => x - y)[Math.floor(all.length / 2)];
}

async function rate(work, times) {
  let left = times;
  const worker = async () => {
    while (left > 0) {
      left -= 1;
      await work();
    }
  };
  const start = performance.now();
  await Promise.all(Array.from({ length: AT_ONCE }, worker));
  return times / ((performance.now() - start) / 1000);
}

async function signInToDemo(address) {
  const signIn = await fetch(`${address}/api/accounts/demo-session`, { method: 'POST' });
  const cookie = signIn.headers.get('set-cookie').split(';')[0];
  const get = async (path) => (await fetch(address + path, { headers: { Cookie: cookie } })).json();
  const accountId = (await signIn.json()).id;
  const [{ id: teamId }] = await get('/api/teams');
  const base = `/api/teams/${teamId}`;
  const [{ id: personId }] = await get(`${base}/people`);
  return { cookie, base, personId, accountId, teamId };
}

function ownerUrl({ adminUrl, ownerPassword }) {
  const url = new URL(adminUrl);
  url.username = 'bradyon_owner';
  url.password = ownerPassword;
  url.pathname = '/bradyon';
  return url.toString();
}

/** The demo's baseball team with so many readings more, written straight into the tables. */
async function grow(owner, teamId, accountId, personIds, howMany) {
  await owner.query(
    `insert into readings (team_id, id, person_id, kind, seconds, base, style, method, taken_at,
                           timed_by, mark)
     select $1, gen_random_uuid(), ($2::uuid[])[1 + nth % cardinality($2::uuid[])], 'delivery',
            1.3 + (nth % 20) * 0.01, 'second', 'legLift', 'thumb',
            now() - nth * interval '7 minutes', $3, before + nth
     from generate_series(1, $4::bigint) nth,
          (select coalesce(max(mark), 0) as before from readings where team_id = $1) marks`,
    [teamId, personIds, accountId, howMany],
  );
  await owner.query(
    `insert into reading_marks (team_id, last) select $1, max(mark) from readings where team_id = $1
     on conflict (team_id) do update set last = excluded.last`,
    [teamId],
  );
  await owner.query('analyze readings');
}

/** What a team's seasons cost: Time first usable, and what is new; and what other teams cost. */
async function benchGrowth(address, databaseUrl, executablePath) {
  const { Pool } = createRequire(new URL('../server/package.json', import.meta.url))('pg');
  const owner = new Pool({ connectionString: databaseUrl, max: 1 });
  const { cookie, accountId } = await signInToDemo(address);
  const headers = { Cookie: cookie, 'Content-Type': 'application/json' };
  const get = async (path) => (await fetch(address + path, { headers })).json();
  const like = (await get('/api/teams'))[0];
  delete like.role;
  delete like.version;
  const makeTeam = async (howMany) => {
    const id = randomUUID();
    const post = async (path, body) => {
      const answer = await fetch(address + path, {
        method: 'POST',
        headers,
        body: JSON.stringify(body),
      });
      if (!answer.ok) throw new Error(`${path}: ${await answer.text()}`);
    };
    await post('/api/teams', { ...like, id, name: `With ${howMany}` });
    const opponentId = randomUUID();
    const opponent = { id: opponentId, name: 'Theirs', retired: false };
    await post(`/api/teams/${id}/opponents`, opponent);
    const people = Array.from({ length: 40 }, (_, nth) => ({
      id: randomUUID(),
      opponentId: nth < 20 ? null : opponentId,
      number: '',
      name: `Player ${nth}`,
      throws: 'right',
      bats: 'right',
      positions: [nth % 2 === 0 ? 'P' : 'C'],
      leadFeet: null,
      retired: false,
    }));
    await post(`/api/teams/${id}/people/import`, { people });
    await grow(
      owner,
      id,
      accountId,
      people.map((person) => person.id),
      howMany,
    );
    return id;
  };
  const [few, many] = [await makeTeam(50), await makeTeam(MANY_READINGS)];

  const news = async (team) => {
    let since = 0;
    let largest = 0;
    let slowest = 0;
    for (let more = true; more;) {
      const start = performance.now();
      const answer = await fetch(`${address}/api/teams/${team}/readings?since=${since}`, {
        headers: { Cookie: cookie },
      });
      const text = await answer.text();
      slowest = Math.max(slowest, performance.now() - start);
      largest = Math.max(largest, text.length / 1000);
      ({ next: since, more } = JSON.parse(text));
    }
    const waits = [];
    for (let nth = 0; nth < 60; nth += 1) {
      const start = performance.now();
      await (
        await fetch(`${address}/api/teams/${team}/readings?since=${since}`, { headers })
      ).text();
      waits.push(performance.now() - start);
    }
    waits.sort((x, y) => x - y);
    return { largest, slowest, p50: waits[30] };
  };
  const [small, large] = [await news(few), await news(many)];
  print('readings-news-at-50', small.p50, 'ms');
  print('readings-news-at-50000', large.p50, 'ms');
  print('readings-largest-page', large.largest, 'kB');
  print('readings-slowest-page', large.slowest, 'ms');

  const { chromium } = await import('../e2e/browser.mjs');
  const browser = await chromium.launch({
    executablePath,
    args: ['--no-sandbox', '--disable-gpu'],
  });
  const [name, value] = cookie.split('=');
  /** From the address typed to a tap that the watch has taken; then to an estimate that is shown. */
  const open = async (context, team) => {
    const page = await context.newPage();
    const start = performance.now();
    await page.goto(`${address}/teams/${team}/timing`);
    await page.locator('.watch-face').waitFor();
    await page.locator('.watch-face').dispatchEvent('pointerdown', { isPrimary: true, button: 0 });
    const usable = performance.now() - start;
    await page.locator('.group').first().waitFor();
    const shown = performance.now() - start;
    await page.close();
    return { usable, shown };
  };
  const measured = {};
  for (const [size, team] of [
    ['50', few],
    ['50000', many],
  ]) {
    const [first, again] = [[], []];
    for (let round = 0; round < 5; round += 1) {
      const context = await browser.newContext();
      await context.addCookies([{ name, value, url: address }]);
      first.push(await open(context, team));
      // Everything is on the device by now.
      const kept = await context.newPage();
      await kept.goto(`${address}/teams/${team}/timing`);
      await kept.locator('.group').first().waitFor();
      await kept.waitForTimeout(1000);
      await kept.close();
      again.push(await open(context, team));
      await context.close();
    }
    measured[size] = median(again.map(({ usable }) => usable));
    print(
      `time-first-usable-new-device-at-${size}`,
      median(first.map(({ usable }) => usable)),
      'ms',
    );
    print(
      `time-first-estimate-new-device-at-${size}`,
      median(first.map(({ shown }) => shown)),
      'ms',
    );
    print(`time-first-usable-at-${size}`, measured[size], 'ms');
    print(`time-first-estimate-at-${size}`, median(again.map(({ shown }) => shown)), 'ms');
  }
  print('time-first-usable-ratio', measured['50000'] / measured['50'], 'ratio');
  await browser.close();

  await owner.query(
    `with made as (
       insert into teams (id, name, level, ruleset, created_by)
       select gen_random_uuid(), 'Other ' || nth, 'hs', $1, $2 from generate_series(1, $3::int) nth
       returning id
     ), somebody as (
       insert into people (team_id, id, number, name, throws, bats, positions)
       select id, gen_random_uuid(), '', 'Somebody', 'right', 'right', '{}' from made
       returning team_id, id
     )
     insert into readings (team_id, id, person_id, kind, seconds, style, method, taken_at, timed_by, mark)
     select team_id, gen_random_uuid(), id, 'delivery', 1.4, 'legLift', 'thumb', now(), $2, nth
     from somebody, generate_series(1, 50) nth`,
    [JSON.stringify(like.ruleset), accountId, OTHERS],
  );
  await owner.query('analyze readings');
  const among = await news(few);
  print(`readings-news-at-50-among-${OTHERS}-teams`, among.p50, 'ms');
  print('readings-news-others-ratio', among.p50 / small.p50, 'ratio');
  await owner.end();
}

/** So many writes that waited without network, from the network's return to all of them saved. */
async function benchOutbox(address, executablePath) {
  const { chromium } = await import('../e2e/browser.mjs');
  const browser = await chromium.launch({
    executablePath,
    args: ['--no-sandbox', '--disable-gpu'],
  });
  const page = await browser.newPage();
  await page.goto(`${address}/sign-in`);
  await page.getByRole('button', { name: /demo/ }).click();
  await page.locator('.watch-face').waitFor();
  await page.getByText('All saved').waitFor();
  const stop = '**/api/teams/*/readings';
  await page.route(stop, (route) =>
    route.request().method() === 'POST' ? route.abort() : route.continue(),
  );
  await page.locator('.watch-face').evaluate(async (face, pitches) => {
    const began = performance.now() + 100_000_000;
    for (let tap = 0; tap < 3 * pitches; tap += 1) {
      const pitch = Math.floor(tap / 3);
      // No two pitches are alike.
      const delivery = 1250 + 7 * (pitch % 43);
      const at = 60_000 * pitch + [0, delivery, delivery + 1950 + 7 * (pitch % 31)][tap % 3];
      const event = new PointerEvent('pointerdown', { bubbles: true, isPrimary: true, button: 0 });
      Object.defineProperty(event, 'timeStamp', { value: began + at });
      face.dispatchEvent(event);
      if (tap % 60 === 0) await new Promise((done) => setTimeout(done));
    }
  }, QUEUED / 2);
  await page.getByText(`${QUEUED} on this device`).waitFor();
  const heap = async () =>
    page.evaluate(async () => {
      globalThis.gc?.();
      return performance.memory.usedJSHeapSize / 1_000_000;
    });
  await page.unroute(stop);
  const start = performance.now();
  await page.evaluate(() => window.dispatchEvent(new Event('online')));
  await page.getByText('All saved').waitFor();
  print(`outbox-${QUEUED}-writes-drained`, performance.now() - start, 'ms');
  const left = await page.evaluate(
    () =>
      new Promise((resolve) => {
        const asked = indexedDB.open('bradyon-outbox');
        asked.onsuccess = () => {
          const count = asked.result.transaction('entries').objectStore('entries').count();
          count.onsuccess = () => resolve(count.result);
        };
      }),
  );
  print('outbox-entries-left', left, 'entries');
  print('heap-after-drain', await heap(), 'MB');
  await browser.close();
}

/** How fast the machine is at this moment: the same work each time. Figures of two runs are compared beside it. */
function fixedWorkMs() {
  const start = performance.now();
  let sum = 0;
  for (let each = 1; each < 2_000_000; each += 1) sum += Math.sqrt(each) / (1 + (sum % 7));
  return sum > 0 ? performance.now() - start : 0;
}

/** From a tap on the desk to the verdict painted again, in the demo's running game. */
async function benchDesk(page, context, address) {
  const teams = await (await page.request.get(`${address}/api/teams`)).json();
  const { id } = teams.find(({ name }) => name === 'Tern Rock Skuas');
  const games = await (await page.request.get(`${address}/api/teams/${id}/games`)).json();
  // The demo's own that has begun last: what was measured before has made games against nobody.
  const running = games.find(({ opponentId, lastSeq }) => opponentId !== null && lastSeq > 1);
  await page.goto(`${address}/teams/${id}/games/${running.id}`);
  await page.getByText(/safe, needs/).waitFor();
  await page.getByText(/to win\. Change/).waitFor();
  for (const slowdown of [1, 4]) {
    const session = await context.newCDPSession(page);
    await session.send('Emulation.setCPUThrottlingRate', { rate: slowdown });
    // The first time it is also compiled.
    await page.evaluate(fixedWorkMs);
    print(`fixed-work-cpu-${slowdown}x`, await page.evaluate(fixedWorkMs), 'ms');
    const times = await page.evaluate(async (changes) => {
      const measured = [];
      for (let change = 0; change < changes; change += 1) {
        const start = performance.now();
        // A ball, and the undo of it: the same spot each time.
        const key = change % 2 === 0 ? 'b' : 'z';
        window.dispatchEvent(
          new KeyboardEvent('keydown', { key, code: `Key${key.toUpperCase()}` }),
        );
        await new Promise((done) => requestAnimationFrame(() => setTimeout(done)));
        measured.push(performance.now() - start);
        await new Promise((done) => setTimeout(done, 250));
      }
      return measured.sort((a, b) => a - b);
    }, TAPS);
    print(`desk-tap-to-verdict-p50-cpu-${slowdown}x`, times[Math.floor(TAPS * 0.5)], 'ms');
    print(`desk-tap-to-verdict-p95-cpu-${slowdown}x`, times[Math.floor(TAPS * 0.95)], 'ms');
    await session.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  }
}

/** From one delivery changed to the board painted again: 20 runners against 6 pitchers. */
async function benchBoard(page, context, address) {
  const team = await enterBigSeason(page, address);
  await page.goto(`${address}/teams/${team}/steals/board`);
  const quicker = page.getByRole('button', { name: /takes: less/ });
  await quicker.waitFor();
  for (const slowdown of [1, 4]) {
    const session = await context.newCDPSession(page);
    await session.send('Emulation.setCPUThrottlingRate', { rate: slowdown });
    const times = await quicker.evaluate(async (button, changes) => {
      const measured = [];
      for (let change = 0; change < changes; change += 1) {
        const start = performance.now();
        button.click();
        await new Promise((done) => requestAnimationFrame(() => setTimeout(done)));
        measured.push(performance.now() - start);
        await new Promise((done) => setTimeout(done, 100));
      }
      return measured.sort((a, b) => a - b);
    }, CHANGES);
    print(`board-20x6-one-delivery-p50-cpu-${slowdown}x`, times[Math.floor(CHANGES * 0.5)], 'ms');
    print(`board-20x6-one-delivery-p95-cpu-${slowdown}x`, times[Math.floor(CHANGES * 0.95)], 'ms');
    await session.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  }
}

/** A team of 20 runners and an opponent of 6 pitchers, each timed five times. */
async function enterBigSeason(page, address) {
  const send = async (path, data) => {
    const answer = await page.request.post(`${address}/api${path}`, { data });
    if (!answer.ok()) throw new Error(`${path} was answered with ${answer.status()}`);
  };
  const teams = await (await page.request.get(`${address}/api/teams`)).json();
  const like = { ...teams[0] };
  // The role and the version are the server's to say.
  delete like.role;
  delete like.version;
  const team = randomUUID();
  const opponentId = randomUUID();
  await send('/teams', { ...like, id: team, name: 'Bench' });
  await send(`/teams/${team}/opponents`, { id: opponentId, name: 'Six pitchers', retired: false });
  const person = (name, theirs, position) => ({
    id: randomUUID(),
    opponentId: theirs ? opponentId : null,
    number: '',
    name,
    throws: 'right',
    bats: 'right',
    positions: [position],
    leadFeet: null,
    retired: false,
  });
  const runners = Array.from({ length: 20 }, (_, nth) => person(`Runner ${nth}`, false, 'CF'));
  const pitchers = Array.from({ length: 6 }, (_, nth) => person(`Pitcher ${nth}`, true, 'P'));
  const catcher = person('Catcher', true, 'C');
  await send(`/teams/${team}/people/import`, { people: [...runners, ...pitchers, catcher] });
  const five = ({ id }, seconds, what) =>
    Array.from({ length: 5 }, (_, nth) => ({
      id: randomUUID(),
      personId: id,
      seconds: Number((seconds + nth * 0.02).toFixed(3)),
      base: 'second',
      style: null,
      leadFeet: null,
      start: null,
      fromFeet: null,
      toFeet: null,
      method: 'import',
      resolutionSeconds: null,
      movedFrom: null,
      takenAt: new Date().toISOString(),
      ...what,
    }));
  await send(`/teams/${team}/readings/import`, {
    readings: [
      ...runners.flatMap((each, nth) =>
        five(each, 3.3 + nth * 0.02, { kind: 'steal', leadFeet: 11.5 }),
      ),
      ...pitchers.flatMap((each, nth) =>
        five(each, 1.3 + nth * 0.04, { kind: 'delivery', style: 'legLift' }),
      ),
      ...five(catcher, 2.1, { kind: 'pop' }),
    ],
  });
  return team;
}

/** From saving one batter's season to the maps drawn with it. */
async function benchLineup(page, address) {
  await page.goto(`${address.split('/').slice(0, 5).join('/')}/innings/lineup`);
  await page.locator('.lineup .lineup-name').first().click();
  // The order at bat and what hangs on it stands in the maps' table.
  const save = () => page.getByRole('dialog').getByRole('button', { name: 'Save' });
  const measured = [];
  for (let change = 0; change < CHANGES; change += 1) {
    if (change > 0) await page.locator('.lineup .lineup-name').first().click();
    await page.getByLabel('Plate appearances').fill('400');
    // So far apart that the maps cannot stay as they are when they are rounded.
    await page.getByLabel('Hits', { exact: true }).fill(change % 2 === 0 ? '60' : '200');
    measured.push(
      await save().evaluate(async (button) => {
        const text = () => document.querySelector('.odds-maps table')?.textContent;
        const before = text();
        const start = performance.now();
        button.click();
        while (text() === before) {
          if (performance.now() - start > 20_000) throw new Error('the maps stayed as they were');
          await new Promise((done) => requestAnimationFrame(done));
        }
        await new Promise((done) => requestAnimationFrame(() => setTimeout(done)));
        return performance.now() - start;
      }),
    );
    await page.getByRole('dialog').waitFor({ state: 'detached' });
  }
  measured.sort((a, b) => a - b);
  print('season-to-maps-p50', measured[Math.floor(CHANGES * 0.5)], 'ms');
  print('season-to-maps-p95', measured[Math.floor(CHANGES * 0.95)], 'ms');
}

/** The first load of Time in compressed kilobytes, and the time from a tap to the next painted frame. */
async function benchBrowser(address, executablePath) {
  const { chromium } = await import('../e2e/browser.mjs');
  const browser = await chromium.launch({
    executablePath,
    args: ['--no-sandbox', '--disable-gpu', '--autoplay-policy=no-user-gesture-required'],
  });
  try {
    const context = await browser.newContext({ baseURL: address });
    const page = await context.newPage();
    await page.goto('/sign-in');
    await page.getByRole('button', { name: /demo/ }).click();
    await page.waitForURL(/timing$/);
    const fresh = await browser.newContext({ storageState: await context.storageState() });
    const first = await fresh.newPage();
    await first.goto(page.url());
    await first.locator('.watch-face').waitFor();
    const kilobytes = await first.evaluate(() => {
      const sizes = { js: 0, css: 0, woff2: 0 };
      for (const { name, encodedBodySize } of performance.getEntriesByType('resource')) {
        const kind = name.split('.').at(-1);
        if (kind in sizes) sizes[kind] += encodedBodySize / 1000;
      }
      return sizes;
    });
    for (const [kind, size] of Object.entries(kilobytes))
      print(`first-load-time-${kind}`, size, 'kB');

    for (const slowdown of [1, 4]) {
      const session = await fresh.newCDPSession(first);
      await session.send('Emulation.setCPUThrottlingRate', { rate: slowdown });
      const times = await first.locator('.watch-face').evaluate(
        async (face, [taps, slowdown]) => {
          const measured = [];
          // Every slowdown goes on after the taps of the one before.
          const began = performance.now() + slowdown * 10_000_000;
          for (let tap = 0; tap < taps; tap += 1) {
            // Pitches with a throw, by the taps' own clock, so that every split is saved.
            const pitch = Math.floor(tap / 3);
            // No two pitches are alike.
            const delivery = 1250 + 7 * (pitch % 43);
            const at = 60_000 * pitch + [0, delivery, delivery + 1950 + 7 * (pitch % 31)][tap % 3];
            const event = new PointerEvent('pointerdown', {
              bubbles: true,
              isPrimary: true,
              button: 0,
            });
            Object.defineProperty(event, 'timeStamp', { value: began + at });
            const start = performance.now();
            face.dispatchEvent(event);
            // The frame after the next callback has been painted.
            await new Promise((done) => requestAnimationFrame(() => setTimeout(done)));
            measured.push(performance.now() - start);
            await new Promise((done) => setTimeout(done, 200));
          }
          return measured.sort((a, b) => a - b);
        },
        [TAPS, slowdown],
      );
      print(`tap-to-paint-p50-cpu-${slowdown}x`, times[Math.floor(TAPS * 0.5)], 'ms');
      print(`tap-to-paint-p95-cpu-${slowdown}x`, times[Math.floor(TAPS * 0.95)], 'ms');
    }
    await benchBoard(first, fresh, address);
    await benchDesk(await fresh.newPage(), fresh, address);
    await benchLineup(await fresh.newPage(), first.url());
    // The demo's own team, in a page that is in front: behind another one nothing is drawn in time.
    await first.goto(page.url());
    await benchDrillsInBrowser(browser, first, print);
    await benchReviewInBrowser(first, print);
    await benchMotionInBrowser(browser, first, print);
  } finally {
    await browser.close();
  }
}
