import fc from 'fast-check';
import type { StockChange, StockEntry } from '../wire';
import { stockEntrySchema } from '../wire';
import { cutByPiece, pieceKey, stockOf } from './stockLedger';

const BOAT = '6d1f0f6e-0d5c-4a55-9a0e-000000000000';
const idOf = (count: number) => `0190a000-0000-7000-8000-${String(count).padStart(12, '0')}`;
const entry = (count: number, change: StockChange, by = 'Wren'): StockEntry => ({
  id: idOf(count),
  at: `2026-05-01T08:00:${String(count % 60).padStart(2, '0')}.000Z`,
  by,
  change,
});
const drum = (metres: number, opened: string | null = null): StockChange => ({
  kind: 'drum',
  drum: 'red',
  size: '10 AWG',
  colour: 'red',
  insulationC: 105,
  metres,
  opened,
});
const forPiece = (piece: string) => ({ boatId: BOAT, circuitId: 'main', piece, words: `Tern, ${piece}` });
const cut = (metres: number, piece: string | null = null): StockChange => ({
  kind: 'cut',
  drum: 'red',
  metres,
  for: piece === null ? null : forPiece(piece),
});

describe('the stock', () => {
  it('loses what is cut, and gets back what is taken back', () => {
    const entries = [entry(1, drum(10)), entry(2, cut(3.7, 'feed')), entry(3, cut(0.1)), entry(4, cut(0.2))];
    const [left] = stockOf(entries).drums;
    // 10 − 3.7 − 0.1 − 0.2, without the dust of binary fractions.
    expect(left).toMatchObject({ metres: 6, cutM: 4, countedM: 10, overM: 0, opened: '2026-05-01' });
    const back = stockOf([...entries, entry(5, { kind: 'undone', entry: idOf(2) })]);
    expect(back.drums[0]).toMatchObject({ metres: 9.7 });
    expect(cutByPiece(back).has(pieceKey(BOAT, 'main', 'feed'))).toBe(false);
    expect(cutByPiece(stockOf(entries)).get(pieceKey(BOAT, 'main', 'feed'))?.metres).toBe(3.7);
  });

  it('counts anew where somebody counted: what was cut before is in the count', () => {
    const entries = [entry(1, drum(10)), entry(2, cut(3)), entry(3, drum(6.5, '2026-04-02')), entry(4, cut(1))];
    expect(stockOf(entries).drums[0]).toMatchObject({ metres: 5.5, countedM: 6.5, cutM: 1, opened: '2026-04-02' });
  });

  it('tells who took the same metre: on the metre nothing is said, a millimetre over is', () => {
    const both = (last: number) =>
      stockOf([entry(1, drum(5)), entry(2, cut(3, 'auto'), 'Wren'), entry(3, cut(last, 'manual'), 'Samphire')]);
    expect(both(2).problems).toEqual([]);
    expect(both(2).drums[0]).toMatchObject({ metres: 0, overM: 0 });
    const over = both(2.001);
    expect(over.drums[0]).toMatchObject({ metres: 0, overM: 0.001 });
    expect(over.problems).toEqual([
      {
        drum: 'red',
        entries: [idOf(3), idOf(2)],
        message:
          '10 AWG, red: 0.001 m more was cut than the drum held. Last: 3 m for Tern, auto by Wren; 2.001 m for Tern, manual by Samphire. Measure what is left and count it, or take back a cut that was not made.',
      },
    ]);
  });

  it('tells that one piece was cut by two', () => {
    const entries = [entry(1, drum(9)), entry(2, cut(3, 'auto'), 'Wren'), entry(3, cut(3, 'auto'), 'Samphire')];
    const [problem] = stockOf(entries).problems;
    expect(problem?.message).toContain('Tern, auto was cut twice: 3 m for Tern, auto by Wren; 3 m for Tern, auto by');
    expect(problem?.entries).toEqual([idOf(3), idOf(2)]);
    expect(stockOf([...entries, entry(4, { kind: 'undone', entry: idOf(3) })]).problems).toEqual([]);
  });

  it('knows parts, prices and the rate as they were told last, and forgets a drum that is gone', () => {
    const state = stockOf([
      entry(1, { kind: 'part', item: 'Bilge pump', quantity: 2, unit: 'piece' }),
      entry(2, { kind: 'part', item: 'Labels', quantity: 9, unit: 'piece' }),
      entry(3, { kind: 'part', item: 'Labels', quantity: 0, unit: 'piece' }),
      entry(4, { kind: 'price', item: 'Bilge pump', each: 40 }),
      entry(5, { kind: 'price', item: 'Bilge pump', each: 45.5 }),
      entry(6, { kind: 'price', item: 'Labels', each: 1 }),
      entry(7, { kind: 'price', item: 'Labels', each: null }),
      entry(8, { kind: 'labour', perHour: 60 }),
      entry(9, drum(4)),
      entry(10, { kind: 'gone', drum: 'red' }),
      entry(11, cut(1)),
    ]);
    expect(state.parts).toEqual([{ item: 'Bilge pump', quantity: 2, unit: 'piece' }]);
    expect([state.prices, state.perHour, state.drums]).toEqual([{ 'Bilge pump': 45.5 }, 60, []]);
  });

  it('is the same in whatever order its entries came', () => {
    const changes = fc.oneof(
      fc.integer({ min: 0, max: 20 }).map((metres) => drum(metres)),
      fc.integer({ min: 1, max: 9 }).map((metres) => cut(metres / 10, null)),
      fc.integer({ min: 1, max: 12 }).map((at): StockChange => ({ kind: 'undone', entry: idOf(at) })),
      fc.constant<StockChange>({ kind: 'gone', drum: 'red' }),
    );
    fc.assert(
      fc.property(fc.array(changes, { maxLength: 12 }), fc.infiniteStream(fc.nat()), (list, random) => {
        const entries = list.map((change, at) => entry(at + 1, change));
        const shuffled = entries
          .map((one) => ({ one, by: random.next().value }))
          .sort((a, b) => a.by - b.by)
          .map(({ one }) => one);
        expect(stockOf(shuffled)).toEqual(stockOf(entries));
      }),
    );
  });

  it('takes an entry only with figures that can be', () => {
    const reads = (change: object) => stockEntrySchema.safeParse({ ...entry(1, drum(1)), change }).success;
    expect([reads(drum(1000)), reads(drum(1000.001)), reads(drum(-0.001)), reads(drum(0))]).toEqual([
      true,
      false,
      false,
      true,
    ]);
    expect([reads(cut(0)), reads(cut(0.001))]).toEqual([false, true]);
    expect([reads({ ...drum(1), insulationC: 59 }), reads({ ...drum(1), insulationC: 60 })]).toEqual([false, true]);
    expect(reads({ ...drum(1), size: '11 AWG' })).toBe(false);
    expect(reads({ kind: 'price', item: 'x', each: 100_000.5 })).toBe(false);
  });
});
