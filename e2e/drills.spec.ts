import { readFile } from 'node:fs/promises';
import type { Browser, Page } from '@playwright/test';
import { Coach } from './pages/coach.ts';
import { moveDownByKeys } from './pages/sortable.ts';
import { expect, test } from './pages/test.ts';

// Without network the browser notes each request that did not go.
test.use({ allowed: [/Failed to load resource|net::ERR_|ERR_INTERNET/] });

/** A room of Drills. @param own a demo of one's own: what is kept there counts in nobody else's story */
async function openRoom(page: Page, path: string, { own = false } = {}): Promise<void> {
  const coach = new Coach(page);
  await (own ? coach.openOwnDemo() : coach.openDemo());
  await page.goto(page.url().replace(/\/timing$/, `/${path}`));
}

/** A phone of the same coach, on a page of the team. */
async function phoneOf(browser: Browser, page: Page, path: string): Promise<Page> {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
  });
  await context.addCookies(await page.context().cookies());
  const phone = await context.newPage();
  await phone.goto(page.url().replace(/(\/teams\/[^/]+)\/.*/, `$1/${path}`));
  return phone;
}

/** Answers every call of a block, whatever it is. */
async function answerBlock(page: Page): Promise<void> {
  const stage = page.getByRole('dialog', { name: 'Calling' });
  for (;;) {
    await stage.getByText('Set', { exact: true }).waitFor();
    await expect(
      stage.getByText(/^(GO|Relax)$/).or(stage.getByText(/^Next: |^That was the last/)),
    ).toBeVisible();
    const first = stage.getByRole('button', { name: 'First move' });
    // On "Relax" nobody moves; a tap that comes too late for its call is a miss.
    if (await stage.getByText('GO', { exact: true }).isVisible()) {
      await first.click({ timeout: 3000 }).catch(() => undefined);
    }
    await expect(stage.getByText(/^Next: |^That was the last/)).toBeVisible();
    if (await stage.getByText(/^That was the last/).isVisible()) break;
    await stage.getByRole('button', { name: 'Next now' }).click();
  }
  await stage.getByRole('button', { name: 'Done' }).click();
}

