export {
  anyLength,
  earState,
  EAR_PLANS,
  withMoment,
  type EarPlan,
  type EarPlanName,
  type EarState,
  type HeardChain,
  type Hearing,
  type Moment,
} from './chain.ts';
export { envelopeOf, onsetsOf } from './clipSound.ts';
export { makeEar, type Loudness, type Onset } from './detector.ts';
export { makeSound, type MadeBurst, type MadeNoise } from './madeSound.ts';
export { firstMoveOf, luminanceOf, motionBetween } from './motion.ts';
export {
  AT_BASE_SD_FEET,
  doubtBesideThumb,
  doubtBetween,
  happenedAt,
  IN_OUTFIELD_SD_FEET,
  lateBySeconds,
  speedOfSound,
  TYPICAL_DELAY_SECONDS,
  type Source,
  type Stand,
} from './way.ts';
