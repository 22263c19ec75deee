import { randomUUID } from 'node:crypto';
import type { AddressInfo } from 'node:net';
import type { Account } from '@bradyon/contract/accounts';
import type { FielderLookRecord } from '@bradyon/contract/bases';
import type { BuntTryRecord } from '@bradyon/contract/bunts';
import type { PracticeRecord, RepRecord } from '@bradyon/contract/drills';
import type { SharedReplay } from '@bradyon/contract/review';
import type { EntryDraft, GameDraft } from '@bradyon/contract/games';
import type { BattingRecord } from '@bradyon/contract/innings';
import type { LeadLookRecord, TestDiveRecord } from '@bradyon/contract/leads';
import type { Kept } from '@bradyon/contract/kept';
import type { Problem } from '@bradyon/contract/problem';
import type { SignAnswerRecord } from '@bradyon/contract/signs';
import type { Invite, Team, TeamDraft } from '@bradyon/contract/teams';
import type { ReadingsPage, StepAnswers } from '@bradyon/contract/timing';
import { NO_FIELD_CHANGES } from '@bradyon/core/bases';
import { makeRandom } from '@bradyon/core/maths';
import type { Opponent, Person } from '@bradyon/core/people';
import { PRESETS } from '@bradyon/core/rules';
import { newSystem, SIGN_PLAYS, type SignBook } from '@bradyon/core/signs';
import type { Reading, ReadingDraft } from '@bradyon/core/timing';
import type {
  BuntTryId,
  FielderLookId,
  LeadLookId,
  AccountId,
  GameEntryId,
  GameId,
  OpponentId,
  PersonId,
  PracticeId,
  ReadingId,
  RepId,
  SignAnswerId,
  SignVersionId,
  TeamId,
  TestDiveId,
} from '@bradyon/core/units';
import type { Express } from 'express';
import type pg from 'pg';
import { pino } from 'pino';
import { inject, onTestFinished } from 'vitest';
import { makeApp } from '../src/app.ts';
import { configFrom } from '../src/config.ts';
import { signKeysFrom } from '../src/signKeys.ts';
import { migrationsBeside } from '../src/db/migrate.ts';
import { makePool } from '../src/db/pool.ts';
import { dropDatabase, prepareDatabase } from '../src/db/setup.ts';
import { makeLive } from '../src/features/games/index.ts';

interface Answer<T> {
  status: number;
  body: T;
  problem: Problem;
  headers: Headers;
}

/** A browser of one person: keeps the session cookie. */
export interface Client {
  cookie: string | null;
  call: <T = unknown>(
    method: string,
    path: string,
    body?: unknown,
    headers?: Record<string, string>,
  ) => Promise<Answer<T>>;
}

export interface Api {
  url: string;
  databaseUrl: string;
  ownerUrl: string;
  sessionSecret: string;
  application: Express;
  /** As the application: row-level security applies. */
  app: pg.Pool;
  /** As the owner of the tables: sees everything. */
  owner: pg.Pool;
  client: () => Client;
  /** Somebody who just signed up. */
  coach: (name?: string) => Promise<Client & { account: Account }>;
  /** Ends every connection of the application to its database, as a restart does. @returns how many */
  dropConnections: () => Promise<number>;
  stop: () => Promise<void>;
}

