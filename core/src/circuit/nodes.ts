import type { Element } from './element';

/** Rows of the nodal matrix by node name; −1 is node 0. */
export interface NodeIndex {
  readonly count: number;
  indexOf(node: string): number;
}

/** Numbers the nodes of the elements, joining those that ideal links make one. */
export function joinedNodes(elements: readonly Element[], ground: string): NodeIndex {
  const parent = new Map<string, string>();
  const rootOf = (node: string): string => {
    let root = node;
    for (let up = parent.get(root); up !== undefined && up !== root; up = parent.get(root)) root = up;
    return root;
  };
  const join = (a: string, b: string): void => {
    const one = rootOf(a);
    const other = rootOf(b);
    parent.set(one, one);
    if (one !== other) parent.set(other, one);
    else parent.set(a, one);
  };
  join(ground, ground);
  for (const element of elements) {
    const [a, b] = endsOf(element);
    join(a, a);
    join(b, b);
    if (element.kind === 'link') join(a, b);
  }
  const groundRoot = rootOf(ground);
  const rows = new Map<string, number>([[groundRoot, -1]]);
  const index = new Map<string, number>();
  for (const node of parent.keys()) {
    const root = rootOf(node);
    if (!rows.has(root)) rows.set(root, rows.size - 1);
    index.set(node, rows.get(root) ?? -1);
  }
  return { count: rows.size - 1, indexOf: (node) => index.get(node) ?? -1 };
}

function endsOf(element: Element): readonly [string, string] {
  switch (element.kind) {
    case 'resistor':
    case 'link':
      return [element.a, element.b];
    case 'source':
    case 'sink':
    case 'motor':
      return [element.plus, element.minus];
    default:
      return element satisfies never;
  }
}
