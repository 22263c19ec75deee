import type { LevelName } from '../timing/index.ts';

/** A line of runners at a station. Seconds, years. */
export interface PaceQuestion {
  workSeconds: number;
  runners: number;
  atOnce: number;
  meanWaitSeconds: number;
  /** To get set, and to come back. */
  settleSeconds: number;
  returnSeconds: number;
  age: number;
}

export interface Pace {
  waves: number;
  /** Rest for each second of work. */
  ratio: number;
  everySeconds: number;
  restSeconds: number;
  repsPerMinute: number;
}

/** Rest for each second of work, by how long the work is; children rest more. Agreed. */
const RATIOS = [
  { upToSeconds: 3, ratio: 10 },
  { upToSeconds: 7, ratio: 15 },
  { upToSeconds: Number.POSITIVE_INFINITY, ratio: 20 },
] as const;
const CHILD_AGE = 12;
const CHILD_MORE = 5;

/** How often a line can be called so that everybody is rested. */
export function paceOf(question: PaceQuestion): Pace {
  const { workSeconds, runners, atOnce, meanWaitSeconds, settleSeconds } = question;
  const waves = Math.ceil(runners / atOnce);
  const usual = RATIOS.find(({ upToSeconds }) => workSeconds <= upToSeconds)?.ratio ?? 20;
  const ratio = usual + (question.age <= CHILD_AGE ? CHILD_MORE : 0);
  const ready = settleSeconds + meanWaitSeconds;
  const everySeconds = Math.max(
    ready + workSeconds,
    Math.max(workSeconds * (1 + ratio), workSeconds + question.returnSeconds + ready) / waves,
  );
  return {
    waves,
    ratio,
    everySeconds,
    restSeconds: everySeconds * waves - workSeconds,
    repsPerMinute: (60 * atOnce) / everySeconds,
  };
}

/** About how old players of a level are, years: for what a day may ask of them. */
export function ageAt(level: LevelName): number {
  if (level === 'u12' || level === 'fpU12') return 12;
  if (level === 'u14') return 14;
  return level === 'hs' || level === 'fpHs' ? 16 : 18;
}

/** The most of a day at an age. */
export interface Caps {
  sprints: number;
  dives: number;
  warmUpMinutes: number;
  throws: Record<'pitcher' | 'catcher' | 'outfielder', number>;
}

/** Up to an age: full sprints, head-first test dives, minutes of warm-up, timed throws. Judgement, careful. */
const CAPS = [
  { upTo: 8, sprints: 8, dives: 0, warmUp: 10, throws: [15, 12, 8] },
  { upTo: 10, sprints: 10, dives: 0, warmUp: 10, throws: [15, 12, 8] },
  { upTo: 12, sprints: 12, dives: 0, warmUp: 12, throws: [15, 12, 8] },
  { upTo: 14, sprints: 16, dives: 3, warmUp: 12, throws: [20, 15, 12] },
  { upTo: 16, sprints: 20, dives: 4, warmUp: 15, throws: [20, 15, 12] },
  { upTo: Number.POSITIVE_INFINITY, sprints: 24, dives: 4, warmUp: 15, throws: [25, 20, 12] },
] as const;

/**
 * What a player of an age does in a day at most; lower figures of the league, a trainer or a parent win.
 * @param headFirst whether the rules allow to dive head first
 * @param nearGame the day is that of a game, or the one before
 */
export function capsAt(
  age: number,
  { headFirst = true, nearGame = false }: { headFirst?: boolean; nearGame?: boolean } = {},
): Caps {
  const { sprints, dives, warmUp, throws } = CAPS.find(({ upTo }) => age <= upTo) ?? CAPS[5];
  const [pitcher, catcher, outfielder] = throws;
  return {
    sprints,
    dives: headFirst ? dives : 0,
    warmUpMinutes: warmUp,
    throws: nearGame
      ? { pitcher: 0, catcher: Math.floor(catcher / 2), outfielder: Math.floor(outfielder / 2) }
      : { pitcher, catcher, outfielder },
  };
}

/** Up to so many feet a run counts as so much of a full sprint. */
const EFFORTS = [
  { upToFeet: 10, sprints: 0.25 },
  { upToFeet: 40, sprints: 0.5 },
  { upToFeet: 100, sprints: 1 },
  { upToFeet: Number.POSITIVE_INFINITY, sprints: 2 },
] as const;

/** How much of a full sprint a run is. */
export function sprintsOf(feet: number): number {
  return EFFORTS.find(({ upToFeet }) => feet <= upToFeet)?.sprints ?? 2;
}