/** The whole application on a database of its own, reached over HTTP. */
export async function startApi(settings: Record<string, string> = {}): Promise<Api> {
  const cluster = inject('cluster');
  const database = `test_${randomUUID().replaceAll('-', '')}`;
  const urls = await prepareDatabase(cluster, database, migrationsBeside(import.meta.url, '..'));
  const app = makePool(urls.app);
  const probe = makePool(urls.app, { max: 1 });
  const owner = makePool(urls.owner);
  const admin = makePool(cluster.adminUrl, { max: 1 });
  const config = configFrom({
    DATABASE_URL: urls.app,
    SESSION_SECRET: randomUUID(),
    WEB_ROOT: import.meta.dirname,
    CHECK_REPLIES: 'true',
    IMPORTER: inject('importer'),
    ...settings,
  });
  const logger = pino({ level: process.env['SERVER_LOG'] ?? 'silent' });
  const live = makeLive(urls.app, logger);
  const application = makeApp({ pool: app, probe, config, logger, live });
  const server = application.listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const url = `http://127.0.0.1:${String((server.address() as AddressInfo).port)}`;

  const client = (): Client => makeClient(url);
  return {
    url,
    databaseUrl: urls.app,
    ownerUrl: urls.owner,
    sessionSecret: config.sessionSecret,
    application,
    app,
    owner,
    client,
    async coach(name = 'Marit') {
      const own = client();
      const account = aCoach(name);
      const { password: _, ...kept } = account;
      await own.call('POST', '/api/accounts', account);
      return Object.assign(own, { account: { ...kept, demo: false } });
    },
    async dropConnections() {
      const { rows } = await admin.query(
        `select pg_terminate_backend(pid) from pg_stat_activity
         where datname = $1 and usename = 'bradyon_app'`,
        [database],
      );
      return rows.length;
    },
    async stop() {
      await live.end();
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
      await Promise.all([app.end(), probe.end(), owner.end(), admin.end()]);
      await dropDatabase(cluster.adminUrl, database);
    },
  };
}

