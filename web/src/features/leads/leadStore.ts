import type { Corner, Cue, LeadMode, Stride } from '@bradyon/core/leads';
import type { PersonId } from '@bradyon/core/units';
import { create } from 'zustand';

/** How far a third-base lead is taken, by the school a coach is of. */
export const THIRD_SCHOOLS = ['asFar', 'walking', 'delayed'] as const;
export type ThirdSchool = (typeof THIRD_SCHOOLS)[number];

/** A place against the base path, feet; behind is the outfield side. */
interface Off {
  along: number;
  behind: number;
}

/** What the coach has put where, and what he asks for. */
export interface LeadDraft {
  mode: LeadMode;
  corner: Corner;
  /** Out on so many throws over, 0..1. */
  risk: number;
  /** A lead off first that is being tried; null: the runner's own. */
  first: { runnerId: PersonId; feet: number } | null;
  /** How far the first baseman plays off the bag; 0 holds the runner on. */
  firstBasemanFeet: number;
  stride: Stride;
  cue: Cue;
  twoOuts: boolean;
  second: Off;
  shortstop: Off;
  secondBaseman: Off;
  school: ThirdSchool;
  thirdFeet: number;
  thirdBasemanFeet: number;
}

export const RISKS = ['0.01', '0.02', '0.05'] as const;

export const useLeadDraft = create<LeadDraft>()(() => ({
  mode: 'twoWay',
  corner: 'back',
  risk: 0.02,
  first: null,
  firstBasemanFeet: 0,
  stride: 'big',
  cue: 'turn',
  twoOuts: false,
  second: { along: 14, behind: 0 },
  shortstop: { along: 18, behind: 10 },
  secondBaseman: { along: 22, behind: 12 },
  school: 'asFar',
  thirdFeet: 12,
  thirdBasemanFeet: 15,
}));
