import { readFile } from 'node:fs/promises';
import { makeRandom, normalDraw } from '@bradyon/core/maths';
import type { Reading } from '@bradyon/core/timing';
import type { Page } from '@playwright/test';
import { makeClip } from './pages/clip.ts';
import { Coach } from './pages/coach.ts';
import { expect, test } from './pages/test.ts';

function readingsOf(page: Page): Promise<Reading[]> {
  return page.evaluate(async () => {
    const team = location.pathname.split('/')[2] ?? '';
    const response = await fetch(`/api/teams/${team}/readings`);
    return (await response.json()) as Reading[];
  });
}

test.describe('with the network cut', () => {
  test.use({ allowed: [/Failed to load resource|ERR_INTERNET_DISCONNECTED|ERR_FAILED/] });

  test('a hundred taps are all there, once each, also over a reload in between', async ({
    browser,
    baseURL,
  }) => {
    test.setTimeout(90_000);
    const context = await browser.newContext({ serviceWorkers: 'allow', baseURL: baseURL ?? '' });
    const page = await context.newPage();
    const coach = new Coach(page);
    await coach.makeSeason();
    await coach.go('Time');
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
    await expect(page.getByText('30 to save')).toBeVisible();
    for (let nth = 30; nth < 50; nth += 1) await pitch(nth);
    await expect(page.getByText('50 to save')).toBeVisible();

    await context.setOffline(false);
    await expect(coach.saved()).toBeVisible({ timeout: 30_000 });
    const seconds = (await readingsOf(page))
      .map((reading) => reading.seconds)
      .sort((a, b) => a - b);
    expect(seconds).toEqual(Array.from({ length: 50 }, (_, nth) => (1200 + nth) / 1000));
    await context.close();
  });
});

test('the thumb drill finds a known bias and spread in twenty reps, and the times use it', async ({
  page,
}) => {
  test.setTimeout(120_000);
  const coach = new Coach(page);
  await coach.makeSeason();
  await coach.go('Time');
  await expect(page.getByText('Thumb not calibrated for delivery and pop')).toBeVisible();
  await page.getByRole('link', { name: 'Drill it' }).click();
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
  await expect(page.getByLabel('The clip plays at, frames a second')).toHaveValue('30');
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
  await page.getByLabel('The camera took, frames a second').fill('120');
  await expect(page.locator('.clip-splits')).toContainText('0.350');
  await page.getByLabel('The camera took, frames a second').fill('none');
  await expect(page.getByText('Enter the frames a second of the camera')).toBeVisible();
  await page.getByLabel('The camera took, frames a second').fill('30');

  await page.getByRole('button', { name: 'Keep this time' }).click();
  await expect(page.getByText('Kept: Delivery 1.40')).toBeVisible();
  await expect(coach.saved()).toBeVisible();
  expect(await readingsOf(page)).toMatchObject([
    { kind: 'delivery', seconds: 1.4, method: 'clip', resolutionSeconds: 0.033333 },
  ]);
  // Nothing but the reading left the device.
  expect(sent.every((url) => url.endsWith('/readings'))).toBe(true);
});

test('gates are set up, somebody runs, and his splits are times of his', async ({ page }) => {
  const coach = new Coach(page);
  await coach.openDemo();
  await page.getByRole('link', { name: 'Gates' }).click();
  await page.getByRole('button', { name: 'Set it up' }).click();
  await expect(page.getByText('Name the device, up to 40 letters.')).toBeVisible();
  await page.getByRole('button', { name: 'Set up simulated gates' }).click();
  const card = page.locator('.gate-device', { hasText: 'Its token, shown only now' });
  const token = await card.locator('code').last().innerText();
  await card.getByLabel('At the gates now').selectOption({ label: '22 Kofi Darragh' });
  const before = await page.locator('.gate-run').count();
  await card.getByRole('button', { name: 'Let 22 Kofi Darragh run' }).click();
  await expect(page.locator('.gate-run')).toHaveCount(before + 1);
  await expect(page.locator('.gate-run').first()).toContainText('Kofi Darragh');

  // A missed beam, as a device would send it, is said.
  const answer = await page.request.post('/api/gates/events', {
    headers: { Authorization: `Bearer ${token}` },
    data: {
      id: crypto.randomUUID(),
      type: 'run',
      number: '22',
      takenAt: new Date().toISOString(),
      beams: [
        { feet: 0, seconds: 0 },
        { feet: 10, seconds: null },
        { feet: 30, seconds: 1.9 },
        { feet: 88, seconds: 4.2 },
      ],
    },
  });
  expect(answer.status()).toBe(201);
  await expect(page.getByText('The beam at 10 ft missed him')).toBeVisible({ timeout: 15_000 });
  await coach.go('Team');
  await page.getByRole('link', { name: 'Kofi Darragh' }).click();
  await expect(page.getByRole('heading', { name: /^Dash, 30 to 88/ })).toBeVisible();
});

