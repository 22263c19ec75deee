import { randomUUID } from 'node:crypto';
import { PRESETS } from '@bradyon/core/rules';
import type { BrowserContext, Page } from '@playwright/test';
import { Coach } from './coach.ts';

const POSITIONS = ['P', 'C', '1B', '2B', '3B', 'SS', 'LF', 'CF', 'RF'] as const;
const OURS = ['Adeyemi', 'Brandt', 'Castel', 'Dorn', 'Eze', 'Falk', 'Gupta', 'Holm', 'Ito', 'Juma'];
const THEIRS = ['Kern', 'Lund', 'Moyo', 'Nunez', 'Oduya', 'Pilar', 'Quist', 'Rana', 'Sato', 'Tran'];

/** A coach on game day: nine against nine and a bench, entered behind the pages, and a game to open. */
export class GameDay extends Coach {
  teamId = '';
  gameId = '';

  /** Two rosters of ten: ours wear 1 to 10, theirs 21 to 30, each at a position of their own. */
  async makeRosters(): Promise<void> {
    const { request } = this.page;
    const post = async (path: string, data: object): Promise<void> => {
      const answer = await request.post(`/api${path}`, { data });
      if (answer.status() !== 201) throw new Error(`${path}: ${await answer.text()}`);
    };
    await post('/accounts', {
      id: randomUUID(),
      name: this.name,
      email: this.email,
      password: 'ten letters or more',
    });
    this.teamId = randomUUID();
    await post('/teams', {
      id: this.teamId,
      name: 'Tern Rock Skuas',
      level: 'hs',
      ruleset: PRESETS.fullSizeSeven,
      neededChance: 0.8,
      levelChanges: {},
      playChanges: {},
      fieldChanges: { bunts: {}, bases: {} },
      throwLimits: { pitcher: null, catcher: null },
      timeZone: null,
    });
    const base = `/teams/${this.teamId}`;
    const opponentId = randomUUID();
    await post(`${base}/opponents`, { id: opponentId, name: 'Millrace Otters', retired: false });
    for (const [first, names, of] of [
      [1, OURS, null],
      [21, THEIRS, opponentId],
    ] as const) {
      for (const [index, name] of names.entries()) {
        await post(`${base}/people`, {
          id: randomUUID(),
          opponentId: of,
          number: String(first + index),
          name,
          throws: 'right',
          bats: 'right',
          positions: [POSITIONS[index] ?? 'CF'],
          leadFeet: null,
          retired: false,
        });
      }
    }
  }

  /** On the page for a new game: what stands there is right, and is opened. */
  async openGame(): Promise<void> {
    await this.page.goto(`/teams/${this.teamId}/games/new`);
    await this.page.getByRole('button', { name: 'Open the game' }).click();
    await this.page.waitForURL(/\/games\/[\da-f-]{36}$/);
    this.gameId = this.page.url().split('/').at(-1) ?? '';
    await stands(this.page, /Top 1/);
  }

  gamePath(): string {
    return `/teams/${this.teamId}/games/${this.gameId}`;
  }

  /** Another device of the same coach. */
  async device(context: BrowserContext, place: string): Promise<Page> {
    await context.addCookies(await this.page.context().cookies());
    const page = await context.newPage();
    await page.goto(this.gamePath());
    await takePlace(page, place);
    return page;
  }

  /** What the server has of the game. */
  async entries(): Promise<{ id: string; seq: number; kind: string }[]> {
    const answer = await this.page.request.get(`/api${this.gamePath()}/entries?since=0`);
    return ((await answer.json()) as { entries: { id: string; seq: number; kind: string }[] })
      .entries;
  }
}

/** Where a device says that the game stands, in words. */
export function standing(page: Page) {
  return page.locator('.game-strip > [role=status]');
}

export async function stands(page: Page, words: RegExp): Promise<void> {
  await standing(page).filter({ hasText: words }).waitFor({ state: 'attached' });
}

export async function takePlace(page: Page, place: string): Promise<void> {
  await page.locator('.devices-line').click();
  const dialog = page.getByRole('dialog');
  await dialog.getByText(place, { exact: true }).first().click();
  await dialog.getByRole('button', { name: 'Done' }).click();
  await dialog.waitFor({ state: 'detached' });
}

/** On the log page: what a pencil wrote, typed in. */
export async function typeIn(page: Page, path: string, codes: string): Promise<void> {
  await page.goto(`${path}/log`);
  await page.getByLabel('Type in from paper').fill(codes);
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByText(`${String(codes.split(' ').length)} entries added.`).waitFor();
}
