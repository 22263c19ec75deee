import { gameReader, type GameEvent, type GameState } from '../games/index.ts';
import type { PersonId } from '../units/index.ts';
import {
  calledOption,
  callsIn,
  doneOption,
  goOptionOf,
  opportunityOf,
  optionsOn,
  type CallAndResult,
} from './kept.ts';
import {
  ledgerOf,
  STAY,
  type LedgerEvent,
  type LedgerRow,
  type Ledger,
  type Unit,
} from './ledger.ts';
import { outCost } from './work.ts';

/** A call of a game as it reads afterwards. */
export interface ReviewedCall extends CallAndResult {
  row: LedgerRow;
  called: string | null;
  done: string;
  opportunity: string;
  /** Its place among the events of the ledger. */
  event: number;
}

/** An out on the bases with what it cost. */
interface ReviewedOut {
  inning: number;
  half: 'top' | 'bottom';
  runner: PersonId;
  cost: number;
  /** What the decision gave away or won by the chance as told; null: nobody told one. */
  decision: number | null;
}

export interface GameReview {
  unit: Unit;
  /** Worth before the first pitch and at the end: all columns add up to what lies between. */
  start: number;
  end: number;
  ledger: Ledger;
  calls: ReviewedCall[];
  outs: ReviewedOut[];
  /** Outs on our bases, and how many of them a call had. */
  outsOnBases: number;
  outsWithCall: number;
}

/** Where runners come from, of an entry that moves them. */
const RUNNING: readonly string[] = ['steal', 'pick', 'runners', 'appeal'];

/**
 * A game read again: what each call was worth when it was made, and what luck did after.
 * @param events in their order
 * @param worthOf a standing of the game, from our side, always by the same table
 */
export function reviewGame(
  events: readonly GameEvent[],
  worthOf: (state: GameState) => number,
  ours: 'away' | 'home',
  unit: Unit,
): GameReview {
  const read = gameReader();
  const calls = new Map(callsIn(events).map((each) => [each.call.id, each]));
  const ledgerEvents: LedgerEvent[] = [];
  const reviewed: Omit<ReviewedCall, 'row'>[] = [];
  const outs: ReviewedOut[] = [];
  let [worth, start]: [number | null, number] = [null, 0];
  let state: GameState | null = null;
  let outsWithCall = 0;
  /** The call that waits for what comes of it, and its place among the events. */
  let open: { at: number; each: CallAndResult } | null = null;
  for (const [at, event] of events.entries()) {
    const kept = calls.get(event.id);
    if (kept?.result && worth !== null) {
      const { call, result } = kept;
      const done = doneOption(call, result);
      const called = calledOption(call);
      const opportunity = opportunityOf(call);
      const options = optionsOn(call, worth);
      open = { at: ledgerEvents.length, each: kept };
      reviewed.push({ ...kept, called, done, opportunity, event: ledgerEvents.length });
      const resolved = done === STAY || (result.done === 'go' && result.resolved);
      const both = { kind: 'call', opportunity, options, called, done, resolved } as const;
      ledgerEvents.push({ ...both, before: worth, after: worth });
      continue;
    }
    const before: GameState | null = state;
    ({ state } = read(events.slice(0, at + 1)));
    if (!state) continue;
    const now = worthOf(state);
    if (worth === null) {
      [worth, start] = [now, now];
      continue;
    }
    const change = now - worth;
    const isOursOut = before !== null && isOutRunning(before, state, event, ours);
    if (isOursOut) {
      const runner = outRunner(before, event);
      const told = open && event.kind === 'steal' ? open.each.call : null;
      if (told) outsWithCall += 1;
      const go = told && goOptionOf(told);
      const [works] = told?.options.find(({ name }) => name === go)?.outcomes ?? [];
      const { cost, decision } = outCost({
        hold: worth,
        left: now,
        safe: worth + (works?.value ?? 0),
        told: works ? works.p : null,
      });
      if (runner) outs.push({ inning: before.inning, half: before.half, runner, cost, decision });
    }
    worth = now;
    const pending = open && ledgerEvents[open.at];
    if (open && pending?.kind === 'call' && decides(open.each, event)) {
      pending.after += change;
      open = null;
    } else if (change !== 0) ledgerEvents.push({ kind: 'play', before: now - change, after: now });
  }
  const ledger = ledgerOf(ledgerEvents, unit);
  return {
    unit,
    start,
    end: worth ?? start,
    ledger,
    calls: reviewed.flatMap((each) => {
      const row = ledger.rows[each.event];
      return row ? [{ ...each, row }] : [];
    }),
    outs: outs.toSorted((a, b) => b.cost - a.cost),
    outsOnBases: outs.length,
    outsWithCall,
  };
}

/** Whether an entry is what a call came to: the steal of a runner who went, the pitch where it stayed open. */
function decides({ call, result }: CallAndResult, event: GameEvent): boolean {
  if (!result || doneOption(call, result) === STAY) return false;
  if (result.done === 'go' && result.resolved) return event.kind === 'steal';
  return event.kind === 'pitch';
}

/** One of ours on base is out, and not by the ball that was hit. */
function isOutRunning(
  before: GameState,
  after: GameState,
  event: GameEvent,
  ours: 'away' | 'home',
): boolean {
  const isOurs = (before.half === 'top' ? 'away' : 'home') === ours;
  if (!isOurs || !RUNNING.includes(event.kind)) return false;
  // A telling that the law refuses moves nobody.
  const hasMoved = after.outs !== before.outs || after.half !== before.half;
  return hasMoved && outRunner(before, event) !== null;
}

const FROM = { first: 1, second: 2, third: 3 } as const;

function outRunner(before: GameState, event: GameEvent): PersonId | null {
  if (event.kind === 'appeal') return event.runner;
  const moves = 'runners' in event ? (event.runners ?? []) : [];
  const out = moves.find((move) => move.out !== undefined);
  if (event.kind === 'pick' && !out) {
    return event.result === 'out' ? before.bases[FROM[event.base]] : null;
  }
  return out && out.from !== 'batter' ? before.bases[FROM[out.from]] : null;
}
