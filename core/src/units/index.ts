export { BASES, TARGET_BASES, type Base, type TargetBase } from './bases.ts';
export type { AccountId, Id, InviteId, OpponentId, PersonId, ReadingId, TeamId } from './ids.ts';
export { roundToMillisecond, secondsBetween } from './quantities.ts';
