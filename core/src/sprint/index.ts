export { distanceAfter, speedAfter, timeToCover, type SpeedCurve } from './curve.ts';
export { diveSeconds } from './dive.ts';
export { fitSprint, predictRun, type TimedRun } from './fit.ts';
export { simulateGateRun } from './gateRun.ts';
export { missingOf, wantedOf, type Missing } from './missing.ts';
export {
  compareStarts,
  compareStyles,
  expectedTime,
  populationsOf,
  type Difference,
  type Population,
  type StartComparison,
} from './populations.ts';
export { countOf, runnerOf, type Runner } from './runner.ts';
export { runSeconds, runSpreadSeconds, type Gait, type Run } from './runs.ts';
export {
  commonLeadFeet,
  conditionsOf,
  secondsPerFoot,
  typicalTime,
  usualRun,
  usualStart,
  type Conditions,
} from './typical.ts';
