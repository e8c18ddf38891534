import { conductorSizes, findSize, type ConductorSize } from '../reference';
import { conductorOhm } from './resistance';

const size = (name: string): ConductorSize => {
  const found = findSize(name);
  if (!found) throw new Error(name);
  return found;
};

describe('resistance of a conductor', () => {
  it('of 14 AWG is 8.29 mΩ per metre at 20 °C, as tables of bare copper give it', () => {
    expect(conductorOhm(size('14 AWG'), 1, 20) * 1000).toBeCloseTo(8.285, 3);
  });

  it('agrees with the trade rule of 10.75 Ω·cmil/ft at 29 °C', () => {
    // 10 AWG is 10 383 circular mils; ten feet of it.
    const byRule = (10.75 * 10) / 10383;
    expect(conductorOhm(size('10 AWG'), 3.048, 29) / byRule).toBeCloseTo(1, 2);
  });

  it('of 2.5 mm² is its class, not its area: 10 m at 30 °C', () => {
    expect(conductorOhm(size('2.5 mm²'), 10, 30)).toBeCloseTo(0.0821 * 1.0393, 9);
  });

  it('rises by 0.393 % a kelvin: an engine space at 60 °C adds 15.7 % over 20 °C', () => {
    expect(conductorOhm(size('6 mm²'), 5, 60) / conductorOhm(size('6 mm²'), 5, 20)).toBeCloseTo(1.1572, 9);
  });

  it('falls from each size to the next larger one in both families', () => {
    for (const rows of Object.values(conductorSizes)) {
      const ohms = rows.map((row) => conductorOhm(row, 1, 30));
      expect([...ohms].sort((a, b) => b - a)).toEqual(ohms);
    }
  });
});
