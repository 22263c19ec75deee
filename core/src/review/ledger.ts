/** What worth is counted in: never both in one sum. */
export type Unit = 'win' | 'runs';

/** One way an option may end, worth from our side. */
interface Outcome {
  name: string;
  /** 0..1; those of an option add to 1. */
  chance: number;
  worth: number;
}

/** What could be done. The first option is to stay. */
export interface Option {
  name: string;
  outcomes: readonly Outcome[];
  /** Its worth, eight times in ten; absent: exactly its expected worth. */
  low?: number;
  high?: number;
}

export const STAY = 'stay';

/** Eight times in ten a normal number lies within so many sd. Agreed for reviews to more places than elsewhere. */
export const Z80 = 1.2815515655446004;

/** A call as it was known when it was made, and what was done. */
interface JudgedCall {
  kind: 'call';
  /** One runner, base ahead, plate appearance and state: its calls are pitches of the same question. */
  opportunity: string;
  before: number;
  after: number;
  options: readonly Option[];
  /** null: nobody called, and what was done counts as called. */
  called: string | null;
  done: string;
  /** The gamble itself was decided: a foul, a ball in play or a walk leaves it open. */
  resolved: boolean;
}

/** Something that happened and was no call. */
interface PlayedOn {
  kind: 'play';
  before: number;
  after: number;
}

export type LedgerEvent = JudgedCall | PlayedOn;

export type Clearness = 'nothingInIt' | 'right' | 'close' | 'clear';

/** Where the change of worth of an event came from: six columns that add up to it exactly. */
interface Columns {
  /** What these people in this spot made possible. */
  offered: number;
  /** What the call gave away; at most 0. */
  decision: number;
  /** What was done against what was called. */
  execution: number;
  luck: number;
  /** What came of a gamble that was left open. */
  void: number;
  play: number;
}

export const COLUMNS = ['offered', 'decision', 'execution', 'luck', 'void', 'play'] as const;

export interface LedgerRow extends Columns {
  change: number;
  /** How far luck goes with these chances. */
  luckSd: number;
  best: string | null;
  clearness: Clearness | null;
}

/** Differences below this are none. */
const SAME = 1e-12;
/** Between the best and the worst that can come of anything: below it nothing is at stake. Judgement. */
export const WORTH_A_WORD: Record<Unit, number> = { win: 0.005, runs: 0.02 };

/** What an option is worth on average. */
export function expectedWorth({ outcomes }: Option): number {
  return outcomes.reduce((sum, { chance, worth }) => sum + chance * worth, 0);
}

/** The option worth most; of equals the first. */
export function bestOption(options: readonly Option[]): Option {
  const [first, ...others] = options;
  if (!first) throw new RangeError('a call has options');
  let best = first;
  for (const option of others) {
    if (expectedWorth(option) > expectedWorth(best) + SAME) best = option;
  }
  return best;
}

function optionNamed(options: readonly Option[], name: string): Option {
  const found = options.find((option) => option.name === name);
  if (!found) throw new RangeError(`no option ${name}`);
  return found;
}

/** How far the outcomes of all options lie apart. */
function swingOf(options: readonly Option[]): number {
  const worths = options.flatMap(({ outcomes }) => outcomes.map(({ worth }) => worth));
  return Math.max(...worths) - Math.min(...worths);
}

/** How clear it is that a choice was right or wrong, with what it cost. Only `clear` is ever a mistake. */
export function clearnessOf(
  options: readonly Option[],
  chosen: string,
  unit: Unit,
): { clearness: Clearness; cost: number } {
  const best = bestOption(options);
  const called = optionNamed(options, chosen);
  const cost = expectedWorth(best) - expectedWorth(called);
  if (swingOf(options) < WORTH_A_WORD[unit]) return { clearness: 'nothingInIt', cost };
  if (cost <= SAME) return { clearness: 'right', cost };
  const overlaps =
    (called.high ?? expectedWorth(called)) >= (best.low ?? expectedWorth(best)) &&
    (best.high ?? expectedWorth(best)) >= (called.low ?? expectedWorth(called));
  return { clearness: overlaps ? 'close' : 'clear', cost };
}

