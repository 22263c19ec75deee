import { drawn, type Random } from '../maths/index.ts';
import { holdAt, PAUSE_LAW, type HoldLaw } from './law.ts';

/** What ends a hold. */
export type HoldEnd = 'pitch' | 'pitchOut' | 'throwOver' | 'stepOff';

/** One hold of a plan. */
export interface PlannedHold {
  seconds: number;
  ends: HoldEnd;
  looks: 0 | 1 | 2;
}

/** How often each of them is done, 0..1. */
export interface PlanShares {
  throwOver: number;
  pitchOut: number;
}

/** Of holds that are not cut, so many end by stepping off all the same. Judgement. */
const STEP_OFF = 0.05;

/**
 * Holds that give a runner nothing to time: each drawn by itself, never shuffled, so that what is left tells nothing.
 * How it ends and how often they look do not depend on how long it lasts, but that what is cut ends by stepping off.
 */
export function holdPlan(
  count: number,
  law: HoldLaw,
  { throwOver, pitchOut }: PlanShares,
  random: Random,
): PlannedHold[] {
  return Array.from({ length: count }, (): PlannedHold => {
    const seconds = holdAt(random(), law);
    const throwsOver = random() < throwOver;
    const stepsOff = random() < STEP_OFF;
    const pitchesOut = random() < pitchOut;
    const looks = drawn([1, 1, 1], random) as PlannedHold['looks'];
    if (seconds >= law.cutSeconds) return { seconds: law.cutSeconds, ends: 'stepOff', looks };
    const ends = throwsOver
      ? 'throwOver'
      : stepsOff
        ? 'stepOff'
        : pitchesOut
          ? 'pitchOut'
          : 'pitch';
    return { seconds, ends, looks };
  });
}

/**
 * Pauses before the wind-up, where nobody leads off and there is nobody to look at: a runner who starts to rock with the
 * first move has no count to start on. What is cut is pitched all the same.
 * @param pitchOut how often, 0..1
 */
export function pausePlan(count: number, pitchOut: number, random: Random): PlannedHold[] {
  return Array.from({ length: count }, (): PlannedHold => {
    const seconds = Math.min(PAUSE_LAW.cutSeconds, holdAt(random(), PAUSE_LAW));
    return { seconds, ends: random() < pitchOut ? 'pitchOut' : 'pitch', looks: 0 };
  });
}
