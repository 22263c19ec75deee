import type { Page } from '@playwright/test';
import { Coach } from './pages/coach.ts';
import { expect, test } from './pages/test.ts';

// Without network the browser notes each request that did not go.
test.use({ allowed: [/Failed to load resource|net::ERR_|ERR_INTERNET/] });

async function openRoom(page: Page, path: string): Promise<void> {
  await new Coach(page).openDemo();
  await page.goto(page.url().replace(/\/timing$/, `/${path}`));
}

test('the ball in left is held sooner than the same ball in right, and a bobble turns the answer', async ({
  page,
}) => {
  await openRoom(page, 'bases');
  await page.getByRole('checkbox', { name: 'Second base taken' }).click();
  const place = page.getByText(/^Last stop:/);
  /** How far before third (below 0: past it). */
  const stop = async (): Promise<number> => {
    const [, feet, side] =
      /Last stop: ([\d.]+)\sft (before|past)/.exec(await place.innerText()) ?? [];
    return side === 'past' ? -Number(feet) : Number(feet);
  };
  const left = await stop();
  await page.getByLabel('Ball to').selectOption({ label: 'Right' });
  await expect(page.locator('.bases-answer')).toContainText('RF');
  expect(await stop()).toBeLessThan(left);

  await page.getByText('Hard', { exact: true }).click();
  await page.getByText('Bobbled', { exact: true }).click();
  const bobbled = await page.locator('.bases-why').innerText();
  await page.getByText('Clean', { exact: true }).click();
  const clean = await page.locator('.bases-why').innerText();
  const percent = (text: string): number => Number(/(\d+)\+?%/.exec(text)?.[1]);
  expect(percent(bobbled)).toBeGreaterThan(percent(clean));

  // Deeper is safer: the slider tells where it turns.
  const depth = page.getByRole('slider', { name: /fielder at/ });
  await depth.focus();
  await depth.press('Home');
  await expect(page.locator('.bases-call')).toHaveText('Hold');

  // A tap on the field says where the ball went.
  const field = page.getByRole('group', { name: /^The field/ });
  const box = await field.boundingBox();
  if (!box) throw new Error('no field');
  await field.click({ position: { x: box.width * 0.25, y: box.height * 0.35 } });
  await expect(page.getByLabel('Ball to')).toHaveValue(/^(58|70|82)$/);

  // The one behind is spoken to by name.
  await expect(page.getByText(/looks at you too. Say the name/)).toBeVisible();
});

test('own eyes are worth more than a shout, and two outs end the tagging', async ({ page }) => {
  await openRoom(page, 'bases/flies');
  await page.getByRole('checkbox', { name: 'Third base taken' }).click();
  const why = page.locator('.bases-why');
  const safe = async (): Promise<number> => Number(/(\d+)\+?%/.exec(await why.innerText())?.[1]);
  const own = await safe();
  await page.getByText('Coach shouts', { exact: true }).click();
  expect(await safe()).toBeLessThan(own);
  await expect(page.getByText(/True: a shout comes late/)).toBeVisible();
  await page.getByText('2 out', { exact: true }).click();
  await expect(page.getByText('With two outs nobody tags')).toBeVisible();
});

test('the runner on third is thrown at more often the nearer they play', async ({ page }) => {
  await openRoom(page, 'bases/grounders');
  await page.getByRole('checkbox', { name: 'Third base taken' }).click();
  await page.getByRole('checkbox', { name: 'First base taken' }).click();
  await expect(page.getByRole('heading', { name: / on third, ball on the ground/ })).toBeVisible();
  const thrown = async (depth: string): Promise<number> => {
    const row = page.getByRole('row', { name: depth });
    return Number(/(\d+)\+?%/.exec(await row.getByRole('cell').nth(2).innerText())?.[1]);
  };
  expect(await thrown('Infield in')).toBeGreaterThan(await thrown('Infield back'));
  // With a runner behind: how long that one has to live until the run is in.
  await expect(
    page.getByText(/Stay alive for [12]?\.\d\d\ss after it is in the glove/),
  ).toBeVisible();
  // Odds takes it from here, by the two players.
  await page.goto(page.url().replace(/bases\/grounders/, 'innings'));
  await page.getByText('Go on contact, infield in').click();
  await expect(page.getByText(/by the legs of this runner and this batter/).first()).toBeVisible();
  await page.goto(page.url().replace(/innings$/, 'bases/grounders'));
  await page.getByText('2 out', { exact: true }).click();
  await expect(page.getByText('With two outs everybody runs on contact')).toBeVisible();
});

