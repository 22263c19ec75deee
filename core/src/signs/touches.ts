import type { Touch } from './system.ts';

/** A place that a coach touches, on a body 100 high seen from the front; right and up are positive. */
export interface TouchSpot {
  id: Touch;
  x: number;
  y: number;
  /** Both hands take part. */
  both?: true;
}

/** The touches that can be drawn, from the head down. A system uses some of them. */
export const TOUCH_SPOTS: readonly TouchSpot[] = [
  { id: 'cap', x: 0, y: 99 },
  { id: 'brim', x: 0, y: 95 },
  { id: 'ear', x: 6.5, y: 91 },
  { id: 'nose', x: 0, y: 90 },
  { id: 'chin', x: 0, y: 86 },
  { id: 'shoulder', x: 11, y: 80 },
  { id: 'chest', x: 0, y: 74 },
  { id: 'sleeve', x: 14, y: 70 },
  { id: 'elbow', x: 15, y: 64 },
  { id: 'wrist', x: 6, y: 62 },
  { id: 'belt', x: 0, y: 56 },
  { id: 'hip', x: -8, y: 54 },
  { id: 'thigh', x: -8, y: 47 },
  { id: 'clap', x: 0, y: 67, both: true },
  { id: 'wipe', x: 12, y: 66, both: true },
];

/** Meters of a coach for one unit of the figure. */
const UNIT_METERS = 0.018;
/** [judgement] A hand that travels so far is a third as likely as one that stays. */
const USUAL_TRAVEL_METERS = 0.6;

const spots = new Map(TOUCH_SPOTS.map((spot) => [spot.id, spot]));

/**
 * How easily one touch follows another: a hand goes on to what is near more often than across the body.
 * @returns 0 to 1; touches that cannot be drawn are all equally far
 */
export function handEase(from: Touch, to: Touch): number {
  const [one, other] = [spots.get(from), spots.get(to)];
  if (!one || !other) return Math.exp(-1);
  const meters = Math.hypot(one.x - other.x, one.y - other.y) * UNIT_METERS;
  return Math.exp(-meters / USUAL_TRAVEL_METERS);
}
