import type { FielderLookRecord, GameLook } from '@bradyon/contract/bases';
import { eventOf, type EntriesPage, type Game } from '@bradyon/contract/games';
import type { Season } from '@bradyon/contract/review';
import type { LeadLookRecord } from '@bradyon/contract/leads';
import type { TallyPage } from '@bradyon/contract/tally';
import type { PracticeRecord, RepRecord } from '@bradyon/contract/drills';
import { FIELDER_LOOKS } from '@bradyon/core/bases';
import { clashesOf } from '@bradyon/core/drills';
import {
  attemptsOf,
  calibrationOf,
  COLUMNS,
  hasRun,
  raceConstantsOf,
  refit,
  refusalOf,
  reviewGame,
  toldOf,
} from '@bradyon/core/review';
import type { GameEvent, GameState } from '@bradyon/core/games';
import { pitchesFor } from '@bradyon/core/race';
import type { BattingOrder } from '@bradyon/contract/innings';
import type { StaffThumb } from '@bradyon/contract/thumb';
import type { Team } from '@bradyon/contract/teams';
import { POSITIONS, type Opponent, type Person } from '@bradyon/core/people';
import { compareStarts, conditionsOf, populationsOf, runnerOf } from '@bradyon/core/sprint';
import { makeRandom } from '@bradyon/core/maths';
import {
  contextsOf,
  schoolOf,
  signsNow,
  slipsOf,
  validate,
  type SignBook,
} from '@bradyon/core/signs';
import { judgeSteal, stealKinds, questionOf } from '@bradyon/core/steals';
import {
  calibrationsOf,
  daysSince,
  LEVELS,
  OLD_AFTER_DAYS,
  type Reading,
} from '@bradyon/core/timing';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { loadDemo } from '../src/demo/load.ts';
import { makeVault } from '../src/features/signs/index.ts';
import type { SealedBook } from '../src/features/signs/signs.sql.ts';
import { DEMO_KEYS, readingsIn, startApi, type Api, type Client } from './api.ts';

const TODAY = new Date('2031-05-20T12:00:00Z');
const DAY_MS = 24 * 60 * 60 * 1000;

let api: Api;
let client: Client;
let teams: Team[];
beforeAll(async () => {
  api = await startApi();
  await loadDemo(api.owner, TODAY, DEMO_KEYS);
  client = api.client();
  await client.call('POST', '/api/accounts/demo-session');
  teams = (await client.call<Team[]>('GET', '/api/teams')).body;
});
afterAll(() => api.stop());

async function worldOf(team: Team) {
  const get = async <T>(what: string) =>
    (await client.call<T[]>('GET', `/api/teams/${team.id}/${what}`)).body;
  return {
    opponents: await get<Opponent>('opponents'),
    people: await get<Person>('people'),
    readings: await readingsIn(client, `/api/teams/${team.id}`),
  };
}

/** What somebody's times say together, by whatever thumbs. */
function timesOf(person: Person, readings: Reading[], team: Team) {
  const own = readings.filter(({ personId }) => personId === person.id);
  return populationsOf(person, own, conditionsOf(team), new Map());
}

