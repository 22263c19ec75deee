import type { Page } from '@playwright/test';
import { GameDay, stands } from './pages/gameDay.ts';
import { moveDownByKeys } from './pages/sortable.ts';
import { expect, test } from './pages/test.ts';

// A phone that asks what it may not is refused, and the browser notes it.
test.use({ allowed: [/Failed to load resource|net::ERR_|ERR_INTERNET/] });

/** Everything that the browser keeps of this page, as one text. */
function kept(page: Page): Promise<string> {
  return page.evaluate(async () => {
    const found: unknown[] = [
      Object.entries(localStorage),
      Object.entries(sessionStorage),
      location.href,
    ];
    const bytes = (value: unknown): unknown => {
      if (value instanceof ArrayBuffer) return new TextDecoder('latin1').decode(value);
      if (ArrayBuffer.isView(value)) return new TextDecoder('latin1').decode(value);
      if (value === null || typeof value !== 'object') return value;
      if (Array.isArray(value)) return value.map(bytes);
      return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, bytes(each)]));
    };
    const done = <T>(request: IDBRequest<T>) =>
      new Promise<T>((resolve, reject) => {
        request.onsuccess = () => {
          resolve(request.result);
        };
        request.onerror = () => {
          reject(new Error('storage'));
        };
      });
    for (const { name } of await indexedDB.databases()) {
      const database = await done(indexedDB.open(name ?? ''));
      for (const store of database.objectStoreNames) {
        const all = database.transaction(store).objectStore(store);
        found.push(store, bytes(await done(all.getAllKeys())), bytes(await done(all.getAll())));
      }
      database.close();
    }
    for (const name of await caches.keys()) {
      for (const request of await (await caches.open(name)).keys()) found.push(request.url);
    }
    return JSON.stringify(found);
  });
}

test('a conflict is named with its shortest sequence, mended by one tap, and put in force', async ({
  page,
}) => {
  const coach = new GameDay(page);
  await coach.makeRosters();
  await page.goto(`/teams/${coach.teamId}/signs`);
  await page.getByText('4 plays', { exact: true }).click();
  await page.getByRole('button', { name: 'Start with this' }).first().click();
  await expect(page.getByText('No sequence has two meanings, however long.')).toBeVisible();

  // Two plays on one touch.
  await page.getByLabel('Bunt', { exact: true }).selectOption('cap');
  const issues = page.getByRole('region', { name: 'What to fix' });
  await expect(issues).toContainText('belt – cap means Bunt and Steal.');
  await expect(page.getByRole('button', { name: 'Put in force' })).toBeDisabled();
  await issues.getByRole('button', { name: 'Bunt on the brim' }).click();
  await expect(page.getByText('No sequence has two meanings, however long.')).toBeVisible();
  await expect(page.getByLabel('Bunt', { exact: true })).toHaveValue('brim');

  // How long it holds comes by and by, as a range; a play is shown touch by touch.
  const strength = page.getByRole('region', { name: 'If they film you' });
  await expect(strength).toContainText(/\d+–\d+ sequences seen|\d+ sequences seen/);
  await expect(strength.getByRole('progressbar')).toBeHidden({ timeout: 60_000 });
  await page.getByLabel('As they see it').selectOption('bunt');
  const sequence = page.getByRole('list', { name: 'The sequence' });
  const first = await sequence.innerText();
  expect(first).toMatch(/belt\s+brim/);
  await page.getByRole('button', { name: 'Next touch' }).click();
  await expect(page.getByRole('img', { name: /^The coach touches/ })).toBeVisible();

  await page.getByRole('button', { name: 'Put in force' }).click();
  await expect(page.getByText(/^Version 1, in force since/)).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Bunt', { exact: true })).toHaveValue('brim');
});

test('a list that is counted is put in order by the keys', async ({ page }) => {
  const coach = new GameDay(page);
  await coach.makeRosters();
  await page.goto(`/teams/${coach.teamId}/signs`);
  await page.getByText('4 plays', { exact: true }).click();
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Count the touches' })
    .getByRole('button', { name: 'Start with this' })
    .click();
  const list = page.locator('.signs-list li');
  await expect(list.first()).toContainText('Steal');
  await moveDownByKeys(page, 'Move Steal, number 1', 1);
  await expect(list.first()).toContainText('Bunt');
  await expect(list.nth(1)).toContainText('Steal');
});

