import { tabledNormalCdf } from '../maths/normals.ts';
import type { BuntGrid, BuntMap, BuntSkill } from './aim.ts';
import type { BuntFigures } from './figures.ts';
import { gridOf, mapFor, type BuntQuestion } from './plan.ts';
import {
  lateShow,
  pitchOutChance,
  shownLate,
  squeezeOutcome,
  type SqueezeClock,
  type SqueezeOutcome,
} from './squeeze.ts';

/** A squeeze at several breaks of the runner: what is heavy of it, so that the marks can be dragged. */
export interface SqueezeTable {
  grid: BuntGrid;
  degrees: readonly number[];
  speeds: readonly number[];
  breaks: readonly number[];
  /** For each break, for each cell: how often the runner is out at the plate, given fair. */
  leadOut: readonly (readonly number[])[];
}

const FIRST_BREAK = -0.5;
const LAST_BREAK = 0.4;
const STEP = 0.1;

/** The breaks that the rules leave: in softball nobody leaves before release. */
export function breaksFor({ ruleset, figures }: Pick<BuntQuestion, 'ruleset' | 'figures'>): {
  from: number;
  to: number;
} {
  const from = ruleset.leadRule === 'open' ? FIRST_BREAK : figures.releaseSeconds;
  return { from, to: LAST_BREAK };
}

/** @param onBreak told how many breaks are done */
export function squeezeTable(
  question: BuntQuestion,
  onBreak?: (done: number, of: number) => void,
): SqueezeTable {
  const { from, to } = breaksFor(question);
  const count = Math.round((to - from) / STEP) + 1;
  const breaks = Array.from({ length: count }, (_, index) => from + index * STEP);
  const grid = gridOf({ ...question, play: 'suicide' }, 20, 14);
  const maps = breaks.map((breakSeconds, index): BuntMap => {
    const { map } = mapFor({ ...question, play: 'suicide', breakSeconds }, grid);
    onBreak?.(index + 1, count);
    return map;
  });
  return {
    grid,
    degrees: maps[0]?.degrees ?? [],
    speeds: maps[0]?.speeds ?? [],
    breaks,
    leadOut: maps.map(({ cells }) => cells.map(({ leadOut }) => leadOut)),
  };
}

/** How one aim's misses fall over the cells: fair share, and the part of it with the runner out. */
function smearAt(
  { grid, degrees, speeds }: SqueezeTable,
  figures: readonly number[],
  { sdDegrees, sdPace }: BuntSkill,
  aim: { degrees: number; speed: number },
): { fairShare: number; leadOutShare: number } {
  const width = 90 / grid.directions;
  const step = Math.log(grid.hardest / grid.slowest) / grid.paces;
  const sideways = degrees.map(
    (each) =>
      tabledNormalCdf((each + width / 2 - aim.degrees) / sdDegrees) -
      tabledNormalCdf((each - width / 2 - aim.degrees) / sdDegrees),
  );
  const along = speeds.map((speed, row) => {
    const off = Math.log(speed / aim.speed);
    const low = row === 0 ? 0 : tabledNormalCdf((off - step / 2) / sdPace);
    const high = row === speeds.length - 1 ? 1 : tabledNormalCdf((off + step / 2) / sdPace);
    return high - low;
  });
  let [fairShare, leadOutShare] = [0, 0];
  for (const mass of sideways) fairShare += mass;
  for (const [row, pace] of along.entries()) {
    for (const [column, side] of sideways.entries()) {
      leadOutShare += pace * side * (figures[row * degrees.length + column] ?? 0);
    }
  }
  return { fairShare, leadOutShare };
}

/** One pitch of a squeeze at any break and show, read from the table. */
export function readSqueeze(
  table: SqueezeTable,
  {
    clock,
    skill,
    aim,
    sees,
    figures,
  }: {
    clock: SqueezeClock;
    skill: BuntSkill;
    aim: { degrees: number; speed: number };
    sees: number;
    figures: BuntFigures;
  },
): SqueezeOutcome {
  const late = shownLate(skill, lateShow(clock));
  const first = table.breaks[0] ?? 0;
  const place = Math.min(table.breaks.length - 1, Math.max(0, (clock.breakSeconds - first) / STEP));
  const below = Math.floor(place);
  const share = place - below;
  const cells = (table.leadOut[below] ?? []).map(
    (chance, cell) => chance + share * ((table.leadOut[below + 1]?.[cell] ?? chance) - chance),
  );
  return squeezeOutcome(
    smearAt(table, cells, late, aim),
    late,
    pitchOutChance(clock, sees, figures),
    figures,
  );
}

/** What one pitch of a squeeze is worth to the team at bat. */
export function squeezeWorth(
  { score, runnerOut, foul, other }: SqueezeOutcome,
  { bases, outs, value }: Pick<BuntQuestion, 'bases' | 'outs' | 'value'>,
): number {
  const stay = bases & ~4;
  const up = (stay << 1) & 7;
  const worth = (left: number, made: number, runs: number): number =>
    made >= 3 ? value(0, 3, 0, 1) : value(left, made, runs, 1);
  return (
    score * worth(up, outs + 1, 1) +
    runnerOut * worth(up | 1, outs + 1, 0) +
    foul * value(bases, outs, 0, 0) +
    other * worth(bases, outs + 1, 0)
  );
}
