import { studentCdf } from '../maths/index.ts';
import { betaQuantile } from '../maths/beta.ts';

/** What an out on the bases cost, in the unit of the worths. */
export function outCost({
  hold,
  left,
  safe,
  told,
}: {
  /** Had they stayed. */
  hold: number;
  /** As it was after the out. */
  left: number;
  safe: number;
  /** The chance as it was told; null: nobody told one. */
  told: number | null;
}): { cost: number; decision: number | null; swing: number } {
  const go = told === null ? null : told * safe + (1 - told) * left;
  return { cost: hold - left, decision: go === null ? null : hold - go, swing: safe - left };
}

/** A reading against what was expected of it. Seconds. */
export interface TimedAgainst {
  reading: number;
  /** How late or early its timer is. */
  bias: number;
  mean: number;
  sd: number;
  /** How much the sd itself is to be trusted. */
  freedom: number;
  timerSd: number;
  /** How many readings there are to be off among. */
  readings: number;
}

/** So seldom a reading of a whole game is so far off that it is asked about. Judgement. */
const ASKED = 0.2;

/** Whether a reading is so far off that it is asked about: a wrong tap, an injury, a slide step? Never dropped. */
export function offTime({ reading, bias, mean, sd, freedom, timerSd, readings }: TimedAgainst): {
  seconds: number;
  z: number;
  tail: number;
  isOff: boolean;
} {
  const seconds = reading - bias - mean;
  const whole = Math.hypot(sd, timerSd);
  const scale = whole * Math.sqrt((freedom - 2) / freedom);
  const tail = 2 * studentCdf(-Math.abs(seconds) / scale, freedom);
  return { seconds, z: seconds / whole, tail, isOff: tail * readings < ASKED };
}

const LEAST_OFF = 4;
const ONE_IN_FIFTY = 2.3263478740408408;

/** Whether somebody's number is out of date: their readings lie to one side of it. @param z of their readings */
export function outOfDate(z: readonly number[]): { z: number; is: boolean } {
  const together = Math.abs(z.reduce((sum, each) => sum + each, 0)) / Math.sqrt(z.length);
  return { z: together, is: z.length >= LEAST_OFF && together > ONE_IN_FIFTY };
}

/** Signs of a day: how many were given and how many missed. */
export interface SignsOfDay {
  daysAgo: number;
  missed: number;
  given: number;
}

/** A missed sign says half as much after so many days; and before any, one is missed in twenty. Judgement. */
const SIGNS_HALF_LIFE_DAYS = 30;
const [SIGNS_MISSED, SIGNS_GOT] = [1, 19];

/** How often somebody misses a sign, older ones fading. */
export function missedSigns(days: readonly SignsOfDay[]): {
  mean: number;
  low: number;
  high: number;
} {
  let [missed, got] = [SIGNS_MISSED, SIGNS_GOT];
  for (const day of days) {
    const weight = 2 ** (-day.daysAgo / SIGNS_HALF_LIFE_DAYS);
    missed += weight * day.missed;
    got += weight * (day.given - day.missed);
  }
  return {
    mean: missed / (missed + got),
    low: betaQuantile(0.1, missed, got),
    high: betaQuantile(0.9, missed, got),
  };
}

/** Somebody and something to work on. Worth in one unit. */
export interface Workable<Skill extends string = string> {
  who: string;
  skill: Skill;
  usesPerGame: number;
  stay: number;
  safe: number;
  out: number;
  chance: number;
  /** After a session. */
  chanceAfter: number;
  minutes: number;
  games: number;
}

/** What work is worth over the games that are left, the most of an hour first; of equals by name. */
export function rankWork<W extends Workable>(
  items: readonly W[],
): (W & { gain: number; perHour: number })[] {
  return items
    .map((item) => {
      const { stay, safe, out, chance, chanceAfter, games, usesPerGame, minutes } = item;
      // Nobody has to run: far below the need a little more gains nothing.
      const worth = (p: number): number => Math.max(stay, p * safe + (1 - p) * out);
      const gain = games * usesPerGame * (worth(chanceAfter) - worth(chance));
      return { ...item, gain, perHour: (gain * 60) / minutes };
    })
    .toSorted((a, b) =>
      Math.abs(b.perHour - a.perHour) > 1e-9 ? b.perHour - a.perHour : a.who < b.who ? -1 : 1,
    );
}
