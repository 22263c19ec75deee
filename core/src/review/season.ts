import { LEVELS, levelOf, type LevelChanges, type LevelName } from '../timing/index.ts';
import type { GameId, OpponentId, PersonId, ReadingId } from '../units/index.ts';
import { chanceBefore, shippedTheta, type Attempt } from './attempt.ts';
import type { ToldAttempt } from './calibration.ts';
import {
  attemptOf,
  calledOption,
  doneOption,
  opportunityOf,
  optionsOn,
  type CallAndResult,
  type KeptCall,
  type KeptResult,
  goOptionOf,
  type LegThen,
  type ReckonedReading,
  type TimedLegName,
} from './kept.ts';
import { raceConstantsOf } from './learned.ts';
import {
  bestOption,
  clearnessOf,
  expectedWorth,
  leftOf,
  STAY,
  Z80,
  type Clearness,
} from './ledger.ts';

/** A call of a season with what it was worth as told, in chance to win against staying. */
export interface SeasonCall {
  id: string;
  gameId: GameId;
  startsAt: string;
  opponentId: OpponentId | null;
  /** Pitches of one question go together. */
  opportunity: string;
  inning: number;
  half: 'top' | 'bottom';
  outs: number;
  runner: PersonId;
  pitcher: PersonId | null;
  catcher: PersonId | null;
  pitcherThrows: 'left' | 'right' | null;
  base: KeptCall['base'];
  kind: string;
  style: string | null;
  chance: number;
  low: number;
  high: number;
  need: number;
  verdict: string;
  shown: boolean;
  called: string | null;
  calledBy: string | null;
  /** What was done: one of the options. */
  done: string;
  resolved: boolean;
  outcome: KeptResult['outcome'];
  signSeen: KeptResult['signSeen'];
  best: string;
  clearness: Clearness;
  /** What the call gave away; 0 where it was the best. */
  cost: number;
  /** What the best option was worth, and how far its inputs leave that open, eight times in ten. */
  offered: number;
  offeredLow: number;
  offeredHigh: number;
  /** What going the way that was looked at is worth when it works and when it does not; null: it was not weighed. */
  go: { safe: number; out: number } | null;
  /** What was done against what was called. */
  execution: number;
  /** What came of it against what was to be expected; 0 for a stay. */
  luck: number;
  luckSd: number;
  legs: Record<'pitch' | 'pop' | 'run' | 'jump', LegThen | null>;
  throw: KeptResult['throw'];
  pitchOut: boolean;
  timed: KeptResult['timed'];
  /** The team's own numbers that were in force; null: from before they were kept. */
  changes: LevelChanges | null;
}

/** A call of a game as a season looks at it; null: nothing is known of what came of it, or nothing was weighed. */
export function seasonCallOf(
  game: Pick<SeasonCall, 'gameId' | 'startsAt' | 'opponentId'>,
  { call, result }: CallAndResult,
): SeasonCall | null {
  if (!result || call.options.length === 0) return null;
  const options = optionsOn(call, 0);
  const called = calledOption(call);
  const done = doneOption(call, result);
  const best = bestOption(options);
  const worthOf = (name: string): number => {
    const option = options.find((each) => each.name === name);
    return option ? expectedWorth(option) : 0;
  };
  const { clearness, cost } = clearnessOf(options, called ?? done, 'win');
  const outcomes = options.find(({ name }) => name === done)?.outcomes ?? [];
  const hasRun = result.done === 'go' && result.resolved && done !== STAY;
  const [works, fails] = outcomes;
  const came = result.outcome === 'out' ? fails : works;
  const mean = worthOf(done);
  const throws = call.pitcherThrows;
  return {
    ...game,
    id: call.id,
    opportunity: `${game.gameId} ${opportunityOf(call)}`,
    inning: call.inning,
    half: call.half === 'bottom' ? 'bottom' : 'top',
    outs: call.outs,
    runner: call.runner,
    pitcher: call.pitcher,
    catcher: call.catcher,
    pitcherThrows: throws === 'left' || throws === 'right' ? throws : null,
    base: call.base,
    kind: call.kind,
    style: call.style,
    chance: call.chance,
    low: call.low,
    high: call.high,
    need: call.need,
    verdict: call.verdict,
    shown: call.shown,
    called,
    calledBy: call.calledBy,
    done,
    resolved: result.resolved,
    outcome: result.outcome,
    signSeen: result.signSeen,
    best: best.name,
    clearness,
    cost: Math.max(0, cost),
    offered: expectedWorth(best),
    offeredLow: best.low ?? expectedWorth(best),
    offeredHigh: best.high ?? expectedWorth(best),
    go: goOf(call),
    execution: mean - worthOf(called ?? done),
    luck: hasRun && came ? came.worth - mean : 0,
    luckSd: hasRun
      ? Math.sqrt(outcomes.reduce((sum, each) => sum + each.chance * (each.worth - mean) ** 2, 0))
      : 0,
    legs: call.legs,
    throw: result.throw,
    pitchOut: result.pitchOut,
    timed: result.timed,
    changes: call.changes,
  };
}

