import {
  baseOut,
  breakEvenOf,
  stepsFrom,
  contactValue,
  FIRST,
  infieldInSaves,
  sacrificeFrom,
  squeezeFrom,
  stepsWorth,
  THIRD,
  walkValue,
  type BattingRates,
  type BuntOutcomes,
  type Gamble,
  type Needed,
  type TeamLevel,
  type Value,
} from '../innings/index.ts';
import type { Count } from '../race/index.ts';
import { SLIDE_STEP_COSTS_RUNS, type StealKind, type Verdict } from '../steals/index.ts';
import { ratesAtCount, strikeWhenTaken } from './counts.ts';
import { hitAndRun } from './hitAndRun.ts';

/** What a side may call for one pitch. */
export type Play =
  | 'stealSecond'
  | 'stealThird'
  | 'stealHome'
  | 'doubleSteal'
  | 'delayedSteal'
  | 'hopSteal'
  | 'hitAndRun'
  | 'sacrifice'
  | 'squeeze'
  | 'contact'
  | 'swing'
  | 'take'
  | 'walkOnPurpose'
  | 'infieldIn'
  | 'pitchOut'
  | 'slideStep';

/** Where it stands, and with whom at bat. */
export interface PlaySpot {
  /** 1 first, 2 second, 4 third, added up. */
  bases: number;
  outs: number;
  balls: number;
  strikes: number;
  value: Value;
  level: TeamLevel;
  rates: BattingRates;
  bunt: BuntOutcomes;
  allowed: { stealAllowed: boolean; buntAllowed: boolean };
  /** Whether the infield is drawn in; it decides what going on contact is worth. */
  infieldIn: boolean;
}

/** A steal that has been judged. Chances 0..1. */
export interface JudgedSteal {
  gamble: Extract<Gamble, 'stealSecond' | 'stealThird' | 'stealHome' | 'doubleSteal'>;
  kind: StealKind;
  chance: number;
  low: number;
  high: number;
  verdict: Verdict;
}

/** A play with what it is worth, in what the spot's `value` counts, to the side that may call it. */
export interface RankedPlay {
  play: Play;
  /** How often it works, 0..1; null where there is no one thing that works or not. */
  works: number | null;
  needs: Needed | null;
  /** What it wins when it works and costs when it does not; null where it is not two ways. */
  ifWorks: number | null;
  ifNot: number | null;
  /** Against nothing on. */
  worth: number;
  /** The same at the ends of what is in doubt; null where nothing says how far. */
  low: number | null;
  high: number | null;
}

const PLAY_OF: Record<StealKind, Play | null> = {
  straight: null,
  rocker: null,
  standing: null,
  hop: 'hopSteal',
  delayed: 'delayedSteal',
};

/** A play whose worth is one figure. */
function plain(play: Play, worth: number, works: number | null = null): RankedPlay {
  return { play, works, needs: null, ifWorks: null, ifNot: null, worth, low: null, high: null };
}

/**
 * What the side at bat may call on the next pitch, best first. Swinging away, with nothing on, is the
 * measure of all others and worth 0.
 * @param steals each steal that these people may try here, as it was judged
 */
export function playsAtBat(spot: PlaySpot, steals: readonly JudgedSteal[]): RankedPlay[] {
  const { bases, outs, value, level, rates, allowed } = spot;
  const state = baseOut(bases, outs);
  const batting = { ...level, rates };
  const now = value(bases, outs, 0, 0);
  const plays: RankedPlay[] = [plain('swing', 0)];
  for (const steal of steals) {
    const found = breakEvenOf(steal.gamble, state, value);
    if (!found || !allowed.stealAllowed) continue;
    const { hold, safe, out, needed } = found;
    const worthAt = (chance: number): number => chance * safe + (1 - chance) * out - hold;
    plays.push({
      play: PLAY_OF[steal.kind] ?? steal.gamble,
      works: steal.chance,
      needs: needed,
      ifWorks: safe - hold,
      ifNot: out - hold,
      worth: worthAt(steal.chance),
      low: worthAt(steal.low),
      high: worthAt(steal.high),
    });
  }
  const toSecond = steals.find(
    ({ gamble, kind }) => gamble === 'stealSecond' && PLAY_OF[kind] === null,
  );
  if (toSecond && bases === FIRST && allowed.stealAllowed) {
    const { works, worth } = hitAndRun(outs, { rates, level, safe: toSecond.chance }, value);
    plays.push(plain('hitAndRun', worth, works));
  }
  const mayBunt = allowed.buntAllowed && outs < 2;
  if (mayBunt && bases !== 0 && (bases & THIRD) === 0) {
    const steps = sacrificeFrom(state, spot.bunt, batting, level.twoStrikeFactor);
    plays.push(plain('sacrifice', stepsWorth(steps, state, value) - now, spot.bunt.success));
  }
  if (mayBunt && bases & THIRD) {
    const { squeeze } = level;
    const steps = squeezeFrom(state, squeeze, batting);
    const scores = squeeze.scored + squeeze.scoredAndSafe;
    plays.push(plain('squeeze', stepsWorth(steps, state, value) - now, scores));
  }
  if (outs < 2 && bases === THIRD) plays.push(contactOf(spot));
  plays.push(takeOf(spot));
  return best(plays);
}