test('a practice is planned, two phones take a station each without network, and what they tapped comes home', async ({
  page,
  browser,
}) => {
  test.slow();
  const coach = new Coach(page);
  await coach.openOwnDemo();
  await coach.go('Drills');
  // Somebody is sick; there are two coaches and an hour and a half.
  await page.getByText('33 Bram Oyelaran').click();
  await page.getByRole('button', { name: 'Plan it' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Practice plan' })).toBeVisible();
  const table = page.getByRole('region', { name: 'Timetable' });
  await expect(table.getByRole('row')).toHaveCount(
    (await table.getByText(/^Water$/).count()) + 3 + (await page.getByLabel(/^Station \d/).count()),
  );
  await expect(page.getByRole('alert')).toHaveCount(0);
  await page.getByLabel('Name', { exact: true }).fill('Thursday');
  await page.getByLabel('Name', { exact: true }).blur();
  await expect(page.getByLabel('Group of 33 Bram Oyelaran')).toHaveValue('');

  const starts = await phoneOf(browser, page, 'drills/starts');
  const steals = await phoneOf(browser, page, 'people');
  await starts.getByText('Screen', { exact: true }).click();
  await steals.getByRole('link', { name: 'Lio Marchetti' }).click();
  await steals.getByRole('link', { name: 'Type times' }).click();
  await expect(steals.getByLabel('Seconds')).toBeVisible();
  await steals.getByLabel('Time', { exact: true }).selectOption({ label: 'Steal of second' });
  await expect(steals.getByLabel('Lead, ft')).toBeVisible();
  await expect(steals.getByText('All saved')).toBeVisible();
  for (const phone of [starts, steals]) await phone.context().setOffline(true);

  // Four calls at one, three steals at the other.
  const less = starts.getByRole('button', { name: 'Calls each: less' });
  await less.click();
  await less.click();
  await starts.getByRole('button', { name: 'Start calling' }).click();
  await answerBlock(starts);
  await expect(starts.getByText('All saved')).toHaveCount(0);
  await steals.getByLabel('Lead, ft').fill('12');
  for (const text of ['341', '344', '339']) {
    await steals.getByLabel('Seconds').fill(text);
    await steals.getByLabel('Seconds').press('Enter');
    await expect(steals.getByLabel('Seconds')).toHaveValue('');
  }
  for (const phone of [starts, steals]) {
    await phone.context().setOffline(false);
    await expect(phone.getByText('All saved')).toBeVisible({ timeout: 60_000 });
  }

  // At the coach's desk: the starts are the runner's, and the board can tell now.
  await page.getByRole('link', { name: 'Starts', exact: true }).click();
  await expect(page.getByText(/good of 4/)).toBeVisible();
  await page.goto(page.url().replace(/drills.*/, 'steals/board'));
  const row = page.getByRole('row', { name: /Lio Marchetti/ });
  await expect(row).toContainText(/\d+\+?%/);
  await page.goto(page.url().replace('steals/board', 'drills'));
  await expect(page.getByRole('link', { name: /^Thursday/ })).toBeVisible();
  await starts.context().close();
  await steals.context().close();
});

test('a plan is changed at will, says what cannot be, runs by the clock, and leaves as paper and files', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.openOwnDemo();
  await coach.go('Drills');
  await page.getByRole('link', { name: /^Running day/ }).click();
  // One place twice at once: it says so, and in which groups.
  await page.getByLabel('Station 2').selectOption({ label: 'Leave in time' });
  await expect(page.getByRole('alert')).toContainText('need the same place');
  await page.getByLabel('Station 2').selectOption({ label: 'Tag-ups' });
  await expect(page.getByRole('alert')).toHaveCount(0);
  await page.getByLabel('Your own station').fill('Bucket throws');
  await page.getByRole('button', { name: 'Add yours' }).click();
  await expect(page.getByRole('cell', { name: 'Bucket throws' }).first()).toBeVisible();
  const minutes = async () =>
    Number(/Timetable, (\d+)/.exec(await page.getByText(/^Timetable, /).innerText())?.[1]);
  const before = await minutes();
  const kept = page.waitForResponse((answer) => answer.request().method() === 'PUT');
  await page.getByRole('button', { name: 'A station: more' }).click();
  await expect.poll(minutes).toBeGreaterThan(before);
  const after = await minutes();
  expect((await kept).status()).toBe(200);
  // What is kept is what is shown.
  await page.reload();
  await expect(page.getByRole('cell', { name: 'Bucket throws' }).first()).toBeVisible();
  await expect.poll(minutes).toBe(after);

  const fileOf = async (button: string): Promise<string> => {
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: button }).click(),
    ]);
    return readFile(await file.path(), 'utf8');
  };
  expect(await fileOf('Calendar file')).toContain('SUMMARY:Running day');
  expect(await fileOf('CSV')).toContain('Bucket throws');

  await page.getByRole('link', { name: 'Print' }).click();
  await expect(page.getByRole('article', { name: 'Running day' })).toContainText('Bucket throws');
  await page.emulateMedia({ media: 'print' });
  for (const paper of ['Letter', 'A4'] as const) {
    await page.emulateMedia({ media: 'screen' });
    await coach.choose(paper);
    await page.emulateMedia({ media: 'print' });
    const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
    expect(pdf.match(/\/Type\s*\/Page\b(?!s)/g), `${paper} is one page`).toHaveLength(1);
  }
  await page.emulateMedia({ media: 'screen' });

  await page.goBack();
  await page.getByRole('link', { name: 'Run it' }).click();
  await page.getByRole('button', { name: 'Start the clock' }).click();
  await expect(page.getByText('Warm-up', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Skip ahead' }).click();
  await expect(page.getByText('At the stations')).toBeVisible();
  // A phone that was locked goes on where it was.
  await page.reload();
  await expect(page.getByText('At the stations')).toBeVisible();
  await page.getByRole('button', { name: 'End it here' }).click();
  await expect(page.getByRole('button', { name: 'Start the clock' })).toBeVisible();

  // Deleted, and brought back.
  await page.goBack();
  await page.getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByRole('link', { name: /^Running day/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: /^Running day/ })).toBeVisible();
});

