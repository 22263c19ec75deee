export { BASES_FIGURES, type BasesFigureKey, type BasesFigures } from './figures.ts';
export { flyBall, type Flight } from './flight.ts';
export { holdMargin, lastStop, type Alertness, type LastStop } from './lastStop.ts';
export {
  controlledSeconds,
  fullSeconds,
  turningLeg,
  type Pace,
  type TurningLeg,
  type TurningRunner,
} from './leg.ts';
export {
  HIT_SPEEDS,
  outfieldFeetAfter,
  outfieldMeet,
  placeAt,
  SOFTBALL_HIT_SPEEDS,
  type BallToOutfield,
  type Fielded,
  type HitSpeed,
} from './outfield.ts';
export {
  ballTimes,
  SEND_BAND_SECONDS,
  sendBand,
  sendRace,
  type BallTimes,
  type OutfieldPlay,
  type SendRace,
  type SendStakes,
} from './send.ts';
export { breakEvenCatch, halfwayFeet, tagUpSeconds, type CatchSeen } from './tagUp.ts';
export {
  bestBow,
  bowPieces,
  bowTime,
  noTurn,
  sharpTurn,
  speedProfile,
  type Bow,
  type BowRun,
  type Curve,
  type Profile,
  type TurnLimits,
} from './turn.ts';
export { FIELD_FIGURES, NO_FIELD_CHANGES, type FieldChanges } from './field.ts';
export { armByThrows, throwByArm } from './arms.ts';
export { halfwayFor, planTag, tagDepth, type TagPlan, type TagQuestion } from './flyPlan.ts';
export { GOOD_READ, planGrounder, type GrounderPlan } from './grounder.ts';
export {
  APPROACHES,
  bagsOf,
  planSend,
  SENDS,
  sendNeed,
  turnDepth,
  type Approach,
  type Send,
  type SendPlan,
  type SendQuestion,
  type SendVerdict,
} from './sendPlan.ts';
export {
  cutoffSpot,
  OUTFIELD,
  outfielderFor,
  usualArm,
  usualOutfieldSpot,
  type Outfielder,
} from './spots.ts';
