import { Coach } from './pages/coach.ts';
import { expect, test } from './pages/test.ts';

test.describe('with the network cut', () => {
  test.use({ allowed: [/Failed to load resource|ERR_INTERNET_DISCONNECTED|ERR_FAILED/] });

  test('a hundred taps are all there, once each, also over a reload in between', async ({
    browser,
    baseURL,
  }) => {
    test.setTimeout(180_000);
    const context = await browser.newContext({ serviceWorkers: 'allow', baseURL: baseURL ?? '' });
    const page = await context.newPage();
    const coach = new Coach(page);
    await coach.makeSeason();
    await coach.go('Time');
    await coach.watchIsOut();
    // The pages are kept on the device once the service worker is in charge.
    await page.evaluate(() => navigator.serviceWorker.ready);
    await page.reload();
    await expect(page.locator('.watch-face')).toBeVisible();
    await expect(coach.saved()).toBeVisible();

    await context.setOffline(true);
    // Fifty pitches without a throw: two taps each, told apart by their deliveries.
    const pitch = async (nth: number): Promise<void> => {
      // Half a minute between pitches, by the taps' own clock.
      await coach.tap(30_000 * nth, 30_000 * nth + 1200 + nth);
      await page.keyboard.press('n');
    };
    for (let nth = 0; nth < 30; nth += 1) await pitch(nth);
    await page.reload();
    await expect(page.getByText('30 on this device')).toBeVisible();
    for (let nth = 30; nth < 50; nth += 1) await pitch(nth);
    await expect(page.getByText('50 on this device')).toBeVisible();

    await context.setOffline(false);
    await expect(coach.saved()).toBeVisible({ timeout: 90_000 });
    const seconds = (await coach.readings())
      .map((reading) => reading.seconds)
      .sort((a, b) => a - b);
    expect(seconds).toEqual(Array.from({ length: 50 }, (_, nth) => (1200 + nth) / 1000));
    await context.close();
  });
});

