import { gaussLegendre, integrate } from './quadrature';

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
