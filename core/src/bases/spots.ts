import type { Ruleset } from '../rules/index.ts';
import type { Bag, Place } from '../units/index.ts';
import { placeOfBag } from '../units/index.ts';
import type { BasesFigures } from './figures.ts';
import { placeAt } from './outfield.ts';

export const OUTFIELD = ['LF', 'CF', 'RF'] as const;
export type Outfielder = (typeof OUTFIELD)[number];

/** Where outfielders play and who is in their way, degrees from the first-base line. Judgement. */
const USUAL_DEGREES: Record<Outfielder, number> = { LF: 70, CF: 45, RF: 20 };
/** Center fielders play this much deeper. Judgement. */
const CENTER_DEEPER = 1.06;

/** How the outfield may be told to play. */
export const OUTFIELD_SHADES = ['straight', 'noDoubles', 'shadeLeft', 'shadeRight'] as const;
export type OutfieldShade = (typeof OUTFIELD_SHADES)[number];

/** Against a double they play so much deeper, and shaded so many degrees around. Judgement. */
const NO_DOUBLES_DEEPER = 1.07;
const SHADED_DEGREES = { straight: 0, noDoubles: 0, shadeLeft: 5, shadeRight: -5 };

/** Where an outfielder plays, who has been told nothing else. */
export function usualOutfieldSpot(
  fielder: Outfielder,
  { outfieldDepth }: Pick<BasesFigures, 'outfieldDepth'>,
  shade: OutfieldShade = 'straight',
): Place {
  const deeper = shade === 'noDoubles' ? NO_DOUBLES_DEEPER : 1;
  const depth = outfieldDepth * (fielder === 'CF' ? CENTER_DEEPER : 1) * deeper;
  return placeAt(USUAL_DEGREES[fielder] + SHADED_DEGREES[shade], depth);
}

/** Whose ball it is by its direction. */
export function outfielderFor(degrees: number): Outfielder {
  if (degrees > 57) return 'LF';
  return degrees < 33 ? 'RF' : 'CF';
}

/** An outfielder's arm when it was not timed, mph. */
export function usualArm(fielder: Outfielder, figures: BasesFigures): number {
  return { LF: figures.leftArm, CF: figures.centerArm, RF: figures.rightArm }[fielder];
}

/** Where the cutoff man stands for a throw home: from third-base side to first-base side, on 90 ft bases. Agreed. */
const CUTS_HOME = {
  baseball: {
    base: 90,
    third: { x: 20, y: 72 },
    middle: { x: 46, y: 46 },
    first: { x: 62, y: 30 },
  },
  softball: {
    base: 60,
    third: { x: 14, y: 48 },
    middle: { x: 31, y: 31 },
    first: { x: 42, y: 20 },
  },
} as const;
/** For a throw to another base he lines up so far before it, as a share of the base distance. Judgement. */
const CUT_SHORT_OF = 0.6;

/** Where the cutoff man stands. */
export function cutoffSpot(
  ballAt: Place,
  target: Bag,
  { sport, baseDistanceFeet }: Pick<Ruleset, 'sport' | 'baseDistanceFeet'>,
): Place {
  if (target !== 4) {
    const to = placeOfBag(target, baseDistanceFeet);
    const feet = Math.hypot(ballAt.x - to.x, ballAt.y - to.y);
    const share = Math.min(0.5, (CUT_SHORT_OF * baseDistanceFeet) / feet);
    return { x: to.x + (ballAt.x - to.x) * share, y: to.y + (ballAt.y - to.y) * share };
  }
  const { base, third, middle, first } = CUTS_HOME[sport];
  const degrees = (Math.atan2(ballAt.y, ballAt.x) * 180) / Math.PI;
  const side = degrees > 45 ? third : first;
  const out = Math.min(1, Math.abs(degrees - 45) / 27);
  const share = baseDistanceFeet / base;
  return {
    x: (middle.x + (side.x - middle.x) * out) * share,
    y: (middle.y + (side.y - middle.y) * out) * share,
  };
}
