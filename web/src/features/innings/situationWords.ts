import { halfOf } from './game.ts';
import type { Situation } from './situation.ts';

const ON = [
  'nobody on',
  'runner on first',
  'runner on second',
  'first and second',
  'runner on third',
  'first and third',
  'second and third',
  'bases loaded',
];
export const OUT_TEXT = ['nobody out', 'one out', 'two out'];

/** Who is on, in words. */
export function onText(bases: number): string {
  return ON[bases] ?? '';
}

/** Where it stands, in words. @example 'runner on first, nobody out, bottom 7, tied' */
export function situationWords({
  bases,
  outs,
  inning,
  half,
  batting,
  lead,
  by,
}: Situation): string {
  const game =
    by === 'win'
      ? `, ${halfOf({ half, batting })} ${String(inning)}, ${scoreText(lead)}`
      : ', by runs';
  return `${onText(bases)}, ${OUT_TEXT[outs] ?? ''}${game}`;
}

/** @example scoreText(-2) // 'down 2' */
export function scoreText(lead: number): string {
  if (lead === 0) return 'tied';
  return `${lead > 0 ? 'up' : 'down'} ${String(Math.abs(lead))}`;
}
