import { randomUUID } from 'node:crypto';
import { PRESETS, type PresetName } from '@bradyon/core/rules';
import type { Reading } from '@bradyon/core/timing';
import type { Page } from '@playwright/test';

const ADDRESSES = {
  Game: /\/games/,
  Time: /\/timing/,
  Bunt: /\/bunts/,
  Drills: /\/drills/,
  Steal: /\/steals/,
  Leads: /\/leads/,
  Hold: /\/hold/,
  Odds: /\/innings/,
  Team: /\/people/,
};
const PASSWORD = 'ten letters or more';

/** What a coach does with his hands: the steps that stories are made of. */
export class Coach {
  readonly email = `${randomUUID().slice(0, 8)}@example.org`;

  constructor(
    readonly page: Page,
    readonly name = 'Marit Adeyemi',
  ) {}

  async openDemo(): Promise<void> {
    await this.page.goto('/sign-in');
    await this.page.getByRole('button', { name: 'Try the demo' }).click();
    await this.page.waitForURL(/\/timing$/);
  }

  async signUp(): Promise<void> {
    await this.page.goto('/sign-up');
    await this.page.getByLabel('Your name').fill(this.name);
    await this.page.getByLabel('Email').fill(this.email);
    await this.page.getByLabel('Password').fill(PASSWORD);
    await this.page.getByRole('button', { name: 'Create account' }).click();
    await this.page.waitForURL(/\/teams$/);
  }

  async signIn(): Promise<void> {
    await this.page.getByLabel('Email').fill(this.email);
    await this.page.getByLabel('Password').fill(PASSWORD);
    await this.page.getByRole('button', { name: 'Sign in', exact: true }).click();
  }

  async makeTeam(name: string, rules?: string): Promise<void> {
    await this.page.getByLabel('Team name').fill(name);
    if (rules) await this.page.getByLabel('Rules').selectOption({ label: rules });
    await this.page.getByRole('button', { name: 'Create team' }).click();
    await this.page.waitForURL(/\/people$/);
  }

  async addOpponent(name: string): Promise<void> {
    await this.page.getByRole('button', { name: 'Add opponent' }).click();
    const dialog = this.page.getByRole('dialog');
    await dialog.getByLabel('Name').fill(name);
    await dialog.getByRole('button', { name: 'Add' }).click();
    await dialog.waitFor({ state: 'detached' });
  }

  /** @param positions the whole list; those ticked at first are unticked */
  async addPlayer(number: string, name: string, positions: string[]): Promise<void> {
    await this.page.getByRole('button', { name: 'Add player' }).click();
    const dialog = this.page.getByRole('dialog');
    await dialog.getByLabel('Number').fill(number);
    await dialog.getByLabel('Name').fill(name);
    for (const box of await dialog.getByRole('checkbox').all()) {
      const wanted = positions.includes((await box.locator('..').innerText()).trim());
      // The box itself lies under its word.
      if ((await box.isChecked()) !== wanted) await box.dispatchEvent('click');
    }
    await dialog.getByRole('button', { name: 'Add' }).click();
    await dialog.waitFor({ state: 'detached' });
  }

  /** A team with one runner, and one opponent with a pitcher and a catcher, entered on the pages. */
  async enterSeason(): Promise<void> {
    await this.signUp();
    await this.makeTeam('Tern Rock Skuas');
    await this.addPlayer('4', 'Dara Whitlock', ['CF']);
    await this.addOpponent('Millrace Otters');
    await this.addPlayer('12', 'Silas Ruiz-Hale', ['P']);
    await this.addPlayer('9', 'Vance Tolliver', ['C']);
  }

  /** The same without the pages, for stories about something else; ends on the opponent's roster. */
  async makeSeason(preset: PresetName = 'fullSizeSeven'): Promise<void> {
    const post = async (path: string, data: object): Promise<void> => {
      const answer = await this.page.request.post(`/api${path}`, { data });
      if (answer.status() !== 201) throw new Error(`${path}: ${await answer.text()}`);
    };
    const team = randomUUID();
    const opponentId = randomUUID();
    const person = (number: string, name: string, position: string, theirs: boolean) =>
      post(`/teams/${team}/people`, {
        id: randomUUID(),
        opponentId: theirs ? opponentId : null,
        number,
        name,
        throws: 'right',
        bats: 'right',
        positions: [position],
        leadFeet: null,
        retired: false,
      });
    const { email, name } = this;
    await post('/accounts', { id: randomUUID(), name, email, password: PASSWORD });
    await post('/teams', {
      id: team,
      name: 'Tern Rock Skuas',
      level: PRESETS[preset].sport === 'softball' ? 'fpHs' : 'hs',
      ruleset: PRESETS[preset],
      neededChance: 0.8,
      levelChanges: {},
      playChanges: {},
      fieldChanges: { bunts: {}, bases: {} },
      throwLimits: { pitcher: null, catcher: null },
      timeZone: null,
    });
    await post(`/teams/${team}/opponents`, {
      id: opponentId,
      name: 'Millrace Otters',
      retired: false,
    });
    await person('4', 'Dara Whitlock', 'CF', false);
    await person('12', 'Silas Ruiz-Hale', 'P', true);
    await person('9', 'Vance Tolliver', 'C', true);
    await this.page.goto(`/teams/${team}/people?side=${opponentId}`);
    await this.page.getByRole('link', { name: 'Vance Tolliver' }).waitFor();
  }

