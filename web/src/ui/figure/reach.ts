import type { Point } from './pose.ts';

/**
 * Where the elbow lies when a hand reaches for a place. What is too far is reached as far as the arm goes.
 * @param bend 1: the elbow points to the right of the way from shoulder to hand, -1: to the left
 */
export function reach(
  shoulder: Point,
  target: Point,
  { upper, fore, bend }: { upper: number; fore: number; bend: 1 | -1 },
): { elbow: Point; hand: Point } {
  const [dx, dy] = [target.x - shoulder.x, target.y - shoulder.y];
  const distance = Math.max(0.001, Math.hypot(dx, dy));
  const shortest = Math.abs(upper - fore) + 0.001;
  const length = Math.min(upper + fore - 0.001, Math.max(shortest, distance));
  const [ux, uy] = [dx / distance, dy / distance];
  const along = (upper * upper - fore * fore + length * length) / (2 * length);
  const off = Math.sqrt(Math.max(0, upper * upper - along * along)) * bend;
  return {
    elbow: { x: shoulder.x + ux * along + uy * off, y: shoulder.y + uy * along - ux * off },
    hand: { x: shoulder.x + ux * length, y: shoulder.y + uy * length },
  };
}
