import { Coach } from './pages/coach.ts';
import { expect, test } from './pages/test.ts';

// The stories provoke what the browser notes.
test.use({ allowed: [/Failed to load resource|net::ERR_FAILED/] });

const STOP = '**/api/teams/*/readings';

test('a tablet shared by two coaches: whose session ran out keeps the taps, and nobody else sends them', async ({
  page,
}) => {
  const marit = new Coach(page, 'Marit Adeyemi');
  await marit.makeSeason();
  await marit.go('Time');
  await page.route(STOP, (route) =>
    route.request().method() === 'POST' ? route.abort() : route.continue(),
  );
  await marit.tap(0, 1410, 3500);
  await expect(page.getByText('2 on this device')).toBeVisible();
  const address = page.url();

  // The session runs out; another coach signs in on the same tablet and times a team of their own.
  await page.context().clearCookies();
  await page.unroute(STOP);
  await page.goto('/');
  await page.waitForURL(/sign-in/);
  const teo = new Coach(page, 'Teo Quispe');
  await teo.makeSeason();
  await teo.go('Time');
  await teo.tap(0, 1330, 3300);
  await expect(teo.saved()).toBeVisible();
  const theirs = await teo.readings();
  expect(theirs.map(({ timedByName }) => timedByName)).toEqual(['Teo Quispe', 'Teo Quispe']);
  await page.getByRole('button', { name: 'Waiting' }).click();
  await expect(page.getByText(/Taps of Marit Adeyemi are waiting on this device/)).toBeVisible();
  await page.getByRole('button', { name: 'Close' }).click();

  // Signing out asks nothing: nothing of this coach is left to send.
  await page.getByRole('button', { name: /^Account of/ }).click();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await page.waitForURL(/sign-in/);
  await marit.signIn();
  await page.waitForURL(/timing$/);
  await page.goto(address);
  await expect(marit.saved()).toBeVisible();
  const own = await marit.readings();
  expect(own.map(({ timedByName, seconds }) => [timedByName, seconds])).toEqual([
    ['Marit Adeyemi', 2.09],
    ['Marit Adeyemi', 1.41],
  ]);
});

test('signing out in one tab ends the other, asks about what is not sent, and leaves nothing', async ({
  page,
  context,
}) => {
  const coach = new Coach(page);
  await coach.makeSeason();
  await coach.go('Time');
  const second = await context.newPage();
  await second.goto(page.url());
  await second.locator('.watch-face').waitFor();
  await second.route(STOP, (route) =>
    route.request().method() === 'POST' ? route.abort() : route.continue(),
  );
  await page.route(STOP, (route) =>
    route.request().method() === 'POST' ? route.abort() : route.continue(),
  );
  await new Coach(second).tap(0, 1410);
  await expect(second.getByText('1 on this device')).toBeVisible();

  await page.getByRole('button', { name: /^Account of/ }).click();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByText('One tap has not reached the server')).toBeVisible();
  await page.getByRole('button', { name: 'Stay signed in' }).click();
  await expect(page.locator('.watch-face')).toBeVisible();
  await page.getByRole('button', { name: /^Account of/ }).click();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await page.getByRole('button', { name: 'Delete them and sign out' }).click();
  await page.waitForURL(/sign-in/);
  await second.waitForURL(/sign-in/);
  expect(await coach.keptHere()).toEqual([]);
});

test('what the server refuses lies in the tray with its reason, to mend or to delete', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.makeSeason();
  const other = await coach.addTheirs('Noel Bexley', ['P']);
  await coach.go('Time');
  await page.route(STOP, (route) =>
    route.request().method() === 'POST' ? route.abort() : route.continue(),
  );
  await coach.tap(0, 1410);
  await page.locator('.watch-face').waitFor();
  await expect(page.getByText('1 on this device')).toBeVisible();
  // Meanwhile the pitcher is deleted elsewhere.
  await coach.deletePerson('Silas Ruiz-Hale');
  await page.unroute(STOP);
  await page.getByRole('button', { name: '1 not saved' }).click();
  const tray = page.getByRole('dialog');
  await expect(tray.getByText('Delivery, leg lift, 1.41 s')).toBeVisible();
  await expect(tray.getByText('This player was deleted. Choose another player.')).toBeVisible();
  // It is still there after a reload.
  await page.reload();
  await page.getByRole('button', { name: '1 not saved' }).click();
  await tray.getByLabel('Save it for').selectOption(other);
  await expect(tray.getByText('All your taps are saved.')).toBeVisible();
  await tray.getByRole('button', { name: 'Close' }).click();
  await expect(coach.saved()).toBeVisible();
  expect(await coach.readings()).toMatchObject([{ personId: other, seconds: 1.41 }]);
});

test('a server that breaks for a while: each tap arrives once, or lies in the tray', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.makeSeason();
  await coach.go('Time');
  let broken = 0;
  await page.route(STOP, (route) => {
    if (route.request().method() !== 'POST') return route.continue();
    broken += 1;
    const problem = {
      title: 'Broke',
      status: 500,
      detail: 'Something broke on our side.',
      errors: [],
    };
    return route.fulfill({ status: 500, contentType: 'application/problem+json', json: problem });
  });
  await coach.tap(0, 1410, 3500);
  await expect(page.getByRole('button', { name: '2 not saved' })).toBeVisible({ timeout: 60_000 });
  expect(broken).toBeGreaterThan(2);
  await page.unroute(STOP);
  // What comes after it is not held up.
  await coach.tap(60_000, 61_330);
  await expect.poll(async () => (await coach.readings()).length).toBe(1);
  await page.getByRole('button', { name: '2 not saved' }).click();
  const tray = page.getByRole('dialog');
  await tray.getByRole('button', { name: 'Retry' }).first().click();
  await expect(tray.getByRole('button', { name: 'Retry' })).toHaveCount(1);
  await tray.getByRole('button', { name: 'Retry' }).click();
  await expect(page.getByText('All your taps are saved.')).toBeVisible();
  await expect(page.getByText('All saved')).toBeAttached();
  const kept = (await coach.readings()).map(({ seconds }) => seconds).toSorted();
  expect(kept).toEqual([1.33, 1.41, 2.09]);
});
