import { type Spread } from '../maths/index.ts';
import type { Level } from '../timing/index.ts';
import type { OwnReturn } from './back.ts';
import { daylight, HIPS, HIPS_FEET, longestDaylightLead, type Cue, type Hips } from './daylight.ts';
import { chancePicked, coverOfSecond, longestLead, type Throw } from './picked.ts';

/** A place off second: along the line to third from the bag, and behind that line. Feet. */
export interface OffSecond {
  alongFeet: number;
  behindFeet: number;
}

/** How second base can be thrown to with a runner off it. */
export type SecondPick = 'daylight' | 'timing' | 'insideTurn';

export interface SecondQuestion {
  level: Level;
  runner: OffSecond;
  shortstop: OffSecond;
  /** How far the second baseman is from the bag. */
  secondBasemanFeet: number;
  /** Whether the base coach calls the shortstop's break, or the runner sees the turn himself. */
  cue: Cue;
  /** First move to glove at second. */
  spin: Spread;
  own?: OwnReturn;
}

/** One of the picks: how often it gets him, and from how far it would do so no more often than the risk. */
export interface PickAtSecond {
  pick: SecondPick;
  chance: number;
  longestFeet: number;
}

/** A leg lift that turns comes off quicker once the turn shows, and finds him on his way out. Judgement. */
const TURN_SHOWS_SECONDS = 0.15;
const DRIFTING_SPEED = 4;

/** Where the shortstop's hips are against the runner's: within two feet is even. */
export function hipsOf(runner: OffSecond, shortstop: OffSecond): Hips {
  const apart = shortstop.alongFeet - runner.alongFeet;
  const nearest = HIPS.toSorted(
    (a, b) => Math.abs(HIPS_FEET[a] - apart) - Math.abs(HIPS_FEET[b] - apart),
  );
  return nearest[0] ?? 'even';
}

/** How far a place off second is from the bag. */
export function fromSecond({ alongFeet, behindFeet }: OffSecond): number {
  return Math.hypot(alongFeet, behindFeet);
}

/**
 * What each pick at second does to him where he stands.
 * Daylight: the shortstop breaks behind him and the pitcher spins when he sees it. Timing: both go
 * on a count, and the nearer infielder covers. Inside turn: a leg lift that spins.
 * @param risk chance to be out given the pick, between 0 and 1
 */
export function picksAtSecond(question: SecondQuestion, risk: number): PickAtSecond[] {
  const { level, runner, shortstop, secondBasemanFeet, cue, spin, own } = question;
  const leadFeet = fromSecond(runner);
  const seen = {
    level,
    cue,
    offsetFeet: shortstop.alongFeet - runner.alongFeet,
    depthFeet: shortstop.behindFeet,
    spin,
    ...(own && { own }),
  };
  const thrown = (throwing: Spread, awaySpeed: number): Throw => ({
    stance: { leadFeet, corner: 'back', mode: 'twoWay', awaySpeed },
    level,
    throwing,
    leftHander: false,
    cover: coverOfSecond(Math.min(fromSecond(shortstop), secondBasemanFeet)),
    ...(own && { own }),
  });
  const timing = thrown(spin, 0);
  const turn = thrown(
    { ...spin, meanSeconds: spin.meanSeconds - TURN_SHOWS_SECONDS },
    DRIFTING_SPEED,
  );
  return [
    {
      pick: 'daylight',
      chance: daylight({ ...seen, leadFeet }).chancePicked,
      longestFeet: longestDaylightLead(seen, risk),
    },
    { pick: 'timing', chance: chancePicked(timing), longestFeet: longestLead(timing, risk) },
    { pick: 'insideTurn', chance: chancePicked(turn), longestFeet: longestLead(turn, risk) },
  ];
}
