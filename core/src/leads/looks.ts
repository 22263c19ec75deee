import { EIGHT_IN_TEN } from '../maths/index.ts';
import type { Ruleset } from '../rules/index.ts';
import { commonLeadFeet } from '../sprint/index.ts';

/** The bases whose leads are looked at. */
export const LEAD_BASES = ['first', 'second'] as const;
export type LeadBase = (typeof LEAD_BASES)[number];

/** When it was looked at: as the pitcher was set; where nobody leads off, as the ball was in the mitt. */
export const LEAD_MOMENTS = ['set', 'mitt'] as const;
export type LeadMoment = (typeof LEAD_MOMENTS)[number];

/** How far off a runner was seen. */
export interface LeadLook {
  base: LeadBase;
  moment: LeadMoment;
  /** Bag edge to the runner's hips. Feet. */
  feet: number;
}

/** What the looks at one runner's lead say. */
export interface KnownLead {
  feet: number;
  /** It lies within this of the figure, eight times in ten. Feet. */
  giveOrTakeFeet: number;
  looks: number;
}

/** A standing lead off second on bases 90 ft apart. Agreed. */
export const STANDING_OFF_SECOND_FEET = 16;
/** How far off a runner who may leave only with the pitch has got when it is caught, by the base path. Judgement. */
const AT_MITT_SHARE: Record<Exclude<Ruleset['leadRule'], 'open'>, number> = {
  atRelease: 0.15,
  reachesBatter: 0.05,
};

/** How far runners' leads lie apart, one lead from another of the same runner, and what an eye adds. Feet, judgement. */
const BETWEEN_FEET = 1.5;
const WITHIN_FEET = 0.9;
const EYE_FEET = 1.2;

/** When a lead is looked at under these rules. */
export function momentOf({ leadRule }: Pick<Ruleset, 'leadRule'>): LeadMoment {
  return leadRule === 'open' ? 'set' : 'mitt';
}

/** How far off the runners of a level are when they are looked at. Feet. */
export function usualLookFeet(base: LeadBase, ruleset: Ruleset): number {
  const { leadRule, baseDistanceFeet } = ruleset;
  if (leadRule !== 'open') return AT_MITT_SHARE[leadRule] * baseDistanceFeet;
  return base === 'first'
    ? (commonLeadFeet({ kind: 'steal', base: 'second' }, ruleset) ?? 0)
    : (STANDING_OFF_SECOND_FEET * baseDistanceFeet) / 90;
}

/**
 * How far a runner leads off, by what was seen: near the usual lead from one look, near the looks from many.
 * @param feetSeen one base, one moment @param usualFeet of the level
 * @returns null where nothing was seen
 */
export function knownLead(feetSeen: readonly number[], usualFeet: number): KnownLead | null {
  if (feetSeen.length === 0) return null;
  const usualWeight = 1 / BETWEEN_FEET ** 2;
  const lookWeight = 1 / (WITHIN_FEET ** 2 + EYE_FEET ** 2);
  const weight = usualWeight + feetSeen.length * lookWeight;
  const sum = feetSeen.reduce((all, feet) => all + feet, 0);
  return {
    feet: (usualWeight * usualFeet + lookWeight * sum) / weight,
    giveOrTakeFeet: EIGHT_IN_TEN / Math.sqrt(weight),
    looks: feetSeen.length,
  };
}