test('turns and their arms print on one page', async ({ page }) => {
  await openRoom(page, 'bases/turns');
  const sheet = page.getByRole('article', { name: 'Turns' });
  await expect(sheet).toContainText('Four feet outside', { timeout: 30_000 });
  await expect(sheet).toContainText(/Costs \.\d\d\ss against the best path/);
  const onePage = async (what: string): Promise<void> => {
    const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
    expect(pdf.match(/\/Type\s*\/Page\b(?!s)/g), `${what} is one page`).toHaveLength(1);
  };
  await onePage('turns');
  await page.getByText('Second to home', { exact: true }).click();
  await expect(sheet.getByRole('heading', { name: /^Second to home/ })).toBeVisible();
  await page.getByRole('link', { name: 'Their arms' }).click();
  const arms = page.getByRole('article', { name: 'Their arms' });
  await expect(arms.getByRole('row')).toHaveCount(4);
  // One of theirs was timed, the others are typical.
  await expect(arms).toContainText(/CF, \d+ mph, from \d+ throws/);
  await expect(arms).toContainText('typical arm');
  await onePage('arms');
});

test('what an outfielder does is tapped without network, pulls the answer, and can be undone', async ({
  page,
  context,
}) => {
  await new Coach(page).openOwnDemo();
  await page.goto(page.url().replace(/\/timing$/, '/bases'));
  await page.getByRole('checkbox', { name: 'Second base taken' }).click();
  const why = page.locator('.bases-why');
  const safe = async (): Promise<number> => Number(/(\d+)\+?%/.exec(await why.innerText())?.[1]);
  const answer = page.locator('.bases-answer');
  await expect(answer).toContainText('Charged 3 of 3');
  const before = await safe();
  await page.getByRole('link', { name: 'Their arms' }).click();
  await context.setOffline(true);
  for (let ball = 0; ball < 8; ball += 1) {
    await page.getByRole('button', { name: 'Waited' }).click();
  }
  await page.getByRole('button', { name: 'Bobbled' }).click();
  await expect(page.getByText(/^Last: bobbled\. .* 16 counted\.$/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo the last one' }).click();
  await expect(page.getByText(/^Last: waited\. .* 15 counted\.$/)).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByText('All saved')).toBeVisible({ timeout: 30_000 });
  await page.reload();
  await expect(page.getByText(/^Last: waited\. .* 15 counted\.$/)).toBeVisible();
  await expect(page.getByRole('article', { name: 'Their arms' })).toContainText('Charged 3 of 11');
  await page.getByRole('link', { name: 'Send or hold' }).click();
  await expect(answer).toContainText('Charged 3 of 11');
  expect(await safe()).toBeGreaterThan(before);
});

test('a send is answered where nothing of the outfielders can be fetched, and their page says so', async ({
  page,
}) => {
  await page.route(/\/(bases|games)\/looks/, (route) => route.abort());
  await openRoom(page, 'bases');
  await expect(page.locator('.bases-call')).toBeVisible({ timeout: 30_000 });
  await expect(page.locator('.bases-answer')).not.toContainText('Charged');
  await page.getByRole('link', { name: 'Their arms' }).click();
  await expect(page.getByText(/not all on this device/)).toBeVisible();
});
