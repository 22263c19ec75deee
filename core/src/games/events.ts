import type { Position } from '../people/index.ts';
import type { Ruleset } from '../rules/index.ts';
import type { Base, PersonId, ReadingId } from '../units/index.ts';

/** Who bats in the top of an inning, and who in the bottom. */
export const SIDES = ['away', 'home'] as const;
export type Side = (typeof SIDES)[number];
export type Half = 'top' | 'bottom';

export function sideAtBat(half: Half): Side {
  return half === 'top' ? 'away' : 'home';
}
export function otherSide(side: Side): Side {
  return side === 'away' ? 'home' : 'away';
}

/** Where a device stands, the most trusted first: the bench has the book, the stands are not of the staff. */
export const PLACES = ['bench', 'third', 'first', 'stands'] as const;
export type Place = (typeof PLACES)[number];

/**
 * What a league decides about a game and the reducer has to know. The run rule in force is the smallest
 * lead whose inning is reached.
 */
export interface PlayRules extends Pick<
  Ruleset,
  'name' | 'sport' | 'innings' | 'leadRule' | 'stealAllowed' | 'buntAllowed' | 'pickLimit'
> {
  runRules: { lead: number; after: number }[];
  /** Innings from here start with runners on; null: never. */
  tieBreakerFrom: number | null;
  /** On which bases: 1 first, 2 second, 4 third, added up. */
  tieBreakerBases: number;
  /** Runs a side may score in a half; null: no limit. */
  runLimit: number | null;
  /** No limit from the last regular inning on. */
  runLimitLastOpen: boolean;
  droppedThirdStrike: boolean;
  infieldFly: boolean;
  reEntry: 'none' | 'startersOnce' | 'free';
  courtesyRunner: boolean;
  /** Everybody bats. */
  continuousOrder: boolean;
  /** An illegal pitch gives every runner a base. */
  illegalPitchAdvances: boolean;
}

/** Where somebody plays: a tenth fielder, an extra hitter, or null: bats and sits. */
export type GamePosition = Position | 'XF' | 'EH' | null;

export interface Spot {
  id: PersonId;
  pos: GamePosition;
}

/** A side as it starts. */
export interface LineUp {
  order: Spot[];
  /** Who plays only, for the one who bats only. */
  flex: Spot | null;
  bench: PersonId[];
  /** Baseball: who pitches and hits for himself, in two roles. */
  twoWay?: PersonId;
}

/** Where a runner stands or starts from. */
type From = 'batter' | Exclude<Base, 'home'>;

/** A runner's way in one play. They are told in the order of happening, which decides time plays. */
export interface Move {
  from: From;
  /** Safe there... */
  to?: Base;
  /** ...or out there. */
  out?: Base;
  /** How; `force`, `tag`, `doubledOff`, `passed` and others of an out, `error` and `indifference` of a steal. */
  how?: string;
  /** The base a stealer meant; the next one when not told. */
  goal?: Base;
  by?: Position[];
}

export const PITCH_RESULTS = [
  'ball',
  'called',
  'swinging',
  'foul',
  'foulBunt',
  'foulTip',
  'foulTipDropped',
  'inPlay',
  'hitByPitch',
  'interference',
  'illegal',
  'noPitch',
] as const;
type PitchResult = (typeof PITCH_RESULTS)[number];

export const BALL_RESULTS = [
  'single',
  'double',
  'triple',
  'homeRun',
  'error',
  'fieldersChoice',
  'thrownOut',
  'caught',
  'infieldFly',
] as const;
type BallResult = (typeof BALL_RESULTS)[number];

/** What became of a ball in play. */
interface BallInPlay {
  result: BallResult;
  contact?: 'ground' | 'line' | 'fly' | 'pop' | 'bunt';
  /** Feet from home, x along the first-base line, y along the third-base line. */
  at?: { x: number; y: number };
  zone?: string;
  fielders?: string[];
  foul?: boolean;
  double?: boolean;
}

/** What every entry carries. */
interface Envelope {
  /** Of the sender. */
  id: string;
  /** The number the server gave; null: not sent yet. The only order there is. */
  seq: number | null;
  device: string;
  place: Place;
  /** The device's own time, only shown. */
  at?: string;
  /** Where the sender thought the game stood: see `parseSlot`. */
  slot: string;
}

interface Told {
  opened: { rules: PlayRules; ours: Side; away: LineUp; home: LineUp };
  pitch: {
    result: PitchResult;
    dropped?: boolean;
    away?: 'wildPitch' | 'passedBall';
    dirt?: boolean;
    thrown?: boolean;
    /** Thrown to be thrown on. */
    pitchOut?: boolean;
    bunt?: 'sacrifice' | 'squeeze' | 'hit';
    going?: Base[];
    style?: string;
    runners?: Move[];
    ball?: BallInPlay;
  };
  intentionalWalk: { runners?: Move[] };
  batterOut: { why?: string };
  pick: {
    base: Exclude<Base, 'home'>;
    by?: 'P' | 'C';
    result: 'back' | 'out' | 'wild' | 'rundown';
    runners?: Move[];
  };
  stepOff: { runners?: Move[] };
  balk: { runners?: Move[] };
  /** `throw`: how the catcher’s was, where somebody saw it. */
  steal: { style?: string; throw?: 'onLine' | 'offLine' | 'away'; runners: Move[] };
  runners: { why?: string; runners: Move[] };
  appeal: {
    runner: PersonId;
    base: Base;
    why: 'missedBase' | 'leftBeforeCatch';
    force?: boolean;
  };
  batterUp: { batter: PersonId };
  outOfTurn: unknown;
  sub: {
    team: Side;
    moves: { in: PersonId; for?: PersonId; pos?: GamePosition }[];
    why?: string;
  };
  courtesy: { team: Side; base: Exclude<Base, 'home'>; runner: PersonId };
  placed: { base: Exclude<Base, 'home'>; runner: PersonId };
  absent: { team: Side; player: PersonId };
  arrived: { team: Side; player: PersonId };
  alignment: { infield?: string; outfield?: string; covers?: string };
  sign: { play: string; seen: boolean | null };
  reading: { reading: ReadingId; person: PersonId; what: string; on: string | null };
  advice: { plays: unknown; taken: unknown };
  visit: { team: Side };
  halfEnded: { why?: string };
  ended: { why: string; winner?: Side };
  correction: { set: Correction };
  undo: { event: string };
  settle: { event: string };
}

/** What a coach sets by hand, absolutely; what is not named stays. */
export interface Correction {
  inning?: number;
  half?: Half;
  outs?: number;
  balls?: number;
  strikes?: number;
  bases?: Partial<Record<Exclude<Base, 'home'>, PersonId | null>>;
  batter?: PersonId;
  runs?: Partial<Record<Side, number>>;
  picks?: number;
  pitcherCount?: number;
  over?: false;
}

export type EventKind = keyof Told;
export type EventOf<K extends EventKind> = Envelope & { kind: K } & Told[K];
/** One entry of a game. */
export type GameEvent = { [K in EventKind]: EventOf<K> }[EventKind];

/** Those that happen between the first pitch of a half and its end: they are checked against time. */
const PLAY_KINDS = [
  'pitch',
  'intentionalWalk',
  'batterOut',
  'pick',
  'stepOff',
  'balk',
  'steal',
  'runners',
] as const satisfies readonly EventKind[];
type PlayKind = (typeof PLAY_KINDS)[number];
export type PlayEvent = { [K in PlayKind]: EventOf<K> }[PlayKind];

export function isPlay(event: GameEvent): event is PlayEvent {
  return (PLAY_KINDS as readonly string[]).includes(event.kind);
}
