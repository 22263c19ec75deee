export { holdLaw } from './law.ts';
export { holdPlan, pausePlan, type HoldEnd, type PlannedHold } from './plan.ts';
export { GUESSED_JUMP_SECONDS, LEANING_OUT, readable, type Readable } from './readable.ts';
export { throwOver, withinLimit, type ThrowOver } from './throwOver.ts';
export {
  leaveAimOn,
  leavesEarly,
  MIXED_SPREAD_SECONDS,
  throwBehind,
  windUpOf,
  type BehindJudged,
} from './leaving.ts';
export { picksOn, WORTH_A_PICK } from './atSecond.ts';
export { holding, type Holding } from './needs.ts';
