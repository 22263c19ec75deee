import { throwOver, withinLimit, type Holding, type ThrowOver } from '@bradyon/core/holds';
import type { Stakes, Throw } from '@bradyon/core/leads';
import {
  judgeSteal,
  mixFigures,
  PITCHOUT_COSTS_RUNS,
  STEAL_SWING_RUNS,
  type MixFigures,
} from '@bradyon/core/steals';
import { useMemo } from 'react';
import { spreadOfEstimate } from '../leads/index.ts';
import type { Hold } from './useHold.ts';

/** The leads that are looked at. Feet. */
export const SHORTEST_LEAD_FEET = 6;
const LEADS = [SHORTEST_LEAD_FEET, 16] as const;
/** Pitched out oftener the balls cost more than the runner. Judgement. */
const MOST_PITCHOUTS = 0.1;

export interface HoldShares {
  /** null: no move to first is known at this level. */
  over: ThrowOver | null;
  /** How often in fact: the book may limit them. */
  often: number;
  pitchOut: number;
  /** How often the runner has to go before a pitch-out pays; null: it is no better than a pitch. */
  mix: MixFigures | null;
  /** What an out and a base are worth. Runs. */
  stakes: Stakes;
}

/** How often to throw over and to pitch out against this runner. */
export function usePlan(
  hold: Pick<Hold, 'question' | 'judging' | 'leads' | 'names' | 'team'>,
  found: Holding,
): HoldShares {
  const { question, judging, leads, names, team } = hold;
  const { needed } = judging;
  // What a steal wins and an out costs: they stand to one another as the chance that is needed says.
  const stakes = useMemo(
    () => ({ gain: (1 - needed) * STEAL_SWING_RUNS, cost: needed * STEAL_SWING_RUNS }),
    [needed],
  );
  const move = leads.moveOf(names.pitcher, 'first');
  const own = leads.returnOf(names.runner);
  const asked = JSON.stringify([
    move?.meanSeconds,
    move?.giveOrTakeSeconds,
    own,
    names.pitcher.throws,
    found.legLift.chance,
    needed,
  ]);
  const over = useMemo((): ThrowOver | null => {
    if (!move || !question) return null;
    const toBase: Throw = {
      stance: { leadFeet: LEADS[0], corner: 'back', mode: 'twoWay', awaySpeed: 0 },
      level: question.field.level,
      throwing: spreadOfEstimate(move),
      leftHander: names.pitcher.throws === 'left',
      own,
    };
    const safeAt = (leadFeet: number): number =>
      judgeSteal({ ...question, leadFeet }, judging).chance;
    return throwOver(toBase, safeAt, stakes, LEADS);
    // What it rests on, by value: the objects are made again at each tap.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [asked]);
  const mix = mixFigures({
    chanceUsual: found.legLift.chance,
    chanceCountered: found.pitchOut.chance,
    gainRuns: stakes.gain,
    costRuns: stakes.cost,
    counterRuns: PITCHOUT_COSTS_RUNS,
  });
  return {
    over,
    often: over ? withinLimit(over.often, team.ruleset.pickLimit) : 0,
    pitchOut: found.takes === 'asWeAre' ? 0 : Math.min(MOST_PITCHOUTS, mix?.counteredUnder ?? 0),
    mix,
    stakes,
  };
}
