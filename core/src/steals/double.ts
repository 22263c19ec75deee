import { normalCdf } from '../maths/index.ts';
import type { Level, DoubtfulSpread } from '../timing/index.ts';
import type { Steal } from './steal.ts';

/** Runners on first and second go together; the catcher throws to one base. Chances 0..1. */
export interface DoubleSteal {
  /** Nobody out if they throw to third, and to second. */
  thrownToThird: number;
  thrownToSecond: number;
  /** Where a catcher who knows the odds throws. */
  theirs: 'third' | 'second';
  /** Nobody out, against that throw. */
  chance: number;
}

/** The runner off first sees the other go before he does, and leaves this much later. Judgement. */
const TRAILS_SECONDS = 0.1;

/**
 * A double steal: each runner's own race, and a defence that throws where it gets an out more often.
 * @param toThird the runner off second against the throw to third
 * @param toSecond the runner off first against the throw to second, as if he went alone
 */
export function doubleSteal(toThird: Steal, toSecond: Steal): DoubleSteal {
  const thrownToThird = toThird.chance;
  const thrownToSecond = toSecond.chanceWith(-TRAILS_SECONDS);
  const theirs = thrownToThird <= thrownToSecond ? 'third' : 'second';
  return { thrownToThird, thrownToSecond, theirs, chance: Math.min(thrownToThird, thrownToSecond) };
}

/** Runner off first goes with another on third. Chances 0..1. */
export interface FirstAndThird {
  /** They throw through: he is safe at second; the runner on third makes it home if he goes. */
  throughSecond: number;
  throughHome: number;
  /** They cut the throw: second is his; the runner on third makes it home if he goes. */
  cutHome: number;
}

/** The runner on third goes when the throw has left the catcher's hand. Judgement. */
const CATCH_TO_RELEASE_SECONDS = 0.75;
/** A middle infielder at the bag, and one who cuts it half-way: catch, throw and flight to the plate. Judgement. */
const RELAY_HOME_SECONDS = 1.9;
const CUT_HOME_SECONDS = 1.35;
const RELAY_SD_SECONDS = 0.15;

/**
 * First and third: what each answer to the throw leaves. Which of it is worth it depends on what a
 * run is worth there and then.
 * @param toSecond the runner off first against the throw to second
 * @param runHome the other's time from his lead to the plate
 */
export function firstAndThird(
  toSecond: Steal,
  runHome: DoubtfulSpread,
  { tag, throws }: Pick<Level, 'tag' | 'throws'>,
): FirstAndThird {
  const pop = toSecond.legs.pop?.spread;
  if (!pop) throw new RangeError('firstAndThird needs a throw to second');
  const flight = Math.max(0, pop.meanSeconds - CATCH_TO_RELEASE_SECONDS);
  const home = (ballSeconds: number): number => {
    const spare = ballSeconds + tag.onLineSeconds - runHome.meanSeconds;
    const sd = Math.hypot(pop.sdSeconds, RELAY_SD_SECONDS, runHome.sdSeconds, tag.onLineSdSeconds);
    return throws.wild + (1 - throws.wild) * normalCdf(spare / sd);
  };
  return {
    throughSecond: toSecond.chance,
    throughHome: home(flight + RELAY_HOME_SECONDS),
    cutHome: home(flight / 2 + CUT_HOME_SECONDS),
  };
}
