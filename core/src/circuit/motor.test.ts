import fc from 'fast-check';
import { defaultWindingOhm, motorAt, startingV, windingRatio, type Motor } from './motor';

const pump: Motor = { labelA: 5, labelV: 12, windingOhm: 0.48 };

const anyMotor = fc
  .record({
    labelA: fc.double({ min: 0.5, max: 40, noNaN: true }),
    labelV: fc.double({ min: 10, max: 15, noNaN: true }),
    ratio: fc.double({ min: 0.02, max: 0.6, noNaN: true }),
  })
  .map(({ labelA, labelV, ratio }): Motor => ({ labelA, labelV, windingOhm: (ratio * labelV) / labelA }));

describe('the pump’s motor', () => {
  it('draws label current at label volts and label speed', () => {
    const { amps, speedRatio } = motorAt(pump, 12);
    expect(amps).toBeCloseTo(5, 12);
    expect(speedRatio).toBeCloseTo(1, 12);
  });

  it('stands up to its starting voltage, where it draws its no-load share of label current', () => {
    expect(startingV(pump)).toBeCloseTo(0.36, 12);
    expect(motorAt(pump, 0.36)).toMatchObject({ speedRatio: 0 });
    expect(motorAt(pump, 0.36).amps).toBeCloseTo(0.75, 12);
    expect(motorAt(pump, 0.37).speedRatio).toBeGreaterThan(0);
  });

  it('draws volts over winding when its rotor is locked: five times label current by default', () => {
    expect(defaultWindingOhm(5, 12)).toBeCloseTo(0.48, 12);
    expect(motorAt(pump, 12, 'locked').amps).toBeCloseTo(25, 12);
    expect(windingRatio(pump)).toBeCloseTo(0.2, 12);
  });

  it('runs faster and draws less when it runs dry', () => {
    const dry = motorAt(pump, 12, 'dry');
    expect(dry.speedRatio).toBeGreaterThan(1);
    expect(dry.amps).toBeLessThan(2.5);
  });

  it('draws nothing with its winding open', () => {
    expect(motorAt(pump, 12, 'open')).toEqual({ amps: 0, speedRatio: 0, slopeS: 0 });
  });

  it('obeys both of its equations at any voltage', () => {
    fc.assert(
      fc.property(anyMotor, fc.double({ min: 0.01, max: 16, noNaN: true }), (motor, volts) => {
        const { amps, speedRatio: s } = motorAt(motor, volts);
        if (s === 0) return;
        expect(amps).toBeCloseTo(motor.labelA * (0.15 + 0.85 * s * s), 9);
        expect(amps * motor.windingOhm + (motor.labelV - motor.labelA * motor.windingOhm) * s).toBeCloseTo(volts, 9);
      }),
    );
  });

  it('draws the same reversed, the other way', () => {
    fc.assert(
      fc.property(anyMotor, fc.double({ min: 0.01, max: 16, noNaN: true }), (motor, volts) => {
        const ahead = motorAt(motor, volts);
        const astern = motorAt(motor, -volts);
        expect(astern.amps).toBe(-ahead.amps);
        expect(Math.abs(astern.speedRatio)).toBe(ahead.speedRatio);
      }),
    );
  });

  it('has the slope that Newton’s method is told', () => {
    const nudge = 1e-6;
    for (const volts of [0.2, 3, 12, 14.4]) {
      const measured = (motorAt(pump, volts + nudge).amps - motorAt(pump, volts - nudge).amps) / (2 * nudge);
      expect(motorAt(pump, volts).slopeS).toBeCloseTo(measured, 6);
    }
  });
});
