export {
  CORNERS,
  LEAD_MODES,
  MODE_EFFECTS,
  returnSdSeconds,
  returnSeconds,
  tagsAtBase,
  TYPICAL_RETURN,
  type Corner,
  type LeadMode,
  type OwnReturn,
  type Stance,
} from './back.ts';
export {
  CUES,
  daylight,
  HIPS,
  HIPS_FEET,
  longestDaylightLead,
  type Cue,
  type Daylight,
  type DaylightPick,
  type Hips,
} from './daylight.ts';
export {
  chancePicked,
  coverOfSecond,
  coverOfThird,
  longestLead,
  longestLeadBetween,
  type DoubtfulThrow,
  type Throw,
} from './picked.ts';
export {
  chanceOnTime,
  secondaryPlan,
  STRIDES,
  STRIDE_RULES,
  type SecondaryPlan,
  type Stride,
} from './secondary.ts';
export { stepsToLead, walkOffThird, type Step, type Walk } from './feet.ts';
export {
  DIVE_RESULTS,
  ownReturn,
  rangeShown,
  type DiveResult,
  type KnownReturn,
  type TestDive,
} from './own.ts';
export {
  bestLead,
  THROWS_OVER,
  tradeOff,
  type BestLead,
  type LeadPoint,
  type Stakes,
  type ThrowsOver,
} from './tradeOff.ts';
export { judgeLeaving, type LeaveJudged } from './leave.ts';
export {
  fromSecond,
  hipsOf,
  picksAtSecond,
  SECOND_PICKS,
  type OffSecond,
  type PickAtSecond,
  type SecondPick,
  type SecondQuestion,
} from './second.ts';
