import type { Page } from '@playwright/test';
import { expect } from './test.ts';

/**
 * The row under this handle moved down by the keys. Each key waits until the list has said what the
 * one before it did: a key pressed before the rows are measured moves nothing.
 */
export async function moveDownByKeys(page: Page, handle: string | RegExp, places: number) {
  // Each list of a page has a place to speak; only the one that moves speaks.
  const spoken = page.locator('[id^=DndLiveRegion]').filter({ hasText: /Place \d+ of/ });
  await page.getByRole('button', { name: handle }).focus();
  await page.keyboard.press('Space');
  await spoken.waitFor({ state: 'attached' });
  for (let place = 0; place < places; place += 1) {
    const said = await spoken.innerText();
    await page.keyboard.press('ArrowDown');
    await expect(spoken).not.toHaveText(said);
  }
  await page.keyboard.press('Space');
}
