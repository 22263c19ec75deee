import { makeRandom, normalDraw } from '../src/maths/index.ts';
import { chanceBefore, shippedTheta, UNKNOWN_PITCH, type Attempt } from '../src/review/attempt.ts';
import {
  calibrationOf,
  raceConstantsOf,
  refit,
  summaryOf,
  toldOf,
  type SeasonCall,
} from '../src/review/index.ts';
import { LEVELS } from '../src/timing/index.ts';
import type { GameId, PersonId } from '../src/units/index.ts';
import { medianMs, type Print } from './median.ts';

const ATTEMPTS = 600;
const GAMES = 60;
const CALLS_A_GAME = 22;

/** A re-fit of 600 attempts with both its guards, and a season of 60 games. @public asked for by scripts/bench.mjs */
export function benchReview(print: Print): void {
  const random = makeRandom(17);
  const constants = raceConstantsOf(LEVELS.hs);
  const theta = shippedTheta(constants);
  const attempts = Array.from({ length: ATTEMPTS }, (): Attempt => {
    const attempt: Attempt = {
      toThird: false,
      againstLeft: random() < 0.3,
      slideReckoned: false,
      delivery: { mean: normalDraw(random, 1.42, 0.06), doubt: 0.03, within: 0.05 },
      pop: { mean: normalDraw(random, 2.15, 0.08), doubt: 0.04, within: 0.07 },
      run: { mean: normalDraw(random, 3.35, 0.12), doubt: 0.03, within: 0.05 },
      pitch: UNKNOWN_PITCH,
      timed: {},
      throw: null,
      safe: true,
      weight: 1,
      popTimed: 0,
    };
    return { ...attempt, safe: random() < chanceBefore(attempt, theta, constants) };
  });
  print(
    `re-fit-of-${String(ATTEMPTS)}-attempts-with-guards`,
    medianMs(5, () => refit(attempts, constants)),
    'ms',
  );

  const calls = Array.from({ length: GAMES * CALLS_A_GAME }, (_, nth): SeasonCall => {
    const chance = 0.4 + 0.59 * random();
    const runs = random() < 0.15;
    return {
      id: String(nth),
      gameId: String(Math.floor(nth / CALLS_A_GAME)) as GameId,
      startsAt: '2031-05-01T10:00:00.000Z',
      opponentId: null,
      opportunity: String(Math.floor(nth / 3)),
      inning: 1 + (nth % 7),
      half: 'top',
      outs: nth % 3,
      runner: String(nth % 9) as PersonId,
      pitcher: null,
      catcher: null,
      pitcherThrows: 'right',
      base: 'second',
      kind: 'straight',
      style: 'legLift',
      chance,
      low: chance - 0.1,
      high: Math.min(1, chance + 0.1),
      need: 0.72,
      verdict: chance > 0.72 ? 'go' : 'stay',
      shown: true,
      called: null,
      calledBy: null,
      done: runs ? 'stealSecond' : 'stay',
      resolved: true,
      outcome: runs ? (random() < chance ? 'safe' : 'out') : 'notRun',
      signSeen: 'unknown',
      best: chance > 0.72 ? 'stealSecond' : 'stay',
      clearness: 'close',
      cost: 0.01,
      offered: 0.02,
      offeredLow: 0,
      offeredHigh: 0.04,
      go: { safe: 0.05, out: -0.12 },
      execution: 0,
      luck: 0,
      luckSd: 0.05,
      legs: { pitch: null, pop: null, run: null, jump: null },
      throw: null,
      pitchOut: false,
      timed: {},
      changes: {},
    };
  });
  print(
    `season-of-${String(GAMES)}-games-summed-and-calibrated`,
    medianMs(5, () => {
      summaryOf(calls);
      calibrationOf(toldOf(calls));
    }),
    'ms',
  );
}
