import type { Base, PersonId } from '../units/index.ts';
import type { EventOf, Half, Move, PlayEvent, PlayRules, Side, Spot } from './events.ts';
import type { Reason } from './reasons.ts';

/** The bases as numbers: 0 at bat, 4 home. */
export const AT_BAT = 0;
export const HOME = 4;
export const OCCUPIED = [1, 2, 3] as const;
export type On = (typeof OCCUPIED)[number];
export type At = 0 | On | 4;

const NUMBERS: Record<Base | 'batter', At> = { batter: 0, first: 1, second: 2, third: 3, home: 4 };
const NAMES: Record<On, Exclude<Base, 'home'>> = { 1: 'first', 2: 'second', 3: 'third' };

/** undefined: no base. */
export function baseNumber(base: unknown): At | undefined {
  return typeof base === 'string' ? (NUMBERS as Record<string, At>)[base] : undefined;
}
export function baseName(on: On): Exclude<Base, 'home'> {
  return NAMES[on];
}

/** Who stands on first, second and third. */
export type Bases = Record<On, PersonId | null>;
export const NOBODY_ON: Bases = { 1: null, 2: null, 3: null };

/** How somebody got on. */
export type GotOn =
  | 'single'
  | 'double'
  | 'triple'
  | 'error'
  | 'fieldersChoice'
  | 'walk'
  | 'hitByPitch'
  | 'interference'
  | 'droppedThird'
  | 'tieBreaker'
  | 'correction'
  | 'advance';

/** A side's players through the game. */
export interface TeamState {
  order: Spot[];
  flex: Spot | null;
  /** Everybody of the side, by id: where a starter began (a place of the order, or the flex), null: on the bench. */
  from: ReadonlyMap<PersonId, number | 'flex' | null>;
  /** Who has left, and is out now. */
  left: ReadonlySet<PersonId>;
  /** Who has come back already. */
  returned: ReadonlySet<PersonId>;
  /** Who has been in the game at all. */
  played: ReadonlySet<PersonId>;
  /** Place of the order where the one who only bats stood at the opening; null: there is no such role. */
  dhPlace: number | null;
  /** Baseball: the role is gone. */
  dhGone: boolean;
  twoWay: PersonId | null;
  /** Who of a two-way player's fielding has ended, and come back. */
  absent: ReadonlySet<PersonId>;
  /** Who ran for the pitcher or the catcher. */
  courtesy: ReadonlyMap<PersonId, 'P' | 'C'>;
  courtesyThisHalf: ReadonlySet<PersonId>;
  /** Place of the order that is due. */
  next: number;
}

/** What one play did, as far as counting needs it. */
export interface PlayRecord {
  event: PlayEvent;
  batting: Side;
  batter: PersonId;
  pitcher: PersonId | null;
  /** Whoever was in the field. */
  fielding: TeamState;
  bases: Bases;
  outsBefore: number;
  /** Everybody who moved or was put out, with void moves left out. */
  moves: readonly DoneMove[];
  outs: number;
  runs: number;
  /** How the turn ended; null: it goes on. */
  turn: TurnEnd | null;
  /** The number of the turn through the game: what happened in one turn counts together. */
  turnId: number;
  /** A balk that came of too many throws. */
  isBalk: boolean;
}

/** A move with what became of it. */
export interface DoneMove {
  from: At;
  end: At;
  isOut: boolean;
  isForce: boolean;
  told: Move | null;
}

export type TurnEnd =
  | { kind: 'ball' }
  | { kind: 'strikeout'; reached: boolean }
  | { kind: 'walk'; how: 'ball' | 'hitByPitch' | 'intentional' }
  | { kind: 'interference' | 'out' | 'outOfTurn' };

/** A list that grows at its end and is never copied. */
type Chain<T> = { before: Chain<T>; value: T } | null;

/** The play that can still be appealed. */
interface LastPlay {
  /** As it stood when the play began. */
  before: GameState;
  event: PlayEvent;
  appeals: readonly EventOf<'appeal'>[];
}

export interface Over {
  why: string;
  winner: Side | null;
}

/** Where a game stands, with all that the next entry is judged by. Never changed: every entry makes a new one. */
export interface GameState {
  rules: PlayRules;
  ours: Side;
  teams: Record<Side, TeamState>;
  number: number;
  inning: number;
  half: Half;
  turn: number;
  pitch: number;
  /** Whether the batter who is up has seen a pitch. */
  seen: boolean;
  outs: number;
  balls: number;
  strikes: number;
  bases: Bases;
  by: Readonly<Record<PersonId, GotOn>>;
  runs: Record<Side, number>;
  line: Record<Side, readonly number[]>;
  /** Who bats instead of the one who is due; null: the one who is due. */
  up: PersonId | null;
  picks: number;
  /** Whether a play happened in this half: then no other tie-breaker runner may be placed. */
  halfBegun: boolean;
  visits: Record<Side, number>;
  pitches: Readonly<Record<PersonId, number>>;
  throws: Readonly<Record<PersonId, number>>;
  alignment: Pick<EventOf<'alignment'>, 'infield' | 'outfield' | 'covers'> | null;
  sign: Pick<EventOf<'sign'>, 'play' | 'seen'> | null;
  over: Over | null;
  lastPlay: LastPlay | null;
  /** Turns through the game, from 0. */
  turnId: number;
  records: Chain<PlayRecord>;
}

/** The state after an entry, or why it cannot be. */
export type Applied = GameState | Reason;

export function isReason(applied: Applied): applied is Reason {
  return typeof applied === 'string';
}