  /** Another player of the opponent, behind the back of the pages. @returns the id */
  async addTheirs(name: string, positions: string[]): Promise<string> {
    const base = `/api/teams/${this.page.url().split('/')[4] ?? ''}`;
    const { request } = this.page;
    const opponents = (await (await request.get(`${base}/opponents`)).json()) as { id: string }[];
    const id = randomUUID();
    const answer = await request.post(`${base}/people`, {
      data: {
        id,
        opponentId: opponents[0]?.id ?? null,
        number: '31',
        name,
        throws: 'left',
        bats: 'left',
        positions,
        leadFeet: null,
        retired: false,
      },
    });
    if (answer.status() !== 201) throw new Error(await answer.text());
    await this.page.reload();
    await this.page.getByRole('link', { name }).waitFor();
    return id;
  }

  /** Deletes somebody behind the back of the pages. */
  async deletePerson(name: string): Promise<void> {
    const base = `/api/teams/${this.page.url().split('/')[4] ?? ''}`;
    const { request } = this.page;
    const people = (await (await request.get(`${base}/people`)).json()) as {
      id: string;
      name: string;
    }[];
    const id = people.find((person) => person.name === name)?.id ?? '';
    const answer = await request.delete(`${base}/people/${id}`);
    if (answer.status() !== 204) throw new Error(await answer.text());
  }

  /** The demo's baseball team as one of his own: for stories that change what others look at. */
  async openOwnDemo(): Promise<void> {
    // Without a page: one that is open as the demo's coach must not find itself another's.
    const { request } = this.page;
    await request.post('/api/accounts/demo-session');
    const teams = (await (await request.get('/api/teams')).json()) as { id: string }[];
    const demoTeam = teams[0]?.id ?? '';
    const file: unknown = await (await request.get(`/api/teams/${demoTeam}/export`)).json();
    await request.delete('/api/accounts/session');
    const { email, name } = this;
    const data = { id: randomUUID(), name, email, password: PASSWORD };
    await request.post('/api/accounts', { data });
    const id = randomUUID();
    const made = await request.post('/api/teams/import', { data: { id, file } });
    if (made.status() !== 201) throw new Error(await made.text());
    await this.page.goto(`/teams/${id}/timing`);
    await this.watchIsOut();
  }

  async go(work: keyof typeof ADDRESSES): Promise<void> {
    const rooms = this.page.getByRole('navigation', { name: 'Work' });
    const link = rooms.getByRole('link', { name: work });
    const more = rooms.locator('.rail-more > button');
    await link.or(more).filter({ visible: true }).first().waitFor();
    // On a phone not every room has a place in the bar.
    if (await link.isVisible()) await link.click();
    else {
      await more.click();
      await rooms.getByRole('button', { name: work }).last().click();
    }
    // Its page is fetched first; until then the address is the old one.
    await this.page.waitForURL(ADDRESSES[work]);
  }

  /**
   * Taps whose input events carry these time stamps, milliseconds from the first of them: what the
   * finger did, however long the page takes to hear of it.
   */
  async tap(...atMs: number[]): Promise<void> {
    await this.page.locator('.watch-face').evaluate((face, times) => {
      const start = performance.now();
      for (const ms of times) {
        const event = new PointerEvent('pointerdown', {
          bubbles: true,
          isPrimary: true,
          button: 0,
        });
        Object.defineProperty(event, 'timeStamp', { value: start + ms });
        face.dispatchEvent(event);
      }
    }, atMs);
  }

  /** The same with the space bar. */
  async space(...atMs: number[]): Promise<void> {
    await this.page.evaluate((times) => {
      const start = performance.now();
      for (const ms of times) {
        const event = new KeyboardEvent('keydown', { bubbles: true, code: 'Space', key: ' ' });
        Object.defineProperty(event, 'timeStamp', { value: start + ms });
        document.body.dispatchEvent(event);
      }
    }, atMs);
  }

  /** The watch is on the screen, so keys reach it. */
  async watchIsOut(): Promise<void> {
    await this.page.locator('.watch-face').waitFor();
  }

  /** Picks one of a row of words. */
  async choose(text: string): Promise<void> {
    await this.page.locator('.choice-option', { hasText: text }).click();
    // What it chooses comes with the next picture.
    await this.page.locator('.choice-option:has(:checked)', { hasText: text }).waitFor();
  }

  /** What the server has of the open team. */
  readings(): Promise<Reading[]> {
    return this.page.evaluate(async () => {
      const team = location.pathname.split('/')[2] ?? '';
      const response = await fetch(`/api/teams/${team}/readings`);
      const { readings } = (await response.json()) as { readings: Reading[] };
      return readings.sort((a, b) => (a.takenAt < b.takenAt ? 1 : -1));
    });
  }

  /** What this device still has of the team: entries of its stores, and names in local storage. */
  keptHere(): Promise<string[]> {
    return this.page.evaluate(async () => {
      const found = Object.keys(localStorage).filter(
        (name) => name.startsWith('bradyon-') && !['bradyon-theme', 'bradyon-left'].includes(name),
      );
      for (const { name = '' } of await indexedDB.databases()) {
        if (!name.startsWith('bradyon-')) continue;
        const database = await new Promise<IDBDatabase>((resolve, reject) => {
          const asked = indexedDB.open(name);
          asked.onsuccess = () => {
            resolve(asked.result);
          };
          asked.onerror = () => {
            reject(new Error(`${name} does not open`));
          };
        });
        for (const store of database.objectStoreNames) {
          const keys = await new Promise<IDBValidKey[]>((resolve, reject) => {
            const asked = database.transaction(store).objectStore(store).getAllKeys();
            asked.onsuccess = () => {
              resolve(asked.result);
            };
            asked.onerror = () => {
              reject(new Error(`${name} is not read`));
            };
          });
          found.push(...keys.map((key) => `${name} ${JSON.stringify(key)}`));
        }
        database.close();
      }
      return found;
    });
  }

  saved() {
    return this.page.getByText('All saved');
  }
}