function makeClient(url: string): Client {
  const jar = new Map<string, string>();
  const own: Client = {
    get cookie() {
      return jar.size === 0 ? null : [...jar].map(([name, value]) => `${name}=${value}`).join('; ');
    },
    set cookie(text) {
      jar.clear();
      for (const pair of text?.split('; ') ?? []) {
        const cut = pair.indexOf('=');
        jar.set(pair.slice(0, cut), pair.slice(cut + 1));
      }
    },
    async call<T>(method: string, path: string, body?: unknown, headers = {}) {
      const response = await fetch(url + path, {
        method,
        headers: {
          ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
          ...(own.cookie === null ? {} : { Cookie: own.cookie }),
          ...headers,
        },
        ...(body === undefined
          ? {}
          : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
      });
      for (const set of response.headers.getSetCookie()) {
        const [pair = '', ...attributes] = set.split(';');
        const cut = pair.indexOf('=');
        const isGone = attributes.some((each) => /expires=Thu, 01 Jan 1970/i.test(each));
        if (isGone) jar.delete(pair.slice(0, cut));
        else jar.set(pair.slice(0, cut), pair.slice(cut + 1));
      }
      // A stream has no end: that it is open is all that is asked here.
      const isStream = response.headers.get('content-type')?.startsWith('text/event-stream');
      if (isStream) await response.body?.cancel();
      const text = isStream ? '' : await response.text();
      const parsed: unknown =
        text.startsWith('{') || text.startsWith('[') ? JSON.parse(text) : text;
      return {
        status: response.status,
        body: parsed as T,
        problem: parsed as Problem,
        headers: response.headers,
      };
    },
  };
  return own;
}

export function aCoach(name: string) {
  return {
    id: randomUUID() as AccountId,
    name,
    email: `${name.toLowerCase()}-${randomUUID().slice(0, 8)}@example.org`,
    password: 'ten letters or more',
  };
}

/** What the signs of a demo are sealed by, where nobody opens them. */
export const DEMO_KEYS = signKeysFrom(undefined, 'demo');

/** A system of signs by touches after the belt, in force since last summer. */
export function aSignBook(): Kept<SignBook> {
  const system = newSystem('indicator', SIGN_PLAYS.slice(0, 5), makeRandom(3));
  const at = '2026-06-01T12:00:00.000Z';
  return {
    versions: [{ id: randomUUID() as SignVersionId, at, system, phrase: '' }],
    series: null,
    cards: [],
    card: 0,
    version: 0,
  };
}

export function aBuntTry(parts: Partial<BuntTryRecord> = {}): BuntTryRecord {
  return {
    id: randomUUID() as BuntTryId,
    personId: randomUUID() as PersonId,
    undoes: null,
    result: 'fair',
    aimed: 'third',
    lane: 'thirdMiddle',
    calledPace: null,
    pace: 'soft',
    height: 'middle',
    style: 'square',
    takenAt: '2026-07-01T12:00:00.000Z',
    ...parts,
  };
}

export function aFielderLook(parts: Partial<FielderLookRecord> = {}): FielderLookRecord {
  return {
    id: randomUUID() as FielderLookId,
    personId: randomUUID() as PersonId,
    undoes: null,
    look: 'charges',
    takenAt: '2026-07-01T12:00:00.000Z',
    ...parts,
  };
}

export function aLeadLook(parts: Partial<LeadLookRecord> = {}): LeadLookRecord {
  return {
    id: randomUUID() as LeadLookId,
    personId: randomUUID() as PersonId,
    undoes: null,
    base: 'first',
    moment: 'set',
    feet: 12.5,
    takenAt: '2026-07-01T12:00:00.000Z',
    ...parts,
  };
}

export function aReplay(parts: Partial<SharedReplay> = {}): SharedReplay {
  return {
    title: 'Won 5 to 3',
    spots: [
      {
        inning: 3,
        half: 'top',
        outs: 1,
        base: 'second',
        pitchSeconds: 1.42,
        popSeconds: 2.1,
        runSeconds: 3.45,
        chance: 0.71,
        low: 0.6,
        high: 0.8,
        need: 0.74,
        options: [
          { name: 'stay', worth: 0 },
          { name: 'stealSecond', worth: -0.004 },
        ],
        coach: 'stealSecond',
        outcome: 'out',
        resolved: true,
        clearness: 'close',
      },
    ],
    ...parts,
  };
}

export function aRep(parts: Partial<RepRecord> = {}): RepRecord {
  return {
    id: randomUUID() as RepId,
    personId: randomUUID() as PersonId,
    undoes: null,
    rep: { drill: 'leave', session: 'one', seconds: 0.04 },
    takenAt: '2026-07-01T12:00:00.000Z',
    ...parts,
  };
}

export function aPractice(id: string = randomUUID()): PracticeRecord {
  return {
    id: id as PracticeId,
    name: 'Tuesday',
    startsAt: '2026-07-02T16:00:00.000Z',
    warmUpMinutes: 15,
    closeMinutes: 5,
    changeMinutes: 2,
    slotMinutes: 15,
    water: { minutes: 3, everySlots: 2 },
    coaches: 2,
    order: ['starts', 'reads', 'own'],
    own: [{ id: 'own', name: 'Long toss', notes: '' }],
    groups: [[], []],
    notes: '',
  };
}

export function aSignAnswer(parts: Partial<SignAnswerRecord> = {}): SignAnswerRecord {
  return {
    id: randomUUID() as SignAnswerId,
    personId: randomUUID() as PersonId,
    meant: 'steal',
    answered: 'bunt',
    seconds: 1.8,
    takenAt: '2026-07-01T12:00:00.000Z',
    ...parts,
  };
}

export function aTeam(parts: Partial<TeamDraft> = {}): TeamDraft {
  return {
    id: randomUUID() as TeamId,
    name: 'Tern Rock Skuas',
    level: 'hs',
    ruleset: PRESETS.fullSizeSeven,
    neededChance: 0.8,
    levelChanges: {},
    playChanges: {},
    fieldChanges: NO_FIELD_CHANGES,
    throwLimits: { pitcher: null, catcher: null },
    timeZone: null,
    ...parts,
  };
}

export function anOpponent(parts: Partial<Opponent> = {}): Opponent {
  return { id: randomUUID() as OpponentId, name: 'Millrace Otters', retired: false, ...parts };
}

export function aPerson(parts: Partial<Person> = {}): Person {
  return {
    id: randomUUID() as PersonId,
    opponentId: null,
    number: '4',
    name: 'Dara Whitlock',
    throws: 'right',
    bats: 'left',
    positions: ['CF'],
    leadFeet: null,
    retired: false,
    ...parts,
  };
}

/** A season at bat that fits. */
export function aSeasonAtBat(
  personId: PersonId,
  parts: Partial<BattingRecord> = {},
): BattingRecord {
  return {
    personId,
    plateAppearances: 60,
    hits: 15,
    doubles: 3,
    triples: 1,
    homeRuns: 0,
    walks: 7,
    strikeouts: 12,
    reachedOnError: 2,
    buntTries: 4,
    buntsGood: 3,
    ...parts,
  };
}

/** A test dive of somebody that fits. */
export function aTestDive(personId: PersonId, parts: Partial<TestDiveRecord> = {}): TestDiveRecord {
  return {
    id: randomUUID() as TestDiveId,
    personId,
    leadFeet: 11.5,
    result: 'handOn',
    inchesShort: null,
    takenAt: '2031-05-18T15:00:00.000Z',
    ...parts,
  };
}

export function aGame(parts: Partial<GameDraft> = {}): GameDraft {
  return {
    id: randomUUID() as GameId,
    opponentId: null,
    startsAt: '2031-05-21T18:00:00.000Z',
    weAreHome: true,
    ...parts,
  };
}

export function anEntry(parts: Partial<EntryDraft> = {}): EntryDraft {
  return {
    id: randomUUID() as GameEntryId,
    device: 'Bench tablet',
    place: 'bench',
    at: '2031-05-21T18:10:00.000Z',
    slot: 'T1.1.1',
    kind: 'pitch',
    told: { result: 'ball' },
    ...parts,
  };
}

export function aDelivery(personId: PersonId, parts: Partial<ReadingDraft> = {}): ReadingDraft {
  return {
    id: randomUUID() as ReadingId,
    personId,
    kind: 'delivery',
    seconds: 1.38,
    base: 'second',
    style: 'legLift',
    leadFeet: null,
    start: null,
    fromFeet: null,
    toFeet: null,
    method: 'thumb',
    resolutionSeconds: null,
    movedFrom: null,
    takenAt: '2031-05-01T17:30:00.000Z',
    ...parts,
  };
}

/** Adds readings the way a device does, in one request; each is answered by itself. */
export async function tap(client: Client, base: string, ...drafts: ReadingDraft[]) {
  const steps = drafts.map((draft) => ({ step: 'add', draft }));
  const { body } = await client.call<StepAnswers>('POST', `${base}/readings`, { steps });
  return body.answers;
}

/** Everything timed of a team, page by page. */
export async function readingsIn(client: Client, base: string): Promise<Reading[]> {
  const all: Reading[] = [];
  for (let since = 0, more = true; more;) {
    const path = `${base}/readings?since=${String(since)}`;
    const { body } = await client.call<ReadingsPage>('GET', path);
    all.push(...body.readings);
    ({ next: since, more } = body);
  }
  return all;
}

/** Somebody new on the staff of a team. */
export async function anAssistant(api: Api, coach: Client, base: string, name = 'Teo') {
  const draft = { id: randomUUID(), many: false };
  const { body } = await coach.call<Invite>('POST', `${base}/invites`, draft);
  const assistant = await api.coach(name);
  await assistant.call('POST', '/api/teams/join', { code: body.code });
  return assistant;
}

/** A coach with a team, one opponent and their pitcher. */
export async function aSeason(api: Api) {
  const coach = await api.coach();
  const team = (await coach.call<Team>('POST', '/api/teams', aTeam())).body;
  const base = `/api/teams/${team.id}`;
  const opponent = anOpponent();
  await coach.call('POST', `${base}/opponents`, opponent);
  const pitcher = aPerson({ opponentId: opponent.id, name: 'Silas Ruiz-Hale', positions: ['P'] });
  await coach.call('POST', `${base}/people`, pitcher);
  return { coach, team, base, opponent, pitcher };
}

/** For a single test that wants a database to itself. */
export async function startApiForTest(): Promise<Api> {
  const api = await startApi();
  onTestFinished(() => api.stop());
  return api;
}
