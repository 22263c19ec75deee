import { readFileSync } from 'node:fs';
import type { TeamFile } from '@bradyon/contract/files';
import { eventOf, type Entry } from '@bradyon/contract/games';
import { stealsHere } from '@bradyon/core/advice';
import { readGame, situationOf } from '@bradyon/core/games';
import type { Person } from '@bradyon/core/people';
import { conditionsOf, populationsOf, runnerOf } from '@bradyon/core/sprint';
import { calibrationsOf } from '@bradyon/core/timing';
import type { AccountId } from '@bradyon/core/units';
import type { Page } from '@playwright/test';
import { GameDay, standing, stands, takePlace, typeIn } from './pages/gameDay.ts';
import { expect, test } from './pages/test.ts';

// The stories cut the network, and the browser notes it.
test.use({ allowed: [/Failed to load resource|net::ERR_|ERR_INTERNET/] });

/** A game that has begun with a single: the desk says whether the runner goes. */
async function withRunnerOnFirst(page: Page): Promise<GameDay> {
  const coach = new GameDay(page);
  await coach.makeRosters();
  await coach.openGame();
  await typeIn(page, coach.gamePath(), '1/CF');
  await page.goto(coach.gamePath());
  await expect(page.getByText(/safe, needs/)).toBeVisible();
  return coach;
}

const saved = (page: Page) => page.locator('.strip-saved').getByText('All saved');

