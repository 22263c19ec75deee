import { EVENTS, type BattingEvent } from '../innings/index.ts';
import type { PersonId } from '../units/index.ts';
import { otherSide, type EventOf, type Side } from './events.ts';
import { recordsOf } from './records.ts';
import {
  HOME,
  OCCUPIED,
  type At,
  type DoneMove,
  type GameState,
  type PlayRecord,
} from './state.ts';

type Outcome = BattingEvent;
/** Turns that are in no rate. */
type NoRate = 'sacrificeBunt' | 'interference' | 'batterOut' | 'outOfTurn';

interface StealCount {
  tries: number;
  stolen: number;
  out: number;
  onError: number;
}
interface SendCount {
  safe: number;
  out: number;
  held: number;
}

/** What a side did in a game, counted. */
export interface SideCounts {
  turns: number;
  /** Turns that are in no rate. */
  other: number;
  outcomes: Record<Outcome, number>;
  hitByPitch: number;
  intentional: number;
  interference: number;
  sacrificeBunts: number;
  sacrificeFlies: number;
  reachedOnThird: number;
  batters: Record<PersonId, Partial<Record<Outcome | NoRate, number>>>;
  /** Turns in which somebody could have gone. */
  stealChances: { second: number; third: number };
  steals: { second: StealCount; third: StealCount; home: StealCount };
  pickedOff: number;
  sends: Record<'firstToThird' | 'secondToHome' | 'firstToHome' | 'thirdOnFly', SendCount>;
  doublePlay: { chances: number; made: number };
  bunts: Record<
    | 'tries'
    | 'missed'
    | 'foul'
    | 'inPlay'
    | 'hit'
    | 'moved'
    | 'leadOut'
    | 'popped'
    | 'onError'
    | 'other',
    number
  >;
  lanes: Partial<Record<string, { inPlay: number; good: number }>>;
  /** In the field. */
  picks: { throws: number; out: number; wild: number };
  dirt: { pitches: number; away: number };
  errors: number;
}

const noSteals = (): StealCount => ({ tries: 0, stolen: 0, out: 0, onError: 0 });
const noSends = (): SendCount => ({ safe: 0, out: 0, held: 0 });

function nothing(): SideCounts {
  return {
    turns: 0,
    other: 0,
    outcomes: Object.fromEntries(EVENTS.map((each) => [each, 0])) as Record<Outcome, number>,
    hitByPitch: 0,
    intentional: 0,
    interference: 0,
    sacrificeBunts: 0,
    sacrificeFlies: 0,
    reachedOnThird: 0,
    // Keys come from outside: nothing is inherited that one of them could touch.
    batters: Object.create(null) as SideCounts['batters'],
    stealChances: { second: 0, third: 0 },
    steals: { second: noSteals(), third: noSteals(), home: noSteals() },
    pickedOff: 0,
    sends: {
      firstToThird: noSends(),
      secondToHome: noSends(),
      firstToHome: noSends(),
      thirdOnFly: noSends(),
    },
    doublePlay: { chances: 0, made: 0 },
    bunts: {
      tries: 0,
      missed: 0,
      foul: 0,
      inPlay: 0,
      hit: 0,
      moved: 0,
      leadOut: 0,
      popped: 0,
      onError: 0,
      other: 0,
    },
    lanes: Object.create(null) as SideCounts['lanes'],
    picks: { throws: 0, out: 0, wild: 0 },
    dirt: { pitches: 0, away: 0 },
    errors: 0,
  };
}

/** What both sides did, of the entries in force. */
export function countsOf(state: GameState | null): Record<Side, SideCounts> {
  const counts: Record<Side, SideCounts> = { away: nothing(), home: nothing() };
  const chances = new Set<string>();
  for (const record of recordsOf(state)) {
    const batting = counts[record.batting];
    const fielding = counts[otherSide(record.batting)];
    countTurn(record, batting, fielding);
    countRunning(record, batting, fielding);
    if (record.event.kind === 'pitch') countPitch(record, record.event, batting, fielding);
    if (record.event.kind === 'pitch') countChances(record, batting, chances);
  }
  return counts;
}

