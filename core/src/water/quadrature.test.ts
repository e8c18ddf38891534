import { gaussLegendre, integrate } from './quadrature';
import { RootGrid } from './rootGrid';

describe('Gauss–Legendre quadrature', () => {
  it.each([2, 3, 5, 12])('with %i nodes is exact up to degree 2n − 1, and not beyond', (count) => {
    const rule = gaussLegendre(count);
    const miss = (degree: number) =>
      Math.abs(integrate(rule, 0, 2, (x) => x ** degree) / (2 ** (degree + 1) / (degree + 1)) - 1);
    for (let degree = 0; degree < 2 * count; degree += 1) expect(miss(degree)).toBeLessThan(1e-12);
    if (count < 6) expect(miss(2 * count)).toBeGreaterThan(1e-6);
  });

  it('turns its sign with the direction', () => {
    const rule = gaussLegendre(4);
    expect(integrate(rule, 3, 1, Math.sqrt)).toBeCloseTo(-integrate(rule, 1, 3, Math.sqrt), 14);
  });
});

describe('the grid over volumes', () => {
  it('gives a cubic of the volume’s root back exactly, from end to end', () => {
    const law = (volumeM3: number) => {
      const root = Math.sqrt(volumeM3);
      return 0.2 + 3 * root - root ** 2 + 0.5 * root ** 3;
    };
    const grid = new RootGrid(0.8, 24, law);
    for (const volume of [0, 1e-6, 0.013, 0.4, 0.79, 0.8, 0.2]) expect(grid.at(volume)).toBeCloseTo(law(volume), 10);
    for (const volume of [0.013, 0.4, 0.79])
      expect(grid.slopeAt(volume)).toBeCloseTo(1.5 / Math.sqrt(volume) - 1 + 0.75 * Math.sqrt(volume), 8);
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
