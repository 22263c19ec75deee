import type { TeamId } from '@bradyon/core/units';
import { describe, expect, it } from 'vitest';
import { idsFor, makeTable, parseTable, tableFor } from './csv.ts';

describe('a sheet', () => {
  it('is read with commas, semicolons, quotes and blank lines, and keeps its line numbers', () => {
    const sheet = parseTable('\ufeffName;Number\r\n"Whitlock; Dara";4\r\n\r\nInes;2\r\n');
    expect(sheet).toEqual({
      headings: ['Name', 'Number'],
      lines: [
        ['Whitlock; Dara', '4'],
        ['Ines', '2'],
      ],
      numbers: [2, 4],
    });
  });

  it('is none without a row under the heading', () => {
    expect(parseTable('Name,Number\n\n')).toBeNull();
    expect(parseTable('')).toBeNull();
  });

  it('pasted without a heading loses no row, and keeps its line numbers', () => {
    const columns = [{ key: 'name', title: 'Name', aliases: [], needed: true }] as const;
    expect(tableFor(columns, '4\tDara Whitlock\n7\tTemba Moyo')).toEqual({
      headings: ['', ''],
      lines: [
        ['4', 'Dara Whitlock'],
        ['7', 'Temba Moyo'],
      ],
      numbers: [1, 2],
    });
    const headed = tableFor(columns, 'No\tName\n4\tDara Whitlock');
    expect(headed).toMatchObject({ headings: ['No', 'Name'], numbers: [2] });
    expect(tableFor(columns, 'Name')).toBeNull();
  });

  it('gives a spreadsheet no formula to run', () => {
    expect(makeTable([{ Name: '=1+1', Seconds: -0.12 }])).toBe('Name,Seconds\r\n"\'=1+1",-0.12');
  });

  it('makes ids that a second import makes again, of one team only', () => {
    const [mine, other] = [
      '0b6f1c1e-7a52-4f0e-9d0a-2f9c7c1f3a55',
      '1b6f1c1e-7a52-4f0e-9d0a-2f9c7c1f3a55',
    ].map((id) => idsFor(id as TeamId));
    expect(mine?.('x')).toBe(mine?.('x'));
    expect(mine?.('x')).not.toBe(mine?.('y'));
    expect(mine?.('x')).not.toBe(other?.('x'));
  });
});
