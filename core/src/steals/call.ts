import type { Race } from './race.ts';

/** `untimed`: too little of these people's own is known to say anything. */
export const VERDICTS = ['go', 'close', 'stay', 'untimed'] as const;
export type Verdict = (typeof VERDICTS)[number];

/** A first call, to be replaced in this one place by the full model of chances. */
export interface StealCall {
  verdict: Verdict;
  /** The legs that have to be timed before there is a verdict. */
  missing: ('delivery' | 'flight' | 'pop' | 'run')[];
  /** Go if he delivers in this many seconds or slower; null where the delivery does not count. */
  slowestDeliverySeconds: number | null;
}

/**
 * The margin to ask for until a team sets its own, seconds. Judgement: what makes the plain sum
 * come out near 80 % safe at every level of the race model, tag and jump included.
 */
export const CLEAR_MARGIN_SECONDS = 0.06;

/**
 * The call by the plain stopwatch sum. Go when the gap is at least the needed margin, close when
 * he wins by less than that, stay when the ball is there first.
 * @param race what raceOf gives
 * @param neededSeconds margin the team asks for, seconds, not negative
 * @throws RangeError when the margin is negative
 */
export function callSteal(race: Race, neededSeconds: number): StealCall {
  if (!(neededSeconds >= 0)) throw new RangeError('callSteal needs a margin of at least 0 s');
  const missing = [...race.ball, ...race.runner]
    .filter(({ basis }) => basis === 'typical')
    .map(({ name }) => name)
    .filter((name) => name !== 'tag' && name !== 'jump');
  const delivery = race.ball.find(({ name }) => name === 'delivery' || name === 'flight');
  return {
    verdict: missing.length > 0 ? 'untimed' : verdictOf(race.gapSeconds, neededSeconds),
    missing,
    slowestDeliverySeconds: delivery ? delivery.seconds - race.gapSeconds + neededSeconds : null,
  };
}

function verdictOf(gapSeconds: number, neededSeconds: number): Verdict {
  if (gapSeconds >= neededSeconds) return 'go';
  return gapSeconds >= 0 ? 'close' : 'stay';
}