test('two coaches change one practice, one without network: what each did stands, and where both did the same the first', async ({
  page,
  browser,
}) => {
  const coach = new Coach(page);
  await coach.openOwnDemo();
  await coach.go('Drills');
  await page.getByRole('link', { name: /^Running day/ }).click();
  await expect(page.getByLabel('Notes, and what to bring')).toBeVisible();
  const other = await phoneOf(browser, page, page.url().replace(/.*\/(drills\/.*)/, '$1'));
  await expect(other.getByText(/^Timetable.* 3 coaches/)).toBeVisible();
  await page.context().setOffline(true);
  // At the field: the plan is changed all the same, and is there after a look elsewhere.
  await page.getByRole('button', { name: 'Coaches: more' }).click();
  await page.getByLabel('Notes, and what to bring').fill('Gloves');
  await page.getByLabel('Notes, and what to bring').blur();
  await page.getByRole('link', { name: 'Practice', exact: true }).click();
  await page.getByRole('link', { name: /^Running day/ }).click();
  await expect(page.getByText(/^Timetable.* 4 coaches/)).toBeVisible();
  const put = other.waitForResponse((answer) => answer.request().method() === 'PUT');
  await other.getByLabel('Notes, and what to bring').fill('Bring the radar');
  await other.getByLabel('Notes, and what to bring').blur();
  await put;
  await page.context().setOffline(false);
  await expect(page.getByText(/Another coach changed the notes meanwhile/)).toBeVisible({
    timeout: 60_000,
  });
  await expect(page.getByLabel('Notes, and what to bring')).toHaveValue('Bring the radar');
  await expect(page.getByText(/^Timetable.* 4 coaches/)).toBeVisible();
  await other.reload();
  await expect(other.getByText(/^Timetable.* 4 coaches/)).toBeVisible();
  await expect(other.getByLabel('Notes, and what to bring')).toHaveValue('Bring the radar');
  await other.context().close();
});

test('players are moved between groups by the keys, and the team’s own limits hold for the next plan', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.openOwnDemo();
  await coach.go('Drills');
  await page.getByRole('link', { name: /^Running day/ }).click();
  const list = page.locator('.practice-groups');
  const lines = () => list.locator('h3, .practice-player').allInnerTexts();
  await expect(list.getByRole('heading', { name: 'Group B' })).toBeVisible();
  const before = await lines();
  const second = before.indexOf('Group B');
  const last = before[second - 1] ?? '';
  // Past the heading: the last of the first group is the first of the second.
  await moveDownByKeys(page, `Move ${last}`, 1);
  await expect.poll(async () => (await lines())[second - 1]).toBe('Group B');
  expect((await lines())[second]).toBe(last);
  await expect(page.getByLabel(`Group of ${last}`)).toHaveValue('1');

  const sprints = page.getByRole('button', { name: /^Full sprints each.*: less$/ });
  await sprints.click();
  await expect(page.getByText(/Your limits/)).toBeVisible();
  await page.getByRole('link', { name: 'Practice', exact: true }).click();
  await page.getByRole('textbox', { name: 'Starts' }).fill('2031-06-01T17:00');
  await page.getByRole('button', { name: 'Plan it' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Practice plan' })).toBeVisible();
  await expect(page.getByText(/Your limits/)).toBeVisible();
  await page.getByRole('button', { name: 'Back to those of the age' }).click();
  await expect(page.getByText(/Usual for the age/)).toBeVisible();
});

test('a gate’s figure is typed in for each start, and what no beam can be is asked for again', async ({
  page,
}) => {
  await openRoom(page, 'drills/starts');
  await page.getByText('Gate', { exact: true }).click();
  // Nobody who goes back comes through a beam.
  await page.getByLabel('Call', { exact: true }).selectOption({ label: 'Go or back' });
  await expect(page.getByText('Gate', { exact: true })).toHaveCount(0);
  await page.getByLabel('Call', { exact: true }).selectOption({ label: 'Go' });
  await page.getByText('Gate', { exact: true }).click();
  const less = page.getByRole('button', { name: 'Calls each: less' });
  await less.click();
  await less.click();
  await page.getByRole('button', { name: 'Start calling' }).click();
  const stage = page.getByRole('dialog', { name: 'Calling' });
  // The field opens with the call.
  await stage.getByLabel('Seconds on the gate').fill('80');
  await stage.getByRole('button', { name: 'Keep' }).click();
  // 80 is .80 as it is typed everywhere; sixty seconds is nothing that a gate shows.
  await expect(stage.getByText(/^Next: /)).toBeVisible();
  await stage.getByRole('button', { name: 'Next now' }).click();
  await stage.getByLabel('Seconds on the gate').fill('60.0');
  await stage.getByRole('button', { name: 'Keep' }).click();
  await expect(stage.getByText('Enter the seconds on the gate, .1 to 5.')).toBeVisible();
  await stage.getByLabel('Seconds on the gate').fill('.74');
  await stage.getByRole('button', { name: 'Keep' }).click();
  await expect(stage.getByText(/^Next: /)).toBeVisible();
  await stage.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByText(/of 2, /)).toBeVisible();
  await expect(page.getByText(/It is no reaction/)).toBeVisible();
});

