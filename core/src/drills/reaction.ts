import { studentCdf, studentQuantile } from '../maths/index.ts';

/** How a start is timed, and how late and how even that is. Seconds. Judgement. */
export const START_MEASURES = {
  ownTap: { lateSeconds: 0.03, lateSdSeconds: 0.015, sdSeconds: 0.012 },
  coachTap: { lateSeconds: 0.1, lateSdSeconds: 0.05, sdSeconds: 0.04 },
  coachWatch: { lateSeconds: 0.08, lateSdSeconds: 0.06, sdSeconds: 0.06 },
  gate: { lateSeconds: 0, lateSdSeconds: 0.002, sdSeconds: 0.004 },
} as const;

/** How late a device sounds and shows, where it does not say so itself. Seconds. */
export const OUTPUT_LATE_SECONDS = { heard: 0.06, seen: 0.025 } as const;

/** Reactions are this uneven before any is known, seconds; and these many starts it counts. */
const USUAL_WITHIN = 0.05;
const USUAL_FREEDOM = 4;
const LEAST_STARTS = 5;
const TRIMMED = 0.2;

/** What somebody's good starts say together. Seconds. */
export interface StartEstimate {
  count: number;
  /** The median, to be shown beside it. */
  middleSeconds: number;
  typicalSeconds: number;
  spreadSeconds: number;
  seSeconds: number;
  freedom: number;
  /** Eight times in ten it lies between them. */
  lowSeconds: number;
  highSeconds: number;
}

/**
 * The trimmed mean of good starts, with its doubt; null with fewer than five.
 * @param measureSdSeconds how uneven the measure itself is
 */
export function estimateStart(
  reactions: readonly number[],
  measureSdSeconds: number,
): StartEstimate | null {
  const count = reactions.length;
  if (count < LEAST_STARTS) return null;
  const sorted = reactions.toSorted((a, b) => a - b);
  const cut = Math.floor(TRIMMED * count);
  const kept = count - 2 * cut;
  const at = (place: number): number => sorted[place] ?? 0;
  const typical = sorted.slice(cut, count - cut).reduce((sum, x) => sum + x, 0) / kept;
  const ends = sorted.map((x) => Math.min(at(count - 1 - cut), Math.max(at(cut), x)));
  const middleOfEnds = ends.reduce((sum, x) => sum + x, 0) / count;
  const winsorised = ends.reduce((sum, x) => sum + (x - middleOfEnds) ** 2, 0) / (count - 1);
  const own = (count * (count - 1) * winsorised) / (kept * (kept - 1));
  const usual = USUAL_WITHIN ** 2 + measureSdSeconds ** 2;
  const freedom = USUAL_FREEDOM + kept - 1;
  const spread = Math.sqrt((USUAL_FREEDOM * usual + (kept - 1) * own) / freedom);
  const se = spread / Math.sqrt(count);
  const open = studentQuantile(0.9, freedom) * se;
  const half = Math.floor(count / 2);
  return {
    count,
    middleSeconds: count % 2 === 1 ? at(half) : (at(half - 1) + at(half)) / 2,
    typicalSeconds: typical,
    spreadSeconds: spread,
    seSeconds: se,
    freedom,
    lowSeconds: typical - open,
    highSeconds: typical + open,
  };
}

/** Called at nine in ten, found four times in five. */
const POWER = (1.2815515655446004 + 0.8416212335729143) ** 2;

/** Good starts needed on each of two days to tell a change. Seconds. */
export function repsBothDays(spreadSeconds: number, changeSeconds: number): number {
  return Math.ceil((2 * POWER * spreadSeconds ** 2) / changeSeconds ** 2);
}

/** More starts now to tell a change from an earlier day; null: that day is too thin for it. */
export function repsToTell(
  spreadSeconds: number,
  before: number,
  changeSeconds: number,
): number | null {
  const left = changeSeconds ** 2 / (POWER * spreadSeconds ** 2) - 1 / before;
  return left > 0 ? Math.ceil(1 / left) : null;
}

/** Two ways to start, each in the same sessions. */
export interface StartComparison {
  /** A less B: below 0 A is quicker. Seconds. */
  differenceSeconds: number;
  seSeconds: number;
  freedom: number;
  lowSeconds: number;
  highSeconds: number;
  chanceAQuicker: number;
  verdict: 'a' | 'b' | 'open';
}

const BETWEEN_DAYS = 0.015;
const [LEAST_FREEDOM, MOST_FREEDOM] = [4, 200];
const SURE = 0.9;

/** Which of two is quicker, over the sessions in which both were done. Null without any. */
export function compareStarts(
  sessions: readonly { a: StartEstimate; b: StartEstimate }[],
): StartComparison | null {
  if (sessions.length === 0) return null;
  const weights = sessions.map(
    ({ a, b }) => 1 / (a.seSeconds ** 2 + b.seSeconds ** 2 + BETWEEN_DAYS ** 2),
  );
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const weighed = (of: (session: (typeof sessions)[number], weight: number) => number): number =>
    sessions.reduce((sum, session, index) => sum + of(session, weights[index] ?? 0), 0);
  const difference =
    weighed(({ a, b }, weight) => weight * (a.typicalSeconds - b.typicalSeconds)) / total;
  const se = 1 / Math.sqrt(total);
  const freedom = Math.min(
    MOST_FREEDOM,
    Math.max(
      LEAST_FREEDOM,
      se ** 4 /
        weighed(
          ({ a, b }, weight) =>
            (weight / total) ** 2 * (a.seSeconds ** 4 / a.freedom + b.seSeconds ** 4 / b.freedom),
        ),
    ),
  );
  const open = studentQuantile(SURE, freedom) * se;
  const chance = studentCdf(-difference / se, freedom);
  return {
    differenceSeconds: difference,
    seSeconds: se,
    freedom,
    lowSeconds: difference - open,
    highSeconds: difference + open,
    chanceAQuicker: chance,
    verdict: chance >= SURE ? 'a' : chance <= 1 - SURE ? 'b' : 'open',
  };
}
