import { BALL_RESULTS, type EventOf, type Move, type PlayEvent } from './events.ts';
import { isInfieldFly, mayRunOnThird, pitcherOf } from './halves.ts';
import type { BatterLaw, Play } from './play.ts';
import type { Reason } from './reasons.ts';
import {
  baseName,
  baseNumber,
  OCCUPIED,
  type GameState,
  type GotOn,
  type TurnEnd,
} from './state.ts';

/** What a play is by its kind: counted, and what of it is to be read by the law of runners. */
export interface Called {
  law: BatterLaw | null;
  award: Play['award'];
  told: readonly Move[];
  /** How the turn ended; null: it goes on. */
  turn: TurnEnd | null;
  gotOn: GotOn | null;
  state: GameState;
  isCatch?: boolean;
  isHomeRun?: boolean;
  isBalk?: boolean;
}

/** Each kind of play in turn: counting it, and what it says of the batter and the runners. */
export function call(state: GameState, event: PlayEvent): Called | Reason {
  const rest = { law: null, award: 'none', turn: null, gotOn: null, state } as const;
  const told = ('runners' in event ? event.runners : undefined) ?? [];
  const anybody = OCCUPIED.some((on) => state.bases[on] !== null);
  switch (event.kind) {
    case 'pitch':
      return callPitch(state, event, told);
    case 'intentionalWalk':
      return {
        ...rest,
        law: SAFE_AT_FIRST,
        award: 'batter',
        told,
        turn: { kind: 'walk', how: 'intentional' },
        gotOn: 'walk',
      };
    case 'batterOut':
      return { ...rest, law: { kind: 'outFirst' }, told: [], turn: { kind: 'out' } };
    case 'pick':
      return callPick(state, event, told);
    case 'stepOff':
      return withPick(state, anybody, { ...rest, told });
    case 'balk':
      if (state.rules.sport === 'softball' || state.rules.leadRule !== 'open' || !anybody)
        return 'noBalk';
      return { ...rest, award: 'all', told };
    case 'steal':
      if (!state.rules.stealAllowed) return 'stealNotAllowed';
      return told.length === 0 ? 'needsRunners' : { ...rest, told };
    case 'runners': {
      if (told.length === 0) return 'needsRunners';
      const isOut = told.some(({ out }) => out !== undefined);
      if (event.why === 'leftEarly' && isOut && state.rules.sport !== 'softball')
        return 'leftEarlyNotOut';
      return { ...rest, told };
    }
  }
}

const SAFE_AT_FIRST: BatterLaw = { kind: 'safe', base: 1, had: true, choice: false };

function callPick(
  state: GameState,
  event: EventOf<'pick'>,
  told: readonly Move[],
): Called | Reason {
  const base = baseNumber(event.base);
  const { by = 'P', result } = event;
  if (base === undefined || base === 0 || base === 4 || !PICK_RESULTS.includes(result))
    return 'malformed';
  if (state.bases[base] === null) return 'noRunner';
  if (result === 'back' && told.length > 0) return 'runnerStays';
  if (result === 'rundown' && told.length === 0) return 'needsRunners';
  const name = baseName(base);
  const hasHim = told.some(({ from }) => from === name);
  const moves: readonly Move[] =
    result === 'out' && !hasHim ? [...told, { from: name, out: name }] : told;
  const rest = { law: null, award: 'none', turn: null, gotOn: null, state, told: moves } as const;
  if (by === 'C') return rest;
  return withPick(state, !moves.some(({ out }) => out !== undefined), rest);
}

const PICK_RESULTS: readonly string[] = ['back', 'out', 'wild', 'rundown'];

/** One throw or step-off more: past the limit it is a balk, where it got nobody. */
function withPick(state: GameState, isFree: boolean, called: Called): Called {
  const picks = state.picks + 1;
  const { pickLimit } = state.rules;
  const isBalk = pickLimit !== null && picks > pickLimit && isFree;
  return {
    ...called,
    state: { ...state, picks },
    award: isBalk ? 'all' : called.award,
    isBalk,
  };
}

const DEAD: readonly string[] = ['foul', 'foulBunt', 'foulTipDropped', 'noPitch', 'hitByPitch'];

