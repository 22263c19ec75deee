export {
  CALL_DRILLS,
  CALLS,
  chanceOfLongerRun,
  flatLaw,
  hazard,
  isFair,
  judgeStart,
  longestAllowed,
  makeBlock,
  runsZ,
  waitOf,
  type Call,
  type CallDrillName,
  type Start,
  type WaitLaw,
} from './calls.ts';
export {
  advisedLead,
  DIVES,
  isReachKnown,
  nextLead,
  nextLeadOnPaper,
  reachAfter,
  reachBefore,
  type DiveResult,
} from './dives.ts';
export {
  bestAim,
  judgeLandings,
  judgeLeaves,
  LANDS_BEFORE_MITT_SECONDS,
  ownSpread,
} from './leave.ts';
export { capsAt, paceOf, sprintsOf } from './pace.ts';
export {
  compareStarts,
  estimateStart,
  OUTPUT_LATE_SECONDS,
  repsBothDays,
  repsToTell,
  START_MEASURES,
  type StartEstimate,
} from './reaction.ts';
export {
  bestLean,
  chanceByJump,
  CUE_STAKES,
  CUES,
  judgeReads,
  readWorth,
  type Cue,
} from './reads.ts';
export { judgeShow, judgeSqueezes, squeezeScore } from './show.ts';
export {
  answerShown,
  STAIRCASE,
  nextShown,
  readAfterMonths,
  readBefore,
  USUAL_READ_SECONDS,
} from './staircase.ts';
