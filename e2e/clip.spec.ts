import { makeSound, speedOfSound } from '@bradyon/core/ear';
import { makeClip } from './pages/clip.ts';
import { Coach } from './pages/coach.ts';
import { expect, test } from './pages/test.ts';

test('a clip of known frames gives their times, marks move, and slow motion counts', async ({
  page,
  browser,
  baseURL,
}) => {
  test.setTimeout(90_000);
  const coach = new Coach(page);
  await coach.makeSeason();
  await coach.go('Time');
  await page.getByRole('link', { name: 'Clip' }).click();
  const clip = await makeClip(browser, baseURL ?? '', {
    fps: 30,
    frames: 120,
    lights: [12, 54, 116],
  });
  const sent: string[] = [];
  page.on('request', (request) => {
    if (request.method() !== 'GET') sent.push(request.url());
  });
  await page
    .getByLabel('Open a clip')
    .setInputFiles({ name: 'pitch.webm', mimeType: 'video/webm', buffer: clip });
  await expect(page.getByLabel('Clip speed, frames per second')).toHaveValue('30');
  await expect(page.getByRole('button', { name: 'On a frame' })).toBeEnabled();
  await expect(page.getByText('This clip has no sound.')).toBeVisible();
  const shown = page.getByLabel('Frame shown');
  await expect(shown).toHaveText('frame 0');

  // By tenths and by frames to where each light comes on.
  const press = async (key: string, times: number): Promise<void> => {
    for (let time = 0; time < times; time += 1) {
      const before = await shown.textContent();
      await page.keyboard.press(key);
      await expect(shown).not.toHaveText(before ?? '');
    }
  };
  await press('ArrowUp', 4);
  await expect(shown).toHaveText('frame 12');
  await page.keyboard.press('m');
  await press('ArrowUp', 14);
  await expect(shown).toHaveText('frame 54');
  await press('ArrowLeft', 1);
  await press('ArrowRight', 2);
  await expect(shown).toHaveText('frame 55');
  await page.keyboard.press('m');
  await expect(page.locator('.clip-splits')).toContainText('1.433');
  // A frame too far: the mark is moved.
  await press('ArrowLeft', 1);
  await page.getByRole('button', { name: 'Mark mitt here' }).click();
  await expect(page.locator('.clip-splits')).toContainText('1.400');
  await expect(page.locator('.clip-splits')).toContainText('give or take .017 at each end');

  // The same frames taken at 120 a second last a quarter.
  await page.getByLabel('Camera speed, frames per second').fill('120');
  await expect(page.locator('.clip-splits')).toContainText('0.350');
  await page.getByLabel('Camera speed, frames per second').fill('none');
  await expect(page.getByText('Enter the camera’s frames per second')).toBeVisible();
  await page.getByLabel('Camera speed, frames per second').fill('30');

  await page.getByRole('button', { name: 'Keep this time' }).click();
  await expect(page.getByText('Saved: Delivery 1.40')).toBeVisible();
  await expect(coach.saved()).toBeVisible();
  expect(await coach.readings()).toMatchObject([
    { kind: 'delivery', seconds: 1.4, method: 'clip', resolutionSeconds: 0.033333 },
  ]);
  // Nothing but the reading left the device.
  expect(sent.every((url) => /\/readings(\?|$)/.test(url))).toBe(true);
});

