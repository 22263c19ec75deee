import { type Count, type Pitch } from '@bradyon/core/race';
import type { Person } from '@bradyon/core/people';
import type { StealKind } from '@bradyon/core/steals';
import type { PersonId } from '@bradyon/core/units';
import { create } from 'zustand';

/** What the coach supposes about the next pitch and the steal; not who is out there, which all screens share. */
export interface Supposed {
  /** Going home instead of to the base the other screens time for. */
  toHome: boolean;
  kind: StealKind | null;
  /** null: whatever comes, by the count. */
  pitch: Pitch | null;
  /** null: any count. */
  count: Count | null;
  batter: 'right' | 'left' | null;
  /** Bag to the man who covers on a delayed steal, feet; null: where he usually plays. */
  coverFeet: number | null;
  /** Another lead than a runner's own, to see what it changes; null: his own. */
  lead: { runnerId: PersonId; feet: number } | null;
}

export const NOTHING_SUPPOSED: Supposed = {
  toHome: false,
  kind: null,
  pitch: null,
  count: null,
  batter: null,
  coverFeet: null,
  lead: null,
};

/** The lead supposed for a runner, else his own; null: the usual one. */
export function leadOf({ lead }: Supposed, { id, leadFeet }: Person): number | null {
  return lead?.runnerId === id ? lead.feet : leadFeet;
}

/** Forgotten with the page: a supposition of yesterday's pitch helps nobody. */
export const useSupposed = create<Supposed>()(() => NOTHING_SUPPOSED);
