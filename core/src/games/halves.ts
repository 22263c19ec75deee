import type { PersonId } from '../units/index.ts';
import { otherSide, sideAtBat, type Half, type Side } from './events.ts';
import { defenceOf, placeAfter } from './lineUp.ts';
import { NOBODY_ON, OCCUPIED, type GameState } from './state.ts';

/** Who bats: whoever was told, else who is due. */
export function batterOf(state: GameState): PersonId {
  return state.up ?? dueOf(state);
}
export function dueOf({ teams, half }: Pick<GameState, 'teams' | 'half'>): PersonId {
  const { order, next } = teams[sideAtBat(half)];
  return order[next]?.id ?? ('' as PersonId);
}
export function pitcherOf({ teams, half }: GameState): PersonId | null {
  return defenceOf(teams[otherSide(sideAtBat(half))])['P'] ?? null;
}

/** Whether a batter who is missed on strike three may run. */
export function mayRunOnThird({ rules, bases, outs }: GameState): boolean {
  return rules.droppedThirdStrike && (bases[1] === null || outs === 2);
}
export function isInfieldFly({ rules, bases, outs }: GameState): boolean {
  return rules.infieldFly && outs < 2 && bases[1] !== null && bases[2] !== null;
}

/** The lead that ends a game in an inning; null: none does. */
export function runRuleLead({ runRules }: GameState['rules'], inning: number): number | null {
  const inForce = runRules.filter(({ after }) => after <= inning).map(({ lead }) => lead);
  return inForce.length > 0 ? Math.min(...inForce) : null;
}

/** The batter is done: the order goes on behind whoever batted. */
export function finishTurn(state: GameState, batter: PersonId): GameState {
  const side = sideAtBat(state.half);
  const team = state.teams[side];
  const place = team.order.findIndex(({ id }) => id === batter);
  const next = placeAfter(team, place < 0 ? team.next : place);
  return {
    ...freshBatter(state),
    teams: { ...state.teams, [side]: { ...team, next } },
    turn: state.turn + 1,
    pitch: 1,
    turnId: state.turnId + 1,
  };
}

export function freshBatter(state: GameState): GameState {
  return { ...state, up: null, seen: false, balls: 0, strikes: 0, picks: 0 };
}

/** What the rules say when a half is over: the game, or the next half. */
export function endHalf(state: GameState): GameState {
  const { rules, inning, half, runs } = state;
  const ahead = runs.home - runs.away;
  const lead = runRuleLead(rules, inning);
  if (half === 'top') {
    if (inning >= rules.innings && ahead > 0) return endGame(state, 'regulation');
    if (lead !== null && ahead >= lead) return endGame(state, 'runRule');
  } else {
    if (inning >= rules.innings && ahead !== 0) return endGame(state, 'regulation');
    if (lead !== null && Math.abs(ahead) >= lead) return endGame(state, 'runRule');
  }
  return half === 'top'
    ? startHalf(state, inning, 'bottom', true)
    : startHalf(state, inning + 1, 'top', true);
}

export function endGame(state: GameState, why: string, winner?: Side | null): GameState {
  const { runs } = state;
  const ahead = runs.away > runs.home ? 'away' : runs.home > runs.away ? 'home' : null;
  return {
    ...state,
    bases: NOBODY_ON,
    balls: 0,
    strikes: 0,
    alignment: null,
    over: { why, winner: winner === undefined ? ahead : winner },
  };
}

/** A half from its start: nothing on but a tie-breaker's runners. */
export function startHalf(
  state: GameState,
  inning: number,
  half: Half,
  withTieBreaker: boolean,
): GameState {
  const side = sideAtBat(half);
  const cells = state.line[side];
  const line = Array.from(
    { length: Math.max(inning, cells.length) },
    (_, index) => cells[index] ?? 0,
  );
  const other = otherSide(side);
  const before = half === 'top' ? inning - 1 : inning;
  const otherCells = state.line[other];
  const otherLine = Array.from(
    { length: Math.max(before, otherCells.length) },
    (_, index) => otherCells[index] ?? 0,
  );
  const fresh: GameState = {
    ...freshBatter(state),
    teams: {
      away: { ...state.teams.away, courtesyThisHalf: new Set() },
      home: { ...state.teams.home, courtesyThisHalf: new Set() },
    },
    inning,
    half,
    turn: 1,
    pitch: 1,
    outs: 0,
    bases: NOBODY_ON,
    line: { ...state.line, [side]: line, [other]: otherLine },
    halfBegun: false,
    alignment: null,
    sign: null,
    turnId: state.turnId + 1,
  };
  return withTieBreaker ? withRunners(fresh) : fresh;
}

export function isTieBreaker({ rules, inning }: Pick<GameState, 'rules' | 'inning'>): boolean {
  return rules.tieBreakerFrom !== null && inning >= rules.tieBreakerFrom;
}

function withRunners(state: GameState): GameState {
  if (!isTieBreaker(state)) return state;
  const team = state.teams[sideAtBat(state.half)];
  const bases = { ...state.bases };
  const by = { ...state.by };
  let back = 0;
  for (const on of OCCUPIED) {
    if ((state.rules.tieBreakerBases & (1 << (on - 1))) === 0) continue;
    back += 1;
    const id = team.order[placeAfter(team, team.next, -back)]?.id;
    if (id === undefined) continue;
    bases[on] = id;
    by[id] = 'tieBreaker';
  }
  return { ...state, bases, by };
}

export function isOn({ bases }: Pick<GameState, 'bases'>, id: PersonId): boolean {
  return OCCUPIED.some((on) => bases[on] === id);
}
