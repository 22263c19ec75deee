import { Coach } from './pages/coach.ts';
import { expect, test } from './pages/test.ts';

test('a lead is found by dragging and test dives, kept, and used by the steal', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.openDemo();
  await coach.go('Leads');
  const runners = page.getByRole('combobox', { name: 'Runner', exact: true });
  // For a quick runner the best lead all in all is no longer when he is thrown over at often.
  await runners.selectOption({ label: '2 Ines Okafor' });
  const best = page.getByText(/^Best overall: /);
  const bestFeet = async () => Number(/overall: ([\d.]+)/.exec(await best.innerText())?.[1]);
  await page.getByText('Rarely', { exact: true }).click();
  const rarely = await bestFeet();
  await page.getByText('Often', { exact: true }).click();
  await expect.poll(bestFeet).toBeLessThanOrEqual(rarely);

  await page.getByLabel('Facing').selectOption({ label: 'Millrace Otters' });
  await runners.selectOption({ label: '5 Joon Castellane' });
  const runner = page.getByRole('slider', { name: 'Joon Castellane, lead' });
  await expect(runner).toHaveAttribute('aria-valuenow', '11.5');

  // Out along the line by hand, then back by the keys.
  await page.evaluate(() => {
    scrollTo(0, 0);
  });
  const box = await runner.locator('.field-dot').boundingBox();
  if (!box) throw new Error('nobody on the field');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x - 40, box.y - 40, { steps: 5 });
  await page.mouse.up();
  await expect(runner).not.toHaveAttribute('aria-valuenow', '11.5');
  const dragged = Number(await runner.getAttribute('aria-valuenow'));
  expect(dragged).toBeGreaterThan(12);
  await expect(page.getByText('Too far for the risk you chose')).toBeVisible();
  await runner.focus();
  for (let step = 0; step < (dragged - 10) * 2; step += 1) await page.keyboard.press('ArrowLeft');
  await expect(runner).toHaveAttribute('aria-valuenow', '10');
  await expect(page.getByText(/^At 10\sft the runner is out on/)).toBeVisible();

  // Modes and corners say what they cost.
  const longest = page.locator('.lead-first .figure');
  const feet = async (): Promise<number> => Number.parseFloat(await longest.innerText());
  const back = await feet();
  await page.getByText('Front corner').click();
  await expect.poll(feet).toBeLessThan(back);
  await page.getByText('Back corner').click();
  await page.getByText('One-way', { exact: true }).first().click();
  await expect.poll(feet).toBeGreaterThan(back);
  await page.getByText('Two-way', { exact: true }).first().click();

  // He is too slow for going to pay, however far he leads.
  await expect(page.getByText('No lead makes it worth going')).toBeVisible();

  // Elbow over, three times: he gets back quicker than was known.
  for (let dive = 0; dive < 3; dive += 1) {
    await page.getByRole('button', { name: 'Elbow over' }).click();
  }
  await expect(page.getByText('3 test dives')).toBeVisible();
  await expect(coach.saved()).toBeVisible();
  await page.reload();
  await expect(page.getByText(/^10\sft: elbow over, reaches 11\.5\sft/)).toHaveCount(3);
  await page.getByRole('button', { name: 'Undo the dive from 10 ft' }).first().click();
  await expect(page.getByText(/^10\sft: elbow over, reaches 11\.5\sft/)).toHaveCount(2);

  await runner.focus();
  await page.keyboard.press('ArrowRight');
  await page.getByRole('button', { name: 'Keep 12 ft as their lead' }).click();
  await expect(page.getByText('Joon Castellane leads off 12 ft')).toBeVisible();
  await coach.go('Steal');
  await expect(page.getByRole('group', { name: 'Lead' })).toContainText('12 ft');
  await expect(page.getByRole('group', { name: 'Lead' })).toContainText('own');
});

test('off second and third the infielders decide, and a sheet prints on one page', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.openDemo();
  await coach.go('Leads');
  await page.getByRole('link', { name: 'Second', exact: true }).click();
  const longest = page.locator('.lead-first .figure');
  const feet = async (): Promise<number> => Number.parseFloat(await longest.innerText());
  const seen = await feet();
  await page.getByText('Coach calls the break').click();
  await expect.poll(feet).toBeGreaterThan(seen);
  const shortstop = page.getByRole('slider', { name: 'Shortstop' });
  await shortstop.focus();
  for (let step = 0; step < 12; step += 1) await page.keyboard.press('ArrowLeft');
  await expect(page.getByText(/hips are (even|inside)/)).toBeVisible();
  await page.getByText('Two outs', { exact: true }).click();
  await expect(page.getByText('a few steps deeper, for the turn home')).toBeVisible();

  await page.getByRole('link', { name: 'Third', exact: true }).click();
  const third = page.getByRole('slider', { name: 'Third baseman, off the bag' });
  const near = await feet();
  await third.focus();
  for (let step = 0; step < 6; step += 1) await page.keyboard.press('ArrowRight');
  await expect.poll(feet).toBeGreaterThan(near);
  const school = page.getByRole('group', { name: 'School' });
  await school.getByText('Walking').click();
  await expect(page.getByText('right foot').first()).toBeVisible();
  await school.getByText('After the pitch').click();
  await expect(page.getByText('until the ball passes the batter, then walk')).toBeVisible();
  // The three ways side by side: who waits closer risks less.
  const risks = page.getByRole('row', { name: /^(Even with|Walking|After)/ });
  await expect(risks).toHaveCount(3);
  await expect(risks.first()).toContainText('12');

  await page.getByRole('link', { name: 'Lead sheet' }).click();
  const sheet = page.getByRole('article', { name: 'Lead sheet' });
  await expect(sheet.getByRole('row', { name: /Dara Whitlock/ })).toBeVisible();
  const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
  expect(pdf.match(/\/Type\s*\/Page\b(?!s)/g)).toHaveLength(1);
});

test('softball: nobody is offered a lead; the leave-time is what is judged', async ({ page }) => {
  const coach = new Coach(page);
  await coach.makeSeason('fastpitch43');
  await coach.go('Leads');
  await expect(page.getByRole('heading', { level: 1, name: 'Leaving in time' })).toBeVisible();
  await expect(page.getByRole('slider')).toHaveCount(0);
  await expect(page.getByText('typical, not timed')).toBeVisible();
  const early = page.getByRole('row', { name: /Dara Whitlock/ });
  await page.getByLabel('Dara leaves').fill('-0.1');
  await expect(early).toContainText('what if');
  await page.getByRole('button', { name: 'Clear' }).click();
  await expect(early).toContainText('typical, not timed');
  for (const tab of ['leads/second', 'leads/sheet']) {
    await page.goto(page.url().replace(/leads.*$/, tab));
    await expect(page.getByRole('heading', { level: 1, name: 'Leaving in time' })).toBeVisible();
  }
  await page.getByRole('link', { name: 'Time who leaves when' }).click();
  await page.waitForURL(/watch=leave/);
  await coach.go('Steal');
  await expect(page.getByRole('group', { name: 'Lead' })).toHaveCount(0);
  await expect(page.getByText('Rocker', { exact: true })).toBeVisible();
});
