import { normalCdf, type Spread } from '../maths/index.ts';
import type { TagAtBase } from './tag.ts';

const POINTS = 200;
const WIDTH = 7;

/**
 * The chance that ball and man are both there, and the tag made, before he is back: Simpson's rule
 * over his return less the tag, seven deviations to each side.
 */
export function chanceBothBefore(
  ball: Spread,
  man: Spread,
  backSeconds: number,
  backSdSeconds: number,
  tags: readonly TagAtBase[],
): number {
  return tags.reduce((sum, tag) => {
    const sd = Math.hypot(backSdSeconds, tag.sdSeconds);
    const inside = (z: number): number => {
      const by = backSeconds - tag.seconds + sd * z;
      return (
        Math.exp(-(z * z) / 2) *
        normalCdf((by - ball.meanSeconds) / ball.sdSeconds) *
        normalCdf((by - man.meanSeconds) / man.sdSeconds)
      );
    };
    return sum + (tag.share * simpson(inside)) / Math.sqrt(2 * Math.PI);
  }, 0);
}

function simpson(value: (z: number) => number): number {
  const step = (2 * WIDTH) / POINTS;
  let sum = value(-WIDTH) + value(WIDTH);
  for (let index = 1; index < POINTS; index += 1) {
    sum += (index % 2 === 1 ? 4 : 2) * value(-WIDTH + index * step);
  }
  return (sum * step) / 3;
}
