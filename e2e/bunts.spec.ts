import type { Page } from '@playwright/test';
import { Coach } from './pages/coach.ts';
import { GameDay, stands } from './pages/gameDay.ts';
import { expect, test } from './pages/test.ts';

// Without network the browser notes each request that did not go.
test.use({ allowed: [/Failed to load resource|net::ERR_|ERR_INTERNET/] });

async function openRoom(page: Page, path: string): Promise<void> {
  await new Coach(page).openDemo();
  await page.goto(page.url().replace(/\/timing$/, `/${path}`));
}

/** What stands in a picture's tooltip is not read: the answer is in words. */
const answer = (page: Page) => page.locator('.bunt-answer').first();
const settled = async (page: Page): Promise<void> => {
  await expect(page.locator('.bunt-side')).toHaveAttribute('aria-busy', 'false');
};

test('the lane moves away from whoever crashes, and dead in front when both do', async ({
  page,
}) => {
  await openRoom(page, 'bunts');
  await page.getByText('1B crash', { exact: true }).click();
  await settled(page);
  await expect(answer(page)).toContainText(/third-base side/i);
  await page.getByText('Both crash', { exact: true }).click();
  await settled(page);
  await expect(answer(page)).toContainText(/up the middle, dead|up the middle, soft/i);

  // One who is dragged stays there until a defense is named again.
  const third = page.getByRole('slider', { name: 'third baseman' });
  await third.focus();
  const before = await third.getAttribute('aria-valuetext');
  for (let step = 0; step < 8; step += 1) await page.keyboard.press('ArrowUp');
  await expect(third).not.toHaveAttribute('aria-valuetext', before ?? '');
  await expect(page.getByLabel('Dragged')).toBeChecked();
  await page.getByText('Holding', { exact: true }).click();
  await expect(page.getByLabel('Dragged')).toHaveCount(0);
  await settled(page);
  await expect(page.getByRole('row', { name: /^Best/ })).toBeVisible();
});

test('with a deep third baseman the fast runner is told to bunt for a hit, the slow one later', async ({
  page,
}) => {
  await openRoom(page, 'bunts/hit');
  await page.getByRole('checkbox', { name: 'First base taken' }).click();
  await page.getByLabel('Up', { exact: true }).selectOption({ label: '1. 4 Dara Whitlock' });
  const call = page.locator('.bunt-call');
  await expect(call).toContainText(/^From/);
  await expect(answer(page)).toContainText('Dara Whitlock: bunt when the third baseman plays');
  const rows = page.getByRole('row');
  await expect(rows.last()).toContainText('Two strikes');
  // Somebody slow is safe less often at the same depth.
  const deepest = page.getByRole('row', { name: /27 ft behind/ });
  const safe = async (): Promise<number> =>
    Number(/(\d+)%/.exec(await deepest.innerText())?.[1] ?? Number.NaN);
  const fast = await safe();
  await page.getByLabel('Up', { exact: true }).selectOption({ label: '9. 19 Pita Fonomalu' });
  await expect(answer(page)).toContainText('Pita Fonomalu');
  expect(await safe()).toBeLessThan(fast);
});

test('the squeeze clock answers as its marks are moved, and the card prints on one page', async ({
  page,
}) => {
  await openRoom(page, 'bunts/squeeze');
  await expect(page.getByText('A squeeze needs a runner on third')).toBeVisible();
  await page.getByRole('checkbox', { name: 'Third base taken' }).click();
  const shows = page.getByRole('slider', { name: 'Batter shows' });
  await expect(shows).toBeVisible();
  const pitchedOut = async (): Promise<number> =>
    Number(/Pitched out (\d+)%/.exec(await page.locator('.bunt-legend').innerText())?.[1]);
  const late = await pitchedOut();
  await shows.focus();
  for (let step = 0; step < 8; step += 1) await page.keyboard.press('PageDown');
  await expect(shows).toHaveAttribute('aria-valuenow', '-0.3');
  expect(await pitchedOut()).toBeGreaterThan(late + 30);
  await page.getByText('Left-hander', { exact: true }).click();
  await expect(page.getByText('Safety squeeze, best spot:')).not.toContainText('…');

  await page.getByRole('link', { name: 'Bunt card' }).click();
  const sheet = page.getByRole('article', { name: 'Bunt card' });
  await expect(sheet).toBeVisible({ timeout: 60_000 });
  await expect(sheet.getByRole('row', { name: /Dara Whitlock/ })).toHaveCount(3);
  for (const paper of ['Letter', 'A4']) {
    await page.getByText(paper, { exact: true }).click();
    const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
    expect(pdf.match(/\/Type\s*\/Page\b(?!s)/g), `${paper} is one page`).toHaveLength(1);
  }
});

