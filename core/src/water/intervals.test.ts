import { everyHeight, isIn, whereEnough, within, type Bound, type Piece } from './intervals';

const prime: Bound = { rule: 'prime', pose: 'rest' };
const limit: Bound = { rule: 'limit', pose: 'rest', about: 'floor' };
const SLACK = 1e-9;
const piece = (fromM: number, toM: number): Piece => ({ fromM, toM, lowBound: prime, highBound: limit });

describe('heights that keep one rule more', () => {
  it('have its name at each end that it sets', () => {
    const [first] = within(everyHeight, [{ fromM: 0.1, toM: Infinity }], prime, SLACK);
    expect(first).toEqual({ fromM: 0.1, toM: Infinity, lowBound: prime, highBound: null });
    expect(within(first ? [first] : [], [{ fromM: -Infinity, toM: 0.3 }], limit, SLACK)).toEqual([piece(0.1, 0.3)]);
  });

  it('keep their ends where they are the closer, or the same to the slack', () => {
    const drain: Bound = { rule: 'drain-back', pose: 'rest' };
    const kept = [piece(0.1, 0.3)];
    for (const interval of [
      { fromM: 0, toM: 1 },
      { fromM: 0.1, toM: 0.3 },
      { fromM: 0.1 + 0.5e-9, toM: 0.3 - 0.5e-9 },
    ])
      expect(within(kept, [interval], drain, SLACK)).toEqual(kept);
    expect(within(kept, [{ fromM: 0.1 + 2e-9, toM: 1 }], drain, SLACK)[0]).toMatchObject({
      lowBound: drain,
      highBound: limit,
    });
    expect(within(kept, [{ fromM: 0, toM: 0.3 - 2e-9 }], drain, SLACK)[0]).toMatchObject({
      lowBound: prime,
      highBound: drain,
    });
  });

  it('are cut in two by two intervals, and are none where nothing is common', () => {
    const two = within(
      [piece(0, 1)],
      [
        { fromM: -1, toM: 0.2 },
        { fromM: 0.6, toM: 2 },
      ],
      limit,
      SLACK,
    );
    expect(two.map(({ fromM, toM }) => [fromM, toM])).toEqual([
      [0, 0.2],
      [0.6, 1],
    ]);
    expect(within([piece(0, 1)], [], limit, SLACK)).toEqual([]);
    expect(within([piece(0, 1)], [{ fromM: 1.1, toM: 2 }], limit, SLACK)).toEqual([]);
    expect(within([piece(0, 1)], [{ fromM: 1, toM: 2 }], prime, SLACK)).toHaveLength(1);
    expect(within([piece(0, 1)], [{ fromM: 1 + 2e-9, toM: 2 }], prime, SLACK)).toEqual([]);
  });
});

test('a height is in an interval to the slack at either end', () => {
  const intervals = [
    { fromM: 0.1, toM: 0.2 },
    { fromM: 0.4, toM: 0.5 },
  ];
  expect([0.1, 0.15, 0.2, 0.4, 0.5].map((zM) => isIn(intervals, zM, SLACK))).toEqual(Array(5).fill(true));
  expect([0.1 - 0.9e-9, 0.2 + 0.9e-9].map((zM) => isIn(intervals, zM, SLACK))).toEqual([true, true]);
  expect([0.1 - 2e-9, 0.2 + 2e-9, 0.3, 0.6].map((zM) => isIn(intervals, zM, SLACK))).toEqual(Array(4).fill(false));
});

describe('where a function is 0 or more', () => {
  const ends = (f: (zM: number) => number, above = true) =>
    whereEnough(f, 0, 1, 0.01, above).map(({ fromM, toM }) =>
      [fromM, toM].map((m) => (Number.isFinite(m) ? Number(m.toFixed(6)) : m)),
    );

  it('is closed in on at each change of sign', () => {
    expect(ends((z) => (z - 0.237) * (0.6113 - z))).toEqual([[0.237, 0.6113]]);
    expect(ends((z) => -(z - 0.237) * (0.6113 - z))).toEqual([
      [0, 0.237],
      [0.6113, Infinity],
    ]);
    expect(ends((z) => -(z - 0.237) * (0.6113 - z), false)[1]).toEqual([0.6113, 1]);
  });

  it('is everywhere, or nowhere', () => {
    expect(ends(() => 0)).toEqual([[0, Infinity]]);
    expect(ends(() => 1, false)).toEqual([[0, 1]]);
    expect(ends(() => -1)).toEqual([]);
    // Where it ends on a step is found too.
    expect(ends((z) => 0.5 - z)).toEqual([[0, 0.5]]);
  });

  it('has its ends on the side that keeps it', () => {
    const [found] = whereEnough((z) => (z - 1 / 3) * (2 / 3 - z), 0, 1, 0.01, true);
    expect(found?.fromM).toBeGreaterThanOrEqual(1 / 3);
    expect(found?.toM).toBeLessThanOrEqual(2 / 3);
    expect((found?.fromM ?? 1) - 1 / 3).toBeLessThan(2e-9);
    expect(2 / 3 - (found?.toM ?? 0)).toBeLessThan(2e-9);
  });
});
