/**
 * A function of a quantity of 0 or more, kept at points that lie evenly over its
 * square root (as levels over volumes do in most hulls, and losses over flows), the
 * cubic through the nearest four between them. Points are reckoned when they are
 * first needed; what is asked for one after the other lies close together, so the
 * last piece's cubic is kept.
 */
export class RootGrid {
  private readonly values: Float64Array;
  private readonly perRoot: number;
  private kept = -1;
  private k0 = 0;
  private k1 = 0;
  private k2 = 0;
  private k3 = 0;

  /**
   * @param most quantity at the last point; beyond it nothing may be asked
   * @param points how many, 4 or more
   * @param exact the function itself
   */
  constructor(
    readonly most: number,
    private readonly points: number,
    private readonly exact: (quantity: number) => number,
  ) {
    this.values = new Float64Array(points).fill(NaN);
    this.perRoot = (points - 1) / Math.sqrt(most);
  }

  at(quantity: number): number {
    const u = this.into(Math.sqrt(quantity) * this.perRoot);
    return ((this.k3 * u + this.k2) * u + this.k1) * u + this.k0;
  }

  /** Makes the cubic of a place the kept one. @returns the place within it */
  private into(place: number): number {
    const first = Math.max(0, Math.min(Math.floor(place) - 1, this.points - 4));
    if (first !== this.kept) {
      this.kept = first;
      const a = this.value(first);
      const b = this.value(first + 1);
      const c = this.value(first + 2);
      const d = this.value(first + 3);
      this.k0 = a;
      this.k1 = (-11 * a) / 6 + 3 * b - 1.5 * c + d / 3;
      this.k2 = a - 2.5 * b + 2 * c - d / 2;
      this.k3 = (d - a) / 6 + (b - c) / 2;
    }
    return place - first;
  }

  private value(point: number): number {
    const known = this.values[point] ?? NaN;
    if (!Number.isNaN(known)) return known;
    const found = this.exact((point / this.perRoot) ** 2);
    this.values[point] = found;
    return found;
  }
}
