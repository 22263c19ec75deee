/** `npm run screenshots`: remakes docs/screenshots from freshly loaded demo data. */
import { mkdirSync, readdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import { freePort, startThrowawayCluster } from './cluster.mjs';
import { ensureBuilt, ensurePackages } from './install.mjs';
import { run, say } from './say.mjs';
import { prepare, startServer } from './serve.mjs';
import { ensureChromium } from './system.mjs';

const folder = path.resolve(import.meta.dirname, '../docs/screenshots');

/** A file with a bad row and a new opponent, as files are. */
const ROSTER = [
  'Jersey,Player,T,Pos,Opponent',
  '9,Ana Lopez-Reef,R,C,Lone Gulls',
  '1234,Mo Salter,R,P,',
  '41,Uma Kelp,left,CF RF,',
].join('\n');

/** Nineteen at most: on a phone and at night what matters most. */
const DROPPED = {
  '': ['files', 'gates', 'thumb', 'person', 'go-card'],
  '-phone': ['leads'],
  '-night': ['steal', 'time'],
};

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
      serviceWorkers: 'block',
      ...options,
    });
    const page = await context.newPage();
    const dropped = DROPPED[device] ?? [];
    const take = async (name) => {
      if (dropped.includes(name)) return;
      // Pictures are drawn to the width they find; let them settle.
      await page.waitForTimeout(500);
      await page.screenshot({ path: path.join(folder, `${name}${device}.png`) });
      say(`${name}${device}`);
    };
    await page.goto('/sign-in');
    await page.getByRole('button', { name: /demo/ }).waitFor();
    await page.getByRole('button', { name: /demo/ }).click();
    await page.getByLabel('Facing').selectOption({ label: 'Millrace Otters' });
    await takeGame(page, device, take);
    await page
      .getByRole('navigation', { name: 'Work' })
      .getByRole('link', { name: 'Time' })
      .click();
    await tapPitch(page);
    await take('time');
    if (device !== '-night') await takeWaysToTime(page, browser, address, device, take);
    const work = page.getByRole('navigation', { name: 'Work' });
    await work.getByRole('link', { name: 'Steal' }).click();
    await page.getByRole('heading', { name: /^Steal/ }).waitFor();
    await page.getByText(/safe\. Needs/).waitFor();
    await take('steal');
    if (device === '-night') {
      await context.close();
      continue;
    }
    if (device === '') {
      await page.getByRole('link', { name: 'Board' }).click();
      await page.getByRole('table').waitFor();
      await take('board');
      await page.getByRole('link', { name: 'Go card' }).click();
      await page.getByRole('article').waitFor();
      await take('go-card');
    }
    await work.getByRole('link', { name: 'Leads' }).click();
    await page.locator('.field').waitFor();
    await take('leads');
    if (device === '') {
      await work.getByRole('link', { name: 'Hold' }).click();
      await page.getByLabel('Our pitcher').selectOption({ label: '15 Ravi Hallmark' });
      await page.getByLabel('Their runner').selectOption({ label: '4 Dmitri Oyelowo' });
      await page.getByText(/^They go/).waitFor();
      await take('hold');
    }
    if (device === '') {
      await work.getByRole('link', { name: 'Odds' }).click();
      await page.getByText('Your lineup against').waitFor();
      await take('odds');
      await work.getByRole('link', { name: 'Bunt' }).click();
      await page.getByText('3B deep', { exact: true }).click();
      await page.locator('.bunt-side[aria-busy=false]').waitFor();
      await take('bunt');
      await work.getByRole('link', { name: 'Bases' }).click();
      await page.getByRole('checkbox', { name: 'Second base taken' }).click();
      await page.getByText(/^Last stop/).waitFor();
      await take('bases');
      await work.getByRole('link', { name: 'Signs' }).click();
      await page.getByText(/sequences seen/).waitFor();
      await page.getByRole('progressbar').waitFor({ state: 'hidden' });
      await take('signs');
      await work.getByRole('link', { name: 'Drills' }).click();
      await page.getByRole('link', { name: /^Running day/ }).click();
      await page.getByRole('region', { name: 'Timetable' }).waitFor();
      await take('drills');
      await work.getByRole('link', { name: 'Game' }).click();
      await page.getByRole('link', { name: 'Season', exact: true }).click();
      await page.getByText(/bars lie outside what is ordinary/).waitFor();
      await take('season');
    }
    if (device === '') {
      await work.getByRole('link', { name: 'Team' }).click();
      await take('team');
      await page.getByRole('link', { name: 'Dara Whitlock' }).click();
      await take('person');
      await work.getByRole('link', { name: 'Team' }).click();
      await page.getByRole('link', { name: 'Files' }).click();
      await page.getByLabel('CSV file').setInputFiles({
        name: 'roster.csv',
        mimeType: 'text/csv',
        buffer: Buffer.from(ROSTER),
      });
      await take('files');
    }
    await context.close();
  }
}

/** The game that is being played: the desk, and on a phone the first-base box. */
async function takeGame(page, device, take) {
  const work = page.getByRole('navigation', { name: 'Work' });
  await work.getByRole('link', { name: 'Game' }).click();
  await page.getByText(/^Top \d|^Bottom \d/).waitFor();
  await page
    .locator('.game-row')
    .filter({ hasText: /Top \d|Bottom \d/ })
    .getByRole('link', { name: 'Open' })
    .click();
  await page.getByText(/safe, needs/).waitFor();
  if (device === '-phone') {
    await page.locator('.devices-line').click();
    await page.getByRole('dialog').getByText('First base', { exact: true }).click();
    await page.getByRole('button', { name: 'Done' }).click();
  } else await page.getByText(/to win\. Change/).waitFor();
  await take('game');
}

/** The other watches on a phone; on a tablet the thumb, a clip and the gates. */
async function takeWaysToTime(page, browser, address, device, take) {
  const watch = page.url();
  if (device === '-phone') {
    await page.goto(`${watch}?watch=runners`);
    await page.locator('.watch-face').waitFor();
    await take('runners');
    await page.goto(watch);
    return;
  }
  await page.goto(`${watch}/thumb`);
  await page.locator('.drill-stage').waitFor();
  await take('thumb');
  await page.goto(`${watch}/gates`);
  await page.locator('.gate-run').first().waitFor();
  await take('gates');
  await page.goto(`${watch}/clip`);
  const { runnerImport } = await import('vite');
  const { module } = await runnerImport(path.resolve(import.meta.dirname, '../e2e/pages/clip.ts'));
  const buffer = await module.makeClip(browser, address, {
    fps: 30,
    frames: 120,
    lights: [12, 54, 116],
  });
  await page
    .getByLabel('Open a clip')
    .setInputFiles({ name: 'pitch.webm', mimeType: 'video/webm', buffer });
  await page.getByRole('button', { name: 'On a frame' }).and(page.locator(':enabled')).waitFor();
  for (const tenths of [4, 14]) {
    for (let tenth = 0; tenth < tenths; tenth += 1) {
      await page.keyboard.press('ArrowUp');
      await page.waitForTimeout(150);
    }
    await page.keyboard.press('m');
  }
  await take('clip');
  await page.goto(watch);
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
