import type { Approach, CatchSeen, HitSpeed, Outfielder, Send } from '@bradyon/core/bases';
import type { Place } from '@bradyon/core/units';
import { create } from 'zustand';

/** How strong an outfielder's arm is taken to be. */
export const ARM_LOOKS = ['timed', 'usual', 'strong', 'weak'] as const;
export type ArmLook = (typeof ARM_LOOKS)[number];

/** The ball, the outfielder and the runner as the coach sees them. */
export interface BasesDraft {
  /** null: what the bases call for. */
  send: Send | null;
  degrees: number;
  hit: HitSpeed;
  approach: Approach;
  bobbled: boolean | null;
  arm: ArmLook;
  cutoff: boolean;
  /** Outfielders that were dragged. */
  moved: Partial<Record<Outfielder, Place>>;
  /** Fly balls: whose bag, who sees the catch, how deep. */
  tagFrom: 1 | 2 | 3;
  seen: CatchSeen;
  flyFeet: number | null;
  turn: 'homeToSecond' | 'secondToHome';
  /** The team's own swing, feet outside the line and short of the bag. */
  outFeet: number;
  shortFeet: number;
}

const NEW_BASES: BasesDraft = {
  send: null,
  degrees: 70,
  hit: 'medium',
  approach: 'usual',
  bobbled: null,
  arm: 'timed',
  cutoff: true,
  moved: {},
  tagFrom: 3,
  seen: 'ownEyes',
  flyFeet: null,
  turn: 'homeToSecond',
  outFeet: 8,
  shortFeet: 28,
};

/** Forgotten with the page, as every supposition. */
export const useBasesDraft = create<BasesDraft>()(() => NEW_BASES);
