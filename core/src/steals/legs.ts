import { type Spread } from '../maths/index.ts';
import type { Person, SideOfPlate } from '../people/index.ts';
import { timesFromRelease } from '../rules/index.ts';
import {
  expectedTime,
  predictRun,
  type Conditions,
  type Population,
  type Runner,
} from '../sprint/index.ts';
import {
  plainContext,
  populationKey,
  spreadOf,
  type DeliveryStyle,
  type Estimate,
  type ReadingContext,
  type DoubtfulSpread,
} from '../timing/index.ts';
import { startOf, type Start, type StealBase, type StealKind } from './kinds.ts';

/**
 * What a time of the race rests on: `timed` the person's own readings of just this; `reckoned` from
 * others of theirs; `typical` of the level, when nothing of their own is known; `supposed` by the coach.
 */
export type Basis = 'timed' | 'reckoned' | 'typical' | 'supposed';

export type LegName =
  'delivery' | 'flight' | 'windUp' | 'surprise' | 'pop' | 'tag' | 'jump' | 'run';

/** One stretch of a lane of the race, in the order in which it happens. */
export interface Leg {
  name: LegName;
  spread: DoubtfulSpread;
  basis: Basis;
  /** How many readings stand behind it; 0 when typical. */
  count: number;
}

/** A player and what is timed of him. */
interface Timed {
  person: Pick<Person, 'throws' | 'bats'>;
  populations: readonly Population[];
}

/** Who runs on whom, and how. */
export interface StealQuestion {
  field: Conditions;
  base: StealBase;
  kind: StealKind;
  style: DeliveryStyle;
  pitcher: Timed;
  catcher: Timed;
  runner: Timed & { form: Runner };
  /** His lead off first; null: the usual one. */
  leadFeet: number | null;
  /** The side the batter stands on, in the way of a throw to third; null: not known. */
  batter: Exclude<SideOfPlate, 'switch'> | null;
  /** Times supposed in place of what is known of these people. */
  supposed?: SupposedTimes | undefined;
}

/** What a coach supposes somebody takes on average, seconds: "if they are 1.40, 2.10 and 3.45". */
export interface SupposedTimes {
  /** The delivery; where a pitch is timed from the release, its flight. */
  pitch?: number | undefined;
  pop?: number | undefined;
  /** From the lead that is taken. */
  run?: number | undefined;
  /** When they leave, where nobody leads off. */
  jump?: number | undefined;
}

/** What is known of the people of a team, however it was come by. */
export interface KnownPeople {
  field: Conditions;
  /** What is timed of somebody. */
  of: (person: Person) => readonly Population[];
  /** How somebody runs, by all their runs. */
  runner: (person: Person) => Runner;
}

/** How a steal is tried, where nothing of it is supposed. */
export type Attempt = Pick<StealQuestion, 'base' | 'kind' | 'style' | 'leadFeet' | 'batter'>;

/** The question of one steal by people who are known. */
export function questionOf(
  { field, of, runner: formOf }: KnownPeople,
  { pitcher, catcher, runner }: { pitcher: Person; catcher: Person; runner: Person },
  attempt: Attempt,
): StealQuestion {
  return {
    field,
    pitcher: { person: pitcher, populations: of(pitcher) },
    catcher: { person: catcher, populations: of(catcher) },
    runner: { person: runner, populations: of(runner), form: formOf(runner) },
    ...attempt,
  };
}

/** Every time that a steal is judged by. */
export interface Legs {
  /** null where nobody may leave before the pitch arrives, and on a delayed steal, which starts then. */
  pitch: Leg | null;
  /** On a delayed steal: until the catcher knows. */
  surprise: Leg | null;
  /** null on a steal of home: nobody throws. */
  pop: Leg | null;
  tag: Leg;
  /** null on a delayed steal: he is on his way when the clock starts. */
  jump: Leg | null;
  run: Leg;
  start: Start;
}

