import { Coach } from './pages/coach.ts';
import { expect, test } from './pages/test.ts';

test('an assistant joins with a code, times, and the owner sees it; the rules stay the owner’s', async ({
  page,
  browser,
}) => {
  const owner = new Coach(page, 'Marit Adeyemi');
  await owner.makeSeason();
  await page.getByRole('link', { name: 'Staff' }).click();
  await page.getByRole('button', { name: 'Make a code' }).click();
  const code = (await page.locator('.staff-code strong').textContent()) ?? '';
  expect(code).toMatch(/^[2-9A-Z]{4}-[2-9A-Z]{4}$/);

  const context = await browser.newContext();
  const assistant = new Coach(await context.newPage(), 'Teo Quispe');
  await assistant.signUp();
  await assistant.page.getByText('Join with a code').click();
  await assistant.page.getByRole('textbox', { name: 'Code' }).fill('AAAA');
  await assistant.page.getByRole('button', { name: 'Join team' }).click();
  await expect(assistant.page.getByText('Enter your code')).toBeVisible();
  await assistant.page.getByRole('textbox', { name: 'Code' }).fill(code.toLowerCase());
  await assistant.page.getByRole('button', { name: 'Join team' }).click();
  await assistant.page.waitForURL(/\/timing$/);
  await assistant.tap(0, 1330, 3400);
  await expect(assistant.saved()).toBeVisible();
  await assistant.go('Team');
  await assistant.page.getByRole('link', { name: 'Rules' }).click();
  await expect(assistant.page.getByText('Only the team owner can change these.')).toBeVisible();
  await expect(assistant.page.getByLabel('Team name')).toBeDisabled();
  await context.close();

  await page.reload();
  await expect(page.getByText('Teo Quispe')).toBeVisible();
  await owner.go('Time');
  await expect(page.getByText('by Teo Quispe').first()).toBeVisible();
});

test.describe('wrong input', () => {
  // The browser itself notes the refusals that the story provokes.
  test.use({ allowed: [/status of (401|409|422)/] });

  test('is told next to the field, and nothing entered is lost', async ({ page }) => {
    const coach = new Coach(page);
    await page.goto('/teams');
    await page.waitForURL(/\/sign-in\?next=/);
    await coach.signIn();
    await expect(page.getByText('Email and password do not match')).toBeVisible();
    await expect(page.getByLabel('Email')).toHaveValue(coach.email);

    await coach.signUp();
    await coach.makeTeam('Tern Rock Skuas');
    await coach.addPlayer('4', 'Dara Whitlock', ['CF']);
    await page.getByRole('button', { name: 'Add player' }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByLabel('Number').fill('4x');
    await dialog.getByLabel('Name').fill('Ines Okafor');
    await dialog.getByRole('button', { name: 'Add' }).click();
    await expect(dialog.getByText('Enter a jersey number of up to three digits')).toBeVisible();
    await expect(dialog.getByLabel('Number')).toBeFocused();
    await dialog.getByLabel('Number').fill('4');
    await dialog.getByRole('button', { name: 'Add' }).click();
    await expect(dialog.getByText('Another player on this team wears this number.')).toBeVisible();
    await expect(dialog.getByLabel('Name')).toHaveValue('Ines Okafor');
    await dialog.getByLabel('Number').fill('2');
    await dialog.getByRole('button', { name: 'Add' }).click();
    await expect(page.getByRole('link', { name: 'Ines Okafor' })).toBeVisible();

    await page.getByRole('link', { name: 'Rules' }).click();
    await page.getByLabel('Innings').fill('seven');
    await page.getByRole('button', { name: 'Save rules' }).click();
    await expect(page.getByText('Enter the innings of a full game, 1 to 12.')).toBeVisible();
    await expect(page.getByLabel('Innings')).toHaveValue('seven');
    await page.getByLabel('Innings').fill('5');
    await page.getByRole('button', { name: 'Save rules' }).click();
    await expect(page.getByText('Rules saved')).toBeVisible();
    await page.reload();
    await expect(page.getByLabel('Innings')).toHaveValue('5');
  });
});

test('a player is retired, is no longer offered, and comes back by undo', async ({ page }) => {
  const coach = new Coach(page);
  await coach.makeSeason();
  await page.getByRole('button', { name: 'Retire Silas Ruiz-Hale' }).click();
  await expect(page.getByRole('link', { name: 'Silas Ruiz-Hale' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Show 1 retired' }).click();
  await expect(page).toHaveURL(/retired=1/);
  await expect(page.getByRole('link', { name: 'Silas Ruiz-Hale' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'Retire Silas Ruiz-Hale' })).toBeVisible();
});

test.describe('signing out while the server is away', () => {
  test.use({ allowed: [/net::ERR_FAILED|status of 401/] });

  test('leaves nothing here, and takes the session back once it can', async ({ page }) => {
    const coach = new Coach(page);
    await coach.openDemo();
    await page.route('**/accounts/session', (route) => route.abort());
    await page.getByRole('button', { name: /^Account of/ }).click();
    await page.getByRole('button', { name: 'Sign out' }).click();
    await page.waitForURL(/\/sign-in/);
    expect(await coach.keptHere()).toEqual([]);
    await page.unroute('**/accounts/session');
    // The cookie was still good: nobody gets in with it.
    await page.goto('/');
    await page.waitForURL(/\/sign-in/);
    const me = await page.request.get('/api/accounts/me');
    expect(me.status()).toBe(401);
  });
});

test.describe('the demo', () => {
  // After signing out, asking who is signed in is refused: that is the point.
  test.use({ allowed: [/status of 401/] });

  test('opens in one click, changes teams, and signing out leaves nothing behind', async ({
    page,
  }) => {
    const coach = new Coach(page);
    await coach.openDemo();
    await page.getByRole('button', { name: /Tern Rock Skuas/ }).click();
    await page.getByRole('button', { name: 'Sandbar Petrels' }).click();
    await expect(page.getByLabel('Pitcher')).toBeVisible();
    await page.reload();
    await expect(page.getByText('Fastpitch softball, 43 ft')).toBeVisible();
    await page.getByRole('button', { name: /^Account of/ }).click();
    await page.getByRole('button', { name: 'Sign out' }).click();
    await page.waitForURL(/\/sign-in/);
    await page.goto('/');
    await page.waitForURL(/\/sign-in/);
    expect(await coach.keptHere()).toEqual([]);
  });
});
