import type { EventOf, Move } from './events.ts';
import { mayRunOnThird } from './halves.ts';
import { baseName, HOME, OCCUPIED, type GameState, type On } from './state.ts';

/** A play as it is about to be told: everything but its runners. */
export type Draft = Pick<EventOf<'pitch'>, 'kind' | 'result' | 'ball' | 'dropped' | 'away'>;

const INFIELDERS: readonly string[] = ['P', 'C', '1B', '2B', '3B', 'SS'];

/**
 * How the runners probably went, the lead runner first, for a tap to change. Judgement: the law needs none
 * of it, and where the law says all there is nothing to propose.
 */
export function proposeRunners(state: GameState | null, draft: Draft): Move[] {
  if (!state) return [];
  if (draft.result === 'inPlay' && draft.ball) return onBall(state, draft.ball);
  const isThird = draft.result === 'swinging' || draft.result === 'called';
  if (isThird && state.strikes === 2 && draft.dropped === true) return onDropped(state, draft);
  return [];
}

type Ball = NonNullable<Draft['ball']>;

function onBall(state: GameState, ball: Ball): Move[] {
  const { outs, bases } = state;
  const [fielder] = ball.fielders ?? [];
  switch (ball.result) {
    case 'single': {
      const isInfield =
        ball.contact === 'bunt' || (fielder !== undefined && INFIELDERS.includes(fielder));
      return isInfield ? oneBaseEach(state) : onSingle(state, fielder);
    }
    case 'error':
      return oneBaseEach(state);
    case 'double':
      return moves(state, (on) => (on === 1 && outs < 2 ? 3 : HOME));
    case 'thrownOut':
      if (outs >= 2) return [];
      if (ball.contact === 'bunt') return oneBaseEach(state);
      return ball.double === true ? onDoublePlay(state) : onGround(state, fielder);
    case 'fieldersChoice':
      return onChoice(state);
    case 'caught': {
      const isFly = ball.contact === undefined || ball.contact === 'fly';
      const isOutfield = fielder !== undefined && !INFIELDERS.includes(fielder);
      if (outs >= 2 || !isFly || !isOutfield) return [];
      const goesToThird = (fielder === 'CF' || fielder === 'RF') && bases[2] !== null;
      return moves(state, (on) => (on === 3 ? HOME : on === 2 && goesToThird ? 3 : null));
    }
    case 'triple':
    case 'homeRun':
    case 'infieldFly':
      return [];
  }
}

/** Every runner to where he is said to go, the lead runner first; null: he stays. */
function moves({ bases }: GameState, goes: (on: On) => 1 | On | 4 | null): Move[] {
  return OCCUPIED.toReversed().flatMap((on): Move[] => {
    const to = bases[on] === null ? null : goes(on);
    if (to === null || to === on) return [];
    return [{ from: baseName(on), to: to === HOME ? 'home' : baseName(to) }];
  });
}

function oneBaseEach(state: GameState): Move[] {
  return moves(state, (on) => (on + 1) as On | 4);
}

function onSingle(state: GameState, fielder: string | undefined): Move[] {
  const { outs, bases } = state;
  const secondStops = bases[2] !== null && outs === 0;
  return moves(state, (on) => {
    if (on === 3) return HOME;
    if (on === 2) return secondStops ? 3 : HOME;
    return outs === 2 && fielder === 'RF' && !secondStops ? 3 : 2;
  });
}

function isForced({ bases }: GameState, on: On): boolean {
  return OCCUPIED.filter((each) => each < on).every((each) => bases[each] !== null);
}

function onGround(state: GameState, fielder: string | undefined): Move[] {
  const { bases, alignment } = state;
  const isIn = alignment?.infield === 'in' || alignment?.infield === 'cornersIn';
  const thirdGoes = bases[3] !== null && (isForced(state, 3) || !isIn);
  const thirdIsFree = bases[3] === null || thirdGoes;
  const isRightSide = fielder === '1B' || fielder === '2B';
  return moves(state, (on) => {
    if (on === 3) return thirdGoes ? HOME : null;
    if (on === 2) return isForced(state, 2) || (thirdIsFree && isRightSide) ? 3 : null;
    return 2;
  });
}

function onDoublePlay(state: GameState): Move[] {
  if (state.bases[1] === null) return [];
  const force: Move = { from: 'first', out: 'second', how: 'force' };
  if (state.outs > 0) return [force];
  return [...moves(state, (on) => (on === 1 ? null : ((on + 1) as On | 4))), force];
}

function onChoice(state: GameState): Move[] {
  const { bases, outs } = state;
  if (bases[1] !== null) {
    const force: Move = { from: 'first', out: 'second', how: 'force' };
    if (outs === 2) return [force];
    return [
      ...moves(state, (on) => (on !== 1 && isForced(state, on) ? ((on + 1) as On | 4) : null)),
      force,
    ];
  }
  const lead = OCCUPIED.findLast((on) => bases[on] !== null);
  if (lead === undefined) return [];
  return [
    { from: baseName(lead), out: lead === 3 ? 'home' : baseName((lead + 1) as On), how: 'tag' },
  ];
}

function onDropped(state: GameState, { away }: Draft): Move[] {
  if (!mayRunOnThird(state)) return [];
  if (away !== undefined) return [...oneBaseEach(state), { from: 'batter', to: 'first' }];
  const isLoaded = OCCUPIED.every((on) => state.bases[on] !== null);
  return isLoaded && state.outs === 2
    ? [{ from: 'third', out: 'home', how: 'force' }]
    : [{ from: 'batter', out: 'first' }];
}
