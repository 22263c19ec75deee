import { Coach } from './pages/coach.ts';
import { moveDownByKeys } from './pages/sortable.ts';
import { expect, test } from './pages/test.ts';

test('a situation says what it is worth and what a steal needs, and Steal asks for that', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.openDemo();
  await coach.go('Odds');
  await expect(page.getByText(/Your lineup against Gannet Point Haddocks/)).toBeVisible();
  const row = (list: string, name: string | RegExp) =>
    page.getByRole('list', { name: list }).getByRole('listitem').filter({ hasText: name });
  const steal = row('How often it needs to work', /^Steal second/);
  const needs = async () => Number.parseInt(await steal.locator('summary .figure').innerText(), 10);
  const early = await needs();
  await expect(steal).toContainText(/usually works 82%/);
  await expect(steal).toContainText(/next batter \d\d%/);

  // One tap says how it comes about, with figures that give the answer again.
  await steal.locator('summary').click();
  const sum = await steal.locator('p').innerText();
  const [, costs, all] = /works (\S+) times in (\S+)\./.exec(sum) ?? [];
  expect(Number(costs) / Number(all)).toBeCloseTo(early / 100, 1);
  // Supposing that it works more often makes going worth more.
  const going = steal.getByText(/^going/);
  const before = await going.innerText();
  await steal.getByRole('button', { name: /works: more$/ }).click();
  await expect(going).not.toHaveText(before);
  await expect(going).toHaveText(/^going (wins|costs) \d/);

  // Late and close the out weighs less than the run.
  const innings = page.getByRole('button', { name: 'Inning: more' });
  await innings.click();
  await page.getByText('Bottom', { exact: true }).click();
  await expect.poll(needs).toBeLessThan(early - 5);
  const late = String(await needs());

  // Bases by hand and by key; what cannot be is said at its field.
  await page.getByRole('checkbox', { name: 'First base taken' }).focus();
  await page.keyboard.press('Space');
  await page.getByRole('checkbox', { name: 'Third base taken' }).click();
  await expect(row('How often it needs to work', 'Steal home')).toBeVisible();
  await expect(row('At the plate', 'Squeeze')).toBeVisible();
  await expect(row('At the plate', 'Go on contact, infield in')).toBeVisible();
  await expect(steal).toHaveCount(0);
  await page.getByRole('button', { name: 'Our lead: more' }).click();
  await expect(page.getByRole('alert')).toContainText('The home team has won');
  await page.getByRole('button', { name: 'Our lead: less' }).click();
  await expect(page.getByRole('alert')).toHaveCount(0);

  // While they bat it is what we in the field may do.
  await page.getByText('They bat', { exact: true }).click();
  await expect(row('At the plate', 'Infield in')).toBeVisible();
  await expect(row('At the plate', 'Walk their batter')).toContainText('costs');
  await page.getByText('We bat', { exact: true }).click();

  // The maps, with where it stands marked; which one is in the address.
  const here = page.locator('td[aria-current]');
  await expect(here).toHaveCount(1);
  await page.getByLabel('Map').selectOption({ label: 'Needed: steal second' });
  await page.getByText('Inning and lead', { exact: true }).click();
  await expect(page.getByRole('row', { name: /^Inning 7/ })).toContainText(late);
  await expect(page).toHaveURL(/map=stealSecond/);

  // Kept over a reload, and known to Steal.
  await page.getByRole('checkbox', { name: 'Third base taken' }).click();
  await page.reload();
  await expect(page.getByText(/^Nobody on, nobody out, bottom 7, tied/).first()).toBeVisible();
  await expect(page.getByLabel('Map')).toHaveValue('stealSecond');
  await coach.go('Steal');
  await expect(page.getByText(/Needs 80%/)).toBeVisible();
  await page.getByText('Situation', { exact: true }).click();
  await expect(page.getByText(new RegExp(`Needs ${late}%`))).toBeVisible();
  await page.getByRole('link', { name: 'Board' }).click();
  await expect(page.getByText(new RegExp(`A steal needs ${late}%`))).toBeVisible();
  await page.getByRole('link', { name: 'Why' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'What it is worth' })).toBeVisible();

  // So far behind that nothing hangs on it, it is said so.
  for (let lead = 0; lead < 9; lead += 1) {
    await page.getByRole('button', { name: 'Our lead: less' }).click();
  }
  await page.getByRole('checkbox', { name: 'First base taken' }).click();
  await expect(steal).toContainText('too close to call');
  await coach.go('Steal');
  await expect(page.getByText(/Little is at stake/)).toBeVisible();
});

