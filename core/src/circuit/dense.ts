/**
 * Solves A·x = b for several right sides in place, by Gaussian elimination with partial pivoting.
 * @param a n × n, row by row; overwritten
 * @param rights each n long; overwritten with its x
 * @returns false when A is singular to working precision
 */
export function solveDense(a: Float64Array, rights: readonly Float64Array[], n: number): boolean {
  for (let column = 0; column < n; column += 1) {
    const pivot = pivotRow(a, n, column);
    if (!(Math.abs(at(a, pivot * n + column)) > 1e-300)) return false;
    if (pivot !== column) swapRows(a, rights, n, pivot, column);
    const diagonal = at(a, column * n + column);
    for (let row = column + 1; row < n; row += 1) {
      const factor = at(a, row * n + column) / diagonal;
      // Circuits are sparse: most rows have nothing in this column.
      if (factor === 0) continue;
      for (let k = column + 1; k < n; k += 1) a[row * n + k] = at(a, row * n + k) - factor * at(a, column * n + k);
      for (const b of rights) b[row] = at(b, row) - factor * at(b, column);
    }
  }
  for (const b of rights) {
    for (let row = n - 1; row >= 0; row -= 1) {
      let sum = at(b, row);
      for (let k = row + 1; k < n; k += 1) sum -= at(a, row * n + k) * at(b, k);
      b[row] = sum / at(a, row * n + row);
    }
  }
  return true;
}

function at(array: Float64Array, index: number): number {
  return array[index] ?? 0;
}

function pivotRow(a: Float64Array, n: number, column: number): number {
  let best = column;
  let most = Math.abs(at(a, column * n + column));
  for (let row = column + 1; row < n; row += 1) {
    const size = Math.abs(at(a, row * n + column));
    if (size > most) {
      best = row;
      most = size;
    }
  }
  return best;
}

function swapRows(a: Float64Array, rights: readonly Float64Array[], n: number, one: number, other: number): void {
  for (let k = 0; k < n; k += 1) {
    const kept = at(a, one * n + k);
    a[one * n + k] = at(a, other * n + k);
    a[other * n + k] = kept;
  }
  for (const b of rights) {
    const kept = at(b, one);
    b[one] = at(b, other);
    b[other] = kept;
  }
}