test('bunts counted without network are sent from whatever room is opened next, and pull the plan', async ({
  page,
  context,
}) => {
  await openRoom(page, 'bunts/bunters');
  await page.getByLabel('Bunting').selectOption({ label: '7 Temba Moyo' });
  const row = page.getByRole('row', { name: /Temba Moyo/ });
  await expect(row).toContainText('0');
  await context.setOffline(true);
  for (let bunt = 0; bunt < 4; bunt += 1) {
    await page.getByRole('button', { name: 'Third line, dead' }).click();
  }
  await page.getByRole('button', { name: 'Missed' }).click();
  await expect(page.getByText('Last: missed. 5 counted.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo the last one' }).click();
  await expect(page.getByText('Last: fair, third line, dead. 4 counted.')).toBeVisible();
  // Another room sends what was left here.
  await expect(page.getByText('All saved')).toHaveCount(0);
  await context.setOffline(false);
  await page.goto(page.url().replace(/bunts\/bunters/, 'timing'));
  await expect(page.getByText('All saved')).toBeVisible({ timeout: 30_000 });
  await page.goto(page.url().replace(/timing$/, 'bunts/bunters'));
  await expect(row.getByRole('cell').first()).toHaveText('4');
  await page.getByRole('link', { name: 'Plan', exact: true }).click();
  await page.getByLabel('Up', { exact: true }).selectOption({ label: '5. 7 Temba Moyo' });
  await expect(page.getByText('Temba Moyo: 4 of 4 down')).toBeVisible();
});

test('a team sets its own constants of the field, and the plan follows', async ({ page }) => {
  const coach = new Coach(page);
  await coach.enterSeason();
  const base = page.url().replace(/\/teams\/([^/]+).*/, '/teams/$1');
  await page.goto(`${base}/field`);
  await page.getByLabel('Bunt: Speed of an infielder, ft/s').fill('99');
  await page.getByRole('button', { name: 'Save field' }).click();
  await expect(page.getByText('Speed of an infielder: enter 12 to 30.')).toBeVisible();
  await page.getByLabel('Bunt: Speed of an infielder, ft/s').fill('14');
  await page.getByRole('button', { name: 'Save field' }).click();
  await expect(page.getByText('Field saved. Every bunt and send is updated')).toBeVisible();
  await page.goto(`${base}/bunts`);
  await settled(page);
  // Against infielders that slow the batter beats it out more often than not.
  await expect(page.getByRole('row', { name: /^Third side, firm/ })).toContainText(/4\d–5\d%/);
});

test('as in the game: who is on, how many strikes and how they play are the game’s own', async ({
  page,
}) => {
  const coach = new GameDay(page);
  await coach.makeRosters();
  await coach.openGame();
  await page.keyboard.press('c');
  await stands(page, /count 0 and 1/);
  await page.locator('.game-tile-count').click();
  const correct = page.getByRole('dialog');
  // Not who bats before whoever is up: the order alone would have somebody else there.
  await correct.getByLabel('On second').selectOption({ label: '7 Gupta' });
  await correct.getByRole('button', { name: 'Save' }).click();
  await stands(page, /Runner on second/);
  await page.keyboard.press('m');
  await page.getByRole('dialog').getByText('Corners in', { exact: true }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await coach.go('Bunt');
  await page.getByText('As in the game', { exact: true }).click();
  await expect(page.getByText('As told in the game.')).toBeVisible();
  await expect(page.getByLabel('In', { exact: true })).toBeChecked();
  await expect(page.getByLabel('1 strike')).toBeChecked();
  await expect(page.locator('.bunt-field').getByText('Gupta')).toBeVisible();
  // Whoever supposes something else leaves the game, and keeps the rest.
  await page.getByText('2 strikes', { exact: true }).click();
  await expect(page.getByLabel('Set by hand')).toBeChecked();
  await expect(page.getByLabel('2 strikes')).toBeChecked();
  await expect(page.getByText('As told in the game.')).toHaveCount(0);
});
