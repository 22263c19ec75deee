import { tabledNormalCdf } from '../maths/normals.ts';
import type { ReadyBunt } from './prepare.ts';
import { mixed, resolveBunt, type Bunted } from './resolve.ts';
import { rollFeet } from './roll.ts';

/** How true a bunter is: misses are normal in the angle and in the logarithm of the pace. */
export interface BuntSkill {
  sdDegrees: number;
  /** Of the logarithm of the speed off the bat. */
  sdPace: number;
  /** Shares of tries 0..1: no contact, tipped foul, popped up. */
  missed: number;
  tipped: number;
  popped: number;
  /** Of pop-ups, those caught; of those, the runner doubled off. */
  popCaught: number;
  popDouble: number;
}

/** Which bunts are looked at: so many directions over the fair quarter, so many paces, ft/s. */
export interface BuntGrid {
  directions: number;
  paces: number;
  slowest: number;
  hardest: number;
}

/** What fair bunts come to over the field. Cells in order of pace, then of direction. */
export interface BuntMap {
  grid: BuntGrid;
  degrees: readonly number[];
  speeds: readonly number[];
  cells: readonly Bunted[];
}

/** Aim where the ball is fair this far inside the lines: nobody aims at the chalk. Agreed. */
const INSIDE_DEGREES = 8;

/** The middles of the cells of a grid: even in the angle, even in the logarithm of the speed. */
function gridMiddles({ directions, paces, slowest, hardest }: BuntGrid): {
  degrees: number[];
  speeds: number[];
} {
  const step = Math.log(hardest / slowest) / paces;
  return {
    degrees: Array.from({ length: directions }, (_, index) => ((index + 0.5) * 90) / directions),
    speeds: Array.from({ length: paces }, (_, index) => slowest * Math.exp((index + 0.5) * step)),
  };
}

/**
 * What every fair bunt of a grid comes to.
 * @param onRow told after each row of the grid how many of all are done
 */
export function buntMap(
  ready: ReadyBunt,
  grid: BuntGrid,
  onRow?: (done: number, of: number) => void,
  resolve: (bunt: { degrees: number; speed: number }, ready: ReadyBunt) => Bunted = resolveBunt,
): BuntMap {
  const { degrees, speeds } = gridMiddles(grid);
  const { directions } = grid;
  const cells = new Array<Bunted>(directions * speeds.length);
  const resolved = (row: number, column: number): Bunted =>
    resolve({ degrees: degrees[column] ?? 0, speed: speeds[row] ?? 0 }, ready);
  const isFine = cells.length > COARSE_CELLS;
  // Of a fine grid every other cell first, as on a chessboard.
  for (const row of speeds.keys()) {
    for (let column = 0; column < directions; column += 1) {
      if (isFine && (row + column) % 2 === 1) continue;
      cells[row * directions + column] = resolved(row, column);
    }
    onRow?.(row + 1, speeds.length);
  }
  if (!isFine) return { grid, degrees, speeds, cells };
  for (const row of speeds.keys()) {
    for (let column = (row + 1) % 2; column < directions; column += 2) {
      const isEdge =
        row === 0 || column === 0 || row === speeds.length - 1 || column === directions - 1;
      const at = row * directions + column;
      const around = isEdge
        ? []
        : [at - 1, at + 1, at - directions, at + directions].flatMap((each) => cells[each] ?? []);
      cells[at] =
        around.length === 4 && isSmooth(around, ready.stake)
          ? betweenAll(around)
          : resolved(row, column);
    }
  }
  return { grid, degrees, speeds, cells };
}

/** A grid of more cells is fine: what lies between four cells that are alike is not worked out again. */
const COARSE_CELLS = 1500;
/** Smooth: across and along come to the same middle, within so much of a chance and of what is at stake. */
const SMOOTH = 0.006;
/** And nothing steeper than this lies between two neighbors but one. */
const STEEPEST = 0.2;

