import { readFile } from 'node:fs/promises';
import { Coach } from './pages/coach.ts';
import { expect, test } from './pages/test.ts';

test('a roster of 500 rows with 20 bad ones imports 480 and names the 20; again adds nothing', async ({
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
  await expect(page.getByText('480 new players, 0 already here, 20 bad rows.')).toBeVisible();
  await expect(page.locator('.csv-bad li')).toHaveCount(20);
  await expect(page.getByText('Line 5 Enter a name.')).toBeVisible();
  await page.getByRole('button', { name: 'Import 480 players' }).click();
  await expect(
    page.getByText('480 players imported, 0 were already here, 20 rows skipped.'),
  ).toBeVisible({ timeout: 20_000 });
  await page.reload();
  await page.getByLabel('CSV file').setInputFiles(file);
  await expect(page.getByText('0 new players, 480 already here, 20 bad rows.')).toBeVisible();

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
  await coach.choose('Meters');
  await expect(page.getByText('Line 5 Enter a time from 1.5 to 8 s.')).toBeVisible();
  await page.getByRole('button', { name: 'Import 3 times' }).click();
  await expect(page.getByText('3 times imported')).toBeVisible();
  const steal = (await coach.readings()).find(({ kind }) => kind === 'steal');
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
  await expect(page.getByText('Choose a team file (JSON) exported from Bradyon.')).toBeVisible();
  const renamed = content.toString().replace('Tern Rock Skuas', 'Skuas restored');
  await picker.setInputFiles({
    name: 'team.json',
    mimeType: 'application/json',
    buffer: Buffer.from(renamed),
  });
  await expect(page.getByText('Skuas restored: 3 players, 1 opponents, 3 times.')).toBeVisible();
  await page.getByRole('button', { name: 'Import as a new team' }).click();
  await page.waitForURL(/people$/);
  await expect(
    page.getByRole('banner').getByRole('button', { name: /Skuas restored/ }),
  ).toBeVisible();
  await expect(page.getByRole('link', { name: 'Dara Whitlock' })).toBeVisible();

  // Deleting somebody asks for his name, and takes his times with him.
  await page.getByRole('link', { name: 'Dara Whitlock' }).click();
  await page.getByRole('button', { name: 'Delete Dara Whitlock and times' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Delete forever' }).click();
  await expect(dialog.getByText('Type Dara Whitlock to confirm.')).toBeVisible();
  await dialog.getByLabel('Type Dara Whitlock').fill('Dara Whitlock');
  await dialog.getByRole('button', { name: 'Delete forever' }).click();
  await page.waitForURL(/people$/);
  expect(await coach.readings()).toHaveLength(2);
});