/** A right-handed batter is in the way of the throw to third. Agreed. */
const RIGHT_HANDED_BATTER_SECONDS = 0.03;
/** How far one pitcher's slide step saves more or less than another's. Judgement. */
export const SLIDE_STEP_DOUBT_SECONDS = 0.04;
/** Nobody says a time finer than to a hundredth. Judgement. */
const SUPPOSED_DOUBT_SECONDS = 0.01;
/** A delayed steal surprises. Agreed. */
const SURPRISE: Spread = { meanSeconds: 0.25, sdSeconds: 0.12 };
/** From the wind-up to the mitt, when somebody walks home on it. Agreed figure; its spread is judgement. */
const WIND_UP: Spread = { meanSeconds: 2.2, sdSeconds: 0.08 };
/** Mitt to tag at the plate. Judgement, set so that the agreed chances of stealing home come out. */
const HOME_TAG: Spread = { meanSeconds: 0.44, sdSeconds: 0.15 };

/**
 * The times for one steal: each person's own estimate where he has any time that counts, else what
 * is typical. Pops count for the base they were thrown to; a run rests on all his runs.
 */
export function legsOf(question: StealQuestion): Legs {
  const { base, kind, supposed } = question;
  const { level } = question.field;
  const delayed = kind === 'delayed';
  return {
    pitch: delayed ? null : supposing(pitchLeg(question), supposed?.pitch),
    surprise: delayed ? given('surprise', SURPRISE) : null,
    pop: base === 'home' ? null : supposing(popLeg(question, base), supposed?.pop),
    tag:
      base === 'home'
        ? given('tag', HOME_TAG)
        : given('tag', {
            meanSeconds: level.tag.onLineSeconds,
            sdSeconds: level.tag.onLineSdSeconds,
          }),
    jump: delayed ? null : supposing(jumpLeg(question), supposed?.jump),
    run: supposing(runLeg(question), supposed?.run),
    start: startOf(kind, base, question.field.ruleset, question.leadFeet),
  };
}

/** The mean is taken at its word, to the hundredth that it is said in; how uneven that person is stays. */
function supposing<T extends Leg | null>(leg: T, meanSeconds: number | undefined): T | Leg {
  if (leg === null || meanSeconds === undefined) return leg;
  const even = given(leg.name, { meanSeconds, sdSeconds: leg.spread.spreadSeconds });
  return { ...even, basis: 'supposed', spread: lessSure(even.spread, SUPPOSED_DOUBT_SECONDS) };
}

function pitchLeg(question: StealQuestion): Leg | null {
  const { field, style, pitcher, base, kind } = question;
  if (field.ruleset.leadRule === 'reachesBatter') return null;
  if (timesFromRelease(field.ruleset)) return own('flight', pitcher, plainContext('flight'), field);
  // Who walks home does so on a wind-up; nobody times those.
  if (base === 'home' && kind === 'hop') return given('windUp', WIND_UP);
  const context: ReadingContext = { ...plainContext('delivery'), style };
  const leg = own('delivery', pitcher, context, field);
  if (style === 'legLift' || leg.basis === 'timed') return leg;
  const legLift = own('delivery', pitcher, { ...context, style: 'legLift' }, field);
  return legLift.basis === 'typical'
    ? leg
    : {
        ...legLift,
        basis: 'reckoned',
        spread: lessSure(
          later(legLift.spread, -field.level.slideStepSavesSeconds),
          SLIDE_STEP_DOUBT_SECONDS,
        ),
      };
}

function popLeg({ field, catcher, batter }: StealQuestion, base: 'second' | 'third'): Leg {
  const leg = own('pop', catcher, { ...plainContext('pop'), base }, field);
  const inTheWay = base === 'third' && batter === 'right' ? RIGHT_HANDED_BATTER_SECONDS : 0;
  return { ...leg, spread: later(leg.spread, inTheWay) };
}

