import { TraceKeeper } from './trace';

const on = { energised: true };
const off = { energised: false };

/** Ten pieces of ten seconds, two pumps; a volume is its own level. */
const kept = (fill: (keeper: TraceKeeper) => void) => {
  const keeper = new TraceKeeper(10, 100, 2);
  fill(keeper);
  return keeper.result((volumeM3) => volumeM3);
};

describe('a trace', () => {
  it('cuts an even stretch where pieces meet', () => {
    const pieces = kept((keeper) => keeper.add(5, 25, 0.1, 0.5, [on, off], 0.8));
    expect(pieces.map(({ fromS, toS }) => [fromS, toS])).toEqual([
      [0, 10],
      [10, 20],
      [20, 30],
    ]);
    expect(pieces.map(({ lowM, highM, endM }) => [lowM, highM, endM].map((m) => Number(m.toFixed(9))))).toEqual([
      [0.1, 0.2, 0.2],
      [0.2, 0.4, 0.4],
      [0.4, 0.5, 0.5],
    ]);
    expect(pieces.map(({ running }) => running)).toEqual([
      [0.5, 0],
      [1, 0],
      [0.5, 0],
    ]);
    expect(pieces.map(({ charge }) => charge)).toEqual([0.8, 0.8, 0.8]);
  });

  it('keeps the lowest, the highest and the last of what is in a piece, and adds up what each pump ran', () => {
    const [piece] = kept((keeper) => {
      keeper.add(0, 4, 0.3, 0.1, [on, on], 0.9);
      keeper.add(4, 6, 0.1, 0.4, [off, on], 0.85);
      keeper.add(6, 8, 0.4, 0.2, [on, off], 0.8);
    });
    expect(piece).toMatchObject({ lowM: 0.1, highM: 0.4, endM: 0.2, charge: 0.8 });
    expect(piece?.running[0]).toBeCloseTo(0.6, 12);
    expect(piece?.running[1]).toBeCloseTo(0.6, 12);
  });

  it('takes what falls on its end, and a moment that takes no time', () => {
    const pieces = kept((keeper) => {
      keeper.add(95, 100, 0.1, 0.2, [on, off], 0.7);
      keeper.add(100, 100, 0.2, 0.3, [off, off], 0.6);
    });
    expect(pieces).toHaveLength(1);
    expect(pieces[0]).toMatchObject({ fromS: 90, toS: 100, highM: 0.3, endM: 0.3, charge: 0.6 });
    expect(pieces[0]?.running[0]).toBeCloseTo(0.5, 12);
  });

  it('spreads cycles that are counted over their time, the charge evenly', () => {
    const pieces = kept((keeper) =>
      keeper.addCycles(5, 25, { lowM3: 0.02, highM3: 0.06, endM3: 0.05 }, [0.25, 0.5], [0.9, 0.7]),
    );
    expect(pieces.map(({ lowM, highM, endM }) => [lowM, highM, endM])).toEqual(Array(3).fill([0.02, 0.06, 0.05]));
    expect(pieces.map(({ running }) => running.map((share) => Number(share.toFixed(9))))).toEqual([
      [0.125, 0.25],
      [0.25, 0.5],
      [0.125, 0.25],
    ]);
    expect(pieces.map(({ charge }) => Number(charge.toFixed(9)))).toEqual([0.85, 0.75, 0.7]);
  });

  it('joins cycles to what a piece holds already, and never runs more than all of it', () => {
    const [piece] = kept((keeper) => {
      keeper.add(0, 6, 0.01, 0.08, [on, off], 0.9);
      keeper.addCycles(5, 10, { lowM3: 0.02, highM3: 0.06, endM3: 0.05 }, [1, 0.5], [0.9, 0.8]);
    });
    expect(piece).toMatchObject({ lowM: 0.01, highM: 0.08, endM: 0.05, charge: 0.8 });
    expect(piece?.running).toEqual([1, 0.25]);
  });

  it('of no pieces, or of cycles that take no time, is empty', () => {
    const none = new TraceKeeper(0, 100, 1);
    none.add(0, 50, 0.1, 0.2, [on], 1);
    none.addCycles(0, 50, { lowM3: 0, highM3: 1, endM3: 1 }, [1], [1, 1]);
    expect(none.result((volumeM3) => volumeM3)).toEqual([]);
    expect(kept((keeper) => keeper.addCycles(5, 5, { lowM3: 0, highM3: 1, endM3: 1 }, [1, 1], [1, 1]))).toEqual([]);
    expect(kept((keeper) => keeper.add(6, 5, 0.1, 0.2, [on, on], 1))).toEqual([]);
  });
});
