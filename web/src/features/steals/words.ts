import { type Pitch } from '@bradyon/core/race';
import type { Person } from '@bradyon/core/people';
import {
  roundedUp,
  type Basis,
  type Leg,
  type LegName,
  type Legs,
  type Steal,
  type StealBase,
  type StealKind,
  type Verdict,
} from '@bradyon/core/steals';
import type { DeliveryStyle } from '@bradyon/core/timing';
import { distance, percent, seconds, type Lane } from '../../ui/index.ts';
import { lastName, standsInFor, type RaceRole } from '../people/index.ts';

export const BASE_TEXT: Record<StealBase, string> = {
  second: 'Second',
  third: 'Third',
  home: 'Home',
};
export const STYLE_TEXT: Record<DeliveryStyle, string> = {
  legLift: 'Leg lift',
  slideStep: 'Slide step',
};
export const KIND_TEXT: Record<StealKind, string> = {
  straight: 'First move',
  hop: 'Hop lead',
  delayed: 'Delayed',
  rocker: 'Rocker',
  standing: 'Standing',
};
export const PITCH_TEXT: Record<Pitch, string> = {
  fastball: 'Fastball',
  breaking: 'Breaking ball',
  changeup: 'Changeup',
  pitchout: 'Pitch-out',
};

const LEG_LABELS: Record<LegName, string> = {
  delivery: 'Delivery',
  flight: 'Flight',
  windUp: 'Windup',
  surprise: 'surprise',
  pop: 'Catch and throw',
  tag: 'tag',
  jump: 'jump',
  run: 'Run',
};

const BASIS_TEXT: Record<Exclude<Basis, 'timed'>, string> = {
  reckoned: 'from other times',
  typical: 'typical',
  supposed: 'what if',
};

/** Who is in the race. */
export interface Names {
  pitcher: Person;
  catcher: Person;
  runner: Person;
}

/** The legs of each lane, in the order in which they happen. */
function lanesLegs({ pitch, surprise, pop, tag, jump, run }: Legs): [ball: Leg[], runner: Leg[]] {
  const there = (legs: (Leg | null)[]): Leg[] => legs.filter((leg) => leg !== null);
  return [there([pitch, surprise, pop, tag]), there([jump, run])];
}

/** To the hundredth, as a coach adds them in his head: the sum shown is the sum of what is shown. */
function shown({ spread }: Leg): number {
  return Math.round(spread.meanSeconds * 100) / 100;
}
function sum(legs: readonly Leg[]): number {
  return Math.round(legs.reduce((total, leg) => total + shown(leg), 0) * 100) / 100;
}

/** The seconds that lie between ball and runner in the picture, with a throw on line. */
export function gapOf(legs: Legs): number {
  const [ball, runner] = lanesLegs(legs);
  return Math.round((sum(ball) - sum(runner)) * 100) / 100;
}

export function lanesOf(legs: Legs): [Lane, Lane] {
  const [ball, runner] = lanesLegs(legs);
  return [
    lane(`Ball ${seconds(sum(ball))}`, 'ball', ball),
    lane(`Runner ${seconds(sum(runner))}`, 'runner', runner),
  ];
}

function lane(title: string, tone: Lane['tone'], legs: readonly Leg[]): Lane {
  return {
    title,
    tone,
    legs: legs.map((leg) => ({
      label: LEG_LABELS[leg.name],
      seconds: shown(leg),
      own: leg.basis === 'timed' || leg.basis === 'reckoned',
    })),
    // Independent spreads add as squares.
    spreadSeconds: Math.hypot(...legs.map(({ spread }) => spread.sdSeconds)),
  };
}

/** The steal in a coach's words. */
export interface StealWords {
  /** "83% safe. Needs 80%." */
  answer: string;
  doubt: string;
  gap: string;
  /** "Go if Tolliver is 1.34 s or slower to the plate"; null where the pitch does not count. */
  threshold: string | null;
  /** The picture in words. */
  twin: string;
}