/** Where nobody leads off, when he leaves is a skill of his own that is timed. */
function jumpLeg({ field, base, kind, pitcher, runner }: StealQuestion): Leg {
  const { level, ruleset } = field;
  if (ruleset.leadRule !== 'open') return own('jump', runner, plainContext('leave'), field);
  // Who walks home is on his way when the wind-up starts.
  if (base === 'home' && kind === 'hop') {
    return given('jump', { meanSeconds: 0, sdSeconds: level.jumpSdSeconds });
  }
  const left = pitcher.person.throws === 'left' && base === 'second';
  return given('jump', {
    meanSeconds:
      level.jumpSeconds +
      (base === 'second' ? 0 : level.jumpOffSecondSeconds) +
      (left ? level.jumpLeftHanderSeconds : 0),
    sdSeconds: left
      ? Math.hypot(level.jumpSdSeconds, level.jumpLeftHanderSdSeconds)
      : level.jumpSdSeconds,
  });
}

/** By everything he ever ran, from where he goes now. */
function runLeg({ field, base, kind, runner, leadFeet }: StealQuestion): Leg {
  const { form } = runner;
  const start = startOf(kind, base, field.ruleset, leadFeet);
  const run = { kind: 'steal', leadFeet: start.leadFeet, startSpeed: start.speed } as const;
  const steals = form.restsOn.filter(({ context }) => context.kind === 'steal');
  const count = (populations: readonly Population[]): number =>
    populations.reduce((sum, { estimate }) => sum + (estimate?.count ?? 0), 0);
  return {
    name: 'run',
    spread: predictRun(form.fit, run, field, field.level.runSdSeconds),
    basis: steals.length > 0 ? 'timed' : form.restsOn.length > 0 ? 'reckoned' : 'typical',
    count: count(steals.length > 0 ? steals : form.restsOn),
  };
}

function own(
  name: LegName,
  { person, populations }: Timed,
  context: ReadingContext,
  field: Conditions,
): Leg {
  const estimate = expectedTime(person, populations, context, field);
  if (estimate === null) throw new RangeError(`legsOf needs a typical ${populationKey(context)}`);
  return legOf(name, estimate);
}

function legOf(name: LegName, estimate: Estimate): Leg {
  const basis = estimate.count > 0 ? 'timed' : 'typical';
  return { name, spread: spreadOf(estimate), basis, count: estimate.count };
}

/** A constant of the level: uneven, but not somebody's to be timed. */
function given(name: LegName, { meanSeconds, sdSeconds }: Spread): Leg {
  const spread = {
    meanSeconds,
    sdSeconds,
    freedom: Number.POSITIVE_INFINITY,
    meanSdSeconds: 0,
    spreadSeconds: sdSeconds,
  };
  return { name, spread, basis: 'typical', count: 0 };
}

function later(spread: DoubtfulSpread, seconds: number): DoubtfulSpread {
  return { ...spread, meanSeconds: spread.meanSeconds + seconds };
}

function lessSure(spread: DoubtfulSpread, seconds: number): DoubtfulSpread {
  return {
    ...spread,
    sdSeconds: Math.hypot(spread.sdSeconds, seconds),
    meanSdSeconds: Math.hypot(spread.meanSdSeconds, seconds),
  };
}

/** Legs that are somebody's own to be timed. A jump is where nobody leads off: it is when the runner leaves. */
export function ownLegs({ pitch, pop, jump, run }: Legs): Leg[] {
  return [pitch, pop, jump, run].filter(
    (leg): leg is Leg =>
      leg !== null &&
      leg.name !== 'windUp' &&
      (leg.name !== 'jump' || leg.spread.meanSdSeconds > 0),
  );
}

/** Those that are not timed. */
export function untimedLegs(legs: Legs): Leg[] {
  return ownLegs(legs).filter(({ basis }) => basis === 'typical');
}
