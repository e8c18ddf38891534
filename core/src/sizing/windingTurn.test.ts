import type { Netlist, Part } from '../circuit';
import type { Opening } from '../wiring';
import { windingTurn, type StalledDevice } from './windingTurn';

const opens = (seconds: number): Opening => ({ kind: 'opens', seconds });

const pumpOf = (windingOhm: number, labelA = 5, labelV = 12): Netlist => {
  const pump: Part = { kind: 'pump', id: 'pump', motor: { labelA, labelV, windingOhm }, condition: 'locked' };
  return { ground: { part: 'pump', terminal: 'minus' }, parts: [pump], conductors: [] };
};
const windingIn = ({ parts: [pump] }: Netlist) => (pump?.kind === 'pump' ? pump.motor.windingOhm : NaN);

/** Blade fuses before a motor on 12 V, so many ohms between. */
const behind =
  (beforeOhm: number, ...ratings: number[]) =>
  (netlist: Netlist): StalledDevice[] =>
    ratings.map((ratingA) => ({ kind: 'blade', ratingA, amps: 12 / (windingIn(netlist) + beforeOhm) }));

/** A blade fuse takes 10 s on its slowest edge at this multiple: between 1.6 (50 s) and 2.0 (5 s), straight on log-log paper. */
const TEN_SECONDS_AT = 1.6 * (2 / 1.6) ** (Math.log(10 / 50) / Math.log(5 / 50));

describe('a winding within its spread', () => {
  it('turns a good verdict where the fuse would take ten seconds, worked by hand', () => {
    // 12 V / (R + 0.1 Ω) = 1.87 × 10 A.
    const turn = windingTurn(pumpOf(0.48), opens(5), behind(0.1, 10));
    expect(turn?.fromOhm).toBeCloseTo(12 / (10 * TEN_SECONDS_AT) - 0.1, 6);
    expect(turn?.highestOhm).toBeCloseTo(0.78, 12);
    // At 0.78 Ω: 13.636 A, 1.3636 × the rating.
    const seconds = 600 * (50 / 600) ** (Math.log(12 / 0.88 / 10 / 1.35) / Math.log(1.6 / 1.35));
    expect(turn?.opening).toEqual({ kind: 'opens', seconds: expect.closeTo(seconds, 6) });
  });

  it('says from where on it turns, to within what halving gives', () => {
    const at = 12 / (10 * TEN_SECONDS_AT) - 0.1;
    const turn = windingTurn(pumpOf(0.48), opens(5), behind(0.1, 10));
    // Never on the side where it would still be good.
    expect(turn?.fromOhm).toBeGreaterThanOrEqual(at - 1e-12);
    expect((turn?.fromOhm ?? 0) - at).toBeLessThan(1e-8);
  });

  it('turns nothing where the highest still opens in time', () => {
    expect(windingTurn(pumpOf(0.2), opens(0.3), behind(0.1, 5))).toBeNull();
  });

  it('turns nothing at ten seconds and something just beyond', () => {
    // The highest, 0.78 Ω, at 18.7 A with what lies before it; a hair more before it turns the verdict.
    const before = 12 / (10 * TEN_SECONDS_AT) - 0.78;
    expect(windingTurn(pumpOf(0.48), opens(5), behind(before - 1e-7, 10))).toBeNull();
    expect(windingTurn(pumpOf(0.48), opens(5), behind(before + 1e-7, 10))?.fromOhm).toBeCloseTo(0.78, 5);
  });

  it('turns a caution into a stop, and a stop no further', () => {
    const caution = windingTurn(pumpOf(0.6), opens(30), behind(0.1, 10));
    expect(caution?.opening.kind === 'opens' ? caution.opening.seconds > 60 : true).toBe(true);
    expect(windingTurn(pumpOf(0.6), opens(61), behind(0.1, 10))).toBeNull();
    expect(windingTurn(pumpOf(0.6), { kind: 'never' }, behind(0.1, 10))).toBeNull();
  });

  it('keeps within what is a bilge pump: six tenths of label volts over label amperes', () => {
    // 0.6 × 12 / 10 = 0.72 Ω; from 0.48 Ω on, no 0.78.
    const turn = windingTurn(pumpOf(0.48, 10), opens(5), behind(0.1, 10));
    expect(turn?.highestOhm).toBeCloseTo(0.72, 12);
    expect(windingTurn(pumpOf(0.72, 10), opens(5), behind(0.1, 10))).toBeNull();
    expect(windingTurn(pumpOf(0.8, 10), opens(5), behind(0.1, 10))).toBeNull();
  });

  it('has nothing to turn where there is no motor', () => {
    const none: Netlist = { ground: { part: 'bus', terminal: 'battery' }, parts: [], conductors: [] };
    expect(windingTurn(none, opens(5), () => [{ kind: 'blade', ratingA: 10, amps: 1 }])).toBeNull();
  });
});

describe('devices in series', () => {
  it('are judged by the first that opens', () => {
    // A 7.5 A fuse behind the 10 A one: it opens where 12 / (R + 0.1) = 1.87 × 7.5 A.
    const turn = windingTurn(pumpOf(0.48), opens(2), behind(0.1, 10, 7.5));
    expect(turn?.fromOhm).toBeCloseTo(12 / (7.5 * TEN_SECONDS_AT) - 0.1, 6);
  });

  it('open by the one that is there when the other never does', () => {
    const turn = windingTurn(pumpOf(0.48), opens(5), behind(0.1, 40, 10));
    expect(turn?.fromOhm).toBeCloseTo(12 / (10 * TEN_SECONDS_AT) - 0.1, 6);
  });

  it('never open where all stay below their first point', () => {
    // At 0.78 Ω 13.6 A through 12.5 A: 1.09 times.
    const before = 0.1;
    const turn = windingTurn(pumpOf(0.48), opens(5), behind(before, 12.5));
    expect(turn?.opening).toEqual({ kind: 'never' });
  });

  it('are not shown only where none of them has a curve: a good verdict then becomes a caution', () => {
    const noCurve = (netlist: Netlist): StalledDevice[] => [
      { kind: 'classT', ratingA: 110, amps: 12 / windingIn(netlist) },
    ];
    expect(windingTurn(pumpOf(0.48), opens(5), noCurve)?.opening).toEqual({ kind: 'not-shown' });
    const besideOne = (netlist: Netlist): StalledDevice[] => [
      ...noCurve(netlist),
      { kind: 'blade', ratingA: 40, amps: 12 / windingIn(netlist) },
    ];
    expect(windingTurn(pumpOf(0.48), opens(5), besideOne)?.opening).toEqual({ kind: 'never' });
  });

  it('whose current the winding does not move are taken as they are', () => {
    // What goes past the motor through 12.5 A never opens it, whichever the winding.
    const constant = (): StalledDevice[] => [{ kind: 'blade', ratingA: 12.5, amps: 13 }];
    const turn = windingTurn(pumpOf(0.48), opens(5), constant);
    expect(turn?.opening).toEqual({ kind: 'never' });
    expect(turn?.fromOhm).toBeCloseTo(0.48, 6);
  });
});
