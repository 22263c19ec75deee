import { type Spread } from '../maths/index.ts';
import { chanceBothBefore } from '../race/index.ts';
import { timeToCover } from '../sprint/index.ts';
import { normalCdf } from '../maths/index.ts';
import type { Level } from '../timing/index.ts';
import { returnSdSeconds, returnSeconds, tagsAtBase, type OwnReturn } from './back.ts';
import { longestWithin } from './picked.ts';

/** Where the shortstop's hips are against the runner's, seen from the bag. */
export const HIPS = ['inside', 'even', 'outside'] as const;
export type Hips = (typeof HIPS)[number];
/** How much farther from the bag than the runner that puts him, feet. Agreed. */
export const HIPS_FEET: Record<Hips, number> = { inside: -4, even: 0, outside: 5 };

/** What sends the runner back: the base coach's call, or seeing the pitcher turn. */
export const CUES = ['coach', 'turn'] as const;
export type Cue = (typeof CUES)[number];
/** After the shortstop's break. Agreed. */
const CUE_SECONDS: Record<Cue, number> = { coach: 0.2, turn: 0.35 };
/** The pitcher sees daylight and starts his spin this long after the break, so unevenly. Agreed. */
const SEE_SECONDS = 0.35;
const SEE_SD_SECONDS = 0.06;
/** How uneven the shortstop is on his way, and his reach. Agreed. */
const SHORTSTOP_SD_SECONDS = Math.hypot(0.06, 0.04);
const REACH_FEET = 3;
/** Nobody's lead at second is shorter. */
const SHORTEST_FEET = 5;

/** A daylight pick at second: the shortstop breaks for the bag behind the runner, the pitcher spins. */
export interface DaylightPick {
  level: Level;
  leadFeet: number;
  cue: Cue;
  /** How much farther from the bag than the runner the shortstop is along the line; negative: nearer. */
  offsetFeet: number;
  /** How far behind the line to third he plays. */
  depthFeet: number;
  /** The pitcher's spin: first move to glove at second. */
  spin: Spread;
  own?: OwnReturn;
}

/** A daylight pick on the clock of the shortstop's break. */
export interface Daylight {
  shortstopSeconds: number;
  ballSeconds: number;
  runnerSeconds: number;
  /** That the shortstop is at the bag before the runner. */
  chanceDaylight: number;
  /** That the runner is out, if they throw. */
  chancePicked: number;
}

export function daylight(pick: DaylightPick): Daylight {
  const { level, leadFeet, cue, offsetFeet, depthFeet, spin, own } = pick;
  const feet = Math.hypot(Math.max(0, leadFeet + offsetFeet), depthFeet) - REACH_FEET;
  const shortstopSeconds = timeToCover(Math.max(0, feet), { ...level.fielder, startSpeed: 0 });
  const stance = { leadFeet, corner: 'back', mode: 'twoWay', awaySpeed: 0 } as const;
  const runnerSeconds = returnSeconds(stance, level, false, own) + CUE_SECONDS[cue];
  const runnerSd = returnSdSeconds(level, own);
  const ballSeconds = SEE_SECONDS + spin.meanSeconds;
  return {
    shortstopSeconds,
    ballSeconds,
    runnerSeconds,
    chanceDaylight: normalCdf(
      (runnerSeconds - shortstopSeconds) / Math.hypot(runnerSd, SHORTSTOP_SD_SECONDS),
    ),
    chancePicked: chanceBothBefore(
      { meanSeconds: ballSeconds, sdSeconds: Math.hypot(spin.sdSeconds, SEE_SD_SECONDS) },
      { meanSeconds: shortstopSeconds, sdSeconds: SHORTSTOP_SD_SECONDS },
      runnerSeconds,
      runnerSd,
      tagsAtBase(level, 'back'),
    ),
  };
}

/**
 * The longest lead from which daylight gets him no more often than the risk taken, feet; the
 * shortstop moves out with him.
 */
export function longestDaylightLead(pick: Omit<DaylightPick, 'leadFeet'>, risk: number): number {
  return longestWithin(
    risk,
    (leadFeet) => daylight({ ...pick, leadFeet }).chancePicked,
    SHORTEST_FEET,
  );
}
