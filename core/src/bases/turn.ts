import type { Gait } from '../sprint/index.ts';
import type { Place } from '../units/index.ts';

/** A piece of a path: two ends and two handles between them. */
export type Curve = readonly [Place, Place, Place, Place];

/** How fast he may go round: gathering speed as he sprints, or evenly. */
export type TurnLimits =
  (Gait & { sideGrip: number; brake: number }) | { topSpeed: number; evenly: number };

/** A path with its speeds. */
export interface Profile {
  seconds: number;
  feet: number;
  /** Where he is and how fast, along the way. */
  points: { at: Place; feet: number; speed: number }[];
}

interface Sample {
  at: Place;
  bend: number;
}

/** Which way a piece goes at a place 0..1 along it, and how fast. */
function slopeOn([a, b, c, d]: Curve, w: number): [dx: number, dy: number] {
  const u = 1 - w;
  const first = (p: number, q: number, r: number, s: number): number =>
    3 * (u ** 2 * (q - p) + 2 * u * w * (r - q) + w ** 2 * (s - r));
  return [first(a.x, b.x, c.x, d.x), first(a.y, b.y, c.y, d.y)];
}

/** A place on a piece, 0..1 along it, and a foot to its left. */
export function besideOn(curve: Curve, w: number): { at: Place; left: Place } {
  const [dx, dy] = slopeOn(curve, w);
  const long = Math.hypot(dx, dy);
  return { at: pointOn(curve, w).at, left: { x: -dy / long, y: dx / long } };
}

function pointOn(curve: Curve, w: number): Sample {
  const [a, b, c, d] = curve;
  const u = 1 - w;
  const mix = (p: number, q: number, r: number, s: number): number =>
    u ** 3 * p + 3 * u ** 2 * w * q + 3 * u * w ** 2 * r + w ** 3 * s;
  const second = (p: number, q: number, r: number, s: number): number =>
    6 * (u * (r - 2 * q + p) + w * (s - 2 * r + q));
  const [dx, dy] = slopeOn(curve, w);
  const [ex, ey] = [second(a.x, b.x, c.x, d.x), second(a.y, b.y, c.y, d.y)];
  const speed = Math.hypot(dx, dy);
  return {
    at: { x: mix(a.x, b.x, c.x, d.x), y: mix(a.y, b.y, c.y, d.y) },
    bend: speed === 0 ? 0 : Math.abs(dx * ey - dy * ex) / speed ** 3,
  };
}

/** Where two pieces meet the tighter one counts. */
function sampled(pieces: readonly Curve[], perPiece: number): Sample[] {
  const samples: Sample[] = [];
  for (const [index, piece] of pieces.entries()) {
    for (let step = index === 0 ? 0 : 1; step <= perPiece; step += 1) {
      samples.push(pointOn(piece, step / perPiece));
    }
    const next = pieces[index + 1];
    const joint = samples.at(-1);
    if (next && joint) joint.bend = Math.max(joint.bend, pointOn(next, 0).bend);
  }
  return samples;
}

/**
 * How fast a runner goes along a path: as fast as the bend lets him hold, gathering speed and slowing
 * within his means.
 * @param startSpeed ft/s at the beginning
 * @param endSpeed the most he may have at the end; nothing given: whatever he has
 */
