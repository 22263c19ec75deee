import { readFile } from 'node:fs/promises';
import { Coach } from './pages/coach.ts';
import { expect, test } from './pages/test.ts';

test('a season is read, what it says of the jump is used on the board, and undone', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.openOwnDemo();
  const team = page.url().replace(/timing$/, '');
  await page.goto(`${team}steals/board`);
  const row = page.getByRole('row', { name: /Temba Moyo/ });
  const chances = async (): Promise<string> => (await row.innerText()).replace(/\s+/g, ' ');
  await expect(row).toContainText('%');
  const before = await chances();

  await coach.go('Game');
  await page.getByRole('link', { name: 'Season', exact: true }).click();
  await expect(page.getByText(/of \d+ safe, [\d.]+ expected/)).toBeVisible();
  await expect(page.getByText(/bars lie outside what is ordinary/)).toBeVisible();
  // By parts: a dozen attempts are the least that is said anything of.
  await page.getByLabel('By', { exact: true }).selectOption({ label: 'Base' });
  await expect(page.getByRole('row', { name: /Steal of second/ })).toBeVisible();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Calls as CSV' }).click(),
  ]);
  expect(await readFile(await file.path(), 'utf8')).toMatch(/^.?Game,Inning,Half,Outs,Runner/);

  await page.getByRole('button', { name: 'Work it out' }).click();
  await expect(page.getByRole('row', { name: /^Jump \./ })).toBeVisible();
  // In use with a tap, and out of it with another.
  await page.getByRole('button', { name: 'Use these numbers' }).click();
  await expect(page.getByText(/attempts are in use/)).toBeVisible();
  const undone = page.waitForResponse((answer) => answer.request().method() === 'PUT');
  await page.getByRole('button', { name: 'Undo' }).click();
  expect((await undone).status()).toBe(200);
  await page.goto(`${team}steals/board`);
  await expect(row).toContainText('%');
  await expect.poll(chances).toBe(before);

  await page.goto(`${team}games/season`);
  await page.getByRole('button', { name: 'Work it out' }).click();
  const used = page.waitForResponse((answer) => answer.request().method() === 'PUT');
  await page.getByRole('button', { name: 'Use these numbers' }).click();
  expect((await used).status()).toBe(200);
  await page.goto(`${team}steals/board`);
  await expect(row).toContainText('%');
  await expect.poll(chances).not.toBe(before);

  // What was told then stays; today's numbers stand beside it.
  await coach.go('Game');
  await page.getByRole('link', { name: 'Box', exact: true }).first().click();
  await page.getByRole('link', { name: 'Review', exact: true }).click();
  await expect(page.locator('.review-calls li').first()).toContainText(
    /\d+\+?% safe, needed \d+\+?%\. By today’s numbers \d+\+?%\./,
  );
  const [review] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'As JSON' }).click(),
  ]);
  const reviewed = JSON.parse(await readFile(await review.path(), 'utf8')) as {
    totals: Record<string, number>;
    calls: unknown[];
  };
  expect(reviewed.calls.length).toBeGreaterThan(0);

  // Back to the numbers as shipped, any day later.
  await page.goto(`${team}games/season`);
  const versions = page.getByRole('list').filter({ hasText: 'As shipped' });
  await expect(versions.getByRole('listitem').filter({ hasText: 'Your own' })).toContainText(
    'In use',
  );
  await versions.getByRole('button', { name: 'Use these again' }).click();
  await expect(page.getByText('Those numbers are in use again.')).toBeVisible();
  await page.goto(`${team}steals/board`);
  await expect(row).toContainText('%');
  await expect.poll(chances).toBe(before);
});

test('a game is read on the way home: calls in order, luck beside them, and on one page of paper', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.openDemo();
  await coach.go('Game');
  await page.getByRole('link', { name: 'Box', exact: true }).first().click();
  await page.getByRole('link', { name: 'Review', exact: true }).click();
  await expect(
    page.getByRole('heading', { level: 1, name: /^Review: (Won|Lost|Tied)/ }),
  ).toBeVisible();
  await expect(page.locator('.review-calls li').first()).toContainText(
    /\d+\+?% safe, needed \d+\+?%/,
  );
  // What the columns say adds up to what the game came to.
  const went = page.getByRole('region', { name: 'Where it went' });
  await expect(went.locator('..').locator('[aria-busy=true]')).toHaveCount(0);
  await expect
    .poll(async () => {
      const texts = await went.locator('td.figure').allInnerTexts();
      const values = texts.map((text) => Number(text.replace('−', '-').replace('+', '')));
      const whole = values.pop() ?? Number.NaN;
      return Math.abs(values.reduce((sum, each) => sum + each, 0) - whole);
    })
    .toBeLessThan(0.005);
  await page.getByRole('button', { name: 'On paper' }).click();
  await page.emulateMedia({ media: 'print' });
  const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
  expect(pdf.match(/\/Type\s*\/Page\b(?!s)/g)).toHaveLength(1);
});

