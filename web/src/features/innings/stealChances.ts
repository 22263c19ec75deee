import type { StealChances } from '@bradyon/core/innings';

/** How often somebody is safe; null: nobody may go there. */
export interface OwnChances {
  second: number | null;
  third: number | null;
}

/**
 * The chances with each batter up: on first, and alone on second, stands the one who bats before, ahead
 * of that one the one before. Of two who go together the defense picks the easier out.
 * @param each by spot
 */
export function chancesBySpot(each: readonly OwnChances[]): StealChances[] {
  const before = (spot: number, by: number) => each[(spot - by + each.length * by) % each.length];
  return each.map((_, spot) => {
    const [one, two] = [before(spot, 1), before(spot, 2)];
    return {
      second: one?.second ?? 0,
      third: one?.third ?? 0,
      double: Math.min(two?.third ?? 0, one?.second ?? 0),
    };
  });
}
