import { EIGHT_IN_TEN } from '../maths/index.ts';
import type { Sport } from '../rules/index.ts';

/** How often a squeeze scores, by when the runner breaks and the batter shows, seconds after the foot lands. */
interface ScoreTable {
  breaks: readonly number[];
  shows: readonly number[];
  score: readonly (readonly number[])[];
}

const SHOWS = [-0.3, -0.2, -0.1, 0, 0.1, 0.15, 0.2];
/** Agreed: by the squeeze clock, an average bunter, a right-hander, corners in, one out. */
const SCORES: Record<Sport, ScoreTable> = {
  baseball: {
    breaks: [-0.4, -0.3, -0.2, -0.1, 0, 0.1, 0.2],
    shows: SHOWS,
    score: [
      [0.18, 0.26, 0.36, 0.41, 0.42, 0.43, 0.4],
      [0.18, 0.27, 0.37, 0.43, 0.44, 0.44, 0.42],
      [0.19, 0.29, 0.41, 0.47, 0.49, 0.5, 0.47],
      [0.19, 0.31, 0.45, 0.52, 0.54, 0.55, 0.51],
      [0.18, 0.3, 0.44, 0.51, 0.53, 0.54, 0.5],
      [0.16, 0.27, 0.39, 0.46, 0.48, 0.48, 0.45],
      [0.13, 0.23, 0.34, 0.39, 0.41, 0.41, 0.39],
    ],
  },
  softball: {
    breaks: [0.1, 0.2, 0.3],
    shows: SHOWS,
    score: [
      [0.19, 0.32, 0.47, 0.55, 0.58, 0.53, 0.48],
      [0.17, 0.28, 0.42, 0.49, 0.51, 0.46, 0.41],
      [0.13, 0.23, 0.33, 0.39, 0.41, 0.37, 0.33],
    ],
  },
};

/** In time, seconds after the foot lands: from, to. Nobody in softball leaves before release. Judgement. */
const WINDOWS = {
  baseball: { show: [-0.05, 0.17], break: [-0.17, 0.05] },
  softball: { show: [-0.05, 0.12], break: [0.1, 0.17] },
} as const;
/** How uneven a show is timed. Seconds. */
const SHOW_SD = 0.045;

/** Between which two a number lies, and how far on the way; the ends are held. */
function between(at: number, places: readonly number[]): [below: number, share: number] {
  const last = places.length - 1;
  if (at <= (places[0] ?? 0)) return [0, 0];
  if (at >= (places[last] ?? 0)) return [last, 0];
  const below = places.findLastIndex((place) => place <= at);
  const [low = 0, high = low] = [places[below], places[below + 1]];
  return [below, (at - low) / (high - low)];
}

/** How often a squeeze with this break and this show scores. Seconds after the foot lands. */
export function squeezeScore(sport: Sport, breakSeconds: number, showSeconds: number): number {
  const { breaks, shows, score } = SCORES[sport];
  const [row, down] = between(breakSeconds, breaks);
  const [column, across] = between(showSeconds, shows);
  const at = (r: number, c: number): number =>
    score[Math.min(r, breaks.length - 1)]?.[Math.min(c, shows.length - 1)] ?? 0;
  const along = (r: number): number => (1 - across) * at(r, column) + across * at(r, column + 1);
  return (1 - down) * along(row) + down * along(row + 1);
}

export type InTime = 'early' | 'good' | 'late';

function inTime(seconds: number, [from, to]: readonly [number, number]): InTime {
  if (seconds < from) return 'early';
  return seconds > to ? 'late' : 'good';
}

/** Whether a show was in time, and whether the timing can tell. */
export function judgeShow(
  sport: Sport,
  showSeconds: number,
): { verdict: InTime; doubtful: boolean } {
  const window = WINDOWS[sport].show;
  return {
    verdict: inTime(showSeconds, window),
    doubtful: window.some((edge) => Math.abs(showSeconds - edge) < EIGHT_IN_TEN * SHOW_SD),
  };
}

/** One squeeze of practice, seconds after the foot lands. */
export interface SqueezeRep {
  breakSeconds: number;
  showSeconds: number;
}

export interface SqueezeSeries {
  show: Record<InTime, number>;
  break: Record<InTime, number>;
  /** How often they would score, and how much less than the best there is. */
  score: number;
  lost: number;
}

function countsIn(
  seconds: readonly number[],
  window: readonly [number, number],
): Record<InTime, number> {
  const count = { early: 0, good: 0, late: 0 };
  for (const each of seconds) count[inTime(each, window)] += 1;
  return count;
}

/** @param reps at least one */
export function judgeSqueezes(sport: Sport, reps: readonly SqueezeRep[]): SqueezeSeries {
  const windows = WINDOWS[sport];
  const scores = reps.map((rep) => squeezeScore(sport, rep.breakSeconds, rep.showSeconds));
  const score = scores.reduce((sum, each) => sum + each, 0) / reps.length;
  return {
    show: countsIn(
      reps.map(({ showSeconds }) => showSeconds),
      windows.show,
    ),
    break: countsIn(
      reps.map(({ breakSeconds }) => breakSeconds),
      windows.break,
    ),
    score,
    lost: Math.max(...SCORES[sport].score.flat()) - score,
  };
}

/** What became of the bunt of a squeeze: fair and on the ground, or not. */
export const SQUEEZE_OUTCOMES = ['down', 'foul', 'popped', 'missed'] as const;
export type SqueezeOutcome = (typeof SQUEEZE_OUTCOMES)[number];

/** A squeeze as it was tapped. Seconds after the foot lands; no break: nobody ran. */
export interface TappedSqueeze {
  showSeconds: number;
  breakSeconds: number | null;
  outcome: SqueezeOutcome;
}

/** What a batter's squeezes were, run or not. */
export interface Squeezes {
  count: number;
  show: Record<InTime, number>;
  /** So near the edge of the window that a thumb cannot tell. */
  doubtful: number;
  meanShowSeconds: number;
  /** Shown in time and put down, and the runner in time where one ran. */
  done: number;
  /** Those with a runner; null without any. */
  run: SqueezeSeries | null;
}

/** What somebody's squeezes were; null without any. */
export function judgeShows(sport: Sport, tapped: readonly TappedSqueeze[]): Squeezes | null {
  if (tapped.length === 0) return null;
  const windows = WINDOWS[sport];
  const shows = tapped.map(({ showSeconds }) => showSeconds);
  const run = tapped.flatMap(({ showSeconds, breakSeconds }) =>
    breakSeconds === null ? [] : [{ showSeconds, breakSeconds }],
  );
  return {
    count: tapped.length,
    show: countsIn(shows, windows.show),
    doubtful: shows.filter((each) => judgeShow(sport, each).doubtful).length,
    meanShowSeconds: shows.reduce((sum, each) => sum + each, 0) / shows.length,
    done: tapped.filter(
      ({ showSeconds, breakSeconds, outcome }) =>
        outcome === 'down' &&
        inTime(showSeconds, windows.show) === 'good' &&
        (breakSeconds === null || inTime(breakSeconds, windows.break) === 'good'),
    ).length,
    run: run.length === 0 ? null : judgeSqueezes(sport, run),
  };
}

/** Whether a break was in time. Seconds after the foot lands. */
export function judgeBreak(sport: Sport, breakSeconds: number): InTime {
  return inTime(breakSeconds, WINDOWS[sport].break);
}
