/**
 * Solves A·x = b in place by Gaussian elimination with partial pivoting.
 * @param a n × n, row by row; overwritten
 * @param b n; overwritten with x
 * @returns false when A is singular to working precision
 */
export function solveLinear(a: Float64Array, b: Float64Array, n: number): boolean {
  for (let column = 0; column < n; column += 1) {
    const pivot = pivotRow(a, n, column);
    const size = Math.abs(at(a, pivot * n + column));
    if (!(size > 1e-300)) return false;
    if (pivot !== column) swapRows(a, b, n, pivot, column);
    const diagonal = at(a, column * n + column);
    for (let row = column + 1; row < n; row += 1) {
      const factor = at(a, row * n + column) / diagonal;
      if (factor === 0) continue;
      for (let k = column + 1; k < n; k += 1) a[row * n + k] = at(a, row * n + k) - factor * at(a, column * n + k);
      b[row] = at(b, row) - factor * at(b, column);
    }
  }
  for (let row = n - 1; row >= 0; row -= 1) {
    let sum = at(b, row);
    for (let k = row + 1; k < n; k += 1) sum -= at(a, row * n + k) * at(b, k);
    b[row] = sum / at(a, row * n + row);
  }
  return true;
}

function at(array: Float64Array, index: number): number {
  return array[index] ?? 0;
}

function pivotRow(a: Float64Array, n: number, column: number): number {
  let best = column;
  for (let row = column + 1; row < n; row += 1) {
    if (Math.abs(at(a, row * n + column)) > Math.abs(at(a, best * n + column))) best = row;
  }
  return best;
}

function swapRows(a: Float64Array, b: Float64Array, n: number, one: number, other: number): void {
  for (let k = 0; k < n; k += 1) {
    const kept = at(a, one * n + k);
    a[one * n + k] = at(a, other * n + k);
    a[other * n + k] = kept;
  }
  const kept = at(b, one);
  b[one] = at(b, other);
  b[other] = kept;
}
