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
