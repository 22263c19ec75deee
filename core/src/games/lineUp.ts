import type { PersonId } from '../units/index.ts';
import type { EventOf, GamePosition, LineUp, PlayRules, Spot } from './events.ts';
import type { Reason } from './reasons.ts';
import type { TeamState } from './state.ts';

const ONLY_BAT: readonly GamePosition[] = ['DH', 'EH', null];

/** A side at the start, or why it cannot be one. */
export function startingTeam(lineUp: LineUp, rules: PlayRules): TeamState | Reason {
  const { order, flex, bench, twoWay } = lineUp;
  const all = [...order.map(({ id }) => id), ...(flex ? [flex.id] : []), ...bench];
  const dhPlace = order.findIndex(({ pos }) => pos === 'DH');
  const dhs = order.filter(({ pos }) => pos === 'DH').length;
  if (order.length === 0 || new Set(all).size !== all.length) return 'badLineUp';
  if (dhs > 1 || dhs !== (flex ? 1 : 0)) return 'badLineUp';
  const twoWayPlace = order.findIndex(({ id }) => id === twoWay);
  if (twoWay !== undefined) {
    const pos = order[twoWayPlace]?.pos;
    if (rules.sport !== 'baseball' || flex || pos === undefined || ONLY_BAT.includes(pos))
      return 'badLineUp';
  }
  if (hasTwoAtOne(order, flex)) return 'positionTaken';
  const from = new Map<PersonId, number | 'flex' | null>(bench.map((id) => [id, null]));
  for (const [place, { id }] of order.entries()) from.set(id, place);
  if (flex) from.set(flex.id, 'flex');
  return {
    order,
    flex,
    from,
    left: new Set(),
    returned: new Set(),
    played: new Set(all.filter((id) => !bench.includes(id))),
    dhPlace: twoWay === undefined ? (dhPlace < 0 ? null : dhPlace) : twoWayPlace,
    dhGone: false,
    twoWay: twoWay ?? null,
    absent: new Set(),
    courtesy: new Map(),
    courtesyThisHalf: new Set(),
    next: 0,
  };
}

function hasTwoAtOne(order: readonly Spot[], flex: Spot | null): boolean {
  const held = [...order, ...(flex ? [flex] : [])]
    .map(({ pos }) => pos)
    .filter((pos) => !ONLY_BAT.includes(pos));
  return new Set(held).size !== held.length;
}

export function isIn({ order, flex }: TeamState, id: PersonId): boolean {
  return flex?.id === id || order.some((spot) => spot.id === id);
}

/** Who plays where: position to player. */
export function defenceOf({ order, flex }: TeamState): Partial<Record<string, PersonId>> {
  const spots = [...order, ...(flex ? [flex] : [])];
  return Object.fromEntries(
    spots.flatMap(({ id, pos }) => (pos === null || ONLY_BAT.includes(pos) ? [] : [[pos, id]])),
  );
}

/** Those who are not in the game: never yet, out and may come back, or out for good. */
export function benchOf(
  team: TeamState,
  rules: PlayRules,
): Record<PersonId, 'available' | 'mayReturn' | 'done'> {
  const states: Record<PersonId, 'available' | 'mayReturn' | 'done'> = {};
  for (const [id, from] of team.from) {
    if (isIn(team, id)) continue;
    if (!team.left.has(id)) states[id] = 'available';
    else if (rules.reEntry === 'free') states[id] = 'mayReturn';
    else {
      const may = rules.reEntry === 'startersOnce' && from !== null && !team.returned.has(id);
      states[id] = may ? 'mayReturn' : 'done';
    }
  }
  return states;
}

/** The place that many behind another in the order, whoever is absent left out; negative: before it. */
export function placeAfter({ order, absent }: TeamState, place: number, by = 1): number {
  let at = place;
  // Somebody of the order is always there: the last one cannot be told absent.
  for (let left = Math.abs(by); left > 0;) {
    at = (at + Math.sign(by) + order.length) % order.length;
    const id = order[at]?.id;
    if (id === undefined || !absent.has(id)) left -= 1;
  }
  return at;
}

/** Who came for whom: what the rest of the situation has to follow. */
export interface Substituted {
  team: TeamState;
  /** Out of the game: who stands in their place. */
  instead: ReadonlyMap<PersonId, PersonId>;
}

/** All moves of one change together, or why they cannot be. */
export function substitute(
  team: TeamState,
  rules: PlayRules,
  moves: EventOf<'sub'>['moves'],
): Substituted | Reason {
  let now = team;
  const instead = new Map<PersonId, PersonId>();
  for (const move of moves) {
    const made = oneMove(now, rules, move, moves);
    if (typeof made === 'string') return made;
    now = made.team;
    if (made.left !== null) instead.set(made.left, move.in);
  }
  const after = checkDh(now, rules);
  if (typeof after === 'string') return after;
  return hasTwoAtOne(after.order, after.flex) ? 'positionTaken' : { team: after, instead };
}

interface Made {
  team: TeamState;
  left: PersonId | null;
}

function oneMove(
  team: TeamState,
  rules: PlayRules,
  move: EventOf<'sub'>['moves'][number],
  all: EventOf<'sub'>['moves'],
): Made | Reason {
  const { in: id, for: replaced, pos } = move;
  if (!team.from.has(id)) return 'unknownPlayer';
  if (replaced !== undefined && !isIn(team, replaced)) return 'notIn';
  return isIn(team, id)
    ? within(team, rules, id, replaced, pos)
    : coming(team, rules, id, replaced, pos, all);
}

