/** Numbers 0…n−1 in sets that can be joined. */
export class JoinedNumbers {
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