describe('the demo world', () => {
  it('has a baseball and a fastpitch team with three opponents each', async () => {
    expect(teams.map(({ ruleset }) => ruleset.sport)).toEqual(['baseball', 'softball']);
    for (const team of teams) expect((await worldOf(team)).opponents).toHaveLength(3);
  });

  it('has seen what the opponents’ outfielders do, before games and in them, and how far their runners lead off', async () => {
    for (const { id } of teams) {
      const base = `/api/teams/${id}`;
      const { body: page } = await client.call<TallyPage<FielderLookRecord>>(
        'GET',
        `${base}/bases/looks`,
      );
      expect(new Set(page.rows.map(({ look }) => look)).size).toBe(FIELDER_LOOKS.length);
      const { body: leads } = await client.call<TallyPage<LeadLookRecord>>(
        'GET',
        `${base}/leads/looks`,
      );
      expect(new Set(leads.rows.map(({ personId }) => personId)).size).toBeGreaterThan(5);
      const { body: reps } = await client.call<TallyPage<RepRecord>>('GET', `${base}/drills/reps`);
      expect(new Set(reps.rows.map(({ rep }) => rep.drill))).toEqual(
        new Set(['start', 'read', 'leave', 'send', 'squeeze']),
      );
      const { body: practices } = await client.call<PracticeRecord[]>('GET', `${base}/practices`);
      for (const practice of practices) expect(clashesOf(practice)).toEqual([]);
      expect(practices).toHaveLength(2);
      const { body: inGames } = await client.call<GameLook[]>('GET', `${base}/games/looks`);
      expect(inGames.some(({ look }) => look === 'clean')).toBe(true);
    }
  });

  it('has a season whose chances are a little too high, so that something can be learned', async () => {
    for (const { id, level, ruleset } of teams) {
      const { body: season } = await client.call<Season>('GET', `/api/teams/${id}/games/calls`);
      const games = new Set(season.calls.map(({ gameId }) => gameId));
      expect(games.size).toBeGreaterThan(15);
      const told = toldOf(season.calls);
      expect(told.length).toBeGreaterThanOrEqual(40);
      const found = calibrationOf(told);
      expect(found.safe).toBeLessThan(found.expected);
      // Good and bad calls, and every out stealing has its call.
      const words = new Set(season.calls.map(({ clearness }) => clearness));
      expect(words).toEqual(new Set(['right', 'clear', 'close', 'nothingInIt']));
      const outs = season.calls.filter((call) => hasRun(call) && call.outcome === 'out').length;
      // But for the one that is being played, which has no calls yet.
      expect(outs / season.outsStealing).toBeGreaterThan(0.9);
      const attempts = attemptsOf(season.calls, {
        level,
        isOpen: ruleset.leadRule === 'open',
        now: new Date(),
        readingOf: () => null,
      });
      const learned = refit(attempts, raceConstantsOf(LEVELS[level]));
      expect(learned.z[0] ?? 0, 'jump later').toBeGreaterThan(0);
      expect(refusalOf(learned, outs / season.outsStealing)).toBeNull();
    }
  });

  it('adds up in every game: what calls gave away, what luck did and the rest are the whole game', async () => {
    // By any table: what adds up does so whatever a standing is worth.
    const worth = ({ runs, outs, inning, half }: GameState): number =>
      Math.sin(3 * runs.away - 5 * runs.home + 0.7 * outs + inning + half.length);
    for (const { id } of teams) {
      const { body: games } = await client.call<Game[]>('GET', `/api/teams/${id}/games`);
      let withCalls = 0;
      for (const game of games.filter(({ lastSeq }) => lastSeq > 0)) {
        const events: GameEvent[] = [];
        const pageFrom = async (since: number): Promise<EntriesPage> =>
          (
            await client.call<EntriesPage>(
              'GET',
              `/api/teams/${id}/games/${game.id}/entries?since=${String(since)}`,
            )
          ).body;
        for (let page = await pageFrom(0); ; page = await pageFrom(page.next)) {
          events.push(...page.entries.map(eventOf));
          if (!page.more) break;
        }
        const review = reviewGame(events, worth, game.weAreHome ? 'home' : 'away', 'win');
        const columns = COLUMNS.reduce((sum, name) => sum + review.ledger.totals[name], 0);
        expect(columns).toBeCloseTo(review.end - review.start, 9);
        if (review.calls.length > 0) withCalls += 1;
      }
      expect(withCalls).toBeGreaterThan(15);
    }
  });

  it('has somebody for every position of every opponent, and more', async () => {
    for (const team of teams) {
      const { opponents, people } = await worldOf(team);
      for (const { id } of opponents) {
        const theirs = people.filter(({ opponentId }) => opponentId === id);
        const played = new Set(theirs.flatMap(({ positions }) => positions));
        for (const position of POSITIONS.filter((each) => each !== 'DH'))
          expect(played).toContain(position);
        expect(theirs.length).toBeGreaterThan(9);
      }
    }
  });

  it('was timed this week, one catcher last month, by the level of its players', async () => {
    for (const team of teams) {
      const { readings } = await worldOf(team);
      expect(readings.length).toBeGreaterThan(150);
      for (const { takenAt } of readings) {
        const daysAgo = (TODAY.getTime() - Date.parse(takenAt)) / DAY_MS;
        expect(daysAgo).toBeGreaterThan(0);
        expect(daysAgo).toBeLessThan(42);
      }
      const old = readings.filter(
        ({ takenAt }) => TODAY.getTime() - Date.parse(takenAt) > 7 * DAY_MS,
      );
      expect(new Set(old.map(({ personId }) => personId)).size).toBe(1);
      expect(readings.some(({ asideReason }) => asideReason !== null)).toBe(true);
    }
  });

  it('has runners who should go, who should not, and who cannot be told yet', async () => {
    for (const team of teams) {
      const { people, readings } = await worldOf(team);
      const of = (person: Person) => timesOf(person, readings, team);
      const verdicts = new Set<string>();
      const theirs = people.filter(({ opponentId }) => opponentId !== null);
      const pitchers = theirs.filter(({ positions }) => positions.includes('P'));
      const catchers = theirs.filter(({ positions }) => positions.includes('C'));
      for (const runner of people.filter(({ opponentId }) => opponentId === null)) {
        for (const pitcher of pitchers) {
          for (const catcher of catchers.filter(
            ({ opponentId }) => opponentId === pitcher.opponentId,
          )) {
            const field = conditionsOf(team);
            const populations = of(runner);
            const form = runnerOf(runner, populations, field);
            const steal = judgeSteal(
              questionOf(
                { field, of, runner: () => form },
                { pitcher, catcher, runner },
                {
                  base: 'second',
                  kind: stealKinds(team.ruleset, 'second')[0] ?? 'standing',
                  style: 'legLift',
                  leadFeet: runner.leadFeet,
                  batter: null,
                },
              ),
              { pitches: pitchesFor({ count: null }), needed: team.neededChance },
            );
            verdicts.add(steal.verdict);
            // Where nobody leads off, when he leaves is what is judged.
            if (team.ruleset.sport === 'softball')
              expect(steal.legs.start.leadFeet).toBeLessThan(3);
          }
        }
      }
      expect([...verdicts].toSorted()).toEqual(['close', 'go', 'stay', 'untimed']);
    }
  });

  it('shows what timing is about: both starts, a doubtful tap, an old pop, a drilled thumb', async () => {
    for (const team of teams) {
      const { people, readings } = await worldOf(team);
      const of = (person: Person) => timesOf(person, readings, team);
      const all = people.flatMap((person) => of(person).map((each) => ({ ...each, person })));
      const compared = all.flatMap(
        (each) => compareStarts(each.person, each, conditionsOf(team), new Map()) ?? [],
      );
      expect(compared.some(({ tellable }) => tellable)).toBe(true);
      expect(all.some(({ doubtful }) => doubtful.size > 0)).toBe(true);
      const newest = all.flatMap(({ newestAt }) => newestAt ?? []);
      expect(newest.some((at) => daysSince(at, TODAY.getTime()) > OLD_AFTER_DAYS)).toBe(true);
      const thumbs = await client.call<StaffThumb[]>('GET', `/api/teams/${team.id}/thumbs`);
      expect(thumbs.body.map(({ reps }) => calibrationsOf(reps))).toMatchObject([
        { delivery: { count: 12 }, flight: { count: 12 }, pop: { count: 24 } },
      ]);
    }
  });

  it('has seasons at bat of everybody, and nine who bat', async () => {
    for (const team of teams) {
      const { people } = await worldOf(team);
      const batting = await client.call<unknown[]>('GET', `/api/teams/${team.id}/batting`);
      expect(batting.body).toHaveLength(people.length);
      const order = await client.call<BattingOrder>('GET', `/api/teams/${team.id}/batting-order`);
      const ours = people.filter(({ opponentId }) => opponentId === null).map(({ id }) => id);
      expect(order.body.personIds).toHaveLength(9);
      expect(ours).toEqual(expect.arrayContaining(order.body.personIds));
    }
  });

  it('is loaded once, and never into a database that is in use', async () => {
    expect((await loadDemo(api.owner, TODAY, DEMO_KEYS))?.loaded).toBe(false);
    expect((await client.call<Team[]>('GET', '/api/teams')).body).toEqual(teams);
    const used = await startApi();
    try {
      await used.coach();
      expect(await loadDemo(used.owner, TODAY, DEMO_KEYS)).toBeNull();
    } finally {
      await used.stop();
    }
  });
});

describe('the signs of the demo', () => {
  it('are of two schools, one of them with a squeeze that a missed touch makes a bunt', async () => {
    const vault = makeVault(DEMO_KEYS);
    const { rows } = await api.owner.query<SealedBook>(
      `select team_id as "teamId", key_id as "keyId", wrapped_key as "wrappedKey", sealed
       from sign_books`,
    );
    const systems = rows.map((row) => {
      const book = vault.openBook(row.sealed, row, row.teamId) as SignBook;
      const system = signsNow(book)?.system;
      if (!system) throw new Error('signs were expected');
      expect(validate(system).isSound).toBe(true);
      return system;
    });
    expect(systems.map(schoolOf).toSorted()).toEqual(['count', 'indicator']);
    const weak = systems.flatMap((system) => {
      const [context] = contextsOf(system);
      if (!context) return [];
      return slipsOf(system, context, { samples: 200, random: makeRandom(3) }).filter(
        ({ isCritical, missed }) => isCritical && missed.wrong > 0.2,
      );
    });
    expect(weak.map(({ meaning, missed }) => [meaning, missed.becomes])).toEqual([
      ['squeeze', 'bunt'],
    ]);
  });
});
