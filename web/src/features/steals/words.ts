import type { Team } from '@bradyon/contract/teams';
import type { Person } from '@bradyon/core/people';
import type { Leg, LegName, Race, StealCall } from '@bradyon/core/steals';
import type { DeliveryStyle } from '@bradyon/core/timing';
import type { TargetBase } from '@bradyon/core/units';
import { feet, seconds, type Lane } from '../../ui/index.ts';

const LEG_LABELS: Record<LegName, string> = {
  delivery: 'Delivery',
  flight: 'Flight',
  pop: 'Catch and throw',
  tag: 'tag',
  jump: 'jump',
  run: 'Run',
};

export interface StealWords {
  answer: string;
  sum: string;
  gap: string;
  /** "Go if he is 1.34 or slower"; null where the delivery does not count. */
  threshold: string | null;
  /** What is not these people's own. */
  assumed: string;
  /** The picture in words. */
  twin: string;
}

export function lanesOf(race: Race): [Lane, Lane] {
  return [
    lane(`Ball ${seconds(race.ballSeconds)}`, 'ball', race.ball),
    lane(`Runner ${seconds(race.runnerSeconds)}`, 'runner', race.runner),
  ];
}

function lane(title: string, tone: Lane['tone'], legs: readonly Leg[]): Lane {
  const known = legs.flatMap(({ giveOrTakeSeconds }) => giveOrTakeSeconds ?? []);
  return {
    title,
    tone,
    legs: legs.map(({ name, seconds: value, basis }) => ({
      label: LEG_LABELS[name],
      seconds: value,
      own: basis === 'timed' || name === 'tag' || name === 'jump',
    })),
    // Independent spreads add as squares.
    spreadSeconds: known.length > 0 ? Math.hypot(...known) : null,
  };
}

/** The steal in a coach's words. */
export function wordsOf({
  race,
  call,
  base,
  style,
  names,
  team,
}: {
  race: Race;
  call: StealCall;
  base: TargetBase;
  style: DeliveryStyle;
  names: Record<'pitcher' | 'catcher' | 'runner', Person>;
  team: Team;
}): StealWords {
  const { gapSeconds, gapFeet } = race;
  const needed = seconds(team.neededMarginSeconds);
  const gap =
    gapSeconds >= 0
      ? `${seconds(gapSeconds)}, ${feet(gapFeet)} to spare`
      : `${seconds(-gapSeconds)}, ${feet(gapFeet)} short`;
  const answers: Record<StealCall['verdict'], string> = {
    go: `${gap}. He needs ${needed}.`,
    close: `${gap}, but he needs ${needed}.`,
    stay: `${gap}: the ball is there first.`,
    untimed: `Time ${missingWords(call, names, base)} first.`,
  };
  const by = base === 'second' ? 'second' : 'third';
  return {
    answer: answers[call.verdict],
    sum: `Ball at ${by} in ${seconds(race.ballSeconds)}, ${names.runner.name} in ${seconds(race.runnerSeconds)}.`,
    gap,
    threshold: call.verdict === 'untimed' ? null : thresholdWords(call, style, team),
    assumed: `Jump and tag are typical for the level, not timed.${
      call.missing.length > 0 ? ' Hatched: typical for the level, not this player.' : ''
    }`,
    twin: [
      `The ball: ${legsInWords(race.ball)}, together ${seconds(race.ballSeconds)}.`,
      `The runner: ${legsInWords(race.runner)}, together ${seconds(race.runnerSeconds)}.`,
      `${gap}.`,
    ].join(' '),
  };
}

function thresholdWords(call: StealCall, style: DeliveryStyle, team: Team): string | null {
  if (call.slowestDeliverySeconds === null) return null;
  // Rounded up: a threshold that is off must never let a runner go who should not.
  const threshold = Math.ceil(call.slowestDeliverySeconds * 100 - 1e-9) / 100;
  const what =
    team.ruleset.sport === 'softball'
      ? 'the pitch takes'
      : `his ${style === 'slideStep' ? 'slide step' : 'delivery'} takes`;
  return `Go if ${what} ${seconds(threshold)} or more.`;
}

function missingWords(
  { missing }: StealCall,
  { pitcher, catcher, runner }: Record<'pitcher' | 'catcher' | 'runner', Person>,
  base: TargetBase,
): string {
  const words = missing.map((name) => {
    if (name === 'pop') return `${catcher.name}'s throw to ${base}`;
    if (name === 'run') return `${runner.name}'s steal of ${base}`;
    return `${pitcher.name}'s ${name === 'flight' ? 'pitch' : 'delivery'}`;
  });
  return new Intl.ListFormat('en').format(words);
}

function legsInWords(legs: readonly Leg[]): string {
  return legs
    .map(({ name, seconds: value, basis, count }) => {
      const rests = basis === 'timed' ? `${String(count)} timed` : basis;
      return `${LEG_LABELS[name].toLowerCase()} ${seconds(value)} (${rests})`;
    })
    .join(', ');
}
