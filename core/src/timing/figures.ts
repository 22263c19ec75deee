import { LEVELS, type LevelName } from './levels.ts';
import type { LevelConstant } from './constants.ts';

/** How well a constant is known: physics and rules; general knowledge; a guess or fitted to one. */
export type Grade = 'known' | 'plausible' | 'guess';

/** A constant of a model with what it is at each level, and how well it is known. */
export interface Figure extends LevelConstant {
  grade: Grade;
  at: number | Readonly<Record<LevelName, number>>;
}

/** Baseball's and softball's value, whatever the level. */
export function bySport(baseball: number, softball: number): Record<LevelName, number> {
  const each = (Object.keys(LEVELS) as LevelName[]).map(
    (level) => [level, LEVELS[level].sport === 'softball' ? softball : baseball] as const,
  );
  return Object.fromEntries(each) as Record<LevelName, number>;
}

/** One value a level: pro, college, hs, u14, u12, fpCollege, fpHs, fpU12. */
export function byLevel(
  ...values: readonly [number, number, number, number, number, number, number, number]
): Record<LevelName, number> {
  const each = (Object.keys(LEVELS) as LevelName[]).map((level, index) => [level, values[index]]);
  return Object.fromEntries(each) as Record<LevelName, number>;
}

/** What a figure is at a level, before a team changes it. */
export function figureAt({ at }: Figure, level: LevelName): number {
  return typeof at === 'number' ? at : at[level];
}

/**
 * All figures at a level, with a team's own in their place.
 * @throws RangeError when one lies outside what it may be
 */
export function figuresAt<K extends string>(
  figures: Readonly<Record<K, Figure>>,
  level: LevelName,
  changes: Partial<Record<string, number>>,
): Record<K, number> {
  const each = (Object.keys(figures) as K[]).map((key) => {
    const { min, max } = figures[key];
    const value = changes[key] ?? figureAt(figures[key], level);
    if (!(value >= min && value <= max)) {
      throw new RangeError(`figuresAt needs ${key} from ${String(min)} to ${String(max)}`);
    }
    return [key, value] as const;
  });
  return Object.fromEntries(each) as Record<K, number>;
}
