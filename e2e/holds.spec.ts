import { Coach } from './pages/coach.ts';
import { GameDay, stands, typeIn } from './pages/gameDay.ts';
import { expect, test } from './pages/test.ts';

test('a quick runner of theirs: who holds them close, by what, and a pitcher’s rhythm is drilled', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.openDemo();
  await coach.go('Hold');
  await page.getByRole('navigation', { name: 'Hold' }).getByRole('link', { name: 'Board' }).click();
  const row = page.getByRole('row', { name: /4 Dmitri Oyelowo/ });
  await expect(row).toContainText(/\d+\+?%/);
  // On the slower pitcher they go, unless he slides.
  await row
    .getByRole('button', { name: /Slide step/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { level: 1, name: 'Hold' })).toBeVisible();
  const answer = page.getByText(/^They go: \d+\+?% safe\. A slide step makes it \d+\+?%/);
  await expect(answer).toBeVisible();
  await expect(answer).toContainText(/Deliver in 1\.\d\d\ss or quicker\./);
  await expect(page.getByText(/^About 1 in \d+$/)).toBeVisible();
  // A pitch-out is dearer the more balls there are.
  const counts = page.getByRole('table', { name: /^Pays if they go on more than this/ });
  const shareAt = async (balls: number): Promise<number> => {
    const cell = counts
      .getByRole('row')
      .nth(1 + balls)
      .getByRole('cell')
      .first();
    const text = await cell.innerText();
    return text === 'never' ? 100 : Number.parseInt(text, 10);
  };
  expect(await shareAt(3)).toBeGreaterThan(await shareAt(0));
  expect(await shareAt(0)).toBeGreaterThan(0);
  // A quicker battery, and the same runner stays.
  await page.getByLabel('Our pitcher').selectOption({ label: '11 Oskar Lindahl, left' });
  await expect(page.getByText(/^They stay: /)).toBeVisible();

  await page.getByRole('button', { name: 'Rhythm drill' }).click();
  for (let hold = 1; hold <= 4; hold += 1) {
    await page.getByRole('button', { name: 'Set', exact: true }).click();
    await page.getByRole('button', { name: 'First move', exact: true }).click();
    await expect(page.getByText(new RegExp(`^Hold ${String(hold)}: `))).toBeVisible();
  }
  await page.getByRole('button', { name: 'Undo the last one' }).click();
  await expect(page.getByText(/^Hold 3: /)).toBeVisible();
  await page.getByRole('button', { name: 'Back to the times on file' }).click();
  await expect(page.getByText(/holds timed\.$/)).toBeVisible();
});

test('eight holds are drawn, and fifty for the catcher, new each time and on one page', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.openDemo();
  await coach.go('Hold');
  const plan = page.locator('.hold-plan');
  await expect(plan.getByRole('listitem')).toHaveCount(8);
  const before = await plan.innerText();
  await page.getByRole('button', { name: 'Draw again' }).click();
  await expect.poll(() => plan.innerText()).not.toBe(before);
  await page.locator('main').getByRole('link', { name: 'Hold card' }).last().click();
  await expect(page.getByRole('row', { name: /^50 / })).toBeVisible();
  const card = await page.locator('.hold-columns').innerText();
  await page.getByRole('button', { name: 'Draw a new card' }).click();
  await expect.poll(() => page.locator('.hold-columns').innerText()).not.toBe(card);
  const onePage = async (): Promise<void> => {
    await page.emulateMedia({ media: 'print' });
    const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
    expect(pdf.match(/\/Type\s*\/Page\b(?!s)/g)).toHaveLength(1);
    await page.emulateMedia({ media: 'screen' });
  };
  await onePage();
  await page.getByText('Who may run').click();
  await expect(page.getByRole('row', { name: /4 Dmitri Oyelowo/ })).toContainText('%');
  await onePage();
});

