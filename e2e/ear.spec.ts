import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { makeSound, speedOfSound } from '@bradyon/core/ear';
import type { Page } from '@playwright/test';
import { findChromium } from '../scripts/system.mjs';
import { Coach } from './pages/coach.ts';
import { expect, test } from './pages/test.ts';
import { wavOf } from './pages/wav.ts';

/** What the browser takes for its microphone, again and again: two throws to second, heard from behind the backstop. */
const POP_SECONDS = 2.08;
const MITTS = [4, 12];
const heardLater = (157.0 - 29.7) / speedOfSound(20);
const sound = makeSound({
  seed: 16,
  seconds: 20,
  noise: 'pink',
  bursts: MITTS.flatMap((atSeconds) => [
    { atSeconds, overDb: 30 },
    { atSeconds: atSeconds + POP_SECONDS + heardLater, overDb: 22 },
  ]),
});
const file = path.join(mkdtempSync(path.join(tmpdir(), 'ear-')), 'throws.wav');
writeFileSync(file, wavOf(sound, 48_000));

test.use({
  permissions: ['microphone'],
  launchOptions: {
    executablePath: findChromium() ?? '',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-background-networking',
      '--no-first-run',
      '--use-fake-device-for-media-stream',
      '--use-fake-ui-for-media-stream',
      `--use-file-for-fake-audio-capture=${file}`,
    ],
  },
});

async function openEar(page: Page): Promise<Coach> {
  const coach = new Coach(page);
  await coach.makeSeason();
  await coach.go('Time');
  await page.getByRole('link', { name: 'By ear' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'By ear' })).toBeVisible();
  return coach;
}