test('a roster of 500 rows with 20 bad ones brings in 480 and names the 20; again doubles nothing', async ({
  page,
}) => {
  test.setTimeout(90_000);
  const coach = new Coach(page);
  await coach.signUp();
  await coach.makeTeam('Tern Rock Skuas');
  await page.getByRole('link', { name: 'Files' }).click();
  const rows = Array.from({ length: 500 }, (_, row) =>
    row % 25 === 3 ? `${String(row)},,right,P` : `${String(row)},Player ${String(row)},right,P`,
  );
  const file = {
    name: 'roster.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(['Jersey,Player,T,Pos', ...rows].join('\n')),
  };
  await page.getByLabel('CSV file').setInputFiles(file);
  await expect(page.getByText('480 new players, 0 there already, 20 bad rows.')).toBeVisible();
  await expect(page.locator('.csv-bad li')).toHaveCount(20);
  await expect(page.getByText('Line 5 Enter a name.')).toBeVisible();
  await page.getByRole('button', { name: 'Bring in 480 players' }).click();
  await expect(
    page.getByText('480 players brought in, 0 were there already, 20 bad rows left out.'),
  ).toBeVisible({ timeout: 20_000 });
  await page.reload();
  await page.getByLabel('CSV file').setInputFiles(file);
  await expect(page.getByText('0 new players, 480 there already, 20 bad rows.')).toBeVisible();

  // A column that was not found is chosen by hand.
  await page.getByLabel('CSV file').setInputFiles({
    ...file,
    buffer: Buffer.from('Who,Shirt\nNew Player,999'),
  });
  await expect(page.getByText('Choose which column holds: Name.')).toBeVisible();
  await page.getByLabel('Name', { exact: true }).selectOption({ label: 'Who' });
  await expect(page.getByText('1 new players')).toBeVisible();
});