function countTurn(record: PlayRecord, batting: SideCounts, fielding: SideCounts): void {
  const { turn, event, batter } = record;
  if (!turn) return;
  batting.turns += 1;
  const outcome = outcomeOf(record);
  const own = (batting.batters[batter] ??= {});
  own[outcome] = (own[outcome] ?? 0) + 1;
  if (isOutcome(outcome)) batting.outcomes[outcome] += 1;
  else batting.other += 1;
  if (outcome === 'sacrificeBunt') batting.sacrificeBunts += 1;
  if (turn.kind === 'walk' && turn.how === 'hitByPitch') batting.hitByPitch += 1;
  if (turn.kind === 'walk' && turn.how === 'intentional') batting.intentional += 1;
  if (turn.kind === 'interference') batting.interference += 1;
  if (turn.kind === 'strikeout' && turn.reached) batting.reachedOnThird += 1;
  if (event.kind !== 'pitch' || turn.kind !== 'ball') return;
  const ball = event.ball;
  if (ball?.result === 'error') fielding.errors += 1;
  if (ball?.result === 'caught' && record.outsBefore < 2 && scoredFrom(record, 3))
    batting.sacrificeFlies += 1;
}

function isOutcome(outcome: Outcome | NoRate): outcome is Outcome {
  return (EVENTS as readonly string[]).includes(outcome);
}

function outcomeOf(record: PlayRecord): Outcome | NoRate {
  const { turn, event, outs } = record;
  switch (turn?.kind) {
    case 'strikeout':
      return 'strikeout';
    case 'walk':
      return 'walk';
    case 'interference':
      return 'interference';
    case 'outOfTurn':
      return 'outOfTurn';
    case 'ball': {
      const ball = event.kind === 'pitch' ? event.ball : undefined;
      if (isSacrificeBunt(record)) return 'sacrificeBunt';
      switch (ball?.result) {
        case 'error':
          return 'reachOnError';
        case 'fieldersChoice':
          return outs > 0 ? 'groundOut' : 'reachOnError';
        case 'thrownOut':
          return 'groundOut';
        case 'caught':
          return ball.contact === undefined || ball.contact === 'fly' ? 'flyOut' : 'popLineOut';
        case 'infieldFly':
          return 'popLineOut';
        case 'single':
        case 'double':
        case 'triple':
        case 'homeRun':
          return ball.result;
        case undefined:
          return 'batterOut';
      }
      break;
    }
    case 'out':
    case undefined:
      break;
  }
  return 'batterOut';
}

function isSacrificeBunt({ event, moves, outsBefore }: PlayRecord): boolean {
  if (event.kind !== 'pitch' || event.ball?.contact !== 'bunt' || event.bunt === 'hit')
    return false;
  if (outsBefore >= 2 || !['thrownOut', 'error', 'fieldersChoice'].includes(event.ball.result))
    return false;
  const runners = moves.filter(({ from }) => from !== 0);
  return (
    runners.some(({ from, end, isOut }) => !isOut && end > from) &&
    !runners.some(({ isOut }) => isOut)
  );
}

function moveFrom({ moves }: PlayRecord, from: At): DoneMove | undefined {
  return moves.findLast((move) => move.from === from);
}

function scoredFrom(record: PlayRecord, from: At): boolean {
  const move = moveFrom(record, from);
  return move !== undefined && !move.isOut && move.end === HOME;
}

const GOALS = ['second', 'third', 'home'] as const;

/** Steals and pickoffs, each runner for himself. */
function countRunning(record: PlayRecord, batting: SideCounts, fielding: SideCounts): void {
  const { event, moves } = record;
  if (event.kind === 'steal') {
    for (const { from, end, isOut, told } of moves) {
      if (!told || from === 0 || told.how === 'indifference' || !(isOut || end > from)) continue;
      const goal = told.goal ?? GOALS[from - 1];
      if (goal === undefined || goal === 'first') continue;
      const count = batting.steals[goal];
      count.tries += 1;
      if (isOut) count.out += 1;
      else if (told.how === 'error') count.onError += 1;
      else if (end >= GOALS.indexOf(goal) + 2) count.stolen += 1;
    }
  }
  if (event.kind !== 'pick') return;
  fielding.picks.throws += 1;
  if (event.result === 'wild') {
    fielding.picks.wild += 1;
    fielding.errors += 1;
  }
  for (const { from, end, isOut } of moves) {
    if (!isOut || from === 0 || from === HOME) continue;
    if (event.base === (['first', 'second', 'third'] as const)[from - 1]) {
      fielding.picks.out += 1;
      batting.pickedOff += 1;
    }
    const goal = GOALS[from - 1];
    if (end > from && goal !== undefined) {
      batting.steals[goal].tries += 1;
      batting.steals[goal].out += 1;
    }
  }
}

const INFIELDERS: readonly string[] = ['P', 'C', '1B', '2B', '3B', 'SS'];