test('pops between innings are timed without a hand, and nothing of the sound leaves', async ({
  page,
}) => {
  const coach = await openEar(page);
  const sent: string[] = [];
  page.on('request', (request) => {
    if (request.method() !== 'GET') sent.push(request.url());
  });
  await expect(page.getByText('no sound leaves this device')).toBeVisible();
  await page.getByRole('button', { name: 'Start listening' }).click();
  await expect(page.getByRole('meter', { name: 'Loudness' })).toBeVisible();
  // Three throws: a sound card that stumbles once does not move the middle one.
  await expect
    .poll(async () => (await coach.readings()).length, { timeout: 60_000 })
    .toBeGreaterThanOrEqual(3);
  await expect(page.getByText(/^Pop 2\.\d\d saved\.$/).first()).toBeVisible();
  const readings = await coach.readings();
  expect(readings).toMatchObject(
    readings.map(() => ({ kind: 'pop', base: 'second', method: 'ear' })),
  );
  const middle = readings.map(({ seconds }) => seconds).sort((x, y) => x - y)[1] ?? 0;
  expect(Math.abs(middle - POP_SECONDS)).toBeLessThan(0.01);
  // In line with both gloves it is known to about a hundredth, and says so.
  expect(readings[0]?.resolutionSeconds).toBeGreaterThan(0.01);
  expect(readings[0]?.resolutionSeconds).toBeLessThan(0.03);
  expect(sent.every((url) => /\/readings(\?|$)/.test(url))).toBe(true);

  await page.getByRole('button', { name: 'Stop listening' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(/^Pop 2\.\d\d set aside\.$/).first()).toBeVisible();
  await expect(coach.saved()).toBeVisible();
  const counting = await coach.readings();
  expect(counting.filter(({ asideReason }) => asideReason === 'wrong tap')).toHaveLength(1);
  await expect(page.locator('.readings')).toContainText('by ear');
});

test('where the coach stands is set by list, by key, and kept', async ({ page }) => {
  await openEar(page);
  const way = page.locator('.ear-way');
  await expect(way).toContainText('.11\u00a0s too far apart');
  await page.getByLabel('Place').selectOption({ label: 'First-base box' });
  await expect(way).not.toContainText('.11\u00a0s');
  // By the keys, a step at a time, and kept over a reload.
  await page.getByRole('slider', { name: 'Where you stand' }).press('ArrowUp');
  await expect(page.getByLabel('Place')).toContainText('As marked');
  await page.getByRole('button', { name: 'Air: more' }).click();
  await expect(page.getByText('73 °F')).toBeVisible();
  await page.reload();
  await expect(page.getByText('73 °F')).toBeVisible();
  await expect(page.getByLabel('Place')).toContainText('As marked');
});

test('a delivery begins with a tap and ends with the mitt; the coach says which tap it was', async ({
  page,
}) => {
  const coach = await openEar(page);
  await page.getByText('Delivery', { exact: true }).click();
  await page.getByRole('button', { name: 'Start listening' }).click();
  const face = page.getByRole('button', { name: 'Tap at: first move' });
  const asked = page.getByRole('list', { name: 'Heard' }).getByRole('button');
  // Nobody knows when the sound comes: taps until one is followed by a mitt.
  await expect(async () => {
    if ((await asked.count()) === 0) await face.click();
    await expect(asked.first()).toBeVisible({ timeout: 400 });
  }).toPass({ timeout: 60_000 });
  await asked.first().click();
  await expect.poll(async () => (await coach.readings()).length).toBeGreaterThanOrEqual(1);
  const [reading] = await coach.readings();
  expect(reading).toMatchObject({ kind: 'delivery', method: 'ear', style: 'legLift' });
});

/** What the browser says instead of giving its microphone. */
async function refuse(page: Page, name: string): Promise<void> {
  await page.addInitScript((which) => {
    navigator.mediaDevices.getUserMedia = () => Promise.reject(new DOMException('no', which));
  }, name);
}

for (const [name, words] of [
  ['NotAllowedError', 'The microphone is not allowed'],
  ['NotFoundError', 'No microphone found'],
  ['NotReadableError', 'Another app is using the microphone'],
] as const) {
  test(`${name}: a clear word, and the thumb stays`, async ({ page }) => {
    await refuse(page, name);
    await openEar(page);
    await page.getByRole('button', { name: 'Start listening' }).click();
    await expect(page.getByRole('alert')).toContainText(words);
    await expect(page.getByRole('button', { name: 'Start listening' })).toBeEnabled();
    await page.getByRole('link', { name: 'Time with the watch' }).click();
    await expect(page.getByRole('button', { name: 'Tap at: first move' })).toBeVisible();
  });
}

test('a microphone that goes, and a page without one, are said', async ({ page }) => {
  await page.addInitScript(() => {
    const devices = navigator.mediaDevices;
    const own = devices.getUserMedia.bind(devices);
    devices.getUserMedia = async (asked) => {
      const stream = await own(asked);
      Object.assign(globalThis, { given: stream });
      return stream;
    };
  });
  await openEar(page);
  await page.getByRole('button', { name: 'Start listening' }).click();
  await expect(page.getByRole('meter', { name: 'Loudness' })).toBeVisible();
  await page.evaluate(() => {
    const { given } = globalThis as unknown as { given: MediaStream };
    given.getTracks()[0]?.dispatchEvent(new Event('ended'));
  });
  await expect(page.getByRole('alert')).toContainText('The microphone is gone');
  await page.getByRole('button', { name: 'Start listening' }).click();
  await expect(page.getByRole('meter', { name: 'Loudness' })).toBeVisible();
  await page.getByRole('button', { name: 'Stop listening' }).click();
  await page.evaluate(() => {
    Object.defineProperty(navigator, 'mediaDevices', { value: undefined });
  });
  await page.getByRole('button', { name: 'Start listening' }).click();
  await expect(page.getByRole('alert')).toContainText('gives no microphone here');
});

test('one tab listens, so that no throw is saved twice', async ({ page, context }) => {
  await openEar(page);
  await page.getByRole('button', { name: 'Start listening' }).click();
  await expect(page.getByRole('meter', { name: 'Loudness' })).toBeVisible();
  const other = await context.newPage();
  await other.goto(page.url());
  await other.getByRole('button', { name: 'Start listening' }).click();
  await expect(other.getByRole('alert')).toContainText('Another tab is already listening');
  await page.getByRole('button', { name: 'Stop listening' }).click();
  await other.getByRole('button', { name: 'Start listening' }).click();
  await expect(other.getByRole('meter', { name: 'Loudness' })).toBeVisible();
});

test('a device that pauses listening says so, and goes on by a tap', async ({ page }) => {
  await page.addInitScript(() => {
    const Own = globalThis.AudioContext;
    globalThis.AudioContext = class extends Own {
      constructor(options?: AudioContextOptions) {
        super(options);
        Object.assign(globalThis, { listening: this });
      }
    };
  });
  await openEar(page);
  await page.getByRole('button', { name: 'Start listening' }).click();
  const meter = page.getByRole('meter', { name: 'Loudness' });
  await expect(meter).toBeVisible();
  await page.evaluate(() =>
    (globalThis as unknown as { listening: AudioContext }).listening.suspend(),
  );
  await expect(page.getByRole('alert')).toContainText('Your device paused listening');
  await page.getByRole('button', { name: 'Go on' }).click();
  await expect(meter).toBeVisible();
  await expect(page.getByRole('alert')).toHaveCount(0);
});
