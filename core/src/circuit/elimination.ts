/**
 * How a symmetric matrix with entries at given places is eliminated: the order,
 * and where each step's work falls. It depends on the places alone, so a circuit
 * solved again at other volts and ohms uses it again.
 */
export interface Elimination {
  readonly size: number;
  /** The row taken out at each step. */
  readonly order: Int32Array;
  /** Entries `starts[step]` … `starts[step + 1] − 1` lie beside the diagonal of that step's row. */
  readonly starts: Int32Array;
  /** The other row of each entry; it is taken out later. */
  readonly beside: Int32Array;
  /** For each step and each pair of its entries, the entry that the pair adds to. */
  readonly targets: Int32Array;
  /** The entry of each pair of rows that was given; −1 where there is none. */
  readonly entryOf: Int32Array;
}

/**
 * Plans the elimination of a symmetric matrix. Rows are taken out by their least
 * number of neighbours (minimum degree): a circuit is a tree with a few bridges,
 * so almost nothing fills in.
 * @param pairs rows of the entries beside the diagonal, two by two; pairs with −1 or twice the same row have no entry
 */
export function planElimination(size: number, pairs: Int32Array): Elimination {
  const around = neighbours(size, pairs);
  const order = new Int32Array(size);
  const starts = new Int32Array(size + 1);
  const beside: number[] = [];
  const entries = new Map<number, number>();
  const left = new Set(around.keys());
  for (let step = 0; step < size; step += 1) {
    const pivot = fewestNeighbours(left, around);
    left.delete(pivot);
    order[step] = pivot;
    const own = [...(around[pivot] ?? [])];
    for (const row of own) {
      entries.set(pairKey(size, pivot, row), beside.length);
      beside.push(row);
      const others = around[row];
      others?.delete(pivot);
      for (const other of own) if (other !== row) others?.add(other);
    }
    starts[step + 1] = beside.length;
  }
  const entryAt = (one: number, other: number) => entries.get(pairKey(size, one, other)) ?? -1;
  return {
    size,
    order,
    starts,
    beside: Int32Array.from(beside),
    targets: targetsOf(starts, beside, entryAt),
    entryOf: Int32Array.from({ length: pairs.length / 2 }, (_, at) =>
      entryAt(pairs[2 * at] ?? -1, pairs[2 * at + 1] ?? -1),
    ),
  };
}

function neighbours(size: number, pairs: Int32Array): Set<number>[] {
  const around = Array.from({ length: size }, () => new Set<number>());
  for (let at = 0; at < pairs.length; at += 2) {
    const [one, other] = [pairs[at] ?? -1, pairs[at + 1] ?? -1];
    if (one < 0 || other < 0 || one === other) continue;
    around[one]?.add(other);
    around[other]?.add(one);
  }
  return around;
}

function fewestNeighbours(left: ReadonlySet<number>, around: readonly ReadonlySet<number>[]): number {
  let best = -1;
  let fewest = Infinity;
  for (const row of left) {
    const count = around[row]?.size ?? 0;
    if (count >= fewest) continue;
    best = row;
    fewest = count;
    if (count <= 1) break;
  }
  return best;
}

function pairKey(size: number, one: number, other: number): number {
  return Math.min(one, other) * size + Math.max(one, other);
}

function targetsOf(
  starts: Int32Array,
  beside: readonly number[],
  entryAt: (a: number, b: number) => number,
): Int32Array {
  const targets: number[] = [];
  for (let step = 0; step + 1 < starts.length; step += 1) {
    const end = starts[step + 1] ?? 0;
    for (let one = starts[step] ?? 0; one < end; one += 1) {
      for (let other = one + 1; other < end; other += 1) targets.push(entryAt(beside[one] ?? -1, beside[other] ?? -1));
    }
  }
  return Int32Array.from(targets);
}

/** A pivot smaller than this is none: conductances run from the leak's 1e-12 S upwards. */
const LEAST_PIVOT = 1e-14;

/**
 * Solves A·x = b for several right sides in place.
 * @param diagonal of A, by row; overwritten
 * @param entries of A beside the diagonal, as planned; overwritten
 * @param rights each as long as the diagonal; overwritten with its x
 * @returns false when A is singular to working precision
 */
export function eliminate(
  { size, order, starts, beside, targets }: Elimination,
  diagonal: Float64Array,
  entries: Float64Array,
  rights: readonly Float64Array[],
): boolean {
  let target = 0;
  for (let step = 0; step < size; step += 1) {
    const row = at(order, step);
    const pivot = at(diagonal, row);
    if (!(pivot > LEAST_PIVOT)) return false;
    const end = at(starts, step + 1);
    for (let one = at(starts, step); one < end; one += 1) {
      const other = at(beside, one);
      const value = at(entries, one);
      const factor = value / pivot;
      diagonal[other] = at(diagonal, other) - factor * value;
      for (let next = one + 1; next < end; next += 1, target += 1) {
        const changed = at(targets, target);
        entries[changed] = at(entries, changed) - factor * at(entries, next);
      }
      for (const right of rights) right[other] = at(right, other) - factor * at(right, row);
    }
  }
  for (let step = size - 1; step >= 0; step -= 1) {
    const row = at(order, step);
    const end = at(starts, step + 1);
    for (const right of rights) {
      let sum = at(right, row);
      for (let one = at(starts, step); one < end; one += 1) sum -= at(entries, one) * at(right, at(beside, one));
      right[row] = sum / at(diagonal, row);
    }
  }
  return true;
}

function at(array: Float64Array | Int32Array, index: number): number {
  return array[index] ?? 0;
}
