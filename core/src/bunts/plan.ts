import type { Bases, Value } from '../innings/index.ts';
import type { Hand } from '../people/index.ts';
import type { Ruleset } from '../rules/index.ts';
import type { Gait } from '../sprint/index.ts';
import {
  aimMap,
  buntMap,
  priceAims,
  type BuntGrid,
  type BuntMap,
  type BuntSkill,
  type BuntStakes,
  type PricedAim,
  type Strikes,
} from './aim.ts';
import { fieldersOf, type Alignment } from './alignment.ts';
import type { BuntFigures } from './figures.ts';
import { prepareBunt, type ReadyBunt } from './prepare.ts';
import { addShare, resolveBunt, type Bunted } from './resolve.ts';
import { speedToRoll, type Ground, type Surface } from './roll.ts';
import { resolveSafety } from './safety.ts';
import type { BuntRunner, BuntSetup } from './setup.ts';
import { squeezeRunner } from './squeeze.ts';

/** What the bunt is for. */
export type BuntPlay = 'sacrifice' | 'suicide' | 'safety' | 'hit' | 'slap';

/** Who bunts, who runs, and how they stand. */
export interface BuntQuestion {
  play: BuntPlay;
  bases: Bases;
  outs: 0 | 1 | 2;
  strikes: Strikes;
  ruleset: Ruleset;
  figures: BuntFigures;
  surface: Surface;
  alignment: Alignment;
  pitcherThrows: Hand;
  batter: Gait;
  /** Who is on base, by the base. */
  runners: Partial<Record<1 | 2 | 3, Gait>>;
  skill: BuntSkill;
  /** Suicide squeeze: when the runner breaks, seconds after the front foot lands. */
  breakSeconds: number;
  value: Value;
}

const SLOWING = {
  dryGrass: 'dryGrassSlowing',
  wetGrass: 'wetGrassSlowing',
  skin: 'skinSlowing',
  wetSkin: 'wetSkinSlowing',
  turf: 'turfSlowing',
} as const satisfies Record<Surface, keyof BuntFigures>;

export function groundOf(surface: Surface, figures: BuntFigures): Ground {
  const { hopFeet, keptSpeed } = figures;
  return { hopFeet, keptSpeed, slowing: figures[SLOWING[surface]] };
}

/** Bunts that go on rolling past this are grounders: how the infield takes those is not reckoned. Agreed. */
const LONGEST_ROLL_FEET = 60;
const SLOWEST = 10;
const HARDEST = { baseball: 58, softball: 48 } as const;
/** What a strike already taken costs a batter who swings away, in runs. General knowledge. */
const STRIKES_COST_RUNS = [0, 0.05, 0.11] as const;

/** The bunts that are looked at for a play. */
export function gridOf(
  {
    ruleset,
    play,
    surface,
    figures,
  }: Pick<BuntQuestion, 'ruleset' | 'play' | 'surface' | 'figures'>,
  directions: number,
  paces: number,
): BuntGrid {
  const usual = HARDEST[ruleset.sport];
  const longest = speedToRoll(LONGEST_ROLL_FEET, groundOf(surface, figures));
  const forHit = play === 'hit' || play === 'slap';
  return {
    directions,
    paces,
    slowest: SLOWEST,
    hardest: forHit ? Math.max(usual, longest) : usual,
  };
}

