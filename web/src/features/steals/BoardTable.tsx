import type { Person } from '@bradyon/core/people';
import { memo, useEffect, useRef, type KeyboardEvent, type RefObject } from 'react';
import { percent, VerdictBadge, hundredths } from '../../ui/index.ts';
import { personLabel } from '../people/index.ts';
import type { BoardCell, BoardRow } from './board.ts';

const ROW_HEAD_PIXELS = 118;
const COLUMN_PIXELS = 150;

type Open = (row: BoardRow, column: number) => void;

/**
 * The table of races. One stop of the tab key; arrow keys move from race to race, Enter opens one.
 * A race is drawn again only when it changes: one delivery costs one column.
 */
export function BoardTable({
  rows,
  columns,
  corner,
  rowNote,
  onChoose,
  onOpen,
}: {
  rows: readonly BoardRow[];
  columns: readonly { person: Person; note: string; chosen: boolean }[];
  corner: string;
  rowNote: (row: BoardRow) => string;
  /** Absent: the columns are not chosen from. */
  onChoose?: ((person: Person) => void) | undefined;
  onOpen: Open;
}) {
  const table = useRef<HTMLTableElement>(null);
  // The cells outlive the rows they were drawn with: they ask for the newest.
  const newest = useRef({ rows, onOpen });
  useEffect(() => {
    newest.current = { rows, onOpen };
  });
  return (
    <div className="board-scroll">
      <table
        className="board card-box"
        ref={table}
        // Columns of a set width: nothing has to be measured anew when a race changes.
        style={{ minWidth: `${String(ROW_HEAD_PIXELS + columns.length * COLUMN_PIXELS)}px` }}
      >
        <thead>
          <tr>
            <th scope="col">{corner}</th>
            {columns.map(({ person, note, chosen }) => (
              <th key={person.id} scope="col" className={chosen ? 'board-chosen' : undefined}>
                {onChoose ? (
                  <button
                    type="button"
                    aria-pressed={chosen}
                    onClick={() => {
                      onChoose(person);
                    }}
                  >
                    {person.name}
                    <small>{note}</small>
                  </button>
                ) : (
                  <span>
                    {person.name}
                    <small>{note}</small>
                  </span>
                )}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, at) => (
            <tr key={row.person.id}>
              <th scope="row">
                {personLabel(row.person)}
                <small className="figure">{rowNote(row)}</small>
              </th>
              {row.cells.map((cell, column) => (
                <Race
                  key={columns[column]?.person.id}
                  cell={cell}
                  at={at}
                  column={column}
                  table={table}
                  newest={newest}
                />
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

const STEPS: Record<string, [row: number, column: number]> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
};

const Race = memo(function Race({
  cell,
  at,
  column,
  table,
  newest,
}: {
  cell: BoardCell;
  at: number;
  column: number;
  table: RefObject<HTMLTableElement | null>;
  newest: RefObject<{ rows: readonly BoardRow[]; onOpen: Open }>;
}) {
  const { verdict, chance, spareSeconds, slowestSeconds } = cell;
  const move = (event: KeyboardEvent): void => {
    const step = STEPS[event.key];
    if (!step) return;
    event.preventDefault();
    const next = `[data-at="${String(at + step[0])}-${String(column + step[1])}"]`;
    table.current?.querySelector<HTMLElement>(next)?.focus();
  };
  return (
    <td className={`board-cell board-${verdict}`}>
      <button
        type="button"
        data-at={`${String(at)}-${String(column)}`}
        tabIndex={at === 0 && column === 0 ? 0 : -1}
        onKeyDown={move}
        onClick={() => {
          const row = newest.current.rows[at];
          if (row) newest.current.onOpen(row, column);
        }}
      >
        <VerdictBadge verdict={verdict} small />
        <span className="board-chance figure">{percent(chance)}</span>
        <span className="board-words">
          {slowestSeconds === null ? '' : `${slowestSeconds.toFixed(2)} or slower`}
          {spareSeconds !== null && (
            <>
              <span className="visually-hidden">, </span>
              <span>{spareWords(spareSeconds)}</span>
            </>
          )}
        </span>
      </button>
    </td>
  );
});

/** @example spareWords(-0.07) // '.07 short' */
function spareWords(spareSeconds: number): string {
  const figure = hundredths(Math.abs(spareSeconds));
  return spareSeconds >= 0 ? `${figure} to spare` : `${figure} short`;
}
