import { isFields, type GameEvent, type Side, type Situation } from '../games/index.ts';
import type { RankedPlay, StealHere } from '../advice/index.ts';
import type { Person } from '../people/index.ts';
import { pitchesFor } from '../race/index.ts';
import { SLIDE_STEP_DOUBT_SECONDS, type Leg } from '../steals/index.ts';
import { LEVEL_CONSTANTS, type LevelChanges, type LevelConstantKey } from '../timing/index.ts';
import type { GameId, PersonId, ReadingId } from '../units/index.ts';
import { UNKNOWN_PITCH, type Attempt, type ExpectedLeg, type ThrowSeen } from './attempt.ts';
import { expectedWorth, STAY, type Option } from './ledger.ts';

/** A time as it was known when a call was made. Seconds. */
export interface LegThen {
  meanSeconds: number;
  doubtSeconds: number;
  spreadSeconds: number;
  /** How much the spread itself is to be trusted; null: it is certain. */
  freedom: number | null;
  basis: string;
}

/** An option as it stood then: worth against staying, in the unit of the game. */
export interface OptionThen {
  name: string;
  outcomes: readonly { name: string; p: number; value: number }[];
  low: number;
  high: number;
}

/** A call as it was known before the pitch. Written once; chances 0..1. */
export interface KeptCall {
  /** The entry that holds it. */
  id: string;
  slot: string;
  at: string;
  inning: number;
  half: string;
  outs: number;
  runner: PersonId;
  pitcher: PersonId | null;
  catcher: PersonId | null;
  pitcherThrows: string | null;
  base: 'second' | 'third' | 'home';
  kind: string;
  style: string | null;
  legs: { pitch: LegThen | null; pop: LegThen | null; run: LegThen | null; jump: LegThen | null };
  chance: number;
  low: number;
  high: number;
  need: number;
  verdict: string;
  shown: boolean;
  called: string | null;
  calledBy: string | null;
  options: readonly OptionThen[];
  /** The team's own numbers that were in force; null: from before they were kept. */
  changes: LevelChanges | null;
}

/** What of an attempt can be timed. */
export const TIMED_LEGS = ['delivery', 'pop', 'jump', 'run'] as const;
export type TimedLegName = (typeof TIMED_LEGS)[number];

/** Times that were taken of an attempt, and of whom they may be. */
export interface KeptTimes extends Pick<KeptCall, 'pitcher' | 'catcher' | 'runner'> {
  timed: Partial<Record<TimedLegName, ReadingId>>;
}

/** What came of a call. */
export interface KeptResult {
  done: 'go' | 'stay';
  resolved: boolean;
  why: string | null;
  outcome: 'safe' | 'out' | 'notRun' | 'safeOnError';
  signSeen: 'yes' | 'no' | 'unknown';
  /** How the catcher threw, where somebody said it. */
  throw: ThrowSeen | null;
  /** The times that were taken of it. */
  timed: KeptTimes['timed'];
  /** A pitch-out, which is the only kind of pitch that games tell. */
  pitchOut: boolean;
}

/** A call and what came of it, in the order of the game. */
export interface CallAndResult {
  call: KeptCall;
  /** null: nothing was told after it. */
  result: KeptResult | null;
}

/**
 * A call as it is kept before the pitch: people, times with their doubt, chance, need, what was shown and what was
 * called. Kept as it is; what came of it is a second entry that names it.
 * @param changes the team's own numbers, in force now
 */
