import { Steps, stepsFrom, type Batting, type Transition } from './chain.ts';
import type { SqueezeOutcomes } from './rates.ts';
import { baseOut, basesOf, FIRST, outsOf, THIRD, type BaseOut } from './state.ts';

/**
 * The steps of a squeeze from one state. Fouled off, the batter swings on; missed, the runner is out and
 * the batter swings on from what is left.
 * @returns none where nobody is on third
 */
export function squeezeFrom(
  from: BaseOut,
  outcomes: SqueezeOutcomes,
  batting: Batting,
): Transition[] {
  const [bases, outs] = [basesOf(from), outsOf(from)];
  if ((bases & THIRD) === 0) return [];
  const stay = bases & ~THIRD;
  const up = stay << 1;
  const steps = new Steps(from);
  // The batter is the third out at first: no run counts.
  const run = outs === 2 ? 0 : 1;
  steps.add({ bases: up, outs: outs + 1, runs: run, chance: outcomes.scored });
  steps.add({ bases: up | FIRST, outs, runs: 1, chance: outcomes.scoredAndSafe });
  steps.add({ bases: up | FIRST, outs: outs + 1, runs: 0, chance: outcomes.outAtHome });
  steps.add({ bases: stay, outs: outs + 2, runs: 0, chance: outcomes.popDouble });
  steps.add({ bases, outs: outs + 1, runs: 0, chance: outcomes.popOut });
  const swing = (state: BaseOut, share: number): void => {
    for (const step of stepsFrom(batting, state)) {
      steps.take({ ...step, chance: step.chance * share });
    }
  };
  swing(from, outcomes.foul);
  if (outs === 2) steps.end({ runs: 0, chance: outcomes.missed }, 0);
  else swing(baseOut(stay, outs + 1), outcomes.missed);
  return steps.list();
}
