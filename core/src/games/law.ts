import { call, pitched } from './calls.ts';
import { absence, batterUp, courtesy, placed, reading, sub } from './changes.ts';
import { judgeCorrection, placeCorrection } from './correction.ts';
import {
  isPlay,
  otherSide,
  sideAtBat,
  SIDES,
  type EventOf,
  type GameEvent,
  type PlayEvent,
  type Side,
} from './events.ts';
import { batterOf, dueOf, endGame, endHalf, finishTurn, pitcherOf, runRuleLead } from './halves.ts';
import { startingTeam } from './lineUp.ts';
import { readPlay } from './play.ts';
import { isFields, isWellFormed } from './shape.ts';
import { halfIndex, type Slot } from './slot.ts';
import {
  isReason,
  NOBODY_ON,
  OCCUPIED,
  type Applied,
  type GameState,
  type TeamState,
} from './state.ts';

/** Reads one entry by the law. Before the opening there is no state. */
export function apply(state: GameState | null, event: GameEvent, slot: Slot): Applied {
  if (event.kind === 'opened') return state ? 'alreadyOpen' : opening(event);
  if (!state) return 'notOpen';
  if (!isWellFormed(event)) return 'malformed';
  if (isPlay(event)) {
    const now = inTime(state, slot, true);
    return isReason(now) ? now : applyPlay(now, event);
  }
  switch (event.kind) {
    case 'batterUp': {
      const now = inTime(state, slot, true);
      return isReason(now) ? now : batterUp(now, event);
    }
    case 'halfEnded': {
      const now = inTime(state, slot, false);
      return isReason(now) ? now : endHalf({ ...now, lastPlay: null });
    }
    case 'ended':
      return ended(state, event);
    case 'correction':
      return correction(state, event, slot);
    case 'sub':
      return sub(state, event);
    case 'courtesy':
      return courtesy(state, event);
    case 'placed':
      return placed(state, event);
    case 'absent':
    case 'arrived':
      return absence(state, event);
    case 'visit':
      if (state.over) return 'gameOver';
      return { ...state, visits: { ...state.visits, [event.team]: state.visits[event.team] + 1 } };
    case 'alignment': {
      const { infield, outfield, covers } = event;
      const told = { infield, outfield, covers };
      const alignment = Object.fromEntries(
        Object.entries(told).filter(([, value]) => value !== undefined),
      );
      return { ...state, alignment };
    }
    case 'sign':
      return { ...state, sign: { play: event.play, seen: event.seen } };
    case 'reading':
      return reading(state, event);
    case 'advice':
    case 'undo':
    case 'settle':
      return state;
    case 'appeal':
    case 'outOfTurn':
      // They read the last play again: see `reading.ts`.
      return state;
    default:
      return 'unknownKind';
  }
}

function opening({ rules, ours, away, home }: EventOf<'opened'>): Applied {
  if (!isRules(rules) || !SIDES.includes(ours) || !isLineUp(away) || !isLineUp(home))
    return 'malformed';
  const teams = { away: startingTeam(away, rules), home: startingTeam(home, rules) };
  for (const side of SIDES) if (typeof teams[side] === 'string') return teams[side];
  const players = [
    ...(teams.away as TeamState).from.keys(),
    ...(teams.home as TeamState).from.keys(),
  ];
  if (new Set(players).size !== players.length) return 'badLineUp';
  return {
    rules,
    ours,
    teams: teams as Record<Side, TeamState>,
    number: 0,
    inning: 1,
    half: 'top',
    turn: 1,
    pitch: 1,
    seen: false,
    outs: 0,
    balls: 0,
    strikes: 0,
    bases: NOBODY_ON,
    by: {},
    runs: { away: 0, home: 0 },
    line: { away: [0], home: [] },
    up: null,
    picks: 0,
    halfBegun: false,
    visits: { away: 0, home: 0 },
    pitches: {},
    throws: {},
    alignment: null,
    sign: null,
    over: null,
    lastPlay: null,
    turnId: 0,
    records: null,
  };
}

function isRules(rules: unknown): boolean {
  return isFields(rules) && Number.isInteger(rules['innings']) && Array.isArray(rules['runRules']);
}

function isLineUp(lineUp: unknown): boolean {
  if (!isFields(lineUp)) return false;
  const { order, bench, flex } = lineUp;
  const isSpot = (spot: unknown): boolean =>
    isFields(spot) &&
    typeof spot['id'] === 'string' &&
    (spot['pos'] === null || typeof spot['pos'] === 'string');
  return (
    Array.isArray(order) &&
    order.every(isSpot) &&
    Array.isArray(bench) &&
    bench.every((id) => typeof id === 'string') &&
    (flex === null || isSpot(flex))
  );
}

/** Whether it is told for the half and the turn that stand; a later turn of a fresh batter moves the turn on. */
function inTime(state: GameState, slot: Slot, turns: boolean): Applied {
  if (state.over) return 'gameOver';
  if (slot.number < state.number) return 'stale';
  if (slot.number > state.number) return 'halfOpen';
  const halves = halfIndex(slot) - halfIndex(state);
  if (halves < 0) return 'halfOver';
  if (halves > 0) return 'halfOpen';
  if (!turns) return state;
  if (slot.turn < state.turn) return 'turnOver';
  if (slot.turn > state.turn) {
    if (state.seen) return 'turnOpen';
    return { ...state, turn: slot.turn, pitch: slot.pitch };
  }
  return slot.pitch > state.pitch ? { ...state, pitch: slot.pitch } : state;
}

