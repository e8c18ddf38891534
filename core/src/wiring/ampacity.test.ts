import { ampacity } from './ampacity';

const awg = { size: '14 AWG', family: 'awg', insulationC: 105, engineSpace: false } as const;

describe('ampacity', () => {
  it('of 14 AWG at 105 °C is 35 A outside an engine space', () => {
    expect(ampacity(awg).amps).toBe(35);
  });

  it('loses 15 % of that in an engine space', () => {
    expect(ampacity({ ...awg, engineSpace: true }).amps).toBeCloseTo(29.75, 9);
  });

  it('takes the next lower column for insulation between two: 85 °C counts as 80 °C', () => {
    const between = ampacity({ ...awg, insulationC: 85 });
    expect([between.columnC, between.amps]).toEqual([80, 25]);
  });

  it('of 60 °C cable in mm² is nothing in an engine space: it is forbidden there', () => {
    const metric = { size: '2.5 mm²', family: 'metric', insulationC: 60 } as const;
    expect(ampacity({ ...metric, engineSpace: true })).toMatchObject({ amps: 0, engineSpaceFactor: null });
    expect(ampacity({ ...metric, engineSpace: false }).amps).toBe(17);
  });

  it('of four bundled conductors is 60 % where bundling is counted', () => {
    expect(ampacity({ ...awg, bundled: 4 }).amps).toBeCloseTo(21, 9);
    expect(ampacity({ ...awg, bundled: 2 }).amps).toBe(35);
  });

  it('refuses insulation below the lowest column and sizes of the other family', () => {
    expect(() => ampacity({ ...awg, insulationC: 59 })).toThrow(RangeError);
    expect(() => ampacity({ ...awg, size: '2.5 mm²' })).toThrow(RangeError);
  });
});
