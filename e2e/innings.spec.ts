import { Coach } from './pages/coach.ts';
import { expect, test } from './pages/test.ts';

test('a situation says what it is worth and what a steal needs, and Steal asks for that', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.openDemo();
  await coach.go('Odds');
  await expect(page.getByText('54 %').first()).toBeVisible();
  const steal = page.getByRole('row', { name: /^Steal second/ });
  await expect(steal).toContainText('82');

  // Late and close the out weighs less than the run.
  const innings = page.getByRole('button', { name: 'Inning: more' });
  for (let inning = 1; inning < 7; inning += 1) await innings.click();
  await page.getByText('Bottom', { exact: true }).click();
  await expect(steal).toContainText('70');

  // Bases by hand and by key; what cannot be is said.
  await page.getByRole('checkbox', { name: 'First base taken' }).focus();
  await page.keyboard.press('Space');
  await page.getByRole('checkbox', { name: 'Third base taken' }).click();
  await expect(page.getByRole('row', { name: /^Steal home/ })).toBeVisible();
  await expect(page.getByText('Go on contact, infield in')).toBeVisible();
  await expect(steal).toHaveCount(0);
  await page.getByRole('button', { name: 'Our lead: more' }).click();
  await expect(page.getByRole('alert')).toContainText('The home team has won');
  await page.getByRole('button', { name: 'Our lead: less' }).click();
  await expect(page.getByRole('alert')).toHaveCount(0);

  // The maps, with where it stands marked.
  await expect(page.locator('.odds-here')).toHaveCount(1);
  await page.getByLabel('Map').selectOption({ label: 'Needed for second' });
  await expect(page.getByRole('row', { name: /^Inning 7/ })).toContainText('70');

  // Kept over a reload, and known to Steal.
  await page.getByRole('checkbox', { name: 'Third base taken' }).click();
  await page.reload();
  await expect(page.getByText('nobody on, nobody out, bottom 7, tied')).toBeVisible();
  await coach.go('Steal');
  await expect(page.getByText(/He needs 80\s%/)).toBeVisible();
  await page.getByText('Situation', { exact: true }).click();
  await expect(page.getByText(/He needs 70\s%/)).toBeVisible();
  await page.getByRole('link', { name: 'Board' }).click();
  await expect(page.getByText(/A steal needs 70\s%/)).toBeVisible();
  await page.getByRole('link', { name: 'Why' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'What it is worth' })).toBeVisible();
});

test('a line-up is moved by hand and by keys, a season pulls a batter, and the runs move', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.openDemo();
  await coach.go('Odds');
  await page.getByRole('link', { name: 'Line-up' }).click();
  const runs = page.locator('.lineup-runs .figure');
  const names = page.locator('.lineup-name');
  await expect(names).toHaveCount(9);
  const before = await runs.innerText();

  // By the keys: the first down two places.
  const first = await names.first().innerText();
  await page.getByRole('button', { name: /^Move .*, batting 1$/ }).focus();
  const spoken = page.locator('[id^=DndLiveRegion]');
  await page.keyboard.press('Space');
  await expect(page.locator('.lineup-moving')).toHaveCount(1);
  for (let place = 0; place < 2; place += 1) {
    const said = await spoken.innerText();
    await page.keyboard.press('ArrowDown');
    await expect(spoken).not.toHaveText(said);
  }
  await page.keyboard.press('Space');
  await expect(names.nth(2)).toHaveText(first, { useInnerText: true });
  await expect(runs).not.toHaveText(before);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(runs).toHaveText(before);

  // By hand: the last to the top.
  const handle = await page.getByRole('button', { name: /batting 9$/ }).boundingBox();
  const top = await page.getByRole('button', { name: /batting 1$/ }).boundingBox();
  if (!handle || !top) throw new Error('nothing to drag');
  const last = await names.nth(8).innerText();
  await page.mouse.move(handle.x + 20, handle.y + 20);
  await page.mouse.down();
  await page.mouse.move(handle.x + 20, handle.y - 20, { steps: 4 });
  await page.mouse.move(top.x + 20, top.y + 4, { steps: 12 });
  await page.mouse.up();
  await expect(names.first()).toHaveText(last, { useInnerText: true });

  // Totals that do not go together are refused by the field; those that do pull his rates.
  await names.first().click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Plate appearances').fill('300');
  await dialog.getByLabel('Hits', { exact: true }).fill('400');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(dialog.getByText(/enter all plate appearances/)).toBeVisible();
  await expect(dialog.getByLabel('Hits', { exact: true })).toHaveValue('400');
  const now = await runs.innerText();
  await dialog.getByLabel('Hits', { exact: true }).fill('140');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(dialog).toHaveCount(0);
  await expect(names.first()).toContainText('71 % his own'.replace(' ', '\u00a0'));
  expect(Number(await runs.innerText())).toBeGreaterThan(Number(now));

  // Somebody else comes in for him, and the order is kept over a reload.
  await page
    .getByRole('button', { name: /^Take .* off the line-up$/ })
    .first()
    .click();
  await expect(names).toHaveCount(8);
  await page.reload();
  await expect(names).toHaveCount(8);
});

test('the best choices follow the score and the legs, and print on one page', async ({ page }) => {
  const coach = new Coach(page);
  await coach.openDemo();
  await coach.go('Odds');
  await page.getByRole('link', { name: 'Best choices' }).click();
  const card = page.getByRole('article', { name: 'Best choices' });
  await expect(card.getByText('double').first()).toBeVisible();
  // Nobody steals second who is hardly ever safe there.
  for (let step = 0; step < 10; step += 1) {
    await page.getByRole('button', { name: 'Safe at second: less' }).click();
  }
  await expect(card.getByText('steal 2nd')).toHaveCount(0);
  const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
  expect(pdf.match(/\/Type\s*\/Page\b(?!s)/g)).toHaveLength(1);
});
