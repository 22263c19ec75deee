/**
 * `npm run bench`: prints `name value unit` lines. Not part of npm test: a machine's mood is no fault.
 * Speed claims are ratios measured in one run.
 */
import { randomUUID } from 'node:crypto';
import { createRequire } from 'node:module';
import { freePort, startThrowawayCluster } from './cluster.mjs';
import { ensureBuilt, ensurePackages } from './install.mjs';
import { run } from './say.mjs';
import { prepare, startServer } from './serve.mjs';
import { ensureChromium } from './system.mjs';

const INSERTS = 1500;
const AT_ONCE = 8;
const TAPS = 60;
const CHANGES = 30;

await run(async () => {
  ensurePackages();
  ensureBuilt();
  const executablePath = ensureChromium();
  await benchCore();
  // With the disk's own promises: what is measured is what a coach gets.
  const cluster = await startThrowawayCluster({ durable: true });
  let server = null;
  try {
    const { appUrl } = prepare(cluster, 'fresh');
    const { sessionSecret } = cluster;
    server = await startServer({ appUrl, sessionSecret, port: await freePort(0) });
    await benchInserts(server.address, appUrl);
    await benchBrowser(server.address, executablePath);
  } finally {
    await server?.stop();
    cluster.stop();
  }
});

function print(name, value, unit) {
  process.stdout.write(`${name} ${Number(value.toPrecision(4))} ${unit}\n`);
}

/** The computation itself; it is TypeScript, so the bundler reads it. */
async function benchCore() {
  const { runnerImport } = await import('vite');
  const benchOf = async (name) => {
    const file = new URL(`../core/bench/${name}.ts`, import.meta.url).pathname;
    return (await runnerImport(file)).module;
  };
  (await benchOf('timing')).benchTiming(print);
  (await benchOf('steals')).benchSteals(print);
  (await benchOf('innings')).benchInnings(print);
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
  const overHttp = await rate(async () => {
    const response = await fetch(`${address}${base}/readings`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', Cookie: cookie },
      body: JSON.stringify(draft()),
    });
    if (response.status !== 201) throw new Error(`a reading was answered with ${response.status}`);
    await response.arrayBuffer();
  });

  const { Pool } = createRequire(new URL('../server/package.json', import.meta.url))('pg');
  const pool = new Pool({ connectionString: appUrl, max: AT_ONCE });
  const straight = await rate(async () => {
    const client = await pool.connect();
    await client.query('begin');
    await client.query('select enter_team($1, $2)', [accountId, teamId]);
    await client.query(
      `insert into readings (id, person_id, kind, seconds, base, lead_feet, method, taken_at)
       values ($1, $2, 'steal', 3.41, 'second', 11.5, 'thumb', now())`,
      [randomUUID(), personId],
    );
    await client.query('commit');
    client.release();
  });
  await pool.end();
  print('reading-inserts-over-http', overHttp, 'per-second');
  print('reading-inserts-in-postgresql', straight, 'per-second');
  print('reading-inserts-http-share', overHttp / straight, 'ratio');
}

async function rate(work) {
  let left = INSERTS;
  const worker = async () => {
    while (left > 0) {
      left -= 1;
      await work();
    }
  };
  const start = performance.now();
  await Promise.all(Array.from({ length: AT_ONCE }, worker));
  return INSERTS / ((performance.now() - start) / 1000);
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
  // The role is the server's to say.
  delete like.role;
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
    await page.getByLabel('Hits', { exact: true }).fill(String(60 + 3 * change));
    measured.push(
      await save().evaluate(async (button) => {
        const text = () => document.querySelector('.odds-maps table')?.textContent;
        const before = text();
        const start = performance.now();
        button.click();
        while (text() === before) await new Promise((done) => requestAnimationFrame(done));
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
    args: ['--no-sandbox', '--disable-gpu'],
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
            const at = 60_000 * Math.floor(tap / 3) + [0, 1400, 3480][tap % 3];
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
    await benchLineup(await fresh.newPage(), first.url());
  } finally {
    await browser.close();
  }
}