export function keepCall({
  gameId,
  situation,
  ours,
  race,
  plays,
  pitcher,
  batter,
  need,
  chanceToWin,
  called,
  calledBy,
  changes,
}: {
  gameId: GameId;
  situation: Situation;
  ours: Side;
  race: StealHere;
  plays: readonly RankedPlay[];
  pitcher: Person | null;
  batter: Person | null;
  need: number;
  chanceToWin: number;
  /** The play of the sign that stands, and who gave it; null: none does. */
  called: string | null;
  calledBy: string | null;
  changes: LevelChanges;
}) {
  const { steal, question, base, kind } = race;
  const { legs } = steal;
  const theirs = ours === 'home' ? 'away' : 'home';
  const { runs } = situation;
  return {
    gameId,
    slot: situation.slot,
    situation: {
      inning: situation.inning,
      half: situation.half,
      outs: situation.outs,
      bases: situation.bases,
      homeLead: runs.home - runs.away,
      balls: situation.balls,
      strikes: situation.strikes,
      spotUp: situation.order[ours].indexOf(situation.batter),
    },
    people: {
      pitcher: situation.pitcher,
      catcher: situation.catcher,
      runner: race.runner.id,
      batter: situation.batter,
      pitcherThrows: pitcher?.throws ?? null,
      batterSide: batter?.bats ?? null,
    },
    play: {
      base,
      kind,
      style: question.style,
      leadFeet: legs.start.leadFeet,
      expected: 'count',
    },
    legs: {
      pitch: keptLeg(legs.pitch),
      pop: keptLeg(legs.pop),
      run: keptLeg(legs.run),
      jump: keptLeg(legs.jump),
    },
    constants: { levelName: question.field.level.label, changes },
    chance: steal.chance,
    low: steal.low,
    high: steal.high,
    options: keptOptions(plays),
    chanceToWin,
    lead: runs[ours] - runs[theirs],
    need,
    verdict: steal.verdict,
    shown: true,
    called,
    calledBy,
  };
}

/** A time as it is kept with a call. */
function keptLeg(leg: Leg | null) {
  if (!leg) return null;
  const { meanSeconds, meanSdSeconds, spreadSeconds, freedom } = leg.spread;
  return {
    meanSeconds,
    doubtSeconds: meanSdSeconds,
    spreadSeconds,
    // JSON has no infinity.
    freedom: Number.isFinite(freedom) ? freedom : null,
    count: leg.count,
    basis: leg.basis,
  };
}

/** What was open to the side at bat, as it is kept with a call: what may come of each, worth against staying. */
function keptOptions(plays: readonly RankedPlay[]): OptionThen[] {
  return plays.map(({ play, works, ifWorks, ifNot, worth, low, high }) => ({
    name: play === 'swing' ? STAY : play,
    outcomes:
      works !== null && ifWorks !== null && ifNot !== null
        ? [
            { name: 'works', p: works, value: ifWorks },
            { name: 'fails', p: 1 - works, value: ifNot },
          ]
        : [{ name: 'any', p: 1, value: worth }],
    low: low ?? worth,
    high: high ?? worth,
  }));
}

const BASES = ['second', 'third', 'home'] as const;
const OUTCOMES = ['safe', 'out', 'notRun', 'safeOnError'] as const;
const oneOf = <T>(all: readonly T[], value: unknown): T | null =>
  all.find((each) => each === value) ?? null;
const isShare = (value: unknown): value is number =>
  typeof value === 'number' && value >= 0 && value <= 1;
/** In chance to win: never more than from losing to winning. */
const isWorth = (value: unknown): value is number =>
  typeof value === 'number' && value >= -1 && value <= 1;
/** Whatever a device has sent: no word of a call is longer. */
const LONGEST_WORD = 60;
const textOr = (value: unknown): string | null =>
  typeof value === 'string' && value.trim() !== '' ? value.slice(0, LONGEST_WORD) : null;

const LONGEST_SECONDS = 60;
/** So sure a spread says no more than a certain one. */
const CERTAIN = 1e6;

function legOf(value: unknown): LegThen | null {
  if (!isFields(value)) return null;
  const [meanSeconds, doubtSeconds, spreadSeconds] = [
    value['meanSeconds'],
    value['doubtSeconds'],
    value['spreadSeconds'],
  ].map(Number) as [number, number, number];
  // Nothing in a race takes a minute.
  const fits = [meanSeconds, doubtSeconds, spreadSeconds].every(
    (seconds) => Math.abs(seconds) <= LONGEST_SECONDS,
  );
  const freedom = value['freedom'];
  return fits
    ? {
        meanSeconds,
        doubtSeconds,
        spreadSeconds,
        freedom: typeof freedom === 'number' && freedom > 2 && freedom < CERTAIN ? freedom : null,
        basis: textOr(value['basis']) ?? 'typical',
      }
    : null;
}

