export { armAnswer, armQuestions, ARM_SIGNALS, type ArmQuestion, type ArmSignal } from './arms.ts';
export { EMPTY_BOOK, signsAt, signsNow, type SignBook, type SignVersion } from './book.ts';
export { contextsOf } from './contexts.ts';
export { decode } from './decode.ts';
export { fixesFor, type FixKind } from './fixes.ts';
export { signGenerator, tuneIdle, type Meaning, type TouchWeights } from './generate.ts';
export { loadOf } from './learn.ts';
export { afterSign, missOf, missPrior, pairMisses } from './misses.ts';
export { issueNumberCard, type NumberCard } from './numberCard.ts';
export {
  drillRound,
  dueSigns,
  isCritical as isCriticalPlay,
  isMissed,
  knownSigns,
  type DrillItem,
  type SignAnswer,
} from './round.ts';
export {
  freeTouches,
  hotTouches,
  inSchool,
  newSystem,
  phraseFor,
  PICKOFF_PLAYS,
  schoolOf,
  SCHOOLS,
  SIGN_PLAYS,
  type School,
} from './schools.ts';
export { slipsOf, type PlaySlips } from './slips.ts';
export {
  NOTHING_WATCHED,
  rotationFactor,
  strengthOf,
  USUAL_GIVING,
  watchedBoth,
  watchedBy,
  type Giving,
  type Strength,
} from './strength.ts';
export {
  indicatorIn,
  type Indicator,
  type Scheme,
  type SignContext,
  type SignSystem,
  type Touch,
} from './system.ts';
export { TOUCH_SPOTS } from './touches.ts';
export { traceOf, type TouchRole } from './trace.ts';
export { validate, type SignIssue } from './validate.ts';