test('a player drills on a phone by a link, without signing in, and nothing is kept in clear', async ({
  page,
  browser,
}) => {
  const coach = new GameDay(page);
  await coach.makeRosters();
  await page.goto(`/teams/${coach.teamId}/signs`);
  await page.getByRole('button', { name: 'Start with this' }).first().click();
  await page.getByRole('button', { name: 'Put in force' }).click();
  await expect(page.getByText(/^Version 1/)).toBeVisible();
  const tabs = page.getByRole('navigation', { name: 'Signs' });
  await tabs.getByRole('link', { name: 'Drills' }).click();
  await page.getByRole('button', { name: 'Link for Adeyemi' }).click();
  const code = await page
    .getByRole('status', { name: 'Drill link' })
    .locator('.pass-letters')
    .innerText();

  const phoneContext = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const phone = await phoneContext.newPage();
  await phone.goto(`/drill#${code}`);
  await expect(phone.getByRole('heading', { name: 'Adeyemi' })).toBeVisible();
  expect(phone.url()).not.toContain(code);
  for (let sign = 1; sign <= 16; sign += 1) {
    await expect(phone.getByText(`${String(sign)} of 16`)).toBeVisible();
    await phone.getByRole('button', { name: 'Nothing on' }).click();
    await expect(phone.getByText(/^(Right|Wrong)\./)).toBeVisible();
    await phone.getByRole('button', { name: 'Next' }).click();
  }
  await expect(phone.getByText('Your coach can see how it went.')).toBeVisible();
  expect(await phoneContext.cookies()).toEqual([]);
  for (const path of ['/teams', `/teams/${coach.teamId}/people`, `/teams/${coach.teamId}/signs`])
    expect((await phone.request.get(`/api${path}`)).status()).toBe(401);
  expect(await kept(phone)).not.toMatch(/belt|"means"|squeeze/);
  await phoneContext.close();

  // The coach sees who misses what.
  await page.reload();
  const row = page.getByRole('row', { name: /1 Adeyemi/ });
  await expect(row).toContainText('16');
  await expect(row).toContainText('%');

  // The sign is given in a game: held, it shows; let go, it is gone, and the next is another.
  await coach.openGame();
  await page.keyboard.press('n');
  const hold = page.getByRole('button', { name: 'Hold: Nothing on' });
  const shown = page.locator('.give-shown');
  const seen = new Set<string>();
  for (let time = 0; time < 3; time += 1) {
    await hold.hover();
    await page.mouse.down();
    await expect(shown).toBeVisible();
    seen.add(await shown.innerText());
    await page.mouse.up();
    await expect(shown).toHaveCount(0);
  }
  expect(seen.size).toBe(3);
  await page.getByRole('button', { name: /Change to/ }).click();
  await expect(page.getByText(/^The indicator has changed/)).toBeVisible();
  await stands(page, /Top 1/);
  await expect(page.locator('.strip-saved').getByText('All saved')).toBeVisible();
  expect(await kept(page)).not.toMatch(/belt|"touch"|"indicator"/);
});

test('number cards share no code with the last, and show only when asked for', async ({ page }) => {
  const coach = new GameDay(page);
  await coach.makeRosters();
  await page.goto(`/teams/${coach.teamId}/signs`);
  await page.getByRole('button', { name: 'Start with this' }).first().click();
  await page.getByRole('button', { name: 'Put in force' }).click();
  await expect(page.getByText(/^Version 1/)).toBeVisible();
  await page.getByRole('link', { name: 'Cards' }).click();
  await page.getByRole('button', { name: 'Make number cards' }).click();
  const codes = async (): Promise<string[]> => {
    await page.getByRole('button', { name: 'Show the card' }).click();
    const all = await page.locator('.wristband').first().locator('li strong').allInnerTexts();
    await page.getByText('Players’ card', { exact: true }).click();
    await expect(page.getByRole('button', { name: 'Show the card' })).toBeVisible();
    await page.getByText('Wristbands', { exact: true }).click();
    return all;
  };
  await expect(page.getByText(/^Card 1\./)).toBeVisible();
  await expect(page.locator('.wristband')).toHaveCount(0);
  const one = await codes();
  expect(one).toHaveLength(50);
  await page.getByRole('button', { name: 'New numbers for the next game' }).click();
  await expect(page.getByText(/^Card 2\./)).toBeVisible();
  const two = await codes();
  expect(two.filter((code) => one.includes(code))).toEqual([]);
});

test.describe('from a cold start without network', () => {
  test.use({ serviceWorkers: 'allow' });

  test('a sign is given from what the device keeps, encrypted', async ({ page, context }) => {
    const coach = new GameDay(page);
    await coach.makeRosters();
    await page.goto(`/teams/${coach.teamId}/signs`);
    await page.getByRole('button', { name: 'Start with this' }).first().click();
    await page.getByRole('button', { name: 'Put in force' }).click();
    await expect(page.getByText(/^Version 1/)).toBeVisible();
    await coach.openGame();
    await page.evaluate(async () => {
      await navigator.serviceWorker.ready;
    });
    await page.reload();
    await expect(page.getByRole('button', { name: 'Hold: Nothing on' })).toBeVisible();
    await context.setOffline(true);
    await page.close();

    const cold = await context.newPage();
    await cold.goto(coach.gamePath());
    await stands(cold, /Top 1/);
    const hold = cold.getByRole('button', { name: 'Hold: Nothing on' });
    await hold.hover();
    await cold.mouse.down();
    await expect(cold.locator('.give-shown')).toBeVisible();
    await cold.mouse.up();
    expect(await kept(cold)).not.toMatch(/belt|"touch"/);
  });
});