test('a squeeze is timed by the foot that lands, with a runner and without', async ({ page }) => {
  await openRoom(page, 'drills/squeeze', { own: true });
  const chooseBunter = async (): Promise<void> => {
    await page.getByLabel('Bunter', { exact: true }).selectOption({ label: '27 Lio Marchetti' });
  };
  await chooseBunter();
  await expect(page.getByText(/No squeezes yet/)).toBeVisible();
  for (const moment of ['Runner breaks', 'Front foot down', 'Bunter shows']) {
    await page.getByRole('button', { name: moment }).click();
  }
  await page.getByRole('button', { name: 'Fair, on the ground' }).click();
  await expect(page.getByText(/^Shown .* (before|after) the foot.*Runner/)).toBeVisible();
  await expect(page.getByText(/of 1$/)).toBeVisible();
  await page.getByText('Bunter only').click();
  // A tap too many is forgotten before anything is kept.
  await page.getByRole('button', { name: 'Bunter shows' }).click();
  await page.getByRole('button', { name: 'Forget this pitch' }).click();
  await page.getByRole('button', { name: 'Front foot down' }).click();
  await page.getByRole('button', { name: 'Bunter shows' }).click();
  await page.getByRole('button', { name: 'Popped up' }).click();
  await expect(page.getByText(/of 2$/)).toBeVisible();
  // As the server has them, not as they were tapped here.
  await page.reload();
  await chooseBunter();
  await expect(page.getByText(/of 2$/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo the last one' }).click();
  await expect(page.getByText(/of 1$/)).toBeVisible();
  await page.reload();
  await chooseBunter();
  await expect(page.getByText(/of 1$/)).toBeVisible();
});

test('with two on, the lead runner is told first, then the other, and the chance is guessed', async ({
  page,
}) => {
  await openRoom(page, 'drills/sends');
  await page.getByLabel('At third base').selectOption({ label: '22 Kofi Darragh' });
  await page.getByText('First and second', { exact: true }).click();
  await page.getByText('Guess the chance too').click();
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByText(/first and second, single to/)).toBeVisible();
  const told = page.locator('.sends-told');
  const guess = page.getByRole('button', { name: '70%' });
  await page.getByRole('button', { name: 'Send', exact: true }).click();
  // In time or too late: one of them is asked next.
  await page.getByRole('button', { name: 'Take third' }).or(guess).or(told).first().waitFor();
  const third = page.getByRole('button', { name: 'Take third' });
  if (await third.isVisible()) await third.click({ timeout: 3000 }).catch(() => undefined);
  await guess.or(told).first().waitFor();
  if (await guess.isVisible()) {
    await guess.click();
    await expect(told).toContainText('You said 70%');
    await expect(told).toContainText('Runner from first');
    await expect(page.getByText(/^Guesses of the chance/)).toBeVisible();
    await expect(page.getByText(/^Runner from first told right \d of 1/)).toBeVisible();
  }
  await expect(told).toContainText(/safe, needs \d+%/);
});

test('a pitcher is read, cut off sooner or later, and the answers are the runner’s', async ({
  page,
}) => {
  await openRoom(page, 'drills/reads');
  await page.getByLabel('Reading').selectOption({ label: '27 Lio Marchetti' });
  await expect(page.getByText(/No reads of this yet/)).toBeVisible();
  await page.getByRole('button', { name: 'Start' }).click();
  for (let read = 1; read <= 3; read += 1) {
    await page.getByText('Which was it?').waitFor();
    await page.getByRole('button', { name: 'Go', exact: true }).click();
    await expect(page.getByText(/^(Right|Wrong)\. It (went home|came over)/)).toBeVisible();
    await expect(page.getByText(new RegExp(`of ${String(read)} right`))).toBeVisible();
  }
  await page.getByRole('button', { name: 'Stop' }).click();
  await page.reload();
  await page.getByLabel('Reading').selectOption({ label: '27 Lio Marchetti' });
  await expect(page.getByText(/of 3 right/)).toBeVisible();
  // Another cue is another matter.
  await page.getByLabel('What is read').selectOption({ label: 'Ball in the dirt' });
  await expect(page.getByText(/No reads of this yet/)).toBeVisible();
});

test('a play is decided before the last stop, and judged by what could be seen', async ({
  page,
}) => {
  await openRoom(page, 'drills/sends');
  await page.getByLabel('At third base').selectOption({ label: '22 Kofi Darragh' });
  await page.getByRole('button', { name: 'Start' }).click();
  const told = page.locator('.sends-told');
  for (let play = 1; play <= 10; play += 1) {
    await expect(page.getByText(`${String(play)} of 10.`)).toBeVisible();
    // In time or too late: it is answered either way, and says what was right.
    if (play === 1) await page.getByRole('button', { name: 'Hold' }).click();
    await expect(told).toContainText(/Send|Hold|Too close to matter/);
    await expect(told).toContainText(/\d+\+?% safe, needs \d+%/);
    await page.getByRole('button', { name: 'Next' }).click();
  }
  await expect(page.getByText(/^Score/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('row', { name: /out/i }).first()).toBeVisible();
});

test('a foot that leaves with the ball and one that lands on it are tapped, judged and undone', async ({
  page,
}) => {
  await openRoom(page, 'drills/leaves');
  await page.getByLabel('Runner').selectOption({ label: '27 Lio Marchetti' });
  await page.getByText('Land the secondary').click();
  for (let landing = 0; landing < 2; landing += 1) {
    await page.getByRole('button', { name: 'Right foot' }).click();
    await page.getByRole('button', { name: 'Mitt' }).click();
    await expect(page.getByText(/On the ball: |Early by |Late by |too far apart/)).toBeVisible();
  }
  await page.getByText('Leave the bag').click();
  const stage = page.locator('.leaves-stage');
  await stage.click();
  await expect(stage).toContainText('Leave');
  // Nobody leaves: it says so, and nothing is kept.
  await expect(stage).toContainText('Nobody left');
  await expect(page.getByText('0 so far.')).toBeVisible();
});

test('a player decides at third base on a phone of their own, by a link, and the coach sees how they lean', async ({
  page,
  browser,
}) => {
  await new Coach(page).openOwnDemo();
  await page.goto(page.url().replace(/timing$/, 'drills/sends'));
  await page.getByLabel('At third base').selectOption({ label: '27 Lio Marchetti' });
  await expect(page.getByText('No plays yet.')).toBeVisible();
  await page.getByRole('button', { name: 'Link for Lio Marchetti' }).click();
  const code = await page
    .getByRole('status', { name: 'Drill link' })
    .locator('.pass-letters')
    .innerText();

  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const phone = await context.newPage();
  await phone.goto(`/drill#${code}`);
  // A pitcher first: the answer is sent as it is given.
  await phone.getByRole('button', { name: 'Read the pitcher instead' }).click();
  await phone.getByLabel('What is read').selectOption({ label: 'Off-speed pitch' });
  await phone.getByRole('button', { name: 'Start' }).click();
  const read = phone.waitForResponse((answer) => answer.url().endsWith('/api/drills/reps'));
  await phone.getByText('Which was it?').waitFor();
  await phone.getByRole('button', { name: 'Go', exact: true }).click();
  expect((await read).status()).toBe(204);
  await phone.getByRole('button', { name: 'Done' }).click();
  await phone.getByRole('button', { name: 'Send or hold' }).click();
  await expect(phone.getByText('1 of 10.')).toBeVisible();
  const sent = phone.waitForResponse((answer) => answer.url().endsWith('/api/drills/reps'));
  await expect(phone.locator('.sends-told')).toContainText(/\d+\+?% safe, needs \d+%/);
  expect((await sent).status()).toBe(204);
  expect(await context.cookies()).toEqual([]);
  await context.close();

  await page.reload();
  await page.getByLabel('At third base').selectOption({ label: '27 Lio Marchetti' });
  await expect(page.getByText('Eight answers show a lean.')).toBeVisible();
  await page.getByRole('link', { name: 'Reads', exact: true }).click();
  await page.getByLabel('Reading').selectOption({ label: '27 Lio Marchetti' });
  await page.getByLabel('What is read').selectOption({ label: 'Off-speed pitch' });
  await expect(page.getByText(/of 1 right/)).toBeVisible();
});
