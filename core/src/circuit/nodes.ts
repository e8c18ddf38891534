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
  /** Row of a node; −1 for node 0 and for a name that no element touches. */
  rowOf(node: string): number;
}

/** Numbers the nodes of the elements, joining those that ideal links make one. */
export function numberNodes(elements: readonly Element[], ground: string): Nodes {
  const names = new Map<string, number>([[ground, 0]]);
  const numberOf = (name: string): number => {
    const known = names.get(name);
    if (known !== undefined) return known;
    names.set(name, names.size);
    return names.size - 1;
  };
  const ends = elements.map((element) => ({
    element,
    a: numberOf(firstEnd(element)),
    b: numberOf(secondEnd(element)),
  }));
  const joined = new JoinedNumbers(names.size);
  for (const { element, a, b } of ends) if (element.kind === 'link') joined.join(a, b);

  const rows = new Int32Array(names.size).fill(-2);
  rows[joined.rootOf(0)] = -1;
  let count = 0;
  const rowOfNumber = (number: number): number => {
    const root = joined.rootOf(number);
    if (rows[root] === -2) {
      rows[root] = count;
      count += 1;
    }
    return rows[root] ?? -1;
  };
  const placed = ends
    .map(({ element, a, b }) => ({ element, a: rowOfNumber(a), b: rowOfNumber(b) }))
    .filter(({ element }) => element.kind !== 'link');
  return {
    count,
    elements: placed,
    islands: islandsOf(placed, count),
    rowOf: (node) => {
      const number = names.get(node);
      return number === undefined ? -1 : rowOfNumber(number);
    },
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

function firstEnd(element: Element): string {
  return 'a' in element ? element.a : element.plus;
}

function secondEnd(element: Element): string {
  return 'b' in element ? element.b : element.minus;
}
