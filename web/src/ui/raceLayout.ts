/** Where everything in the picture of a race goes: plain numbers, so that it can be tested without drawing. */

interface LaneLeg {
  label: string;
  seconds: number;
  /** False: typical for the level or reckoned, not this person's own times. */
  own: boolean;
}

export interface Lane {
  title: string;
  tone: 'ball' | 'runner';
  legs: LaneLeg[];
  /** Spread of the lane's end, seconds (standard deviation); null when nothing says. */
  spreadSeconds: number | null;
}

interface Bar extends LaneLeg {
  x: number;
  width: number;
  /** Inside the bar when it fits, else under it. */
  text: string;
  inside: boolean;
}

interface LaneLayout {
  tone: Lane['tone'];
  title: string;
  bars: Bar[];
  endX: number;
  /** The hump over the end, as an SVG path in lane coordinates; null without a spread. */
  hump: string | null;
  top: number;
}

export interface RaceLayout {
  height: number;
  barHeight: number;
  lanes: LaneLayout[];
  ticks: { x: number; text: string }[];
  gap: { fromX: number; toX: number; y: number };
  axisY: number;
}

const SIDE = 10;
const TITLE = 30;
/** Height of a bar and of what stands under it; `compact` where a screen has much beside the race. */
const SIZES = { usual: { bar: 40, under: 22 }, compact: { bar: 26, under: 18 } } as const;
export type RaceSize = keyof typeof SIZES;
const HUMP = 26;
const CHARACTER = 7.2;
const SLIVER = 2;

/**
 * Lays out lanes to one time scale.
 * @param width of the picture, pixels
 */
export function layOutRace(
  lanes: readonly Lane[],
  width: number,
  size: RaceSize = 'usual',
): RaceLayout {
  const { bar: barHeight, under } = SIZES[size];
  const laneHeight = TITLE + barHeight + under;
  const starts = lanes.flatMap(({ legs }) => cumulated(legs).map(({ from }) => from));
  const ends = lanes.map(({ legs, spreadSeconds }) => total(legs) + 2.2 * (spreadSeconds ?? 0.05));
  const first = Math.min(0, ...starts);
  const scale = (width - 2 * SIDE) / (Math.max(...ends, 0.5) - first);
  const xOf = (seconds: number): number => SIDE + (seconds - first) * scale;

  const laidOut = lanes.map((lane, index): LaneLayout => {
    const endX = xOf(total(lane.legs));
    return {
      tone: lane.tone,
      title: lane.title,
      endX,
      top: index * laneHeight,
      bars: cumulated(lane.legs).map(({ leg, from }) => bar(leg, xOf(from), leg.seconds * scale)),
      hump: lane.spreadSeconds === null ? null : humpPath(endX, lane.spreadSeconds * scale),
    };
  });
  const gapXs = laidOut.map(({ endX }) => endX);
  const gapY = lanes.length * laneHeight + 2;
  return {
    height: gapY + 58,
    barHeight,
    lanes: laidOut,
    ticks: ticks(xOf, width),
    gap: { fromX: Math.min(...gapXs), toX: Math.max(...gapXs), y: gapY },
    axisY: gapY + 50,
  };
}

export const BAR_TOP = TITLE;

function cumulated(legs: readonly LaneLeg[]): { leg: LaneLeg; from: number }[] {
  let at = 0;
  return legs.map((leg) => {
    // A negative leg (he left before the clock began) only moves the start of the next one.
    const from = at;
    at += leg.seconds;
    return { leg, from: leg.seconds < 0 ? at : from };
  });
}

function total(legs: readonly LaneLeg[]): number {
  return legs.reduce((sum, { seconds }) => sum + seconds, 0);
}

function bar(leg: LaneLeg, x: number, rawWidth: number): Bar {
  const width = Math.max(0, rawWidth - SLIVER);
  const figure = leg.seconds.toFixed(2).replace(/^(-?)0/, '$1');
  const text = `${leg.label} ${figure}`;
  return { ...leg, x, width, text, inside: text.length * CHARACTER + 16 < width };
}

function humpPath(centre: number, spread: number): string {
  const points = Array.from({ length: 41 }, (_, index) => {
    const z = (index - 20) / 8;
    return `${(centre + z * spread).toFixed(1)} ${(TITLE - HUMP * Math.exp((-z * z) / 2)).toFixed(1)}`;
  });
  return `M${points.join('L')}Z`;
}

function ticks(xOf: (seconds: number) => number, width: number): RaceLayout['ticks'] {
  const step = xOf(0.5) - xOf(0) < 44 ? 1 : 0.5;
  const all = Array.from({ length: 40 }, (_, index) => index * step);
  return all
    .map((seconds) => ({ x: xOf(seconds), text: seconds === 0 ? '0 s' : String(seconds) }))
    .filter(({ x }) => x < width - 8);
}