function goOf(call: KeptCall): SeasonCall['go'] {
  const name = goOptionOf(call);
  const ends = call.options.find((option) => option.name === name)?.outcomes;
  const [works, fails] = ends ?? [];
  return works && fails ? { safe: works.value, out: fails.value } : null;
}

/** Attempts that were decided, as their chances were told before. A chance is never quite certain. */
export function toldOf(calls: readonly SeasonCall[]): ToldAttempt[] {
  return calls.filter(hasRun).map(({ chance, outcome, gameId }) => ({
    chance: Math.min(0.999, Math.max(0.001, chance)),
    safe: outcome !== 'out',
    game: gameId,
  }));
}

/** Somebody ran, and it was decided. */
export function hasRun({ done, resolved, outcome }: SeasonCall): boolean {
  return resolved && done !== STAY && outcome !== 'notRun';
}

/** Where and when calls are looked at again. */
export interface LookedAt {
  level: LevelName;
  /** Runners may lead off. */
  isOpen: boolean;
  now: Date;
  /** A reading as it is worth today; null: it is gone or set aside. */
  readingOf: (id: ReadingId) => ReckonedReading | null;
}

const DAY_MS = 86_400_000;
/** An attempt of a year ago counts half. Judgement. */
const HALF_LIFE_DAYS = 365;
const MOST_POPS_TIMED = 0.95;

/** How often pops of throws that arrive were timed, game by game: games in which none was say nothing. */
function popsTimed(calls: readonly SeasonCall[], level: LevelName): Map<GameId, number> {
  const { away } = raceConstantsOf(LEVELS[level]);
  const games = new Map<GameId, { attempts: number; timed: number }>();
  for (const { gameId, timed } of calls.filter(hasRun)) {
    const own = games.get(gameId) ?? { attempts: 0, timed: 0 };
    games.set(gameId, {
      attempts: own.attempts + 1,
      timed: own.timed + (timed.pop === undefined ? 0 : 1),
    });
  }
  return new Map(
    [...games].map(([gameId, { attempts, timed }]) => [
      gameId,
      Math.min(MOST_POPS_TIMED, timed / ((1 - away) * attempts)),
    ]),
  );
}

/** What a slide step was taken to save when a call was told. */
function savesThen(level: LevelName, changes: LevelChanges | null): number {
  return levelOf(level, changes ?? {}).slideStepSavesSeconds;
}