test('a finished game is decided again, scored by worth, and only the first time', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.openDemo();
  await coach.go('Game');
  await page.getByRole('link', { name: 'Box', exact: true }).first().click();
  await page.getByRole('link', { name: 'Review', exact: true }).click();
  await page.getByRole('link', { name: 'Play it again' }).click();
  await page.getByText('Guess the chance first').click();
  await page.getByRole('button', { name: 'Start' }).click();
  const score = page.getByText(/^Score \d+ of 100$/);
  const guess = page.getByRole('button', { name: '70%' });
  for (;;) {
    await guess.or(score).first().waitFor();
    if (await score.isVisible()) break;
    // Nothing of the chance is told before it is guessed, and nothing of the end before it is decided.
    await expect(page.getByText(/Then: /)).toHaveCount(0);
    await guess.click();
    await page.getByRole('button', { name: 'Stay', exact: true }).click();
    await expect(page.getByText(/It needed \d+\+?%\. Then: /)).toBeVisible();
    await page.getByRole('button', { name: 'Next' }).click();
  }
  await expect(page.getByText(/^The coach then: \d+\./)).toBeVisible();
  await expect(page.getByText(/^Guesses: off by/)).toBeVisible();
  await page.reload();
  await expect(page.getByText(/the second time is not scored/)).toBeVisible();
});

test('the staff decides in turn, and a player the same spots on a phone by a link', async ({
  page,
  browser,
}) => {
  const coach = new Coach(page);
  await coach.openOwnDemo();
  await page.goto(page.url().replace(/timing$/, 'drills/sends'));
  await page.getByLabel('At third base').selectOption({ label: '27 Lio Marchetti' });
  await page.getByRole('button', { name: 'Link for Lio Marchetti' }).click();
  const code = await page
    .getByRole('status', { name: 'Drill link' })
    .locator('.pass-letters')
    .innerText();
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const phone = await context.newPage();
  await phone.goto(`/drill#${code}`);
  await phone.getByRole('button', { name: 'Decide a game again' }).click();
  await expect(phone.getByText('Your coach has shared no game yet.')).toBeVisible();

  await coach.go('Game');
  await page.getByRole('link', { name: 'Box', exact: true }).first().click();
  await page.getByRole('link', { name: 'Review', exact: true }).click();
  await page.getByRole('link', { name: 'Play it again' }).click();
  await page.getByRole('button', { name: 'Share with players' }).click();
  await expect(page.getByText('Players get it by the link of their drills.')).toBeVisible();
  await page.getByLabel('The staff in turn').fill('Reyes, Okoye');
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByText('Reyes decides.')).toBeVisible();
  await page.getByRole('button', { name: 'Stay', exact: true }).click();
  // What came of it waits for everybody.
  await expect(page.getByText('Okoye decides.')).toBeVisible();
  await expect(page.getByText(/Then: /)).toHaveCount(0);
  await page.getByRole('button', { name: 'Stay', exact: true }).click();
  await expect(page.getByText(/^Reyes: /)).toBeVisible();
  await expect(page.getByText(/^Okoye: /)).toBeVisible();

  await phone.getByRole('button', { name: 'Decide a game again' }).click();
  const score = phone.getByText(/^Score \d+ of 100$/);
  const stay = phone.getByRole('button', { name: 'Stay', exact: true });
  for (;;) {
    await stay.or(score).first().waitFor();
    if (await score.isVisible()) break;
    await stay.click();
    await phone.getByRole('button', { name: 'Next' }).click();
  }
  // Nobody is named on it.
  await expect(phone.getByText(/The coach then: \d+/)).toBeVisible();
  await context.close();
});

test('whom to work with next is said from the season’s own spots', async ({ page }) => {
  const coach = new Coach(page);
  await coach.openDemo();
  await coach.go('Game');
  await page.getByRole('link', { name: 'Growth', exact: true }).click();
  const work = page
    .locator('section')
    .filter({ has: page.getByRole('heading', { name: 'Work on next' }) });
  await expect(work.getByRole('listitem').first()).toContainText(
    /\d+ min: \d+\+?% to \d+\+?% at [\d.]+ a game, \+\.\d{3} in 10 games\./,
  );
});

test('their book has what pitchers did with runners on, by counts', async ({ page }) => {
  const coach = new Coach(page);
  await coach.openDemo();
  await coach.go('Game');
  await page.getByRole('link', { name: 'Book', exact: true }).click();
  const row = page.getByRole('row', { name: /Slide step, runner on first/ }).first();
  await expect(row).toContainText(/\d+ of \d+/);
  await expect(row).toContainText(/\d+\+?% to \d+\+?%/);
});