test('two innings on three devices: one goes away and comes back, and all say the same', async ({
  page,
  browser,
}) => {
  const coach = new GameDay(page);
  await coach.makeRosters();
  await coach.openGame();
  const [firstContext, thirdContext] = [await browser.newContext(), await browser.newContext()];
  const first = await coach.device(firstContext, 'First base');
  const third = await coach.device(thirdContext, 'Third base');
  const path = coach.gamePath();

  // The bench taps, the boxes see it; first base throws in a pickoff, third base a steal.
  await page.keyboard.press('b');
  await stands(first, /count 1 and 0/);
  await page.keyboard.press('c');
  await stands(third, /count 1 and 1/);
  await page.keyboard.press('i');
  const ball = page.getByRole('dialog');
  await ball.getByText('Single', { exact: true }).click();
  await ball.getByText('CF', { exact: true }).click();
  await ball.getByRole('button', { name: 'Save' }).click();
  await stands(first, /Runner on first/);
  await expect(first.getByText(/safe, needs/)).toBeVisible();
  await first.getByRole('button', { name: 'Pick', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Pickoff to first, back' })).toBeVisible();
  await third.getByRole('button', { name: 'Steal', exact: true }).click();
  await third.getByRole('dialog').getByRole('button', { name: 'Save' }).click();
  await stands(page, /Runner on second/);
  // Third base is told what a single to each field is, by this runner and these arms.
  await expect(third.locator('.send-note')).toContainText(
    /from second: left (send|hold) \d+\+?%, center .*, right .*\. Needs \d+%/,
  );

  // A tap too many is taken back, on the device that made it.
  await page.keyboard.press('f');
  await stands(first, /count 1 and 1/);
  await page.keyboard.press('z');
  await stands(first, /count 1 and 0/);

  // First base loses the network for the rest of the half. It goes on by itself.
  await firstContext.setOffline(true);
  await first.getByRole('button', { name: 'Ball', exact: true }).click();
  await stands(first, /count 2 and 0/);
  await expect(first.locator('.devices-line')).toContainText('to send');
  // The bench saw a strike in that pitch, and a double play later.
  await page.keyboard.press('c');
  await stands(page, /count 1 and 1/);
  await typeIn(page, path, 'g/2B a/SS b a/CF');
  await page.goto(path);
  await stands(page, /Bottom 1/);
  await firstContext.setOffline(false);

  // Two say different things of one pitch: side by side, settled with one tap.
  const conflict = page.getByRole('alert', { name: 'Two devices disagree' });
  await expect(conflict).toContainText('batter 2, pitch 2');
  await conflict.getByRole('button', { name: /^Bench: Called strike/ }).click();
  await expect(conflict).toBeHidden();
  await stands(first, /Bottom 1/);

  // Their half: a double play, and a substitution before it.
  await page.keyboard.press('u');
  const sub = page.getByRole('dialog');
  await sub.getByLabel('In the game').selectOption({ label: '1 Adeyemi, P' });
  await sub.getByLabel('Comes in').selectOption({ label: '10 Juma' });
  await sub.getByRole('button', { name: 'Save' }).click();
  await expect(page.locator('.who-plays')).toContainText('10 Juma');
  await typeIn(page, path, '1/LF dp/SS a/CF');
  await typeIn(page, path, 's s s 2/LF 1/RF g/2B a/CF');
  await page.goto(path);
  await stands(page, /Bottom 2/);
  await typeIn(page, path, 'b b b b k po a/CF a/RF');
  await page.goto(path);
  for (const device of [page, first, third]) await stands(device, /Top 3/);

  // All three say the same, and it is what the database comes to, each entry once.
  const words = await standing(page).textContent();
  for (const device of [first, third]) await expect(standing(device)).toHaveText(words ?? '');
  await expect(saved(page)).toBeVisible();
  const entries = (await coach.entries()) as Entry[];
  expect(entries.map(({ seq }) => seq)).toEqual(entries.map((_, index) => index + 1));
  expect(new Set(entries.map(({ id }) => id)).size).toBe(entries.length);
  const now = situationOf(readGame(entries.map(eventOf)).state);
  expect(now).toMatchObject({ inning: 3, half: 'top', runs: { away: 1, home: 0 } });
  expect(words).toContain('Top 3');
  await firstContext.close();
  await thirdContext.close();
});

test.describe('from a cold start without network', () => {
  test.use({ serviceWorkers: 'allow' });

  test('the desk opens, takes taps, keeps them over a reload, and sends them later', async ({
    page,
    context,
  }) => {
    const coach = new GameDay(page);
    await coach.makeRosters();
    await coach.openGame();
    await page.keyboard.press('b');
    await expect(saved(page)).toBeVisible();
    // The application is on the device.
    await page.evaluate(async () => {
      await navigator.serviceWorker.ready;
    });
    await expect
      .poll(() => page.evaluate(async () => (await caches.keys()).length))
      .toBeGreaterThan(0);
    await page.reload();
    await stands(page, /count 1 and 0/);
    await context.setOffline(true);
    await page.close();

    const cold = await context.newPage();
    await cold.goto(coach.gamePath());
    await stands(cold, /count 1 and 0/);
    await cold.keyboard.press('c');
    await cold.keyboard.press('f');
    await stands(cold, /count 1 and 2/);
    await expect(cold.locator('.devices-line')).toContainText('2 to send');
    await cold.reload();
    await stands(cold, /count 1 and 2/);
    await context.setOffline(false);
    await expect
      .poll(async () => {
        const answer = await context.request.get(`/api${coach.gamePath()}/entries?since=0`);
        const { entries } = (await answer.json()) as { entries: { kind: string }[] };
        return entries.filter(({ kind }) => kind === 'pitch').length;
      })
      .toBe(3);
    await expect(cold.locator('.devices-line')).not.toContainText('to send');
  });
});

test('a phone joins first base by a code, sees that game and nothing else, until it is ended', async ({
  page,
  browser,
}) => {
  const coach = new GameDay(page);
  await coach.makeRosters();
  await coach.openGame();
  await page.keyboard.press('b');
  await page.locator('.devices-line').click();
  await page.getByRole('button', { name: 'Make a code' }).click();
  const code = (await page.locator('.pass-letters').textContent()) ?? '';
  await expect(page.getByAltText(/QR code/)).toBeVisible();

  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
  });
  const phone = await context.newPage();
  await phone.goto('/join');
  await phone.getByLabel('Code from the bench').fill('AAAA-AAAA');
  await phone.getByRole('button', { name: 'Join' }).click();
  await expect(phone.getByText(/This code does not work/)).toBeVisible();
  await phone.goto(`/join#${code}`);
  await stands(phone, /count 1 and 0/);
  await expect(phone.getByRole('navigation', { name: 'Work' })).toHaveCount(0);
  await phone.getByRole('button', { name: 'Strike' }).click();
  await stands(page, /count 1 and 1/);
  // Any other address leads back to the game.
  await phone.goto(`/teams/${coach.teamId}/people`);
  await stands(phone, /count 1 and 1/);

  await page.getByRole('button', { name: 'End it' }).click();
  await expect(page.getByRole('button', { name: 'End it' })).toHaveCount(0);
  await phone.reload();
  await expect(phone.getByText(/You have no such team|Your code is over/)).toBeVisible();
  await context.close();
});

