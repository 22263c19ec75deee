import type { Spread } from '../maths/index.ts';
import {
  HIPS_FEET,
  picksAtSecond,
  type Cue,
  type Hips,
  type OwnReturn,
  type SecondPick,
} from '../leads/index.ts';
import type { Level } from '../timing/index.ts';

/** Where everybody is with a runner on second. Feet. */
export interface AtSecond {
  level: Level;
  leadFeet: number;
  /** The shortstop's hips against the runner's. */
  hips: Hips;
  /** How deep the shortstop is. */
  depthFeet: number;
  secondBasemanFeet: number;
  /** Whether their coach calls the break, or the runner sees the turn. */
  cue: Cue;
  /** First move to glove at second. */
  spin: Spread;
  own?: OwnReturn;
}

/** A pick that gets the runner more seldom is not worth the throw. Judgement. */
export const WORTH_A_PICK = 0.05;
const RISK = 0.02;

/** The picks at second, what gets the runner most often first. Chances 0..1. */
export function picksOn({
  level,
  leadFeet,
  hips,
  depthFeet,
  secondBasemanFeet,
  cue,
  spin,
  own,
}: AtSecond): { pick: SecondPick; chance: number }[] {
  return picksAtSecond(
    {
      level,
      runner: { alongFeet: leadFeet, behindFeet: 0 },
      shortstop: { alongFeet: leadFeet + HIPS_FEET[hips], behindFeet: depthFeet },
      secondBasemanFeet,
      cue,
      spin,
      ...(own && { own }),
    },
    RISK,
  )
    .map(({ pick, chance }) => ({ pick, chance }))
    .toSorted((a, b) => b.chance - a.chance);
}
