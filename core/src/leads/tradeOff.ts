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
