import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { Coach } from './pages/coach.ts';
import { expect, test } from './pages/test.ts';

const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];

/** Everything by day; at night only what colours can break. */
async function expectAccessible(page: Page, colorScheme: 'light' | 'dark'): Promise<void> {
  const axe = new AxeBuilder({ page });
  const { violations } = await (
    colorScheme === 'light' ? axe.withTags(TAGS) : axe.withRules(['color-contrast'])
  ).analyze();
  const found = violations.map(
    ({ id, nodes }) => `${id}: ${nodes[0]?.html ?? ''} ${nodes[0]?.failureSummary ?? ''}`,
  );
  expect(found).toEqual([]);
}

const SCREENS = [
  'timing',
  'timing?watch=innings',
  'timing?watch=runners',
  'timing?watch=outfield',
  'timing/thumb',
  'timing/thumb?mode=together',
  'timing/clip',
  'timing/gates',
  'files',
  'files?in=team',
  'steals',
  'steals/board',
  'steals/board?view=runner',
  'steals/card',
  'innings',
  'innings/lineup',
  'innings/best',
  'innings/rates',
  'files?in=seasons',
  'leads',
  'leads/second',
  'leads/third',
  'leads/sheet',
  'level',
  'people',
  'people?retired=1',
  'rules',
  'staff',
];

// The night's colours are the same on a phone.
const LOOKS = [
  { device: 'tablet', viewport: { width: 1280, height: 800 }, colorScheme: 'light' },
  { device: 'tablet', viewport: { width: 1280, height: 800 }, colorScheme: 'dark' },
  { device: 'phone', viewport: { width: 390, height: 844 }, colorScheme: 'light' },
] as const;

for (const { device, viewport, colorScheme } of LOOKS) {
  test(`every screen on a ${device} in ${colorScheme} colours is accessible and fits`, async ({
    browser,
  }) => {
    test.setTimeout(180_000);
    const context = await browser.newContext({ viewport, colorScheme, reducedMotion: 'reduce' });
    const page = await context.newPage();
    for (const path of ['/sign-in', '/sign-up']) {
      await page.goto(path);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await expectAccessible(page, colorScheme);
    }
    await new Coach(page).openDemo();
    const base = page.url().replace(/timing$/, '');
    await page.goto(`${base}people`);
    await page.getByRole('link', { name: 'Dara Whitlock' }).click();
    const person = page.url().replace(base, '');
    // What only the softball team has.
    const softball = await page.evaluate(async () => {
      const teams = (await (await fetch('/api/teams')).json()) as { id: string }[];
      return teams.at(-1)?.id ?? '';
    });
    for (const screen of [
      ...SCREENS,
      person,
      '../',
      `../${softball}/timing?watch=leave`,
      `../${softball}/leads`,
      `../${softball}/steals`,
    ]) {
      await page.goto(base + screen);
      await expect(page.getByRole('heading', { level: 1 })).toBeAttached();
      await expect(page.getByText(/^Getting/)).toHaveCount(0);
      await expectAccessible(page, colorScheme);
      const overflow = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      expect(overflow, `${screen} is wider than the screen`).toBe(0);
    }
    await context.close();
  });
}

test('everything touched in a game is at least 48 px high', async ({ browser }) => {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
  });
  const page = await context.newPage();
  await new Coach(page).openDemo();
  const base = page.url();
  for (const screen of [
    '',
    '?watch=innings',
    '?watch=runners',
    '?watch=outfield',
    '/../steals',
    '/../steals/board',
    '/../leads',
    '/../innings',
    '/../leads/second',
  ]) {
    await page.goto(base + screen);
    await expect(page.getByRole('heading', { level: 1 })).toBeAttached();
    await expect(page.getByText(/^Getting/)).toHaveCount(0);
    const low = await page
      .locator('main :is(button, select, .choice-option, .btn)')
      .evaluateAll((all) =>
        all
          .filter((each) => each.getBoundingClientRect().height < 47.5)
          .map((each) => each.outerHTML.slice(0, 120)),
      );
    // A choice's own border belongs to it: 48 px with it.
    expect(low.filter((html) => !html.includes('choice-option'))).toEqual([]);
  }
  await context.close();
});

test('the first load of Time brings at most 250 kB of compressed JavaScript', async ({
  browser,
}) => {
  const context = await browser.newContext();
  const page = await context.newPage();
  await new Coach(page).openDemo();
  const address = page.url();
  const state = await context.storageState();
  await context.close();

  const fresh = await browser.newContext({ storageState: state });
  const first = await fresh.newPage();
  await first.goto(address);
  await expect(first.locator('.watch-face')).toBeVisible();
  const bytes = await first.evaluate(() =>
    performance
      .getEntriesByType('resource')
      .filter((entry): entry is PerformanceResourceTiming => entry.name.endsWith('.js'))
      .reduce((sum, { encodedBodySize }) => sum + encodedBodySize, 0),
  );
  expect(bytes).toBeGreaterThan(50_000);
  expect(bytes).toBeLessThanOrEqual(250_000);
  await fresh.close();
});