/** What one event was: decision and luck apart. */
function rowOf(event: LedgerEvent, unit: Unit): LedgerRow {
  const change = event.after - event.before;
  const none = { offered: 0, decision: 0, execution: 0, luck: 0, void: 0 };
  if (event.kind === 'play') {
    return { ...none, play: change, change, luckSd: 0, best: null, clearness: null };
  }
  const { options, called, done, resolved, before, after } = event;
  const best = bestOption(options);
  const told = expectedWorth(optionNamed(options, called ?? done));
  const doing = optionNamed(options, done);
  const did = expectedWorth(doing);
  const rest = after - did;
  return {
    offered: expectedWorth(best) - before,
    decision: told - expectedWorth(best),
    execution: did - told,
    luck: resolved ? rest : 0,
    void: resolved ? 0 : rest,
    play: 0,
    change,
    luckSd: resolved
      ? Math.sqrt(doing.outcomes.reduce((sum, o) => sum + o.chance * (o.worth - did) ** 2, 0))
      : 0,
    best: best.name,
    clearness: clearnessOf(options, called ?? done, unit).clearness,
  };
}

/** The pitch that an opportunity is charged by, and what it cost. */
interface CountedCall {
  opportunity: string;
  /** Of the events. */
  event: number;
  cost: number;
  clearness: Clearness;
}

/** A game, a half or a season. */
export interface Ledger {
  rows: LedgerRow[];
  totals: Columns & { change: number };
  luckSd: number;
  /** Luck in its own ordinary size; null where nothing was left to luck. */
  luckZ: number | null;
  /** One cost for each opportunity: staying six pitches is no six mistakes. */
  counted: CountedCall[];
  costs: { clear: number; close: number; opportunities: number; clearCalls: number };
}

/**
 * Decision against luck, event by event. The columns add up to the change of worth exactly.
 * @param events in their order, worth of all in the one unit
 */
export function ledgerOf(events: readonly LedgerEvent[], unit: Unit): Ledger {
  const rows = events.map((event) => rowOf(event, unit));
  const totals = { offered: 0, decision: 0, execution: 0, luck: 0, void: 0, play: 0, change: 0 };
  for (const row of rows) {
    for (const column of COLUMNS) totals[column] += row[column];
    totals.change += row.change;
  }
  const luckSd = Math.sqrt(rows.reduce((sum, row) => sum + row.luckSd ** 2, 0));
  const counted = countedOf(events, rows, unit);
  const costs = { clear: 0, close: 0, opportunities: counted.length, clearCalls: 0 };
  for (const { clearness, cost } of counted) {
    if (clearness === 'clear') {
      costs.clear += cost;
      costs.clearCalls += 1;
    } else if (clearness === 'close') costs.close += cost;
  }
  return {
    rows,
    totals,
    luckSd,
    luckZ: luckSd === 0 ? null : totals.luck / luckSd,
    counted,
    costs,
  };
}

/** The last pitch on which they ran and it was decided; else on which they ran; else the dearest stay. */
function countedOf(
  events: readonly LedgerEvent[],
  rows: readonly LedgerRow[],
  unit: Unit,
): CountedCall[] {
  const byOpportunity = new Map<string, { event: number; call: JudgedCall }[]>();
  for (const [event, call] of events.entries()) {
    if (call.kind === 'play') continue;
    const calls = byOpportunity.get(call.opportunity) ?? [];
    byOpportunity.set(call.opportunity, [...calls, { event, call }]);
  }
  return [...byOpportunity].map(([opportunity, calls]) => {
    const ran = calls.filter(({ call }) => call.done !== STAY);
    const costOf = (event: number): number => -(rows[event]?.decision ?? 0);
    const dearest = calls.reduce((most, each) =>
      costOf(each.event) > costOf(most.event) + SAME ? each : most,
    );
    const { event, call } = ran.findLast((each) => each.call.resolved) ?? ran.at(-1) ?? dearest;
    return { opportunity, event, ...clearnessOf(call.options, call.called ?? call.done, unit) };
  });
}

/** How far luck of a size goes eight times in ten, either way. */
export function ordinaryLuck(luckSd: number): number {
  return Z80 * luckSd;
}

/** A go that was shown and not taken: chances and worth as they were told. */
export interface LeftGo {
  stay: number;
  safe: number;
  out: number;
  chance: number;
  low: number;
  high: number;
}

/** What gos that were not taken would have been worth by the chances as told, ends added: the doubt is shared. */
export function leftOf(gos: readonly LeftGo[]): {
  count: number;
  worth: number;
  low: number;
  high: number;
} {
  const at = (of: (go: LeftGo) => number): number =>
    gos.reduce((sum, go) => sum + of(go) * go.safe + (1 - of(go)) * go.out - go.stay, 0);
  return {
    count: gos.length,
    worth: at(({ chance }) => chance),
    low: at(({ low }) => low),
    high: at(({ high }) => high),
  };
}