/** The team's own numbers as a call has them: those that a level has and that lie where they may. */
function changesOf(constants: unknown): LevelChanges | null {
  if (!isFields(constants) || !isFields(constants['changes'])) return null;
  return Object.fromEntries(
    Object.entries(constants['changes']).filter(([key, value]) => {
      const known = key in LEVEL_CONSTANTS ? LEVEL_CONSTANTS[key as LevelConstantKey] : null;
      return known && typeof value === 'number' && value >= known.min && value <= known.max;
    }),
  );
}

function optionOf(value: unknown): OptionThen[] {
  if (!isFields(value) || !Array.isArray(value['outcomes'])) return [];
  const { name, outcomes, low, high } = value as unknown as OptionThen;
  const fits =
    typeof name === 'string' &&
    outcomes.every(({ p, value: worth }) => isShare(p) && isWorth(worth));
  return fits && isWorth(low) && isWorth(high) ? [{ name, outcomes, low, high }] : [];
}

/** What an entry keeps of a call; null: it keeps none, or it is not whole. */
function callOf(event: Extract<GameEvent, { kind: 'advice' }>): KeptCall | null {
  const { plays } = event;
  if (!isFields(plays)) return null;
  const { situation, people, play, legs, options } = plays;
  if (!isFields(situation) || !isFields(people) || !isFields(play)) return null;
  const base = oneOf(BASES, play['base']);
  const runner = textOr(people['runner']);
  const { chance, low, high, need } = plays;
  const [inning, outs] = [Number(situation['inning']), Number(situation['outs'])];
  if (!(inning >= 1) || !(outs >= 0 && outs <= 3)) return null;
  if (!base || runner === null || !isShare(chance) || !isShare(low) || !isShare(high)) return null;
  const leg = isFields(legs) ? legs : {};
  return {
    id: event.id,
    slot: event.slot,
    at: event.at ?? '',
    inning,
    half: textOr(situation['half']) ?? 'top',
    outs,
    runner: runner as PersonId,
    pitcher: textOr(people['pitcher']) as PersonId | null,
    catcher: textOr(people['catcher']) as PersonId | null,
    pitcherThrows: textOr(people['pitcherThrows']),
    base,
    kind: textOr(play['kind']) ?? 'straight',
    style: textOr(play['style']),
    legs: {
      pitch: legOf(leg['pitch']),
      pop: legOf(leg['pop']),
      run: legOf(leg['run']),
      jump: legOf(leg['jump']),
    },
    chance,
    low,
    high,
    need: isShare(need) ? need : 1,
    verdict: textOr(plays['verdict']) ?? 'untimed',
    shown: plays['shown'] === true,
    called: textOr(plays['called']),
    calledBy: textOr(plays['calledBy']),
    options: Array.isArray(options) ? options.flatMap(optionOf) : [],
    changes: changesOf(plays['constants']),
  };
}

/** Which time of an attempt a reading of a kind is. */
const LEG_OF_READING: Record<string, TimedLegName> = {
  delivery: 'delivery',
  flight: 'delivery',
  pop: 'pop',
  leave: 'jump',
  steal: 'run',
};
const THROWS = ['onLine', 'offLine', 'away'] as const satisfies readonly ThrowSeen[];

function resultOf(taken: Record<string, unknown>): KeptResult | null {
  const outcome = oneOf(OUTCOMES, taken['outcome']);
  const done = oneOf(['go', 'stay'] as const, taken['done']);
  if (!outcome || !done) return null;
  return {
    done,
    outcome,
    resolved: taken['resolved'] === true,
    why: textOr(taken['why']),
    signSeen: oneOf(['yes', 'no'] as const, taken['signSeen']) ?? 'unknown',
    throw: null,
    timed: {},
    pitchOut: false,
  };
}

