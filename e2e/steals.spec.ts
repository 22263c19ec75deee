import { Coach } from './pages/coach.ts';
import { expect, test } from './pages/test.ts';

test('the board moves with one delivery, opens a race, and the card says what the screen says', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.openDemo();
  await coach.go('Steal');
  await page.getByRole('link', { name: 'Board' }).click();
  await page.getByLabel('Facing').selectOption({ label: 'Gannet Point Haddocks' });
  const board = page.getByRole('table');
  for (const word of ['Go', 'Close', 'Stay', "Can't tell yet"]) {
    await expect(board.getByText(word, { exact: true }).first()).toBeVisible();
  }

  // A pitcher supposed to be quicker: his column moves, the others stay.
  await board.getByRole('button', { name: /Marek Villanueva/ }).click();
  const row = board.getByRole('row', { name: /Ines Okafor/ });
  const before = await row.getByRole('cell').allInnerTexts();
  const quicker = page.getByRole('button', { name: 'If Marek Villanueva takes: less' });
  for (let step = 0; step < 6; step += 1) await quicker.click();
  await expect(board.getByText(/right-hander .*supposed/)).toBeVisible();
  const after = await row.getByRole('cell').allInnerTexts();
  const column = before.findIndex((text, index) => text !== after[index]);
  expect(before.filter((text, index) => text !== after[index])).toHaveLength(1);
  expect(Number(/(\d+)\+?%/.exec(after[column] ?? '')?.[1])).toBeLessThan(
    Number(/(\d+)\+?%/.exec(before[column] ?? '')?.[1]),
  );
  await page.getByRole('button', { name: 'As timed' }).click();
  await expect(row.getByRole('cell').nth(column)).toHaveText(before[column] ?? '', {
    useInnerText: true,
  });

  // Sorted and filtered, kept in the address.
  await page.getByLabel('Sort').selectOption({ label: 'Best chance' });
  await page.getByLabel('Show').selectOption({ label: 'Go' });
  await page.reload();
  await expect(page.getByLabel('Sort')).toHaveValue('chance');
  await expect(board.getByRole('row').nth(1)).toContainText('Dara Whitlock');
  await expect(board.getByRole('row', { name: /Kofi Darragh/ })).toHaveCount(0);

  // By keyboard: down, and open the race.
  await page.getByLabel('Show').selectOption({ label: 'Everybody' });
  await board.locator('[data-at="0-0"]').focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowLeft');
  await expect(board.locator('[data-at="1-0"]')).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: 'Steal second' })).toBeVisible();

  // The same threshold on the screen and on the card, rounded up.
  const words = await page.getByText(/^Go if .* or slower/).innerText();
  const threshold = /is (\d\.\d\d)/.exec(words)?.[1] ?? '';
  const runner = await page
    .getByRole('combobox', { name: 'Runner', exact: true })
    .locator('option:checked')
    .innerText();
  await page.getByRole('link', { name: 'Go card', exact: true }).click();
  const card = page.getByRole('article', { name: 'Go card' });
  await expect(card.getByRole('row', { name: runner }).locator('td.sheet-own')).toHaveText(
    threshold,
  );
  for (const paper of ['Letter', 'A4', 'Pocket']) {
    await page.getByText(paper, { exact: true }).click();
    const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
    expect(pdf.match(/\/Type\s*\/Page\b(?!s)/g), `${paper} is one page`).toHaveLength(1);
    // Nothing is cut off.
    const overflow = await card.evaluate((each) => each.scrollWidth - each.clientWidth);
    expect(overflow).toBeLessThanOrEqual(0);
  }
});

test('what he supposes changes the race: kind, pitch, lead, and another runner on', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.openDemo();
  await coach.go('Steal');
  await page.getByLabel('Facing').selectOption({ label: 'Millrace Otters' });
  await page
    .getByRole('combobox', { name: 'Runner', exact: true })
    .selectOption({ label: '2 Ines Okafor' });
  const chance = async (): Promise<number> =>
    Number(/^(\d+)/.exec(await page.locator('.steal-first').innerText())?.[1]);
  const plain = await chance();

  await page.getByLabel('Pitch expected').selectOption({ label: 'Pitch-out' });
  await expect.poll(chance).toBeLessThan(plain);
  await page.getByLabel('Pitch expected').selectOption({ label: 'Breaking ball' });
  await expect.poll(chance).toBeGreaterThan(plain);
  await page.getByLabel('Pitch expected').selectOption({ label: 'Any pitch' });

  await page.getByRole('button', { name: 'Lead: more' }).click();
  await page.getByRole('button', { name: 'Lead: more' }).click();
  await expect(page.getByText('supposed')).toBeVisible();
  await expect.poll(chance).toBeGreaterThan(plain);

  await page.getByText('Hop lead').click();
  await expect(
    page.getByText(/If they throw over during the hop, the runner is out on/),
  ).toBeVisible();
  await page.getByText('Delayed').click();
  await expect(page.getByText('the pitch does not count here')).toBeVisible();
  await page.getByRole('button', { name: 'Fielder away from the bag: more' }).click();

  await page.getByText('Third', { exact: true }).click();
  await page.getByLabel('Batter').selectOption({ label: 'Left-handed' });
  await page.getByLabel('Also on first').selectOption({ label: '4 Dara Whitlock' });
  await expect(page.getByText(/Double steal: nobody out \d+/)).toBeVisible();
  await page.getByText('Home', { exact: true }).click();
  await expect(page.getByText('Nobody throws. The pitch is the whole race.')).toBeVisible();
});

test('a team’s own numbers for its level change the odds, and nonsense is refused beside the field', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.openDemo();
  await coach.go('Steal');
  await page.getByLabel('Facing').selectOption({ label: 'Millrace Otters' });
  const answer = page.locator('.steal-first');
  const before = await answer.innerText();

  await coach.go('Team');
  await page.getByRole('link', { name: 'Level' }).click();
  await page.getByLabel('Wild throws, 0 to 1').fill('2');
  await page.getByLabel('Tag, throw on line, s').fill('.3');
  await page.getByRole('button', { name: 'Save level' }).click();
  await expect(page.getByText('Wild throws: enter 0 to 0.6.')).toBeVisible();
  await expect(page.getByLabel('Tag, throw on line, s')).toHaveValue('.3');
  await page.getByLabel('Wild throws, 0 to 1').fill('');
  await page.getByRole('button', { name: 'Save level' }).click();
  await expect(page.getByText(/^Level saved/)).toBeVisible();
  await coach.go('Steal');
  await expect(answer).not.toHaveText(before);
});
