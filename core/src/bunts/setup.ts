import type { Bases, Value } from '../innings/index.ts';
import type { Sport } from '../rules/index.ts';
import type { SpeedCurve } from '../sprint/index.ts';
import type { Bag, Place } from '../units/index.ts';
import type { Ground } from './roll.ts';

/** Who may field a bunt. */
export const BUNT_FIELDERS = ['P', 'C', '1B', '2B', '3B', 'SS'] as const;
export type BuntFielder = (typeof BUNT_FIELDERS)[number];

/** One of the defence as the ball meets the bat. */
export interface Fielder {
  position: BuntFielder;
  at: Place;
  /** Until he starts after the ball, seconds. */
  reactSeconds: number;
  topSpeed: number;
  accelerationSeconds: number;
  /** How fast he is already coming toward the plate, ft/s. */
  chargeSpeed: number;
  throwSpeed: number;
  covers: readonly Bag[];
  /** Until he starts for the bag that he covers, seconds. */
  coverSeconds: number;
}

/** A runner who goes with the bunt. */
export interface BuntRunner extends SpeedCurve {
  from: 1 | 2 | 3;
  leadFeet: number;
  /** After contact, seconds. */
  delaySeconds: number;
}

/** The batter on his way to first. */
type BuntBatter = SpeedCurve & { delaySeconds: number };

/** Everything that decides what one fair bunt comes to. */
export interface BuntSetup {
  ground: Ground;
  baseFeet: number;
  ball: Sport;
  fielders: readonly Fielder[];
  /** Who goes with the bunt. */
  runners: readonly BuntRunner[];
  /** Who is on base and stays. */
  held: Bases;
  outs: 0 | 1 | 2;
  batter: BuntBatter;
  hands: Hands;
  doubt: Doubt;
  /** What a situation is worth to the batting team: runs, or chance to win. */
  value: Value;
}

/** How a fielder handles a bunted ball, at his own pace or hurried. Seconds, feet, chances. */
interface Hands {
  setSeconds: number;
  rushSeconds: number;
  goodSet: number;
  goodRush: number;
  /** What turning right round to throw costs; a quarter turn half of it. */
  turnSeconds: number;
  reachFeet: number;
  tagSeconds: number;
  /** From the force to the throw on to first. */
  relaySeconds: number;
  /** Whoever stands this near to a bag is there. */
  stretchFeet: number;
  thereSeconds: number;
  relayGood: number;
  relaySdSeconds: number;
  /** Running it over himself. */
  carrySpeed: number;
  carrySeconds: number;
}

/** How sure the defence can be, and how it takes that. Standard deviations in seconds. */
export interface Doubt {
  fieldingSdSeconds: number;
  runnerSdSeconds: number;
  seenSdSeconds: number;
  throwSdSeconds: number;
  /** Getting nobody is disliked by this share of what is at stake. */
  sureOut: number;
  /** Who calls it: how sharply the better fielder is preferred, as a share of what is at stake. */
  callShare: number;
  /** Whoever is this much later than the first does not field it. */
  callSeconds: number;
  /** Of plays that go wrong, the share that are thrown away. */
  wild: number;
}
