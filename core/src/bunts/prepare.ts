import type { Bases } from '../innings/index.ts';
import { timeToCover } from '../sprint/index.ts';
import { feetBetween, placeOfBag, type Bag, type Place } from '../units/index.ts';
import type { BuntSetup, Fielder } from './setup.ts';

/** A base where a throw can get somebody. */
export interface PlayOption {
  bag: Bag;
  at: Place;
  /** When he is there, seconds after contact. */
  runnerSeconds: number;
  tag: boolean;
  valueIfOut: number;
  /** With the batter out as well; null where there is no double play by a force. */
  valueIfTwoOut: number | null;
}

/** What is the same for every bunt in a situation. */
export interface ReadyBunt extends BuntSetup {
  batterSeconds: number;
  /** First base first, then the runners' next bases. */
  options: readonly PlayOption[];
  valueAllSafe: number;
  valueWild: number;
  /** From everybody safe to the best out there is: the scale of the situation. */
  stake: number;
  /** When somebody else than fielder f is at a bag, seconds: covers[f][bag]; Infinity when nobody comes. */
  covers: readonly (readonly number[])[];
}

const BAGS = [1, 2, 3, 4] as const satisfies readonly Bag[];

function bitOf(bag: number): Bases {
  return bag >= 4 ? 0 : 1 << (bag - 1);
}

/**
 * Works out once what every bunt of a situation needs: running times, what each out and each safe is
 * worth, and who covers what.
 */
export function prepareBunt(setup: BuntSetup): ReadyBunt {
  const { runners, held, outs, batter, baseFeet, value } = setup;
  const worth = (bases: Bases, made: number, runs: number): number =>
    made >= 3 ? value(0, 3, 0, 1) : value(bases, made, runs, 1);
  /** Where everybody is, each up by so many bases, without those who are out. */
  const after = (out: readonly Bag[], up: number, batterTo: number): number => {
    let [bases, runs] = [held, 0];
    for (const { from } of runners) {
      if (out.includes((from + 1) as Bag)) continue;
      if (from + up >= 4) runs += 1;
      else bases |= bitOf(from + up);
    }
    if (!out.includes(1)) bases |= bitOf(batterTo);
    return worth(bases, outs + out.length, runs);
  };
  const onBase = runners.reduce((bases, { from }) => bases | bitOf(from), held);
  const batterSeconds = batter.delaySeconds + timeToCover(baseFeet, batter);
  const valueAllSafe = after([], 1, 1);
  const options: PlayOption[] = [
    {
      bag: 1,
      at: placeOfBag(1, baseFeet),
      runnerSeconds: batterSeconds,
      tag: false,
      valueIfOut: after([1], 1, 1),
      valueIfTwoOut: null,
    },
    ...runners.map((runner): PlayOption => {
      const bag = (runner.from + 1) as Bag;
      const behind = bitOf(runner.from) - 1;
      const forced = (onBase & behind) === behind;
      return {
        bag,
        at: placeOfBag(bag, baseFeet),
        runnerSeconds:
          runner.delaySeconds + timeToCover(Math.max(0, baseFeet - runner.leadFeet), runner),
        tag: !forced,
        valueIfOut: after([bag], 1, 1),
        valueIfTwoOut: forced && outs < 2 ? after([bag, 1], 1, 1) : null,
      };
    }),
  ];
  return {
    ...setup,
    batterSeconds,
    options,
    valueAllSafe,
    // A throw into the field gives everybody, the batter too, one base more; held runners move with it.
    valueWild: wildValue(setup, worth),
    // In a game that is decided nothing is at stake; a hair keeps what is divided by it.
    stake: Math.max(1e-9, valueAllSafe - Math.min(...options.map(({ valueIfOut }) => valueIfOut))),
    covers: setup.fielders.map((fielder) => coversWithout(fielder, setup)),
  };
}

function wildValue(
  { runners, held, outs }: BuntSetup,
  worth: (bases: Bases, outs: number, runs: number) => number,
): number {
  let [bases, runs] = [bitOf(2), 0];
  const move = (to: number): void => {
    if (to >= 4) runs += 1;
    else bases |= bitOf(to);
  };
  for (const { from } of runners) move(from + 2);
  for (const from of [1, 2, 3]) if (held & bitOf(from)) move(from + 1);
  return worth(bases, outs, runs);
}

/** When the earliest of the others is at each bag; index 0 is not a bag. */
function coversWithout(
  fielder: Fielder,
  { fielders, baseFeet, hands }: BuntSetup,
): readonly number[] {
  const others = fielders.filter((each) => each !== fielder);
  const seconds = BAGS.map((bag) => {
    const at = placeOfBag(bag, baseFeet);
    const each = others
      .filter(({ covers }) => covers.includes(bag))
      .map((other) => {
        const feet = feetBetween(other.at, at);
        if (feet <= hands.stretchFeet) return hands.thereSeconds;
        const run = { ...other, startSpeed: 0 };
        return other.coverSeconds + timeToCover(feet - hands.stretchFeet, run);
      });
    return Math.min(...each, Number.POSITIVE_INFINITY);
  });
  return [Number.POSITIVE_INFINITY, ...seconds];
}
