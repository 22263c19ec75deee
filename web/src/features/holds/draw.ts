import { holdLaw, holdPlan, pausePlan, type PlannedHold } from '@bradyon/core/holds';
import type { Ruleset } from '@bradyon/core/rules';
import { secureRandom } from '../../api/random.ts';
import type { HoldShares } from './usePlan.ts';

const LAW = holdLaw(null);

/** Holds that give a runner nothing to time; where nobody leads off, pauses before the wind-up. */
export function drawHolds(
  count: number,
  { often, pitchOut }: Pick<HoldShares, 'often' | 'pitchOut'>,
  { leadRule }: Pick<Ruleset, 'leadRule'>,
): PlannedHold[] {
  return leadRule === 'open'
    ? holdPlan(count, LAW, { throwOver: often, pitchOut }, secureRandom)
    : pausePlan(count, pitchOut, secureRandom);
}