function countPitch(
  record: PlayRecord,
  event: EventOf<'pitch'>,
  batting: SideCounts,
  fielding: SideCounts,
): void {
  const { bases, outsBefore, outs } = record;
  const anybody = OCCUPIED.some((on) => bases[on] !== null);
  if (anybody && (event.dirt === true || event.away !== undefined)) {
    fielding.dirt.pitches += 1;
    if (event.away !== undefined) fielding.dirt.away += 1;
  }
  countBunt(record, event, batting);
  const { ball } = event;
  if (event.result !== 'inPlay' || !ball) return;
  const onGround = ['thrownOut', 'fieldersChoice', 'error'].includes(ball.result);
  if (ball.contact === 'ground' && bases[1] !== null && outsBefore < 2 && onGround) {
    batting.doublePlay.chances += 1;
    if (outs >= 2) batting.doublePlay.made += 1;
  }
  countSends(record, ball, batting);
}

function countSends(
  record: PlayRecord,
  ball: NonNullable<EventOf<'pitch'>['ball']>,
  { sends }: SideCounts,
): void {
  const { bases, outsBefore } = record;
  const [fielder] = ball.fielders ?? [];
  const wentThrough =
    ball.contact !== 'bunt' && (fielder === undefined || !INFIELDERS.includes(fielder));
  const count = (name: keyof typeof sends, from: At, goal: At, held: At): void => {
    const move = moveFrom(record, from);
    const end = move?.end ?? from;
    if (move?.isOut) {
      if (end === goal) sends[name].out += 1;
    } else if (end >= goal) sends[name].safe += 1;
    else if (end === held) sends[name].held += 1;
  };
  if (ball.result === 'single' && wentThrough) {
    if (bases[2] !== null) count('secondToHome', 2, HOME, 3);
    const second = moveFrom(record, 2);
    const isBlocked = bases[2] !== null && !second?.isOut && second?.end === 3;
    if (bases[1] !== null && !isBlocked) count('firstToThird', 1, 3, 2);
  }
  if (ball.result === 'double' && bases[1] !== null) count('firstToHome', 1, HOME, 3);
  if (ball.result === 'caught' && outsBefore < 2 && bases[3] !== null && wentThrough)
    count('thirdOnFly', 3, HOME, 3);
}

function countBunt(
  record: PlayRecord,
  event: EventOf<'pitch'>,
  { bunts, lanes }: SideCounts,
): void {
  const { ball, result } = event;
  const isBunted = result === 'foulBunt' || (result === 'inPlay' && ball?.contact === 'bunt');
  if (!isBunted && event.bunt === undefined) return;
  if (!['swinging', 'foul', 'foulBunt', 'inPlay'].includes(result)) return;
  bunts.tries += 1;
  if (result === 'swinging') bunts.missed += 1;
  if (result === 'foul' || result === 'foulBunt') bunts.foul += 1;
  if (result !== 'inPlay' || ball?.contact !== 'bunt') return;
  bunts.inPlay += 1;
  const came = buntCame(record, ball.result);
  bunts[came] += 1;
  const lane = (lanes[laneOf(ball)] ??= { inPlay: 0, good: 0 });
  lane.inPlay += 1;
  if (came === 'hit' || came === 'moved') lane.good += 1;
}

function buntCame(
  record: PlayRecord,
  result: string,
): 'hit' | 'onError' | 'popped' | 'leadOut' | 'moved' | 'other' {
  if (result === 'single') return 'hit';
  if (result === 'caught' || result === 'infieldFly') return 'popped';
  if (record.moves.some(({ from, isOut }) => from !== 0 && isOut)) return 'leadOut';
  if (isSacrificeBunt(record)) return 'moved';
  return result === 'error' ? 'onError' : 'other';
}

/** The third of the field that a bunt went to, by what was told or by its angle from the first-base line. */
function laneOf({ zone, at }: NonNullable<EventOf<'pitch'>['ball']>): string {
  if (zone !== undefined) return zone;
  if (!at) return 'unsaid';
  const degrees = (Math.atan2(at.y, at.x) * 180) / Math.PI;
  if (degrees < 30) return 'firstSide';
  return degrees > 60 ? 'thirdSide' : 'middle';
}

/** Once a turn: somebody on, and the next base free, at some pitch. */
function countChances(record: PlayRecord, { stealChances }: SideCounts, seen: Set<string>): void {
  const { bases, turnId } = record;
  for (const [base, on] of [
    ['second', 1],
    ['third', 2],
  ] as const) {
    const key = `${base} ${String(turnId)}`;
    const isFree = bases[on] !== null && bases[(on + 1) as 2 | 3] === null;
    if (!isFree || seen.has(key)) continue;
    seen.add(key);
    stealChances[base] += 1;
  }
}