export function speedProfile(
  pieces: readonly Curve[],
  limits: TurnLimits,
  startSpeed: number,
  {
    perPiece = 100,
    endSpeed = Number.POSITIVE_INFINITY,
  }: { perPiece?: number; endSpeed?: number } = {},
): Profile {
  const samples = sampled(pieces, perPiece);
  const even = 'evenly' in limits;
  const grip = even ? limits.evenly : limits.sideGrip;
  const brake = even ? limits.evenly : limits.brake;
  const steps = samples.map(({ at }, index) => {
    const next = samples[index + 1]?.at;
    return next ? Math.hypot(next.x - at.x, next.y - at.y) : 0;
  });
  const caps = samples.map(({ bend }) =>
    Math.min(limits.topSpeed, bend > 0 ? Math.sqrt(grip / bend) : Number.POSITIVE_INFINITY),
  );
  const push = (speed: number, bend: number): number => {
    const used = Math.min(1, (speed ** 2 * bend) / grip);
    const wanted = even ? limits.evenly : (limits.topSpeed - speed) / limits.accelerationSeconds;
    return Math.max(0, wanted) * Math.sqrt(1 - used ** 2);
  };
  const speeds = caps.slice();
  speeds[0] = Math.min(speeds[0] ?? 0, startSpeed);
  for (let index = 0; index + 1 < samples.length; index += 1) {
    const [speed, step] = [speeds[index] ?? 0, steps[index] ?? 0];
    const [bend, next] = [samples[index]?.bend ?? 0, samples[index + 1]?.bend ?? 0];
    const half = Math.sqrt(speed ** 2 + push(speed, bend) * step);
    const gained = Math.sqrt(speed ** 2 + 2 * push(half, (bend + next) / 2) * step);
    speeds[index + 1] = Math.min(caps[index + 1] ?? 0, gained);
  }
  const last = samples.length - 1;
  speeds[last] = Math.min(speeds[last] ?? 0, endSpeed);
  const slow = (speed: number, bend: number): number =>
    brake * Math.sqrt(1 - Math.min(1, (speed ** 2 * bend) / grip) ** 2);
  for (let index = last; index > 0; index -= 1) {
    const [speed, step] = [speeds[index] ?? 0, steps[index - 1] ?? 0];
    const [bend, before] = [samples[index]?.bend ?? 0, samples[index - 1]?.bend ?? 0];
    const half = Math.sqrt(speed ** 2 + slow(speed, bend) * step);
    const most = Math.sqrt(speed ** 2 + 2 * slow(half, (bend + before) / 2) * step);
    speeds[index - 1] = Math.min(speeds[index - 1] ?? 0, most);
  }
  let [seconds, feet] = [0, 0];
  const points = samples.map(({ at }, index) => {
    const point = { at, feet, speed: speeds[index] ?? 0 };
    const both = (speeds[index] ?? 0) + (speeds[index + 1] ?? 0);
    if (index < last) {
      seconds += (2 * (steps[index] ?? 0)) / both;
      feet += steps[index] ?? 0;
    }
    return point;
  });
  return { seconds, feet, points };
}

/** A turn at a bag: from the start to the next base over a bow outside the line. */
export interface Bow {
  baseFeet: number;
  /** Where he starts: on the line past the base before, and behind the line (deeper). */
  leadFeet: number;
  depthFeet: number;
  /** How far outside the line he swings, and how far short of the bag that is. */
  outFeet: number;
  shortFeet: number;
}

/** Fitted to the quickest free paths. */
const AIM = 1.586;
const HANDLES = [0.304, 0.353, 0.354] as const;
const END_TURN = 0.385;

/**
 * The path of a bow. x along the line to the bag, the next base toward +y.
 * @param heading at the bag, radians from the line toward the next base
 */
export function bowPieces(bow: Bow, heading: number): Curve[] {
  const { baseFeet, leadFeet, depthFeet, outFeet, shortFeet } = bow;
  const start = { x: leadFeet, y: -depthFeet };
  const out = { x: baseFeet - shortFeet, y: -outFeet };
  const bag = { x: baseFeet, y: 0 };
  const end = { x: baseFeet, y: baseFeet };
  const along = (from: Place, angle: number, feet: number): Place => ({
    x: from.x + feet * Math.cos(angle),
    y: from.y + feet * Math.sin(angle),
  });
  const first = Math.hypot(out.x - start.x, out.y - start.y);
  const middle = Math.hypot(shortFeet, outFeet);
  const leaving = AIM * Math.atan2(out.y - start.y, out.x - start.x);
  const [h1, h2, h3] = [HANDLES[0] * first, HANDLES[1] * middle, HANDLES[2] * baseFeet];
  return [
    [start, along(start, leaving, h1), along(out, Math.PI, h1), out],
    [out, along(out, 0, h2), along(bag, heading + Math.PI, h2), bag],
    [bag, along(bag, heading, h3), along(end, Math.PI / 2 + END_TURN + Math.PI, h3), end],
  ];
}

/** Places on each piece; half as many and a bow comes out .03 s slower than it is. */
const FINE_ENOUGH = 80;
/** While the best is looked for. */
const COARSE = 24;
const GOLDEN = (Math.sqrt(5) - 1) / 2;
const HEADINGS = [15, 85] as const;
const SEARCHES = 16;

