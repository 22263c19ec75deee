import type { Transition } from './chain.ts';
import type { ContactShares, Infield } from './rates.ts';
import {
  basesOf,
  doneBy,
  FIRST,
  isOver,
  outsOf,
  SECOND,
  THIRD,
  type BaseOut,
  type Bases,
} from './state.ts';
import type { Value } from './value.ts';

/** What the steps from a state are worth: swinging, or bunting. */
export function stepsWorth(steps: readonly Transition[], from: BaseOut, value: Value): number {
  return steps.reduce((sum, { to, runs, chance }) => {
    const [bases, outs] = isOver(to) ? [0, 3] : [basesOf(to), outsOf(to)];
    return sum + chance * value(bases, outs, runs, doneBy(from, to, runs));
  }, 0);
}

/**
 * Going on contact against waiting, with a runner on third only and fewer than two outs, when the
 * ball is on the ground.
 */
export function contactValue(
  outs: number,
  { through, outAtHome, conceded, scoresIfHolding }: ContactShares,
  value: Value,
): { go: number; wait: number } {
  if (!(outs === 0 || outs === 1)) throw new RangeError('contactValue needs 0 or 1 out');
  const hit = value(FIRST, outs, 1, 1);
  const stopped = 1 - through;
  return {
    go:
      through * hit +
      stopped *
        (outAtHome * value(FIRST, outs + 1, 0, 1) +
          conceded * value(0, outs + 1, 1, 1) +
          (1 - outAtHome - conceded) * value(FIRST, outs, 1, 1)),
    wait:
      through * hit +
      stopped *
        (scoresIfHolding * value(0, outs + 1, 1, 1) +
          (1 - scoresIfHolding) * value(THIRD, outs + 1, 0, 1)),
  };
}

/**
 * What playing the infield in saves the team in the field against playing it back, when the ball is on
 * the ground, a runner is on third only, and he then does what is better for him. Below 0: it costs.
 */
export function infieldInSaves(
  outs: number,
  contact: Record<Infield, ContactShares>,
  value: Value,
): number {
  const best = (infield: Infield): number => {
    const { go, wait } = contactValue(outs, contact[infield], value);
    return Math.max(go, wait);
  };
  return best('back') - best('in');
}

/** Walking the batter on purpose, from the batting team's view. */
export function walkValue(bases: Bases, outs: number, value: Value): number {
  if ((bases & FIRST) === 0) return value(bases | FIRST, outs, 0, 1);
  if ((bases & SECOND) === 0) return value(bases | SECOND, outs, 0, 1);
  return value(7, outs, bases & THIRD ? 1 : 0, 1);
}