/** @param around left, right, below and above of a cell */
function isSmooth(around: readonly Bunted[], stake: number): boolean {
  const bends = (of: (cell: Bunted) => number, unit: number): boolean => {
    const [left = 0, right = 0, below = 0, above = 0] = around.map((cell) => of(cell) / unit);
    return (
      Math.abs(left + right - below - above) / 2 > SMOOTH ||
      Math.max(Math.abs(left - right), Math.abs(below - above)) > STEEPEST
    );
  };
  return !(
    bends(({ value }) => value, stake) ||
    bends(({ leadOut }) => leadOut, 1) ||
    bends(({ batterOut }) => batterOut, 1)
  );
}

/** What lies in the middle of cells: each counts the same. */
function betweenAll(cells: readonly Bunted[]): Bunted {
  return mixed(
    cells,
    cells.map(() => 1),
  );
}

/** What aiming somewhere comes to, misses of the aim counted. */
export interface Aim {
  degrees: number;
  speed: number;
  /** How far it rolls when it comes off as meant, feet. */
  rollFeet: number;
  /** Of tries. */
  fair: number;
  foul: number;
  /** Of fair bunts: what they are worth and what comes of them. */
  fairValue: number;
  leadOut: number;
  batterOut: number;
  doublePlay: number;
  /** Of balls on the ground, fair or not: the part that is fair, and its value and lead outs in it. */
  fairShare: number;
  leadOutShare: number;
  valueShare: number;
}

/** For each place aimed at, where the ball goes: masses over the cells of one direction of the grid. */
function masses(
  middles: readonly number[],
  edges: readonly number[],
  sd: number,
  endless: boolean,
): Float64Array[] {
  return middles.map((aim) =>
    Float64Array.from(middles, (_, cell) => {
      const low = endless && cell === 0 ? 0 : tabledNormalCdf(((edges[cell] ?? 0) - aim) / sd);
      const last = endless && cell === middles.length - 1;
      const high = last ? 1 : tabledNormalCdf(((edges[cell + 1] ?? 0) - aim) / sd);
      return high - low;
    }),
  );
}

/** Every aim of a grid, by what a bunter of this skill makes of it. */
export function aimMap(map: BuntMap, skill: BuntSkill, ready: Pick<ReadyBunt, 'ground'>): Aim[] {
  const { degrees, speeds, grid } = map;
  const width = 90 / grid.directions;
  const step = Math.log(grid.hardest / grid.slowest) / grid.paces;
  const sideways = masses(
    degrees,
    Array.from({ length: grid.directions + 1 }, (_, index) => index * width),
    skill.sdDegrees,
    false,
  );
  const along = masses(
    speeds.map((speed) => Math.log(speed)),
    Array.from({ length: grid.paces + 1 }, (_, index) => Math.log(grid.slowest) + index * step),
    skill.sdPace,
    true,
  );
  const channels = [
    (cell: Bunted) => cell.value,
    (cell: Bunted) => cell.leadOut,
    (cell: Bunted) => cell.batterOut,
    (cell: Bunted) => cell.doublePlay,
  ].map((pick) => smeared(map, pick, sideways, along));
  const contact = 1 - skill.missed - skill.tipped - skill.popped;
  const fairShares = sideways.map((each) => each.reduce((sum, mass) => sum + mass, 0));
  return speeds.flatMap((speed, row) =>
    degrees.map((each, column): Aim => {
      const share = fairShares[column] ?? 0;
      const of = (channel: number): number =>
        channels[channel]?.[row * degrees.length + column] ?? 0;
      return {
        degrees: each,
        speed,
        rollFeet: rollFeet(speed, ready.ground),
        fair: contact * share,
        foul: skill.tipped + contact * (1 - share) + skill.popped * (1 - skill.popCaught),
        fairValue: of(0) / share,
        leadOut: of(1) / share,
        batterOut: of(2) / share,
        doublePlay: of(3) / share,
        fairShare: share,
        valueShare: of(0),
        leadOutShare: of(1),
      };
    }),
  );
}

