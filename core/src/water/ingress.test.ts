import { feelsLevel, inflow, mostInflow, nextChangeS, type Ingress } from './ingress';

/** 1 cm² a decimetre over the pump, the sea 0.5 m over it. */
const hole: Ingress = { kind: 'opening', areaM2: 1e-4, heightM: 0.1, outsideM: 0.5 };

/** Dry for an hour, then 100 L/h, from the third hour 20 L/h. */
const rain: Ingress = {
  kind: 'script',
  steps: [
    { fromS: 3600, flow: 100 / 3.6e6 },
    { fromS: 10_800, flow: 20 / 3.6e6 },
  ],
};

describe('an opening', () => {
  it('lets in 0.6 of the ideal jet under the head that stands over it', () => {
    // √(2 · 9.80665 · 0.4) = 2.8009 m/s; 0.6 · 1 cm² of that is 168.05 mL/s.
    expect(inflow([hole], 0, 0) * 1e6).toBeCloseTo(168.05, 1);
  });

  it('feels the water within from where it is covered', () => {
    expect(inflow([hole], 0.1, 0)).toBe(inflow([hole], -1, 0));
    // A quarter of the head is left, so half the flow.
    expect(inflow([hole], 0.4, 0)).toBeCloseTo(inflow([hole], 0, 0) / 2, 12);
  });

  it('never lets water out', () => {
    expect(inflow([hole], 0.5, 0)).toBe(0);
    expect(inflow([hole], 0.9, 0)).toBe(0);
    expect(inflow([{ ...hole, heightM: 0.6 }], 0, 0)).toBe(0);
  });

  it('is the one kind that depends on the level', () => {
    expect([feelsLevel([hole, rain]), feelsLevel([rain, { kind: 'steady', flow: 1 }])]).toEqual([true, false]);
  });
});

describe('a script', () => {
  it('brings nothing before its first step, and each step until the next', () => {
    const at = [0, 3599, 3600, 10_799, 10_800, 1e6].map((seconds) => Math.round(inflow([rain], 0, seconds) * 3.6e6));
    expect(at).toEqual([0, 0, 100, 100, 20, 20]);
  });

  it('tells when it changes next', () => {
    expect([0, 3599, 3600, 10_800].map((at) => nextChangeS([rain, hole], at))).toEqual([3600, 3600, 10_800, Infinity]);
  });
});

test('what comes in adds up, and the most is each at its most', () => {
  const all: Ingress[] = [{ kind: 'steady', flow: 5e-6 }, rain, hole];
  expect(inflow(all, 0, 4000)).toBeCloseTo(5e-6 + 100 / 3.6e6 + inflow([hole], 0, 0), 15);
  expect(mostInflow(all)).toBeCloseTo(inflow(all, 0, 4000), 15);
  expect(mostInflow([])).toBe(0);
});