test('runners come one after the other; an undo goes back; a time is given to whom it belongs', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.signUp();
  await coach.makeTeam('Tern Rock Skuas');
  await coach.addPlayer('2', 'Ines Okafor', ['SS']);
  await coach.addPlayer('4', 'Dara Whitlock', ['CF']);
  await coach.addPlayer('5', 'Joon Castellane', ['2B']);
  await coach.addPlayer('7', 'Temba Moyo', ['3B']);
  await coach.go('Time');
  await coach.watchIsOut();
  await page.keyboard.press('r');
  await expect(page).toHaveURL(/watch=runners/);
  const about = page.locator('.watch-about');
  await expect(about).toHaveText('Ines Okafor, steal of second from 11.5 ft');
  await page.getByLabel('Start').selectOption({ label: 'Drop step' });
  // Two runners before the page is drawn again: each gets his own.
  await coach.tap(0, 3400, 20_000, 23_300);
  await expect(about).toContainText('Joon Castellane');
  await expect(page.locator('.reading').nth(0)).toContainText('Dara Whitlock');
  await expect(page.locator('.reading').nth(0)).toContainText('3.30 s');
  await expect(page.locator('.reading').nth(0)).toContainText('drop step');
  await expect(page.locator('.reading').nth(1)).toContainText('Ines Okafor');
  await page.keyboard.press('z');
  await expect(about).toContainText('Dara Whitlock');
  await expect(page.locator('.reading').nth(0)).toContainText('set aside: wrong tap');

  await page.getByRole('button', { name: 'Set aside Steal of second 3.40' }).click();
  await page.getByRole('button', { name: 'Wrong player' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('It was').selectOption({ label: '7 Temba Moyo' });
  await dialog.getByRole('button', { name: 'Move' }).click();
  await expect(page.getByText('now belongs to Temba Moyo')).toBeVisible();
  await expect(page.locator('.reading', { hasText: 'Temba Moyo' }).first()).toContainText('3.40 s');
  await expect(page.getByText('set aside: wrong person')).toBeVisible();
});

test('a wrong tap that was not set aside is asked about, kept, and then no longer', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.openDemo();
  await coach.go('Team');
  await page.getByRole('link', { name: 'Ines Okafor' }).click();
  await expect(page.getByText('Looks like a wrong tap').first()).toBeVisible();
  await page
    .getByRole('button', { name: /^Keep Steal of second/ })
    .first()
    .click();
  await expect(page.getByText('Looks like a wrong tap')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Looks like a wrong tap').first()).toBeVisible();
});

test('a hold, then a pick-off in mid-chain; between innings pops alone; outfielders', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.makeSeason();
  await coach.go('Time');
  await coach.watchIsOut();
  await page.keyboard.press('h');
  await coach.tap(0, 2500);
  await expect(page.locator('[data-mark="first move"]')).toContainText('2.50');
  // He throws over instead: the same chain goes on as a pick-off.
  await page.keyboard.press('p');
  await expect(page.locator('.watch-about')).toHaveText('Silas Ruiz-Hale, pickoff to first');
  await page.locator('.watch-face').evaluate((face) => {
    const event = new PointerEvent('pointerdown', { bubbles: true, isPrimary: true, button: 0 });
    Object.defineProperty(event, 'timeStamp', { value: performance.now() + 2500 + 1100 });
    face.dispatchEvent(event);
  });
  await expect(page.locator('.reading').nth(0)).toContainText('Pickoff to first');
  await expect(page.locator('.reading').nth(1)).toContainText('Hold');
  await page.keyboard.press('p');
  for (const nth of [1, 2, 3]) {
    const at = 60_000 * nth;
    await coach.tap(at, at + 2400 + 100 * nth, at + 3800 + 100 * nth, at + 5900);
  }
  await expect(page.locator('.time-rhythm')).toContainText('rhythm you can time');

  await page.keyboard.press('i');
  await expect(page.locator('.watch-about')).toHaveText('Vance Tolliver, pop to second');
  await coach.tap(300_000, 302_100, 330_000, 332_050);
  await expect(page.locator('.reading').nth(1)).toContainText('2.10 s');
  await page.keyboard.press('o');
  await expect(page.locator('.watch-about')).toContainText('to home');
  await coach.tap(400_000, 402_900);
  await expect(coach.saved()).toBeVisible();
  const kinds = (await coach.readings()).map(({ kind }) => kind).toSorted();
  expect(kinds).toEqual([
    ...Array.from({ length: 3 }, () => 'delivery'),
    ...Array.from({ length: 4 }, () => 'hold'),
    'outfieldThrow',
    'pick',
    ...Array.from({ length: 5 }, () => 'pop'),
  ]);
});

test('softball: a leave-time is early, on time or late, whichever is tapped first', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.makeSeason('fastpitch43');
  await coach.go('Time');
  await coach.watchIsOut();
  await page.keyboard.press('e');
  await expect(page.locator('.leave-face').first()).toBeVisible();
  const tapBoth = (firstName: string, secondName: string, gapMs: number) =>
    page.evaluate(
      ([one, two, gap]) => {
        const start = performance.now();
        const send = (name: string, ms: number) => {
          const face = [...document.querySelectorAll('.leave-face')].find((each) =>
            each.textContent.startsWith(name),
          );
          const event = new PointerEvent('pointerdown', { bubbles: true, button: 0 });
          Object.defineProperty(event, 'timeStamp', { value: start + ms });
          face?.dispatchEvent(event);
        };
        send(one, 0);
        send(two, gap);
      },
      [firstName, secondName, gapMs] as const,
    );
  await tapBoth('Left', 'Release', 120);
  await expect(page.getByText('Early by .12 s: that is an out')).toBeVisible();
  await tapBoth('Release', 'Left', 60);
  await expect(page.getByText('On time: .06 s after the release')).toBeVisible();
  await tapBoth('Release', 'Left', 210);
  await expect(page.getByText('Late by .21 s')).toBeVisible();
  await page.keyboard.press('z');
  await expect(page.getByText('set aside: wrong tap')).toBeVisible();
  await expect(coach.saved()).toBeVisible();
  const live = (await coach.readings()).filter(({ asideReason }) => asideReason === null);
  expect(live.map(({ seconds }) => seconds).toSorted()).toEqual([-0.12, 0.06]);
});
