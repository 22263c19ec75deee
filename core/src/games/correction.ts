import type { Correction, Side } from './events.ts';
import { otherSide, sideAtBat, SIDES } from './events.ts';
import { endGame, startHalf } from './halves.ts';
import { defenceOf, isIn } from './lineUp.ts';
import type { Reason } from './reasons.ts';
import { baseNumber, OCCUPIED, type Bases, type GameState, type On } from './state.ts';

const FIELDS: readonly string[] = [
  'inning',
  'half',
  'outs',
  'balls',
  'strikes',
  'bases',
  'batter',
  'runs',
  'picks',
  'pitcherCount',
  'over',
];

/** Why a correction cannot be made as a whole; null: it can. */
export function judgeCorrection(state: GameState, set: Correction): Reason | null {
  if (typeof set !== 'object' || (set as unknown) === null || Array.isArray(set))
    return 'malformed';
  const named = Object.keys(set);
  if (named.length === 0 || named.some((field) => !FIELDS.includes(field))) return 'malformed';
  if (state.over && named.some((field) => field !== 'runs' && field !== 'over')) return 'gameOver';
  if (!areInRange(state, set)) return 'badCorrection';
  const half = set.half ?? state.half;
  const team = state.teams[sideAtBat(half)];
  const told = [...Object.values(set.bases ?? {}), set.batter].filter(
    (id) => id !== null && id !== undefined,
  );
  if (told.some((id) => !team.from.has(id))) return 'unknownPlayer';
  const onBase = Object.values(set.bases ?? {}).filter((id) => id !== null);
  const mayRun = (id: (typeof onBase)[number]): boolean => isIn(team, id) || team.courtesy.has(id);
  if (onBase.some((id) => !mayRun(id))) return 'notIn';
  if (set.batter !== undefined && !team.order.some(({ id }) => id === set.batter)) return 'notIn';
  const after = startsHalf(set) ? placeHalf(state, set) : state;
  const bases = withBases(after.bases, set);
  const on = OCCUPIED.flatMap((base) => bases[base] ?? []);
  const batter =
    set.batter ??
    after.up ??
    after.teams[sideAtBat(half)].order[after.teams[sideAtBat(half)].next]?.id;
  if (new Set(on).size !== on.length) return 'onBase';
  const touches = set.bases !== undefined || set.batter !== undefined;
  return touches && batter !== undefined && on.includes(batter) ? 'onBase' : null;
}

function areInRange(state: GameState, set: Correction): boolean {
  const whole = (value: unknown, least: number, most: number): boolean =>
    value === undefined ||
    (Number.isInteger(value) && (value as number) >= least && (value as number) <= most);
  const runs = set.runs as unknown;
  const areRuns =
    runs === undefined ||
    (typeof runs === 'object' &&
      runs !== null &&
      Object.entries(runs).every(
        ([side, value]) =>
          SIDES.includes(side as Side) && whole(value, 0, 999) && value !== undefined,
      ));
  const bases = set.bases as unknown;
  const areBases =
    bases === undefined ||
    (typeof bases === 'object' &&
      bases !== null &&
      Object.entries(bases).every(([base, id]) => {
        const at = baseNumber(base);
        return at !== undefined && at > 0 && at < 4 && (id === null || typeof id === 'string');
      }));
  return (
    whole(set.inning, 1, 99) &&
    (set.half === undefined || set.half === 'top' || (set.half as unknown) === 'bottom') &&
    whole(set.outs, 0, 2) &&
    whole(set.balls, 0, 3) &&
    whole(set.strikes, 0, 2) &&
    whole(set.picks, 0, 99) &&
    whole(set.pitcherCount, 0, 999) &&
    (set.over === undefined || ((set.over as unknown) === false && state.over !== null)) &&
    areRuns &&
    areBases
  );
}

/** Whether a correction starts another half. */
export function startsHalf(set: Correction): boolean {
  if (typeof set !== 'object' || (set as unknown) === null) return false;
  return set.inning !== undefined || set.half !== undefined;
}

function placeHalf(state: GameState, set: Correction): GameState {
  return startHalf(state, set.inning ?? state.inning, set.half ?? state.half, false);
}

function withBases(bases: Bases, set: Correction): Bases {
  const now = { ...bases };
  for (const [base, id] of Object.entries(set.bases ?? {})) now[baseNumber(base) as On] = id;
  return now;
}

/** Sets what is named, and ends nothing. */
export function placeCorrection(state: GameState, set: Correction): GameState {
  let now: GameState = startsHalf(set) ? placeHalf(state, set) : state;
  const side = sideAtBat(now.half);
  if (set.bases !== undefined) {
    const bases = withBases(now.bases, set);
    const by = { ...now.by };
    for (const id of Object.values(set.bases)) if (id !== null) by[id] = 'correction';
    now = { ...now, bases, by };
  }
  if (set.batter !== undefined) {
    const team = now.teams[side];
    const next = team.order.findIndex(({ id }) => id === set.batter);
    now = { ...now, teams: { ...now.teams, [side]: { ...team, next } }, up: null };
  }
  const pitcher = defenceOf(now.teams[otherSide(side)])['P'];
  now = {
    ...now,
    outs: set.outs ?? now.outs,
    balls: set.balls ?? now.balls,
    strikes: set.strikes ?? now.strikes,
    picks: set.picks ?? now.picks,
    pitches:
      set.pitcherCount === undefined || pitcher === undefined
        ? now.pitches
        : { ...now.pitches, [pitcher]: set.pitcherCount },
    lastPlay: null,
  };
  for (const each of SIDES) {
    const runs = set.runs?.[each];
    if (runs !== undefined) now = withRuns(now, each, runs);
  }
  if (now.over) {
    const { over } = now;
    now =
      set.over === false
        ? reopened(now, set)
        : over.why === 'forfeit'
          ? now
          : endGame(now, over.why);
  }
  return now;
}

/** Runs more go to the inning the side bats in or batted last; fewer come off the last that have some. */
function withRuns(state: GameState, side: Side, runs: number): GameState {
  const cells = state.line[side].length > 0 ? [...state.line[side]] : [0];
  let more = runs - state.runs[side];
  if (more > 0) cells[cells.length - 1] = (cells.at(-1) ?? 0) + more;
  for (let index = cells.length - 1; index >= 0 && more < 0; index -= 1) {
    const off = Math.min(cells[index] ?? 0, -more);
    cells[index] = (cells[index] ?? 0) - off;
    more += off;
  }
  return {
    ...state,
    runs: { ...state.runs, [side]: runs },
    line: { ...state.line, [side]: cells },
  };
}

function reopened(state: GameState, set: Correction): GameState {
  const open: GameState = { ...state, over: null };
  if (state.outs < 3 || set.outs !== undefined) return open;
  return state.half === 'top'
    ? startHalf(open, state.inning, 'bottom', true)
    : startHalf(open, state.inning + 1, 'top', true);
}
