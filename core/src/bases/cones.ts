import type { Place } from '../units/index.ts';
import { besideOn, bowPieces, bowTime, type Bow, type TurnLimits } from './turn.ts';

/** Where a turn is marked for practice, in the order in which it is run. */
export const CONES = ['swing', 'wide', 'bend', 'out'] as const;
export type Cone = (typeof CONES)[number];

/** Which piece of the path each stands at, and how far along it. Agreed. */
const STANDS: Record<Cone, readonly [piece: 0 | 1 | 2, share: number]> = {
  swing: [0, 0.7],
  wide: [0, 1],
  bend: [1, 0.6],
  out: [2, 0.3],
};

/** A turn laid out with cones: the runner goes round outside them. */
export interface ConesLaid {
  seconds: number;
  headingDegrees: number;
  /** x along the line to the bag, the next base toward +y, feet. */
  places: Record<Cone, { path: Place; cone: Place }>;
}

/**
 * Where the cones of a turn stand.
 * @param insideFeet how far inside the path
 * @param perPiece places on each piece; fewer are slower than the path is
 */
export function conesFor(
  bow: Bow,
  limits: TurnLimits,
  startSpeed: number,
  insideFeet = 1,
  perPiece?: number,
): ConesLaid {
  const { seconds, headingDegrees } = bowTime(bow, limits, startSpeed, perPiece);
  const pieces = bowPieces(bow, (headingDegrees * Math.PI) / 180);
  const laid = CONES.map((cone) => {
    const [piece, share] = STANDS[cone];
    const curve = pieces[piece];
    if (!curve) throw new RangeError('conesFor needs a bow of three pieces');
    const { at, left } = besideOn(curve, share);
    const place = { x: at.x + insideFeet * left.x, y: at.y + insideFeet * left.y };
    return [cone, { path: at, cone: place }] as const;
  });
  return {
    seconds,
    headingDegrees,
    places: Object.fromEntries(laid) as ConesLaid['places'],
  };
}

/** Through first on a ground ball: no braking before a cone so many feet past the bag. */
export function throughFeet(baseFeet: number): number {
  if (baseFeet > 80) return 15;
  return baseFeet >= 70 ? 12 : 10;
}