/** Reads a play, with what was appealed of it. */
export function applyPlay(
  before: GameState,
  event: PlayEvent,
  appeals: readonly EventOf<'appeal'>[] = [],
): Applied {
  const called = call(before, event);
  if (typeof called === 'string') return called;
  const { law, award, told, turn, state } = called;
  const batter = batterOf(before);
  const end = readPlay({
    outs: before.outs,
    bases: before.bases,
    batter,
    told,
    law,
    award,
    isCatch: called.isCatch ?? false,
    appeals,
  });
  if (typeof end === 'string') return end;

  const side = sideAtBat(before.half);
  const limited = limit(before, end.runs, called.isHomeRun ?? false);
  const advanced = end.moves.some(({ from, end: at, isOut }) => from !== 0 && !isOut && at > from);
  const by = { ...state.by };
  if (turn && called.gotOn) {
    for (const on of OCCUPIED) if (end.bases[on] === batter) by[batter] = called.gotOn;
  }
  const scored: GameState = {
    ...state,
    outs: end.outs,
    bases: end.bases,
    by,
    runs: { ...state.runs, [side]: state.runs[side] + limited.runs },
    line: { ...state.line, [side]: addTo(state.line[side], limited.runs) },
    picks: advanced ? 0 : state.picks,
    halfBegun: true,
    lastPlay: { before, event, appeals },
    records: {
      before: before.records,
      value: {
        event,
        batting: side,
        batter,
        pitcher: pitcherOf(before),
        fielding: before.teams[otherSide(sideAtBat(before.half))],
        bases: before.bases,
        outsBefore: before.outs,
        moves: end.moves,
        outs: end.outs - before.outs,
        runs: limited.runs,
        turn,
        turnId: before.turnId,
        isBalk: called.isBalk ?? false,
      },
    },
  };
  const next = turn ? finishTurn(scored, batter) : scored;
  if (limited.end === 'game') return endGame(next, limited.why);
  return end.outs >= 3 || limited.end === 'half' ? endHalf(next) : next;
}

function addTo(line: readonly number[], runs: number): readonly number[] {
  if (runs === 0) return line;
  if (line.length === 0) return [runs];
  return line.with(line.length - 1, (line.at(-1) ?? 0) + runs);
}

/** What the rules of the league let count of the runs of a play, and what they end. */
function limit(
  { rules, inning, half, runs, line }: GameState,
  made: number,
  isHomeRun: boolean,
): { runs: number; end: 'game' | 'half' | null; why: string } {
  let counted = made;
  let end: 'half' | null = null;
  const isOpen = rules.runLimitLastOpen && inning >= rules.innings;
  if (rules.runLimit !== null && !isOpen) {
    const left = Math.max(0, rules.runLimit - (line[sideAtBat(half)].at(-1) ?? 0));
    if (counted >= left && made > 0) [counted, end] = [left, 'half'];
  }
  if (half === 'bottom' && counted > 0) {
    const behind = runs.away - runs.home;
    const wins = inning >= rules.innings ? behind + 1 : Number.POSITIVE_INFINITY;
    const lead = runRuleLead(rules, inning);
    const rule = lead === null ? Number.POSITIVE_INFINITY : behind + lead;
    const needed = Math.min(
      wins > 0 ? wins : Number.POSITIVE_INFINITY,
      rule > 0 ? rule : Number.POSITIVE_INFINITY,
    );
    if (counted >= needed) {
      const all = isHomeRun ? counted : needed;
      return { runs: all, end: 'game', why: wins <= rule && wins > 0 ? 'walkOff' : 'runRule' };
    }
  }
  return { runs: counted, end, why: '' };
}

function ended(state: GameState, { why, winner }: EventOf<'ended'>): Applied {
  if (state.over) return 'gameOver';
  const told = why === 'forfeit' ? (winner ?? null) : undefined;
  return { ...endGame(state, why, told), pitch: state.pitch + 1 };
}

function correction(state: GameState, event: EventOf<'correction'>, slot: Slot): Applied {
  if (slot.number < state.number) return 'stale';
  const wrong = judgeCorrection(state, event.set);
  if (wrong) return wrong;
  return placeCorrection(state, event.set);
}

/** A correction of the inning raises the number of the slots, even when it is hidden or cannot be. */
export function renumber(state: GameState, slot: Slot): GameState {
  if (slot.number < state.number) return state;
  return { ...state, number: slot.number + 1, turn: 1, pitch: 1 };
}

/** Whether the last play can still be appealed, and whose turn it ended. */
export function lastTurnWasWrong({ lastPlay }: GameState): boolean {
  if (!lastPlay) return false;
  const { before, event } = lastPlay;
  const after = applyPlay(before, event, lastPlay.appeals);
  return (
    !isReason(after) &&
    after.turnId > before.turnId &&
    before.up !== null &&
    before.up !== dueOf(before)
  );
}

/** The right batter is out, the pitch is counted, and the one after the right batter is next. */
export function outForOrder({ before, event }: NonNullable<GameState['lastPlay']>): GameState {
  const right = dueOf(before);
  const isThrown = event.kind === 'pitch' && event.thrown !== false && event.result !== 'noPitch';
  const counted = event.kind === 'pitch' ? pitched(before, isThrown) : before;
  const out: GameState = {
    ...counted,
    outs: before.outs + 1,
    halfBegun: true,
    lastPlay: null,
    records: {
      before: before.records,
      value: {
        event,
        batting: sideAtBat(before.half),
        batter: right,
        pitcher: pitcherOf(before),
        fielding: before.teams[otherSide(sideAtBat(before.half))],
        bases: before.bases,
        outsBefore: before.outs,
        moves: [],
        outs: 1,
        runs: 0,
        turn: { kind: 'outOfTurn' },
        turnId: before.turnId,
        isBalk: false,
      },
    },
  };
  const next = finishTurn(out, right);
  return next.outs >= 3 ? endHalf(next) : next;
}
