import type { Person } from '@bradyon/core/people';
import {
  judgeSteal,
  roundedUp,
  type Judging,
  type Leg,
  type StealQuestion,
  type Verdict,
} from '@bradyon/core/steals';

/** One runner against one battery. */
export interface BoardCell {
  verdict: Verdict;
  chance: number;
  /** How much he could lose and still be safe often enough; negative: he lacks it. Null: throws away alone are enough. */
  spareSeconds: number | null;
  /** Go if the pitch takes this long or longer, rounded up. */
  slowestSeconds: number | null;
  run: Leg;
  pitch: Leg | null;
}

/** What the board needs of one race. */
export function cellOf(question: StealQuestion, judging: Judging): BoardCell {
  const { verdict, chance, lacksSeconds, slowestPitchSeconds, legs } = judgeSteal(
    question,
    judging,
  );
  return {
    verdict,
    chance,
    spareSeconds: lacksSeconds === null ? null : -lacksSeconds,
    slowestSeconds: slowestPitchSeconds === null ? null : roundedUp(slowestPitchSeconds),
    run: legs.run,
    pitch: legs.pitch,
  };
}

export const SORTS = ['number', 'name', 'run', 'chance'] as const;
export type Sort = (typeof SORTS)[number];
export const SHOWS = ['all', 'go', 'near'] as const;
export type Show = (typeof SHOWS)[number];

/** A line of the board: somebody, and his races in the order of the columns. */
export interface BoardRow {
  person: Person;
  cells: BoardCell[];
}

/**
 * The lines to show, in order.
 * @param column which column's chance counts for sorting and filtering; out of range: the best of the line
 */
export function arrange(
  rows: readonly BoardRow[],
  { sort, show, column }: { sort: Sort; show: Show; column: number },
): BoardRow[] {
  const best = ({ cells }: BoardRow): number =>
    cells[column]?.chance ?? Math.max(0, ...cells.map(({ chance }) => chance));
  const verdicts = ({ cells }: BoardRow): Verdict[] => {
    const one = cells[column];
    return (one ? [one] : cells).map(({ verdict }) => verdict);
  };
  const kept = rows.filter((row) => {
    if (show === 'all') return true;
    const own = verdicts(row);
    return own.includes('go') || (show === 'near' && own.includes('close'));
  });
  // By number is how they come.
  if (sort === 'number') return kept;
  const by: Record<Exclude<Sort, 'number'>, (a: BoardRow, b: BoardRow) => number> = {
    name: (a, b) => a.person.name.localeCompare(b.person.name),
    run: (a, b) => runOf(a) - runOf(b),
    chance: (a, b) => best(b) - best(a),
  };
  return kept.toSorted(by[sort]);
}

function runOf({ cells: [cell] }: BoardRow): number {
  return cell?.run.spread.meanSeconds ?? Number.POSITIVE_INFINITY;
}

/** Somebody whose few times leave several answers open. */
export interface Unsettled {
  person: Person;
  timed: number;
  cells: number;
}

/** Of the pitchers in the columns, the one with the fewest times who leaves most answers open. */
export function mostUnsettled(
  columns: readonly Person[],
  rows: readonly BoardRow[],
): Unsettled | null {
  const open: Verdict[] = ['untimed', 'close'];
  const each = columns.map((person, index) => {
    const cells = rows.map((row) => row.cells[index]).filter((cell) => cell !== undefined);
    return {
      person,
      timed: cells[0]?.pitch?.count ?? 0,
      cells: cells.filter(({ verdict }) => open.includes(verdict)).length,
    };
  });
  const few = each.filter(({ timed, cells }) => timed < 5 && cells > 0);
  return few.toSorted((a, b) => a.timed - b.timed || b.cells - a.cells)[0] ?? null;
}