/** Going on contact, as far as a ball on the ground comes at all. */
function contactOf({ outs, value, level, rates, infieldIn }: PlaySpot): RankedPlay {
  const shares = level.contact[infieldIn ? 'in' : 'back'];
  const { go, wait } = contactValue(outs, shares, value);
  const onGround = Math.min(1, rates.groundOut / (1 - shares.through));
  return plain('contact', onGround * (go - wait), 1 - (1 - shares.through) * shares.outAtHome);
}

type Batting = Pick<PlaySpot, 'bases' | 'outs' | 'value' | 'level' | 'rates'>;

/** What a plate appearance is worth to the batting side, by its count. */
function worthByCount({ bases, outs, value, level, rates }: Batting) {
  const from = baseOut(bases, outs);
  return (balls: number, strikes: number): number =>
    stepsWorth(
      stepsFrom({ ...level, rates: ratesAtCount(rates, balls, strikes) }, from),
      from,
      value,
    );
}

/** Taking the next pitch against going on as usual: a better count or a worse one. */
function takeOf(spot: PlaySpot): RankedPlay {
  const { balls, strikes } = spot;
  const worthAt = worthByCount(spot);
  const strike = strikeWhenTaken(balls, strikes);
  const taken = strike * worthAt(balls, strikes + 1) + (1 - strike) * worthAt(balls + 1, strikes);
  return plain('take', taken - worthAt(balls, strikes), 1 - strike);
}

/**
 * How often their runner has to go on one pitch before a pitch-out pays, by count: a ball is dear when there are
 * three, and cheap when there are none.
 * @param spot whose batter is up, in runs or wins
 * @param steal the runner's chance on a usual pitch of that count, and on a pitch-out
 */
export function pitchOutPays(
  spot: Batting,
  { balls, strikes }: Count,
  steal: Pick<TheirSteal, 'gamble' | 'usual' | 'pitchOut'>,
): Needed {
  const found = breakEvenOf(steal.gamble, baseOut(spot.bases, spot.outs), spot.value);
  if (!found) return 'never';
  const worthAt = worthByCount(spot);
  const saves = (steal.usual - steal.pitchOut) * (found.safe - found.out);
  return neededFor(saves, worthAt(balls + 1, strikes) - worthAt(balls, strikes));
}

/** They have to go often enough for it to pay. */
function neededFor(saves: number, cost: number): Needed {
  return saves <= cost ? 'never' : cost / saves;
}

/** What their lead runner does against our battery, as it was judged. Chances 0..1 that they are safe. */
export interface TheirSteal {
  gamble: JudgedSteal['gamble'];
  usual: number;
  slideStep: number | null;
  pitchOut: number;
  /** How often they go, on one pitch. */
  goes: number;
}

/**
 * What the side in the field may call on the next pitch, best first, worth to it. `value` is the batting
 * side's, as everywhere.
 */
export function playsInField(spot: PlaySpot, steal: TheirSteal | null): RankedPlay[] {
  const { bases, outs, value, level } = spot;
  const now = value(bases, outs, 0, 0);
  const plays: RankedPlay[] = [
    plain('swing', 0),
    plain('walkOnPurpose', now - walkValue(bases, outs, value)),
  ];
  if (outs < 2 && bases === THIRD)
    plays.push(plain('infieldIn', infieldInSaves(outs, level.contact, value)));
  const found = steal && breakEvenOf(steal.gamble, baseOut(bases, outs), value);
  if (steal && found) {
    const swing = found.safe - found.out;
    const aRun = value(bases, outs, 1, 0) - now;
    const worthAt = worthByCount(spot);
    const add = (play: Play, safe: number, cost: number): void => {
      const saves = (steal.usual - safe) * swing;
      plays.push({
        play,
        works: 1 - safe,
        needs: neededFor(saves, cost),
        ifWorks: saves - cost,
        ifNot: -cost,
        worth: steal.goes * saves - cost,
        low: null,
        high: null,
      });
    };
    if (steal.slideStep !== null) {
      add('slideStep', steal.slideStep, SLIDE_STEP_COSTS_RUNS * aRun);
    }
    // A ball, by the count.
    const { balls, strikes } = spot;
    add('pitchOut', steal.pitchOut, worthAt(balls + 1, strikes) - worthAt(balls, strikes));
  }
  return best(plays);
}

/** Best first; swinging away stands above what is worth the same. */
function best(plays: readonly RankedPlay[]): RankedPlay[] {
  return plays.toSorted((a, b) => b.worth - a.worth || (a.play === 'swing' ? -1 : 1));
}
