import { STATIONS, type StationName } from '../drills/index.ts';
import { levelOf, type LevelChanges } from '../timing/index.ts';
import type { PersonId } from '../units/index.ts';
import { chanceBefore, shippedTheta, type Attempt } from './attempt.ts';
import { attemptOf } from './kept.ts';
import { raceConstantsOf } from './learned.ts';
import { countedCalls, type LookedAt, type SeasonCall } from './season.ts';
import { missedSigns, rankWork, type Workable } from './work.ts';

/** What a runner can work on, and what a session usually brings: seconds off the jump or the run. Judgement. */
const SESSIONS = {
  jump: { jumpSeconds: -0.03, runSeconds: 0, minutes: 20 },
  start: { jumpSeconds: 0, runSeconds: -0.02, minutes: 20 },
  fullSpeed: { jumpSeconds: 0, runSeconds: -0.01, minutes: 30 },
} as const;
/** Where nobody leads off, the jump is when they leave. */
const LEAVE = { jumpSeconds: -0.02, runSeconds: 0, minutes: 15 };
/** A session halves the signs that are missed. */
const SIGNS = { missedFactor: 0.5, minutes: 10 };

export type Skill = keyof typeof SESSIONS | 'leave' | 'signs';

/** What working on something is worth to the team. In games won. */
export interface WorkOn {
  who: PersonId;
  skill: Skill;
  minutes: number;
  /** How often it came up in a game. */
  usesPerGame: number;
  /** How often it works, before and after a session. */
  chance: number;
  chanceAfter: number;
  /** Over the games asked for. */
  gain: number;
  perHour: number;
}

const DAY_MS = 86_400_000;
/** Less in ten games is not worth a word. Judgement. */
const LEAST_GAIN = 0.002;

/**
 * Whom to work with next and on what, the most of an hour first: what a session usually brings, at the spots that the
 * season brought. Somebody far below the need gains nothing from a little.
 * @param games to look ahead
 */
export function workOn(
  calls: readonly SeasonCall[],
  at: Pick<LookedAt, 'level' | 'isOpen' | 'now'> & { today: LevelChanges },
  games: number,
): WorkOn[] {
  const played = new Set(calls.map(({ gameId }) => gameId)).size;
  if (played === 0) return [];
  const constants = raceConstantsOf(levelOf(at.level, at.today));
  const theta = shippedTheta(constants);
  const spots = countedCalls(calls).flatMap((call) => {
    const { slideStepSavesSeconds } = levelOf(at.level, call.changes ?? {});
    const told = { ...call, outcome: 'safe' as const, throw: null, pitchOut: false };
    const attempt = call.go && attemptOf(told, at.isOpen, {}, slideStepSavesSeconds);
    return attempt && call.go ? [{ call, attempt, go: call.go }] : [];
  });
  const sessions: [Skill, (typeof SESSIONS)['jump' | 'start' | 'fullSpeed'] | typeof LEAVE][] =
    Object.entries(SESSIONS).map(([skill, session]) =>
      skill === 'jump' && !at.isOpen ? ['leave', LEAVE] : [skill as Skill, session],
    );
  const runners = [...new Set(calls.map(({ runner }) => runner))];
  const found = runners.flatMap((who): WorkOn[] => {
    const own = spots.filter(({ call }) => call.runner === who);
    const timed = sessions.flatMap(([skill, { jumpSeconds, runSeconds, minutes }]) =>
      together(
        own.map(({ attempt, go }) => ({
          who,
          skill,
          usesPerGame: 1 / played,
          stay: 0,
          ...go,
          chance: chanceBefore(attempt, theta, constants),
          chanceAfter: chanceBefore(sooner(attempt, jumpSeconds + runSeconds), theta, constants),
          minutes,
          games,
        })),
      ),
    );
    return [...timed, ...signsOf(who, calls, played, at.now, games)];
  });
  return found
    .filter(({ gain }) => gain >= LEAST_GAIN)
    .toSorted((a, b) => b.perHour - a.perHour || (a.who < b.who ? -1 : 1));
}

/** A jump that is sooner is as good as a run that is shorter. */
function sooner(attempt: Attempt, bySeconds: number): Attempt {
  return { ...attempt, run: { ...attempt.run, mean: attempt.run.mean + bySeconds } };
}

/** Spots of one runner and one thing to work on, added up. */
function together(spots: readonly Workable<Skill>[]): WorkOn[] {
  const [first] = spots;
  if (!first) return [];
  const ranked = rankWork(spots);
  const sum = (of: (each: (typeof ranked)[number]) => number): number =>
    ranked.reduce((total, each) => total + of(each), 0);
  return [
    {
      who: first.who as PersonId,
      skill: first.skill,
      minutes: first.minutes,
      usesPerGame: sum((each) => each.usesPerGame),
      chance: sum((each) => each.chance) / ranked.length,
      chanceAfter: sum((each) => each.chanceAfter) / ranked.length,
      gain: sum((each) => each.gain),
      perHour: sum((each) => each.perHour),
    },
  ];
}

/** Steals that were called for a runner: what a sign that is missed gives away. */
function signsOf(
  who: PersonId,
  calls: readonly SeasonCall[],
  played: number,
  now: Date,
  games: number,
): WorkOn[] {
  const given = calls.filter(
    ({ runner, called, signSeen, go }) =>
      runner === who && called !== null && go !== null && signSeen !== 'unknown',
  );
  // One that never missed is no case for a session.
  if (!given.some(({ signSeen }) => signSeen === 'no')) return [];
  const { mean } = missedSigns(
    given.map(({ startsAt, signSeen }) => ({
      daysAgo: Math.max(0, (now.getTime() - Date.parse(startsAt)) / DAY_MS),
      given: 1,
      missed: signSeen === 'no' ? 1 : 0,
    })),
  );
  return together(
    given.map(({ chance, go }) => {
      const { safe, out } = go ?? { safe: 0, out: 0 };
      return {
        who,
        skill: 'signs',
        usesPerGame: 1 / played,
        // Missed, they stay.
        stay: 0,
        safe: Math.max(0, chance * safe + (1 - chance) * out),
        out: 0,
        chance: 1 - mean,
        chanceAfter: 1 - mean * SIGNS.missedFactor,
        minutes: SIGNS.minutes,
        games,
      };
    }),
  );
}

/** Which station a skill is practiced at. */
const STATION_OF: Record<Skill, StationName> = {
  jump: 'starts',
  start: 'starts',
  fullSpeed: 'steals',
  leave: 'leaves',
  signs: 'signs',
};
/** About so many runs are a win. Judgement. */
const RUNS_PER_WIN = 10;
/** What a station is worth to a player in full need is said for so many games. */
export const SEASON_GAMES = 20;

/**
 * How much a player needs each station by what the season's games brought, 0..1, in place of what is usual.
 * @param work of everybody, over a season of games
 */
export function needsOfWork(
  work: readonly WorkOn[],
  who: PersonId,
): Partial<Record<StationName, number>> {
  const needs: Partial<Record<StationName, number>> = {};
  for (const { skill, gain } of work.filter((each) => each.who === who)) {
    const station = STATION_OF[skill];
    const need = (gain * RUNS_PER_WIN) / STATIONS[station].gainRuns;
    needs[station] = Math.min(1, Math.max(needs[station] ?? 0, need));
  }
  return needs;
}
