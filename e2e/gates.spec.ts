import { Coach } from './pages/coach.ts';
import { expect, test } from './pages/test.ts';

test('gates are set up, somebody runs, and his splits are times of his', async ({ page }) => {
  const coach = new Coach(page);
  await coach.openDemo();
  await page.getByRole('link', { name: 'Gates' }).click();
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByText('Name the device, up to 40 letters.')).toBeVisible();
  await page.getByRole('button', { name: 'Add simulated gates' }).click();
  const card = page.locator('.gate-device', { hasText: 'This token is shown only once' });
  const token = await card.locator('code').last().innerText();
  await card.getByLabel('Running now').selectOption({ label: '22 Kofi Darragh' });
  const before = await page.locator('.gate-run').count();
  await card.getByRole('button', { name: 'Simulate a run by 22 Kofi Darragh' }).click();
  await expect(page.locator('.gate-run')).toHaveCount(before + 1);
  await expect(page.locator('.gate-run').first()).toContainText('Kofi Darragh');

  // A missed beam, as a device would send it, is said.
  const answer = await page.request.post('/api/gates/events', {
    headers: { Authorization: `Bearer ${token}` },
    data: {
      id: crypto.randomUUID(),
      type: 'run',
      number: '22',
      takenAt: new Date().toISOString(),
      beams: [
        { feet: 0, seconds: 0 },
        { feet: 10, seconds: null },
        { feet: 30, seconds: 1.9 },
        { feet: 88, seconds: 4.2 },
      ],
    },
  });
  expect(answer.status()).toBe(201);
  await expect(page.getByText('The beam at 10 ft missed the runner')).toBeVisible({
    timeout: 15_000,
  });
  await coach.go('Team');
  await page.getByRole('link', { name: 'Kofi Darragh' }).click();
  await expect(page.getByRole('heading', { name: /^Sprint, 30 to 88/ })).toBeVisible();
});