test('at second the pick that works is named, by lead, hips and depth', async ({ page }) => {
  const coach = new Coach(page);
  await coach.openDemo();
  await coach.go('Hold');
  await page
    .getByRole('navigation', { name: 'Hold' })
    .getByRole('link', { name: 'Second' })
    .click();
  const more = page.getByRole('button', { name: 'Their lead: more' });
  for (let half = 0; half < 10; half += 1) await more.click();
  const said = page.getByRole('status').filter({ hasText: /out \d+\+?% of the time/ });
  await expect(said).toBeVisible();
  const less = page.getByRole('button', { name: 'Their lead: less' });
  for (let half = 0; half < 20; half += 1) await less.click();
  await expect(page.getByText(/^No pick gets them/)).toBeVisible();
});

test('where nobody leads off: the windup is drilled, the catcher throws behind, and pitches are drawn', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.openDemo();
  const teams = (await (await page.request.get('/api/teams')).json()) as { id: string }[];
  await page.goto(`/teams/${teams[1]?.id ?? ''}/hold`);
  await expect(page.getByText(/^They (go|stay): \d+\+?% safe/)).toBeVisible();
  const rooms = page.getByRole('navigation', { name: 'Hold' });
  await expect(rooms.getByRole('link')).toHaveText(['Hold', 'Board', 'Hold card']);
  await expect(
    page.getByText(/(after|before) the release, early on \d+\+?% of pitches/),
  ).toBeVisible();

  await page.getByRole('button', { name: 'Windup drill' }).click();
  // Tapped in the page: how long a windup lasted must not depend on how busy the machine is.
  const windUp = (ms: number): Promise<void> =>
    page.locator('.hold-tap').evaluate(async (button: HTMLElement, lasts) => {
      button.click();
      await new Promise((done) => setTimeout(done, lasts));
      button.click();
    }, ms);
  await windUp(4200);
  await expect(page.getByText(/^Not counted: over 4\.00\ss\. Tap both again\.$/)).toBeVisible();
  for (let nth = 1; nth <= 4; nth += 1) {
    await windUp(100);
    await expect(page.getByText(new RegExp(`^Windup ${String(nth)}: `))).toBeVisible();
  }
  await expect(page.getByText(/^Even within \d*\.\d\d\ss\. 4 timed\.$/)).toBeVisible();
  await expect(
    page.getByText(/can leave \d*\.\d\d\ss after the release: \d+\+?% safe/),
  ).toBeVisible();

  // Seen far off when the ball is caught, a throw behind pays.
  const looks = page.getByRole('group', { name: /^Off first at the mitt/ });
  const behind = page.getByText(/^(Throw|Not worth it): out \d+\+?% of the time\.$/);
  await expect(behind).toContainText('Not worth it');
  await page.getByLabel('Their runner').selectOption({ index: 1 });
  for (let look = 0; look < 16; look += 1) await looks.getByRole('button').nth(6).click();
  await expect(looks).toContainText('16 seen');
  await expect(behind).toContainText(/^Throw: /);

  const plan = page.locator('.hold-plan');
  await expect(page.getByRole('heading', { name: 'Next eight pitches' })).toBeVisible();
  await expect(plan.getByRole('listitem')).toHaveCount(8);
  await expect(plan).not.toContainText('look');
  await rooms.getByRole('link', { name: 'Hold card' }).click();
  await expect(page.getByRole('columnheader', { name: 'Pause' })).toHaveCount(2);
  await expect(page.getByRole('columnheader', { name: 'Looks' })).toHaveCount(0);
  await page.getByText('Who may run', { exact: true }).click();
  await expect(page.getByRole('columnheader', { name: 'Deliver in' })).toBeVisible();
  await expect(page.getByRole('columnheader', { name: 'Slide step' })).toHaveCount(0);
});

