export { BASES_FIGURES, type BasesFigures } from './figures.ts';
export { CONES, conesFor, throughFeet, type Cone, type ConesLaid } from './cones.ts';
export { flyBall } from './flight.ts';
export { lastStop, type Alertness } from './lastStop.ts';
export { controlledSeconds, fullSeconds, type Pace, type TurningRunner } from './leg.ts';
export { outfieldMeet, placeAt, type HitSpeed } from './outfield.ts';
export { ballTimes, sendBand, sendRace, type OutfieldPlay } from './send.ts';
export { breakEvenCatch, halfwayFeet, tagUpSeconds, type CatchSeen } from './tagUp.ts';
export {
  bestBow,
  bowTime,
  noTurn,
  sharpTurn,
  speedProfile,
  type Bow,
  type BowRun,
  type Curve,
  type TurnLimits,
} from './turn.ts';
export { FIELD_FIGURES, NO_FIELD_CHANGES, type FieldChanges } from './field.ts';
export { armByThrows, throwByArm } from './arms.ts';
export { halfwayFor, planTag, tagDepth, type TagQuestion } from './flyPlan.ts';
export {
  GOOD_READ,
  INFIELD_DEPTHS,
  planGrounder,
  tagPlay,
  type GrounderPlan,
  type GrounderQuestion,
  type InfieldDepth,
} from './grounder.ts';
export {
  FIELDER_LOOKS,
  habitsOf,
  type FielderLook,
  type Habit,
  type OutfieldHabits,
} from './habits.ts';
export {
  APPROACHES,
  bagsOf,
  planSend,
  sendChance,
  SENDS,
  turnDepth,
  type Approach,
  type Send,
  type SendPlan,
  type SendQuestion,
  type SendVerdict,
} from './sendPlan.ts';
export {
  OUTFIELD,
  OUTFIELD_SHADES,
  outfielderFor,
  usualArm,
  usualOutfieldSpot,
  type Outfielder,
  type OutfieldShade,
} from './spots.ts';
