import fc from 'fast-check';
import { cutFromStock, type CutPiece, type Drum } from './cutting';

const drum = (id: string, metres: number, opened: string | null = null): Drum => ({
  id,
  size: '12 AWG',
  colour: 'red',
  insulationC: 105,
  metres,
  opened,
});
const piece = (conductor: string, metres: number): CutPiece => ({
  conductor,
  size: '12 AWG',
  colour: 'red',
  insulationC: 105,
  metres,
});

/** Every way to put the pieces on the drums, or leave them out; the best by the same order of aims. */
function bruteForce(pieces: readonly CutPiece[], drums: readonly Drum[]) {
  const cm = (metres: number) => Math.round(metres * 100);
  let best: readonly number[] = [Infinity];
  const look = (at: number, left: readonly number[], missing: number): void => {
    const next = pieces[at];
    if (!next) {
      const cut = left.map((rest, index) => rest !== cm(drums[index]?.metres ?? 0));
      const waste = left.reduce((sum, rest, index) => sum + (cut[index] && rest < 150 ? rest : 0), 0);
      const opened = drums.filter((one, index) => one.opened === null && cut[index]).length;
      const cost = [missing, waste, opened];
      const differs = cost.findIndex((value, index) => value !== best[index]);
      if (differs >= 0 && (cost[differs] ?? 0) < (best[differs] ?? Infinity)) best = cost;
      return;
    }
    const length = cm(next.metres);
    left.forEach((rest, index) => {
      if (rest >= length)
        look(
          at + 1,
          left.map((one, other) => (other === index ? one - length : one)),
          missing,
        );
    });
    look(at + 1, left, missing + length);
  };
  look(
    0,
    drums.map(({ metres }) => cm(metres)),
    0,
  );
  return best;
}

describe('cutting from stock', () => {
  it('takes the offcut that fits before a whole drum, the older one of two alike', () => {
    const stock = [drum('new', 25), drum('young', 4, '2026-05-01'), drum('old', 4, '2025-03-01')];
    expect(cutFromStock([piece('feed', 2.4)], stock)).toMatchObject({
      cuts: [{ drum: 'old', conductor: 'feed', metres: 2.4 }],
      wasteM: 0,
      missing: [],
      exact: true,
    });
  });

  it('leaves no short rest where another way leaves none', () => {
    const stock = [drum('a', 6, '2025-01-01'), drum('b', 8, '2025-01-02')];
    // 5.2 from a would leave 0.8; from b it leaves 2.8.
    expect(cutFromStock([piece('manual', 5.2)], stock).cuts).toEqual([{ drum: 'b', conductor: 'manual', metres: 5.2 }]);
  });

  it('counts a rest of 1.5 m as of use, and one of 1.49 m as waste', () => {
    expect(cutFromStock([piece('x', 5)], [drum('a', 6.5)]).wasteM).toBe(0);
    expect(cutFromStock([piece('x', 5)], [drum('a', 6.49)]).wasteM).toBeCloseTo(1.49, 9);
    expect(cutFromStock([piece('x', 5)], [drum('a', 5)]).wasteM).toBe(0);
  });

  it('says what no drum holds, by size and colour, and cuts the rest', () => {
    const stock = [drum('a', 5.1)];
    const { cuts, missing } = cutFromStock([piece('manual', 5.2), piece('auto', 5.1), piece('feed', 2.4)], stock);
    expect(cuts).toEqual([{ drum: 'a', conductor: 'auto', metres: 5.1 }]);
    expect(missing).toEqual([{ size: '12 AWG', colour: 'red', metres: 7.6 }]);
  });

  it('takes no other colour or size, and insulation for more heat but never for less', () => {
    const ask = (more: Partial<Drum>) => cutFromStock([piece('x', 2)], [{ ...drum('a', 9), ...more }]).cuts.length;
    expect([ask({}), ask({ colour: 'black' }), ask({ size: '10 AWG' })]).toEqual([1, 0, 0]);
    expect([ask({ insulationC: 104 }), ask({ insulationC: 125 })]).toEqual([0, 1]);
    // One drum for two that ask for different insulation: neither takes the other's metres.
    const both = [{ ...piece('hot', 5), insulationC: 125 }, piece('cool', 5)];
    expect(cutFromStock(both, [{ ...drum('a', 8), insulationC: 125 }])).toMatchObject({
      cuts: [{ conductor: 'hot' }],
      missing: [{ metres: 5 }],
    });
  });

  it('is the best of all ways, as brute force finds it', () => {
    const lengths = fc.integer({ min: 1, max: 80 }).map((tenths) => tenths / 10);
    fc.assert(
      fc.property(
        fc.array(lengths, { minLength: 1, maxLength: 6 }),
        fc.array(fc.tuple(lengths, fc.boolean()), { maxLength: 3 }),
        (pieceLengths, drumLengths) => {
          const pieces = pieceLengths.map((metres, at) => piece(`p${at}`, metres));
          const stock = drumLengths.map(([metres, whole], at) =>
            drum(`d${at}`, metres, whole ? null : `2025-01-0${at + 1}`),
          );
          const { cuts, missing, wasteM, exact } = cutFromStock(pieces, stock);
          const opened = new Set(cuts.map((cut) => cut.drum)).size;
          const whole = stock.filter((one) => one.opened === null && cuts.some((cut) => cut.drum === one.id)).length;
          const missed = missing.reduce((sum, one) => sum + Math.round(one.metres * 100), 0);
          expect([missed, Math.round(wasteM * 100), whole]).toEqual(bruteForce(pieces, stock));
          expect(exact).toBe(true);
          expect(opened).toBeLessThanOrEqual(stock.length);
          for (const one of stock) {
            const taken = cuts
              .filter((cut) => cut.drum === one.id)
              .reduce((sum, cut) => sum + Math.round(cut.metres * 100), 0);
            expect(taken).toBeLessThanOrEqual(Math.round(one.metres * 100));
          }
        },
      ),
      { numRuns: 150 },
    );
  });

  it('is exact for twenty pieces of a boat from five drums', () => {
    const pieces = Array.from({ length: 20 }, (_, at) => piece(`p${at}`, [2.4, 5.2, 6, 3.7, 6.8, 0.2][at % 6] ?? 1));
    const stock = [
      drum('a', 25),
      drum('b', 25),
      drum('c', 12.3, '2025-01-01'),
      drum('d', 7.7, '2025-02-01'),
      drum('e', 100),
    ];
    expect(cutFromStock(pieces, stock)).toMatchObject({ exact: true, missing: [], wasteM: 0 });
  });
});