test('leads of theirs are noted at a tap, count in the race, and stand on their page', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.openDemo();
  await coach.go('Hold');
  const answer = page.getByText(/^They (go|stay): \d+\+?% safe/);
  const safe = async (): Promise<number> =>
    Number(/(\d+)\+?% safe/.exec(await answer.innerText())?.[1]);
  const before = await safe();
  const looks = page.getByRole('group', { name: 'Lead off first, 3 Callum Idowu' });
  const farthest = looks.getByRole('button', { name: /^Lead off first: / }).nth(6);
  await farthest.click();
  await expect(looks).toContainText('1 seen');
  await expect.poll(safe).toBeGreaterThan(before);
  await farthest.click();
  await expect(looks).toContainText('2 seen');
  await looks.getByRole('button', { name: /^Undo / }).click();
  await expect(looks).toContainText('1 seen');
  await expect(coach.saved()).toBeVisible();
  await page.reload();
  await expect(looks).toContainText('1 seen');

  // The watch beside the steal that is timed, and the runner's own page.
  const team = page.url().replace(/\/hold.*$/, '');
  await page.goto(`${team}/timing?watch=runners`);
  await page.getByLabel('Team', { exact: true }).selectOption({ label: 'Gannet Point Haddocks' });
  await page
    .getByRole('group', { name: 'Line of runners' })
    .getByRole('button', { name: /Callum/ })
    .click();
  await expect(looks).toContainText('1 seen');
  await farthest.click();
  await expect(looks).toContainText('2 seen');
  await page.goto(`${team}/people`);
  await page.getByRole('button', { name: 'Gannet Point Haddocks' }).click();
  await page.getByRole('link', { name: /Callum Idowu/ }).click();
  await expect(looks).toContainText('2 seen');
  await expect(page.getByRole('group', { name: 'Lead off second, 3 Callum Idowu' })).toBeVisible();
});

test('while they bat the desk says what holds their runner, draws the next hold, and sends it by numbers', async ({
  page,
}) => {
  const coach = new GameDay(page);
  await coach.makeRosters();
  await page.goto(`/teams/${coach.teamId}/signs/series`);
  await page.getByRole('button', { name: 'Make the series' }).click();
  await expect(page.getByRole('heading', { name: 'Numbers' })).toBeVisible();
  await coach.openGame();
  // Three of ours are out, and the first of theirs singles.
  await typeIn(page, coach.gamePath(), 'a/CF a/CF a/CF 1/CF');
  await page.goto(coach.gamePath());
  await stands(page, /Bottom 1/);
  const hold = page.getByRole('region', { name: 'Hold' });
  await expect(hold).toContainText(/hold them as we are|holds them: \d+%|cannot stop them/);
  await expect(hold.getByText(/Next hold/)).toContainText(/\d\.\d\ss, .*look/);
  await expect(hold).toContainText('the umpire decides');
  // How far off they stand is noted here, and the race is theirs from there at once.
  const safe = page.locator('.race-first strong').first();
  const before = await safe.innerText();
  const looks = hold.getByRole('group', { name: /^Lead off first, / });
  await looks
    .getByRole('button', { name: /^Lead off first: / })
    .nth(6)
    .click();
  await expect(looks).toContainText('1 seen');
  await expect(safe).not.toHaveText(before);

  // Held, the numbers show; let go, they are gone.
  const give = hold.getByRole('button', { name: /^Hold: / });
  await give.focus();
  await page.keyboard.down('Enter');
  await expect(hold.locator('.give-shown')).toBeVisible();
  await page.keyboard.up('Enter');
  await expect(hold.locator('.give-shown')).toHaveCount(0);

  // Every pitch draws another one; the same two times running is chance, ten times is not.
  const next = hold.getByText(/Next hold/);
  const seen = new Set<string>();
  for (let nth = 0; nth < 10; nth += 1) {
    seen.add(await next.innerText());
    await hold.getByRole('button', { name: 'Another' }).click();
  }
  expect(seen.size).toBeGreaterThan(1);
  await page.keyboard.press('b');
  await stands(page, /count 1 and 0/);
  await expect(next).toBeVisible();
});
