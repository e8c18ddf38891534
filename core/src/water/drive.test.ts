import { dead, driveCurve } from './drive';
import { postsV } from './simBattery';

describe('a circuit’s answers over its volts', () => {
  /** A cubic, which the cubic through four points gives back to the last digit. */
  const amps = (volts: number) => 0.5 + 0.3 * volts - 0.01 * volts ** 2 + 0.002 * volts ** 3;
  const speed = (volts: number) => volts / 12;

  it('are those of a cubic between the half volts, and exact at them', () => {
    const curve = driveCurve((volts) => ({ amps: amps(volts), speedRatio: speed(volts) }));
    for (const volts of [8, 8.1, 8.5, 9.9, 12, 12.77, 13.3, 15.4, 15.9, 16]) {
      expect(curve(volts).amps).toBeCloseTo(amps(volts), 12);
      expect(curve(volts).speedRatio).toBeCloseTo(speed(volts), 12);
    }
  });

  it('are taken from the nearest volts that are solved outside 8 to 16 V', () => {
    const curve = driveCurve((volts) => ({ amps: amps(volts), speedRatio: speed(volts) }));
    expect(curve(3)).toEqual(curve(8));
    expect(curve(20)).toEqual(curve(16));
  });

  it('are solved once a half volt, and only where they are asked for', () => {
    const asked: number[] = [];
    const curve = driveCurve((volts) => {
      asked.push(volts);
      return { amps: 4, speedRatio: 1 };
    });
    expect(asked).toEqual([]);
    curve(12.2);
    curve(12.3);
    expect(asked).toEqual([11.5, 12, 12.5, 13]);
    curve(12.6);
    expect(asked).toEqual([11.5, 12, 12.5, 13, 13.5]);
  });

  it('are nothing where rounding or the cubic would leave less than a nanoampere, or turn it backwards', () => {
    expect(driveCurve(() => ({ amps: 0.9e-9, speedRatio: -0.1 }))(12)).toEqual({ amps: 0, speedRatio: 0 });
    expect(driveCurve(() => ({ amps: 2e-9, speedRatio: 0.1 }))(12.2).amps).toBeCloseTo(2e-9, 15);
    expect(dead(12)).toEqual({ amps: 0, speedRatio: 0 });
  });
});

describe('volts at a battery’s posts', () => {
  it('are its EMF less what the current drops inside, where that depends on the volts', () => {
    expect(postsV(12.6, 0, () => 5)).toBe(12.6);
    expect(postsV(12.6, 0.02, () => 5)).toBeCloseTo(12.5, 12);
    // A resistor of 2 Ω behind 0.02 Ω.
    expect(postsV(12.6, 0.02, (volts) => volts / 2)).toBeCloseTo((12.6 * 2) / 2.02, 9);
  });
});
