/** `npm run screenshots`: remakes docs/screenshots from freshly loaded demo data. */
import { mkdirSync, readdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import { freePort, startThrowawayCluster } from './cluster.mjs';
import { ensureBuilt, ensurePackages } from './install.mjs';
import { run, say } from './say.mjs';
import { prepare, startServer } from './serve.mjs';
import { ensureChromium } from './system.mjs';

const folder = path.resolve(import.meta.dirname, '../docs/screenshots');

await run(async () => {
  ensurePackages();
  ensureBuilt();
  const executablePath = ensureChromium();
  const { chromium } = await import('../e2e/browser.mjs');
  const cluster = await startThrowawayCluster();
  let server = null;
  let browser = null;
  try {
    const { appUrl } = prepare(cluster, 'fresh');
    const { sessionSecret } = cluster;
    server = await startServer({ appUrl, sessionSecret, port: await freePort(0) });
    browser = await chromium.launch({ executablePath, args: ['--no-sandbox', '--disable-gpu'] });
    mkdirSync(folder, { recursive: true });
    for (const name of readdirSync(folder)) rmSync(path.join(folder, name));
    await takeAll(browser, server.address);
  } finally {
    await browser?.close();
    await server?.stop();
    cluster.stop();
  }
});

async function takeAll(browser, address) {
  const tablet = { viewport: { width: 1280, height: 800 } };
  const phone = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true };
  for (const [device, options] of [
    ['', tablet],
    ['-phone', phone],
    ['-night', { ...tablet, colorScheme: 'dark' }],
  ]) {
    const context = await browser.newContext({
      baseURL: address,
      reducedMotion: 'reduce',
      ...options,
    });
    const page = await context.newPage();
    const take = async (name) => {
      // Pictures are drawn to the width they find; let them settle.
      await page.waitForTimeout(500);
      await page.screenshot({ path: path.join(folder, `${name}${device}.png`) });
      say(`${name}${device}`);
    };
    await page.goto('/sign-in');
    await page.getByRole('button', { name: /demo/ }).waitFor();
    if (device === '') await take('sign-in');
    await page.getByRole('button', { name: /demo/ }).click();
    await page.getByLabel('Facing').selectOption({ label: 'Millrace Otters' });
    await tapPitch(page);
    await take('time');
    const work = page.getByRole('navigation', { name: 'Work' });
    await work.getByRole('link', { name: 'Steal' }).click();
    await page.getByRole('heading', { name: /^Steal/ }).waitFor();
    await page.getByLabel('Runner').selectOption({ label: '4 Dara Whitlock' });
    await take('steal');
    if (device === '-night') {
      await context.close();
      continue;
    }
    await work.getByRole('link', { name: 'Team' }).click();
    await take('team');
    if (device === '') {
      await page.getByRole('link', { name: 'Dara Whitlock' }).click();
      await take('person');
      await work.getByRole('link', { name: 'Team' }).click();
      await page.getByRole('link', { name: 'Rules' }).click();
      await take('rules');
    }
    await context.close();
  }
}

/** One pitch and its throw, with the event times of a believable battery. */
async function tapPitch(page) {
  await page.locator('.watch-face').evaluate((face) => {
    const start = performance.now();
    for (const ms of [0, 1410, 3490]) {
      const event = new PointerEvent('pointerdown', { bubbles: true, isPrimary: true, button: 0 });
      Object.defineProperty(event, 'timeStamp', { value: start + ms });
      face.dispatchEvent(event);
    }
  });
}