test('a line-up is moved by hand and by keys, a season pulls a batter, and the runs move', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.openOwnDemo();
  await coach.go('Odds');
  await page.getByRole('link', { name: 'Lineup' }).click();
  const runs = page.locator('.lineup-runs .figure');
  const names = page.locator('.lineup .lineup-name');
  await expect(names).toHaveCount(9);
  const facts = async () => (await page.locator('.lineup-fact strong').allInnerTexts()).join(' ');
  await expect(page.locator('.lineup-own')).toHaveAttribute('aria-busy', 'false');
  const before = await facts();

  // By the keys: the first down two places.
  const first = await names.first().innerText();
  await moveDownByKeys(page, /^Move .*, batting 1$/, 2);
  await expect(names.nth(2)).toHaveText(first, { useInnerText: true });
  await expect.poll(facts).not.toBe(before);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(names.first()).toHaveText(first, { useInnerText: true });
  await expect.poll(facts).toBe(before);

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
  await expect(dialog.getByText(/Enter every plate appearance/)).toBeVisible();
  await expect(dialog.getByLabel('Hits', { exact: true })).toHaveValue('400');
  const now = await runs.innerText();
  await dialog.getByLabel('Hits', { exact: true }).fill('140');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(dialog).toHaveCount(0);
  await expect(names.first()).toContainText(/7\d% from 3\d\d PA, \d+ in games here/);
  await expect.poll(async () => Number(await runs.innerText())).toBeGreaterThan(Number(now));

  // Somebody else comes in for him, and the order is kept over a reload.
  await page
    .getByRole('button', { name: /^Take .* out of the lineup$/ })
    .first()
    .click();
  await expect(names).toHaveCount(8);
  await page.reload();
  await expect(names).toHaveCount(8);
});

test('your best choices follow who is up and the score, and print on one page', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.openDemo();
  await coach.go('Odds');
  await page.getByRole('link', { name: 'Best choices' }).click();
  const card = page.getByRole('article', { name: 'Best choices' });
  await expect(card.getByText(/top of inning 6, Ines Okafor up/)).toBeVisible();
  // Bunts of the season first; then, batter by batter, those on the field.
  await expect(card.getByText(/^Bunts are worked out from each batter/)).toBeVisible();
  await expect(card.locator('.best-card')).toHaveAttribute('aria-busy', 'false');
  // The quick leadoff batter is on base ahead: sent.
  await expect(card.getByText('steal 2nd').first()).toBeVisible();
  // Ahead of the leadoff batter comes the catcher, who is hardly ever safe: only rows with a choice are left.
  await page.getByLabel('Up', { exact: true }).selectOption({ index: 0 });
  await expect(card.getByText(/steal 2nd/)).toHaveCount(0);
  await expect(card.getByText(/Nothing beats swinging away|bunt/).first()).toBeVisible();
  await page.getByText('Batters', { exact: true }).click();
  await expect(card.getByRole('columnheader', { name: 'Fonomalu' })).toBeVisible();
  await page.getByText('Pocket', { exact: true }).click();
  await expect(card.getByRole('columnheader', { name: '#19' })).toBeVisible();
  for (const paper of ['Pocket', 'Letter']) {
    await page.getByText(paper, { exact: true }).click();
    const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
    expect(pdf.match(/\/Type\s*\/Page\b(?!s)/g)).toHaveLength(1);
  }
});

test('a team’s own rates are refused until they add up, and then everything is reckoned with them', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.openOwnDemo();
  await coach.go('Odds');
  await page.getByRole('link', { name: 'Rates' }).click();
  await page.getByLabel('Strikeout').fill('10');
  await expect(page.getByText(/10\.5 to go/)).toBeVisible();
  await page.getByRole('button', { name: 'Save rates' }).click();
  await expect(page.getByRole('alert')).toContainText('They total 89.5%');
  await expect(page.getByLabel('Strikeout')).toHaveValue('10');
  await page.getByLabel('Single').fill('27');
  await page.getByRole('button', { name: 'Save rates' }).click();
  await expect(page.getByText('Rates saved')).toBeVisible();
  const runs = async () => {
    await page.getByRole('link', { name: 'Lineup' }).click();
    return Number(await page.locator('.lineup-runs .figure').innerText());
  };
  await expect.poll(runs).toBeGreaterThan(6);
  await page.reload();
  await page.getByRole('link', { name: 'Rates' }).click();
  await expect(page.getByLabel('Single')).toHaveValue('27');
});

test('seasons come from a file, ours and theirs, and pull the odds', async ({ page }) => {
  const coach = new Coach(page);
  await coach.openOwnDemo();
  await coach.go('Odds');
  await page.getByRole('link', { name: 'Lineup' }).click();
  const theirs = page.getByRole('region', { name: 'Opponent’s lineup' });
  const before = Number(await theirs.locator('.figure').first().innerText());
  await theirs.getByRole('link', { name: 'Import stats' }).click();
  await page.getByLabel('CSV file').setInputFiles({
    name: 'seasons.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      [
        'Opponent,#,AB,H,2B,BB,HBP,K',
        'Gannet Point Haddocks,28,200,120,40,30,2,5',
        'Gannet Point Haddocks,3,200,110,30,30,2,5',
        ',19,150,60,10,12,0,20',
        ',19,150,60,10,12,0,20',
        ',77,150,60,10,12,0,20',
      ].join('\n'),
    ),
  });
  await expect(page.getByText('is in the file twice')).toBeVisible();
  await expect(page.getByText('77 is not on the roster')).toBeVisible();
  await page.getByRole('button', { name: 'Import 3 seasons' }).click();
  await expect(page.getByText(/3 seasons imported/)).toBeVisible();
  await coach.go('Odds');
  await page.getByRole('link', { name: 'Lineup' }).click();
  await expect(page.locator('.lineup-name', { hasText: 'Pita Fonomalu' })).toContainText(
    // What the demo's games say counts with it.
    /\d\d% from 2\d\d PA, \d+ in games here/,
  );
  await expect
    .poll(async () => Number(await theirs.locator('.figure').first().innerText()))
    .toBeGreaterThan(before + 1);
});
