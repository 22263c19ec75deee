export { BASES, TARGET_BASES, type Base, type TargetBase } from './bases.ts';
export { dayIn, isTimeZone } from './days.ts';
export type {
  AccountId,
  BuntTryId,
  FielderLookId,
  LeadLookId,
  PracticeId,
  RepId,
  GameEntryId,
  GameId,
  PassId,
  DrillPassId,
  SignAnswerId,
  SignVersionId,
  GateDeviceId,
  GateRunId,
  Id,
  InviteId,
  OpponentId,
  PersonId,
  ReadingId,
  TestDiveId,
  TeamId,
  ThumbRepId,
  TogetherId,
} from './ids.ts';
export { feetBetween, placeOfBag, type Bag, type Place } from './places.ts';
export { FEET_PER_METER, roundToMillisecond, secondsBetween } from './quantities.ts';
