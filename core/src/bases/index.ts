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
