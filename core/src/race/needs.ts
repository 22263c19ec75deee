import { rootOf } from '../maths/index.ts';
import { chanceAt, type Race, type ReadyRace } from './chance.ts';

/** How far around the race is looked for the seconds that would do, and in what steps first. */
const FARTHEST_SECONDS = 2;
const FIRST_STEP_SECONDS = 0.1;
const CLOSE_SECONDS = 1e-7;

/** What it would take to be safe as often as needed; everything else as it is. Seconds. */
export interface Needs {
  /** He needs this much more; negative: he has this much to give away. */
  moreSeconds: number;
  /** This slow or slower. */
  deliverySeconds: number | null;
  popSeconds: number;
  /** This quick or quicker. */
  runSeconds: number;
  jumpSeconds: number;
}

/**
 * How often a gamble has to come off.
 * @param gain what it wins, above 0
 * @param cost what it loses, above 0
 * @example breakEven(0.18, 0.42) // 0.7
 */
export function breakEven(gain: number, cost: number): number {
  if (!(gain > 0 && cost > 0)) throw new RangeError('breakEven needs a gain and a cost above 0');
  return cost / (gain + cost);
}

/**
 * The seconds he lacks until he is safe often enough.
 * @param at the chance when he has so many seconds more
 * @param floor the chance he has however slow he is
 * @param needed chance, 0..1
 * @returns null when throws that go away alone are enough, or nothing within two seconds is
 */
export function secondsNeeded(
  { at, floor }: { at: (moreSeconds: number) => number; floor: number },
  needed: number,
): number | null {
  if (needed <= floor) return null;
  const short = (shift: number): number => at(shift) - needed;
  // Most races are near: closing in from there asks for far fewer chances than from two seconds off.
  const way = short(0) < 0 ? 1 : -1;
  let [near, far] = [0, way * FIRST_STEP_SECONDS];
  while (Math.abs(far) < FARTHEST_SECONDS && short(far) * way < 0) [near, far] = [far, far * 2];
  return rootOf(short, near, far, CLOSE_SECONDS);
}

/** What each of the times would have to be. */
export function needsOf(race: Race, ready: ReadyRace, needed: number): Needs | null {
  const at = (shift: number): number => chanceAt(ready, shift);
  const moreSeconds = secondsNeeded({ at, floor: ready.wild }, needed);
  if (moreSeconds === null) return null;
  return {
    moreSeconds,
    deliverySeconds: race.delivery && race.delivery.meanSeconds + moreSeconds,
    popSeconds: race.pop.meanSeconds + moreSeconds,
    runSeconds: race.run.meanSeconds - moreSeconds,
    jumpSeconds: race.jump.meanSeconds - moreSeconds,
  };
}
