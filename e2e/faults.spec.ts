import { freePort, startThrowawayCluster } from '../scripts/cluster.mjs';
import { prepare, startServer } from '../scripts/serve.mjs';
import { Coach } from './pages/coach.ts';
import { expect, test } from './pages/test.ts';

// The stories provoke what the browser notes.
test.use({
  allowed: [
    /Failed to load resource|net::ERR_|dynamically imported module|odds did not load|status of 503/,
  ],
});

test('a screen that does not load says so, and the watch goes on beside it', async ({ page }) => {
  const coach = new Coach(page);
  await coach.makeSeason();
  const part = '**/assets/StealRooms-*.js';
  await page.route(part, (route) => route.abort());
  await coach.go('Steal');
  await expect(page.getByRole('alert')).toContainText('This screen did not load');

  await coach.go('Time');
  await coach.tap(0, 1410, 3500);
  await expect(coach.saved()).toBeVisible();
  expect(await coach.readings()).toHaveLength(2);

  await coach.go('Steal');
  await expect(page.getByRole('alert')).toContainText('This screen did not load');
  await page.unroute(part);
  await page.getByRole('button', { name: 'Retry' }).click();
  await expect(page.getByRole('alert')).toHaveCount(0);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
});

test('a worker that does not load says so, and works when it does', async ({ page }) => {
  const coach = new Coach(page);
  const part = '**/assets/innings.worker-*.js';
  await page.route(part, (route) => route.abort());
  await coach.openDemo();
  await coach.go('Odds');
  await expect(page.getByRole('alert')).toContainText('The odds did not load');
  await page.unroute(part);
  await page.getByRole('button', { name: 'Retry' }).click();
  await expect(page.getByRole('list', { name: 'How often it needs to work' })).toBeVisible();
  await expect(page.getByRole('alert')).toHaveCount(0);
});

test('a database that is away and comes back loses no tap, and takes none twice', async ({
  browser,
}) => {
  test.slow();
  const cluster = await startThrowawayCluster();
  const { appUrl } = prepare(cluster, 'fresh');
  const { sessionSecret } = cluster;
  const server = await startServer({ appUrl, sessionSecret, port: await freePort(0) });
  try {
    const context = await browser.newContext({ baseURL: server.address, serviceWorkers: 'block' });
    const there = await context.newPage();
    const coach = new Coach(there);
    await coach.makeSeason();
    await coach.go('Time');
    await coach.tap(0, 1410, 3500);
    await expect(coach.saved()).toBeVisible();

    cluster.halt();
    // After those of the first pitch.
    await coach.tap(60_000, 61_380, 63_400);
    await expect(there.getByText('Server away, 2 on this device')).toBeVisible();

    cluster.restart();
    await expect(coach.saved()).toBeVisible({ timeout: 60_000 });
    const kept = await coach.readings();
    expect(kept.map(({ seconds }) => seconds)).toEqual([2.02, 1.38, 2.09, 1.41]);
    await context.close();
  } finally {
    await server.stop();
    cluster.stop();
  }
});
