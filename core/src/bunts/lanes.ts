import type { Bases } from '../innings/index.ts';
import type { Sport } from '../rules/index.ts';
import type { Alignment } from './alignment.ts';
import type { BuntPlay } from './plan.ts';

/** Lanes that a coach names: a side, and how hard. */
export type Lane =
  | 'thirdSoft'
  | 'thirdFirm'
  | 'dead'
  | 'pitcher'
  | 'firstSoft'
  | 'firstFirm'
  | 'thirdLine'
  | 'push'
  | 'slapThrough';

/** The direction and the roll of a lane; softball's bases are nearer. Agreed. */
const LANE_AIMS: Record<Sport, Record<Lane, { degrees: number; rollFeet: number }>> = {
  baseball: {
    thirdSoft: { degrees: 78, rollFeet: 28 },
    thirdFirm: { degrees: 78, rollFeet: 48 },
    dead: { degrees: 45, rollFeet: 24 },
    pitcher: { degrees: 45, rollFeet: 42 },
    firstSoft: { degrees: 12, rollFeet: 28 },
    firstFirm: { degrees: 12, rollFeet: 42 },
    thirdLine: { degrees: 80, rollFeet: 40 },
    push: { degrees: 14, rollFeet: 60 },
    slapThrough: { degrees: 62, rollFeet: 60 },
  },
  softball: {
    thirdSoft: { degrees: 76, rollFeet: 14 },
    thirdFirm: { degrees: 76, rollFeet: 26 },
    dead: { degrees: 45, rollFeet: 12 },
    pitcher: { degrees: 45, rollFeet: 20 },
    firstSoft: { degrees: 14, rollFeet: 14 },
    firstFirm: { degrees: 14, rollFeet: 20 },
    thirdLine: { degrees: 78, rollFeet: 22 },
    push: { degrees: 14, rollFeet: 36 },
    slapThrough: { degrees: 62, rollFeet: 56 },
  },
};

export function aimOfLane(lane: Lane, sport: Sport): { degrees: number; rollFeet: number } {
  return LANE_AIMS[sport][lane];
}

/** The lanes that are worth comparing for a play. */
export function lanesFor(play: BuntPlay): Lane[] {
  if (play === 'slap') return ['thirdLine', 'thirdSoft', 'firstSoft', 'slapThrough'];
  if (play === 'hit') return ['thirdLine', 'thirdSoft', 'firstSoft', 'push'];
  return ['thirdSoft', 'thirdFirm', 'dead', 'pitcher', 'firstSoft', 'firstFirm'];
}

/** Where most coaches teach to put it against this defence. */
export function textbookLane(play: BuntPlay, bases: Bases, { first, third }: Alignment): Lane {
  switch (play) {
    case 'slap':
      return 'slapThrough';
    case 'hit':
      return third === 'in' || third === 'crash' ? 'push' : 'thirdLine';
    case 'suicide':
      return 'dead';
    case 'safety':
      return 'firstFirm';
    case 'sacrifice':
      if (first === 'crash' && third === 'crash') return 'dead';
      if (bases & 2) return 'thirdFirm';
      return first === 'crash' ? 'thirdFirm' : 'firstFirm';
  }
}
