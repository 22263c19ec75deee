import { Coach } from './pages/coach.ts';
import { expect, test } from './pages/test.ts';

test('times from a sheet of paper are typed one after the other, for anybody, and an odd one is asked about', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.makeSeason();
  await page.getByRole('link', { name: 'Vance Tolliver' }).click();
  await page.getByRole('link', { name: 'Type times' }).click();

  // It opens on the catcher and what is timed of a catcher.
  await expect(page.getByLabel('Player')).toContainText('9 Vance Tolliver');
  await expect(page.getByLabel('Time', { exact: true })).toHaveValue('Pop to second');
  const field = page.getByLabel('Seconds');
  for (const [text, shown] of [
    ['2.04', '2.04'],
    ['198', '1.98'],
    ['2,1', '2.10'],
  ] as const) {
    await field.fill(text);
    await field.press('Enter');
    await expect(page.locator('.reading').filter({ hasText: shown })).toContainText('typed in');
    await expect(field).toHaveValue('');
    await expect(field).toBeFocused();
  }

  // A slip is undone; what is no time says so beside the field and stays there.
  await field.fill('98');
  await field.press('Enter');
  await expect(page.locator('.reading')).toHaveCount(4);
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(page.locator('.reading')).toHaveCount(3);
  await field.fill('20.4');
  await field.press('Enter');
  await expect(page.getByText('Enter a time from 0.8 to 4 s.')).toBeVisible();
  await expect(field).toHaveValue('20.4');

  // Another player, with what is timed of a runner.
  await page.getByLabel('Player').selectOption({ label: '4 Dara Whitlock' });
  await expect(page.getByLabel('Time', { exact: true })).toHaveValue('Steal of second');
  await page.getByLabel('Lead, ft').fill('12');
  await page.getByLabel('Seconds').fill('345');
  await page.getByLabel('Seconds').press('Enter');
  await expect(page.locator('.reading')).toContainText('from 12 ft');
  await expect(coach.saved()).toBeVisible();
  const kept = await coach.readings();
  expect(kept.map(({ seconds, method }) => [seconds, method]).toSorted()).toEqual([
    [1.98, 'typed'],
    [2.04, 'typed'],
    [2.1, 'typed'],
    [3.45, 'typed'],
  ]);
});

test('the watch says whether the runner goes, the figure to call, and times their runners too', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.openDemo();
  await page.getByLabel('Facing').selectOption({ label: 'Gannet Point Haddocks' });
  await page.getByLabel('Runner', { exact: true }).selectOption({ index: 1 });
  const name = (await page.locator('.time-verdict').innerText()).replace(/.* if (.*) goes\./, '$1');
  await coach.tap(0, 1410, 3420);
  await expect(page.locator('.watch-words')).toContainText('is the time to beat. Say “42”.');
  await expect(page.locator('.time-verdict')).toContainText(`${name} to second`);
  await expect(page.locator('.time-verdict')).toContainText(
    /\d+\+?% safe, needs \d\d%|Time .* first/,
  );
  await page.getByRole('button', { name: /^Undo/ }).click();
  await page.getByRole('button', { name: /^Undo/ }).click();

  // Enter is a tap as well: who cannot touch the screen times too.
  await page.locator('.watch-face').focus();
  await page.keyboard.press('Enter');
  await expect(page.locator('.watch-mark-next')).not.toContainText('first move');

  await coach.choose('Runners');
  await page.getByLabel('Team', { exact: true }).selectOption({ label: 'Gannet Point Haddocks' });
  const first = page.getByRole('group', { name: 'Line of runners' }).getByRole('button').first();
  const theirs = (await first.innerText()).replace(/^\d+ /, '');
  await first.click();
  await expect(page.locator('.watch-about')).toContainText(theirs);
});

test('every room has a key, and ? lists them', async ({ page }) => {
  const coach = new Coach(page);
  await coach.openDemo();
  await coach.watchIsOut();
  await page.keyboard.press('Shift+S');
  await page.waitForURL(/\/steals/);
  await page.keyboard.press('Shift+M');
  await page.waitForURL(/\/people/);
  await page.keyboard.press('?');
  const keys = page.getByRole('dialog');
  await expect(keys.getByText('Leads')).toBeVisible();
  await keys.getByRole('button', { name: 'Close' }).click();
  await expect(keys).toHaveCount(0);
  await page.keyboard.press('Shift+T');
  await page.waitForURL(/\/timing/);
});

test('an empty team is told what comes first, takes a pasted roster, and the list is gone when done', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.signUp();
  await coach.makeTeam('Tern Rock Skuas');
  const steps = page.getByRole('region', { name: 'First steps' });
  await expect(steps.getByLabel('To do')).toHaveCount(3);
  await steps.getByRole('link', { name: 'Paste or import' }).click();

  // Rows as a spreadsheet copies them, with its heading.
  await page
    .getByLabel('Or paste rows')
    .fill('No\tName\tPos\n4\tDara Whitlock\tCF\n7\tTemba Moyo\tSS');
  await page.getByLabel('Or paste rows').blur();
  await page.getByRole('button', { name: 'Import 2 players' }).click();
  await expect(page.getByText('2 players imported')).toBeVisible();

  await coach.go('Team');
  await expect(steps.getByLabel('Done')).toHaveCount(1);
  await coach.addOpponent('Millrace Otters');
  await coach.addPlayer('12', 'Silas Ruiz-Hale', ['P']);
  await coach.addPlayer('9', 'Vance Tolliver', ['C']);
  await expect(steps.getByLabel('Done')).toHaveCount(2);

  // A typed time is enough for an answer, and the steps are gone.
  await steps.getByRole('link', { name: 'Type' }).click();
  await page.getByLabel('Seconds').fill('140');
  await page.getByLabel('Seconds').press('Enter');
  await expect(page.locator('.reading')).toContainText('1.40 s');
  await coach.go('Team');
  await expect(page.getByRole('heading', { name: 'Tern Rock Skuas' })).toBeVisible();
  await expect(steps).toHaveCount(0);
});

test('a coach who measures in meters sees and types meters everywhere, on paper too', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.makeSeason();
  const team = page.url().replace(/\/people.*$/, '');
  await page.goto('/account');
  await page.getByText('Meters', { exact: true }).click();
  await page.goto(`${team}/timing?watch=typed`);
  await expect(page.locator('.strip-tiles')).toContainText('27.43 / 18.44');
  await page.getByLabel('Player').selectOption({ label: '4 Dara Whitlock' });
  await page.getByLabel('Lead, m').fill('20');
  await page.getByLabel('Seconds').fill('345');
  await page.getByLabel('Seconds').press('Enter');
  await expect(page.getByText('Enter 0 to 12.19\u00a0m')).toBeVisible();
  await page.getByLabel('Lead, m').fill('3,8');
  await page.getByLabel('Seconds').press('Enter');
  await expect(page.locator('.reading')).toContainText('from 3.8\u00a0m');
  await expect(coach.saved()).toBeVisible();
  expect((await coach.readings()).map(({ leadFeet }) => leadFeet)).toEqual([12.47]);

  await coach.go('Leads');
  await expect(page.locator('.lead-first .figure')).toHaveText(/^\d\.\d\sm$/);
  await page.getByRole('link', { name: 'Lead sheet' }).click();
  await expect(page.getByRole('article')).toContainText('leads off first, m');
  await expect(page.getByRole('row', { name: /Dara Whitlock/ })).toContainText(/\d(\.\d)? \/ \d/);
});
