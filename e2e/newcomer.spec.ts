import type { Page } from '@playwright/test';
import { Coach } from './pages/coach.ts';
import { expect, test } from './pages/test.ts';

/** From nothing to an answer for three numbers from a sheet of paper, and to times of somebody. */
async function firstMinutes(page: Page): Promise<void> {
  const coach = new Coach(page);
  await coach.signUp();
  await coach.makeTeam('Kelp Harbor Terns');
  await page.getByRole('link', { name: 'See a steal', exact: true }).click();

  // There is an answer before anything is entered, and it says what it rests on.
  await expect(page.getByRole('heading', { name: 'Steal second' })).toBeVisible();
  await expect(page.getByText('No pitcher, catcher, or runner chosen')).toBeVisible();
  await expect(page.getByRole('status').filter({ hasText: 'safe. Needs 80%.' })).toBeVisible();

  // Three numbers decide it, one way and the other.
  await page.getByLabel('To plate').fill('1.50');
  await page.getByLabel('Pop').fill('2.2');
  await page.getByLabel('Run', { exact: true }).fill('345');
  await expect(page.getByText('Go', { exact: true }).first()).toBeVisible();
  await page.getByLabel('To plate').fill('1.20');
  await expect(page.getByText('Stay', { exact: true }).first()).toBeVisible();
  await page.getByLabel('To plate').fill('12');
  await expect(page.getByText('Enter a time from')).toBeVisible();
  await page.getByLabel('To plate').fill('1.5');
  await expect(page.getByText('Enter a time from')).toHaveCount(0);

  // Supposing saves nothing: another look finds nobody's time.
  expect(await coach.readings()).toEqual([]);

  // A press keeps them, with names that say who they are; a name that is missing is asked for.
  await page.getByRole('button', { name: 'Keep as times' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Pitcher’s name').fill('Silas Ruiz-Hale');
  await dialog.getByLabel('Catcher’s name').fill('');
  await dialog.getByRole('button', { name: 'Keep' }).click();
  await expect(dialog.getByText('Enter a name.')).toBeVisible();
  await dialog.getByLabel('Catcher’s name').fill('Vance Tolliver');
  await dialog.getByLabel('Runner’s name').fill('Dara Whitlock');
  await dialog.getByLabel('Their team').fill('Millrace Otters');
  await dialog.getByRole('button', { name: 'Keep' }).click();
  await expect(dialog).toHaveCount(0);

  // Now they are somebody's: the answer is theirs, with the doubt of one time each.
  await expect(page.getByText('chosen: typical')).toHaveCount(0);
  await expect(page.getByRole('link', { name: 'Silas Ruiz-Hale, pitcher' })).toBeVisible();
  await expect(page.getByText('Go if Silas Ruiz-Hale is')).toBeVisible();
  await expect(page.getByLabel('To plate')).toHaveValue('');
  await expect(coach.saved()).toBeVisible();
  const kept = await coach.readings();
  expect(kept.map(({ kind, seconds, method }) => [kind, seconds, method]).toSorted()).toEqual([
    ['delivery', 1.5, 'typed'],
    ['pop', 2.2, 'typed'],
    ['steal', 3.45, 'typed'],
  ]);
  await coach.go('Team');
  await expect(page.getByRole('link', { name: 'Dara Whitlock' })).toBeVisible();
}

test('a newcomer has an answer for three typed numbers within minutes, and keeps them as times', async ({
  page,
}) => {
  await firstMinutes(page);
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test('a newcomer has the same answer', async ({ page }) => {
    await firstMinutes(page);
  });
});

test('a what-if about people who are known is kept in one press, and taken back in one', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.makeSeason();
  await coach.go('Steal');
  const field = page.getByLabel('To plate');
  await field.fill('1.62');
  await expect(page.getByText('what if', { exact: true })).toBeVisible();

  // What is only supposed counts nowhere else.
  await page.getByRole('link', { name: 'Board' }).click();
  await expect(page.getByRole('table')).not.toContainText('1.62');
  await page.getByRole('link', { name: 'One runner' }).click();
  await expect(field).toHaveValue('1.62');

  await page.getByRole('button', { name: 'Keep as times' }).click();
  await expect(field).toHaveValue('');
  await expect(coach.saved()).toBeVisible();
  expect((await coach.readings()).map(({ seconds }) => seconds)).toEqual([1.62]);
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(coach.saved()).toBeVisible();
  await expect.poll(async () => (await coach.readings()).length).toBe(0);

  // Leads asks its own times the same way.
  await coach.go('Leads');
  const safe = page.locator('.lead-first');
  const before = await safe.innerText();
  await page.getByLabel('Move', { exact: true }).fill('0.8');
  await expect(page.getByText('(what if)')).toBeVisible();
  await expect(safe).not.toHaveText(before);
  await page.getByRole('button', { name: 'Clear' }).click();
  await expect(safe).toHaveText(before);
});
