import { distanceAfter, speedAfter, type SpeedCurve } from '../sprint/index.ts';
import type { Aim, BuntSkill } from './aim.ts';
import type { BuntFigures } from './figures.ts';
import type { BuntRunner } from './setup.ts';

/** When the pitcher's front foot lands is 0: before it everything can still be pitched out. Seconds. */
export interface SqueezeClock {
  /** The runner breaks for home. */
  breakSeconds: number;
  /** The batter shows bunt. */
  showSeconds: number;
  releaseSeconds: number;
  /** Release to contact. */
  pitchSeconds: number;
}

/** Halfway to being seen early, and how sharp that is. Seconds before the foot lands. Judgement. */
const SEEN_HALF = 0.18;
const SEEN_WIDTH = 0.07;
/** How much a break seen early counts beside a show. Judgement. */
const BREAK_COUNTS = 0.5;
/** The bat has to be still this long before contact; later costs misses and aim. Judgement. */
const READY_SECONDS = 0.42;
const LATE_MISSES = 0.9;
const LATE_AIM = 1.5;

/** Where and how fast the runner from third is when bat meets ball; not yet gone: how much later he goes. */
export function squeezeRunner(
  gait: Omit<SpeedCurve, 'startSpeed'>,
  clock: Omit<SqueezeClock, 'showSeconds'>,
  { thirdLead, thirdSpeed }: Pick<BuntFigures, 'thirdLead' | 'thirdSpeed'>,
): BuntRunner {
  const seconds = clock.releaseSeconds + clock.pitchSeconds - clock.breakSeconds;
  const curve = { ...gait, startSpeed: Math.min(thirdSpeed, gait.topSpeed) };
  const gone = Math.max(0, seconds);
  return {
    ...gait,
    from: 3,
    leadFeet: thirdLead + distanceAfter(gone, curve),
    startSpeed: speedAfter(gone, curve),
    delaySeconds: Math.max(0, -seconds),
  };
}

function seenEarly(seconds: number): number {
  return 1 / (1 + Math.exp((seconds + SEEN_HALF) / SEEN_WIDTH));
}

/**
 * How often the pitch is put where nobody can bunt it, 0..1.
 * @param sees how much of the runner the pitcher sees: 1 right-handed
 */
export function pitchOutChance(
  { breakSeconds, showSeconds }: Pick<SqueezeClock, 'breakSeconds' | 'showSeconds'>,
  sees: number,
  { pitchOutMost }: Pick<BuntFigures, 'pitchOutMost'>,
): number {
  const unseen = (1 - seenEarly(showSeconds)) * (1 - BREAK_COUNTS * sees * seenEarly(breakSeconds));
  return pitchOutMost * (1 - unseen);
}

/** What showing late costs: tries missed more, and the factor on both misses of the aim. */
export function lateShow({
  showSeconds,
  releaseSeconds,
  pitchSeconds,
}: Omit<SqueezeClock, 'breakSeconds'>): { missedMore: number; aimFactor: number } {
  const late = Math.max(0, READY_SECONDS - (releaseSeconds + pitchSeconds - showSeconds));
  return { missedMore: LATE_MISSES * late, aimFactor: 1 + LATE_AIM * late };
}

/** A bunter who shows late. */
export function shownLate(
  skill: BuntSkill,
  { missedMore, aimFactor }: ReturnType<typeof lateShow>,
): BuntSkill {
  const missed = Math.min(1 - skill.tipped - skill.popped, skill.missed + missedMore);
  return {
    ...skill,
    missed,
    sdDegrees: skill.sdDegrees * aimFactor,
    sdPace: skill.sdPace * aimFactor,
  };
}

/** What a squeeze comes to on one pitch; shares that add up to 1. */
export interface SqueezeOutcome {
  pitchOut: number;
  score: number;
  runnerOut: number;
  foul: number;
  other: number;
  /** Given fair and on the ground. */
  scoreIfFair: number;
  /** When a foul is tried again until something else happens. */
  scoreInTheEnd: number;
}

/**
 * One pitch of a squeeze.
 * @param aim where he aims, with this runner and this bunter's misses
 * @param missedDead how often a missed pitch gets the runner
 */
export function squeezeOutcome(
  aim: Pick<Aim, 'fairShare' | 'leadOutShare'>,
  skill: BuntSkill,
  pitchOut: number,
  figures: Pick<BuntFigures, 'pitchOutDead' | 'missedSuicide' | 'popSuicide'>,
): SqueezeOutcome {
  const contact = 1 - skill.missed - skill.tipped - skill.popped;
  const bunted = 1 - pitchOut;
  const score = bunted * contact * (aim.fairShare - aim.leadOutShare);
  const runnerOut =
    pitchOut * figures.pitchOutDead +
    bunted *
      (skill.missed * figures.missedSuicide +
        skill.popped * skill.popCaught * figures.popSuicide +
        contact * aim.leadOutShare);
  const foul =
    bunted * (skill.tipped + contact * (1 - aim.fairShare) + skill.popped * (1 - skill.popCaught));
  return {
    pitchOut,
    score,
    runnerOut,
    foul,
    other: 1 - score - runnerOut - foul,
    scoreIfFair: aim.fairShare > 0 ? 1 - aim.leadOutShare / aim.fairShare : 0,
    scoreInTheEnd: foul < 1 ? score / (1 - foul) : 0,
  };
}
