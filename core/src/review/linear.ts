export type Matrix = number[][];

/** The inverse of a matrix that has one, by elimination with the largest pivot. */
export function inverseOf(matrix: readonly (readonly number[])[]): Matrix {
  const size = matrix.length;
  const rows = matrix.map((row, at) => [
    ...row,
    ...Array.from({ length: size }, (_, column) => (column === at ? 1 : 0)),
  ]);
  for (let column = 0; column < size; column += 1) {
    let pivot = column;
    for (let row = column + 1; row < size; row += 1) {
      if (Math.abs(rows[row]?.[column] ?? 0) > Math.abs(rows[pivot]?.[column] ?? 0)) pivot = row;
    }
    const [top, other] = [rows[pivot] ?? [], rows[column] ?? []];
    rows[pivot] = other;
    rows[column] = top;
    const lead = top[column] ?? 0;
    if (lead === 0) throw new RangeError('a matrix without an inverse');
    for (let at = 0; at < 2 * size; at += 1) top[at] = (top[at] ?? 0) / lead;
    for (const [at, row] of rows.entries()) {
      const factor = row[column] ?? 0;
      if (at === column || factor === 0) continue;
      for (let each = 0; each < 2 * size; each += 1) {
        row[each] = (row[each] ?? 0) - factor * (top[each] ?? 0);
      }
    }
  }
  return rows.map((row) => row.slice(size));
}

export function timesVector(matrix: Matrix, vector: readonly number[]): number[] {
  return matrix.map((row) => dot(row, vector));
}

export function dot(a: readonly number[], b: readonly number[]): number {
  let sum = 0;
  for (const [at, each] of a.entries()) sum += each * (b[at] ?? 0);
  return sum;
}
