import { LEVELS, type Level, type LevelName } from './levels.ts';
import type { Reading } from './reading.ts';

/**
 * Whether a time lies outside what anybody of this level does, so that the coach is asked to keep
 * it or set it aside. It still counts until he does: a reading is never dropped silently.
 * Kinds the level has no limits for are never called wrong.
 * @param reading seconds, kind and base of one reading
 * @param levelName the team's level of play
 */
export function looksWrong(
  reading: Pick<Reading, 'kind' | 'base' | 'seconds'>,
  levelName: LevelName,
): boolean {
  const limits = limitsOf(reading, LEVELS[levelName]);
  return limits !== null && (reading.seconds < limits.min || reading.seconds > limits.max);
}

function limitsOf({ kind, base }: Pick<Reading, 'kind' | 'base'>, level: Level) {
  if (kind === 'delivery') return level.sport === 'baseball' ? level.delivery : null;
  if (kind === 'flight') return level.sport === 'softball' ? level.delivery : null;
  if (kind === 'pop') return base === 'third' ? level.popThird : level.popSecond;
  if (kind === 'steal' && base === 'second') return level.stealSecond;
  return null;
}
