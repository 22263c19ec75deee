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
  await page.getByText('Needed for second').click();
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
