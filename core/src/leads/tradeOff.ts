import { chancePicked, type Throw } from './picked.ts';

/** What a lead risks and what it wins. Chances 0..1. */
export interface LeadPoint {
  leadFeet: number;
  /** Out if they throw over. */
  picked: number;
  /** Safe at the next base if he goes. */
  safe: number;
}

/**
 * Leads side by side: each foot more costs about twice as much time coming back as it wins going.
 * @param toBase the throw over, at any lead
 * @param safeAt his chance at the next base from a lead
 */
export function tradeOff(
  toBase: Throw,
  safeAt: (leadFeet: number) => number,
  leads: readonly number[],
): LeadPoint[] {
  return leads.map((leadFeet) => ({
    leadFeet,
    picked: chancePicked({ ...toBase, stance: { ...toBase.stance, leadFeet } }),
    safe: safeAt(leadFeet),
  }));
}

/** What a base and an out are worth to the runner, in any one unit. */
export interface Stakes {
  /** Safe at the next base, over staying. */
  gain: number;
  /** Out, under staying. */
  cost: number;
}

/** How often the pitcher throws over from a lead that provokes nobody, a throw or a pitch at a time, 0..1. */
export const THROWS_OVER = { rarely: 0.1, sometimes: 0.3, often: 0.5 } as const;
export type ThrowsOver = keyof typeof THROWS_OVER;

/** He throws the more often the longer the lead: so much more for every foot above this. Agreed. */
const PROVOKING_FEET = 11;
const MORE_BY_FOOT = 0.12;
const MOST_OFTEN = 0.9;
const GRID_FEET = 0.25;

/** A lead that is worth most all in all. */
export interface BestLead {
  leadFeet: number;
  /** The leads around it that are worth as much within a twentieth of the gain. */
  fromFeet: number;
  toFeet: number;
}

/**
 * What a lead is worth while they throw over or pitch, again and again. In the unit of the stakes.
 * @param going what going on a pitch is worth, 0 where it does not pay @param away how often a throw over runs away
 * @param often how often they throw over, below 1
 */
export function leadWorth(
  { picked, going, away, often }: { picked: number; going: number; away: number; often: number },
  { gain, cost }: Stakes,
): number {
  const thrown = often * (away * gain - picked * cost);
  return (thrown + (1 - often) * going) / (1 - often * (1 - picked - away));
}

/**
 * The lead that is worth most when he goes on the next pitch if that pays: the pitcher throws over or
 * pitches, again and again; picked off costs an out, a throw away wins the base.
 * @param throwsOver how often he throws over at first, 0..1; it has to rise with the lead, or leads get absurd
 * @param leads the shortest and the longest looked at, feet
 * @returns null when going pays from none of them: then only the way back counts
 */
export function bestLead(
  toBase: Throw,
  safeAt: (leadFeet: number) => number,
  { gain, cost }: Stakes,
  throwsOver: number,
  [shortest, longest]: readonly [number, number],
): BestLead | null {
  // Half of what is thrown away to a base runs away from who covers it.
  const away = toBase.level.throws.wild / 2;
  const worthAt = (leadFeet: number): { worth: number; going: number } => {
    const picked = chancePicked({ ...toBase, stance: { ...toBase.stance, leadFeet } });
    const safe = safeAt(leadFeet);
    const going = Math.max(0, safe * gain - (1 - safe) * cost);
    const often = Math.min(
      MOST_OFTEN,
      throwsOver + MORE_BY_FOOT * Math.max(0, leadFeet - PROVOKING_FEET),
    );
    return { worth: leadWorth({ picked, going, away, often }, { gain, cost }), going };
  };
  const count = Math.round((longest - shortest) / GRID_FEET);
  const all = Array.from({ length: count + 1 }, (_, step) => {
    const leadFeet = shortest + step * GRID_FEET;
    return { leadFeet, ...worthAt(leadFeet) };
  });
  const best = all.reduce((most, each) => (each.worth > most.worth ? each : most));
  if (best.going === 0) return null;
  const alike = all.filter(({ worth }) => worth >= best.worth - gain * ALIKE);
  return {
    leadFeet: best.leadFeet,
    fromFeet: alike[0]?.leadFeet ?? best.leadFeet,
    toFeet: alike.at(-1)?.leadFeet ?? best.leadFeet,
  };
}

const ALIKE = 0.05;
