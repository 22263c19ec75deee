import { matchColumns, type Column, type MakeId } from '@bradyon/core/files';
import type { TeamId } from '@bradyon/core/units';
import Papa from 'papaparse';
import { v5 } from 'uuid';

/** A file cut into cells. */
export interface Table {
  headings: string[];
  lines: string[][];
  /** The line of the file that each of `lines` stands on, the heading being 1. */
  numbers: number[];
}

/** @returns null when there is no heading with at least one row under it */
export function parseTable(text: string): Table | null {
  // Blank lines would mislead the guess of the delimiter, and count for the line numbers.
  const { delimiter } = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy', preview: 20 }).meta;
  const { data } = Papa.parse<string[]>(text, { skipEmptyLines: false, delimiter });
  const full = data
    .map((cells, index) => ({ cells, number: index + 1 }))
    .filter(({ cells }) => cells.some((cell) => cell.trim() !== ''));
  const [heading, ...rest] = full;
  if (!heading || rest.length === 0) return null;
  return {
    headings: heading.cells.map((cell) => cell.trim()),
    lines: rest.map(({ cells }) => cells),
    numbers: rest.map(({ number }) => number),
  };
}

/** The table of a text; where no heading is one of ours, its first row is a row like the others. @returns null when there are not two rows */
export function tableFor(columns: readonly Column<string>[], text: string): Table | null {
  const found = parseTable(text);
  if (!found) return null;
  const isHeaded = Object.values(matchColumns(columns, found.headings)).some((at) => at !== null);
  return isHeaded
    ? found
    : {
        headings: found.headings.map(() => ''),
        lines: [found.headings, ...found.lines],
        numbers: [1, ...found.numbers],
      };
}

/** A cell that a spreadsheet would take for a formula gets a quote sign before it; reading takes it off. */
export function makeTable(rows: Record<string, string | number>[]): string {
  return Papa.unparse(rows, { escapeFormulae: true });
}

/** Ids made of what a row says, so that the same file brings the same rows. */
export function idsFor(teamId: TeamId): MakeId {
  return (text) => v5(text, teamId);
}

/** Hands a file to whoever asked for it. */
export function download(name: string, content: string, type: string): void {
  const url = URL.createObjectURL(new Blob([content], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  // After the browser has begun to read it.
  setTimeout(() => {
    URL.revokeObjectURL(url);
  }, 10_000);
}
