export { chanceBothBefore } from './bothBefore.ts';
export { chanceAt, chanceSafe, doubtSeconds, readyRace, type Race } from './chance.ts';
export { coverSeconds, type Cover } from './cover.ts';
export { breakEven, needsOf, secondsNeeded } from './needs.ts';
export {
  pitchesFor,
  pitchMix,
  PITCHES,
  PITCH_EFFECTS,
  type Count,
  type Pitch,
  type WeightedPitch,
} from './pitches.ts';
export type { TagAtBase } from './tag.ts';
export {
  ONE_BOUNCE_REACH,
  reachFeet,
  SPEED_PER_MPH,
  throwBouncingSeconds,
  throwSeconds,
} from './throws.ts';