test('a game ends, its box is read, and its file comes in as another game', async ({ page }) => {
  const coach = new GameDay(page);
  await coach.makeRosters();
  await coach.openGame();
  const path = coach.gamePath();
  const outs = 'a/CF a/CF a/CF';
  await typeIn(page, path, `4/LF ${outs}`);
  for (let inning = 0; inning < 6; inning += 1) await typeIn(page, path, `${outs} ${outs}`);
  await page.goto(`${path}/log`);
  await page.getByLabel('Type in from paper').fill('a/CF nonsense');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  // What went before stays in; what is wrong stays to be mended.
  await expect(page.getByText(/“nonsense” is no code/)).toBeVisible();
  await expect(page.getByLabel('Type in from paper')).toHaveValue('nonsense');
  await typeIn(page, path, 'a/CF a/CF');

  await page.goto(path);
  await expect(page.getByText('Won 1–0')).toBeVisible();
  await page.getByRole('link', { name: 'See the box' }).click();
  await expect(page.getByRole('heading', { name: /Won 1–0 at Millrace Otters/ })).toBeVisible();
  const line = page.getByRole('region', { name: 'Line score' });
  await expect(line.getByRole('row').nth(1)).toContainText('Tern Rock Skuas1000000110');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export game' }).click();
  const file = await (await download).path();
  const text = readFileSync(file, 'utf8');
  expect(text).toContain('"bradyon-game"');
  expect(text).not.toContain('"kind": "sign"');
  const pitches = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export pitches' }).click();
  const table = readFileSync(await (await pitches).path(), 'utf8');
  expect(table).toContain('Top 1, batter 1, pitch 1');

  await page.goto(`/teams/${coach.teamId}/games`);
  await expect(page.getByText('Won 1–0')).toHaveCount(1);
  await page.getByLabel('Game file').setInputFiles(file);
  await expect(page.getByText('Game imported.')).toBeVisible();
  await expect(page.getByText('Won 1–0')).toHaveCount(2);
  await page.getByLabel('Game file').setInputFiles({
    name: 'other.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"format":"other"}'),
  });
  await expect(page.getByText(/Not imported\. Choose a game file/)).toBeVisible();

  // The season at bat grows by it.
  await page.goto(`/teams/${coach.teamId}/innings/lineup`);
  await expect(page.getByText(/6 in games here|8 in games here/).first()).toBeVisible();
});

test('a game that was left takes no tap before the server has said where it stands', async ({
  page,
}) => {
  const coach = new GameDay(page);
  await coach.makeRosters();
  await coach.openGame();
  await page.keyboard.press('b');
  await stands(page, /count 1 and 0/);
  const path = coach.gamePath();
  // It is on the device: without an answer it shows what it had.
  const entries = '**/entries?since=*';
  await page.route(entries, (route) => route.abort());
  await expect(async () => {
    await page.goto(`${path}/log`);
    await expect(page.getByLabel('Type in from paper')).toBeVisible({ timeout: 5000 });
  }).toPass();
  await page.unroute(entries);
  let answer = (): void => undefined;
  const held = new Promise<void>((resolve) => {
    answer = resolve;
  });
  await page.route(entries, async (route) => {
    await held;
    await route.continue();
  });
  await page.goto(`${path}/log`);
  await expect(page.getByText('Loading the game')).toBeVisible();
  await expect(page.getByLabel('Type in from paper')).toHaveCount(0);
  answer();
  await expect(page.getByLabel('Type in from paper')).toBeVisible();
});

