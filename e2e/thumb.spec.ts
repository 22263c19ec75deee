import { makeRandom, normalDraw } from '@bradyon/core/maths';
import { Coach } from './pages/coach.ts';
import { expect, test } from './pages/test.ts';

test.describe('with the figures moving', () => {
  test.use({ contextOptions: { reducedMotion: 'no-preference' } });

  test('the thumb drill finds a known bias and spread in twenty reps, and the times use it', async ({
    page,
  }) => {
    test.setTimeout(120_000);
    const coach = new Coach(page);
    await coach.makeSeason();
    await coach.go('Time');
    await expect(page.getByText('Thumb not calibrated for delivery and pop')).toBeVisible();
    await page.getByRole('link', { name: 'Calibrate' }).click();
    await page.waitForURL(/thumb$/);
    await page.goto(`${page.url()}?seed=7`);
    await page.getByRole('button', { name: 'Start the drill' }).click();
    const stage = page.locator('.drill-stage');
    const random = makeRandom(11);
    for (let rep = 0; rep < 20; rep += 1) {
      const late = [0, 1, 2].map(() => normalDraw(random, 60, 40));
      await expect(stage).toHaveAttribute('data-phase', 'showing');
      // A scripted thumb: it taps each event with its own lateness, as input events would say.
      await stage.evaluate((face, lateMs) => {
        const truths = (face.getAttribute('data-events') ?? '').split(' ').map(Number);
        truths.forEach((at, index) => {
          const event = new PointerEvent('pointerdown', { bubbles: true, isPrimary: true });
          Object.defineProperty(event, 'timeStamp', { value: at + (lateMs[index] ?? 0) });
          face.dispatchEvent(event);
        });
      }, late);
      await expect(
        page.getByText(`${String(rep + 1)} ${rep === 0 ? 'rep' : 'reps'} so far`),
      ).toBeVisible();
    }
    for (const event of ['firstMove', 'mitt', 'bag']) {
      const words = await page.locator(`[data-event=${event}] p`).innerText();
      const [bias = 9, spread = 9] = (words.match(/\.\d\d/g) ?? []).map(Number);
      expect(Math.abs(bias - 0.06), `${event}: ${words}`).toBeLessThanOrEqual(0.02);
      expect(Math.abs(spread - 0.04), `${event}: ${words}`).toBeLessThanOrEqual(0.02);
      expect(words).toContain('late');
    }
    await expect(coach.saved()).toBeVisible();
    await coach.go('Time');
    await expect(page.getByText('Thumb not calibrated')).toHaveCount(0);
  });
});

test('two coaches time the same pitches on their own devices and see each one’s spread', async ({
  page,
  browser,
}) => {
  test.setTimeout(90_000);
  const owner = new Coach(page);
  await owner.makeSeason();
  await page.getByRole('link', { name: 'Staff' }).click();
  await page.getByRole('button', { name: 'Make a code' }).click();
  const code = (await page.locator('.staff-code strong').textContent()) ?? '';
  const context = await browser.newContext({ serviceWorkers: 'block' });
  const assistant = new Coach(await context.newPage(), 'Teo Quispe');
  await assistant.signUp();
  await assistant.page.getByText('Join with a code').click();
  await assistant.page.getByRole('textbox', { name: 'Code' }).fill(code);
  await assistant.page.getByRole('button', { name: 'Join team' }).click();
  await assistant.page.waitForURL(/\/timing$/);

  const together = `${page.url().replace(/staff$/, '')}timing/thumb?mode=together`;
  await page.goto(together);
  await page.getByRole('button', { name: 'Start a round' }).click();
  await expect(page.locator('.together-face')).toContainText('Pitch 1');
  await assistant.page.goto(together);
  const tap = async (who: Coach, ms: number): Promise<void> => {
    await who.page.locator('.together-face').evaluate((face, gap) => {
      const start = performance.now();
      for (const at of [0, gap]) {
        const event = new PointerEvent('pointerdown', {
          bubbles: true,
          isPrimary: true,
          button: 0,
        });
        Object.defineProperty(event, 'timeStamp', { value: start + at });
        face.dispatchEvent(event);
      }
    }, ms);
  };
  for (const [nth, [one, two]] of [
    [1400, 1450],
    [1380, 1390],
    [1430, 1520],
    [1410, 1440],
  ].entries()) {
    await tap(owner, one ?? 0);
    await tap(assistant, two ?? 0);
    await expect(page.locator('.together-face')).toContainText(`Pitch ${String(nth + 2)}`);
    await expect(assistant.page.locator('.together-face')).toContainText(
      `Pitch ${String(nth + 2)}`,
    );
  }
  await expect(page.getByText('4 timed by all.')).toBeVisible({ timeout: 15_000 });
  await expect(page.locator('.drill-results')).toContainText('reads .04 longer than the others');
  await context.close();
});
