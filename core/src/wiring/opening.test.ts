import fc from 'fast-check';
import { protectionFamilies } from '../reference';
import { openingSeconds, openingTime } from './opening';

const slowest = (amps: number) => openingTime('blade', 10, amps, 'slowest');

describe('time to open', () => {
  it('is never on the slow edge up to where the window has a limit', () => {
    expect(slowest(11)).toEqual({ kind: 'never' });
    expect(slowest(13.4)).toEqual({ kind: 'never' });
    expect(slowest(0)).toEqual({ kind: 'never' });
  });

  it('is the point itself on each point of the window', () => {
    expect(slowest(13.5)).toEqual({ kind: 'opens', seconds: 600 });
    expect(slowest(20)).toEqual({ kind: 'opens', seconds: 5 });
    expect(slowest(60)).toEqual({ kind: 'opens', seconds: 0.1 });
  });

  it('is straight on log-log paper between points: the geometric mean halfway', () => {
    const halfway = 10 * Math.sqrt(2 * 3.5);
    expect(openingSeconds(slowest(halfway))).toBeCloseTo(Math.sqrt(5 * 0.5), 9);
  });

  it('stays at the last point’s time beyond the window', () => {
    expect(slowest(6000)).toEqual({ kind: 'opens', seconds: 0.1 });
    expect(openingTime('blade', 10, 6000, 'fastest')).toEqual({ kind: 'opens', seconds: 0.02 });
  });

  it('is not shown for a family without a curve, however large the current', () => {
    expect(openingTime('classT', 110, 9000, 'slowest')).toEqual({ kind: 'not-shown' });
  });

  it('never grows with the current, and the fast edge is never after the slow one', () => {
    const time = (kind: 'blade' | 'thermalBreaker', amps: number, edge: 'fastest' | 'slowest') =>
      openingSeconds(openingTime(kind, 10, amps, edge)) ?? Infinity;
    fc.assert(
      fc.property(
        fc.constantFrom('blade', 'thermalBreaker'),
        fc.double({ min: 0.1, max: 200, noNaN: true }),
        (kind, amps) => {
          const more = amps * 1.1;
          expect(time(kind, more, 'slowest')).toBeLessThanOrEqual(time(kind, amps, 'slowest') * (1 + 1e-12));
          expect(time(kind, amps, 'fastest')).toBeLessThanOrEqual(time(kind, amps, 'slowest') * (1 + 1e-12));
        },
      ),
    );
  });

  it('is known from published windows that only ever shorten', () => {
    for (const { opening } of Object.values(protectionFamilies)) {
      const multiples = (opening ?? []).map(([multiple]) => multiple);
      expect([...multiples].sort((a, b) => a - b)).toEqual(multiples);
    }
  });
});