/** Attempts that constants can be learned from, the oldest first. */
export function attemptsOf(calls: readonly SeasonCall[], at: LookedAt): Attempt[] {
  const popTimed = popsTimed(calls, at.level);
  return calls
    .toSorted((a, b) => a.startsAt.localeCompare(b.startsAt))
    .filter(hasRun)
    .flatMap((call): Attempt[] => {
      const timed: Partial<Record<TimedLegName, ReckonedReading>> = {};
      for (const [leg, id] of Object.entries(call.timed) as [TimedLegName, ReadingId][]) {
        const reading = at.readingOf(id);
        if (reading) timed[leg] = reading;
      }
      const attempt = attemptOf(call, at.isOpen, timed, savesThen(at.level, call.changes));
      if (!attempt) return [];
      const days = Math.max(0, (at.now.getTime() - Date.parse(call.startsAt)) / DAY_MS);
      return [
        {
          ...attempt,
          weight: 2 ** (-days / HALF_LIFE_DAYS),
          popTimed: popTimed.get(call.gameId) ?? 0,
        },
      ];
    });
}

/** What of a call its chance rests on. */
type Judgeable = Pick<
  KeptCall,
  'base' | 'kind' | 'style' | 'pitcherThrows' | 'legs' | 'chance' | 'changes'
>;

const logit = (p: number): number => Math.log(p / (1 - p));

/**
 * The chance of a call by today's numbers of the team and the times as they were known then: it is moved by what
 * those numbers move. Never instead of what was told.
 * @returns null: the same numbers were in force, which ones were is not known, or they say nothing of such a call
 */
export function chanceToday(
  call: Judgeable,
  { level, isOpen, today }: { level: LevelName; isOpen: boolean; today: LevelChanges },
): number | null {
  const { changes } = call;
  if (!changes || isSame(changes, today)) return null;
  const attempt = attemptOf(
    { ...call, outcome: 'safe', throw: null, pitchOut: false },
    isOpen,
    {},
    savesThen(level, changes),
  );
  if (!attempt) return null;
  const by = (own: LevelChanges): number => {
    const constants = raceConstantsOf(levelOf(level, own));
    return chanceBefore(attempt, shippedTheta(constants), constants);
  };
  const told = Math.min(0.999, Math.max(0.001, call.chance));
  return 1 / (1 + Math.exp(-(logit(told) + logit(by(today)) - logit(by(changes)))));
}

function isSame(a: LevelChanges, b: LevelChanges): boolean {
  const entries = Object.entries(a);
  return (
    entries.length === Object.keys(b).length &&
    entries.every(([key, value]) => b[key as keyof LevelChanges] === value)
  );
}

/** The numbers that were in force, in the order of the calls that were told by them. */
export interface Version {
  changes: LevelChanges;
  /** Of the first game and of the last; null: no call was told by them. */
  from: string | null;
  to: string | null;
  calls: number;
  /** They are in force today. */
  isNow: boolean;
}

/**
 * By which numbers calls were told, the oldest first; the level's own and today's are always there.
 * @param today the team's own numbers, in force now
 */
export function versionsOf(calls: readonly SeasonCall[], today: LevelChanges): Version[] {
  const unused = (changes: LevelChanges): Version => ({
    changes,
    from: null,
    to: null,
    calls: 0,
    isNow: isSame(changes, today),
  });
  const versions = [unused({})];
  for (const { changes, startsAt } of calls.toSorted((a, b) =>
    a.startsAt.localeCompare(b.startsAt),
  )) {
    if (!changes) continue;
    let known = versions.find((version) => isSame(version.changes, changes));
    if (!known) {
      known = unused(changes);
      versions.push(known);
    }
    known.from ??= startsAt;
    known.to = startsAt;
    known.calls += 1;
  }
  if (!versions.some(({ isNow }) => isNow)) versions.push(unused(today));
  return versions;
}