/**
 * The calls of a game with what came of them. A call at one pitch that was made again, because the pitch was undone,
 * counts once, as it was made last; of results the newest. What is not whole is left out. Times and the throw are
 * those told at that pitch: a watch may be a tap behind it.
 */
export function callsIn(events: readonly GameEvent[]): CallAndResult[] {
  const hidden = new Set(events.flatMap((event) => (event.kind === 'undo' ? [event.event] : [])));
  const calls = new Map<string, CallAndResult>();
  const slots = new Map<string, string>();
  const seen = new Map<string, Pick<KeptResult, 'throw' | 'timed' | 'pitchOut'>>();
  /** The call that the next times and throws are of, and the pitches since. */
  let [current, pitches]: [string | null, number] = [null, 0];
  for (const event of events) {
    if (hidden.has(event.id)) continue;
    if (event.kind === 'pitch') pitches += 1;
    const own = current === null || pitches > 1 ? undefined : seen.get(current);
    if (own && event.kind === 'reading') {
      const leg = LEG_OF_READING[event.what];
      const reading = textOr(event.reading);
      if (leg && reading) own.timed[leg] = reading as ReadingId;
    }
    if (own && event.kind === 'pitch') own.pitchOut = event.pitchOut === true;
    if (own && event.kind === 'steal') own.throw = oneOf(THROWS, event.throw);
    if (event.kind !== 'advice') continue;
    const call = callOf(event);
    if (call) {
      const before = slots.get(call.slot);
      if (before !== undefined) calls.delete(before);
      slots.set(call.slot, call.id);
      calls.set(call.id, { call, result: null });
      [current, pitches] = [call.id, 0];
      seen.set(call.id, { throw: null, timed: {}, pitchOut: false });
    } else if (isFields(event.taken)) {
      const kept = calls.get(textOr(event.taken['callId']) ?? '');
      const result = resultOf(event.taken);
      if (kept && result) kept.result = result;
    }
  }
  return [...calls.values()].map(({ call, result }) => ({
    call,
    result: result && { ...result, ...seen.get(call.id) },
  }));
}

/** The option that going was, by the base and the way. */
export function goOptionOf({ base, kind, options }: KeptCall): string | null {
  const wanted =
    kind === 'hop'
      ? 'hopSteal'
      : kind === 'delayed'
        ? 'delayedSteal'
        : { second: 'stealSecond', third: 'stealThird', home: 'stealHome' }[base];
  return options.some(({ name }) => name === wanted) ? wanted : null;
}

/** What the plays of a sign are among the options; null: no option is that. */
const OPTION_OF_SIGN: Record<string, readonly string[]> = {
  steal: ['stealSecond', 'stealThird', 'stealHome'],
  delayedSteal: ['delayedSteal'],
  hitAndRun: ['hitAndRun'],
  bunt: ['sacrifice'],
  sacrifice: ['sacrifice'],
  squeeze: ['squeeze'],
  take: ['take'],
};

/** What was called, as one of the options; null: nothing, or nothing that was weighed. */
export function calledOption(call: KeptCall): string | null {
  if (call.called === null) return null;
  const names = [call.called, ...(OPTION_OF_SIGN[call.called] ?? [])];
  const go = goOptionOf(call);
  // A steal that was called is the one that was looked at.
  if (go !== null && names.includes(go)) return go;
  return call.options.find(({ name }) => names.includes(name))?.name ?? null;
}

/** What was done, as one of the options. */
export function doneOption(call: KeptCall, result: KeptResult): string {
  if (result.done === 'go') return goOptionOf(call) ?? STAY;
  const called = calledOption(call);
  // A bunt or a swing that was called is taken as done: only runners who went are told.
  return called !== null && called !== goOptionOf(call) ? called : STAY;
}

/** One runner, base, plate appearance and state: pitches of the same question. */
export function opportunityOf({ runner, base, slot, outs }: KeptCall): string {
  return `${runner} ${base} ${slot.replace(/\.[^.]*$/, '')} ${String(outs)}`;
}

/** What a review weighs: running or not. What the batter was told is not known, unless it was called. */
const RUNNING = [
  'stealSecond',
  'stealThird',
  'stealHome',
  'doubleSteal',
  'delayedSteal',
  'hopSteal',
];

