export { chanceBothBefore } from './bothBefore.ts';
export {
  chanceAt,
  chanceInterval,
  chanceSafe,
  doubtSeconds,
  readyRace,
  type Chance,
  type Race,
  type RacePart,
  type ReadyRace,
} from './chance.ts';
export { coverSeconds, type Cover } from './cover.ts';
export { breakEven, needsOf, secondsNeeded, type Needs } from './needs.ts';
export {
  FASTBALL,
  pitchesFor,
  pitchMix,
  PITCHES,
  PITCH_EFFECTS,
  type Count,
  type Expected,
  type Pitch,
  type PitchEffect,
  type WeightedPitch,
} from './pitches.ts';
export type { TagAtBase } from './tag.ts';
