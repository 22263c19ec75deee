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
export { shortfall } from './counted.ts';
export {
  advisedLead,
  DIVES,
  isReachKnown,
  nextLead,
  nextLeadOnPaper,
  reachAfter,
  reachBefore,
  searchLead,
  type DiveResult,
} from './dives.ts';
export {
  bestAim,
  judgeLandings,
  judgeLeaves,
  LANDS_BEFORE_MITT_SECONDS,
  ownSpread,
} from './leave.ts';
export { ageAt, capsAt, paceOf, sprintsOf } from './pace.ts';
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
export {
  practiceMinutes,
  clashesOf,
  isStation,
  partAt,
  partsOf,
  repsAt,
  sprintsIn,
  type Clash,
  type OwnStation,
  type Practice,
} from './practice.ts';
export { planPractice, type NoPlan, type PracticePlan, type PracticeQuestion } from './plan.ts';
export { progressOf, type Progress } from './progress.ts';
export {
  compareTechniques,
  FEET_OF_BODY,
  judgeBlock,
  levelOf,
  meanWait,
  reactionOf,
  readJudgement,
  REP_MEASURES,
  repsOf,
  seenAgainstHeard,
  SEND_ANSWERS,
  SENSES,
  startVerdict,
  TECHNIQUES,
  techniquesOf,
  WAYS,
  type KeptRep,
  type LandingRep,
  type LeaveRep,
  type ReadRep,
  type Rep,
  type RepMeasure,
  type SendRep,
  type StartRep,
  type Technique,
} from './reps.ts';
export {
  deciderOf,
  drawSituation,
  judgeSend,
  leanOf,
  lostBy,
  SEND_LEVELS,
  sendScore,
  sendSession,
  type Decider,
  type SendAnswer,
  type SendJudgement,
  type SendLevel,
  type SendLevelName,
  type SendSituation,
} from './sendHold.ts';
export {
  lineUp,
  makeGroups,
  needs,
  STATION_NAMES,
  STATIONS,
  type PracticePlayer,
  type StationName,
} from './stations.ts';
export { buntStands, type CountedTask, type TaskStand } from './buntTasks.ts';
