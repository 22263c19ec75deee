export { distanceAfter, speedAfter, timeToCover, type SpeedCurve } from './curve.ts';