/** Who of the batting side does what. */
function setupOf(question: BuntQuestion, held = false): BuntSetup {
  const { play, bases, outs, ruleset, figures, alignment, batter, runners, value } = question;
  const share = ruleset.baseDistanceFeet / (ruleset.sport === 'softball' ? 60 : 90);
  const moving = play === 'hit' || play === 'slap';
  const running = ([1, 2, 3] as const).flatMap((from): BuntRunner[] => {
    const gait = runners[from];
    if (!gait || (from === 3 && held)) return [];
    if (from === 3 && play === 'suicide') {
      const { releaseSeconds, pitchSeconds } = figures;
      const clock = { releaseSeconds, pitchSeconds, breakSeconds: question.breakSeconds };
      return [squeezeRunner(gait, clock, { ...figures, thirdLead: figures.thirdLead * share })];
    }
    const off = {
      1: figures.firstLead,
      2: figures.secondLead,
      // On a safety squeeze he has walked four feet farther by contact.
      3: figures.thirdLead + 4,
    }[from];
    return [
      {
        ...gait,
        from,
        leadFeet: off * share,
        startSpeed: Math.min(gait.topSpeed, figures.runnerSpeed),
        delaySeconds: from === 3 && play === 'safety' ? figures.safetyDelay : figures.runnerDelay,
      },
    ];
  });
  return {
    ground: groundOf(question.surface, figures),
    baseFeet: ruleset.baseDistanceFeet,
    ball: ruleset.sport,
    fielders: fieldersOf(
      alignment,
      { onFirst: (bases & 1) !== 0, onSecond: (bases & 2) !== 0 },
      ruleset,
      question.pitcherThrows,
      figures,
    ),
    runners: running,
    held: held && runners[3] ? 4 : 0,
    outs,
    batter: {
      ...batter,
      delaySeconds: play === 'slap' ? 0 : moving ? figures.dragDelay : figures.batterDelay,
      startSpeed: Math.min(
        batter.topSpeed,
        play === 'slap' ? figures.slapSpeed : moving ? figures.dragSpeed : 0,
      ),
    },
    hands: {
      setSeconds: figures.setSeconds,
      rushSeconds: figures.rushSeconds,
      goodSet: figures.goodSet,
      goodRush: figures.goodRush,
      turnSeconds: figures.turnSeconds,
      reachFeet: 2.5,
      tagSeconds: figures.tagSeconds,
      relaySeconds: figures.relaySeconds,
      stretchFeet: 4,
      thereSeconds: 0.3,
      relayGood: 0.95,
      relaySdSeconds: 0.3,
      carrySpeed: 18,
      carrySeconds: 0.3,
    },
    doubt: {
      fieldingSdSeconds: figures.fieldingSdSeconds,
      runnerSdSeconds: figures.runnerSdSeconds,
      seenSdSeconds: figures.seenSdSeconds,
      throwSdSeconds: figures.throwSdSeconds,
      sureOut: figures.sureOut,
      callShare: figures.callShare,
      callSeconds: 0.6,
      wild: figures.wild,
    },
    value,
  };
}

/** How true somebody bunts at a level; on the move less. */
export function skillOf(figures: BuntFigures, play: BuntPlay): BuntSkill {
  const moving = play === 'hit' || play === 'slap';
  const by = (factor: number): number => (moving ? factor : 1);
  return {
    sdDegrees: figures.aimDegrees * by(figures.movingMiss),
    sdPace: figures.aimPace * by(figures.movingMiss),
    missed: figures.missed * by(figures.movingMissed),
    tipped: figures.tipped * by(figures.movingTipped),
    popped: figures.popped,
    popCaught: figures.popCaught,
    popDouble: play === 'suicide' ? figures.popSuicide : figures.popDouble,
  };
}

/** What is at stake beside the fair bunt, with swinging away to fall back on. */
export function stakesOf(question: BuntQuestion): BuntStakes {
  const { play, bases, outs, figures, value } = question;
  const lead = bases & 4 ? 4 : bases & 2 ? 2 : bases & 1;
  const worth = (left: Bases, made: number, done: number): number =>
    made >= 3 ? value(0, 3, 0, done) : value(left, made, 0, done);
  const out = worth(bases, outs + 1, 1);
  return {
    strikeout: out,
    missedDead: bases === 0 ? 0 : figures[missedBy(play)],
    leadRunnerOut: worth(bases & ~lead, outs + 1, 0),
    popOut: out,
    popDouble: bases === 0 ? out : worth(bases & ~lead, outs + 2, 1),
    swing: swingBy(question),
  };
}

function missedBy(play: BuntPlay): 'missedCaughtOff' | 'missedSafety' | 'missedSuicide' {
  if (play === 'suicide') return 'missedSuicide';
  return play === 'safety' ? 'missedSafety' : 'missedCaughtOff';
}

/** What one more run is worth here: 1, or so much chance to win. */
function runWorth({ bases, outs, value }: Pick<BuntQuestion, 'bases' | 'outs' | 'value'>): number {
  return value(bases, outs, 1, 0) - value(bases, outs, 0, 0);
}

/** Swinging away with 0, 1 and 2 strikes. */
export function swingBy(
  question: Pick<BuntQuestion, 'bases' | 'outs' | 'value'>,
): readonly [number, number, number] {
  const { bases, outs, value } = question;
  const now = value(bases, outs, 0, 0);
  const run = runWorth(question);
  const [none, one, two] = STRIKES_COST_RUNS;
  return [now - none * run, now - one * run, now - two * run];
}