test('a pitch is changed where it stands, the book is corrected, and a wrong tap is said to be wrong', async ({
  page,
}) => {
  const coach = new GameDay(page);
  await coach.makeRosters();
  await coach.openGame();
  for (const key of ['b', 'b', 'c']) await page.keyboard.press(key);
  await stands(page, /count 2 and 1/);
  await page.getByRole('button', { name: 'Called strike' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Ball', exact: true }).click();
  await stands(page, /count 3 and 0/);

  await page.locator('.game-tile-count').click();
  const correct = page.getByRole('dialog');
  await correct
    .getByRole('group', { name: 'Our runs' })
    .getByRole('button', { name: /more/ })
    .click();
  await correct.getByLabel('On second').selectOption({ label: '7 Gupta' });
  await correct.getByRole('button', { name: 'Save' }).click();
  await stands(page, /Runner on second, us 1, them 0/);
  await page.keyboard.press('z');
  await stands(page, /Bases empty, us 0, them 0/);

  // Strike three with first base open is asked about.
  for (const key of ['c', 'c', 's']) await page.keyboard.press(key);
  await page.getByRole('button', { name: 'Got away, safe at first' }).click();
  await stands(page, /Runner on first/);
  // A runner who is put where another stands is refused, with the reason, and can be taken back.
  await page.keyboard.press('m');
  await page.getByRole('button', { name: 'Batted out of turn' }).click();
  await expect(page.getByText(/Not counted\. The last batter was the right one/)).toBeVisible();
});

test('a call is kept as it was known before the pitch, with what came of it', async ({ page }) => {
  const coach = await withRunnerOnFirst(page);
  await page.getByRole('button', { name: /^All \d/ }).click();
  const every = page.getByRole('dialog');
  await every.getByRole('button', { name: 'Steal second', exact: true }).click();
  await every.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByText('Steal second is on.')).toBeVisible();
  await page.keyboard.press('g');
  await page.getByRole('dialog').getByRole('button', { name: 'Save' }).click();
  await stands(page, /Runner on second/);
  let entries: Entry[] = [];
  // What came of it is told when the tap has been answered.
  await expect
    .poll(async () => {
      entries = (await coach.entries()) as Entry[];
      return entries.some(({ told }) => 'taken' in told && told['taken'] !== null);
    })
    .toBe(true);
  const advice = entries.filter(({ kind }) => kind === 'advice');
  const call = advice.find(({ told }) => told['plays'] !== null);
  const result = advice.find(
    ({ told }) => (told['taken'] as { callId: string } | null)?.callId === call?.id,
  );
  expect(call?.told['plays']).toMatchObject({
    called: 'stealSecond',
    calledBy: 'bench',
    shown: true,
    play: { base: 'second', kind: 'straight' },
  });
  expect(result?.told['taken']).toMatchObject({ done: 'go', resolved: true, outcome: 'safe' });
  // Before the pitch it is about, in the order in which they came.
  const pitch = entries.find(({ kind, told }) => kind === 'pitch' && told['going'] !== undefined);
  expect(call?.seq).toBeLessThan(pitch?.seq ?? 0);
});

test('what came of a call is told before an undo that follows at once, and also where the page is left', async ({
  page,
}) => {
  const coach = await withRunnerOnFirst(page);
  const told = async (): Promise<string[]> =>
    ((await coach.entries()) as Entry[])
      .slice(-4)
      .map(({ kind, told: { taken } }) => (taken ? 'result' : kind));
  // Both in one breath, before anything is due.
  await page.evaluate(() => {
    for (const key of ['b', 'z'])
      dispatchEvent(new KeyboardEvent('keydown', { key, code: `Key${key.toUpperCase()}` }));
  });
  await expect.poll(told).toEqual(['advice', 'pitch', 'result', 'undo']);
  await page.evaluate(() => {
    dispatchEvent(new KeyboardEvent('keydown', { key: 'b', code: 'KeyB' }));
    location.reload();
  });
  await stands(page, /count 1 and 0/);
  await expect.poll(told).toEqual(['undo', 'advice', 'pitch', 'result']);
});

for (const colorScheme of ['light', 'dark'] as const) {
  test.describe(`in ${colorScheme} colors`, () => {
    test.use({ colorScheme, viewport: { width: 390, height: 844 } });

    test('first base answers on a phone without scrolling', async ({ page }) => {
      const coach = new GameDay(page);
      await coach.makeRosters();
      await coach.openGame();
      await typeIn(page, coach.gamePath(), '1/CF');
      await page.goto(coach.gamePath());
      await takePlace(page, 'First base');
      const answer = page.getByText(/safe, needs/);
      await expect(answer).toBeInViewport();
      await expect(page.getByRole('button', { name: 'Ball', exact: true })).toBeInViewport();
      await expect(page.getByRole('button', { name: 'Undo' })).toBeInViewport();
      await expect
        .poll(() =>
          page.evaluate(
            () => document.documentElement.scrollHeight - document.documentElement.clientHeight,
          ),
        )
        .toBeLessThanOrEqual(1);
    });
  });
}

test('the chance on the screen is what the core makes of the exported team', async ({ page }) => {
  const coach = new GameDay(page);
  await coach.openOwnDemo();
  const teamId = page.url().split('/')[4] ?? '';
  const base = `/api/teams/${teamId}`;
  const file = (await (await page.request.get(`${base}/export`)).json()) as TeamFile;
  const running = file.games.find(
    ({ startsAt, entries }) =>
      entries.length > 10 && Date.parse(startsAt) > Date.now() - 6 * 60 * 60 * 1000,
  );
  await page.goto(`/teams/${teamId}/games/${running?.id ?? ''}`);
  await expect(page.getByText(/safe, needs/)).toBeVisible();
  // One more tap: what the screen says is of the game as it stands after it.
  await page.keyboard.press('b');
  await expect(saved(page)).toBeVisible();
  const after = (await (await page.request.get(`${base}/export`)).json()) as TeamFile;
  const game = after.games.find(({ id }) => id === running?.id);
  const { state } = readGame((game?.entries ?? []).map(eventOf));
  const now = situationOf(state);
  if (!state || !now.open) throw new Error('the game is open');

  const { team, people, readings } = after;
  const field = conditionsOf(team);
  const thumbs = new Map(
    (
      (await (await page.request.get(`${base}/thumbs`)).json()) as {
        accountId: AccountId;
        reps: never[];
      }[]
    ).map(({ accountId, reps }) => [accountId, calibrationsOf(reps)]),
  );
  const of = (person: Person) =>
    populationsOf(
      person,
      readings
        .filter(({ personId }) => personId === person.id)
        .toSorted((a, b) => (a.takenAt < b.takenAt ? 1 : -1)),
      field,
      thumbs,
    );
  const personOf = (id: string | null) => people.find((person) => person.id === id) ?? null;
  const [pitcher, catcher] = [personOf(now.pitcher), personOf(now.catcher)];
  if (!pitcher || !catcher) throw new Error('there is a battery');
  const [race] = stealsHere(
    state.bases,
    { field, of, runner: (person) => runnerOf(person, of(person), field) },
    personOf,
    {
      needed: () => 0.5,
      style: 'legLift',
      battery: { pitcher, catcher },
      batter: personOf(now.batter),
    },
  );
  const percents = Math.round((race?.steal.chance ?? 0) * 100);
  await expect(page.locator('.race-first')).toContainText(`${String(percents)}% safe`);
});

test('signing out leaves nothing of the game on the device', async ({ page, context }) => {
  const coach = new GameDay(page);
  await coach.makeRosters();
  await coach.openGame();
  await page.keyboard.press('b');
  await expect(saved(page)).toBeVisible();
  await page.getByRole('button', { name: /^Account of/ }).click();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await page.waitForURL(/sign-in/);
  const kept = await page.evaluate(async () => {
    const open = (name: string) =>
      new Promise<IDBDatabase>((done, failed) => {
        const asked = indexedDB.open(name);
        asked.onsuccess = () => {
          done(asked.result);
        };
        asked.onerror = () => {
          failed(asked.error ?? new Error('not opened'));
        };
      });
    const texts: string[] = [JSON.stringify(localStorage)];
    for (const { name = '' } of await indexedDB.databases()) {
      const database = await open(name);
      for (const store of database.objectStoreNames) {
        const asked = database.transaction(store).objectStore(store).getAll();
        await new Promise((done) => (asked.onsuccess = done));
        texts.push(JSON.stringify(asked.result));
      }
      database.close();
    }
    return texts.join(' ');
  });
  expect(kept).not.toContain(coach.gameId);
  expect(kept).not.toContain('Adeyemi, ');
  // Nor does going back show it, with the network or without.
  await context.setOffline(true);
  await page.goBack().catch(() => undefined);
  await expect(page.locator('.game-strip')).toHaveCount(0);
});
