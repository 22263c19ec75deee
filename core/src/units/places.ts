/**
 * Somewhere on the field, feet from home plate: x along the first-base line, y along the third-base
 * line. Angles from the first-base line: 90 degrees is the third-base line.
 */
export interface Place {
  x: number;
  y: number;
}

/** A base by its number; home is 4, where a lap ends. */
export type Bag = 1 | 2 | 3 | 4;

/** @param baseFeet from one base to the next */
export function placeOfBag(bag: Bag, baseFeet: number): Place {
  return {
    x: bag === 1 || bag === 2 ? baseFeet : 0,
    y: bag === 2 || bag === 3 ? baseFeet : 0,
  };
}

/** How far it is from one place to another, feet. */
export function feetBetween(a: Place, b: Place): number {
  // Not Math.hypot: that guards against overflow, at many times the cost.
  return Math.sqrt((a.x - b.x) ** 2 + (a.y - b.y) ** 2);
}