export function wordsOf({
  steal,
  base,
  style,
  names,
  needed,
  footSeconds,
}: {
  steal: Steal;
  base: StealBase;
  style: DeliveryStyle;
  names: Names;
  needed: number;
  /** What a foot is worth at the bag. */
  footSeconds: number;
}): StealWords {
  const [ball, runner] = lanesLegs(steal.legs);
  const gapSeconds = gapOf(steal.legs);
  const apart = `${seconds(Math.abs(gapSeconds))}, ${distance(gapSeconds / footSeconds)}`;
  const gap = `${gapSeconds >= 0 ? 'safe' : 'out'} by ${apart}`;
  const untimed = steal.verdict === 'untimed';
  return {
    answer: untimed
      ? `Time ${missingWords(steal, names, base)} first.`
      : `${percent(steal.chance)} safe. Needs ${percent(needed)}.`,
    doubt: untimed
      ? `With typical times, ${percent(steal.chance)} safe, anywhere from ${range(steal)}.`
      : `It could be anywhere from ${range(steal)}.`,
    gap,
    threshold: thresholdWords(steal, style, names),
    twin: [
      `The ball: ${legsInWords(ball)}, together ${seconds(sum(ball))}.`,
      `The runner: ${legsInWords(runner)}, together ${seconds(sum(runner))}.`,
      `With a throw on line the runner is ${gap}.`,
    ].join(' '),
  };
}

function range({ low, high }: Pick<Steal, 'low' | 'high'>): string {
  return `${String(Math.round(low * 100))} to ${percent(high)}`;
}

function thresholdWords(
  { slowestPitchSeconds, legs }: Steal,
  style: DeliveryStyle,
  { pitcher }: Names,
): string | null {
  if (slowestPitchSeconds === null || legs.pitch === null) return null;
  const slowest = seconds(roundedUp(slowestPitchSeconds));
  if (legs.pitch.name === 'flight') return `Go if the pitch takes ${slowest} or longer.`;
  if (legs.pitch.name === 'windUp') return `Go if the windup takes ${slowest} or longer.`;
  const how = style === 'slideStep' ? 'with a slide step' : 'to the plate';
  return `Go if ${pitcher.name} is ${slowest} or slower ${how}.`;
}

export function missingWords(
  { missing }: Steal,
  { pitcher, catcher, runner }: Names,
  base: StealBase,
): string {
  const words = missing.map(({ name }) => {
    if (name === 'pop') return `${catcher.name}'s throw to ${base}`;
    if (name === 'run') return `${runner.name}'s steal`;
    return `${pitcher.name}'s ${name === 'flight' ? 'pitch' : 'delivery'}`;
  });
  return new Intl.ListFormat('en').format(words);
}

function legsInWords(legs: readonly Leg[]): string {
  return legs
    .map((leg) => {
      const rests = leg.basis === 'timed' ? `${String(leg.count)} timed` : BASIS_TEXT[leg.basis];
      return `${LEG_LABELS[leg.name].toLowerCase()} ${seconds(shown(leg))} (${rests})`;
    })
    .join(', ');
}

/** What one leg is called when it is somebody's to be timed. */
export function legOwner(leg: Leg, { pitcher, catcher, runner }: Names): string {
  if (leg.name === 'pop') return `throws of ${catcher.name}`;
  if (leg.name === 'run' || leg.name === 'jump') return `runs of ${runner.name}`;
  return `${leg.name === 'flight' ? 'pitches' : 'deliveries'} of ${pitcher.name}`;
}

export const VERDICT_NOTES: Record<Verdict, string> = {
  go: 'as safe as needed, or safer',
  close: 'just short, too close to call',
  stay: 'clearly short',
  untimed: 'somebody important is not timed yet',
};

/** What is asked, in a line. @example 'Okafor vs Villanueva and Idowu, second, leg lift' */
export function chosenWords(
  { pitcher, catcher, runner }: Names,
  { base, kind, style }: { base: StealBase; kind: StealKind | null; style: DeliveryStyle | null },
): string {
  const how = [
    BASE_TEXT[base],
    style === null ? null : STYLE_TEXT[style],
    kind === null ? null : KIND_TEXT[kind],
  ].filter((each) => each !== null);
  const all = [runner, pitcher, catcher];
  const who = all.every((person) => standsInFor(person))
    ? 'Typical players'
    : `${lastName(runner)} vs ${lastName(pitcher)} and ${lastName(catcher)}`;
  return `${who}, ${how.join(', ').toLowerCase()}`;
}

/** Whom typical players stand in for. @example standInWords(['pitcher']) // 'No pitcher chosen: typical for the level.' */
export function standInWords(roles: readonly RaceRole[]): string {
  const who = new Intl.ListFormat('en', { type: 'disjunction' }).format(roles);
  return `No ${who} chosen: typical for the level.`;
}