/** A figure of the cells spread by the misses, first along the pace, then sideways. */
function smeared(
  { cells, degrees, speeds }: BuntMap,
  pick: (cell: Bunted) => number,
  sideways: readonly Float64Array[],
  along: readonly Float64Array[],
): Float64Array {
  const columns = degrees.length;
  const figures = new Float64Array(cells.length);
  for (const [index, cell] of cells.entries()) figures[index] = pick(cell);
  const half = new Float64Array(figures.length);
  for (let row = 0; row < speeds.length; row += 1) {
    for (let from = 0; from < speeds.length; from += 1) {
      const mass = along[row]?.[from] ?? 0;
      if (mass === 0) continue;
      for (let column = 0; column < columns; column += 1) {
        const at = row * columns + column;
        half[at] = (half[at] ?? 0) + mass * (figures[from * columns + column] ?? 0);
      }
    }
  }
  const whole = new Float64Array(figures.length);
  for (let row = 0; row < speeds.length; row += 1) {
    for (let column = 0; column < columns; column += 1) {
      let sum = 0;
      const mass = sideways[column];
      for (let from = 0; from < columns; from += 1) {
        sum += (mass?.[from] ?? 0) * (half[row * columns + from] ?? 0);
      }
      whole[row * columns + column] = sum;
    }
  }
  return whole;
}

/** What is at stake beside a fair bunt, to the team at bat. */
export interface BuntStakes {
  /** A foul with two strikes is out. */
  strikeout: number;
  /** Missed, the lead runner is caught off this often. */
  missedDead: number;
  /** The lead runner out, the batter still up. */
  leadRunnerOut: number;
  /** Popped up and caught: the runners hold, or one is doubled off. */
  popOut: number;
  popDouble: number;
  /** Swinging away with 0, 1 and 2 strikes; null: he bunts whatever comes. */
  swing: readonly [number, number, number] | null;
}

export type Strikes = 0 | 1 | 2;

/** An aim with its worth, everything that can come of the try counted. */
export interface PricedAim extends Aim {
  value: number;
}

/** The best aims by strikes, and every aim at the strikes asked about. */
export interface PricedAims {
  aims: PricedAim[];
  /** The best try at 0, 1 and 2 strikes. */
  byStrikes: readonly [number, number, number];
  best: PricedAim;
}

/**
 * Prices every aim with the count in mind, from two strikes backward: a foul costs a strike, and with
 * two strikes the batter.
 * A foul is never worth more than going on bunting, or it would be aimed at.
 * @param longestFeet nobody is told to aim at a longer roll
 */
export function priceAims(
  aims: readonly Aim[],
  skill: BuntSkill,
  stakes: BuntStakes,
  strikes: Strikes,
  longestFeet = Number.POSITIVE_INFINITY,
): PricedAims {
  const { missed, popped, popCaught } = skill;
  const contact = 1 - skill.missed - skill.tipped - skill.popped;
  const pop = (1 - skill.popDouble) * stakes.popOut + skill.popDouble * stakes.popDouble;
  const priced = (aim: Aim, foul: number): number => {
    const miss = (1 - stakes.missedDead) * foul + stakes.missedDead * stakes.leadRunnerOut;
    return contact * aim.valueShare + aim.foul * foul + missed * miss + popped * popCaught * pop;
  };
  const isAimedAt = ({ degrees, rollFeet: feet }: Aim): boolean =>
    degrees >= INSIDE_DEGREES && degrees <= 90 - INSIDE_DEGREES && feet <= longestFeet;
  const inside = aims.filter(isAimedAt);
  const best = (foul: number): number => Math.max(...inside.map((aim) => priced(aim, foul)));
  const byStrikes: [number, number, number] = [0, 0, 0];
  const fouls: [number, number, number] = [0, 0, stakes.strikeout];
  let committed = best(stakes.strikeout);
  byStrikes[2] = committed;
  for (const before of [1, 0] as const) {
    const swing = stakes.swing?.[(before + 1) as 1 | 2] ?? Number.NEGATIVE_INFINITY;
    const bunting = best(committed);
    fouls[before] = Math.min(Math.max(swing, byStrikes[(before + 1) as 1 | 2]), bunting);
    byStrikes[before] = best(fouls[before]);
    committed = bunting;
  }
  const all = aims.map((aim) => ({ ...aim, value: priced(aim, fouls[strikes]) }));
  const first = all.find(isAimedAt);
  if (!first) throw new RangeError('priceAims needs at least one aim between the lines');
  return {
    aims: all,
    byStrikes,
    best: all.reduce((most, aim) => (isAimedAt(aim) && aim.value > most.value ? aim : most), first),
  };
}
