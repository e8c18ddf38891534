import { batteryAtWork, batteryStepS, drain } from './batteryAtWork';
import { largeBattery } from './water.fixture';

/** 100 Ah, used up at half, dead at a fifth. */
const battery = { ...largeBattery, capacityAh: 100, usableTo: 0.5, deadAt: 0.2 };
const at = (charge: number, amps = 10, more: Partial<typeof battery> = {}) => ({
  ...batteryAtWork({ ...battery, startCharge: charge, ...more }),
  amps,
});

describe('how long a battery can be taken as it is', () => {
  // 0.4 % of 100 Ah at 10 A: 144 s.
  it('is until its charge has moved by 0.4 %, finer where that is asked', () => {
    expect(batteryStepS(at(0.9), 1)).toBeCloseTo(144, 9);
    expect(batteryStepS(at(0.9), 4)).toBeCloseTo(36, 9);
    expect(batteryStepS(at(0.9, 0, { chargeA: 5 }), 1)).toBeCloseTo(288, 9);
    expect(batteryStepS(at(0.9, 10, { chargeA: 4 }), 1)).toBeCloseTo(240, 9);
    expect(batteryStepS(at(0.9, 5, { chargeA: 5 }), 1)).toBe(Infinity);
  });

  it('ends where it is used up or dead, to the second', () => {
    expect(batteryStepS(at(0.501), 1)).toBeCloseTo(36, 6);
    expect(batteryStepS(at(0.5), 1)).toBeCloseTo(144, 6);
    expect(batteryStepS(at(0.201), 1)).toBeCloseTo(36, 6);
    // What is charged does not come there.
    expect(batteryStepS(at(0.501, 0, { chargeA: 10 }), 1)).toBeCloseTo(144, 6);
  });

  it('of a dead one on charge is until it has recovered by 1 %', () => {
    expect(batteryStepS(at(0.208, 0, { chargeA: 10, deadAt: 0.3 }), 1)).toBeCloseTo(144, 6);
    const recovering = { ...at(0.2, 0, { chargeA: 10 }), charge: 0.209 };
    expect(recovering.dead).toBe(true);
    expect(batteryStepS(recovering, 1)).toBeCloseTo(36, 6);
  });
});

describe('taking a piece of time out of a battery', () => {
  it('counts what is drawn and what is charged, and holds no more than it can', () => {
    const one = at(0.9, 10, { chargeA: 4 });
    drain(one, 3600, 3600);
    expect(one.drawnAh).toBeCloseTo(10, 12);
    expect(one.charge).toBeCloseTo(0.84, 12);
    const full = at(0.99, 0, { chargeA: 4 });
    drain(full, 3600, 3600);
    expect([full.charge, full.drawnAh]).toEqual([1, 0]);
  });

  it('tells when it was used up first, dies at its end, and comes back once it has recovered by 1 %', () => {
    const one = at(0.55, 50);
    drain(one, 360, 360);
    expect([one.usedUpAtS, one.dead]).toEqual([360, false]);
    drain(one, 360, 720);
    expect(one.usedUpAtS).toBe(360);
    drain(one, 1800, 2520);
    expect([one.charge < 0.201, one.dead]).toEqual([true, true]);
    const charged = { ...at(0.2, 0, { chargeA: 10 }) };
    drain(charged, 0.009 * 36_000, 324);
    expect(charged.dead).toBe(true);
    drain(charged, 0.001 * 36_000, 360);
    expect(charged.dead).toBe(false);
  });

  it('begins dead where nothing is in it', () => {
    expect([at(0.2).dead, at(0.201).dead]).toEqual([true, false]);
    expect(at(0.7)).toMatchObject({ charge: 0.7, drawnAh: 0, usedUpAtS: null });
  });
});
