export { distanceAfter, speedAfter, timeToCover, type SpeedCurve } from './curve.ts';
export { simulateGateRun } from './gateRun.ts';
export { missingOf, wantedOf, type Missing } from './missing.ts';
export {
  compareStarts,
  compareStyles,
  populationsOf,
  type Difference,
  type Population,
  type StartComparison,
} from './populations.ts';
export {
  commonLeadFeet,
  SLIDE_STEP_SAVES_SECONDS,
  secondsPerFoot,
  typicalTime,
  type Field,
  type Mover,
} from './typical.ts';
