import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { Coach } from './pages/coach.ts';
import { expect, test } from './pages/test.ts';

const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];

/** Everything by day; at night only what colors can break. */
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

/** Before anybody is signed in. */
const FRONT = ['/sign-in', '/sign-up', '/reset', '/drill'];
/** Of a coach who is signed in, and of no team. */
const OWN = ['/account', '/teams'];
const SCREENS = [
  'games',
  'games/new',
  'games/reminders',
  'timing',
  'timing?watch=innings',
  'timing?watch=runners',
  'timing?watch=typed',
  'timing?watch=outfield',
  'timing/thumb',
  'timing/thumb?mode=together',
  'timing/ear',
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
  'hold',
  'hold/board',
  'hold/second',
  'hold/card',
  'games/season',
  'games/book',
  'games/growth',
  'signs',
  'signs/drills',
  'signs/series',
  'signs/arms',
  'signs/cards',
  'bunts',
  'bunts/squeeze',
  'bunts/hit',
  'bunts/bunters',
  'bunts/card',
  'bases',
  'bases/flies',
  'bases/grounders',
  'bases/turns',
  'bases/arms',
  'drills',
  'drills/starts',
  'drills/reads',
  'drills/leaves',
  'drills/squeeze',
  'drills/sends',
  'drills/progress',
  'field',
  'level',
  'people',
  'people?retired=1',
  'rules',
  'staff',
];
/** Of the game that is being played, and of one that is over. */
const GAME_SCREENS = ['', '/log', '/sheet'];
/** Of a practice: its plan, its sheet, its clock. */
const PRACTICE_SCREENS = ['', '/sheet', '/run'];
/** What only the softball team has. */
const SOFTBALL_SCREENS = [
  'timing?watch=leave',
  'leads',
  'steals',
  'bunts',
  'bases',
  'drills/leaves',
];

// The night's colors are the same on a phone.
const LOOKS = [
  { device: 'tablet', viewport: { width: 1280, height: 800 }, colorScheme: 'light' },
  { device: 'tablet', viewport: { width: 1280, height: 800 }, colorScheme: 'dark' },
  { device: 'phone', viewport: { width: 390, height: 844 }, colorScheme: 'light' },
] as const;

interface DemoTeams {
  baseball: string;
  softball: string;
  person: string;
  /** Baseball's: being played, and over. */
  running: string;
  played: string;
  practice: string;
}

/** The demo's coach is signed in already; which teams there are. */
async function enterDemo(page: Page): Promise<DemoTeams> {
  const [name = '', value = ''] = (process.env['BRADYON_DEMO_COOKIE'] ?? '').split('=');
  await page.context().addCookies([{ name, value, url: process.env['BRADYON_URL'] ?? '' }]);
  const get = async (path: string) =>
    (await (await page.request.get(path)).json()) as { id: string; name: string }[];
  const teams = await get('/api/teams');
  const [baseball = '', softball = ''] = teams.map(({ id }) => id);
  const people = await get(`/api/teams/${baseball}/people`);
  const person = people.find((each) => each.name === 'Dara Whitlock')?.id ?? '';
  const games = (await (await page.request.get(`/api/teams/${baseball}/games`)).json()) as {
    id: string;
    startsAt: string;
    lastSeq: number;
  }[];
  const begun = games.filter(({ startsAt }) => Date.parse(startsAt) < Date.now());
  const [running = '', played = ''] = begun
    .toSorted((a, b) => (a.startsAt < b.startsAt ? 1 : -1))
    .map(({ id }) => id);
  const [practice] = await get(`/api/teams/${baseball}/practices`);
  return { baseball, softball, person, running, played, practice: practice?.id ?? '' };
}

async function expectFits(page: Page, colorScheme: 'light' | 'dark'): Promise<void> {
  await expect(page.getByRole('heading', { level: 1 })).toBeAttached();
  await expect(page.getByText(/^Loading/)).toHaveCount(0);
  await expect(page.locator('[aria-busy="true"]')).toHaveCount(0);
  await expectAccessible(page, colorScheme);
  const overflow = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  );
  expect(overflow, 'it is wider than the screen').toBe(0);
}

for (const { device, viewport, colorScheme } of LOOKS) {
  test.describe(`on a ${device} in ${colorScheme} colors`, () => {
    test.use({ viewport, colorScheme });
    for (const path of FRONT) {
      test(`${path} is accessible and fits`, async ({ page }) => {
        await page.goto(path);
        await expectFits(page, colorScheme);
      });
    }
    const inside: [name: string, address: (teams: DemoTeams) => string][] = [
      ...OWN.map((path): [string, () => string] => [path, () => path]),
      ...SCREENS.map((screen): [string, (teams: DemoTeams) => string] => [
        screen,
        ({ baseball }) => `/teams/${baseball}/${screen}`,
      ]),
      ...SOFTBALL_SCREENS.map((screen): [string, (teams: DemoTeams) => string] => [
        `softball's ${screen}`,
        ({ softball }) => `/teams/${softball}/${screen}`,
      ]),
      ...GAME_SCREENS.map((screen): [string, (teams: DemoTeams) => string] => [
        `a running game${screen}`,
        ({ baseball, running }) => `/teams/${baseball}/games/${running}${screen}`,
      ]),
      ...PRACTICE_SCREENS.map((screen): [string, (teams: DemoTeams) => string] => [
        `a practice${screen}`,
        ({ baseball, practice }) => `/teams/${baseball}/drills/${practice}${screen}`,
      ]),
      ['the box of a game', ({ baseball, played }) => `/teams/${baseball}/games/${played}/box`],
      [
        'a game played again',
        ({ baseball, played }) => `/teams/${baseball}/games/${played}/replay`,
      ],
      [
        'the review of a game',
        ({ baseball, played }) => `/teams/${baseball}/games/${played}/review`,
      ],
      ["a person's times", ({ baseball, person }) => `/teams/${baseball}/timing/${person}`],
    ];
    for (const [name, address] of inside) {
      test(`${name} is accessible and fits`, async ({ page }) => {
        await page.goto(address(await enterDemo(page)));
        await expectFits(page, colorScheme);
      });
    }
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
  const { running } = await enterDemo(page);
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
    `/../games/${running}`,
  ]) {
    await page.goto(base + screen);
    await expect(page.getByRole('heading', { level: 1 })).toBeAttached();
    await expect(page.getByText(/^Loading/)).toHaveCount(0);
    for (const line of await page.locator('.folded-line').all()) await line.click();
    // A page that is still fetching a part of itself hides the rest: only what shows has a height.
    const touched = page
      .locator('main :is(button, select, .game summary, .choice-option, .btn)')
      .filter({ visible: true });
    await expect(touched).not.toHaveCount(0);
    await expect(async () => {
      const low = await touched.evaluateAll((all) =>
        all
          .filter((each) => each.getBoundingClientRect().height < 47.5)
          .map((each) => each.outerHTML.slice(0, 120)),
      );
      // A choice's own border belongs to it: 48 px with it.
      expect(low.filter((html) => !html.includes('choice-option'))).toEqual([]);
    }).toPass();
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
