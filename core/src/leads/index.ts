export {
  CORNERS,
  LEAD_MODES,
  MODE_EFFECTS,
  returnSeconds,
  tagsAtBase,
  type OwnReturn,
  type Corner,
  type LeadMode,
  type Stance,
} from './back.ts';
export {
  CUES,
  daylight,
  HIPS,
  HIPS_FEET,
  longestDaylightLead,
  type Cue,
  type Hips,
} from './daylight.ts';
export {
  chancePicked,
  coverOfSecond,
  coverOfThird,
  longestLead,
  longestLeadBetween,
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
export { stepsToLead, walkOffThird, type Walk } from './feet.ts';
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
  leadWorth,
  THROWS_OVER,
  tradeOff,
  type BestLead,
  type Stakes,
  type ThrowsOver,
} from './tradeOff.ts';
export { judgeLeaving } from './leave.ts';
export {
  knownLead,
  LEAD_BASES,
  LEAD_MOMENTS,
  momentOf,
  STANDING_OFF_SECOND_FEET,
  usualLookFeet,
  type KnownLead,
  type LeadBase,
  type LeadLook,
} from './looks.ts';
export { fromSecond, hipsOf, picksAtSecond, type OffSecond, type SecondPick } from './second.ts';
