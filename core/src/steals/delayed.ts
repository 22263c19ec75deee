import { type Spread } from '../maths/index.ts';
import { chanceBothBefore, coverSeconds, type Cover, type TagAtBase } from '../race/index.ts';
import type { Level, DoubtfulSpread } from '../timing/index.ts';

/** Throws go away so many times as often when a steal surprises, but never more often than this. Agreed. */
const SURPRISED_WILD_TIMES = 1.5;
const WILD_MOST = 0.6;

/** How uneven his start is, as the ball reaches the mitt (standard deviation), seconds. Agreed. */
const START_SD_SECONDS = 0.06;

/** Where the man who covers plays, as long as it is not said. Judgement. */
export const USUAL_COVER_FEET = 38;

/** He sees the runner late. Agreed. */
export function coverOnDelayed(feet: number): Cover {
  return { feet, reactSeconds: 0.45, sdSeconds: Math.hypot(0.15, 0.1), reachFeet: 3 };
}

/** What races on a delayed steal, on the clock of the ball in the mitt. */
export interface DelayedRace {
  level: Level;
  surprise: DoubtfulSpread;
  pop: DoubtfulSpread;
  run: DoubtfulSpread;
  cover: Cover;
}

/** How often throws go away on a delayed steal. */
export function wildOnDelayed({ throws }: Pick<Level, 'throws'>): number {
  return Math.min(WILD_MOST, throws.wild * SURPRISED_WILD_TIMES);
}

/**
 * The chance that he is safe on a delayed steal: the ball waits for whoever covers.
 * @param moreSeconds time he has beside what the race gives him
 * @param which sdSeconds: all that is uneven or in doubt; spreadSeconds: unevenness alone
 */
export function chanceDelayed(
  { level, surprise, pop, run, cover }: DelayedRace,
  moreSeconds: number,
  which: 'sdSeconds' | 'spreadSeconds' = 'sdSeconds',
): number {
  const { tag, throws } = level;
  const wild = wildOnDelayed(level);
  const onLine = ((1 - wild) * throws.onLine) / (throws.onLine + throws.offLine);
  const tags: TagAtBase[] = [
    { share: onLine, seconds: tag.onLineSeconds, sdSeconds: tag.onLineSdSeconds },
    { share: 1 - wild - onLine, seconds: tag.offLineSeconds, sdSeconds: tag.offLineSdSeconds },
  ];
  const ball: Spread = {
    meanSeconds: surprise.meanSeconds + pop.meanSeconds,
    sdSeconds: Math.hypot(surprise[which], pop[which]),
  };
  const man: Spread = { meanSeconds: coverSeconds(level, cover), sdSeconds: cover.sdSeconds };
  const runSd = Math.hypot(run[which], START_SD_SECONDS);
  return 1 - chanceBothBefore(ball, man, run.meanSeconds - moreSeconds, runSd, tags);
}