function callPitch(
  before: GameState,
  event: EventOf<'pitch'>,
  told: readonly Move[],
): Called | Reason {
  const { result, thrown = true } = event;
  if (DEAD.includes(result) && told.length > 0) return 'deadBall';
  const { rules, balls, strikes } = before;
  if (result === 'foulBunt' && !rules.buntAllowed) return 'buntNotAllowed';
  const anybody = OCCUPIED.some((on) => before.bases[on] !== null);
  if (result === 'illegal' && anybody && rules.sport === 'baseball' && rules.leadRule === 'open')
    return 'isBalk';
  const state = pitched(before, thrown && result !== 'noPitch');
  const rest = { law: null, award: 'none', told, turn: null, gotOn: null, state } as const;
  switch (result) {
    case 'noPitch':
      return rest;
    case 'ball':
    case 'illegal': {
      const award = result === 'illegal' && rules.illegalPitchAdvances ? 'all' : 'none';
      if (balls < 3) return { ...rest, award, state: { ...state, balls: balls + 1 } };
      return {
        ...rest,
        law: SAFE_AT_FIRST,
        award: award === 'all' ? 'all' : 'batter',
        turn: { kind: 'walk', how: 'ball' },
        gotOn: 'walk',
      };
    }
    case 'hitByPitch':
      return {
        ...rest,
        law: SAFE_AT_FIRST,
        award: 'batter',
        turn: { kind: 'walk', how: 'hitByPitch' },
        gotOn: 'hitByPitch',
      };
    case 'interference':
      return {
        ...rest,
        law: SAFE_AT_FIRST,
        award: 'batter',
        turn: { kind: 'interference' },
        gotOn: 'interference',
      };
    case 'foul':
    case 'foulTipDropped':
      return { ...rest, state: { ...state, strikes: Math.min(2, strikes + 1) } };
    case 'called':
    case 'swinging':
    case 'foulTip':
    case 'foulBunt':
      if (strikes < 2) return { ...rest, state: { ...state, strikes: strikes + 1 } };
      return callThirdStrike(before, event, { ...rest });
    case 'inPlay':
      return callInPlay(before, event, { ...rest });
  }
}

/** One pitch more of whoever pitches, and of the turn. */
export function pitched(state: GameState, isCounted: boolean): GameState {
  const pitcher = pitcherOf(state);
  const pitches =
    isCounted && pitcher !== null
      ? { ...state.pitches, [pitcher]: (state.pitches[pitcher] ?? 0) + 1 }
      : state.pitches;
  return { ...state, pitches, pitch: state.pitch + 1, seen: true, sign: null };
}

function callThirdStrike(
  before: GameState,
  event: EventOf<'pitch'>,
  rest: Called,
): Called | Reason {
  const own = rest.told.find(({ from }) => from === 'batter');
  const isCaught =
    event.dropped !== true || event.result === 'foulTip' || event.result === 'foulBunt';
  const mayRun = !isCaught && mayRunOnThird(before);
  if (own?.to !== undefined) {
    if (isCaught) return 'strikeCaught';
    if (!mayRun) return 'noDroppedThird';
    return {
      ...rest,
      law: { kind: 'safe', base: 1, had: false, choice: true },
      turn: { kind: 'strikeout', reached: true },
      gotOn: 'droppedThird',
    };
  }
  return {
    ...rest,
    law: mayRun ? { kind: 'outLast', mayReach: true } : { kind: 'outFirst' },
    turn: { kind: 'strikeout', reached: false },
  };
}

const REACHES: Partial<Record<string, 1 | 2 | 3 | 4>> = {
  single: 1,
  error: 1,
  fieldersChoice: 1,
  double: 2,
  triple: 3,
  homeRun: 4,
};

function callInPlay(before: GameState, event: EventOf<'pitch'>, rest: Called): Called | Reason {
  const { ball } = event;
  if (typeof ball !== 'object' || !BALL_RESULTS.includes(ball.result)) return 'needsBall';
  if (
    (ball.contact === 'bunt' || event.bunt !== undefined) &&
    !before.rules.buntAllowed &&
    ball.contact === 'bunt'
  )
    return 'buntNotAllowed';
  const turn: TurnEnd = { kind: 'ball' };
  const base = REACHES[ball.result];
  if (base !== undefined) {
    const choice = ball.result === 'error' || ball.result === 'fieldersChoice';
    return {
      ...rest,
      law: { kind: 'safe', base, had: !choice, choice },
      turn,
      gotOn: ball.result as GotOn,
      isHomeRun: ball.result === 'homeRun',
    };
  }
  if (ball.result === 'thrownOut')
    return { ...rest, law: { kind: 'outLast', mayReach: true }, turn };
  if (ball.result === 'infieldFly') {
    const fits = ball.contact === undefined || !['line', 'ground', 'bunt'].includes(ball.contact);
    if (!isInfieldFly(before) || !fits) return 'notInfieldFly';
  }
  return { ...rest, law: { kind: 'outFirst' }, turn, isCatch: true };
}
