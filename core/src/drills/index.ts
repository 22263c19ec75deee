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
  type CallDrill,
  type CallDrillName,
  type Rep,
  type Sense,
  type Start,
  type StartVerdict,
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
  type Reach,
} from './dives.ts';
export {
  bestAim,
  judgeLandings,
  judgeLeaves,
  LANDS_BEFORE_MITT_SECONDS,
  ownSpread,
  type LeaveAim,
  type LeaveSeries,
  type LandingSeries,
} from './leave.ts';
export { capsAt, paceOf, sprintsOf, type Caps, type Pace } from './pace.ts';
export {
  compareStarts,
  estimateStart,
  OUTPUT_LATE_SECONDS,
  repsBothDays,
  repsToTell,
  START_MEASURES,
  type StartComparison,
  type StartEstimate,
  type StartMeasure,
} from './reaction.ts';
export {
  bestLean,
  chanceByJump,
  CUE_STAKES,
  CUES,
  judgeReads,
  readWorth,
  type Cue,
  type ReadJudgement,
} from './reads.ts';
export { judgeShow, judgeSqueezes, squeezeScore, type SqueezeSeries } from './show.ts';
export {
  answerShown,
  STAIRCASE,
  nextShown,
  readAfterMonths,
  readBefore,
  USUAL_READ_SECONDS,
  type ReadLevel,
} from './staircase.ts';