/** A bow run as well as its shape allows. */
export interface BowRun extends Profile {
  headingDegrees: number;
}

/** How long a bow takes, with the best heading at the bag. */
export function bowTime(
  bow: Bow,
  limits: TurnLimits,
  startSpeed: number,
  perPiece = FINE_ENOUGH,
): BowRun {
  const at = (degrees: number): Profile =>
    speedProfile(bowPieces(bow, (degrees * Math.PI) / 180), limits, startSpeed, { perPiece });
  const degrees = goldenMinimum((each) => at(each).seconds, HEADINGS, SEARCHES);
  return { ...at(degrees), headingDegrees: degrees };
}

/** Where a function with one valley is least, by golden section. */
function goldenMinimum(
  of: (x: number) => number,
  [from, to]: readonly [number, number],
  steps: number,
): number {
  let [low, high] = [from, to];
  let [a, b] = [high - GOLDEN * (high - low), low + GOLDEN * (high - low)];
  let [atA, atB] = [of(a), of(b)];
  for (let step = 0; step < steps; step += 1) {
    if (atA < atB) {
      [high, b, atB] = [b, a, atA];
      a = high - GOLDEN * (high - low);
      atA = of(a);
    } else {
      [low, a, atA] = [a, b, atB];
      b = low + GOLDEN * (high - low);
      atB = of(b);
    }
  }
  return (low + high) / 2;
}

/** Speed at the bag when he runs straight at it and turns on the spot, ft/s. */
const SHARP_SPEED = 6.5;
/** Places on a straight leg. */
const PER_LEG = 200;

function straight(from: Place, to: Place): Curve {
  const between = (share: number): Place => ({
    x: from.x + share * (to.x - from.x),
    y: from.y + share * (to.y - from.y),
  });
  return [from, between(1 / 3), between(2 / 3), to];
}

type TurnStart = Pick<Bow, 'baseFeet' | 'leadFeet' | 'depthFeet'>;

/** Straight at the bag and sharply round it, seconds. */
export function sharpTurn(
  { baseFeet, leadFeet, depthFeet }: TurnStart,
  limits: TurnLimits,
  startSpeed: number,
): number {
  const bag = { x: baseFeet, y: 0 };
  const legs = { perPiece: PER_LEG };
  const into = speedProfile([straight({ x: leadFeet, y: -depthFeet }, bag)], limits, startSpeed, {
    ...legs,
    endSpeed: SHARP_SPEED,
  });
  const reached = into.points.at(-1)?.speed ?? 0;
  const next = { x: baseFeet, y: baseFeet };
  return into.seconds + speedProfile([straight(bag, next)], limits, reached, legs).seconds;
}

/** The same distance without a turn, seconds: what no path can beat. */
export function noTurn(
  { baseFeet, leadFeet, depthFeet }: TurnStart,
  limits: TurnLimits,
  startSpeed: number,
): number {
  const bag = { x: Math.hypot(baseFeet - leadFeet, depthFeet), y: 0 };
  const end = { x: bag.x + baseFeet, y: 0 };
  const path = [straight({ x: 0, y: 0 }, bag), straight(bag, end)];
  return speedProfile(path, limits, startSpeed, { perPiece: PER_LEG }).seconds;
}

/**
 * The quickest bow.
 * @param widest how far outside the line there is room, feet
 */
export function bestBow(
  start: TurnStart,
  limits: TurnLimits,
  startSpeed: number,
  widest: number,
): { bow: Bow; run: BowRun } {
  const shortest = (outFeet: number, perPiece = FINE_ENOUGH): { bow: Bow; run: BowRun } => {
    const make = (shortFeet: number): Bow => ({ ...start, outFeet, shortFeet });
    const reach = start.baseFeet - start.leadFeet;
    const shortFeet = goldenMinimum(
      (each) => bowTime(make(each), limits, startSpeed, COARSE).seconds,
      [Math.min(10, reach / 4), Math.min(0.6 * start.baseFeet, 0.85 * reach)],
      10,
    );
    return { bow: make(shortFeet), run: bowTime(make(shortFeet), limits, startSpeed, perPiece) };
  };
  const outFeet = goldenMinimum((each) => shortest(each, COARSE).run.seconds, [0.5, widest], 10);
  return shortest(outFeet);
}