/** Somebody who plays already: another position, or another role. */
function within(
  team: TeamState,
  rules: PlayRules,
  id: PersonId,
  replaced: PersonId | undefined,
  pos: GamePosition | undefined,
): Made | Reason {
  if (replaced === undefined) {
    if (pos === undefined) return 'needsFor';
    return { team: moved(team, id, pos), left: null };
  }
  const place = team.order.findIndex((spot) => spot.id === replaced);
  if (team.flex?.id === id && place >= 0) {
    if (rules.sport === 'softball' && place !== team.dhPlace) return 'flexOnlyForDp';
    const order = team.order.with(place, { id, pos: pos ?? team.flex.pos });
    return { team: gone({ ...team, order, flex: null }, replaced), left: replaced };
  }
  if (team.flex?.id === replaced && team.order.some((spot) => spot.id === id)) {
    // A player with two roles who takes the field again has used the way back.
    if (team.twoWay === id) {
      if (team.returned.has(id)) return 'returnedTwice';
      const returned = new Set([...team.returned, id]);
      const back = moved({ ...team, returned, flex: null }, id, pos ?? team.flex.pos);
      return { team: gone(back, replaced), left: replaced };
    }
    const taken = moved({ ...team, flex: null }, id, pos ?? team.flex.pos);
    return { team: gone(taken, replaced), left: replaced };
  }
  return 'alreadyIn';
}

/** Somebody from the bench, or back in the game. */
function coming(
  team: TeamState,
  rules: PlayRules,
  id: PersonId,
  replaced: PersonId | undefined,
  pos: GamePosition | undefined,
  all: EventOf<'sub'>['moves'],
): Made | Reason {
  if (team.courtesyThisHalf.has(id)) return 'courtesyThisHalf';
  const start = team.from.get(id) ?? null;
  const place = team.order.findIndex((spot) => spot.id === replaced);
  const isBack = team.left.has(id);
  if (isBack) {
    if (rules.reEntry === 'none') return 'mayNotReturn';
    if (rules.reEntry === 'startersOnce') {
      if (start === null) return 'mayNotReturn';
      if (team.returned.has(id)) return 'returnedTwice';
      const own = start === 'flex' ? team.flex?.id === replaced : place === start;
      if (replaced !== undefined && !own) return 'otherSpot';
    }
  }
  const back: TeamState = {
    ...team,
    left: without(team.left, id),
    returned: isBack ? new Set([...team.returned, id]) : team.returned,
    played: new Set([...team.played, id]),
  };
  if (replaced === undefined) {
    if (pos === undefined) return 'needsFor';
    const line = { id, pos };
    if (isBack && start === 'flex' && team.flex === null)
      return { team: { ...back, flex: line }, left: null };
    // Who hits for himself stays as hitter; the new one has the line of those who only play.
    const stepsBack = all.some((move) => move.in === team.twoWay && move.pos === 'DH');
    if (team.twoWay !== null && team.flex === null && (stepsBack || !isBack))
      return { team: { ...back, flex: line }, left: null };
    return 'needsFor';
  }
  if (team.flex?.id === replaced) {
    const flex = { id, pos: pos ?? team.flex.pos };
    return { team: gone({ ...back, flex }, replaced), left: replaced };
  }
  const spot = team.order[place];
  if (!spot) return 'notIn';
  // The one who only bats comes back for the flex who bats there: she goes back to her own line.
  if (pos === 'DH' && team.from.get(replaced) === 'flex' && team.flex === null) {
    const order = team.order.with(place, { id, pos });
    return { team: { ...back, order, flex: spot }, left: null };
  }
  const order = team.order.with(place, { id, pos: pos === undefined ? spot.pos : pos });
  return { team: gone({ ...back, order }, replaced), left: replaced };
}

/** Who only bats and who only plays go together; baseball ends the role for good. */
function checkDh(team: TeamState, rules: PlayRules): TeamState | Reason {
  const places = team.order.flatMap(({ pos }, place) => (pos === 'DH' ? [place] : []));
  let after = team;
  if (rules.sport === 'baseball') {
    const holds = team.dhPlace !== null && places.includes(team.dhPlace);
    const hadRole = team.dhPlace !== null && team.twoWay === null;
    if (places.some((place) => place !== team.dhPlace)) return 'dhOver';
    if (hadRole && !holds) {
      if (team.flex) return 'dhOver';
      after = { ...team, dhGone: true };
    }
    if (team.dhGone && (places.length > 0 || team.flex)) return 'dhOver';
  }
  return places.length === (team.flex ? 1 : 0) ? after : 'dhFlex';
}

function moved(team: TeamState, id: PersonId, pos: GamePosition): TeamState {
  if (team.flex?.id === id) return { ...team, flex: { id, pos } };
  return { ...team, order: team.order.map((spot) => (spot.id === id ? { id, pos } : spot)) };
}

function gone(team: TeamState, id: PersonId): TeamState {
  return { ...team, left: new Set([...team.left, id]) };
}

function without<T>(all: ReadonlySet<T>, one: T): ReadonlySet<T> {
  const rest = new Set(all);
  rest.delete(one);
  return rest;
}
