import type { BuntOutcomes, KnownBunt, SqueezeOutcomes } from '../innings/index.ts';
import type { BuntSkill, PricedAim } from './aim.ts';
import type { BuntFigures } from './figures.ts';
import { gridOf, planBunt, type BuntQuestion } from './plan.ts';
import { pitchOutChance } from './squeeze.ts';

/**
 * What a sacrifice by these people comes to, in the shares that the odds are made of: he bunts until there are two
 * strikes, then swings away.
 */
export function sacrificeOutcomes(
  { fair, leadOut, batterOut, doublePlay }: PricedAim,
  { popped, popCaught, popDouble }: BuntSkill,
): BuntOutcomes {
  const pop = popped * popCaught;
  const strike = Math.max(0, 1 - fair - pop);
  const tries = 1 + strike;
  const down = fair * tries;
  return {
    success: down * (batterOut - doublePlay),
    leadOut: down * (leadOut - doublePlay),
    safe: down * Math.max(0, 1 - batterOut - leadOut + doublePlay),
    popOut: pop * tries * (1 - popDouble),
    popDouble: pop * tries * popDouble + down * doublePlay,
    strikeout: 0,
    swingAway: strike ** 2,
  };
}

/**
 * What one pitch of a squeeze by these people comes to, in the shares that the odds are made of.
 * @param pitchOut how often it is pitched where nobody can bunt it
 */
export function squeezeOutcomes(
  { fair, foul, leadOut, batterOut }: PricedAim,
  { missed, popped, popCaught, popDouble }: BuntSkill,
  pitchOut: number,
  figures: Pick<BuntFigures, 'missedSuicide' | 'pitchOutDead'>,
): SqueezeOutcomes {
  const bunted = 1 - pitchOut;
  const caught = bunted * popped * popCaught;
  const caughtOff = bunted * missed * figures.missedSuicide + pitchOut * figures.pitchOutDead;
  const safe = Math.max(0, 1 - batterOut - leadOut);
  const shares = {
    scored: bunted * fair * (1 - leadOut - safe),
    scoredAndSafe: bunted * fair * safe,
    outAtHome: bunted * fair * leadOut,
    missed: caughtOff,
    foul: bunted * foul,
    popDouble: caught * popDouble,
    popOut: caught * (1 - popDouble),
  };
  // Missed and nobody caught off, or pitched out and got back: as good as another try.
  const left = 1 - Object.values(shares).reduce((sum, share) => sum + share, 0);
  return { ...shares, foul: shares.foul + Math.max(0, left) };
}

/** About as the pitcher lets go, seconds after the foot lands. */
const USUAL_SHOW_SECONDS = 0.1;

/**
 * What the best bunt by these people comes to: on so coarse a map that a whole line-up can be asked about, good to
 * about .02 a share.
 */
export function knownBunt(question: BuntQuestion): KnownBunt {
  const { skill, figures, play, breakSeconds, pitcherThrows } = question;
  const { best } = planBunt(question, gridOf(question, 20, 14));
  if (play !== 'suicide') return { bunt: sacrificeOutcomes(best, skill), squeeze: null };
  const pitchOut = pitchOutChance(
    { breakSeconds, showSeconds: USUAL_SHOW_SECONDS },
    pitcherThrows === 'right' ? 1 : figures.lefthanderSees,
    figures,
  );
  return { bunt: null, squeeze: squeezeOutcomes(best, skill, pitchOut, figures) };
}
