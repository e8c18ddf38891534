import type { Element } from './element';

/** An element with the rows of the nodal matrix at its ends; −1 is node 0. */
export interface PlacedElement {
  readonly element: Element;
  /** Row of the first or plus end. */
  readonly a: number;
  /** Row of the second or minus end. */
  readonly b: number;
}

/** The nodes of a circuit as rows of its nodal matrix. */
export interface Nodes {
  readonly count: number;
  readonly elements: readonly PlacedElement[];
  /** Groups of rows that nothing conducting joins to node 0. */
  readonly islands: readonly (readonly number[])[];
  /** Row of a numbered terminal; −1 for node 0 and for one that no element touches. */
  rowOf(terminal: number): number;
}

/**
 * Turns numbered terminals into rows, joining those that ideal links make one.
 * @param count how many terminals are numbered
 * @param ground the terminal that is node 0
 */
export function numberNodes(elements: readonly Element[], count: number, ground: number): Nodes {
  const joined = new JoinedNumbers(count);
  for (const element of elements) if (element.kind === 'link') joined.join(element.a, element.b);

  const rows = new Int32Array(count).fill(-2);
  rows[joined.rootOf(ground)] = -1;
  let rowCount = 0;
  const rowOf = (terminal: number): number => {
    const root = joined.rootOf(terminal);
    if (rows[root] === -2) {
      rows[root] = rowCount;
      rowCount += 1;
    }
    return rows[root] ?? -1;
  };
  const placed: PlacedElement[] = [];
  for (const element of elements) {
    if (element.kind === 'link') continue;
    placed.push({ element, a: rowOf(firstEnd(element)), b: rowOf(secondEnd(element)) });
  }
  // A terminal that only links touch has no row: it carries nothing, and reads as node 0.
  return {
    count: rowCount,
    elements: placed,
    islands: islandsOf(placed, rowCount),
    rowOf: (terminal) => Math.max(-1, rows[joined.rootOf(terminal)] ?? -1),
  };
}

function islandsOf(elements: readonly PlacedElement[], count: number): number[][] {
  // Number 0 is node 0 here, and each row one above its own number.
  const joined = new JoinedNumbers(count + 1);
  for (const { element, a, b } of elements) if (conducts(element)) joined.join(a + 1, b + 1);
  const main = joined.rootOf(0);
  const islands = new Map<number, number[]>();
  for (let row = 0; row < count; row += 1) {
    const root = joined.rootOf(row + 1);
    if (root === main) continue;
    const island = islands.get(root);
    if (island) island.push(row);
    else islands.set(root, [row]);
  }
  return [...islands.values()];
}

/** Numbers 0…n−1 in sets that can be joined. */
class JoinedNumbers {
  private readonly parent: Int32Array;

  constructor(count: number) {
    this.parent = new Int32Array(count);
    for (let number = 0; number < count; number += 1) this.parent[number] = number;
  }

  rootOf(number: number): number {
    let root = number;
    for (let up = this.parent[root] ?? root; up !== root; up = this.parent[root] ?? root) root = up;
    this.parent[number] = root;
    return root;
  }

  join(a: number, b: number): void {
    const one = this.rootOf(a);
    const other = this.rootOf(b);
    if (one !== other) this.parent[other] = one;
  }
}

function conducts(element: Element): boolean {
  return element.kind !== 'sink' && !(element.kind === 'motor' && element.condition === 'open');
}

function firstEnd(element: Element): number {
  return 'a' in element ? element.a : element.plus;
}

function secondEnd(element: Element): number {
  return 'b' in element ? element.b : element.minus;
}