test('a clip is heard and watched: the first move is found, the mitt is marked by its sound', async ({
  page,
  browser,
  baseURL,
}) => {
  const coach = new Coach(page);
  await coach.makeSeason();
  await coach.go('Time');
  await page.getByRole('link', { name: 'Clip' }).click();
  // He moves from frame 45 on, and the mitt is hit 1.4 s later, 60 ft from the camera.
  const moveSeconds = 45 / 30;
  const mitt = moveSeconds + 1.4;
  const clip = await makeClip(browser, baseURL ?? '', {
    fps: 30,
    frames: 120,
    lights: [],
    movesFrom: 45,
    sound: makeSound({
      seed: 8,
      seconds: 4,
      noise: 'pink',
      bursts: [{ atSeconds: mitt + 60 / speedOfSound(20), overDb: 30 }],
    }),
  });
  await page
    .getByLabel('Open a clip')
    .setInputFiles({ name: 'pitch.webm', mimeType: 'video/webm', buffer: clip });
  await expect(page.getByLabel('Clip speed, frames per second')).toHaveValue('30');
  await expect(page.getByRole('img', { name: 'Sound: 1 sharp sound' })).toBeVisible();

  // A box around who moves, in which nothing else does.
  await page.getByRole('button', { name: 'Draw a box' }).click();
  const shown = page.getByLabel('The clip', { exact: true });
  await expect(shown).toBeInViewport({ ratio: 1 });
  const picture = await shown.boundingBox();
  if (!picture) throw new Error('no picture');
  const at = (x: number, y: number): [number, number] => [
    picture.x + (x / 320) * picture.width,
    picture.y + (y / 180) * picture.height,
  ];
  await page.mouse.move(...at(190, 12));
  await page.mouse.down();
  await page.mouse.move(...at(250, 60), { steps: 4 });
  await page.mouse.move(...at(310, 95), { steps: 4 });
  await page.mouse.up();
  await expect(page.locator('.clip-box')).toBeVisible();
  await page.getByRole('button', { name: 'Find the first move' }).click();
  // The block stands where it was in frame 45, and is somewhere else in the next.
  await expect(page.getByText('Moves first in frame 46.')).toBeVisible({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Mark first move there' }).click();
  await page.getByRole('button', { name: 'Next sound' }).click();
  await page.getByRole('button', { name: 'Mark mitt by this sound' }).click();
  const splits = page.locator('.clip-splits');
  await expect(splits).toContainText('Delivery');
  await expect(splits).not.toContainText('at each end');
  // Nearer to the camera it is heard sooner, so the mitt was later.
  const before = Number(await splits.locator('.clip-figure').innerText());
  await page.getByRole('button', { name: 'Camera to mitt: less' }).click();
  await expect(splits).not.toContainText(before.toFixed(3));
  await page.getByRole('button', { name: 'Camera to mitt: more' }).click();
  await expect(splits).toContainText(before.toFixed(3));
  // Slow motion stretches sound: what was marked by it does not stand.
  const speed = page.getByLabel('Camera speed, frames per second');
  await speed.fill('120');
  await expect(page.getByText('sound of a slow-motion clip is not used')).toBeVisible();
  await expect(splits).toBeEmpty();
  await speed.fill('30');
  await expect(splits).toContainText(before.toFixed(3));
  await page.getByRole('button', { name: 'Keep this time' }).click();
  await expect(coach.saved()).toBeVisible();
  const [reading] = await coach.readings();
  expect(reading).toMatchObject({ kind: 'delivery', method: 'clip' });
  // Half a frame on the side that was seen, and hardly anything on the other.
  expect(Math.abs((reading?.seconds ?? 0) - 1.4)).toBeLessThan(0.5 / 30 + 0.01);
  expect(reading?.resolutionSeconds).toBeLessThan(1 / 30);
});

test('a pop is marked by its two sounds, whatever else is heard in the clip', async ({
  page,
  browser,
  baseURL,
}) => {
  test.setTimeout(120_000);
  const coach = new Coach(page);
  await coach.makeSeason();
  await coach.go('Time');
  await page.getByRole('link', { name: 'Clip' }).click();
  const mitt = 1.31;
  for (const noise of ['crowd', 'wind', 'bus'] as const) {
    const clip = await makeClip(browser, baseURL ?? '', {
      fps: 30,
      frames: 120,
      lights: [],
      sound: makeSound({
        seed: 5,
        seconds: 4,
        noise,
        bursts: [mitt, mitt + 2.08].map((atSeconds) => ({ atSeconds, overDb: 26 })),
      }),
    });
    await page
      .getByLabel(/Open (a|another) clip/)
      .setInputFiles({ name: `${noise}.webm`, mimeType: 'video/webm', buffer: clip });
    await expect(page.getByRole('img', { name: 'Sound: 2 sharp sounds' })).toBeVisible();
    await page.getByLabel('What to time').selectOption('Pop');
    await expect(page.getByRole('button', { name: 'Next sound' })).toBeEnabled();
    // Both taps before the picture can have come: what counts is the sound that was asked for.
    for (const mark of ['mitt', 'bag']) {
      await page.evaluate(
        async (words) => {
          for (const word of words) {
            const buttons = [...document.querySelectorAll('button')];
            buttons.find(({ textContent }) => textContent.trim() === word)?.click();
            await new Promise((done) => setTimeout(done));
          }
        },
        ['Next sound', `Mark ${mark} by this sound`],
      );
    }
    // As far from the camera, so nothing is taken off; sound is finer than the frames.
    const pop = Number(await page.locator('.clip-figure').innerText());
    expect(Math.abs(pop - 2.08)).toBeLessThan(0.005);
    await page.getByRole('button', { name: 'Keep this time' }).click();
    await expect(coach.saved()).toBeVisible();
  }
  const kept = await coach.readings();
  expect(kept).toMatchObject(kept.map(() => ({ kind: 'pop', method: 'clip' })));
  expect(kept).toHaveLength(3);
});
