import {
  byRuns,
  byWin,
  describeStandingMisfit,
  gameRuns,
  openBook,
  sideOf,
  sideRunExpectancies,
  sideScoringChances,
  winTables,
  type Batting,
  type BattingRates,
  type GameRules,
  type Half,
  type BattingSide,
  type TeamLevel,
  type Value,
  type WinBook,
  type WinTables,
} from '@bradyon/core/innings';
import type { Ruleset } from '@bradyon/core/rules';
import type { Situation } from './situation.ts';

/** Two sides and what decides their game: all that its tables are made of. */
export interface GameAsked {
  level: TeamLevel;
  rules: GameRules;
  /** By spot; one stands for all. */
  ours: BattingRates[];
  /** All of theirs together. */
  theirs: BattingRates;
  /** What the rules let a side do. */
  allowed: Pick<Ruleset, 'stealAllowed' | 'buntAllowed'>;
}

/** A side's half-innings, by spot and state. */
export interface SideFigures {
  spots: number;
  expectancies: number[][];
  scoring: number[][];
  /** Runs in a game of full innings. */
  perGame: number;
}

/** The tables of a game: plain data, made once, here or in the worker. */
export interface GameTables {
  ours: SideFigures;
  theirs: SideFigures;
  /** By the half that we bat in: at the bottom we are home. */
  win: Record<Half, WinTables>;
}

export function makeTables({ level, rules, ours, theirs }: Omit<GameAsked, 'allowed'>): GameTables {
  // The same rates twice are one batter to the chain.
  const known = new Map<string, Batting>();
  const battingOf = (rates: BattingRates): Batting => {
    const key = JSON.stringify(rates);
    const batting = known.get(key) ?? { ...level, rates };
    known.set(key, batting);
    return batting;
  };
  const [us, them] = [sideOf(ours.map(battingOf)), sideOf([battingOf(theirs)])];
  const figures = (side: typeof us): SideFigures => ({
    spots: side.spots,
    expectancies: sideRunExpectancies(side),
    scoring: sideScoringChances(side),
    perGame: gameRuns(side, rules.innings),
  });
  // The steps are not asked for any more: what is sent from the worker stays small.
  const bare = (side: BattingSide): BattingSide => ({ ...side, chains: [] });
  const [bareUs, bareThem] = [bare(us), bare(them)];
  return {
    ours: figures(us),
    theirs: figures(them),
    win: { top: winTables(bareThem, bareUs, rules), bottom: winTables(bareUs, bareThem, rules) },
  };
}

/** A game whose tables are made. */
export interface Game extends GameAsked {
  tables: GameTables;
  books: Record<Half, WinBook>;
}

export function openGame(asked: GameAsked, tables: GameTables): Game {
  const { top, bottom } = tables.win;
  return { ...asked, tables, books: { top: openBook(top), bottom: openBook(bottom) } };
}

/** Which half it is: ours is the one that we said we bat in. */
export function halfOf({ half, batting }: Pick<Situation, 'half' | 'batting'>): Half {
  if (batting === 'we') return half;
  return half === 'top' ? 'bottom' : 'top';
}

function standingOf(game: Game, situation: Situation, spot: number) {
  const { inning, half, lead } = situation;
  const isHome = half === 'bottom';
  const ours = spot % game.tables.ours.spots;
  return {
    inning,
    half: halfOf(situation),
    homeLead: isHome ? lead : -lead,
    homeSpot: isHome ? ours : 0,
    awaySpot: isHome ? 0 : ours,
  };
}

/** Why the game cannot stand so, with the field it is about; null when it can. */
export function misfitOf(game: Game, situation: Situation) {
  return describeStandingMisfit({ ...standingOf(game, situation, 0), state: 0 }, game.rules);
}

/** The side at bat. */
export function atBat({ tables }: Game, { batting }: Pick<Situation, 'batting'>): SideFigures {
  return batting === 'we' ? tables.ours : tables.theirs;
}

/** Who of the side at bat is up: a spot of ours, or all of theirs together. */
export function spotUp(game: Game, { batting, spot }: Situation, ahead = 0): number {
  return batting === 'we' ? (spot + ahead) % game.tables.ours.spots : 0;
}

/**
 * What a situation is worth to the side at bat, by what counts in it; a game that cannot stand so
 * counts by runs.
 * @param ahead 1: the same with the next batter up
 */
export function valueOf(game: Game, situation: Situation, ahead = 0): Value {
  const side = atBat(game, situation);
  if (situation.by === 'runs' || misfitOf(game, situation) !== null) {
    return byRuns(side.expectancies, spotUp(game, situation, ahead));
  }
  const spot = situation.spot + (situation.batting === 'we' ? ahead : 0);
  return byWin(game.books[situation.half], standingOf(game, situation, spot), side.spots);
}
