import fc from 'fast-check';
import { solveDense } from './dense';
import { eliminate, planElimination } from './elimination';

/** A conductance between two rows, or from one to node 0 where the other is −1. */
const conductance = fc.record({
  a: fc.integer({ min: 0, max: 11 }),
  b: fc.integer({ min: -1, max: 11 }),
  siemens: fc.double({ min: 1e-3, max: 1e3, noNaN: true }),
});

function equations(size: number, all: readonly { a: number; b: number; siemens: number }[]) {
  const dense = new Float64Array(size * size);
  const diagonal = new Float64Array(size).fill(1e-3);
  for (let row = 0; row < size; row += 1) dense[row * size + row] = 1e-3;
  const plan = planElimination(size, Int32Array.from(all.flatMap(({ a, b }) => [a, b])));
  const entries = new Float64Array(plan.beside.length);
  all.forEach(({ a, b, siemens }, at) => {
    if (a === b) return;
    for (const end of [a, b]) {
      if (end < 0) continue;
      diagonal[end] = (diagonal[end] ?? 0) + siemens;
      dense[end * (size + 1)] = (dense[end * (size + 1)] ?? 0) + siemens;
    }
    if (b < 0) return;
    const entry = plan.entryOf[at] ?? -1;
    entries[entry] = (entries[entry] ?? 0) - siemens;
    dense[a * size + b] = (dense[a * size + b] ?? 0) - siemens;
    dense[b * size + a] = (dense[b * size + a] ?? 0) - siemens;
  });
  return { plan, dense, diagonal, entries };
}

test('elimination in the planned order answers as Gaussian elimination of the whole matrix', () => {
  fc.assert(
    fc.property(
      fc.array(conductance, { minLength: 1, maxLength: 30 }),
      fc.array(fc.double({ min: -10, max: 10, noNaN: true }), { minLength: 12, maxLength: 12 }),
      (all, feed) => {
        const { plan, dense, diagonal, entries } = equations(12, all);
        const [own, whole] = [Float64Array.from(feed), Float64Array.from(feed)];
        expect(eliminate(plan, diagonal, entries, [own])).toBe(true);
        expect(solveDense(dense, [whole], 12)).toBe(true);
        own.forEach((volts, row) => expect(volts).toBeCloseTo(whole[row] ?? NaN, 5));
      },
    ),
  );
});

test('a tree fills in nothing, however its rows are numbered', () => {
  const star = [1, 2, 3, 4, 5].map((leaf) => ({ a: 0, b: leaf, siemens: 1 }));
  expect(planElimination(6, Int32Array.from(star.flatMap(({ a, b }) => [a, b]))).beside).toHaveLength(5);
});

test('equations that nothing holds are singular', () => {
  const plan = planElimination(2, Int32Array.from([0, 1]));
  const floating = eliminate(plan, Float64Array.from([1, 1]), Float64Array.from([-1]), [new Float64Array(2)]);
  expect(floating).toBe(false);
});