test('times go out and in as a table, and a whole team as one file', async ({ page }) => {
  test.setTimeout(90_000);
  const coach = new Coach(page);
  await coach.makeSeason();
  await page.getByRole('link', { name: 'Files' }).click();
  await coach.choose('Times');
  const csv = [
    'Opponent,No,Timed,Time,Base,Style,Lead,Date',
    'Millrace Otters,12,delivery,"1,41",,leg lift,,2031-05-01',
    'Millrace Otters,9,pop time,2.08,2B,,,2031-05-01',
    ',4,steal,3.41,second,,3.5,2031-05-01',
    ',4,steal,34.1,second,,3.5,2031-05-01',
  ].join('\n');
  await page
    .getByLabel('CSV file')
    .setInputFiles({ name: 'times.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
  await coach.choose('Metres');
  await expect(page.getByText('Line 5 Enter a time from 1.5 to 8 s.')).toBeVisible();
  await page.getByRole('button', { name: 'Bring in 3 times' }).click();
  await expect(page.getByText('3 times brought in')).toBeVisible();
  const steal = (await readingsOf(page)).find(({ kind }) => kind === 'steal');
  expect(steal).toMatchObject({ leadFeet: 11.5, method: 'import' });

  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Everything (JSON)' }).click();
  const content = await readFile(await (await waiting).path());
  await coach.choose('A whole team');
  const picker = page.getByLabel('Team file (JSON)');
  await picker.setInputFiles({
    name: 'x.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"half"'),
  });
  await expect(page.getByText('Choose a team file (JSON) that was taken out here.')).toBeVisible();
  const renamed = content.toString().replace('Tern Rock Skuas', 'Skuas restored');
  await picker.setInputFiles({
    name: 'team.json',
    mimeType: 'application/json',
    buffer: Buffer.from(renamed),
  });
  await expect(page.getByText('Skuas restored: 3 people, 1 opponents, 3 times.')).toBeVisible();
  await page.getByRole('button', { name: 'Make a team of it' }).click();
  await page.waitForURL(/people$/);
  await expect(page.getByRole('button', { name: /Skuas restored/ })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Dara Whitlock' })).toBeVisible();

  // Deleting somebody asks for his name, and takes his times with him.
  await page.getByRole('link', { name: 'Dara Whitlock' }).click();
  await page.getByRole('button', { name: 'Delete Dara Whitlock and his times' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Delete for good' }).click();
  await expect(dialog.getByText('Type Dara Whitlock to delete him.')).toBeVisible();
  await dialog.getByLabel('Type Dara Whitlock').fill('Dara Whitlock');
  await dialog.getByRole('button', { name: 'Delete for good' }).click();
  await page.waitForURL(/people$/);
  expect(await readingsOf(page)).toHaveLength(2);
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
  await page.getByRole('button', { name: 'It was somebody else’s' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('It was').selectOption({ label: '7 Temba Moyo' });
  await dialog.getByRole('button', { name: 'Give it to him' }).click();
  await expect(page.getByText("is Temba Moyo's now")).toBeVisible();
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
  await expect(page.locator('.watch-about')).toHaveText('Silas Ruiz-Hale, pick-off to first');
  await page.locator('.watch-face').evaluate((face) => {
    const event = new PointerEvent('pointerdown', { bubbles: true, isPrimary: true, button: 0 });
    Object.defineProperty(event, 'timeStamp', { value: performance.now() + 2500 + 1100 });
    face.dispatchEvent(event);
  });
  await expect(page.locator('.reading').nth(0)).toContainText('Pick-off to first');
  await expect(page.locator('.reading').nth(1)).toContainText('Hold');
  await page.keyboard.press('p');
  for (const nth of [1, 2, 3]) {
    const at = 60_000 * nth;
    await coach.tap(at, at + 2400 + 100 * nth, at + 3800 + 100 * nth, at + 5900);
  }
  await expect(page.locator('.time-rhythm')).toContainText('can be timed');

  await page.keyboard.press('i');
  await expect(page.locator('.watch-about')).toHaveText('Vance Tolliver, pop to second');
  await coach.tap(300_000, 302_100, 330_000, 332_050);
  await expect(page.locator('.reading').nth(1)).toContainText('2.10 s');
  await page.keyboard.press('o');
  await expect(page.locator('.watch-about')).toContainText('to home');
  await coach.tap(400_000, 402_900);
  await expect(coach.saved()).toBeVisible();
  const kinds = (await readingsOf(page)).map(({ kind }) => kind).toSorted();
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
  await coach.makeSeason('Fastpitch softball, 43 ft');
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
  await expect(page.getByText('Early by 0.12 s: that is an out')).toBeVisible();
  await tapBoth('Release', 'Left', 60);
  await expect(page.getByText('On time: 0.06 s after the release')).toBeVisible();
  await tapBoth('Release', 'Left', 210);
  await expect(page.getByText('Late by 0.21 s')).toBeVisible();
  await page.keyboard.press('z');
  await expect(page.getByText('set aside: wrong tap')).toBeVisible();
  await expect(coach.saved()).toBeVisible();
  const live = (await readingsOf(page)).filter(({ asideReason }) => asideReason === null);
  expect(live.map(({ seconds }) => seconds).toSorted()).toEqual([-0.12, 0.06]);
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
  await assistant.page.getByRole('button', { name: 'Join the team' }).click();
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