/** A bunt plan: every aim priced, the best, and what swinging away is worth. */
export interface BuntPlan {
  grid: BuntGrid;
  aims: readonly PricedAim[];
  best: PricedAim;
  /** Best try at 0, 1 and 2 strikes. */
  byStrikes: readonly [number, number, number];
  /** Swinging away at the strikes asked about. */
  swing: number;
  /** One more run, in the unit of the values. */
  run: number;
  /** Aims that cannot be told from the best: places in `aims`. */
  asGood: readonly number[];
  /** Of balls that go where the best aim sends them. */
  atBest: Pick<Bunted, 'fieldedBy' | 'thrownTo'>;
}

/** Aims this near in runs are one answer. Agreed. */
export const ONE_ANSWER_RUNS = 0.01;

/** The situation, ready for any number of bunts; the safety squeeze also with the runner held. */
function readyFor(question: BuntQuestion): { going: ReadyBunt; staying: ReadyBunt | null } {
  return {
    going: prepareBunt(setupOf(question)),
    staying: question.play === 'safety' ? prepareBunt(setupOf(question, true)) : null,
  };
}

/** What every fair bunt comes to. @param onRow told how many rows of the grid are done */
export function mapFor(
  question: BuntQuestion,
  grid: BuntGrid,
  onRow?: (done: number, of: number) => void,
): { map: BuntMap; ready: ReadyBunt } {
  const { going, staying } = readyFor(question);
  const map = buntMap(going, grid, onRow, (bunt, ready) =>
    staying ? resolveSafety(bunt, ready, staying) : resolveBunt(bunt, ready),
  );
  return { map, ready: going };
}

/**
 * Where to put the ball, and whether to.
 * @param onRow told how many rows of the map are done
 */
export function planBunt(
  question: BuntQuestion,
  grid: BuntGrid,
  onRow?: (done: number, of: number) => void,
): BuntPlan {
  const { map, ready } = mapFor(question, grid, onRow);
  const { skill, strikes } = question;
  const stakes = stakesOf(question);
  const { aims, best, byStrikes } = priceAims(
    aimMap(map, skill, ready),
    skill,
    stakes,
    strikes,
    LONGEST_ROLL_FEET,
  );
  const run = runWorth(question);
  const inside = aims
    .map((aim, index) => ({ aim, index }))
    .filter(({ aim }) => aim.degrees >= 8 && aim.degrees <= 82 && aim.rollFeet <= LONGEST_ROLL_FEET)
    .filter(({ aim }) => best.value - aim.value <= ONE_ANSWER_RUNS * run);
  return {
    grid,
    aims,
    best,
    byStrikes,
    swing: (stakes.swing ?? [0, 0, 0])[strikes],
    run,
    asGood: inside.map(({ index }) => index),
    atBest: spreadAt(map, skill, best),
  };
}

/** Who fields the ball and where it is thrown when he aims there, misses counted. */
function spreadAt(
  map: BuntMap,
  { sdDegrees, sdPace }: BuntSkill,
  { degrees, speed }: Pick<PricedAim, 'degrees' | 'speed'>,
): Pick<Bunted, 'fieldedBy' | 'thrownTo'> {
  const all: Pick<Bunted, 'fieldedBy' | 'thrownTo'> = {
    fieldedBy: {},
    thrownTo: { 1: 0, 2: 0, 3: 0, 4: 0 },
  };
  let total = 0;
  const weights = map.cells.map((_, index) => {
    const off = ((map.degrees[index % map.degrees.length] ?? 0) - degrees) / sdDegrees;
    const pace = map.speeds[Math.floor(index / map.degrees.length)] ?? speed;
    const weight = Math.exp(-(off ** 2 + (Math.log(pace / speed) / sdPace) ** 2) / 2);
    total += weight;
    return weight;
  });
  for (const [index, cell] of map.cells.entries()) {
    addShare(all, cell, (weights[index] ?? 0) / total);
  }
  return all;
}

/** The aim of a plan that is nearest to a direction and a roll. */
export function aimNear(
  { aims }: Pick<BuntPlan, 'aims'>,
  wanted: { degrees: number; rollFeet: number },
): PricedAim {
  const far = (aim: PricedAim): number =>
    Math.abs(aim.degrees - wanted.degrees) / 3 +
    Math.abs(Math.log(aim.rollFeet / wanted.rollFeet)) / 0.1;
  const [first, ...others] = aims;
  if (!first) throw new RangeError('aimNear needs a plan with aims');
  return others.reduce((nearest, aim) => (far(aim) < far(nearest) ? aim : nearest), first);
}
