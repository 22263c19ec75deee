import { otherSide, sideAtBat, type EventOf } from './events.ts';
import { batterOf, dueOf, freshBatter, isOn, isTieBreaker } from './halves.ts';
import { defenceOf, isIn, placeAfter, substitute } from './lineUp.ts';
import { baseNumber, OCCUPIED, type Applied, type GameState, type TeamState } from './state.ts';

export function batterUp(state: GameState, { batter }: EventOf<'batterUp'>): Applied {
  const team = state.teams[sideAtBat(state.half)];
  if (!team.order.some(({ id }) => id === batter) || team.absent.has(batter)) return 'notIn';
  if (isOn(state, batter)) return 'onBase';
  return { ...state, up: batter === dueOf(state) ? null : batter };
}

export function sub(state: GameState, { team: side, moves }: EventOf<'sub'>): Applied {
  if (state.over) return 'gameOver';
  const made = substitute(state.teams[side], state.rules, moves);
  if (typeof made === 'string') return made;
  const bases = { ...state.bases };
  const by = { ...state.by };
  for (const on of OCCUPIED) {
    const id = bases[on];
    const other = id === null ? undefined : made.instead.get(id);
    if (id === null || other === undefined) continue;
    bases[on] = other;
    const how = by[id];
    if (how) by[other] = how;
  }
  const up = state.up === null ? null : (made.instead.get(state.up) ?? state.up);
  return { ...state, teams: { ...state.teams, [side]: made.team }, bases, by, up };
}

export function courtesy(
  state: GameState,
  { team: side, base, runner }: EventOf<'courtesy'>,
): Applied {
  const on = baseNumber(base);
  if (on === undefined || on === 0 || on === 4) return 'malformed';
  if (state.over) return 'gameOver';
  if (!state.rules.courtesyRunner) return 'noCourtesy';
  const id = state.bases[on];
  if (id === null || side !== sideAtBat(state.half)) return 'noRunner';
  const team = state.teams[side];
  if (!team.from.has(runner)) return 'unknownPlayer';
  const defence = defenceOf(team);
  const role = defence['P'] === id ? 'P' : defence['C'] === id ? 'C' : null;
  if (role === null) return 'notPitcherOrCatcher';
  if (team.played.has(runner)) return 'hasPlayed';
  const ran = team.courtesy.get(runner);
  if (ran !== undefined && ran !== role) return 'courtesyOther';
  if (isOn(state, runner)) return 'onBase';
  const how = state.by[id];
  return {
    ...state,
    bases: { ...state.bases, [on]: runner },
    by: how ? { ...state.by, [runner]: how } : state.by,
    teams: {
      ...state.teams,
      [side]: {
        ...team,
        courtesy: new Map([...team.courtesy, [runner, role]]),
        courtesyThisHalf: new Set([...team.courtesyThisHalf, runner]),
      },
    },
  };
}

export function placed(state: GameState, { base, runner }: EventOf<'placed'>): Applied {
  const on = baseNumber(base);
  if (on === undefined || on === 0 || on === 4) return 'malformed';
  if (state.over) return 'gameOver';
  const isHis = (state.rules.tieBreakerBases & (1 << (on - 1))) !== 0;
  if (!isTieBreaker(state) || !isHis) return 'noTieBreaker';
  if (state.halfBegun) return 'tooLate';
  const team = state.teams[sideAtBat(state.half)];
  if (!team.order.some(({ id }) => id === runner)) return 'notIn';
  if (isOn(state, runner)) return 'onBase';
  if (batterOf(state) === runner) return 'badCorrection';
  return {
    ...state,
    bases: { ...state.bases, [on]: runner },
    by: { ...state.by, [runner]: 'tieBreaker' },
  };
}

export function absence(state: GameState, event: EventOf<'absent'> | EventOf<'arrived'>): Applied {
  const { team: side, player } = event;
  if (state.over) return 'gameOver';
  if (!state.rules.continuousOrder) return 'notContinuous';
  const team = state.teams[side];
  const inOrder = team.order.some(({ id }) => id === player);
  const put = (changed: TeamState): GameState => ({
    ...state,
    teams: { ...state.teams, [side]: changed },
  });
  if (event.kind === 'absent') {
    if (!inOrder || team.absent.has(player)) return 'notIn';
    if (isOn(state, player)) return 'onBase';
    if (team.order.length - team.absent.size <= 1) return 'badLineUp';
    const absent = new Set([...team.absent, player]);
    const isDue = team.order[team.next]?.id === player;
    const gone: TeamState = { ...team, absent };
    const next = isDue ? placeAfter(gone, team.next) : team.next;
    const after = put({ ...gone, next });
    const wasUp = side === sideAtBat(state.half) && batterOf(state) === player;
    return wasUp ? freshBatter(after) : after;
  }
  if (team.absent.has(player)) {
    const absent = new Set(team.absent);
    absent.delete(player);
    return put({ ...team, absent });
  }
  if (isIn(team, player)) return 'alreadyIn';
  const isElsewhere = state.teams[otherSide(side)].from.has(player);
  if (isElsewhere) return 'unknownPlayer';
  const from = new Map([...team.from, [player, team.order.length] as const]);
  const order = [...team.order, { id: player, pos: null }];
  return put({ ...team, order, from, played: new Set([...team.played, player]) });
}

const THROWN: readonly string[] = ['delivery', 'flight', 'pick', 'pop'];

export function reading(state: GameState, { person, what }: EventOf<'reading'>): Applied {
  if (!THROWN.includes(what)) return state;
  return { ...state, throws: { ...state.throws, [person]: (state.throws[person] ?? 0) + 1 } };
}
