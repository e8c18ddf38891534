import { rootOf } from './root';

describe('a root', () => {
  it.each<[string, (x: number) => number, number, number, number]>([
    ['of a line', (x) => 2 * x - 1, 0, 3, 0.5],
    ['of a steep bend', (x) => x ** 9 - 1e-3, 0, 1, 1e-3 ** (1 / 9)],
    ['of a flat bend', (x) => Math.sqrt(x) - 0.2, 0, 1, 0.04],
    ['of a corner', (x) => (x < 0.3 ? 1e-3 * (x - 0.3) : 5 * (x - 0.3)), 0, 1, 0.3],
    ['below nothing', (x) => x + 0.7, -3, 1, -0.7],
  ])('%s is found to a billionth', (_what, f, low, high, root) => {
    expect(Math.abs(rootOf(f, low, high) - root)).toBeLessThan(1e-9);
  });

  it('outside is the end that is nearer to it', () => {
    expect(rootOf((x) => x + 1, 0, 2)).toBe(0);
    expect(rootOf((x) => x, 0, 2)).toBe(0);
    expect(rootOf((x) => x - 5, 0, 2)).toBe(2);
    expect(rootOf((x) => x - 2, 0, 2)).toBe(2);
  });

  it('is found in few steps, from whichever side the function bends', () => {
    for (const f of [(x: number) => x ** 9 - 1e-3, (x: number) => 1e-3 ** 9 - (1 - x) ** 9]) {
      let asked = 0;
      rootOf(
        (x) => {
          asked += 1;
          return f(x);
        },
        0,
        1,
      );
      expect(asked).toBeLessThan(60);
    }
  });
});