/** Options of running as they stood then, and what was called, on top of what the spot was worth. */
export function optionsOn(call: KeptCall, worth: number): Option[] {
  const called = calledOption(call);
  const weighed = call.options.filter(({ name }) => RUNNING.includes(name) || name === called);
  const own = weighed.map(({ name, outcomes, low, high }): Option => ({
    name,
    outcomes: outcomes.map(({ name: end, p, value }) => ({
      name: end,
      chance: p,
      worth: worth + value,
    })),
    low: worth + low,
    high: worth + high,
  }));
  const stay: Option = { name: STAY, outcomes: [{ name: STAY, chance: 1, worth }] };
  // Staying first: of what is worth the same nobody has to run.
  return [stay, ...own];
}

/** Staying, and every way to go that was weighed, each worth on average against staying. */
export function runningOf(call: KeptCall): { name: string; worth: number }[] {
  return optionsOn({ ...call, called: null }, 0).map((option) => ({
    name: option.name,
    worth: expectedWorth(option),
  }));
}

const legFor = ({ meanSeconds, doubtSeconds, spreadSeconds }: LegThen): ExpectedLeg => ({
  mean: meanSeconds,
  doubt: doubtSeconds,
  within: spreadSeconds,
});

const [OUT] = pitchesFor({ pitch: 'pitchout' });
/** What a pitch-out does to the race, against the usual mix. */
const PITCH_OUT: Attempt['pitch'] = {
  delivery: OUT?.deliverySeconds ?? 0,
  pop: OUT?.popSeconds ?? 0,
  sd: OUT?.sdSeconds ?? 0,
  wild: OUT?.wild ?? 0,
};

/** The leg lift that a slide step was worked out from. */
function legLiftOf(pitch: LegThen, saves: number): ExpectedLeg {
  const { mean, doubt, within } = legFor(pitch);
  return {
    mean: mean + saves,
    doubt: Math.sqrt(Math.max(0, doubt ** 2 - SLIDE_STEP_DOUBT_SECONDS ** 2)),
    within,
  };
}

/** A reading on the typical stopwatch's scale: its timer's bias is out of it. Seconds. */
export interface ReckonedReading {
  seconds: number;
  timerSdSeconds: number;
}

/** What of a call the constants can be learned from. */
type Ran = Pick<KeptCall, 'base' | 'kind' | 'style' | 'pitcherThrows' | 'legs'> &
  Pick<KeptResult, 'outcome' | 'throw' | 'pitchOut'>;

/**
 * A decided attempt as the constants are learned from it; null: it is of a kind that they say nothing of, or its
 * times were not kept.
 * @param isOpen runners may lead off @param timed what was timed of it
 * @param saves seconds that a slide step which was never timed was taken to save when it was told
 */
export function attemptOf(
  { base, kind, style, pitcherThrows, legs, outcome, throw: thrown, pitchOut }: Ran,
  isOpen: boolean,
  timed: Partial<Record<TimedLegName, ReckonedReading>>,
  saves: number,
): Attempt | null {
  const { pitch, pop, run } = legs;
  if (base === 'home' || kind === 'delayed' || !pitch || !pop || !run) return null;
  const slideReckoned = isOpen && style === 'slideStep' && pitch.basis === 'reckoned';
  return {
    toThird: isOpen && base === 'third',
    againstLeft: isOpen && base === 'second' && pitcherThrows === 'left',
    slideReckoned,
    delivery: slideReckoned ? legLiftOf(pitch, saves) : legFor(pitch),
    pop: legFor(pop),
    run: legFor(run),
    pitch: pitchOut ? PITCH_OUT : UNKNOWN_PITCH,
    timed: Object.fromEntries(
      Object.entries(timed).map(([leg, { seconds, timerSdSeconds }]) => [
        leg,
        { seconds, sd: timerSdSeconds },
      ]),
    ),
    throw: thrown,
    safe: outcome !== 'out',
    weight: 1,
    popTimed: 0,
  };
}
