import { speedAfter } from '../sprint/index.ts';
import { LEVELS, type LevelName } from '../timing/index.ts';
import { roundToMillisecond } from '../units/index.ts';
import type { StealTimes, TimeInUse } from './times.ts';

export type LegName = 'delivery' | 'flight' | 'pop' | 'tag' | 'jump' | 'run';

/** One stretch of a lane of the race, in the order in which it happens. */
export interface Leg extends TimeInUse {
  name: LegName;
}

/** The ball and the runner on one clock, which starts when the runner is first free to read. */
export interface Race {
  ball: Leg[];
  runner: Leg[];
  ballSeconds: number;
  runnerSeconds: number;
  /** Seconds the runner has to spare; negative when the ball is there first. */
  gapSeconds: number;
  /** The same at the speed he reaches the bag with, feet. */
  gapFeet: number;
}

/**
 * The race for a base by the plain stopwatch sum: delivery + pop + tag against jump + run.
 * Where runners leave at release the delivery is the ball's flight; where they wait for the pitch
 * to reach the batter the clock starts there and only the throw counts.
 * @param times what stealTimes gives, seconds
 * @param levelName the level whose speed turns seconds into feet
 */
export function raceOf(times: StealTimes, levelName: LevelName): Race {
  const level = LEVELS[levelName];
  const pitchName = level.sport === 'softball' ? 'flight' : 'delivery';
  const ball = [
    ...(times.delivery ? [leg(pitchName, times.delivery)] : []),
    leg('pop', times.pop),
    leg('tag', times.tag),
  ];
  const runner = [leg('jump', times.jump), leg('run', times.run)];
  const ballSeconds = total(ball);
  const runnerSeconds = total(runner);
  // Without the dust of adding decimals: a gap of exactly the margin is enough.
  const gapSeconds = roundToMillisecond(ballSeconds - runnerSeconds);
  const curve = { ...level, startSpeed: 0 };
  const speedAtBag = speedAfter(times.run.seconds, curve);
  return { ball, runner, ballSeconds, runnerSeconds, gapSeconds, gapFeet: gapSeconds * speedAtBag };
}

/** To the hundredth, as a coach adds them in his head: the sum shown is the sum of what is shown. */
function leg(name: LegName, time: TimeInUse): Leg {
  return { name, ...time, seconds: Math.round(time.seconds * 100) / 100 };
}

function total(legs: readonly Leg[]): number {
  return legs.reduce((sum, { seconds }) => sum + seconds, 0);
}
