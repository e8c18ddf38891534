import fc from 'fast-check';
import { spread, type Upright } from './spread';

const piece = (id: string, x: number, top = 100, bottom = 140): Upright => ({
  id,
  x,
  left: 14,
  right: 14,
  top,
  bottom,
});

describe('pieces beside each other', () => {
  it('stand where they are while they have room', () => {
    expect(Object.fromEntries(spread([piece('a', 100), piece('b', 128)], 0, 300))).toEqual({ a: 0, b: 0 });
    expect(Object.fromEntries(spread([piece('a', 100, 10, 40), piece('b', 101, 40, 80)], 0, 300))).toEqual({
      a: 0,
      b: 0,
    });
  });

  it('make room to the right, and to the left at the right edge', () => {
    expect(spread([piece('a', 100), piece('b', 101)], 0, 300).get('b')).toBe(30);
    expect(spread([piece('a', 280), piece('b', 281)], 0, 300).get('b')).toBe(-30);
  });

  it('never lie over one another as long as the sheet has room for all', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 14, max: 386 }), fc.integer({ min: 0, max: 60 })), {
          minLength: 1,
          maxLength: 5,
        }),
        (places) => {
          const all = places.map(([x, top], index) => piece(String(index), x, top, top + 40));
          const beside = spread(all, 0, 400);
          const at = ({ id, x }: Upright) => x + (beside.get(id) ?? NaN);
          for (const [index, one] of all.entries()) {
            expect(at(one) - one.left).toBeGreaterThanOrEqual(0);
            expect(at(one) + one.right).toBeLessThanOrEqual(400);
            for (const other of all.slice(index + 1)) {
              const apart = Math.abs(at(one) - at(other)) >= 28;
              expect(apart || one.bottom <= other.top || other.bottom <= one.top).toBe(true);
            }
          }
        },
      ),
    );
  });
});
