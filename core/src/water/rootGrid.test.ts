import { RootGrid } from './rootGrid';

describe('a function kept over the root of its quantity', () => {
  /** A cubic of the root, which four points give back to the last digit. */
  const exact = (quantity: number) => {
    const root = Math.sqrt(quantity);
    return 2 - 3 * root + 0.5 * root ** 2 + 0.25 * root ** 3;
  };

  it('gives back a cubic of the root, from end to end', () => {
    const grid = new RootGrid(9, 13, exact);
    for (const quantity of [0, 1e-6, 0.03, 0.0625, 0.4, 1, 3.3, 7.9, 8.6, 9]) {
      expect(grid.at(quantity)).toBeCloseTo(exact(quantity), 11);
    }
    // And back again, in another order.
    for (const quantity of [9, 0.4, 8.6, 0]) expect(grid.at(quantity)).toBeCloseTo(exact(quantity), 11);
  });

  it('asks at points that lie evenly over the root, when they are first needed, and once', () => {
    const asked: number[] = [];
    const grid = new RootGrid(9, 4, (quantity) => {
      asked.push(quantity);
      return exact(quantity);
    });
    expect(asked).toEqual([]);
    grid.at(2);
    grid.at(7);
    expect(asked.map((quantity) => Number(quantity.toFixed(9)))).toEqual([0, 1, 4, 9]);
    const many: number[] = [];
    const finer = new RootGrid(9, 31, (quantity) => {
      many.push(quantity);
      return exact(quantity);
    });
    finer.at(1);
    expect(many.map((quantity) => Number(Math.sqrt(quantity).toFixed(6)))).toEqual([0.9, 1, 1.1, 1.2]);
    finer.at(1.2);
    expect(many).toHaveLength(4);
  });

  it('reckons each of its points once', () => {
    const times = new Map<number, number>();
    const grid = new RootGrid(1, 96, (quantity) => {
      times.set(quantity, (times.get(quantity) ?? 0) + 1);
      return quantity;
    });
    for (let step = 0; step <= 500; step += 1) grid.at(step / 500);
    for (let step = 500; step >= 0; step -= 1) grid.at(step / 500);
    expect(times.size).toBe(96);
    expect(new Set(times.values())).toEqual(new Set([1]));
  });
});
