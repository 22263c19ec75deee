import type { Base, Place } from '@bradyon/core/units';

/** A place on the field, feet: home plate at 0, 0, second base straight up, first to the right. */
export interface Spot {
  x: number;
  y: number;
}

/** What of the field is shown: its left and top edge and its size, feet. */
export interface View {
  left: number;
  top: number;
  width: number;
  height: number;
}

/** The middle of a base. */
export function baseSpot(base: Base, baseFeet: number): Spot {
  const half = baseFeet / Math.SQRT2;
  switch (base) {
    case 'first':
      return { x: half, y: half };
    case 'second':
      return { x: 0, y: 2 * half };
    case 'third':
      return { x: -half, y: half };
    case 'home':
      return { x: 0, y: 0 };
  }
}

/** Where somebody is against a base path: along it from its start, and to the left of it. Feet. */
export interface OffPath {
  along: number;
  left: number;
}

export interface Path {
  from: Spot;
  to: Spot;
}

/** A place off the start of a path. */
export function offPath({ from, to }: Path, { along, left }: OffPath): Spot {
  const { x, y } = direction(from, to);
  return { x: from.x + along * x - left * y, y: from.y + along * y + left * x };
}

/** Where a place is against a path; the inverse of offPath. */
export function againstPath({ from, to }: Path, spot: Spot): OffPath {
  const { x, y } = direction(from, to);
  const [dx, dy] = [spot.x - from.x, spot.y - from.y];
  return { along: dx * x + dy * y, left: dy * x - dx * y };
}

function direction(from: Spot, to: Spot): Spot {
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  return { x: (to.x - from.x) / length, y: (to.y - from.y) / length };
}

/** From the field to the picture, whose y goes down. */
export function toPicture(view: View, { x, y }: Spot): Spot {
  return { x: x - view.left, y: view.top - y };
}

/** From the picture to the field. */
export function toField(view: View, { x, y }: Spot): Spot {
  return { x: x + view.left, y: view.top - y };
}

/** To the half foot, between two ends. */
export function halfFeet(value: number, min: number, max: number): number {
  return Math.min(max, Math.max(min, Math.round(value * 2) / 2));
}

/** A place given along the foul lines, as a spot. */
export function spotOf({ x, y }: Place): Spot {
  return { x: (x - y) / Math.SQRT2, y: (x + y) / Math.SQRT2 };
}

/** A spot along the foul lines; the inverse of spotOf. */
export function placeOf({ x, y }: Spot): Place {
  return { x: (x + y) / Math.SQRT2, y: (y - x) / Math.SQRT2 };
}
