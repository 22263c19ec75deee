import type { Person } from '@bradyon/core/people';
import { memo, useRef, type KeyboardEvent } from 'react';
import { percent, VerdictBadge } from '../../ui/index.ts';
import { personLabel } from '../people/index.ts';
import type { BoardCell, BoardRow } from './board.ts';

/**
 * The table of races. One stop of the tab key; arrow keys move from race to race, Enter opens one.
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
  onOpen: (row: BoardRow, column: number) => void;
}) {
  const table = useRef<HTMLTableElement>(null);
  const move = (event: KeyboardEvent, row: number, column: number): void => {
    const step = STEPS[event.key];
    if (!step) return;
    event.preventDefault();
    table.current
      ?.querySelector<HTMLElement>(
        `[data-at="${String(row + step[0])}-${String(column + step[1])}"]`,
      )
      ?.focus();
  };
  return (
    <div className="board-scroll">
      <table className="board card-box" ref={table}>
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
                <td key={columns[column]?.person.id} className={`board-cell board-${cell.verdict}`}>
                  <button
                    type="button"
                    data-at={`${String(at)}-${String(column)}`}
                    tabIndex={at === 0 && column === 0 ? 0 : -1}
                    onKeyDown={(event) => {
                      move(event, at, column);
                    }}
                    onClick={() => {
                      onOpen(row, column);
                    }}
                  >
                    <Race cell={cell} />
                  </button>
                </td>
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

/** Drawn again only when its own race changes. */
const Race = memo(function Race({ cell }: { cell: BoardCell }) {
  const { verdict, chance, spareSeconds, slowestSeconds } = cell;
  return (
    <>
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
    </>
  );
});

/** @example spareWords(-0.07) // 'lacks .07' */
function spareWords(spareSeconds: number): string {
  const figure = Math.abs(spareSeconds).toFixed(2).replace(/^0/, '');
  return spareSeconds >= 0 ? `${figure} to spare` : `lacks ${figure}`;
}
