import { EVENTS, type BattingEvent, type BattingRates } from '../innings/index.ts';
import type { Random } from '../maths/index.ts';
import type { GameEvent, Move } from './events.ts';
import { proposeRunners, type Draft } from './proposals.ts';
import { gameReader } from './reading.ts';
import { situationOf } from './situation.ts';
import { isReason, type GameState } from './state.ts';
import { apply } from './law.ts';
import { parseSlot } from './slot.ts';
import { slotToTell, type Telling } from './telling.ts';

/** How often things happen at one pitch of a made-up game, shares 0..1. Made up too. */
const PICK = 0.07;
const STEAL = 0.09;
const SAFE = 0.74;
const DIRT = 0.05;
const PITCHES = { ball: 0.37, called: 0.17, swinging: 0.1, foul: 0.16 } as const;
const OF_IN_PLAY = EVENTS.filter((event) => event !== 'strikeout' && event !== 'walk');

interface Ball {
  fielder: string;
  /** Feet along the first-base and the third-base line. */
  x: number;
  y: number;
}
const IN_THE_INFIELD: readonly Ball[] = [
  { fielder: 'SS', x: 62, y: 118 },
  { fielder: '2B', x: 118, y: 64 },
  { fielder: '3B', x: 22, y: 96 },
  { fielder: '1B', x: 98, y: 18 },
  { fielder: 'P', x: 40, y: 42 },
];
const IN_THE_OUTFIELD: readonly Ball[] = [
  { fielder: 'LF', x: 110, y: 235 },
  { fielder: 'CF', x: 205, y: 210 },
  { fielder: 'RF', x: 240, y: 105 },
];

/** Whether a runner on first goes on the next pitch, and how often they are safe if so. */
export type MadeUpRunning = (state: GameState, random: Random) => { goes: boolean; safe: number };

const byShares: MadeUpRunning = (_state, random) => ({ goes: random() < STEAL, safe: SAFE });

/**
 * What happens next in a made-up game: one thing, or a pitch and the steal that went with it. Legal by
 * the game's own law; drawn from the rates, and from nothing that anybody did.
 * @returns none once the game is over
 */
function madeUpNext(
  state: GameState,
  random: Random,
  rates: BattingRates,
  running: MadeUpRunning,
): Telling[] {
  if (state.over) return [];
  const { bases, strikes, balls, rules } = state;
  const mayPick = rules.pickLimit === null || state.picks < rules.pickLimit;
  if (bases[1] !== null && rules.leadRule === 'open' && mayPick && random() < PICK)
    return [{ kind: 'pick', base: 'first', result: 'back' }];
  const mayGo = rules.stealAllowed && bases[1] !== null && bases[2] === null && bases[3] === null;
  const { goes, safe } = mayGo ? running(state, random) : { goes: false, safe: 0 };
  const style = random() < 0.25 ? 'slideStep' : 'legLift';
  const draw = random();
  const { ball, called, swinging, foul } = PITCHES;
  if (draw < ball) {
    const pitch = { kind: 'pitch', result: 'ball', style } as const;
    const isDirt = random() < DIRT;
    return goes && balls < 3
      ? [{ ...pitch, going: ['second'] }, stealOf(random, safe)]
      : [isDirt ? { ...pitch, dirt: true } : pitch];
  }
  if (draw < ball + called + swinging) {
    const result = draw < ball + called ? 'called' : 'swinging';
    const pitch = { kind: 'pitch', result, style } as const;
    return goes && strikes < 2 ? [{ ...pitch, going: ['second'] }, stealOf(random, safe)] : [pitch];
  }
  if (draw < ball + called + swinging + foul) {
    return [{ kind: 'pitch', result: 'foul', style, ...(goes && { going: ['second' as const] }) }];
  }
  return [inPlay(state, random, rates, style)];
}

function stealOf(random: Random, safe: number): Telling {
  const runner: Move =
    random() < safe ? { from: 'first', to: 'second' } : { from: 'first', out: 'second' };
  return { kind: 'steal', style: 'straight', runners: [runner] };
}

function inPlay(state: GameState, random: Random, rates: BattingRates, style: string): Telling {
  const event = drawn(random, rates);
  const isLow = event === 'groundOut' || event === 'reachOnError';
  const spot = oneOf(random, isLow || event === 'popLineOut' ? IN_THE_INFIELD : IN_THE_OUTFIELD);
  const near = (feet: number): number => Math.round(feet + (random() - 0.5) * 16);
  const isDouble = event === 'groundOut' && state.bases[1] !== null && state.outs < 2;
  const ball: NonNullable<Draft['ball']> = {
    result: BALL_OF[event],
    contact: CONTACT_OF[event],
    at: { x: near(spot.x), y: near(spot.y) },
    fielders: [spot.fielder],
    ...(isDouble && random() < 0.4 && { double: true }),
  };
  const pitch = { kind: 'pitch', result: 'inPlay', ball } as const;
  return { ...pitch, style, runners: proposeRunners(state, pitch) };
}

type InPlay = Exclude<BattingEvent, 'strikeout' | 'walk'>;
const BALL_OF: Record<InPlay, NonNullable<Draft['ball']>['result']> = {
  single: 'single',
  double: 'double',
  triple: 'triple',
  homeRun: 'homeRun',
  reachOnError: 'error',
  groundOut: 'thrownOut',
  flyOut: 'caught',
  popLineOut: 'caught',
};
const CONTACT_OF: Record<InPlay, 'ground' | 'line' | 'fly' | 'pop'> = {
  single: 'line',
  double: 'line',
  triple: 'fly',
  homeRun: 'fly',
  reachOnError: 'ground',
  groundOut: 'ground',
  flyOut: 'fly',
  popLineOut: 'pop',
};

function drawn(random: Random, rates: BattingRates): InPlay {
  const whole = OF_IN_PLAY.reduce((sum, event) => sum + rates[event], 0);
  let left = random() * whole;
  const found = OF_IN_PLAY.find((event) => {
    left -= rates[event];
    return left < 0;
  });
  return found ?? 'groundOut';
}

function oneOf<T>(random: Random, list: readonly T[]): T {
  const found = list[Math.floor(random() * list.length)];
  if (found === undefined) throw new RangeError('oneOf needs a list');
  return found;
}

/** Who tells the next entry, and when. */
export type MadeUpTeller = (telling: Telling) => Pick<GameEvent, 'id' | 'device' | 'place' | 'at'>;

/**
 * Plays a game on, entry by entry, from where a list stands.
 * @param events the list so far, with its opening; not changed
 * @param running how runners on first go; without it some do, at random
 * @returns each next entry without a number, as a device that is away would have it
 */
export function* playOn(
  events: readonly GameEvent[],
  random: Random,
  rates: BattingRates,
  tellerOf: MadeUpTeller,
  running: MadeUpRunning = byShares,
): Generator<GameEvent> {
  const read = gameReader();
  let all = [...events];
  for (;;) {
    const { state } = read(all);
    const tellings = state ? madeUpNext(state, random, rates, running) : [];
    if (tellings.length === 0) return;
    for (const telling of tellings) {
      const before = read(all).state;
      const now = situationOf(before);
      if (!before || !now.open) return;
      const slot = slotToTell(all, now.slot, telling);
      const event = {
        ...telling,
        ...tellerOf(telling),
        seq: null,
        slot,
      } as GameEvent;
      const place = parseSlot(slot);
      // What the draw made impossible is drawn again.
      if (!place || isReason(apply(before, event, place))) break;
      all = [...all, event];
      yield event;
    }
  }
}