/** A season of calls, or a part of one. In chance to win. */
export interface SeasonSummary {
  calls: number;
  opportunities: number;
  attempts: number;
  safe: number;
  /** What attempts came to, against never running. */
  won: number;
  luck: number;
  luckSd: number;
  /** What running as the numbers said would have won on average; by the ends of what the inputs leave open. */
  byNumbers: number;
  byNumbersLow: number;
  byNumbersHigh: number;
  /** How far what was won would lie by the same chances, eight times in ten. */
  wonLow: number;
  wonHigh: number;
  /** Given away by clear and by close calls: one cost for each opportunity. */
  clear: number;
  clearCalls: number;
  close: number;
  missedSigns: number;
  /** Gos that were shown: how many opportunities, and how many were taken. */
  gos: number;
  gosTaken: number;
  /** Gos that were not taken: what they would have been worth by the chances as told, and whether such were tried. */
  left: ReturnType<typeof leftOf> & { untried: boolean };
}

/** The call that an opportunity is counted by: the last that ran and was decided, else that ran, else the dearest stay. */
export function countedCalls(calls: readonly SeasonCall[]): SeasonCall[] {
  const all = new Map<string, SeasonCall[]>();
  for (const call of calls) {
    all.set(call.opportunity, [...(all.get(call.opportunity) ?? []), call]);
  }
  return [...all.values()].flatMap((own) => {
    const ran = own.filter(({ done }) => done !== STAY);
    const dearest = own.reduce((most, each) => (each.cost > most.cost ? each : most));
    return ran.findLast(({ resolved }) => resolved) ?? ran.at(-1) ?? dearest;
  });
}

export function summaryOf(calls: readonly SeasonCall[]): SeasonSummary {
  const counted = countedCalls(calls);
  const attempts = calls.filter(hasRun);
  const sum = (all: readonly SeasonCall[], of: (call: SeasonCall) => number): number =>
    all.reduce((total, call) => total + of(call), 0);
  const clear = counted.filter(({ clearness }) => clearness === 'clear');
  const luck = sum(attempts, (call) => call.luck);
  const luckSd = Math.sqrt(sum(attempts, (call) => call.luckSd ** 2));
  // What was done was worth as much less than the best as the call and its execution gave away.
  const won = luck + sum(attempts, ({ offered, cost, execution }) => offered - cost + execution);
  const gos = counted.filter(({ verdict, shown }) => shown && verdict === 'go');
  return {
    calls: calls.length,
    opportunities: counted.length,
    attempts: attempts.length,
    safe: attempts.filter(({ outcome }) => outcome !== 'out').length,
    won,
    wonLow: won - luck - Z80 * luckSd,
    wonHigh: won - luck + Z80 * luckSd,
    luck,
    luckSd,
    byNumbers: sum(counted, ({ offered }) => offered),
    byNumbersLow: sum(counted, ({ offeredLow }) => offeredLow),
    byNumbersHigh: sum(counted, ({ offeredHigh }) => offeredHigh),
    clear: sum(clear, ({ cost }) => cost),
    clearCalls: clear.length,
    close: sum(
      counted.filter(({ clearness }) => clearness === 'close'),
      ({ cost }) => cost,
    ),
    missedSigns: calls.filter(({ signSeen }) => signSeen === 'no').length,
    gos: gos.length,
    gosTaken: gos.filter(({ done }) => done !== STAY).length,
    left: goesLeft(
      gos.filter(({ done }) => done === STAY),
      attempts,
    ),
  };
}

/** Within these shares of the attempts' chances something was tried. */
const [TRIED_FROM, TRIED_TO] = [0.1, 0.9];

function goesLeft(
  stays: readonly SeasonCall[],
  attempts: readonly SeasonCall[],
): SeasonSummary['left'] {
  const tried = attempts.map(({ chance }) => chance).toSorted((a, b) => a - b);
  const at = (share: number): number => tried[Math.floor(share * (tried.length - 1))] ?? Number.NaN;
  const left = stays.flatMap(({ chance, low, high, go }) =>
    go ? [{ stay: 0, ...go, chance, low, high }] : [],
  );
  return {
    ...leftOf(left),
    untried: left.some(({ chance }) => !(chance >= at(TRIED_FROM) && chance <= at(TRIED_TO))),
  };
}
